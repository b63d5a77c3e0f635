<script setup lang="ts">
import { KEYS } from './keys'

const open = defineModel<boolean>({ required: true })
</script>

<template>
    <v-dialog v-model="open" max-width="560" aria-labelledby="keys-title">
        <div class="paper">
            <h2 id="keys-title">Keys that work here</h2>
            <dl class="keys">
                <template v-for="key in KEYS" :key="key.id"><dt><kbd>{{ key.shown }}</kbd></dt><dd>{{ key.does }}</dd></template>
                <dt><kbd>Tab</kbd></dt><dd>from one to the next; a row of doors is one stop, and the arrows go along it</dd>
            </dl>
            <p class="paper__ends"><v-btn variant="tonal" @click="open = false">Close</v-btn></p>
        </div>
    </v-dialog>
</template>
