<script setup lang="ts">
import { mdiCameraOutline, mdiImageOutline, mdiRotateLeft, mdiRotateRight } from '@mdi/js'
import { useEventListener } from '@vueuse/core'
import { computed, nextTick, ref, shallowRef, useTemplateRef } from 'vue'
import { api } from '../api/client'
import type { LabelPhoto } from '../api/types.generated'
import { asJpeg, drawn, openPicture } from '../kitchen/photographs'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import IconButton from '../ui/IconButton.vue'
import TogglePill from '../ui/TogglePill.vue'
import LabelCamera from './LabelCamera.vue'

/** A photograph of a label: taken, chosen, dropped or pasted; turned and cut to its list here; read by the kitchen, on this machine. */
const emit = defineEmits<{ read: [answer: LabelPhoto, picture: HTMLCanvasElement] }>()
const kitchen = useKitchen()
const problem = ref<string | null>(null)
const working = ref(false)
const films = ref(false)
const picture = shallowRef<HTMLCanvasElement | null>(null)
const canvas = useTemplateRef('canvas')
const frame = useTemplateRef('frame')
const chooser = useTemplateRef('chooser')
const taker = useTemplateRef('taker')

/** More points than this read no better. */
const LONGEST = 2200
const QUALITY = 0.9
/** On the page. */
const SHOWN = 900
const LEAST = 0.05
const STEP = 0.02

type Corner = 'lt' | 'rt' | 'lb' | 'rb'
const CORNERS: Record<Corner, string> = { lt: 'Upper left', rt: 'Upper right', lb: 'Lower left', rb: 'Lower right' }
const part = ref({ l: 0, t: 0, r: 1, b: 1 })
const NAMES: Record<string, string> = { en: 'English', de: 'German', fr: 'French', es: 'Spanish', it: 'Italian' }
type Language = keyof typeof NAMES & LabelPhoto['languages'][number]
const languages = ref<Language[]>([...(kitchen.kitchen?.labelLanguages ?? ['en'])])

async function show(): Promise<void> {
    await nextTick()
    const context = canvas.value?.getContext('2d')
    if (picture.value === null || canvas.value === null || context === null || context === undefined) return
    const small = drawn(picture.value, SHOWN)
    canvas.value.width = small.width
    canvas.value.height = small.height
    context.drawImage(small, 0, 0)
}

async function take(file: File | undefined | null): Promise<void> {
    if (file === undefined || file === null) return
    problem.value = null
    try {
        const opened = await openPicture(file)
        // what a telephone takes is larger than what is read
        picture.value = drawn(opened, 2 * LONGEST)
        opened.close()
        part.value = { l: 0, t: 0, r: 1, b: 1 }
        await show()
    } catch (error) {
        problem.value = error instanceof Error ? error.message : String(error)
    }
}

function chosen(event: Event): void {
    const input = event.target as HTMLInputElement
    void take(input.files?.[0])
    input.value = ''
}

function dropped(event: DragEvent): void {
    const file = event.dataTransfer?.files[0]
    if (file === undefined) problem.value = 'No file was dropped: drop a picture of the label, as a JPEG, PNG or WebP.'
    else void take(file)
}

useEventListener(window, 'paste', (event: ClipboardEvent) => {
    const file = [...(event.clipboardData?.files ?? [])].find((one) => one.type.startsWith('image/'))
    if (file === undefined) return
    event.preventDefault()
    void take(file)
})

function takePhotograph(): void {
    // a telephone has its own; a laptop's is shown here
    if (matchMedia('(pointer: coarse)').matches || !('mediaDevices' in navigator)) taker.value?.click()
    else films.value = true
}

function turn(clockwise: boolean): void {
    const from = picture.value
    if (from === null) return
    const to = document.createElement('canvas')
    to.width = from.height
    to.height = from.width
    const context = to.getContext('2d')
    context?.translate(to.width / 2, to.height / 2)
    context?.rotate(((clockwise ? 1 : -1) * Math.PI) / 2)
    context?.drawImage(from, -from.width / 2, -from.height / 2)
    picture.value = to
    const { l, t, r, b } = part.value
    part.value = clockwise ? { l: 1 - b, t: l, r: 1 - t, b: r } : { l: t, t: 1 - r, r: b, b: 1 - l }
    void show()
}

const held = (value: number, low: number, high: number): number => Math.min(high, Math.max(low, value))

function move(corner: Corner, x: number, y: number): void {
    const { l, t, r, b } = part.value
    part.value = {
        l: corner[0] === 'l' ? held(x, 0, r - LEAST) : l,
        r: corner[0] === 'r' ? held(x, l + LEAST, 1) : r,
        t: corner[1] === 't' ? held(y, 0, b - LEAST) : t,
        b: corner[1] === 'b' ? held(y, t + LEAST, 1) : b,
    }
}

