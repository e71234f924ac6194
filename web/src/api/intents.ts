import { answer, api, ApiError, asFile, epochNow, onVersion } from './client'
import type { components } from './generated/schema'
import type {
  Attribute,
  AttributeValue,
  Meter,
  Moves,
  NewPlacement,
  Note,
  PlotEdit,
  PullList,
  Reason,
  Rebuild,
  StillHead,
  StillKind,
  Survey,
  SurveyTaps,
  Take,
  ValueEdit,
} from './types'

/** A value as it shall be, and what it was made on. */
export type MadeOn = {
  placement: string
  attribute: Attribute
  value?: AttributeValue
  revision: number
  was?: AttributeValue
}

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
    /** The value that it was made on. */
    was?: AttributeValue
    /** Whether the person stands before it. */
    looked?: boolean
  }
  /** Somebody looked: these values stand on set. */
  look: { shotId: number; placement: string; values: Partial<Record<Attribute, AttributeValue>> }
  /** Something that was found on set; its key is this device's. */
  thing: { shotId: number; body: NewPlacement }
  /** All of them or none. */
  values: { shotId: number; changes: MadeOn[]; reason?: Reason; note?: string }
  moveTick: { from: string; to: string; key: string; done: boolean }
  rebuildTick: { shotId: number; runId?: number; placement: string; done: boolean }
  reading: { shotId: number; body: components['schemas']['ReadingBody'] }
  take: { shotId: number; body: components['schemas']['TakeCard'] }
  note: { text: string; about: NoteSubject }
  /** Its picture is kept beside it. */
  photo: { text?: string; about: NoteSubject }
  /** A picture among the stills of a shot; it is kept as one of a photograph is. */
  still: { shotId: number; still: StillKind; text?: string; run?: number }
  /** All that is tapped in a photograph, made on a version of it. */
  photoTaps: { shotId: number; photoId: number; revision: number; body: SurveyTaps }
  /** How many of a line of a pull list went out and came back, made on a version of it. */
  pullCount: { listId: number; lineId: number; revision: number; out: number; back: number }
}
type Kind = keyof Edits

/** An edit that can wait on this device until the server has heard it. */
export type Intent<K extends Kind = Kind> = { [P in K]: { kind: P } & Edits[P] }[K]

/** What is noted about: a shot, or a thing in it, or a set. */
export type NoteSubject = { shotId: number; placement?: string } | { setId: number }

interface Answers {
  value: PlotEdit
  look: PlotEdit
  thing: components['schemas']['Placed']
  values: PlotEdit
  moveTick: Moves
  rebuildTick: Rebuild
  reading: Meter
  take: Take
  note: Note
  photo: Note
  still: StillHead
  photoTaps: Survey
  pullCount: PullList
}

export type AnswerTo<K extends Kind> = Answers[K]

type Way = {
  headers: { 'Idempotency-Key': string; 'Oblume-Epoch'?: string }
  picture?: Blob
  /** Whether revisions mean nothing any more, because the record was brought back from a copy: then the value that was there tells. */
  byValue: boolean
}

function withPicture({ headers, picture }: Way) {
  if (!picture) throw new ApiError(410, 'This device does not have the picture any more: take it again.')
  const file = asFile(picture)
  return { ...file, headers: { ...file.headers, ...headers } }
}

/** Whether an edit has a picture that is kept beside it. */
export const hasPicture = ({ kind }: Intent): boolean => kind === 'photo' || kind === 'still'

const CALLS: { [P in Kind]: (intent: Intent<P>, way: Way) => Promise<Answers[P]> } = {
  value({ shotId, placement, attribute, revision, wanted, reason, note, was, looked }, { byValue, ...way }) {
    const insteadOf = byValue && wanted ? was : undefined
    const header = onVersion(insteadOf ? undefined : revision)
    const at = { ...way, params: { path: { shotId, placement, attribute }, header } }
    return answer(
      wanted
        ? api.PUT('/api/shots/{shotId}/placements/{placement}/{attribute}', {
            ...at,
            body: { ...wanted, insteadOf, reason, note, looked },
          })
        : api.DELETE('/api/shots/{shotId}/placements/{placement}/{attribute}', at),
    )
  },
  look: ({ shotId, placement, values }, way) =>
    answer(
      api.POST('/api/shots/{shotId}/placements/{placement}/looked', {
        ...way,
        params: { path: { shotId, placement } },
        body: { values: values as never },
      }),
    ),
  thing: ({ shotId, body }, way) =>
    answer(api.POST('/api/shots/{shotId}/placements', { ...way, params: { path: { shotId } }, body })),
  values({ shotId, changes, reason, note }, { byValue, ...way }) {
    const all = changes.map(({ was, ...change }) => ({ ...change, insteadOf: byValue ? was : undefined }))
    return answer(
      api.POST('/api/shots/{shotId}/knots', {
        ...way,
        params: { path: { shotId } },
        body: { changes: all, reason, note },
      }),
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
  photo({ text, about }, sent) {
    const way = withPicture(sent)
    if ('setId' in about)
      return answer(api.POST('/api/sets/{setId}/photos', { ...way, params: { path: about, query: { text } } }))
    const { shotId, placement } = about
    return answer(
      api.POST('/api/shots/{shotId}/photos', { ...way, params: { path: { shotId }, query: { text, placement } } }),
    )
  },
  still({ shotId, still: kind, text, run }, sent) {
    const params = { path: { shotId }, query: { kind, text, run } }
    return answer(api.POST('/api/shots/{shotId}/stills', { ...withPicture(sent), params }))
  },
  photoTaps: ({ shotId, photoId, revision, body }, way) =>
    answer(
      api.PUT('/api/shots/{shotId}/survey/photos/{photoId}', {
        ...way,
        params: { path: { shotId, photoId }, header: onVersion(revision) },
        body,
      }),
    ),
  pullCount: ({ listId, lineId, revision, out, back }, way) =>
    answer(
      api.PUT('/api/pull-lists/{id}/lines/{line}', {
        ...way,
        params: { path: { id: listId, line: lineId }, header: onVersion(revision) },
        body: { out, back },
      }),
    ),
}

/**
 * Sends an edit; under the same key it is done once, however often it is sent.
 *
 * @param picture of a photograph
 * @param madeIn the stretch of the record that it was made in
 */
export function deliver<K extends Kind>(
  intent: Intent<K>,
  idempotencyKey: string,
  picture?: Blob,
  madeIn = epochNow(),
): Promise<AnswerTo<K>> {
  const headers = { 'Idempotency-Key': idempotencyKey, ...(madeIn && { 'Oblume-Epoch': madeIn }) }
  return CALLS[intent.kind as K](intent, { headers, picture, byValue: madeIn !== epochNow() })
}

/** Whether a later edit says all that an earlier one of the same value did. */
export function replaces(later: Intent, earlier: Intent): boolean {
  if (later.kind === 'photoTaps') return earlier.kind === 'photoTaps' && later.photoId === earlier.photoId
  if (later.kind === 'pullCount') return earlier.kind === 'pullCount' && later.lineId === earlier.lineId
  return (
    later.kind === 'value' &&
    earlier.kind === 'value' &&
    later.shotId === earlier.shotId &&
    later.placement === earlier.placement &&
    later.attribute === earlier.attribute
  )
}
