<script setup lang="ts">
import { onMounted, ref, watch } from 'vue'
import { api } from '../api/client'
import type { ConfirmationRecord } from '../api/types.generated'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import { writtenDate } from '../ui/dates'
import { dayIn } from '../ui/format'
import { LEVELS } from '../ui/levels'

/** Who said when that a label was read or a vet was asked, and the words they were shown. */
const kitchen = useKitchen()
const records = ref<ConfirmationRecord[]>([])
const known = ref(false)
const problem = ref<string | null>(null)

async function look(): Promise<void> {
    try {
        records.value = await api.confirmations()
        known.value = true
    } catch (error) {
        problem.value = wordsOf(error)
    }
}

onMounted(look)
watch(
    () => kitchen.number,
    () => void look(),
)

function at(time: string): string {
    const when = new Date(time)
    const timeZone = kitchen.kitchen?.timezone ?? 'UTC'

    return `${writtenDate(dayIn(timeZone, when), kitchen.kitchen?.datesAs ?? 'dmy')}, ${new Intl.DateTimeFormat('en-GB', { timeStyle: 'short', timeZone }).format(when)}`
}
</script>

<template>
    <section>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <p v-if="known && records.length === 0" class="hint">
            Nothing yet. When you say on the bench that a label was read or a vet was asked, it is written down here.
        </p>
        <ul class="products">
            <li v-for="one in records" :key="one.id" class="slip">
                <p>
                    <strong>{{ one.saidBy }}</strong>, {{ at(one.saidAt) }}: {{ LEVELS[one.level].word.toLowerCase()
                    }}<template v-if="one.dog"> for {{ one.dog }}</template
                    ><template v-if="one.recipeTitle"> in {{ one.recipeTitle }}</template>
                </p>
                <p v-if="one.line" class="slip__text">{{ one.line }}</p>
                <p>
                    <q>{{ one.words }}</q>
                </p>
                <p class="hint">
                    <template v-if="one.holdsUntil">holds until {{ writtenDate(one.holdsUntil, kitchen.kitchen?.datesAs ?? 'dmy') }} · </template
                    >rules {{ one.dataVersion }}<template v-if="one.takenBackAt"> · taken back {{ at(one.takenBackAt) }}</template>
                </p>
            </li>
        </ul>
    </section>
</template>
