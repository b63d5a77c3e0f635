<script setup lang="ts">
import { computed, reactive } from 'vue'
import type { DiarySaid, HowChoice } from '../api/types.generated'
import { useKitchen } from '../kitchen/useKitchen'
import PickMany from '../ui/PickMany.vue'
import HowTaken from './HowTaken.vue'

/** Something it was offered that stands in no bag and no ledger: what was in it, raw or baked and how, in which shape, and how it took it. */
const props = defineProps<{ busy: boolean; keep: (said: DiarySaid) => Promise<boolean> }>()
const kitchen = useKitchen()
const form = reactive({ foods: [] as string[], texture: null as DiarySaid['texture'] | null, shape: null as DiarySaid['shape'] | null })
const RAW = 'none'
const textures = computed(() => (kitchen.choices?.textures ?? []).map((one) => (one.id === RAW ? { ...one, name: 'raw, or not baked' } : one)))
const what = computed(() => form.foods.map((one) => kitchen.nameOf(one)).join(', '))

async function took(how: HowChoice['id']): Promise<void> {
    const kept = await props.keep({
        how,
        foods: [...form.foods],
        words: what.value.slice(0, 200),
        ...(form.texture === null ? {} : { texture: form.texture }),
        ...(form.shape === null ? {} : { shape: form.shape }),
    })
    if (kept) Object.assign(form, { foods: [], texture: null, shape: null })
}
</script>

<template>
    <div class="offered-else">
        <PickMany v-model="form.foods" label="What was in it" :items="kitchen.foodsByName" />
        <div class="offered-else__how">
            <v-select v-model="form.texture" label="Raw or baked" :items="textures" item-title="name" item-value="id" clearable />
            <v-select v-model="form.shape" label="Shape" :items="kitchen.choices?.shapes ?? []" item-title="name" item-value="id" clearable />
        </div>
        <HowTaken v-if="form.foods.length > 0" :what="what" :busy="busy" @took="(how) => void took(how)" />
    </div>
</template>
