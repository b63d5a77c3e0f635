<script setup lang="ts">
import { findNext, findPrevious, replaceAll, search, SearchQuery, setSearchQuery } from '@codemirror/search'
import { StateEffect } from '@codemirror/state'
import { computed, nextTick, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { useSheet } from './useSheet'

/** Finds words on the sheet, and puts others in their place. */
const emit = defineEmits<{ close: [] }>()
const { paper, sheet } = useSheet()
const words = ref('')
const instead = ref('')
const field = ref<{ focus: () => void; select: () => void } | null>(null)
const query = computed(() => new SearchQuery({ search: words.value, replace: instead.value, literal: true }))

const count = computed(() => {
    if (words.value === '' || sheet.value.text + sheet.value.steps === '') return 0
    let found = 0
    for (const cursor = query.value.getCursor(paper.state); cursor.next().done !== true;) found++

    return found
})

let added = false
function ask(): void {
    const view = paper.shownIn
    if (view === null) return
    if (!added) view.dispatch({ effects: StateEffect.appendConfig.of(search({ createPanel: () => ({ dom: document.createElement('span') }) })) })
    added = true
    view.dispatch({ effects: setSearchQuery.of(query.value) })
}
watch([words, instead], ask)

function go(forward: boolean): void {
    const view = paper.shownIn
    if (view === null || words.value === '') return
    ask()
    ;(forward ? findNext : findPrevious)(view)
    void nextTick(() => field.value?.focus())
}

function replace(): void {
    const view = paper.shownIn
    if (view === null || words.value === '') return
    ask()
    replaceAll(view)
    field.value?.focus()
}

onMounted(() => {
    const { main } = paper.state.selection
    words.value = paper.state.sliceDoc(main.from, main.to).split('\n')[0] ?? ''
    field.value?.focus()
    field.value?.select()
})
onBeforeUnmount(() => {
    paper.shownIn?.dispatch({ effects: setSearchQuery.of(new SearchQuery({ search: '' })) })
})
</script>

<template>
    <form class="find-bar" role="search" aria-label="Find on the sheet" @submit.prevent="go(true)" @keydown.esc.prevent.stop="emit('close')">
        <v-text-field ref="field" v-model="words" class="field--long" label="Find" autocomplete="off" @keydown.enter.shift.prevent="go(false)" />
        <span class="hint" role="status">{{ words === '' ? '' : count === 0 ? 'not on the sheet' : `${count} times` }}</span>
        <v-btn variant="outlined" @click="go(false)">Before</v-btn>
        <v-btn variant="outlined" type="submit">Next</v-btn>
        <v-text-field v-model="instead" class="field--long" label="Put in its place" autocomplete="off" />
        <v-btn variant="outlined" :disabled="count === 0" @click="replace">Replace all</v-btn>
        <v-btn @click="emit('close')">Close</v-btn>
    </form>
</template>
