<script setup lang="ts">
import { computed, nextTick, ref } from 'vue'
import type { Clipping } from '../api/types.generated'
import { useUnits } from '../ui/useUnits'
import { answered, askedOf, rowsOf, stretches, withAmount, type ToldRow } from './talk'

/** What was told, beside the sheets that came of it: a tap on either shows the other, and what is not sure is asked. */
const units = useUnits()
const props = defineProps<{ content: string; sheets: Clipping[] }>()
const emit = defineEmits<{ take: [clipping: Clipping] }>()

const shown = ref(0)
const rows = ref<ToldRow[][]>(props.sheets.map(rowsOf))
const at = ref<{ sheet: number; line: number } | null>(null)
const amount = ref('')
const talk = computed(() => stretches(props.content, props.sheets))
const sheet = computed(() => props.sheets[shown.value])
const lines = computed(() => rows.value[shown.value] ?? [])
const open = computed(() => lines.value.filter((one) => !one.sure).length)
const asked = computed(() => {
    const row = at.value === null || at.value.sheet !== shown.value ? undefined : lines.value[at.value.line]

    return row === undefined || sheet.value === undefined ? null : askedOf(sheet.value, row)
})

const isAt = (sheetNumber: number, line: number): boolean => at.value?.sheet === sheetNumber && at.value.line === line

/** Shows a line and its words; a line that was only unsure is sure once a person has looked. */
async function show(sheetNumber: number, line: number, from: 'talk' | 'sheet'): Promise<void> {
    shown.value = sheetNumber
    at.value = { sheet: sheetNumber, line }
    amount.value = ''
    const row = rows.value[sheetNumber]?.[line]
    const one = props.sheets[sheetNumber]
    if (row !== undefined && one !== undefined && askedOf(one, row)?.options.length !== 0) row.sure = true
    await nextTick()
    document.getElementById(from === 'talk' ? `told-${sheetNumber}-${line}` : `words-${sheetNumber}-${line}`)?.scrollIntoView({ block: 'nearest' })
}

function say(words: string): void {
    const row = at.value === null ? undefined : rows.value[at.value.sheet]?.[at.value.line]
    if (row === undefined || asked.value === null || words.trim() === '') return
    row.text = withAmount(row, words.trim(), asked.value.options)
    row.sure = true
    amount.value = ''
}

function take(): void {
    if (sheet.value !== undefined) emit('take', answered(sheet.value, lines.value))
}
</script>

<template>
    <div class="talk">
        <section class="talk__said" aria-label="What was told" tabindex="0">
            <template v-for="(one, n) in talk" :key="n">
                <button
                    v-if="one.line !== null"
                    :id="`words-${one.line.sheet}-${one.line.line}`"
                    type="button"
                    class="talk__words"
                    :class="{ 'talk__words--at': isAt(one.line.sheet, one.line.line) }"
                    :aria-pressed="isAt(one.line.sheet, one.line.line)"
                    @click="show(one.line.sheet, one.line.line, 'talk')"
                >
                    {{ one.text }}
                </button>
                <span v-else-if="one.warning !== null" class="talk__warned" :title="`Warned of: ${one.warning}`">{{ one.text }}</span>
                <template v-else>{{ one.text }}</template>
            </template>
        </section>
        <section v-if="sheet !== undefined" class="talk__sheet" aria-label="The sheet it makes">
            <v-tabs v-if="sheets.length > 1" v-model="shown" class="talk__tabs" aria-label="Which recipe" show-arrows @update:model-value="at = null">
                <v-tab v-for="(one, n) in sheets" :key="n" :value="n">{{ one.title }}</v-tab>
            </v-tabs>
            <h3>{{ sheet.title }}</h3>
            <ul class="talk__lines">
                <li v-for="(row, n) in lines" :key="n">
                    <button
                        :id="`told-${shown}-${n}`"
                        type="button"
                        class="talk__line"
                        :class="{ 'talk__line--at': isAt(shown, n), 'talk__line--unsure': !row.sure }"
                        :aria-pressed="isAt(shown, n)"
                        @click="show(shown, n, 'sheet')"
                    >
                        {{ row.text }}<span v-if="!row.sure" class="talk__unsure">not sure</span>
                    </button>
                    <div v-if="isAt(shown, n) && asked !== null" class="talk__asked">
                        <p>{{ asked.question }}</p>
                        <div v-if="asked.options.length > 0" role="group" :aria-label="asked.question">
                            <v-btn
                                v-for="option in asked.options"
                                :key="option"
                                size="small"
                                :variant="row.text.startsWith(`${option} `) ? 'flat' : 'outlined'"
                                :color="row.text.startsWith(`${option} `) ? 'primary' : undefined"
                                :aria-pressed="row.text.startsWith(`${option} `)"
                                @click="say(option)"
                                >{{ option }}</v-btn
                            >
                        </div>
                        <form v-else class="talk__much" @submit.prevent="say(amount)">
                            <v-text-field
                                v-model="amount"
                                class="field--short"
                                label="How much"
                                maxlength="60"
                                placeholder="1 cup"
                                autocomplete="off"
                            />
                            <v-btn type="submit" size="small" variant="outlined">Write it</v-btn>
                        </form>
                    </div>
                </li>
            </ul>
            <p v-if="sheet.bake && sheet.bake.celsius !== null" class="slip__text">
                {{ units.heat({ ...sheet.bake, celsius: sheet.bake.celsius, fahrenheit: sheet.bake.fahrenheit ?? 0 })
                }}<template v-if="sheet.bake.minutes"
                    >,
                    {{
                        Math.round(sheet.bake.minutes.low) === Math.round(sheet.bake.minutes.high)
                            ? Math.round(sheet.bake.minutes.best)
                            : `${Math.round(sheet.bake.minutes.low)}–${Math.round(sheet.bake.minutes.high)}`
                    }}
                    minutes</template
                ><template v-if="sheet.bake.thicknessMm">, {{ units.mm(sheet.bake.thicknessMm) }} thick</template>
            </p>
            <p v-if="(sheet.warnings ?? []).length > 0" class="slip__text">
                Warned of, and left out: {{ (sheet.warnings ?? []).map((one) => one.name).join(', ') }}.
            </p>
            <p v-if="open > 0" role="status">{{ open === 1 ? 'One line is not sure: tap it.' : `${open} lines are not sure: tap them.` }}</p>
            <v-btn variant="flat" color="primary" @click="take">Lay it on the bench</v-btn>
        </section>
    </div>
</template>
