import { answer, api, onVersion } from './client'
import type { components } from './generated/schema'
import type { Attribute, Meter, Moves, Note, PlotEdit, Reason, Rebuild, Take, ValueEdit } from './types'

interface Edits {
  value: {
    shotId: number
    placement: string
    attribute: Attribute
    /** Of the value that it was made on. */
    revision: number
    wanted: ValueEdit
    reason?: Reason
    note?: string
  }
  moveTick: { from: string; to: string; key: string; done: boolean }
  rebuildTick: { shotId: number; runId?: number; placement: string; done: boolean }
  reading: { shotId: number; body: components['schemas']['ReadingBody'] }
  take: { shotId: number; body: components['schemas']['TakeCard'] }
  note: { text: string; about: NoteSubject }
}
type Kind = keyof Edits

/** An edit that can wait on this device until the server has heard it. */
export type Intent<K extends Kind = Kind> = { [P in K]: { kind: P } & Edits[P] }[K]

/** What is noted about: a shot, or a thing in it, or a set. */
export type NoteSubject = { shotId: number; placement?: string } | { setId: number }

interface Answers {
  value: PlotEdit
  moveTick: Moves
  rebuildTick: Rebuild
  reading: Meter
  take: Take
  note: Note
}

export type AnswerTo<K extends Kind> = Answers[K]

type Way = { headers: { 'Idempotency-Key': string } }

const CALLS: { [P in Kind]: (intent: Intent<P>, way: Way) => Promise<Answers[P]> } = {
  value({ shotId, placement, attribute, revision, wanted, reason, note }, way) {
    const at = { ...way, params: { path: { shotId, placement, attribute }, header: onVersion(revision) } }
    return answer(
      wanted
        ? api.PUT('/api/shots/{shotId}/placements/{placement}/{attribute}', {
            ...at,
            body: { ...wanted, reason, note },
          })
        : api.DELETE('/api/shots/{shotId}/placements/{placement}/{attribute}', at),
    )
  },
  moveTick({ from, to, key, done }, way) {
    return answer(
      done
        ? api.PUT('/api/moves/ticks', { ...way, body: { from, to, key } })
        : api.DELETE('/api/moves/ticks', { ...way, params: { query: { from, to, key } } }),
    )
  },
  rebuildTick({ shotId, runId, placement, done }, way) {
    if (runId !== undefined) {
      const at = { ...way, params: { path: { id: runId, placement } } }
      return answer(
        done ? api.PUT('/api/runs/{id}/steps/{placement}', at) : api.DELETE('/api/runs/{id}/steps/{placement}', at),
      )
    }
    const at = { ...way, params: { path: { shotId, placement } } }
    return answer(
      done
        ? api.PUT('/api/shots/{shotId}/rebuild/{placement}', at)
        : api.DELETE('/api/shots/{shotId}/rebuild/{placement}', at),
    )
  },
  reading: ({ shotId, body }, way) =>
    answer(api.POST('/api/shots/{shotId}/readings', { ...way, params: { path: { shotId } }, body })),
  take: ({ shotId, body }, way) =>
    answer(api.POST('/api/shots/{shotId}/takes', { ...way, params: { path: { shotId } }, body })),
  note({ text, about }, way) {
    const body = { text }
    if ('setId' in about) return answer(api.POST('/api/sets/{setId}/notes', { ...way, params: { path: about }, body }))
    const { shotId, placement } = about
    return answer(
      api.POST('/api/shots/{shotId}/notes', { ...way, params: { path: { shotId }, query: { placement } }, body }),
    )
  },
}

/** Sends an edit; under the same key it is done once, however often it is sent. */
export function deliver<K extends Kind>(intent: Intent<K>, idempotencyKey: string): Promise<AnswerTo<K>> {
  return CALLS[intent.kind as K](intent, { headers: { 'Idempotency-Key': idempotencyKey } })
}

/** Whether a later edit says all that an earlier one of the same value did. */
export function replaces(later: Intent, earlier: Intent): boolean {
  return (
    later.kind === 'value' &&
    earlier.kind === 'value' &&
    later.shotId === earlier.shotId &&
    later.placement === earlier.placement &&
    later.attribute === earlier.attribute
  )
}