const at = (corner: Corner): { x: number; y: number } => ({
    x: corner[0] === 'l' ? part.value.l : part.value.r,
    y: corner[1] === 't' ? part.value.t : part.value.b,
})

function drag(corner: Corner, event: PointerEvent): void {
    const box = frame.value?.getBoundingClientRect()
    if (event.buttons === 0 || box === undefined) return
    move(corner, (event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height)
}

const ARROWS: Record<string, [number, number]> = { ArrowLeft: [-STEP, 0], ArrowRight: [STEP, 0], ArrowUp: [0, -STEP], ArrowDown: [0, STEP] }
function nudge(corner: Corner, event: KeyboardEvent): void {
    const by = ARROWS[event.key]
    if (by === undefined) return
    event.preventDefault()
    move(corner, at(corner).x + by[0], at(corner).y + by[1])
}

const shade = computed(() => {
    const { l, t, r, b } = part.value
    const percent = (value: number): string => `${(100 * value).toFixed(2)}%`

    return { left: percent(l), top: percent(t), width: percent(r - l), height: percent(b - t) }
})

function speak(language: Language): void {
    const others = languages.value.filter((one) => one !== language)
    languages.value = languages.value.includes(language) ? (others.length === 0 ? languages.value : others) : [...languages.value, language]
}

async function read(): Promise<void> {
    const from = picture.value
    if (from === null) return
    working.value = true
    problem.value = null
    const { l, t, r, b } = part.value
    const cut = drawn(from, LONGEST, { left: l * from.width, top: t * from.height, width: (r - l) * from.width, height: (b - t) * from.height })
    try {
        const answer = await api.labelPhoto(asJpeg(cut, QUALITY), languages.value)
        if (languages.value.toSorted().join() !== (kitchen.kitchen?.labelLanguages ?? []).toSorted().join())
            void kitchen.change({ labelLanguages: languages.value }).catch(() => undefined)
        if (answer.list.trim() === '') problem.value = answer.poor ?? 'No print can be read in this picture.'
        else {
            emit('read', answer, cut)
            picture.value = null
        }
    } catch (error) {
        problem.value = wordsOf(error)
    } finally {
        working.value = false
    }
}
</script>

<template>
    <section class="label-photo" aria-label="From a photograph" @dragover.prevent @drop.prevent="dropped">
        <p v-if="picture === null" class="label-photo__ways">
            <v-btn variant="outlined" :prepend-icon="mdiCameraOutline" @click="takePhotograph">Photograph it</v-btn
            ><v-btn variant="outlined" :prepend-icon="mdiImageOutline" @click="chooser?.click()">Choose a picture</v-btn>
            <span class="hint">or drop or paste one here; it is read on this machine</span>
        </p>
        <input ref="chooser" class="unseen" type="file" accept="image/*" tabindex="-1" aria-label="A picture of the label" @change="chosen" />
        <input
            ref="taker"
            class="unseen"
            type="file"
            accept="image/*"
            capture="environment"
            tabindex="-1"
            aria-label="A photograph of the label"
            @change="chosen"
        />
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <LabelCamera v-if="films" @taken="((films = false), take($event))" @close="films = false" />
        <template v-if="picture !== null">
            <div ref="frame" class="label-photo__frame">
                <div class="label-photo__cut">
                    <canvas ref="canvas" role="img" aria-label="The photograph of the label" />
                    <div class="label-photo__part" :style="shade" />
                </div>
                <button
                    v-for="(name, corner) in CORNERS"
                    :key="corner"
                    type="button"
                    class="label-photo__corner"
                    :aria-label="`${name} corner of what is read; the arrow keys move it`"
                    :style="{ left: `${100 * at(corner).x}%`, top: `${100 * at(corner).y}%` }"
                    @pointerdown.prevent="($event.target as HTMLElement).setPointerCapture($event.pointerId)"
                    @pointermove="drag(corner, $event)"
                    @keydown="nudge(corner, $event)"
                />
            </div>
            <p class="label-photo__ways">
                <IconButton :icon="mdiRotateLeft" label="Turn it to the left" @click="turn(false)" />
                <IconButton :icon="mdiRotateRight" label="Turn it to the right" @click="turn(true)" />
                <span class="label-photo__languages" role="group" aria-label="In which languages it may be printed"
                    ><TogglePill
                        v-for="(name, language) in NAMES"
                        :key="language"
                        :on="languages.includes(language as Language)"
                        @click="speak(language as Language)"
                        >{{ name }}</TogglePill
                    ></span
                >
            </p>
            <p class="hint">Cut away what is not the list of ingredients: drag the corners. Upright, and as large as it goes, it is read best.</p>
            <p class="paper__ends">
                <v-btn :disabled="working" @click="picture = null">Another picture</v-btn
                ><v-btn variant="flat" color="primary" :loading="working" @click="read">Read it</v-btn>
            </p>
        </template>
    </section>
</template>
