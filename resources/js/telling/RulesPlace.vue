<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { api } from '../api/client'
import type { FormulateAnswer, Rule, RuleBook } from '../api/types.generated'
import FindingCard from '../bench/FindingCard.vue'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import FindingMark from '../ui/FindingMark.vue'
import { LEVELS, told, type Level } from '../ui/levels'
import { useAsked } from '../ui/useAsked'

/** A second pair of eyes: check one thing for every dog, and read every rule the tool judges by. */
const kitchen = useKitchen()
const book = ref<RuleBook | null>(null)
const problem = ref<string | null>(null)
const search = ref('')
const level = ref<Level | ''>('')
const thing = ref('')

const KINDS: Record<Rule['kind'], string> = {
    food: 'about a food',
    dose: 'about a dose',
    condition: 'about a condition',
    allergy: 'about an allergy',
    dog: 'about a dog',
    reading: 'about what was read',
    label: 'about a label',
}
const MOST_SHOWN = 60
/** As many as one question takes. */
const MOST_DOGS = 50

onMounted(async () => {
    try {
        book.value = await api.rules()
    } catch (error) {
        problem.value = wordsOf(error)
    }
})

const found = computed(() => {
    const words = search.value
        .toLowerCase()
        .split(/\s+/)
        .filter((word) => word !== '')

    return (book.value?.rules ?? []).filter(
        (rule) =>
            (level.value === '' || rule.level === level.value) &&
            words.every((word) =>
                `${rule.id} ${rule.trigger} ${rule.message} ${rule.advice} ${rule.threshold ?? ''} ${rule.source}`.toLowerCase().includes(word),
            ),
    )
})

const {
    answer,
    problem: refusal,
    late,
} = useAsked<FormulateAnswer>({
    of: [thing, () => kitchen.version],
    ask: (signal) => {
        const text = thing.value.trim()
        if (text === '' || kitchen.kitchen === null) return null

        const amountIsSaid = /^\d|½|¼|¾|^an? /.test(text)
        const recipe = { text: amountIsSaid ? text : `100 g ${text}` }

        return api.formulate({ recipe, dogs: kitchen.dogs.slice(0, MOST_DOGS).map((dog) => dog.id), explain: true }, signal)
    },
})

const line = computed(() => answer.value?.lines[0] ?? null)
const forAll = computed(() => told((answer.value?.lines ?? []).flatMap((one) => one.findings).filter((finding) => finding.dog === null)))
const perDog = computed(() =>
    kitchen.dogs.map((dog) => ({
        dog,
        findings: told((answer.value?.lines ?? []).flatMap((one) => one.findings).filter((finding) => finding.dogId === dog.id)),
    })),
)
</script>

<template>
    <div>
        <p v-if="book !== null" class="hint">{{ book.rules.length }} rules, version {{ book.version }}</p>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <section class="single" aria-labelledby="single-title">
            <h2 id="single-title">Check a single thing</h2>
            <v-text-field
                v-model="thing"
                label="Any food, as you would write it"
                placeholder="parsnip, or 2 tbsp peanut butter"
                maxlength="200"
                autocomplete="off"
            />
            <p v-if="refusal !== null" class="problem" role="alert">{{ refusal }}</p>
            <div v-if="line !== null" class="single__answer" :class="{ 'said-before': late }" role="status">
                <p v-if="late">Not checked yet.</p>
                <p v-if="line.ingredient !== null">
                    <strong>{{ line.explain?.name }}</strong><template v-if="line.explain !== undefined && line.explain.made.length > 0">
                        · {{ line.explain.made[line.explain.made.length - 1] }}</template
                    >
                </p>
                <p v-else-if="(line.explain?.nearest ?? []).length > 0">
                    Not known by that name. Nearest:
                    <template v-for="(one, index) in line.explain?.nearest" :key="one.ingredient"
                        >{{ index > 0 ? '; ' : '' }}<strong>{{ one.name }}</strong> ({{ one.reason }})</template
                    >.
                </p>
                <p v-if="forAll.length === 0 && line.ingredient !== null">Nothing found that concerns every dog.</p>
                <FindingCard v-for="one in forAll" :key="one.finding.code + one.finding.message" :told="one" :line="null" plain />
                <ul class="single__dogs">
                    <li v-for="one in perDog" :key="one.dog.id">
                        <strong>{{ one.dog.name }}</strong>
                        <span v-if="one.findings.length === 0"> nothing more found</span>
                        <span v-for="said in one.findings" v-else :key="said.finding.code" class="chip" :class="`chip--${said.finding.level}`"
                            ><FindingMark :level="said.finding.level" />{{ said.finding.message }}</span
                        >
                    </li>
                </ul>
            </div>
        </section>
        <section aria-labelledby="rules-title">
            <h2 id="rules-title">What it judges by</h2>
            <div class="fields">
                <v-text-field
                    v-model="search"
                    class="field--long rules__search"
                    label="Search"
                    placeholder="raisin, heart, sodium…"
                    autocomplete="off"
                />
                <v-select
                    v-model="level"
                    class="field--short"
                    label="Level"
                    :items="[{ id: '', name: 'all' }, ...Object.entries(LEVELS).map(([id, given]) => ({ id, name: given.word }))]"
                />
            </div>
            <p role="status" class="hint">
                {{ found.length }} rules<template v-if="found.length > MOST_SHOWN">, the first {{ MOST_SHOWN }} shown</template>
            </p>
            <ol class="rule-list">
                <li v-for="rule in found.slice(0, MOST_SHOWN)" :key="rule.id" class="card" :class="`card--${rule.level}`">
                    <h3>
                        <FindingMark :level="rule.level" /> {{ LEVELS[rule.level].word }} · {{ rule.id.replaceAll('-', ' ') }}
                        <small>{{ KINDS[rule.kind] }}<template v-if="rule.emergency"> · emergency words</template></small>
                    </h3>
                    <p>
                        {{ rule.message }} <strong>{{ rule.advice }}</strong>
                    </p>
                    <p class="card__source">
                        When: {{ rule.trigger }}.<template v-if="rule.threshold !== null"> Figure: {{ rule.threshold }}.</template
                        ><template v-if="rule.example !== null"> Example: {{ rule.example }}.</template>
                    </p>
                    <p class="card__source">Known from: {{ rule.source }}</p>
                </li>
            </ol>
        </section>
    </div>
</template>
