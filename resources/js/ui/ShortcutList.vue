<script setup lang="ts">
import { KEYS } from './keys'

const open = defineModel<boolean>({ required: true })
</script>

<template>
    <v-dialog v-model="open" max-width="520" aria-labelledby="keys-title">
        <div class="paper">
            <h2 id="keys-title">Keys on the bench</h2>
            <dl class="keys">
                <template v-for="key in KEYS" :key="key.id"><dt><kbd>{{ key.shown }}</kbd></dt><dd>{{ key.does }}</dd></template>
            </dl>
            <v-btn variant="tonal" @click="open = false">Close</v-btn>
        </div>
    </v-dialog>
</template>
