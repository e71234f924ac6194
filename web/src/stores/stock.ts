import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import { useRead } from '@/api/reads'

/** The kit: filters, cloths, bounces and fixtures, read when it is first asked for. */
export const useStock = defineStore('stock', () => {
  const wanted = ref(false)
  const { data: kit, problem: unread } = useRead('kit', () => (wanted.value ? {} : undefined))
  const items = computed(() => kit.value?.stock ?? [])
  /** Why it is not here, or not all of it. */
  const problem = computed(() => unread.value || kit.value?.problem)
  /** What light goes through. */
  const filters = computed(() => items.value.filter((item) => item.reflectance === undefined))

  /** @returns when it is here, or known not to be */
  function fill(): Promise<void> {
    wanted.value = true
    return new Promise((known) => {
      const stop = watch(
        () => !!kit.value || !!unread.value,
        (is) => is && void Promise.resolve().then(() => (stop(), known())),
        { immediate: true },
      )
    })
  }

  return { kit, items, filters, problem, fill }
})
