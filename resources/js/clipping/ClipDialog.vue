<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { api } from '../api/client'
import type { Clipping, ReadAnswer } from '../api/types.generated'
import { wordsOf } from '../kitchen/useKitchen'
import FoldPart from '../ui/FoldPart.vue'
import TalkView from './TalkView.vue'
import { mdiFileUploadOutline } from '@mdi/js'

/** Brings recipes in from outside: a saved page, JSON-LD, Markdown or plain text, pasted or dropped. */
const open = defineModel<boolean>({ required: true })
const props = withDefaults(defineProps<{ brought?: string }>(), { brought: '' })
const content = ref('')
const emit = defineEmits<{ take: [clipping: Clipping]; keep: [clippings: Clipping[]] }>()

const BIGGEST = 11_000_000

/** What was pasted or dropped on the sheet and is no plain text comes here by itself. */
const found = ref<ReadAnswer | null>(null)
/** Recipes that were told stand beside the talk; what was written down needs no such table. */
const isTold = computed(
    () => found.value !== null && found.value.recipes.length > 0 && found.value.recipes.every((one) => (one.lines ?? []).length > 0),
)
const problem = ref<string | null>(null)
const reading = ref(false)
const over = ref(false)

watch(
    open,
    (is) => {
        if (!is || props.brought === '') return
        content.value = props.brought
        void read()
    },
    { immediate: true },
)

async function read(): Promise<void> {
    if (content.value.trim() === '') {
        problem.value = 'Paste something first, or drop a file here.'
        return
    }
    reading.value = true
    problem.value = null
    try {
        found.value = await api.read(content.value)
    } catch (error) {
        problem.value = wordsOf(error)
    }
    reading.value = false
}

async function takeFile(file: File | undefined): Promise<void> {
    over.value = false
    if (file === undefined) return
    if (file.size > BIGGEST) {
        problem.value = `${file.name} is larger than 11 MB: save the recipe alone and bring that.`
        return
    }
    content.value = await file.text()
    await read()
}

function take(clipping: Clipping): void {
    emit('take', clipping)
    close()
}

function keepAll(): void {
    if (found.value !== null) emit('keep', found.value.recipes)
    close()
}

/** It was taken: the next begins with nothing. */
function close(): void {
    leave()
    found.value = null
    content.value = ''
}

/** Put aside, as it is: what was pasted is there again. */
function leave(): void {
    open.value = false
    problem.value = null
}
/** "3 lines", "1 step", "no steps". */
function counted(text: string, word: string): string {
    const count = text === '' ? 0 : text.split('\n').length
    return `${count === 0 ? 'no' : String(count)} ${word}${count === 1 ? '' : 's'}`
}
</script>

<template>
    <v-dialog v-model="open" :max-width="isTold ? 1120 : 760" scrollable aria-labelledby="clip-title">
        <div class="paper clip">
            <h2 id="clip-title">Bring a recipe in</h2>
            <template v-if="found === null">
                <p>
                    Paste it here as you have it: a talk, a list, a saved web page, a JSON-LD file, Markdown. Or drop the file. Nothing in it is run,
                    and only words reach the sheet.
                </p>
                <div
                    :class="{ clip__over: over }"
                    @dragover.prevent="over = true"
                    @dragleave="over = false"
                    @drop.prevent="takeFile($event.dataTransfer?.files[0])"
                >
                    <v-textarea v-model="content" label="The recipe as you have it" rows="10" :auto-grow="false" />
                </div>
                <v-file-input
                    label="Or choose a file"
                    accept=".html,.htm,.json,.jsonld,.md,.markdown,.txt,text/*,application/json,application/ld+json"
                    :prepend-icon="mdiFileUploadOutline"
                    @update:model-value="takeFile(Array.isArray($event) ? $event[0] : $event)"
                />
                <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
                <p class="paper__ends">
                    <v-btn @click="leave">Leave it</v-btn><v-btn variant="flat" color="primary" :loading="reading" @click="read">Read it</v-btn>
                </p>
            </template>
            <template v-else>
                <p role="status">
                    {{
                        found.recipes.length === 0
                            ? 'No recipe was found in it.'
                            : found.recipes.length === 1
                              ? 'One recipe was found.'
                              : `${found.recipes.length} recipes were found.`
                    }}
                </p>
                <TalkView v-if="isTold" :content="content" :sheets="found.recipes" @take="take" />
                <ul v-else class="clip__found">
                    <li v-for="(one, index) in found.recipes" :key="index" class="slip">
                        <h3>{{ one.title }}</h3>
                        <p class="slip__text">
                            {{ counted(one.text, 'line') }}, {{ counted(one.steps, 'step')
                            }}<template v-if="one.yield"> · makes {{ one.yield }}</template
                            ><template v-if="one.times.bakeMinutes"> · {{ one.times.bakeMinutes }} minutes in the oven</template
                            ><template v-if="one.source"> · {{ one.source }}</template>
                        </p>
                        <ul v-if="(one.doubts ?? []).length > 0" class="doubts" aria-label="Doubts">
                            <li v-for="doubt in one.doubts" :key="doubt.text + doubt.question">
                                <q>{{ doubt.text }}</q> {{ doubt.question }}
                            </li>
                        </ul>
                        <v-btn variant="tonal" @click="take(one)">Lay it on the bench</v-btn>
                    </li>
                </ul>
                <FoldPart v-if="found.notUnderstood.length > 0" :title="`Not understood (${found.notUnderstood.length})`"
                    ><ul class="assumed">
                        <li v-for="one in found.notUnderstood" :key="one">{{ one }}</li>
                    </ul></FoldPart
                >
                <FoldPart v-if="(found.setAside ?? []).length > 0" :title="`Set aside (${(found.setAside ?? []).length})`"
                    ><ul class="assumed">
                        <li v-for="(one, n) in found.setAside" :key="n">{{ one.said }}</li>
                    </ul></FoldPart
                >
                <p class="paper__ends">
                    <v-btn @click="found = null">Back</v-btn>
                    <v-btn v-if="found.recipes.length > 1" variant="outlined" @click="keepAll">Keep all on the shelf</v-btn>
                    <v-btn @click="leave">Close</v-btn>
                </p>
            </template>
        </div>
    </v-dialog>
</template>
