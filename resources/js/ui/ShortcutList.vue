<script setup lang="ts">
import { KEYS } from './keys'

const open = defineModel<boolean>({ required: true })
</script>

<template>
    <v-dialog v-model="open" max-width="560" aria-labelledby="keys-title">
        <div class="paper">
            <h2 id="keys-title">Keys that work here</h2>
            <dl class="keys">
                <template v-for="key in KEYS" :key="key.id"
                    ><dt>
                        <kbd>{{ key.shown }}</kbd>
                    </dt>
                    <dd>{{ key.does }}</dd></template
                >
            </dl>
            <p class="hint">Tab goes from one thing to the next. A row of doors is one stop, and the arrows go along it.</p>
            <p class="paper__ends"><v-btn variant="tonal" @click="open = false">Close</v-btn></p>
        </div>
    </v-dialog>
</template>
