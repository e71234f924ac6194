import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import { ApiError, call, sentence } from '@/api/client'
import { held, revisionOf } from '@/api/types'
import type {
  Attribute,
  AttributeValue,
  Placed,
  PlacementCard,
  Plot,
  PlotEdit,
  Reason,
  ConflictingValue,
  ChangeView,
  ProposedChange,
} from '@/api/types'
import { ATTRIBUTES, words } from '@/lib/words'
import { useBook } from './book'
import { useLight } from './light'
import { useConnection } from './connection'
import { useOutbox } from './outbox'
import { useSession } from './session'

/** A change on its way: a value, what someone typed, or null to let it carry again. */
export type ValueEdit = { value: AttributeValue } | { text: string } | null

interface Conflict {
  current: ConflictingValue
  wanted: ValueEdit
  reason?: Reason
  note?: string
}

/** The plot of the shot that is open, and every edit of it. */
export const usePlot = defineStore('plot', () => {
  const plot = ref<Plot>()
  const selected = ref<string>()
  const reason = ref<Reason>('MATCH')
  const note = ref('')
  const problem = ref<{ sentence: string; placement?: string; wanted?: ValueEdit; attribute?: Attribute }>()
  const conflict = ref<Conflict>()
  const saving = ref(0)
  /** Those that are tried, as they would be. */
  const tried = ref<Placed[]>([])
  /** Chosen besides the selected one. */
  const multiSelection = ref<string[]>([])
  /** The shot asked for last: an answer for one before it comes too late. */
  let asked = 0
  let inFlight: Promise<unknown> = Promise.resolve()

  const set = computed(() => plot.value?.drawn.set.plan)
  const based = computed(() => plot.value?.shot.basedOn)
  const session = useSession()
  const outbox = useOutbox()
  /** Shot, or an old revision. */
  const closed = computed(() => plot.value?.shot.stage === 'SHOT' || plot.value?.shot.asOf !== undefined)
  /** Closed, or not for this person to edit. */
  const locked = computed(() => closed.value || !session.may('EDIT'))
  const patchLocked = computed(() => closed.value || !session.may('PATCH'))
  /** What waits on this device to be sent, of this shot. */
  const waiting = computed(() =>
    outbox.waiting.flatMap((w) => (w.shotId === plot.value?.shot.id && w.wish && !w.current ? [w.wish] : [])),
  )
  /** What is placed, as it is tried, or as it will be when what waits is sent. */
  const placements = computed(() =>
    (plot.value?.placements ?? []).map((p) => {
      const wishes = waiting.value.filter((w) => w.placement === p.placement.key)
      return tried.value.find((t) => t.placement.key === p.placement.key) ?? (wishes.length ? waitingFor(p, wishes) : p)
    }),
  )
  const camera = computed(() => placements.value.find((p) => p.placement.kind === 'CAMERA'))
  /** All that is chosen, the selected one first. */
  const chosenKeys = computed(() => (selected.value ? [selected.value, ...multiSelection.value] : []))
  const chosen = computed(() => placements.value.find((p) => p.placement.key === selected.value))

  function find(key: string): Placed {
    const placed = plot.value?.placements.find((p) => p.placement.key === key)
    if (!placed) throw new ApiError(404, 'This is no longer on the plot.')
    return placed
  }

  /** One change after the other: each is made on what the one before it left. */
  function inTurn<T>(job: () => Promise<T>): Promise<T> {
    const run = inFlight.then(job)
    inFlight = run.catch(() => undefined)
    return run
  }

  /** Opens a shot, after the edits that are still on their way: they belong to the shot that was open. */
  function load(shotId: number, asOf?: number) {
    asked = shotId
    return inTurn(() => open(shotId, asOf))
  }

  /** @param asOf the event that closed the revision to look at, or undefined for the record as it is */
  async function open(shotId: number, asOf?: number) {
    if (asked !== shotId) return
    if (plot.value?.shot.id !== shotId) {
      note.value = ''
      problem.value = undefined
      multiSelection.value = []
    }
    tried.value = []
    try {
      const opened = await call<Plot>('GET', `/api/shots/${shotId}/plot${asOf === undefined ? '' : `?asOf=${asOf}`}`)
      if (asked === shotId) plot.value = opened
    } catch (failure) {
      if (plot.value?.shot.id !== shotId) plot.value = undefined
      problem.value = { sentence: sentence(failure) }
    }
  }

  /** Lays what an edit changed over what is shown; an answer about another shot is none here any more. */
  function lay(edit: PlotEdit) {
    const now = plot.value
    if (now?.shot.id !== edit.shot.id) return
    const changed = new Map(edit.placements.map((p) => [p.placement.key, p]))
    const known = new Set(now.placements.map((p) => p.placement.key))
    plot.value = {
      ...now,
      shot: edit.shot,
      mine: edit.mine,
      placements: [
        ...now.placements.map((p) => changed.get(p.placement.key) ?? p),
        ...edit.placements.filter((p) => !known.has(p.placement.key)),
      ],
    }
  }

  /** A value that waits is shown as it was meant, on the values that were read last. */
  function waitingFor(placed: Placed, wishes: ProposedChange[]): Placed {
    const values: Record<string, unknown> = { ...placed.values }
    for (const wish of wishes) {
      const before = held(placed, wish.attribute)
      const say = wish.text ?? words(wish.value)
      values[wish.attribute] = {
        ...before,
        ...(wish.value && { value: wish.value }),
        say,
        sayImperial: say,
        tiedHere: true,
      }
    }
    return { ...placed, values: values as Placed['values'] }
  }

  async function send(
    key: string,
    attribute: Attribute,
    wanted: ValueEdit,
    why: Reason | undefined,
    said: string | undefined,
    revision: number,
  ) {
    const { id, slate } = plot.value!.shot
    saving.value++
    try {
      const edited = await outbox.send<PlotEdit>({
        method: wanted ? 'PUT' : 'DELETE',
        path: `/api/shots/${id}/placements/${key}/${attribute}`,
        body: wanted ? { ...wanted, reason: why, note: said || undefined } : undefined,
        version: revision,
        label: `${find(key).placement.name} ${ATTRIBUTES[attribute]} in ${slate}`,
        shotId: id,
        wish: wanted ? { placement: key, attribute, ...wanted } : undefined,
      })
      if (edited) lay(edited)
      tried.value = []
      problem.value = undefined
    } catch (failure) {
      if (failure instanceof ApiError && failure.conflict)
        conflict.value = { current: failure.conflict, wanted, reason: why, note: said }
      throw failure
    } finally {
      saving.value--
    }
  }

  /**
   * Records a change, or puts it into the trial in hand. Rejects with the sentence to show; nothing is kept then.
   *
   * @param seen the revision that the person had in sight, where that may be older than what is here now
   */
  function edit(key: string, attribute: Attribute, wanted: ValueEdit, seen?: number) {
    const light = useLight()
    if (light.trying) return light.wishOne(key, attribute, wanted)
    return inTurn(async () => {
      await send(
        key,
        attribute,
        wanted,
        based.value ? reason.value : undefined,
        note.value,
        seen ?? revisionOf(find(key), attribute),
      )
      note.value = ''
    })
  }

  async function sendAll(
    changes: { placement: string; attribute: Attribute; value?: AttributeValue; revision: number }[],
    why: Reason | undefined,
    said: string | undefined,
  ) {
    saving.value++
    try {
      lay(
        await call<PlotEdit>('POST', `/api/shots/${plot.value!.shot.id}/knots`, {
          body: { changes, reason: why, note: said || undefined },
        }),
      )
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
  function keepAll(changes: Pick<ChangeView, 'placement' | 'attribute' | 'value'>[]) {
    return inTurn(async () => {
      await sendAll(
        changes.map(({ placement, attribute, value }) => ({
          placement,
          attribute,
          value,
          revision: revisionOf(find(placement), attribute),
        })),
        based.value ? reason.value : undefined,
        note.value,
      )
      note.value = ''
    })
  }

  /** Records changes made by hand on the plan, or puts them into the trial: what goes wrong is told beside the plan. */
  async function dropAll(changes: Pick<ChangeView, 'placement' | 'attribute' | 'value'>[]) {
    const light = useLight()
    try {
      if (light.trying)
        await light.wish(changes.map(({ placement, attribute, value }) => ({ placement, attribute, value })))
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
      lay(
        await call<PlotEdit>('PUT', `/api/shots/${plot.value!.shot.id}/placements/${key}`, {
          body: { name, role, motivation, group, locked },
          version,
        }),
      )
    })
  }

  /** Records a change made by hand on the plan: what goes wrong is told beside the plan. */
  async function drop(key: string, attribute: Attribute, wanted: ValueEdit) {
    try {
      await edit(key, attribute, wanted)
    } catch (failure) {
      tried.value = []
      if (!conflict.value) problem.value = { sentence: sentence(failure), placement: key, attribute, wanted }
    }
  }

  /** Takes this person's last edit of the shot back, or does it again. */
  function step(way: 'undo' | 'redo') {
    return inTurn(async () => {
      if (!plot.value?.mine[way]) return
      try {
        lay(await call<PlotEdit>('POST', `/api/shots/${plot.value.shot.id}/${way}`))
        problem.value = undefined
      } catch (failure) {
        problem.value = { sentence: sentence(failure) }
      }
    })
  }

  /** Reads the open shot again, because someone else changed the scene: what is typed or tried stays. */
  function refresh() {
    return inTurn(async () => {
      const shotId = plot.value?.shot.id
      if (shotId === undefined || plot.value?.shot.asOf !== undefined) return
      const now = await call<Plot>('GET', `/api/shots/${shotId}/plot`).catch(() => undefined)
      if (now && plot.value?.shot.id === shotId) plot.value = now
    })
  }

  const connection = useConnection()
  connection.onChanged(['RECORD', 'BOOK', 'SET', 'READINGS'], (changed) => {
    if (plot.value && useBook().mayConcern(changed, plot.value.sceneId)) void refresh()
  })
  connection.onReconnect(() => void refresh())
  watch(
    () => outbox.sent,
    () => void refresh(),
  )
  watch(
    () => plot.value?.shot.id,
    (id) => connection.viewShot(id),
  )

  async function takeTheirs() {
    conflict.value = undefined
    tried.value = []
    if (plot.value) await load(plot.value.shot.id)
  }

  async function overwrite() {
    const mine = conflict.value
    if (!mine) return
    conflict.value = undefined
    try {
      await send(
        mine.current.placement,
        mine.current.attribute,
        mine.wanted,
        mine.reason,
        mine.note,
        mine.current.revision,
      )
    } catch (failure) {
      if (!conflict.value) problem.value = { sentence: sentence(failure) }
    }
  }

  return {
    plot,
    selected,
    reason,
    note,
    problem,
    conflict,
    saving,
    tried,
    multiSelection,
    waiting,
    set,
    based,
    locked,
    patchLocked,
    placements,
    camera,
    chosen,
    chosenKeys,
    load,
    lay,
    refresh,
    edit,
    drop,
    keepAll,
    dropAll,
    describe,
    step,
    takeTheirs,
    overwrite,
  }
})
