import { computed, ref, watch, type Ref } from 'vue'
import { useRead } from '@/api/reads'
import type { DayFeeds } from '@/api/types'

export interface UseDayFeedsReturn {
  feeds: Ref<DayFeeds | undefined>
  problem: Ref<string>
  /** How much lower all lights are taken, stops. */
  lower: Ref<number>
  /** Units that are taken to be on the mains. */
  mains: Ref<string[]>
  /** Takes a unit off its battery, or puts it back. */
  onMains: (unit: string) => void
}

/** Batteries and circuits over a day, as it is planned or with what is tried. */
export function useDayFeeds(
  of: () => { productionId: number; number: number } | undefined,
  order: () => number[] | undefined = () => undefined,
): UseDayFeedsReturn {
  const lower = ref(0)
  const mains = ref<string[]>([])
  const day = computed(() => of() && `${of()!.productionId} ${of()!.number}`)
  watch(day, () => {
    lower.value = 0
    mains.value = []
  })
  const { data, problem } = useRead(
    'dayFeeds',
    () => {
      const asked = of()
      return (
        asked && {
          ...asked,
          order: order(),
          lower: lower.value || undefined,
          mains: mains.value.length ? mains.value : undefined,
        }
      )
    },
    { keepBefore: true },
  )
  return {
    feeds: data,
    problem,
    lower,
    mains,
    onMains: (unit) =>
      (mains.value = mains.value.includes(unit) ? mains.value.filter((u) => u !== unit) : [...mains.value, unit]),
  }
}
