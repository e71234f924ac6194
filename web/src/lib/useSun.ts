import { computed, ref, shallowRef, watch, type ComputedRef, type Ref, type ShallowRef } from 'vue'
import { answer, api } from '@/api/client'
import { useRead } from '@/api/reads'
import type { SunLies, SunTrack } from '@/api/types'
import { useLatest } from './useLatest'

/** The sun through a date, and as it stands and lies at a minute of it. */
export interface SunShown {
  track: SunTrack
  lies?: SunLies
}

export interface UseSunReturn {
  track: Ref<SunTrack | undefined>
  lies: ShallowRef<SunLies | undefined>
  shown: ComputedRef<SunShown | undefined>
  /** The date that is looked at: that of the shot's day until another is asked for. */
  date: ComputedRef<string>
  minute: Ref<number | undefined>
  problem: ComputedRef<string>
  lookAt: (date: string) => void
}

/** The sun on the set of a shot, while somebody looks. */
export function useSun(shotId: () => number, looking: () => boolean): UseSunReturn {
  const asked = ref<string>()
  const minute = ref<number>()
  const refused = ref('')
  const lies = shallowRef<SunLies>()
  const { data: track, problem: unread } = useRead(
    'sun',
    () => (looking() ? { shotId: shotId(), date: asked.value } : undefined),
    { keepBefore: true },
  )
  const latest = useLatest({
    send: (query: { date: string; zone: string; minute: number }) =>
      answer(api.GET('/api/shots/{shotId}/sun/at', { params: { path: { shotId: shotId() }, query } })),
    onAnswer: (now) => {
      lies.value = now
      refused.value = ''
    },
    onRefused: (refusal) => (refused.value = refusal.message),
  })
  watch(shotId, () => {
    asked.value = undefined
    minute.value = undefined
    lies.value = undefined
  })
  watch([track, minute, looking], ([now]) => {
    if (!now || !looking()) return
    minute.value ??= firstLook(now)
    latest.ask({ date: now.date, zone: now.zone, minute: minute.value })
  })

  /** When a streak lay there, else when the sun stands highest. */
  function firstLook({ targets, path }: SunTrack): number {
    const streak = targets.find((t) => t.streak?.minute !== undefined)?.streak
    const highest = path.reduce((a, b) => (b.upDeg > a.upDeg ? b : a), { minute: 12 * 60, upDeg: -90 })
    return Math.round(streak?.minute ?? highest.minute)
  }

  return {
    track,
    lies,
    shown: computed(() => (looking() && track.value ? { track: track.value, lies: lies.value } : undefined)),
    date: computed(() => asked.value ?? track.value?.date ?? ''),
    minute,
    problem: computed(() => unread.value || refused.value),
    lookAt: (date) => (asked.value = date || undefined),
  }
}
