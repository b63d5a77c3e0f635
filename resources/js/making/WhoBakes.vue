<script setup lang="ts">
import { ref, watch } from 'vue'
import { usePerson } from './usePerson'

/** Who stands at this device: a name, until there is sign-in. */
const { name, call } = usePerson()
const typed = ref(name.value)
watch(name, (now) => {
    typed.value = now
})
</script>

<template>
    <label class="oven__person"
        ><span>Baking</span
        ><input
            v-model="typed"
            type="text"
            maxlength="60"
            autocomplete="off"
            aria-label="Who is baking"
            @change="call(typed)"
            @keydown.enter="call(typed)"
    /></label>
</template>
