<script setup lang="ts">
import { onMounted, onUpdated, ref, watch } from 'vue'
import { around, type Doubt } from './doubts'

/** Words that were not read for sure, each beside what stands in the picture: said to be right, or mended. */
const props = defineProps<{ list: string; doubts: Doubt[]; picture: HTMLCanvasElement | null; poor: string | null }>()
const emit = defineEmits<{ settle: [doubt: Doubt, word: string]; all: [] }>()
const words = ref<string[]>([])
const canvases = ref<HTMLCanvasElement[]>([])

watch(
    () => props.doubts,
    (doubts, before) => {
        // what is being typed of a word stays while another is settled
        words.value = doubts.map((one) => {
            const was =
                before?.findIndex((other) => other.text === one.text && other.box?.left === one.box?.left && other.box?.top === one.box?.top) ?? -1
            return words.value[was] ?? one.text
        })
    },
    { immediate: true },
)

/** So much of the picture round a word is shown. */
const ROUND = 0.8
const HIGH = 44

function draw(): void {
    for (const canvas of canvases.value) {
        const box = props.doubts[Number(canvas.dataset['n'])]?.box
        if (props.picture === null || box === null || box === undefined) continue
        const edge = Math.round(ROUND * box.height)
        const part = { left: box.left - 2 * edge, top: box.top - edge, width: box.width + 4 * edge, height: box.height + 2 * edge }
        canvas.height = 2 * HIGH
        canvas.width = Math.round((2 * HIGH * part.width) / part.height)
        canvas.getContext('2d')?.drawImage(props.picture, part.left, part.top, part.width, part.height, 0, 0, canvas.width, canvas.height)
    }
}
onMounted(draw)
onUpdated(draw)
</script>

<template>
    <section v-if="doubts.length > 0" class="doubts" aria-labelledby="doubts-title">
        <h3 id="doubts-title">{{ doubts.length === 1 ? 'One word' : `${doubts.length} words` }} to look at</h3>
        <p v-if="poor !== null" class="problem" role="alert">{{ poor }}</p>
        <ol class="doubts__list">
            <li v-for="(one, n) in doubts" :key="`${one.span[0]} ${one.text}`" class="word-doubt">
                <canvas
                    v-if="picture !== null && one.box !== null"
                    ref="canvases"
                    :data-n="n"
                    class="word-doubt__seen"
                    role="img"
                    :aria-label="`How “${one.text}” stands on the label`"
                />
                <span v-else class="word-doubt__seen word-doubt__seen--words"
                    >{{ around(list, one.span).before }}<mark>{{ one.text }}</mark
                    >{{ around(list, one.span).after }}</span
                >
                <form class="word-doubt__says" @submit.prevent="emit('settle', one, words[n] ?? one.text)">
                    <input
                        v-model="words[n]"
                        class="word-doubt__word"
                        :aria-label="`The word read as “${one.text}”`"
                        maxlength="80"
                        autocomplete="off"
                        spellcheck="false"
                    />
                    <v-btn type="submit" size="small" variant="outlined">{{
                        (words[n] ?? one.text) === one.text ? 'It is right' : 'So it is'
                    }}</v-btn>
                </form>
            </li>
        </ol>
        <p v-if="doubts.length > 2"><v-btn variant="text" @click="emit('all')">I have compared them all: they are right</v-btn></p>
    </section>
</template>
