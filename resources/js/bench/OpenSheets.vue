<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { computed } from 'vue'
import { vRoving } from '../ui/roving'
import { useSheet } from './useSheet'

/** The other sheets that lie on the bench, as the edges of papers under this one. */
const { open, id, sheet, putAway, go, clear, bringBack } = useSheet()
const papers = computed(() =>
    [...open.value]
        .sort((one, two) => one.id.localeCompare(two.id))
        .map((one) => ({ ...one, title: one.id === id.value ? sheet.value.title : one.title })),
)
</script>

<template>
    <nav v-if="papers.length > 1 || putAway !== null" class="papers" aria-label="Sheets on the bench">
        <ul v-roving>
            <li v-for="one in papers" :key="one.id" class="papers__edge" :class="{ 'papers__edge--here': one.id === id }">
                <button type="button" class="papers__go" :aria-current="one.id === id ? 'page' : undefined" @click="go(one.id)">
                    {{ one.title.trim() === '' ? 'Untitled sheet' : one.title }}
                </button>
                <button
                    type="button"
                    class="papers__clear"
                    :aria-label="`Put “${one.title.trim() === '' ? 'Untitled sheet' : one.title}” away`"
                    @click="clear(one.id)"
                >
                    <v-icon :icon="mdiClose" size="18" aria-hidden="true" />
                </button>
            </li>
        </ul>
        <p v-if="putAway !== null" class="papers__back" role="status">
            “{{ putAway.draft.sheet.title.trim() === '' ? 'Untitled sheet' : putAway.draft.sheet.title }}” was put away.
            <v-btn class="link" @click="bringBack">Bring it back</v-btn>
        </p>
    </nav>
</template>
