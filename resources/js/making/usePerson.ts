import { computed, ref } from 'vue'
import { useKitchen } from '../kitchen/useKitchen'

const KEY = 'mildbowl.person'

function kept(): string {
    try {
        return localStorage.getItem(KEY) ?? ''
    } catch {
        return ''
    }
}

const chosen = ref(kept())

/** Who stands at this device: a name that is chosen here, until there is sign-in. The baker of the kitchen where nobody chose. */
export function usePerson() {
    const kitchen = useKitchen()
    const name = computed(() => (chosen.value.trim() === '' ? (kitchen.kitchen?.baker ?? '').trim() || 'Somebody' : chosen.value.trim()))

    function call(person: string): void {
        chosen.value = person.slice(0, 60)
        try {
            localStorage.setItem(KEY, chosen.value)
        } catch {
            // it lasts as long as the page
        }
    }

    return { name, call }
}
