import { computed, type ComputedRef } from 'vue'
import type { Survey, SurveyThing } from '@/api/types'

export interface UseOutcomeReturn {
  /** What stands where it is recorded. */
  stands: ComputedRef<SurveyThing[]>
  elsewhere: ComputedRef<SurveyThing[]>
  /** What points another way than is recorded. */
  turned: ComputedRef<SurveyThing[]>
  /** What could stand as recorded, but is too poorly known to say so. */
  unsure: ComputedRef<SurveyThing[]>
  /** What the photographs say nothing of. */
  untold: ComputedRef<SurveyThing[]>
}

/** What photographs say of a plot as a whole. */
export function useOutcome(survey: () => Survey | undefined): UseOutcomeReturn {
  const things = computed(() => survey()?.things ?? [])
  const among = (is: (thing: SurveyThing) => boolean) => computed(() => things.value.filter(is))
  const isPoor = (t: SurveyThing) => t.found.quality === 'POOR'
  return {
    stands: among((t) => !!t.off && !t.isElsewhere && !isPoor(t)),
    elsewhere: among((t) => t.isElsewhere),
    turned: among((t) => !!t.aim?.isElsewhere),
    unsure: among((t) => !!t.found.at && !t.isElsewhere && isPoor(t)),
    untold: among((t) => !t.found.at),
  }
}
