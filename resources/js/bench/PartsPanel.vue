<script setup lang="ts">
import { computed } from 'vue'
import type { AskedPart, FormulateAnswer, Part } from '../api/types.generated'
import { useKitchen } from '../kitchen/useKitchen'
import NumberField from '../ui/NumberField.vue'
import { figure, grams } from '../ui/format'
import { useSheet } from './useSheet'

/** The parts of the recipe: what each weighs, holds and brings to a piece, and what was taken of it; any of that is changed here. */
const props = defineProps<{ answer: FormulateAnswer, refusal: { message: string, path: string } | null }>()
const kitchen = useKitchen()
const { sheet } = useSheet()

const roles = computed(() => kitchen.choices?.roles ?? [])
const processes = computed(() => kitchen.choices?.processes ?? [])
const parts = computed(() => props.answer.parts)

function key(section: string | null | undefined): string {
    return (section ?? '').trim().replace(/:$/, '').toLowerCase()
}

function nameOf(part: Part): string {
    if (part.section !== null) return part.section
    return part.role === 'body' ? parts.value.length === 1 ? 'One dough' : 'The dough' : 'The lines under no heading'
}

/** "the frosting" of "For the frosting". */
function plainly(part: Part): string {
    return nameOf(part).replace(/^for /i, '').replace(/^(The|One) /, (word) => word.toLowerCase())
}

function label(list: { id: string, name: string }[], id: string): string {
    return list.find((one) => one.id === id)?.name ?? id
}

/** What was said of a part, made on the first change; what is null is guessed again. */
function say(part: Part, change: Partial<AskedPart>): void {
    const at = sheet.value.parts.findIndex((one) => key(one.section) === key(part.section))
    const before: AskedPart = sheet.value.parts[at] ?? { section: part.section }
    // only one part is cut: what was said to be it is left to the headings again
    if (change.role === 'body') for (const one of sheet.value.parts) if (one.role === 'body') one.role = null
    const next = { ...before, ...change }
    if (at === -1) sheet.value.parts.push(next)
    else sheet.value.parts[at] = next
}

function keep(part: Part, change: Partial<Part['keeps']>): void {
    say(part, { keeps: { ...part.keeps, ...change } })
}

function forget(part: Part): void {
    sheet.value.parts = sheet.value.parts.filter((one) => key(one.section) !== key(part.section))
}

function said(part: Part): AskedPart | undefined {
    return sheet.value.parts.find((one) => key(one.section) === key(part.section))
}

function goesWithout(dog: string, part: Part): boolean {
    return sheet.value.without.some((one) => one.dog === dog && one.sections.some((section) => key(section) === key(part.section)))
}

function toggle(dog: string, part: Part): void {
    if (part.section === null) return
    const mine = sheet.value.without.find((one) => one.dog === dog)
    const others = (mine?.sections ?? []).filter((section) => key(section) !== key(part.section))
    const sections = goesWithout(dog, part) ? others : [...others, part.section]
    sheet.value.without = [...sheet.value.without.filter((one) => one.dog !== dog), ...(sections.length === 0 ? [] : [{ dog, sections }])]
}

/** A refusal of what was said of a part, beside that part. */
function problem(part: Part): string | null {
    const found = props.refusal === null ? null : /^\/recipe\/parts\/(\d+)/.exec(props.refusal.path)
    // what was said of a heading that is gone waits, and is not counted
    const asked = sheet.value.parts.filter((one) => parts.value.some((other) => [other.section, ...other.sections].some((section) => key(section) === key(one.section))))
    const mine = asked.findIndex((one) => key(one.section) === key(part.section))

    return found !== null && mine !== -1 && Number(found[1]) === mine ? props.refusal?.message ?? null : null
}
</script>

<template>
    <section class="parts" aria-labelledby="parts-title">
        <h3 id="parts-title">{{ parts.length === 1 ? 'How it is made' : 'Its parts' }}</h3>
        <ul>
            <li v-for="part in parts" :key="key(part.section)" class="part-row">
                <p class="part-row__name"><strong>{{ nameOf(part) }}</strong> <span>{{ part.role === 'body' && parts.length === 1 ? '' : `${label(roles, part.role)}, ` }}{{ label(processes, part.process) }}<template v-if="part.keeps.strained">, strained</template><template v-if="part.keeps.drained">, fat poured off</template><template v-if="part.role !== 'body' && part.into.length === 0">, {{ part.joins === 'before' ? 'there before the heat' : 'joined after the heat' }}</template></span></p>
                <p class="part-row__figures"><span>{{ grams(part.doughGrams.best) }}<template v-if="grams(part.keptGrams.best) !== grams(part.doughGrams.best)"> → {{ grams(part.keptGrams.best) }}</template></span><span>{{ figure(part.kcal.best) }} kcal</span><span v-if="part.feel !== null">{{ part.feel }}</span><span v-if="part.into.length === 0">{{ figure(part.gramsPerPiece.best) }} g and {{ figure(part.kcalPerPiece.best) }} kcal a piece</span><span v-else>goes into the {{ part.into.join(', the ').replace(/for the /g, '') }}</span></p>
                <p v-if="problem(part) !== null" class="problem" role="alert">{{ problem(part) }}</p>
                <details class="assumed">
                    <summary>Change {{ plainly(part) }}</summary>
                    <div class="cut__fields">
                        <label class="plain"><span>It is</span><select :value="part.role" @change="say(part, { role: ($event.target as HTMLSelectElement).value as Part['role'] })"><option v-for="one in roles" :key="one.id" :value="one.id">{{ one.name }}</option></select></label>
                        <label class="plain"><span>Made</span><select :value="part.process" @change="say(part, { process: ($event.target as HTMLSelectElement).value as Part['process'] })"><option v-for="one in processes" :key="one.id" :value="one.id">{{ one.name }}</option></select></label>
                        <label v-if="part.role !== 'body'" class="plain"><span>Joins</span><select :value="part.joins" @change="say(part, { joins: ($event.target as HTMLSelectElement).value as Part['joins'] })"><option value="before">before the heat</option><option value="after">after the heat</option></select></label>
                        <NumberField label="weighs, g" :value="part.keeps.grams" @meant="keep(part, { grams: $event })" />
                        <NumberField v-if="part.role !== 'body'" label="g on a piece" placeholder="evenly" :value="said(part)?.gramsPerPiece ?? null" @meant="say(part, { gramsPerPiece: $event })" />
                    </div>
                    <div class="toggles part-row__toggles" role="group" :aria-label="`What of ${nameOf(part)} goes on`">
                        <button type="button" class="toggle" :aria-pressed="part.keeps.strained" @click="keep(part, { strained: !part.keeps.strained })">strained</button>
                        <button type="button" class="toggle" :aria-pressed="part.keeps.drained" @click="keep(part, { drained: !part.keeps.drained })">fat poured off</button>
                    </div>
                    <div v-if="part.role !== 'body' && part.section !== null && kitchen.atTable.length > 0" class="toggles part-row__toggles" role="group" :aria-label="`Who goes without ${nameOf(part)}`">
                        <button v-for="dog in kitchen.atTable" :key="dog.id" type="button" class="toggle" :aria-pressed="goesWithout(dog.id, part)" @click="toggle(dog.id, part)">none for {{ dog.name }}</button>
                    </div>
                    <v-btn v-if="said(part) !== undefined" variant="text" @click="forget(part)">Guess it again</v-btn>
                </details>
            </li>
        </ul>
        <p v-if="answer.batch.leftGrams >= 1" class="hint">{{ grams(answer.batch.leftGrams) }} of dough fill no whole piece.</p>
    </section>
</template>
