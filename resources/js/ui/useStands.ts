import { onMounted, readonly, ref, type Ref } from 'vue'

/** True once the place was painted: what takes long and is not looked at first may follow. */
export function useStands(): Readonly<Ref<boolean>> {
    const stands = ref(false)
    onMounted(() => {
        const follow = (): void => {
            stands.value = true
        }
        if ('requestIdleCallback' in window) requestIdleCallback(follow, { timeout: 300 })
        else setTimeout(follow, 50)
    })

    return readonly(stands)
}
