import { computed, ref, watch, type ComputedRef, type Ref } from 'vue'
import { answer, api, onVersion } from '@/api/client'
import { outdate, useRead } from '@/api/reads'
import type { Reason, Survey, SurveyPhoto, SurveyTap } from '@/api/types'
import { useSubmit } from './useSubmit'

export interface Tappable {
  kind: 'landmark' | 'placement'
  key: string
  name: string
  /** Why it cannot be used yet, or empty. */
  lacks: string
}

export interface UseSurveyReturn {
  survey: Ref<Survey | undefined>
  problem: ComputedRef<string>
  /** The photograph that is tapped in. */
  photo: ComputedRef<SurveyPhoto | undefined>
  at: Ref<number>
  landmarks: ComputedRef<Tappable[]>
  things: ComputedRef<Tappable[]>
  /** What the next tap is of. */
  chosen: Ref<Tappable | undefined>
  taps: ComputedRef<SurveyTap[]>
  tapOf: (of: Tappable) => SurveyTap | undefined
  tap: (u: number, v: number) => void
  move: (of: Tappable, u: number, v: number) => void
  takeOut: (of: Tappable) => void
  undo: () => void
  canUndo: ComputedRef<boolean>
  keep: (keys: string[], reason?: Reason) => Promise<unknown>
  busy: Ref<boolean>
}

const isOf = (tap: SurveyTap, of: Tappable) => tap[of.kind] === of.key

/** The photographs of a shot while they are tapped: each change goes to the server, which answers with what they tell by now. */
export function useSurvey(shotId: () => number): UseSurveyReturn {
  const { data: survey, problem: unread, show, again } = useRead('survey', () => ({ shotId: shotId() }))
  const { busy, error, submit } = useSubmit()
  const at = ref(0)
  const chosen = ref<Tappable>()
  const photo = computed(() => survey.value?.photos[at.value])
  /** What is shown while an answer is on its way. */
  const mine = ref<SurveyTap[]>()
  const taps = computed(() => mine.value ?? photo.value?.taps ?? [])
  const before = ref<{ photo: number; taps: SurveyTap[] }[]>([])

  const landmarks = computed(() =>
    (survey.value?.landmarks ?? []).map((l): Tappable => ({
      kind: 'landmark',
      key: l.name,
      name: l.name,
      lacks: l.heightM === undefined ? 'height not said' : '',
    })),
  )
  const things = computed(() =>
    (survey.value?.things ?? []).map((t): Tappable => ({ kind: 'placement', key: t.key, name: t.name, lacks: '' })),
  )
  const tapOf = (of: Tappable) => taps.value.find((t) => isOf(t, of))

  watch(at, () => {
    mine.value = undefined
    error.value = ''
  })
  watch(
    [photo, chosen],
    () => {
      if (!chosen.value) chosen.value = nextOf()
    },
    { immediate: true },
  )

  /** The first landmark that is not tapped while they are few, then the first thing. */
  function nextOf(): Tappable | undefined {
    if (!photo.value) return undefined
    const open = landmarks.value.filter((l) => !l.lacks && !tapOf(l))
    const seen = (t: Tappable) => photo.value?.expected.some((e) => isOf(e, t))
    const likely = photo.value.pose ? open.filter(seen) : open
    return photo.value.pose ? (things.value.find((t) => !tapOf(t) && seen(t)) ?? likely[0]) : likely[0]
  }

  /** One after the other: each is made on the version that the one before it answered with. */
  let last: Promise<unknown> = Promise.resolve()
  function put(now: SurveyTap[], remembers = true) {
    const { id } = photo.value!
    if (remembers) before.value.push({ photo: id, taps: taps.value })
    mine.value = now
    last = last.then(() =>
      submit(async () => {
        try {
          const { version } = survey.value!.photos.find((p) => p.id === id)!
          const params = { path: { shotId: shotId(), photoId: id }, header: onVersion(version) }
          show(await answer(api.PUT('/api/shots/{shotId}/survey/photos/{photoId}', { params, body: { taps: now } })))
        } catch (refused) {
          await again()
          throw refused
        } finally {
          if (mine.value === now) mine.value = undefined
        }
      }),
    )
  }

  function move(of: Tappable, u: number, v: number) {
    const { widthPx, heightPx } = photo.value!
    const tap = { u: Math.min(Math.max(u, 0), widthPx), v: Math.min(Math.max(v, 0), heightPx) }
    put([...taps.value.filter((t) => !isOf(t, of)), { [of.kind]: of.key, ...tap }])
  }

  return {
    survey,
    problem: computed(() => error.value || unread.value),
    photo,
    at,
    landmarks,
    things,
    chosen,
    taps,
    tapOf,
    tap(u, v) {
      if (!chosen.value) return
      move(chosen.value, u, v)
      chosen.value = nextOf()
    },
    move,
    takeOut: (of) => put(taps.value.filter((t) => !isOf(t, of))),
    undo() {
      const was = before.value.pop()
      const index = survey.value?.photos.findIndex((p) => p.id === was?.photo) ?? -1
      if (!was || index < 0) return
      at.value = index
      put(was.taps, false)
    },
    canUndo: computed(() => before.value.length > 0),
    keep: (keys, reason) =>
      submit(async () => {
        const params = { path: { shotId: shotId() } }
        show(await answer(api.POST('/api/shots/{shotId}/survey/places', { params, body: { things: keys, reason } })))
        await outdate({ topics: ['RECORD'] }, undefined, 'survey')
      }),
    busy,
  }
}
