<script setup lang="ts">
import { reactive } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useDraft } from '../ui/useDraft'
import LabelReader, { type LabelForm } from './LabelReader.vue'
import ProductShelf from './ProductShelf.vue'

/** Labels that were read, and the jars they stand on. What is being typed of one is a draft until it is kept. */
const route = useRoute()
const router = useRouter()
const form = reactive<LabelForm>({ id: null, name: '', number: null, ingredients: '', doubts: [], poor: null })
const { anew } = useDraft('label', form)

/** From a line of a sheet: the jar that it names is to be read. */
const named = route.query['jar']
if (typeof named === 'string' && form.name === '') {
    form.name = named
    void router.replace('/cupboard/labels')
}

function read(product: Pick<LabelForm, 'id' | 'name' | 'number' | 'ingredients'>): void {
    Object.assign(form, { id: product.id, name: product.name, number: product.number, ingredients: product.ingredients, doubts: [], poor: null })
}
</script>

<template>
    <div class="pantry__halves">
        <LabelReader
            v-model:id="form.id"
            v-model:name="form.name"
            v-model:number="form.number"
            v-model:ingredients="form.ingredients"
            v-model:doubts="form.doubts"
            v-model:poor="form.poor"
            @anew="anew"
        />
        <ProductShelf @read="read" />
    </div>
</template>
