import { computed, ref, watch, type ComputedRef, type Ref } from 'vue'
import type { PlanPoint } from '@/api/types'

/** A place that is pointed at; without a height on the floor, or half way up a wall that is near. */
export interface Pointed extends PlanPoint {
  heightM?: number
  withinM: number
}

export interface UsePointedReturn {
  pointed: Ref<Pointed | undefined>
  /** Classes of the corner of the plan that is farthest from it. */
  corner: ComputedRef<string[]>
  /** Points at the middle of the plan, to type from there. */
  begin: () => void
}

/** The place of a plan that is pointed at, until another shot is open. */
export function usePointed(middle: () => PlanPoint, shotId: () => number): UsePointedReturn {
  const pointed = ref<Pointed>()
  watch(shotId, () => (pointed.value = undefined))
  return {
    pointed,
    corner: computed(() => {
      const at = pointed.value
      const about = middle()
      return at ? [at.xM > about.xM ? 'left-3' : 'right-3', at.yM > about.yM ? 'bottom-14' : 'top-3'] : []
    }),
    begin: () => (pointed.value = { ...middle(), withinM: 0 }),
  }
}
