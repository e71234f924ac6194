import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import { sentence } from '@/api/client'
import type { Intent } from '@/api/intents'
import {
  held,
  value,
  type Attribute,
  type Placed,
  type PlanPoint,
  type ProposedChange,
  type ValueEdit,
} from '@/api/types'
import { wantedWords } from '@/lib/words'
import { useLight } from './light'
import { useOutbox } from './outbox'
import { usePlot, type WholeChange } from './plot'

/** A value that waits to be sent. */
type Meant = Pick<Intent<'value'>, 'placement' | 'attribute' | 'looked'> & Partial<Pick<Intent<'value'>, 'wanted'>>

/** What is under a finger: where a thing would stand, face or hang. */
export interface Draft {
  at?: PlanPoint
  bearing?: number
  heightM?: number
}

/**
 * The shot as it is edited: the record, over it what waits to be sent, over that what is tried and what is under a finger. Edits go
 * into the trial in hand, or into the record.
 */
export const useShotEditor = defineStore('shotEditor', () => {
  const plot = usePlot()
  const light = useLight()
  const outbox = useOutbox()
  const draft = ref<Record<string, Draft>>({})

  /** Values of this shot that wait on this device to be sent. */
  const waiting = computed(() =>
    outbox.waiting.flatMap(({ intent, current }): Meant[] => {
      if (current || !('shotId' in intent) || intent.shotId !== plot.plot?.shot.id) return []
      if (intent.kind === 'value') return [intent]
      if (intent.kind === 'look')
        return Object.keys(intent.values).map((attribute) => ({
          placement: intent.placement,
          attribute: attribute as Attribute,
          looked: true,
        }))
      return intent.kind === 'values'
        ? intent.changes.map((c) => ({ ...c, wanted: c.value ? { value: c.value } : null }))
        : []
    }),
  )
  const placements = computed(() => {
    const tried = new Map(light.tried.map((t) => [t.placement.key, t]))
    return [...(plot.plot?.placements ?? []), ...plot.found].map((p) => {
      const wishes = waiting.value.filter((w) => w.placement === p.placement.key)
      return tried.get(p.placement.key) ?? (wishes.length ? asMeant(p, wishes) : p)
    })
  })
  /** What changes within the shot, in order. */
  const cues = computed(() =>
    placements.value
      .filter((p) => p.onSet && p.placement.kind === 'CUE')
      .sort((a, b) => (value(a, 'CUE')?.order ?? 0) - (value(b, 'CUE')?.order ?? 0)),
  )
  const camera = computed(() => placements.value.find((p) => p.placement.kind === 'CAMERA'))
  const chosen = computed(() => placements.value.find((p) => p.placement.key === plot.selected))
  /** Where the record has what is tried elsewhere. */
  const ghosts = computed(() =>
    light.tried.flatMap(({ placement: { key } }) => {
      const was = recorded(key)
      const at = was?.onSet && value(was, 'PLACE')
      return at ? [{ key, at, bearing: was.aim?.bearingDeg ?? 0 }] : []
    }),
  )

  function recorded(key: string): Placed | undefined {
    return plot.plot?.placements.find((p) => p.placement.key === key)
  }

  /** Values that wait are shown as they were meant, on those that were read last. */
  function asMeant(placed: Placed, wishes: Meant[]): Placed {
    const values: Record<string, unknown> = { ...placed.values }
    for (const { attribute, wanted, looked } of wishes) {
      const seen = looked ? { looked: { author: '', at: new Date().toISOString() } } : {}
      if (wanted) {
        const say = wantedWords(wanted)
        const both = { metric: say, imperial: say }
        const meant = { ...held(placed, attribute), looked: undefined, ...wanted, say: both, typed: both, brief: both }
        values[attribute] = { ...meant, tiedHere: true, ...seen }
      } else if (looked && held(placed, attribute)) values[attribute] = { ...held(placed, attribute), ...seen }
    }
    return { ...placed, values: values as Placed['values'] }
  }

  /** The changes under the finger, as they would be recorded. */
  const drafted = computed<ProposedChange[]>(() =>
    Object.entries(draft.value).flatMap(([placement, { at, bearing, heightM }]): ProposedChange[] => {
      const placed = recorded(placement)
      if (!placed) return []
      if (at) {
        const outside = value(placed, 'PLACE')?.outside ?? false
        return [{ placement, attribute: 'PLACE', value: { ...at, outside } }]
      }
      if (bearing !== undefined) {
        const tiltDeg = Math.round(placed.aim?.tiltDeg ?? 0)
        return [{ placement, attribute: 'AIM', value: { bearingDeg: bearing, tiltDeg } }]
      }
      return heightM === undefined ? [] : [{ placement, attribute: 'HEIGHT', value: { heightM } }]
    }),
  )
  watch(drafted, (changes, before) => {
    if (changes.length) light.propose(changes)
    else if (before.length) light.withdraw()
  })

  function drag(moved: Record<string, Draft>) {
    draft.value = moved
  }

  /** Keeps what is under the finger; what the finger has hold of meanwhile stays in its hand. */
  async function drop() {
    const changes = drafted.value
    const dropped = draft.value
    if (!changes.length) return
    const [only] = changes
    if (changes.length === 1 && only) await put(only.placement, only.attribute, { value: only.value! })
    else await putAll(changes.map((c) => ({ ...c, value: c.value! })))
    if (draft.value === dropped) draft.value = {}
  }

  function letGo() {
    draft.value = {}
  }

  /**
   * Makes a change in the trial in hand, or in the record. Rejects with the sentence to show; nothing is kept then.
   *
   * @param seen the revision that the person had in sight, where that may be older than what is here now
   */
  function edit(key: string, attribute: Attribute, wanted: ValueEdit, seen?: number): Promise<void> {
    return light.trying ? light.wishOne(key, attribute, wanted) : plot.record(key, attribute, wanted, seen)
  }

  /** Makes a change by hand, where what goes wrong is told beside the plan. */
  async function put(key: string, attribute: Attribute, wanted: ValueEdit) {
    try {
      await edit(key, attribute, wanted)
    } catch (failure) {
      if (!plot.conflict) plot.problem = { sentence: sentence(failure), placement: key, attribute, wanted }
    }
  }

  /** Makes several changes by hand, all or none. */
  async function putAll(changes: WholeChange[]) {
    try {
      if (light.trying)
        await light.wish(changes.map(({ placement, attribute, value }) => ({ placement, attribute, value })))
      else await plot.recordAll(changes)
    } catch (failure) {
      plot.problem = { sentence: sentence(failure) }
    }
  }

  return { placements, cues, camera, chosen, waiting, ghosts, draft, drag, drop, letGo, edit, put, putAll, recorded }
})
