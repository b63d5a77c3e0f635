<script setup lang="ts">
import { ref } from 'vue'
import type { BatchSlip, Place } from '../api/types.generated'
import { pieces } from '../ui/format'
import { tell } from '../ui/notices'
import NumberField from '../ui/NumberField.vue'
import type { Jars } from './useJars'

/** A batch that was baked and stands nowhere yet: one tap puts all of it away, two divide it into bags. */
const props = defineProps<{ jars: Jars; batch: BatchSlip; lot: string | null; left: number; dough?: boolean }>()
/** raw dough is divided: nobody freezes more of it than is not baked */
const divides = ref(props.dough)
const many = ref<number | null>(null)
const bags = ref<number | null>(1)

async function put(place: Place, count: number, into = 1): Promise<void> {
    const each = Math.floor((count / into) * 4) / 4
    const split = Array.from({ length: into }, (_, n) => ({
        bag: crypto.randomUUID(),
        place: place.id,
        pieces: n < into - 1 ? each : count - each * (into - 1),
    }))
    const done = await props.jars.act('put', {
        batch: props.batch.id,
        ...(props.lot === null ? {} : { lot: props.lot }),
        split,
        ...(props.dough ? { as: 'dough' } : {}),
    })
    if (done === null) return
    many.value = null
    tell(`${pieces(count)} of ${props.batch.title} put away: ${place.name}.`, 'Undo', () => {
        void props.jars.act('undo', {}, done.id)
    })
}
</script>

<template>
    <li class="loose">
        <p class="loose__what">
            <router-link :to="`/oven/${batch.id}`">{{ batch.title }}</router-link><template v-if="lot !== null">, {{ lot }}</template
            >: <template v-if="dough">raw dough, for about so many pieces</template
            ><template v-else
                ><strong>{{ pieces(left) }}</strong> stand about</template
            >
        </p>
        <div v-if="!dough" class="loose__where" role="group" :aria-label="`Where ${batch.title} goes`">
            <v-btn
                v-for="one in jars.places.value"
                :key="one.id"
                variant="tonal"
                :aria-label="`All ${pieces(left)} of ${batch.title}: ${one.name}`"
                @click="put(one, left)"
                >{{ one.name }}</v-btn
            >
            <v-btn variant="text" :aria-expanded="divides" @click="divides = !divides">Divide</v-btn>
        </div>
        <div v-if="divides" class="loose__divide" role="group" :aria-label="`Divide ${batch.title}`">
            <NumberField label="Pieces" :value="many" :least="0.25" :most="left" live @meant="(value) => (many = value)" />
            <NumberField label="in so many bags" :value="bags" whole :least="1" :most="50" live @meant="(value) => (bags = value)" />
            <v-btn
                v-for="one in jars.places.value"
                :key="one.id"
                variant="outlined"
                :disabled="many === null || bags === null"
                @click="put(one, many ?? 0, bags ?? 1)"
                >{{ one.name }}</v-btn
            >
        </div>
    </li>
</template>
