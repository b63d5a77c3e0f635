<script setup lang="ts">
import { reactive, ref } from 'vue'
import { takeAway } from '../kitchen/takeAway'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import { useOutbox } from '../kitchen/useOutbox'
import { goOn } from '../ui/goOn'
import { useDraft } from '../ui/useDraft'
import NumberField from '../ui/NumberField.vue'
import { refusedIn } from '../ui/refused'
import { figure } from '../ui/format'

/** Swaps this kitchen added, and what it thinks of those it tried. */
const kitchen = useKitchen()
const outbox = useOutbox()
const problem = ref<string | null>(null)
const form = reactive({ out: '' as string | null, into: '' as string | null, ratio: 1 as number | null, note: '' })
const { anew } = useDraft('swap', form)

async function keep(): Promise<void> {
    problem.value = null
    const sent = { ...form }
    try {
        const kept = {
            out: await kitchen.foodCalled(form.out ?? ''),
            in: await kitchen.foodCalled(form.into ?? ''),
            ratio: form.ratio ?? 1,
            note: form.note,
        }
        // at once: what is typed next is not to be wiped when the answer comes
        anew()
        await kitchen.all.swaps.keep(null, kept)
    } catch (error) {
        if ((form.out ?? '') === '') Object.assign(form, sent)
        problem.value = wordsOf(error)
    }
}

async function remove(id: string, name: string): Promise<void> {
    try {
        await takeAway(kitchen, outbox, 'swaps', id, name)
    } catch (error) {
        problem.value = wordsOf(error)
    }
}
</script>

<template>
    <section aria-label="Swaps of your own">
        <p class="hint">They are screened like any other and come first among what may stand in.</p>
        <ul class="products">
            <li v-for="one in kitchen.swaps" :key="one.id">
                {{ kitchen.nameOf(one.swap.in) }} for {{ kitchen.nameOf(one.swap.out) }}, {{ figure(one.swap.ratio ?? 1) }} g for a gram<template
                    v-if="one.swap.rating"
                    >; {{ one.swap.rating === 'good' ? 'worked' : 'failed' }} here</template
                ><template v-if="one.swap.note">: {{ one.swap.note }}</template>
                <v-btn @click="remove(one.id, `the swap for ${kitchen.nameOf(one.swap.out)}`)">Forget it</v-btn>
            </li>
        </ul>
        <form class="dog-form" @keydown.enter.capture="goOn" @submit.prevent="refusedIn($event.currentTarget) || keep()">
            <div class="fields">
                <v-combobox v-model="form.out" class="field--long" label="In place of" :items="kitchen.foodsByName.map((one) => one.name)" />
                <v-combobox v-model="form.into" class="field--long" label="take" :items="kitchen.foodsByName.map((one) => one.name)" />
                <NumberField label="g for a gram" :value="form.ratio" :above="0" live @meant="form.ratio = $event" />
            </div>
            <v-text-field v-model="form.note" label="Note" maxlength="200" placeholder="what it does to the dough" />
            <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
            <p class="paper__ends"><v-btn type="submit" variant="tonal">Keep this swap</v-btn></p>
        </form>
    </section>
</template>
