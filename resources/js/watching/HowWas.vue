<script setup lang="ts">
import { computed, ref } from 'vue'
import type { AskAfter, DiarySaid, HowChoice } from '../api/types.generated'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import { tell } from '../ui/notices'
import HowTaken from './HowTaken.vue'
import SignPicker from './SignPicker.vue'
import { useDiary } from './useDiary'
import { useWaved } from './useWaved'

/** The morning after: of few dogs, why it is asked, and two taps that answer. Waved away, it is not asked again. */
const props = defineProps<{ asks: readonly AskAfter[] }>()
const kitchen = useKitchen()
const diary = useDiary()
const waved = useWaved()
const problem = ref<string | null>(null)
const busy = ref<string | null>(null)
const opened = ref<string | null>(null)
/** said just now, before the kitchen was asked anew */
const said = ref(new Set<string>())

const shown = computed(() =>
    props.asks
        .filter((one) => !waved.has(one.dog, one.on))
        .filter((one) => !said.value.has(`${one.dog} ${one.on}`))
        // what is on its way was said already
        .filter((one) => diary.withWaiting([], one.dog).every((of) => of.on !== one.on || (of.kind !== 'sign' && of.kind !== 'well')))
        .map((one) => {
            const known = new Set([...one.taken, ...diary.withWaiting([], one.dog).map((of) => of.said.gift ?? '')])

            return {
                ...one,
                name: kitchen.dogs.find((of) => of.id === one.dog)?.name ?? 'the dog',
                open: one.gifts.filter((of) => !known.has(of.gift)),
            }
        }),
)

const more = computed(() => shown.value.find((one) => one.dog === opened.value) ?? null)

async function write(ask: AskAfter, name: string, kind: 'sign' | 'well' | 'taken', told: DiarySaid): Promise<void> {
    problem.value = null
    busy.value = ask.dog
    try {
        const id = await diary.write(ask.dog, ask.on, kind, told)
        const mark = `${ask.dog} ${ask.on}`
        if (kind !== 'taken') said.value = new Set([...said.value, mark])
        const step = kitchen.choices?.signs.find((one) => one.kind === told.sign)?.steps.find((one) => one.step === told.step)
        tell(step?.urgent === true ? `${name}: ${step.name}. Ring your vet today.` : `Written down of ${name}.`, 'Undo', () => {
            said.value = new Set([...said.value].filter((one) => one !== mark))
            void diary.takeBack(id).catch((error: unknown) => tell(wordsOf(error)))
        })
    } catch (error) {
        problem.value = wordsOf(error)
    }
    busy.value = null
}
const took = (ask: AskAfter, name: string, gift: string, how: HowChoice['id']): Promise<void> => write(ask, name, 'taken', { how, gift })
</script>

<template>
    <section v-if="shown.length > 0" class="how-was" aria-label="How they were">
        <ul class="how-was__row">
            <li v-for="one in shown" :key="one.dog" class="how-was__one" :class="{ 'how-was__one--open': opened === one.dog }">
                <p class="how-was__who">
                    <b>How was {{ one.name }}?</b>
                    <small>{{ one.because.join('; ') }}</small>
                </p>
                <div class="how-was__acts">
                    <button
                        type="button"
                        class="signs__well"
                        :disabled="busy === one.dog"
                        :aria-label="`${one.name}: all well yesterday`"
                        @click="write(one, one.name, 'well', {})"
                    >
                        All well
                    </button>
                    <button
                        type="button"
                        class="signs__kind"
                        :class="{ 'signs__kind--open': opened === one.dog }"
                        :aria-expanded="opened === one.dog"
                        :aria-label="`${one.name}: tell more`"
                        @click="opened = opened === one.dog ? null : one.dog"
                    >
                        Tell more
                    </button>
                    <button
                        type="button"
                        class="how-was__wave"
                        :aria-label="`Do not ask about ${one.name} today`"
                        @click="waved.wave(one.dog, one.on)"
                    >
                        not today
                    </button>
                </div>
            </li>
        </ul>
        <div v-if="more !== null" class="how-was__more">
            <SignPicker
                :key="more.dog"
                :dog="more.name"
                day="yesterday"
                all
                :busy="busy === more.dog"
                @seen="(kind, said) => void write(more!, more!.name, kind, said)"
            />
            <HowTaken
                v-for="gift in more.open"
                :key="gift.gift"
                :what="gift.words"
                :busy="busy === more.dog"
                @took="(how) => void took(more!, more!.name, gift.gift, how)"
            />
        </div>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
    </section>
</template>
