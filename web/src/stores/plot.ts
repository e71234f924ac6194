import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { ApiError, call, sentence } from '@/api/client'
import { held, revisionOf } from '@/api/types'
import type { Attribute, AttributeValue, Held, Placed, Plot, Reason, Theirs } from '@/api/types'

/** A change on its way: a value, what someone typed, or null to let it carry again. */
export type Wanted = { value: AttributeValue } | { text: string } | null

interface Conflict {
  theirs: Theirs
  wanted: Wanted
  reason?: Reason
  note?: string
}

interface Step {
  placement: string
  attribute: Attribute
  before: Held | undefined
  label: string
}

const MOST_UNDOS = 50

/** The plot of the shot that is open, and every edit of it. */
export const usePlot = defineStore('plot', () => {
  const plot = ref<Plot>()
  const selected = ref<string>()
  const reason = ref<Reason>('MATCH')
  const note = ref('')
  const problem = ref<{ sentence: string; placement?: string; wanted?: Wanted; attribute?: Attribute }>()
  const conflict = ref<Conflict>()
  const saving = ref(0)
  const undos = ref<Step[]>([])
  const tried = ref<Placed>()
  /** The shot asked for last: an answer for one before it comes too late. */
  let asked = 0
  let line: Promise<unknown> = Promise.resolve()

  const set = computed(() => plot.value?.drawn.set.plan)
  const based = computed(() => plot.value?.shot.basedOn)
  const locked = computed(() => plot.value?.shot.stage === 'SHOT')
  /** What is placed, with the one that is being tried in its tried place. */
  const placements = computed(() =>
    (plot.value?.placements ?? []).map((p) => (tried.value?.placement.key === p.placement.key ? tried.value : p)),
  )
  const camera = computed(() => placements.value.find((p) => p.placement.kind === 'CAMERA'))
  const chosen = computed(() => placements.value.find((p) => p.placement.key === selected.value))

  function find(key: string): Placed {
    const placed = plot.value?.placements.find((p) => p.placement.key === key)
    if (!placed) throw new ApiError(404, 'This is no longer on the plot.')
    return placed
  }

  /** One change after the other: each is made on what the one before it left. */
  function inTurn<T>(job: () => Promise<T>): Promise<T> {
    const run = line.then(job)
    line = run.catch(() => undefined)
    return run
  }

  /** Opens a shot, after the edits that are still on their way: they belong to the shot that was open. */
  function load(shotId: number) {
    asked = shotId
    return inTurn(() => open(shotId))
  }

  async function open(shotId: number) {
    if (asked !== shotId) return
    if (plot.value?.shot.id !== shotId) {
      undos.value = []
      note.value = ''
      problem.value = undefined
    }
    tried.value = undefined
    try {
      const opened = await call<Plot>('GET', `/api/shots/${shotId}/plot`)
      if (asked === shotId) plot.value = opened
    } catch (failure) {
      if (plot.value?.shot.id !== shotId) plot.value = undefined
      problem.value = { sentence: sentence(failure) }
    }
  }

  async function send(key: string, attribute: Attribute, wanted: Wanted, why: Reason | undefined, said: string | undefined, revision: number) {
    const path = `/api/shots/${plot.value!.shot.id}/placements/${key}/${attribute}`
    saving.value++
    try {
      plot.value = wanted
        ? await call<Plot>('PUT', path, { body: { ...wanted, reason: why, note: said || undefined }, version: revision })
        : await call<Plot>('DELETE', path, { version: revision })
      tried.value = undefined
      problem.value = undefined
    } catch (failure) {
      if (failure instanceof ApiError && failure.conflict)
        conflict.value = { theirs: failure.conflict, wanted, reason: why, note: said }
      throw failure
    } finally {
      saving.value--
    }
  }

  /** Records a change. Rejects with the sentence to show; nothing is kept then. */
  function edit(key: string, attribute: Attribute, wanted: Wanted) {
    return inTurn(async () => {
      const placed = find(key)
      const before = held(placed, attribute)
      const revision = revisionOf(placed, attribute)
      await send(key, attribute, wanted, based.value ? reason.value : undefined, note.value, revision)
      if (revisionOf(find(key), attribute) !== revision)
        undos.value = [...undos.value, { placement: key, attribute, before, label: placed.placement.name }].slice(-MOST_UNDOS)
      note.value = ''
    })
  }

  /** Records a change made by hand on the plan: what goes wrong is told beside the plan. */
  async function drop(key: string, attribute: Attribute, wanted: Wanted) {
    try {
      await edit(key, attribute, wanted)
    } catch (failure) {
      tried.value = undefined
      if (!conflict.value) problem.value = { sentence: sentence(failure), placement: key, attribute, wanted }
    }
  }

  function undo() {
    return inTurn(async () => {
      const step = undos.value.at(-1)
      if (!step || !plot.value) return
      undos.value = undos.value.slice(0, -1)
      const back = step.before?.tiedHere ? step.before : undefined
      try {
        await send(step.placement, step.attribute, back ? { value: back.value } : null, back?.reason, back?.note, revisionOf(find(step.placement), step.attribute))
      } catch (failure) {
        if (!conflict.value) problem.value = { sentence: sentence(failure) }
      }
    })
  }

  async function takeTheirs() {
    conflict.value = undefined
    tried.value = undefined
    if (plot.value) await load(plot.value.shot.id)
  }

  async function putMineOnTop() {
    const mine = conflict.value
    if (!mine) return
    conflict.value = undefined
    try {
      await send(mine.theirs.placement, mine.theirs.attribute, mine.wanted, mine.reason, mine.note, mine.theirs.revision)
    } catch (failure) {
      if (!conflict.value) problem.value = { sentence: sentence(failure) }
    }
  }

  return {
    plot, selected, reason, note, problem, conflict, saving, undos, tried,
    set, based, locked, placements, camera, chosen,
    load, edit, drop, undo, takeTheirs, putMineOnTop,
  }
})
