<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Dog } from '../api/types.generated'
import { useQuestion } from '../bench/useQuestion'
import { useSheet } from '../bench/useSheet'
import EmptyPlace from '../ui/EmptyPlace.vue'
import { useKitchen } from '../kitchen/useKitchen'
import { isUnjudged } from '../shelf/finding'
import { useVerdicts } from '../shelf/useVerdicts'
import PieceDots from '../ui/PieceDots.vue'
import { age, figure, pieces } from '../ui/format'
import { useStands } from '../ui/useStands'
import { useUnits } from '../ui/useUnits'
import BodyShape from './BodyShape.vue'
import DayDish from './DayDish.vue'
import { useProfiles } from './useProfiles'
import { useVetsWords } from './useVetsWords'

/** The dogs of the kitchen: each with its day as a dish, what of it treats may take, and what is to be minded. */
const kitchen = useKitchen()
const units = useUnits()
const { answer, freshness } = useQuestion()
const { sheet } = useSheet()
const { of: profiles, late, problem } = useProfiles()
const { runningOut } = useVetsWords()
const verdicts = useVerdicts()
// a handful is enough to begin with; the shelf asks for the rest
watch(
    () =>
        kitchen.recipes
            .filter(isUnjudged)
            .slice(0, 48)
            .map((one) => one.id),
    (ids) => {
        for (const id of ids) verdicts.want(id)
    },
    { immediate: true },
)
const find = ref('')

/** From so many dogs on one is looked for. */
const MANY = 8
const shown = computed(() => kitchen.dogs.filter((dog) => `${dog.name} ${dog.breed ?? ''}`.toLowerCase().includes(find.value.trim().toLowerCase())))

function named(ids: string[], names: { id: string; name: string }[] | undefined): string {
    return ids.map((id) => names?.find((one) => one.id === id)?.name ?? id.replaceAll('-', ' ')).join(', ')
}

function minded(dog: Dog): string[] {
    return [
        dog.allergies.length > 0 ? `reacts to ${named(dog.allergies, kitchen.choices?.allergens)}` : '',
        dog.allowList === null ? '' : `only ${named(dog.allowList, [...(kitchen.choices?.allergens ?? []), ...kitchen.foodsByName])}`,
        named(dog.conditions, kitchen.choices?.conditions),
        named(dog.medicines, kitchen.choices?.medicines),
        dog.teeth === 'few' ? 'few teeth' : dog.teeth === 'none' ? 'no teeth' : '',
        dog.eating === 'gulps' ? 'gulps' : '',
    ].filter((one) => one !== '')
}

const stands = useStands()
/** How much of the shelf is cleared for it today, as far as that is known. */
const written = computed(() => kitchen.recipes.filter((one) => one.begins.trim() !== ''))
/** Told once for all dogs: there may be thousands of recipes. */
const cleared = computed(() => {
    const many = new Map<string, number>()
    let judged = 0
    for (const { judged: verdict } of written.value) {
        if (verdict === null) continue
        judged++
        for (const dog of verdict.clearedFor) many.set(dog, (many.get(dog) ?? 0) + 1)
    }

    return { judged, many }
})
function clearedOf(dog: Dog): string {
    if (!stands.value) return 'counting the shelf'
    const { judged, many } = cleared.value
    if (judged === 0) return 'the shelf is not checked yet for it'

    return `cleared: ${many.get(dog.id) ?? 0} of ${judged} recipes${judged < written.value.length ? `, ${written.value.length - judged} not checked yet` : ' on the shelf'}`
}

/** What it may have of what lies on the bench: only where that was answered for the sheet as it stands, and for this dog. */
function ration(dog: Dog): { count: number; cleared: boolean } | null {
    if (freshness.value !== 'fresh' || answer.value === null) return null
    const found = answer.value.rations.find((one) => one.dogId === dog.id)
    if (found === undefined) return null

    return { count: found.piecesPerDay ?? 0, cleared: answer.value.verdict.dogs.find((one) => one.id === dog.id)?.cleared === true }
}
</script>

<template>
    <div class="place place--wide">
        <header class="place__head">
            <h1>The dogs</h1>
            <v-text-field
                v-if="kitchen.dogs.length > MANY"
                v-model="find"
                class="dogs__find"
                label="Find"
                placeholder="a name or a breed"
                clearable
                autocomplete="off"
                @click:clear="find = ''"
            /><v-btn variant="tonal" to="/dogs/new">Add a dog</v-btn>
        </header>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <EmptyPlace v-if="kitchen.kitchen !== null && kitchen.dogs.length === 0" title="No dog yet"
            >Its name, weight and age are enough to begin. Its day stands here then, as a dish, with what it may have of it in treats.<template #acts
                ><v-btn variant="flat" color="primary" to="/dogs/new">Add the first dog</v-btn></template
            ></EmptyPlace
        >
        <div v-if="kitchen.kitchen === null && kitchen.trouble === null" class="dogs" aria-hidden="true">
            <v-skeleton-loader v-for="n in 6" :key="n" type="article" />
        </div>
        <ul class="dogs" :class="{ 'dogs--late': late }">
            <li v-for="dog in shown" :key="dog.id">
                <router-link :to="`/dogs/${dog.id}`" class="dog" :aria-label="dog.name">
                    <span class="dog__who"
                        ><span class="dog__name">{{ dog.name }}</span
                        ><BodyShape :score="dog.bodyCondition ?? 5" class="dog__shape"
                    /></span>
                    <span class="dog__facts"
                        >{{ [dog.breed, age(dog.ageMonths), units.weight(dog)].filter(Boolean).join(' · ')
                        }}<template v-if="kitchen.all.dogs.waits(dog.id)"> · waits for the kitchen</template></span
                    >
                    <span class="dog__day">
                        <DayDish
                            :daily-kcal="profiles.get(dog.id)?.dailyKcal?.best ?? null"
                            :treat-kcal="profiles.get(dog.id)?.budget?.kcal ?? null"
                        />
                        <span v-if="late">not worked out yet</span>
                        <span v-else-if="profiles.get(dog.id)?.budget"
                            ><strong>{{ figure(profiles.get(dog.id)?.budget?.kcal ?? 0) }} kcal</strong> of treats a day<small
                                >of {{ figure(profiles.get(dog.id)?.dailyKcal?.best ?? 0) }},
                                {{ figure(profiles.get(dog.id)?.budget?.percent ?? 0) }} %</small
                            ></span
                        >
                        <span v-else-if="profiles.has(dog.id)"
                            >no figure yet<small>{{ profiles.get(dog.id)?.questions[0] ?? 'its weight is not known' }}</small></span
                        >
                    </span>
                    <span v-if="ration(dog) !== null" class="dog__bench"
                        >of “{{ sheet.title || 'the sheet on the bench' }}”:
                        <strong>{{ ration(dog)?.cleared ? `${pieces(ration(dog)?.count ?? 0)} a day` : 'not cleared' }}</strong><PieceDots
                            v-if="ration(dog)?.cleared"
                            :count="ration(dog)?.count ?? 0"
                            :most="10"
                    /></span>
                    <span v-if="written.length > 0" class="dog__shelf">{{ clearedOf(dog) }}</span>
                    <span v-for="one in minded(dog)" :key="one" class="dog__note">{{ one }}</span>
                    <span v-for="one in runningOut(dog)" :key="one" class="dog__word">{{ one }}</span>
                </router-link>
            </li>
        </ul>
    </div>
</template>
