<script setup lang="ts">
import { onMounted, ref } from 'vue'
import type { ConfirmationFields } from '../api/client'
import type { ConfirmationRecord } from '../api/types.generated'
import { useCollection } from '../kitchen/useCollection'
import { wordsOf } from '../kitchen/useKitchen'
import { LEVELS } from '../ui/levels'

/** Who said when that a label was read or a vet was asked, and the words they were shown. */
const records = useCollection<ConfirmationRecord, ConfirmationFields>('confirmations')
const known = ref(false)
const problem = ref<string | null>(null)

onMounted(async () => {
    try {
        await records.load()
        known.value = true
    } catch (error) {
        problem.value = wordsOf(error)
    }
})

function at(time: string): string {
    return new Date(time).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' })
}
</script>

<template>
    <section>
        <h2>What was confirmed</h2>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <p v-if="known && records.items.length === 0" class="hint">Nothing yet. When you say on the bench that a label was read or a vet was asked, it is written down here.</p>
        <ul class="products">
            <li v-for="one in records.items" :key="one.id" class="slip">
                <p><strong>{{ one.saidBy }}</strong>, {{ at(one.saidAt) }}: {{ LEVELS[one.level].word.toLowerCase() }}<template v-if="one.dog"> for {{ one.dog }}</template><template v-if="one.recipeTitle"> in {{ one.recipeTitle }}</template></p>
                <p v-if="one.line" class="slip__text">{{ one.line }}</p>
                <p><q>{{ one.words }}</q></p>
                <p class="hint">rules {{ one.dataVersion }}<template v-if="one.takenBackAt"> · taken back {{ at(one.takenBackAt) }}</template></p>
            </li>
        </ul>
    </section>
</template>
