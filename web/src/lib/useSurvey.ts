import { computed, ref, watch, type ComputedRef, type Ref } from 'vue'
import { answer, api } from '@/api/client'
import { outdate, useRead } from '@/api/reads'
import type { Reason, Survey, SurveyLandmark, SurveyPhoto, SurveyTap, SurveyTaps } from '@/api/types'
import { useOutbox } from '@/stores/outbox'
import { useSubmit } from './useSubmit'

export interface Tappable {
  kind: 'landmark' | 'placement' | 'aimOf'
  key: string
  name: string
  /** What it cannot tell by itself, and can be found instead, or empty. */
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
  /** The spots that things point at. */
  aims: ComputedRef<Tappable[]>
  /** What the next tap is of. */
  chosen: Ref<Tappable | undefined>
  taps: ComputedRef<SurveyTap[]>
  /** Whether what was tapped waits on this device. */
  waits: ComputedRef<boolean>
  isChosen: (of: Tappable) => boolean
  tapOf: (of: Tappable) => SurveyTap | undefined
  tap: (u: number, v: number) => void
  move: (of: Tappable, u: number, v: number) => void
  takeOut: (of: Tappable) => void
  /** A landmark that the set does not have: it is tapped to be found. */
  name: (landmark: string) => void
  /** Says that the photograph was taken from the other place that fits. */
  stoodAtOther: () => void
  /** Says what a photograph was taken for. */
  takenFor: (photoId: number, round: string | undefined) => void
  undo: () => void
  canUndo: ComputedRef<boolean>
  keep: (things: string[], aims: string[], reason?: Reason) => Promise<unknown>
  keepLandmarks: (names: string[]) => Promise<unknown>
  busy: Ref<boolean>
}

const isOf = (tap: SurveyTap, of: Tappable) => tap[of.kind] === of.key

/** The photographs of one round of a shot while they are tapped: each change is answered with what they tell by now, or waits. */
export function useSurvey(of: () => { shotId: number; round?: string }): UseSurveyReturn {
  const outbox = useOutbox()
  const { data: survey, problem: unread, show, again } = useRead('survey', of)
  const { busy, error, submit } = useSubmit()
  const at = ref(0)
  const chosen = ref<Tappable>()
  const named = ref<string[]>([])
  const photo = computed(() => survey.value?.photos[at.value])
  /** What is shown while an answer is on its way. */
  const mine = ref<SurveyTap[]>()
  const waiting = computed(() => {
    const intents = outbox.unsent.map((w) => w.intent)
    return intents.flatMap((i) => (i.kind === 'photoTaps' && i.photoId === photo.value?.id ? [i.body] : [])).at(-1)
  })
  const taps = computed(() => mine.value ?? waiting.value?.taps ?? photo.value?.taps ?? [])
  const before = ref<{ photo: number; taps: SurveyTap[] }[]>([])

  const landmarks = computed(() => {
    const there = survey.value?.landmarks ?? []
    const own = named.value.filter((name) => !there.some((l) => l.name === name))
    const lacks = (l: Pick<SurveyLandmark, 'at' | 'heightM'>) =>
      l.at ? (l.heightM === undefined ? 'height to be found' : '') : 'to be found'
    const all: Pick<SurveyLandmark, 'name' | 'at' | 'heightM'>[] = [...there, ...own.map((name) => ({ name }))]
    return all.map((l): Tappable => ({
      kind: 'landmark',
      key: l.name,
      name: l.name,
      lacks: lacks(l),
    }))
  })
  const things = computed(() =>
    (survey.value?.things ?? []).map((t): Tappable => ({ kind: 'placement', key: t.key, name: t.name, lacks: '' })),
  )
  const aims = computed(() =>
    (survey.value?.things ?? [])
      .filter((t) => t.aims)
      .map((t): Tappable => ({ kind: 'aimOf', key: t.key, name: `What ${t.name} points at`, lacks: '' })),
  )
  const tapOf = (one: Tappable) => taps.value.find((t) => isOf(t, one))

  watch(at, () => {
    mine.value = undefined
    error.value = ''
  })
  watch(
    () => of().round,
    () => {
      at.value = 0
      chosen.value = undefined
      before.value = []
    },
  )
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
  function send(photoId: number, now: Partial<SurveyTaps>) {
    last = last.then(() =>
      submit(async () => {
        try {
          const { shotId, round } = of()
          const { version, stood, taps: kept } = survey.value!.photos.find((p) => p.id === photoId)!
          const body = { taps: kept, stood, round, ...now }
          const sent = await outbox.send(
            { kind: 'photoTaps', shotId, photoId, revision: version, body },
            'taps in a photograph',
          )
          if (sent && sent.round === round) show(sent)
          else if (sent) await again()
        } catch (refused) {
          await again()
          throw refused
        } finally {
          if (mine.value === now.taps) mine.value = undefined
        }
      }),
    )
    return last
  }
  function put(now: SurveyTap[], remembers = true) {
    const { id } = photo.value!
    if (remembers) before.value.push({ photo: id, taps: taps.value })
    mine.value = now
    void send(id, { taps: now })
  }

  function move(one: Tappable, u: number, v: number) {
    const { widthPx, heightPx } = photo.value!
    const tap = { u: Math.min(Math.max(u, 0), widthPx), v: Math.min(Math.max(v, 0), heightPx) }
    put([...taps.value.filter((t) => !isOf(t, one)), { [one.kind]: one.key, ...tap }])
  }

  return {
    survey,
    problem: computed(() => error.value || unread.value),
    photo,
    at,
    landmarks,
    things,
    aims,
    chosen,
    taps,
    waits: computed(() => waiting.value !== undefined),
    isChosen: (one) => chosen.value?.kind === one.kind && chosen.value.key === one.key,
    tapOf,
    tap(u, v) {
      if (!chosen.value) return
      move(chosen.value, u, v)
      chosen.value = nextOf()
    },
    move,
    takeOut: (one) => put(taps.value.filter((t) => !isOf(t, one))),
    name(landmark) {
      named.value.push(landmark)
      chosen.value = landmarks.value.find((l) => l.key === landmark)
    },
    stoodAtOther() {
      const { xM, yM } = photo.value!.other!.at
      void send(photo.value!.id, { taps: taps.value, stood: { xM, yM } })
    },
    takenFor: (photoId, round) => void send(photoId, { round }),
    undo() {
      const was = before.value.pop()
      const index = survey.value?.photos.findIndex((p) => p.id === was?.photo) ?? -1
      if (!was || index < 0) return
      at.value = index
      put(was.taps, false)
    },
    canUndo: computed(() => before.value.length > 0),
    keep: (keys, aiming, reason) =>
      submit(async () => {
        const { shotId, round } = of()
        const body = { round, things: keys, aims: aiming, reason }
        show(await answer(api.POST('/api/shots/{shotId}/survey/places', { params: { path: { shotId } }, body })))
        await outdate({ topics: ['RECORD'] }, undefined, 'survey')
      }),
    keepLandmarks: (names) =>
      submit(async () => {
        const { shotId, round } = of()
        const params = { path: { shotId } }
        show(await answer(api.POST('/api/shots/{shotId}/survey/landmarks', { params, body: { round, names } })))
        await outdate({ topics: ['SET'] }, undefined, 'survey')
      }),
    busy,
  }
}
