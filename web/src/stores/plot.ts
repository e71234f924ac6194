import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import { answer, api, ApiError, conflictOf, onVersion, sentence } from '@/api/client'
import { outdate, reads, useRead } from '@/api/reads'
import { revisionOf, value as valueOf } from '@/api/types'
import type {
  Attribute,
  ChangeView,
  ConflictingValue,
  NewPlacement,
  Placed,
  PlacementCard,
  Plot,
  PlotEdit,
  Reason,
  ValueEdit,
} from '@/api/types'
import { keep } from '@/lib/offlineStore'
import { waitingThings } from '@/lib/waitingThings'
import { ATTRIBUTES } from '@/lib/words'
import { useConnection } from './connection'
import { useOutbox } from './outbox'
import { useSession } from './session'

/** What somebody wants a value to be, and why. */
interface Wish {
  wanted: ValueEdit
  reason?: Reason
  note?: string
  /** Whether the person stands before it. */
  looked?: boolean
}

interface Conflict extends Wish {
  current: ConflictingValue
}

/** A change that is made whole: all of several or none. */
export type WholeChange = Pick<ChangeView, 'placement' | 'attribute' | 'value'>

/** The record of the shot that is open, and every edit of it. */
export const usePlot = defineStore('plot', () => {
  const session = useSession()
  const outbox = useOutbox()
  const opened = ref<{ shotId: number; asOf?: number }>()
  const selected = ref<string>()
  /** Chosen besides the selected one. */
  const multiSelection = ref<string[]>([])
  const reason = ref<Reason>('MATCH')
  const note = ref('')
  const problem = ref<{ sentence: string; placement?: string; wanted?: ValueEdit; attribute?: Attribute }>()
  const conflict = ref<Conflict>()
  let inFlight: Promise<unknown> = Promise.resolve()

  /** One after the other: each edit is made, and each reading shown, on what the one before it left. */
  function inTurn<T>(job: () => Promise<T>): Promise<T> {
    const run = inFlight.then(job)
    inFlight = run.catch(() => undefined)
    return run
  }

  const read = useRead('plot', opened, { keepBefore: true, inTurn })
  const plot = read.data
  const set = computed(() => plot.value?.drawn.set.plan)
  const based = computed(() => plot.value?.shot.basedOn)
  /** Shot, or an old revision. */
  const closed = computed(() => plot.value?.shot.stage === 'SHOT' || plot.value?.shot.asOf !== undefined)
  /** Closed, or not for this person to edit. */
  const locked = computed(() => closed.value || !session.may('EDIT'))
  const patchLocked = computed(() => closed.value || !session.may('PATCH'))
  /** All that is chosen, the selected one first. */
  const chosenKeys = computed(() => (selected.value ? [selected.value, ...multiSelection.value] : []))

  /** Things that were found on set and are not sent yet. */
  const found = computed(() =>
    waitingThings(
      outbox.waiting.map((w) => w.intent),
      opened.value?.shotId,
    ).filter((f) => !plot.value?.placements.some((p) => p.placement.key === f.placement.key)),
  )

  function find(key: string): Placed {
    const placed = [...(plot.value?.placements ?? []), ...found.value].find((p) => p.placement.key === key)
    if (!placed) throw new ApiError(404, 'This is no longer on the plot.')
    return placed
  }

  /** @param asOf the event that closed the revision to look at, or undefined for the record as it is */
  function open(shotId: number, asOf?: number) {
    if (opened.value?.shotId === shotId && opened.value.asOf === asOf) return
    opened.value = { shotId, asOf }
    note.value = ''
    problem.value = undefined
    multiSelection.value = []
  }

  /** @param more to what is chosen, or out of it again */
  function select(key: string | undefined, more = false) {
    if (more && key && selected.value && key !== selected.value)
      multiSelection.value = multiSelection.value.includes(key)
        ? multiSelection.value.filter((k) => k !== key)
        : [...multiSelection.value, key]
    else {
      multiSelection.value = []
      selected.value = key
    }
  }

  const connection = useConnection()
  watch(
    () => opened.value?.shotId,
    (id) => connection.viewShot(id),
  )

  /** Lays what an edit changed over what is shown of its shot, and has the rest that shows it read again. */
  function lay(edit: PlotEdit) {
    const shown = reads.setQueryData(['plot', { shotId: edit.shot.id, asOf: undefined }], (now: Plot | undefined) => {
      if (!now) return undefined
      const changed = new Map(edit.placements.map((p) => [p.placement.key, p]))
      const known = new Set(now.placements.map((p) => p.placement.key))
      return {
        ...now,
        shot: edit.shot,
        mine: edit.mine,
        placements: [
          ...now.placements.map((p) => changed.get(p.placement.key) ?? p),
          ...edit.placements.filter((p) => !known.has(p.placement.key)),
        ],
      }
    })
    // who loads the page without a line finds what the server has heard from this device
    if (shown) void keep(`/api/shots/${edit.shot.id}/plot`, shown)
    problem.value = undefined
    void outdate({ topics: ['RECORD'] }, undefined, 'plot')
  }

  async function send(shot: Plot['shot'], placed: Placed, attribute: Attribute, revision: number, wish: Wish) {
    const { key: placement, name } = placed.placement
    const { wanted, ...why } = wish
    const intent = {
      kind: 'value',
      shotId: shot.id,
      placement,
      attribute,
      revision,
      wanted,
      was: valueOf(placed, attribute),
      ...(wanted && why),
    } as const
    try {
      const edited = await outbox.send(intent, `${name} ${ATTRIBUTES[attribute]} in ${shot.slate}`)
      if (edited) lay(edited)
      problem.value = undefined
    } catch (failure) {
      const current = conflictOf(failure)
      if (current) conflict.value = { current, ...wish }
      throw failure
    }
  }

  /**
   * Records a change. Rejects with the sentence to show; nothing is kept then.
   *
   * @param seen the revision that the person had in sight, where that may be older than what is here now
   */
  async function record(key: string, attribute: Attribute, wanted: ValueEdit, seen?: number, looked?: boolean) {
    const before = find(key)
    const { shot } = plot.value!
    await inTurn(async () => {
      // whoever went on to another shot meant the one that was open
      const placed = plot.value?.shot.id === shot.id ? find(key) : before
      await send(shot, placed, attribute, seen ?? revisionOf(placed, attribute), {
        wanted,
        reason: shot.basedOn ? reason.value : undefined,
        note: note.value || undefined,
        looked,
      })
      note.value = ''
    })
  }

  /** Says that somebody stands before a thing and finds these values as they are recorded. */
  function look(key: string, attributes: Attribute[]) {
    return inTurn(async () => {
      const { shot } = plot.value!
      const placed = find(key)
      const values = Object.fromEntries(attributes.map((a) => [a, valueOf(placed, a)]).filter(([, v]) => v))
      if (!Object.keys(values).length) return
      const edited = await outbox.send(
        { kind: 'look', shotId: shot.id, placement: key, values },
        `${placed.placement.name} looked at in ${shot.slate}`,
      )
      if (edited) lay(edited)
    })
  }

  /** Records something that stands on set and is not in the record. @returns its key */
  function placeFound(body: Omit<NewPlacement, 'key' | 'reason'>): Promise<string> {
    return inTurn(async () => {
      const { shot } = plot.value!
      const plain =
        body.name
          .toLowerCase()
          .replaceAll(/[^a-z0-9]+/g, '-')
          .replaceAll(/^-|-$/g, '') || 'thing'
      const key = `${plain.slice(0, 40)}-${Math.random().toString(36).slice(2, 6)}`
      const reasoned = { ...body, key, reason: based.value ? reason.value : undefined }
      const kept = await outbox.send(
        { kind: 'thing', shotId: shot.id, body: reasoned },
        `${body.name} found in ${shot.slate}`,
      )
      if (kept) lay(kept.edit)
      return key
    })
  }

  /** Records what stands nowhere: how the place is, or a cue. */
  function placeSaid({
    what,
    ...said
  }: Pick<NewPlacement, 'name' | 'kind' | 'role' | 'condition' | 'cue'> & { what: string }) {
    return inTurn(async () => {
      const params = { path: { shotId: plot.value!.shot.id } }
      const piece = { what, widthM: 0, watts: 0, mount: 'IN_PLACE' as const }
      const body = { ...said, piece, beamDeg: 0, reason: based.value ? reason.value : undefined }
      const { edit, key } = await answer(api.POST('/api/shots/{shotId}/placements', { params, body }))
      lay(edit)
      selected.value = key
    })
  }

  /** Records several changes, all or none. Rejects with the sentence to show. */
  function recordAll(wanted: WholeChange[]) {
    return inTurn(async () => {
      const changes = wanted.map(({ placement, attribute, value }) => ({
        placement,
        attribute,
        value,
        revision: revisionOf(find(placement), attribute),
        was: valueOf(find(placement), attribute),
      }))
      const { shot } = plot.value!
      const why = { reason: based.value ? reason.value : undefined, note: note.value || undefined }
      try {
        const what = changes.map((c) => `${find(c.placement).placement.name} ${ATTRIBUTES[c.attribute]}`).join(', ')
        const edited = await outbox.send(
          { kind: 'values', shotId: shot.id, changes, ...why },
          `${what} in ${shot.slate}`,
        )
        if (edited) lay(edited)
      } catch (failure) {
        // someone was there first: with theirs in sight, asking again puts these on top
        if (failure instanceof ApiError && failure.conflict) void read.again()
        throw failure
      }
      note.value = ''
    })
  }

  /** Changes what a placement is called, is there for and goes with. */
  function describe(key: string, card: Partial<PlacementCard>) {
    return inTurn(async () => {
      const { placement: before, version } = find(key)
      const { name, role, motivation, group, locked } = { ...before, ...card }
      const { piece } = card
      const path = { shotId: plot.value!.shot.id, placement: key }
      const params = { path, header: onVersion(version) }
      const body = { name, role, motivation, group, locked, piece }
      lay(await answer(api.PUT('/api/shots/{shotId}/placements/{placement}', { params, body })))
    })
  }

  /** Takes this person's last edit of the shot back, or does it again. */
  function step(way: 'undo' | 'redo') {
    return inTurn(async () => {
      if (!plot.value?.mine[way]) return
      const at = { params: { path: { shotId: plot.value.shot.id } } }
      try {
        lay(
          await answer(
            way === 'undo' ? api.POST('/api/shots/{shotId}/undo', at) : api.POST('/api/shots/{shotId}/redo', at),
          ),
        )
      } catch (failure) {
        problem.value = { sentence: sentence(failure) }
      }
    })
  }

  async function takeTheirs() {
    conflict.value = undefined
    await read.again()
  }

  async function overwrite() {
    const mine = conflict.value
    if (!mine) return
    conflict.value = undefined
    const { current, ...wish } = mine
    const { shot } = plot.value!
    try {
      await inTurn(() => send(shot, find(current.placement), current.attribute, current.revision, wish))
    } catch (failure) {
      if (!conflict.value) problem.value = { sentence: sentence(failure) }
    }
  }

  return {
    plot,
    unreadable: read.problem,
    selected,
    multiSelection,
    chosenKeys,
    reason,
    note,
    problem,
    conflict,
    set,
    based,
    locked,
    patchLocked,
    open,
    select,
    again: read.again,
    lay,
    found,
    record,
    look,
    placeFound,
    placeSaid,
    recordAll,
    describe,
    step,
    takeTheirs,
    overwrite,
  }
})
