import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { call, sentence } from '@/api/client'
import type { Kit, Stock } from '@/api/types'

/** The stock of filters, cloths and bounces, fetched when it is first asked for. */
export const useStock = defineStore('stock', () => {
  const items = ref<Stock[]>([])
  /** Why it is not here, or not all of it. */
  const problem = ref<string>()
  /** What light goes through. */
  const filters = computed(() => items.value.filter((item) => item.reflectance === undefined))
  let asking: Promise<void> | undefined

  async function ask() {
    try {
      const kit = await call<Kit>('GET', '/api/kit')
      items.value = kit.stock
      problem.value = kit.problem
    } catch (failure) {
      problem.value = sentence(failure)
      asking = undefined
    }
  }

  return { items, filters, problem, fill: () => (asking ??= ask()) }
})
