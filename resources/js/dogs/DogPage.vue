<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { takeAway } from '../kitchen/takeAway'
import { useKitchen, wordsOf } from '../kitchen/useKitchen'
import { useOutbox } from '../kitchen/useOutbox'
import DogHead from '../watching/DogHead.vue'
import DogFormSheet from './DogFormSheet.vue'
import ProfileAside from './ProfileAside.vue'
import VetsWords from './VetsWords.vue'

/** One dog: what is known of it, and what follows from that. */
const kitchen = useKitchen()
const outbox = useOutbox()
const route = useRoute()
const router = useRouter()
const id = computed(() => (route.params['id'] === 'new' ? null : String(route.params['id'])))
const dog = computed(() => (id.value === null ? null : (kitchen.all.dogs.of(id.value) ?? null)))
const problem = ref<string | null>(null)
/** The form is of the dog as it was when the page was opened; what changes elsewhere is put together when it is kept. */
const form = ref(0)
watch(id, () => {
    form.value++
})

async function remove(): Promise<void> {
    const gone = dog.value
    if (gone === null) return
    try {
        await router.push('/dogs')
        await takeAway(kitchen, outbox, 'dogs', gone.id, gone.name, 'out of the kitchen')
    } catch (error) {
        problem.value = wordsOf(error)
    }
}
</script>

<template>
    <div class="place" :class="id === null ? 'place--narrow' : 'place--wide'">
        <header v-if="id === null" class="place__head"><h1>A new dog</h1></header>
        <DogHead v-else :dog="id" />
        <p v-if="id !== null && dog === null && kitchen.kitchen !== null" class="problem" role="alert">
            That dog is not in this kitchen. <router-link to="/dogs">To the dogs</router-link>, or look in
            <router-link to="/cupboard/trash">the trash</router-link>.
        </p>
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <div
            v-if="kitchen.kitchen !== null && kitchen.choices !== null && (id === null || dog !== null)"
            :class="dog === null ? 'dog-page dog-page--new' : 'dog-page'"
        >
            <div v-if="dog !== null" class="dog-page__side"><ProfileAside :key="dog.id" :dog="dog" /><VetsWords :dog="dog" /></div>
            <DogFormSheet :key="`${id ?? 'new'} ${form}`" :dog="dog"
                ><v-btn v-if="dog !== null" color="error" @click="remove">Take out of the kitchen</v-btn></DogFormSheet
            >
        </div>
    </div>
</template>
