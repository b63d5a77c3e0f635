<script setup lang="ts">
import { reactive, ref } from 'vue'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import NumberField from '../ui/NumberField.vue'
import { refusedIn } from '../ui/refused'
import { figure } from '../ui/format'

/** Swaps this kitchen added, and what it thinks of those it tried. */
const kitchen = useKitchen()
const problem = ref<string | null>(null)
const form = reactive({ out: '', into: '', ratio: 1 as number | null, note: '' })

async function keep(): Promise<void> {
    problem.value = null
    try {
        const out = await kitchen.foodCalled(form.out)
        await kitchen.all.swaps.keep(null, { out, in: await kitchen.foodCalled(form.into), ratio: form.ratio ?? 1, note: form.note })
        Object.assign(form, { out: '', into: '', ratio: 1, note: '' })
    } catch (error) {
        problem.value = wordsOf(error)
    }
}

async function remove(id: string): Promise<void> {
    try {
        await kitchen.all.swaps.remove(id)
    } catch (error) {
        problem.value = wordsOf(error)
    }
}
</script>

<template>
    <section aria-labelledby="own-swaps">
        <h2 id="own-swaps">Swaps of your own</h2>
        <p class="hint">They are screened like any other and come first among what may stand in.</p>
        <ul class="products">
            <li v-for="one in kitchen.swaps" :key="one.id">{{ kitchen.nameOf(one.swap.in) }} for {{ kitchen.nameOf(one.swap.out) }}, {{ figure(one.swap.ratio ?? 1) }} g for a gram<template v-if="one.swap.rating">; {{ one.swap.rating === 'good' ? 'worked' : 'failed' }} here</template><template v-if="one.swap.note">: {{ one.swap.note }}</template> <v-btn @click="remove(one.id)">Forget it</v-btn></li>
        </ul>
        <datalist id="known-foods"><option v-for="food in kitchen.foodsByName" :key="food.id" :value="food.name" /></datalist>
        <form class="dog-form" @submit.prevent="refusedIn($event.currentTarget) || keep()">
            <div class="fields">
                <label class="plain"><span>In place of</span><input v-model="form.out" required list="known-foods" maxlength="80" /></label>
                <label class="plain"><span>take</span><input v-model="form.into" required list="known-foods" maxlength="80" /></label>
                <NumberField label="g for a gram" :value="form.ratio" :above="0" live @meant="form.ratio = $event" />
            </div>
            <label class="plain"><span>Note</span><input v-model="form.note" maxlength="200" placeholder="what it does to the dough" /></label>
            <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
            <p class="paper__ends"><v-btn type="submit" variant="tonal">Keep this swap</v-btn></p>
        </form>
    </section>
</template>
