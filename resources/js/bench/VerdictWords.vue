<script setup lang="ts">
import { computed } from 'vue'
import { useQuestion } from './useQuestion'

/** What the whole comes to, in a sentence; it is only said of the text that stands on the sheet. */
const emit = defineEmits<{ rescue: [] }>()
const { answer, freshness } = useQuestion()

const verdict = computed(() => {
    const given = answer.value
    if (given === null) return null
    if (given.lines.length === 0) return { stop: true, words: 'No line with a food in it yet.' }
    const dogs = given.verdict.dogs
    const waiting = dogs.filter((dog) => !dog.cleared).map((dog) => dog.name)
    if (given.verdict.cleared) {
        return {
            stop: false,
            words:
                dogs.length === 0
                    ? 'Nothing found that stops this batch. No dog is at the table yet.'
                    : `Nothing found that stops this batch for ${list(dogs.map((dog) => dog.name))}.`,
        }
    }

    return { stop: true, words: waiting.length === 0 ? 'Not cleared: see the marks on the sheet.' : `Not cleared for ${list(waiting)}.` }
})

const poisons = computed(
    () =>
        [...(answer.value?.lines ?? []), ...(answer.value?.steps ?? [])].filter((one) => one.findings.some((finding) => finding.level === 'never'))
            .length,
)

const checked = computed(() => {
    const given = answer.value
    if (given === null) return ''
    const lines = given.lines.length
    const unread = given.lines.filter((line) => line.ingredient === null).length

    return `Checked ${lines} line${lines === 1 ? '' : 's'}${given.steps.length > 0 ? ` and ${given.steps.length} step${given.steps.length === 1 ? '' : 's'}` : ''} against the never list, labels, doses, allergies and conditions${unread > 0 ? `; ${unread} could not be read` : ''}.`
})

function list(names: string[]): string {
    return names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names[names.length - 1] ?? ''}`
}
</script>

<template>
    <div v-if="freshness === 'late'" class="verdict verdict--stop" role="status">
        <p class="verdict__words">Not checked yet.</p>
        <p class="verdict__checked">What stands below and in the margin was said of the sheet as it was before.</p>
    </div>
    <div v-else-if="verdict !== null" class="verdict" :class="{ 'verdict--stop': verdict.stop, 'verdict--poison': poisons > 0 }" role="status">
        <p class="verdict__words">{{ verdict.words }}</p>
        <p v-if="poisons > 0" class="verdict__poison">
            {{ poisons }} line{{ poisons === 1 ? '' : 's' }} must be swapped or taken out: no amount is acceptable.
        </p>
        <p class="verdict__checked">{{ checked }}</p>
        <p class="verdict__acts">
            <v-btn variant="tonal" @click="emit('rescue')">{{ verdict.stop ? 'Rescue this recipe' : 'Change it towards a goal' }}</v-btn>
        </p>
    </div>
</template>
