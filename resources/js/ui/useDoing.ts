import { ref, type Ref } from 'vue'
import { wordsOf } from '../kitchen/useKitchen'

/** Does something that may be refused; what was wrong is said in words until the next is done. */
export function useDoing(): { problem: Ref<string | null>; doing: (work: () => Promise<unknown>) => Promise<boolean> } {
    const problem = ref<string | null>(null)

    async function doing(work: () => Promise<unknown>): Promise<boolean> {
        problem.value = null
        try {
            await work()

            return true
        } catch (error) {
            problem.value = wordsOf(error)

            return false
        }
    }

    return { problem, doing }
}
