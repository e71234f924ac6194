import { computed, ref, watch, type ComputedRef, type Ref } from 'vue'
import { answer, api, onVersion } from '@/api/client'
import { outdate, useRead } from '@/api/reads'
import type { MarkedPoint, StillHead, StillKind, StillPair, StillSeen } from '@/api/types'
import { nextName, referenceOf } from './stills'
import { useSubmit } from './useSubmit'

export interface UseStillsReturn {
  stills: ComputedRef<StillHead[]>
  still: Ref<StillSeen | undefined>
  other: Ref<StillSeen | undefined>
  pair: Ref<StillPair | undefined>
  /** Of the shown one, and of the one that it is held against. */
  shown: ComputedRef<StillHead | undefined>
  against: ComputedRef<StillHead | undefined>
  problem: ComputedRef<string>
  show: (id: number) => void
  hold: (id: number) => void
  mark: (x: number, y: number, on?: StillSeen) => void
  say: (of: StillSeen, said: { kind?: StillKind; videoRange?: boolean; points?: MarkedPoint[] }) => void
  reference: () => void
}

/**
 * The stills of a scene: one of a shot is shown, beside the one that it is held against.
 *
 * @param asked the one that is shown first
 */
export function useStills(shotId: () => number, sceneId: () => number | undefined, asked?: number): UseStillsReturn {
  const chosen = ref(asked)
  const held = ref<number>()
  const { error, submit } = useSubmit(() => void outdate({ topics: ['NOTES'] }))
  const { data: all, problem: unread } = useRead('stills', () => {
    const id = sceneId()
    return id === undefined ? undefined : { sceneId: id }
  })
  const stills = computed(() => all.value?.stills ?? [])
  const shown = computed(
    () => stills.value.find((s) => s.id === chosen.value) ?? stills.value.filter((s) => s.shotId === shotId()).at(-1),
  )
  const against = computed(
    () =>
      stills.value.find((s) => s.id === held.value && s.id !== shown.value?.id) ??
      referenceOf(stills.value, shown.value),
  )
  watch(shotId, () => (chosen.value = undefined))
  const { data: still } = useRead('still', () => (shown.value ? { id: shown.value.id } : undefined))
  const { data: other } = useRead('still', () => (against.value && shown.value ? { id: against.value.id } : undefined))
  const { data: pair } = useRead('stillPair', () =>
    against.value && shown.value ? { first: against.value.id, second: shown.value.id } : undefined,
  )

  const pointsOf = (of: StillSeen): MarkedPoint[] => of.points.map(({ name, x, y }) => ({ name, x, y }))

  function say(of: StillSeen, said: { kind?: StillKind; videoRange?: boolean; points?: MarkedPoint[] }) {
    const { id, kind, videoRange, version } = of.head
    const params = { path: { id }, header: onVersion(version) }
    const body = { kind, videoRange, ...said }
    void submit(async () => {
      await answer(api.PUT('/api/stills/{id}', { params, body }))
      await outdate({ topics: ['NOTES'] })
    })
  }

  return {
    stills,
    still,
    other,
    pair,
    shown,
    against,
    problem: computed(() => error.value || unread.value || ''),
    show: (id) => (chosen.value = id),
    hold: (id) => (held.value = id),
    mark(x, y, on = still.value) {
      if (!on) return
      const beside = on === still.value ? other.value : still.value
      const here = pointsOf(on)
      say(on, { points: [...here, { name: nextName(here, beside && pointsOf(beside)), x, y }] })
    },
    say,
    reference() {
      const id = shown.value?.id
      if (id === undefined) return
      void submit(async () => {
        await answer(api.PUT('/api/stills/{id}/reference', { params: { path: { id } } }))
        await outdate({ topics: ['NOTES'] })
      })
    },
  }
}
