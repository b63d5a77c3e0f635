<script setup lang="ts">
import { computed } from 'vue'

/** A day as a leaf torn off a calendar. */
const props = defineProps<{ on: string; at: string | null }>()
const part = (options: Intl.DateTimeFormatOptions): string =>
    new Intl.DateTimeFormat('en-GB', { ...options, timeZone: 'UTC' }).format(new Date(`${props.on}T12:00:00Z`))
const day = computed(() => part({ day: 'numeric' }))
const month = computed(() => part({ month: 'long' }))
const weekday = computed(() => part({ weekday: 'long' }))
</script>

<template>
    <span class="day-leaf"
        ><small>{{ month }}</small
        ><b>{{ day }}</b
        ><small
            >{{ weekday }}<template v-if="at !== null">, {{ at }}</template></small
        ></span
    >
</template>
