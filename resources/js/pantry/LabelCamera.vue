<script setup lang="ts">
import { onBeforeUnmount, onMounted, ref, useTemplateRef } from 'vue'

/** What the camera of this device sees, until the photograph is taken. */
const emit = defineEmits<{ taken: [file: File]; close: [] }>()
const film = useTemplateRef('film')
const problem = ref<string | null>(null)
let stream: MediaStream | null = null
let isGone = false

onMounted(async () => {
    try {
        stream = await navigator.mediaDevices.getUserMedia({
            video: { facingMode: 'environment', width: { ideal: 2560 }, height: { ideal: 1440 } },
        })
        if (isGone) stop()
        else if (film.value !== null) film.value.srcObject = stream
    } catch {
        problem.value = 'This device has no camera, or it may not be used here: allow it in the browser, or choose a picture.'
    }
})

function stop(): void {
    for (const track of stream?.getTracks() ?? []) track.stop()
}
onBeforeUnmount(() => {
    isGone = true
    stop()
})

function take(): void {
    const from = film.value
    if (from === null || from.videoWidth === 0) return
    const canvas = document.createElement('canvas')
    canvas.width = from.videoWidth
    canvas.height = from.videoHeight
    canvas.getContext('2d')?.drawImage(from, 0, 0)
    canvas.toBlob(
        (blob) => {
            if (blob !== null) emit('taken', new File([blob], 'photograph.jpg', { type: 'image/jpeg' }))
        },
        'image/jpeg',
        0.95,
    )
}
</script>

<template>
    <div class="label-camera">
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <video v-else ref="film" class="label-camera__film" autoplay muted playsinline aria-label="What the camera sees" />
        <p class="paper__ends">
            <v-btn @click="emit('close')">Leave it</v-btn
            ><v-btn v-if="problem === null" variant="flat" color="primary" @click="take">Take the photograph</v-btn>
        </p>
    </div>
</template>
