<script setup lang="ts">
import { BODY, bodyId } from './bodies'

/** What the drawings of bags are cut out with, once for a page. */
</script>

<template>
    <svg width="0" height="0" aria-hidden="true" class="bag-bodies">
        <clipPath v-for="(path, shape) in BODY" :id="bodyId(shape)" :key="shape"><path :d="path" /></clipPath>
    </svg>
</template>
