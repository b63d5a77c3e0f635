import { useEventListener, useIntervalFn, useSpeechSynthesis, useStorage, useWakeLock, useWebNotification } from '@vueuse/core'
import { computed, onScopeDispose, ref, watch, type Ref } from 'vue'
import { kitchenTime } from '../api/client'
import type { Timer } from './log'

const TICK_MS = 200
const RING_EVERY_MS = 4_000

/** Three short tones, out of the page itself. */
function ring(context: AudioContext): void {
    for (const [n, pitch] of [880, 1175, 880].entries()) {
        const tone = context.createOscillator()
        const volume = context.createGain()
        const at = context.currentTime + n * 0.22
        tone.frequency.value = pitch
        volume.gain.setValueAtTime(0.0001, at)
        volume.gain.exponentialRampToValueAtTime(0.35, at + 0.02)
        volume.gain.exponentialRampToValueAtTime(0.0001, at + 0.2)
        tone.connect(volume).connect(context.destination)
        tone.start(at)
        tone.stop(at + 0.21)
    }
}

/** The time at the oven: it goes on by moments, not by counting, so that sleep, a reload or a closed lid change nothing. */
export function useAlarm(timers: Ref<Timer[]>) {
    const now = ref(kitchenTime())
    useIntervalFn(() => {
        now.value = kitchenTime()
    }, TICK_MS)
    const look = (): void => {
        now.value = kitchenTime()
    }
    useEventListener(document, 'visibilitychange', look)
    useEventListener(window, 'pageshow', look)
    useEventListener(window, 'focus', look)

    const ringing = computed(() => timers.value.filter((one) => !one.isStopped && one.endsAt <= now.value))
    const running = computed(() => timers.value.filter((one) => !one.isStopped && one.endsAt > now.value).sort((one, two) => one.endsAt - two.endsAt))

    let context: AudioContext | null = null
    /** a browser lets a page sound once somebody has touched it */
    const wake = (): void => {
        if ('AudioContext' in window) context ??= new AudioContext()
    }
    useEventListener(window, 'pointerdown', wake, { once: true })
    useEventListener(window, 'keydown', wake, { once: true })
    const isQuiet = useStorage('mildbowl.oven.quiet', false)
    const { isSupported: canNotify, permissionGranted, ensurePermissions, show } = useWebNotification({ requestPermissions: false })
    let sounded = 0
    watch(
        [ringing, now],
        () => {
            if (ringing.value.length === 0) {
                sounded = 0
                return
            }
            if (now.value - sounded < RING_EVERY_MS) return
            const isFirst = sounded === 0
            sounded = now.value
            if (context !== null && !isQuiet.value) ring(context)
            if (isFirst && permissionGranted.value && document.hidden)
                void show({ title: `Ready to look: ${ringing.value.map((one) => one.name).join(', ')}`, tag: 'mildbowl-oven' })
        },
        { deep: false },
    )
    onScopeDispose(() => {
        void context?.close()
    })

    return { now, ringing, running, isQuiet, canNotify, permissionGranted, ensurePermissions }
}

/** The screen stays awake while a batch is made; where a browser cannot, it is said. */
export function useAwake(wanted: Ref<boolean>) {
    const { isSupported, isActive, request, release } = useWakeLock()
    watch(
        wanted,
        (is) => {
            if (!isSupported.value) return
            void (is ? request('screen') : release()).catch(() => undefined)
        },
        { immediate: true },
    )

    return { canStayAwake: isSupported, isAwake: isActive }
}

/** The step in spoken words, where the browser has a voice; it is always shown. */
export function useVoice(words: Ref<string>) {
    const speaks = useStorage('mildbowl.oven.speaks', false)
    const { isSupported, speak, stop } = useSpeechSynthesis(words, { lang: 'en-GB', rate: 0.95 })
    watch([words, speaks], ([said, does], [before, did]) => {
        if (!isSupported.value) return
        if (!does) {
            if (did) stop()
            return
        }
        if (said !== '' && (said !== before || !did)) speak()
    })

    return { canSpeak: isSupported, speaks, say: speak }
}
