<script setup lang="ts">
import { ref, watch } from 'vue'
import { usePerson } from './usePerson'

/** Who stands at this device: a name, until there is sign-in. */
withDefaults(defineProps<{ does?: string; label?: string }>(), { does: 'Baking', label: 'Who is baking' })
const { name, call } = usePerson()
const typed = ref(name.value)
watch(name, (now) => {
    typed.value = now
})
</script>

<template>
    <label class="oven__person"
        ><span>{{ does }}</span
        ><input v-model="typed" type="text" maxlength="60" autocomplete="off" :aria-label="label" @change="call(typed)" @keydown.enter="call(typed)"
    /></label>
</template>
