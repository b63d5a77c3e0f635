<script setup lang="ts">
/** What a stool looks like, drawn from hard crumbs to water. */
defineProps<{ step: number }>()
</script>

<template>
    <svg viewBox="0 0 64 44" class="stool" aria-hidden="true">
        <path d="M4 39 H60" class="stool__floor" />
        <g v-if="step === 1" class="stool__body">
            <circle cx="16" cy="33" r="5" />
            <circle cx="28" cy="34" r="4" />
            <circle cx="39" cy="33" r="5.5" />
            <circle cx="50" cy="35" r="3.5" />
            <circle cx="33" cy="25" r="4" />
        </g>
        <g v-else-if="step === 2" class="stool__body">
            <rect x="9" y="28" width="46" height="10" rx="5" />
            <path d="M21 28 v10 M33 28 v10 M45 28 v10" class="stool__crack" />
        </g>
        <g v-else-if="step === 3" class="stool__body">
            <path d="M9 33 Q9 26 18 27 L48 25 Q56 26 55 32 Q54 38 46 38 H17 Q9 39 9 33z" />
            <path d="M18 30 Q32 27 46 29" class="stool__shine" />
        </g>
        <g v-else-if="step === 4" class="stool__body">
            <path d="M7 39 Q6 29 17 31 Q22 22 32 28 Q42 22 47 31 Q58 30 57 39z" />
        </g>
        <g v-else-if="step === 5" class="stool__body">
            <path d="M6 39 Q12 31 20 33 Q24 25 33 27 Q42 25 44 33 Q53 31 58 39z" />
            <path d="M22 36 Q32 31 42 36" class="stool__shine" />
        </g>
        <g v-else-if="step === 6" class="stool__body">
            <path d="M4 39 Q10 34 22 35 Q30 31 40 35 Q54 34 60 39z" />
            <path d="M18 37.4 q4 -1.6 8 0 M34 37.4 q5 -1.8 9 0" class="stool__shine" />
        </g>
        <g v-else class="stool__body stool__body--water">
            <path d="M3 39 Q20 35.5 32 36.5 Q46 35 61 39 Q46 42 32 41.4 Q16 42.4 3 39z" />
            <path d="M22 24 q3 5 0 7 q-3 -2 0 -7z M40 19 q3 5 0 7 q-3 -2 0 -7z" />
        </g>
    </svg>
</template>
