<script setup lang="ts">
const open = defineModel<boolean>({ required: true })

const keys = [
    ['Enter', 'a new line below; splits the line where the cursor is'],
    ['Backspace', 'at the start of a line: joins it to the one above'],
    ['↑ ↓', 'to the line above or below'],
    ['Alt + ↑ ↓', 'moves the line'],
    ['Alt + F', 'opens what was found on this line'],
    ['Alt + W', 'what may stand in for this line; ↑ ↓ walk, Enter takes, Esc leaves'],
    ['Alt + R', 'rescues the whole recipe'],
    ['Alt + D', 'to the dogs at the table'],
    ['Alt + C', 'to the cut'],
    ['Alt + S', 'keeps the sheet on the shelf'],
    ['Ctrl + Z', 'takes back the last change of the sheet'],
    ['Alt + U', 'the cut studio'],
    ['Alt + 1 … 7', 'Bench, Dogs, Shelf, Pantry, Rule book, House rules, Chart'],
    ['Alt + X', 'a dog ate something: the raid sheet'],
    ['?', 'this list, when you are not typing'],
]
</script>

<template>
    <v-dialog v-model="open" max-width="520" aria-labelledby="keys-title">
        <div class="paper">
            <h2 id="keys-title">Keys on the bench</h2>
            <dl class="keys">
                <template v-for="[key, what] in keys" :key="key"><dt><kbd>{{ key }}</kbd></dt><dd>{{ what }}</dd></template>
            </dl>
            <v-btn variant="tonal" @click="open = false">Close</v-btn>
        </div>
    </v-dialog>
</template>
