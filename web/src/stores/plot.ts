import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { ApiError, call, sentence } from '@/api/client'
import { held, revisionOf } from '@/api/types'
import type { Attribute, AttributeValue, Held, Placed, PlacementCard, Plot, Reason, Theirs, Told } from '@/api/types'
import { useLight } from './light'

/** A change on its way: a value, what someone typed, or null to let it carry again. */
export type Wanted = { value: AttributeValue } | { text: string } | null

interface Conflict {
  theirs: Theirs
  wanted: Wanted
  reason?: Reason
  note?: string
}

interface Was {
  placement: string
  attribute: Attribute
  before: Held | undefined
}

/** What one edit changed, to take it back. */
interface Step {
  values: Was[]
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
  /** Those that are tried, as they would be. */
  const tried = ref<Placed[]>([])
  /** Chosen besides the selected one. */
  const also = ref<string[]>([])
  /** The shot asked for last: an answer for one before it comes too late. */
  let asked = 0
  let line: Promise<unknown> = Promise.resolve()

  const set = computed(() => plot.value?.drawn.set.plan)
  const based = computed(() => plot.value?.shot.basedOn)
  const locked = computed(() => plot.value?.shot.stage === 'SHOT')
  /** What is placed, with the one that is being tried in its tried place. */
  const placements = computed(() =>
    (plot.value?.placements ?? []).map((p) => tried.value.find((t) => t.placement.key === p.placement.key) ?? p),
  )
  const camera = computed(() => placements.value.find((p) => p.placement.kind === 'CAMERA'))
  /** All that is chosen, the selected one first. */
  const chosenKeys = computed(() => (selected.value ? [selected.value, ...also.value] : []))
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
      also.value = []
    }
    tried.value = []
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
      tried.value = []
      problem.value = undefined
    } catch (failure) {
      if (failure instanceof ApiError && failure.conflict)
        conflict.value = { theirs: failure.conflict, wanted, reason: why, note: said }
      throw failure
    } finally {
      saving.value--
    }
  }

  /** Records a change, or puts it into the trial in hand. Rejects with the sentence to show; nothing is kept then. */
  function edit(key: string, attribute: Attribute, wanted: Wanted) {
    const light = useLight()
    if (light.trying) return light.wishOne(key, attribute, wanted)
    return inTurn(async () => {
      const placed = find(key)
      const before = held(placed, attribute)
      const revision = revisionOf(placed, attribute)
      await send(key, attribute, wanted, based.value ? reason.value : undefined, note.value, revision)
      if (revisionOf(find(key), attribute) !== revision)
        undoable([{ placement: key, attribute, before }], placed.placement.name)
      note.value = ''
    })
  }

  function undoable(values: Was[], label: string) {
    undos.value = [...undos.value, { values, label }].slice(-MOST_UNDOS)
  }

  async function sendAll(changes: { placement: string; attribute: Attribute; value?: AttributeValue; revision: number }[], why: Reason | undefined, said: string | undefined) {
    saving.value++
    try {
      plot.value = await call<Plot>('POST', `/api/shots/${plot.value!.shot.id}/knots`, { body: { changes, reason: why, note: said || undefined } })
      tried.value = []
      problem.value = undefined
    } catch (failure) {
      // someone was there first: with theirs in sight, asking again puts these on top
      if (failure instanceof ApiError && failure.conflict && plot.value) await open(plot.value.shot.id)
      throw failure
    } finally {
      saving.value--
    }
  }

  /** Records several changes, all or none. Rejects with the sentence to show. */
  function keepAll(changes: Pick<Told, 'placement' | 'attribute' | 'value'>[]) {
    return inTurn(async () => {
      const values = changes.map((c) => ({ placement: c.placement, attribute: c.attribute, before: held(find(c.placement), c.attribute) }))
      const names = [...new Set(changes.map((c) => find(c.placement).placement.name))]
      await sendAll(
        changes.map(({ placement, attribute, value }) => ({ placement, attribute, value, revision: revisionOf(find(placement), attribute) })),
        based.value ? reason.value : undefined,
        note.value,
      )
      undoable(values, names.join(', '))
      note.value = ''
    })
  }

  /** Records changes made by hand on the plan, or puts them into the trial: what goes wrong is told beside the plan. */
  async function dropAll(changes: Pick<Told, 'placement' | 'attribute' | 'value'>[]) {
    const light = useLight()
    try {
      if (light.trying) await light.wish(changes.map(({ placement, attribute, value }) => ({ placement, attribute, value })))
      else await keepAll(changes)
    } catch (failure) {
      problem.value = { sentence: sentence(failure) }
    }
  }

  /** Changes what a placement is called, is there for and goes with. */
  function describe(key: string, card: Partial<PlacementCard>) {
    return inTurn(async () => {
      const { placement, version } = find(key)
      const { name, role, motivation, group, locked } = { ...placement, ...card }
      plot.value = await call<Plot>('PUT', `/api/shots/${plot.value!.shot.id}/placements/${key}`, { body: { name, role, motivation, group, locked }, version })
    })
  }

  /** Records a change made by hand on the plan: what goes wrong is told beside the plan. */
  async function drop(key: string, attribute: Attribute, wanted: Wanted) {
    try {
      await edit(key, attribute, wanted)
    } catch (failure) {
      tried.value = []
      if (!conflict.value) problem.value = { sentence: sentence(failure), placement: key, attribute, wanted }
    }
  }

  function undo() {
    return inTurn(async () => {
      const step = undos.value.at(-1)
      if (!step || !plot.value) return
      undos.value = undos.value.slice(0, -1)
      const back = step.values.map((was) => ({ ...was, before: was.before?.tiedHere ? was.before : undefined }))
      const reasons = new Set(back.map(({ before }) => JSON.stringify([before?.reason, before?.note])))
      try {
        for (const each of reasons) {
          const of = back.filter(({ before }) => JSON.stringify([before?.reason, before?.note]) === each)
          const changes = of.map(({ placement, attribute, before }) => ({ placement, attribute, value: before?.value, revision: revisionOf(find(placement), attribute) }))
          await sendAll(changes, of[0]?.before?.reason, of[0]?.before?.note)
        }
      } catch (failure) {
        problem.value = { sentence: sentence(failure) }
      }
    })
  }

  async function takeTheirs() {
    conflict.value = undefined
    tried.value = []
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
    plot, selected, reason, note, problem, conflict, saving, undos, tried, also,
    set, based, locked, placements, camera, chosen, chosenKeys,
    load, edit, drop, keepAll, dropAll, describe, undo, takeTheirs, putMineOnTop,
  }
})
