import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { answer as answerTo, api } from '@/api/client'
import type { Attribute, AtMark, Light, Placed, ProposedChange, TrialView, ValueEdit } from '@/api/types'
import { useLatest } from '@/lib/useLatest'
import { usePlot } from './plot'

/** Changes that hang together and are not kept yet. */
export interface Trial {
  name: string
  changes: ProposedChange[]
  /** Lights whose level follows so that the mark keeps its stop. */
  holds: string[]
}

const NAMES = 'ABCDEFGH'
type Changes = Omit<Trial, 'name'>
const NOTHING: Changes = { changes: [], holds: [] }

/** The light of the shot that is open: as recorded, with what is tried, with lights taken as off. */
export const useLight = defineStore('light', () => {
  const plot = usePlot()
  const answer = shallowRef<TrialView>()
  const refused = ref('')
  /** How many cues of the shot have run in the light that is shown. */
  const moment = ref(0)
  /** Lights taken as off, for a look. */
  const muted = ref<string[]>([])
  const trials = ref<Trial[]>([])
  const active = ref<number>()
  /** What is under a finger or being said: it goes on top of the trial. */
  const preview = ref<Changes>(NOTHING)
  /** Shows the record instead of the trial, to compare by eye. */
  const showRecord = ref(false)
  const chosenMark = ref<string>()

  const trial = computed(() => (active.value === undefined ? undefined : trials.value[active.value]))
  const trying = computed(() => trial.value !== undefined)
  const light = computed<Light | undefined>(() => answer.value?.light)
  const mark = computed<AtMark | undefined>(
    () => light.value?.marks.find((m) => m.key === (chosenMark.value ?? plot.selected)) ?? light.value?.marks[0],
  )
  /** What is tried, as it would be. */
  const tried = computed<Placed[]>(() => answer.value?.placements ?? [])
  /** The changes of the answer that come of the preview, with the levels that hold. */
  const passed = computed(() => {
    const keys = [
      ...preview.value.changes.map((c) => `${c.placement}/${c.attribute}`),
      ...preview.value.holds.map((k) => `${k}/LEVEL`),
    ]
    return answer.value?.changes.filter((c) => keys.includes(`${c.placement}/${c.attribute}`)) ?? []
  })
  const question = computed(() => {
    const base = showRecord.value ? NOTHING : (trial.value ?? NOTHING)
    return {
      changes: merged(base.changes, preview.value.changes),
      holds: [...new Set([...base.holds, ...preview.value.holds])],
      out: muted.value,
      cue: moment.value,
    }
  })

  interface Asked {
    shotId: number
    body: typeof question.value
  }
  function ask({ shotId, body }: Asked): Promise<TrialView> {
    return answerTo(api.POST('/api/shots/{shotId}/light', { params: { path: { shotId } }, body }))
  }
  const asked = shallowRef<Asked>()
  const answered = shallowRef<Asked>()
  /** Whether the answer is to what is asked now. */
  const settled = computed(() => answered.value === asked.value)

  const latest = useLatest({
    send: async (to: Asked) => ({ to, now: await ask(to) }),
    onAnswer: ({ to, now }) => {
      if (to.shotId !== plot.plot?.shot.id) return
      refused.value = ''
      answered.value = to
      answer.value = now
    },
    onRefused: (refusal) => (refused.value = refusal.message),
  })

  watch(
    [() => plot.plot, question],
    ([now], [before]) => {
      if (!now) return
      if (now.shot.id !== before?.shot.id) forget()
      asked.value = { shotId: now.shot.id, body: question.value }
      latest.ask(asked.value)
    },
    { immediate: true },
  )

  function forget() {
    answer.value = undefined
    muted.value = []
    moment.value = 0
    trials.value = []
    active.value = undefined
    preview.value = NOTHING
    showRecord.value = false
    chosenMark.value = undefined
  }

  /** A later change of the same value takes the place of an earlier one. */
  function merged(changes: ProposedChange[], more: ProposedChange[]): ProposedChange[] {
    const replaced = (c: ProposedChange) => more.some((m) => m.placement === c.placement && m.attribute === c.attribute)
    return [...changes.filter((c) => !replaced(c)), ...more]
  }

  /** Looks at changes on top of the trial, until others are looked at or these are withdrawn. */
  function propose(changes: ProposedChange[], holds: string[] = []) {
    preview.value = { changes, holds }
  }
  function withdraw() {
    preview.value = NOTHING
  }

  /** Begins another trial, from nothing or from the one in hand. */
  function begin() {
    const from = trial.value ?? NOTHING
    const name = [...NAMES].find((n) => !trials.value.some((t) => t.name === n))
    if (!name) return
    trials.value = [...trials.value, { name, changes: [...from.changes], holds: [...from.holds] }]
    active.value = trials.value.length - 1
  }

  function put(changes: ProposedChange[], holds: string[]) {
    if (active.value === undefined) begin()
    const at = active.value!
    trials.value = trials.value.map((t, i) =>
      i === at ? { ...t, changes: merged(t.changes, changes), holds: [...new Set([...t.holds, ...holds])] } : t,
    )
  }

  /** Puts changes into the trial in hand, when the rules allow them. Rejects with the sentence to show. */
  async function wish(changes: ProposedChange[], holds: string[] = []) {
    const base = trial.value ?? NOTHING
    const body = {
      changes: merged(base.changes, changes),
      holds: [...new Set([...base.holds, ...holds])],
      out: [],
      cue: 0,
    }
    await ask({ shotId: plot.plot!.shot.id, body })
    put(changes, holds)
  }

  function wishOne(placement: string, attribute: Attribute, wanted: ValueEdit) {
    if (!wanted) {
      const at = active.value
      trials.value = trials.value.map((t, i) =>
        i === at
          ? { ...t, changes: t.changes.filter((c) => c.placement !== placement || c.attribute !== attribute) }
          : t,
      )
      return Promise.resolve()
    }
    return wish([{ placement, attribute, ...wanted }])
  }

  function drop(at: number) {
    trials.value = trials.value.filter((_, i) => i !== at)
    active.value = undefined
    showRecord.value = false
  }

  /** Records what is tried, all of it or nothing; the other trials stay for another look. */
  async function keep() {
    const at = active.value
    const body = trial.value && { changes: trial.value.changes, holds: trial.value.holds, out: [], cue: 0 }
    if (at === undefined || !body) return
    const { changes } = await ask({ shotId: plot.plot!.shot.id, body })
    await plot.recordAll(changes)
    drop(at)
  }

  function toggleOut(keys: string[]) {
    const all = keys.every((k) => muted.value.includes(k))
    muted.value = all ? muted.value.filter((k) => !keys.includes(k)) : [...new Set([...muted.value, ...keys])]
  }

  /** Only these, or all again. */
  function alone(keys: string[]) {
    const others = (light.value?.sources ?? []).map((s) => s.key).filter((k) => !keys.includes(k))
    muted.value = sameSet(muted.value, others) ? [] : others
  }

  function sameSet(a: string[], b: string[]) {
    return a.length === b.length && a.every((x) => b.includes(x))
  }

  return {
    answer,
    refused,
    settled,
    muted,
    moment,
    trials,
    active,
    preview,
    showRecord,
    chosenMark,
    trial,
    trying,
    light,
    mark,
    question,
    passed,
    tried,
    propose,
    withdraw,
    begin,
    put,
    wish,
    wishOne,
    drop,
    keep,
    toggleOut,
    alone,
  }
})
