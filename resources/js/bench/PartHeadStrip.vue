<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Part } from '../api/types.generated'
import { useKitchen } from '../kitchen/useKitchen'
import NumberField from '../ui/NumberField.vue'
import { figure, grams } from '../ui/format'
import { plainly, useParts } from './useParts'

/** The head of one part, on the sheet: what it is, how it is made, what of it goes on, and what it comes to. All of it is changed here. */
const props = defineProps<{ part: Part; alone: boolean; onHeading: boolean }>()
const kitchen = useKitchen()
const { say, keep, forget, said, problem } = useParts()

const roles = computed(() => kitchen.choices?.roles ?? [])
const processes = computed(() => kitchen.choices?.processes ?? [])
const isBody = computed(() => props.part.role === 'body')
const refused = computed(() => problem(props.part))
const name = computed(() => plainly(props.part))
const wantsMore = ref(false)
/** What is rarely said of a dough stays behind a word, unless it was said. */
const showsMore = computed(
    () => !isBody.value || wantsMore.value || props.part.keeps.strained || props.part.keeps.drained || props.part.keeps.grams !== null,
)
</script>

<template>
    <section class="part-head" :class="[`part-head--${part.role}`, { 'part-head--alone': alone }]" :aria-label="`How ${name} is made`">
        <p class="part-head__figures">
            <strong v-if="!onHeading" class="part-head__name">{{ name }}</strong>
            <span
                >{{ grams(part.doughGrams.best)
                }}<template v-if="grams(part.keptGrams.best) !== grams(part.doughGrams.best)"> → {{ grams(part.keptGrams.best) }}</template></span
            >
            <span>{{ figure(part.kcal.best) }} kcal</span>
            <span v-if="part.feel !== null">{{ part.feel }}</span>
            <span v-if="part.into.length === 0 && !alone"
                >{{ figure(part.gramsPerPiece.best) }} g and {{ figure(part.kcalPerPiece.best) }} kcal a piece</span
            >
            <span v-else-if="part.into.length > 0">goes into the {{ part.into.join(', the ').replace(/for the /gi, '') }}</span>
        </p>
        <div class="part-head__picks">
            <v-select
                class="part-head__select"
                :model-value="part.role"
                :aria-label="`What ${name} is`"
                :items="roles"
                variant="plain"
                density="compact"
                @update:model-value="say(part, { role: $event as Part['role'] })"
            />
            <v-select
                class="part-head__select"
                :model-value="part.process"
                :aria-label="`How ${name} is heated`"
                :items="processes"
                variant="plain"
                density="compact"
                @update:model-value="say(part, { process: $event as Part['process'] })"
            />
            <v-btn
                v-if="!isBody && part.into.length === 0"
                class="part-head__pick"
                :aria-label="`${part.joins === 'before' ? 'There before the heat' : 'Joined after the heat'}: change`"
                @click="say(part, { joins: part.joins === 'before' ? 'after' : 'before' })"
                >{{ part.joins === 'before' ? 'there before the heat' : 'joined after the heat' }}</v-btn
            >
            <template v-if="showsMore">
                <v-btn class="part-head__pick" :aria-pressed="part.keeps.strained" @click="keep(part, { strained: !part.keeps.strained })"
                    >strained</v-btn
                >
                <v-btn class="part-head__pick" :aria-pressed="part.keeps.drained" @click="keep(part, { drained: !part.keeps.drained })"
                    >fat poured off</v-btn
                >
                <NumberField
                    class="part-head__number"
                    label="weighs, g"
                    placeholder="all"
                    :value="part.keeps.grams"
                    :above="0"
                    @meant="keep(part, { grams: $event })"
                />
                <NumberField
                    v-if="!isBody"
                    class="part-head__number"
                    label="g on a piece"
                    placeholder="evenly"
                    :value="said(part)?.gramsPerPiece ?? null"
                    :above="0"
                    @meant="say(part, { gramsPerPiece: $event })"
                />
            </template>
            <v-btn v-else class="part-head__pick" @click="wantsMore = true">more of it</v-btn>
            <v-btn v-if="said(part) !== undefined" class="part-head__pick" @click="forget(part)">guess it again</v-btn>
        </div>
        <p v-if="refused !== null" class="problem" role="alert">{{ refused }}</p>
    </section>
</template>
