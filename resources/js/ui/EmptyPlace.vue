<script setup lang="ts">
/** A place with nothing in it yet: what it will hold, and the one thing to do first. */
defineProps<{ title: string }>()
</script>

<template>
    <section class="empty">
        <svg viewBox="0 0 220 120" width="220" height="120" aria-hidden="true">
            <path d="M20 34h180a90 78 0 0 1-180 0z" class="empty__bowl" />
            <ellipse cx="110" cy="34" rx="90" ry="15" class="empty__rim" />
        </svg>
        <h2>{{ title }}</h2>
        <p><slot /></p>
        <p class="empty__acts"><slot name="acts" /></p>
    </section>
</template>
