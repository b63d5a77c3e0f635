<script setup lang="ts">
/** Some out of many, found by typing; each that was taken stands as a chip that can be let go. */
withDefaults(defineProps<{ label: string; items: { id: string; name: string }[]; hint?: string; problem?: string | null; own?: boolean }>(), {
    hint: '',
    problem: null,
    own: false,
})
const chosen = defineModel<string[]>({ required: true })
</script>

<template>
    <v-combobox
        v-if="own"
        v-model="chosen"
        :label="label"
        :items="items.map((one) => one.name)"
        :hint="hint"
        persistent-hint
        :error-messages="problem === null ? [] : [problem]"
        multiple
        chips
        closable-chips
        clear-on-select
        hide-selected
        :delimiters="[',', ';']"
    />
    <v-autocomplete
        v-else
        v-model="chosen"
        :label="label"
        :items="items"
        item-title="name"
        item-value="id"
        :hint="hint"
        persistent-hint
        :error-messages="problem === null ? [] : [problem]"
        multiple
        chips
        closable-chips
        clear-on-select
        hide-selected
        auto-select-first
        no-data-text="Nothing is called so here."
    />
</template>
