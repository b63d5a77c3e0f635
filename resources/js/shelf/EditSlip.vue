<script setup lang="ts">
import { onMounted, reactive, ref } from 'vue'
import type { RecipeFields } from '../api/client'
import type { Slip } from '../api/types.generated'
import PickMany from '../ui/PickMany.vue'
import { useDraft } from '../ui/useDraft'

/** What stands on a recipe's card beside its words: its name and notes, or its tags. */
const props = defineProps<{ slip: Slip; what: 'rename' | 'tags'; known: string[] }>()
const emit = defineEmits<{ keep: [fields: RecipeFields]; close: [] }>()
const form = reactive({ title: props.slip.title, notes: props.slip.notes, tags: [...props.slip.tags] })
const { forget } = useDraft(`slip.${props.slip.id}.${props.what}`, form)
const name = ref<{ focus: () => void } | null>(null)
// at once: a focus that comes later takes the hand out of the field it went to meanwhile
onMounted(() => name.value?.focus())

function keep(): void {
    forget()
    emit(
        'keep',
        props.what === 'tags'
            ? {
                  tags: form.tags
                      .map((one) => one.trim().slice(0, 40))
                      .filter((one) => one !== '')
                      .slice(0, 20),
              }
            : { title: form.title, notes: form.notes },
    )
}

function leave(): void {
    forget()
    emit('close')
}
</script>

<template>
    <form class="paper" @submit.prevent="keep">
        <h2 id="edit-title">{{ slip.title }}</h2>
        <template v-if="what === 'rename'"
            ><v-text-field ref="name" v-model="form.title" label="Name" maxlength="200" /><v-textarea
                v-model="form.notes"
                label="Notes"
                maxlength="5000"
        /></template>
        <PickMany
            v-else
            v-model="form.tags"
            label="Tags"
            :items="known.map((tag) => ({ id: tag, name: tag }))"
            hint="Enter or a comma ends each"
            own
        />
        <p class="paper__ends">
            <v-btn @click="leave">Leave it</v-btn
            ><v-btn type="submit" variant="flat" color="primary" :disabled="form.title.trim() === ''">Keep</v-btn>
        </p>
    </form>
</template>
