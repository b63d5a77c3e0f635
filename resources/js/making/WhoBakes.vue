<script setup lang="ts">
import { computed, ref } from 'vue'
import { usePerson } from './usePerson'

/** Who stands at this device: a name, until there is sign-in. */
withDefaults(defineProps<{ does?: string; label?: string }>(), { does: 'Baking', label: 'Who is baking' })
const { name, call } = usePerson()
/** what is in hand: the name that arrives with the kitchen does not write over it */
const typing = ref<string | null>(null)
const shown = computed({
    get: () => typing.value ?? name.value,
    set: (word: string) => {
        typing.value = word
    },
})

function done(): void {
    if (typing.value !== null) call(typing.value)
    typing.value = null
}
</script>

<template>
    <label class="oven__person"
        ><span>{{ does }}</span
        ><input v-model="shown" type="text" maxlength="60" autocomplete="off" :aria-label="label" @blur="done" @keydown.enter="done"
    /></label>
</template>
