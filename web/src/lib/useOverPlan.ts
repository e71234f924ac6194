import { computed, ref, type ComputedRef, type Ref } from 'vue'
import { useRead } from '@/api/reads'
import type { Power } from '@/api/types'
import { useSun, type UseSunReturn } from './useSun'

type Over = 'sun' | 'cables'

export interface UseOverPlanReturn {
  /** What lies over the plan. */
  over: Ref<Over | undefined>
  /** Lays it over the plan, or takes it off. */
  show: (what: Over) => void
  sun: UseSunReturn
  /** What feeds the shot, while its cables are looked at. */
  fed: ComputedRef<Power | undefined>
}

/** What is looked at on the plan besides what is placed: the sun, or cables. */
export function useOverPlan(shotId: () => number): UseOverPlanReturn {
  const over = ref<Over>()
  const { data } = useRead('power', () => (over.value === 'cables' ? { shotId: shotId(), lower: 0 } : undefined))
  return {
    over,
    show: (what) => (over.value = over.value === what ? undefined : what),
    sun: useSun(shotId, () => over.value === 'sun'),
    fed: computed(() => (over.value === 'cables' ? data.value : undefined)),
  }
}
