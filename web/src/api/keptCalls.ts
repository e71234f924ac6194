import type { Intent } from './intents'
import type { Attribute, Reason, ValueEdit } from './types'

/** How a version before kept an edit on the device: by its call. */
export interface KeptCall {
  method: string
  path: string
  body?: unknown
  version?: number
}

/** The edit that a kept call is, or undefined when no version made such a call. */
export function intentOf({ method, path, body, version = 0 }: KeptCall): Intent | undefined {
  const { pathname, searchParams } = new URL(path, location.origin)
  const done = method === 'PUT'
  const query = (name: string) => searchParams.get(name) ?? ''
  const [, area, id, part, placement, attribute] = pathname
    .split('/')
    .slice(1)
    .map((piece) => decodeURIComponent(piece))
  const shotId = Number(id)
  if (area === 'moves') {
    const tick = done ? (body as { from: string; to: string; key: string }) : undefined
    return {
      kind: 'moveTick',
      from: tick?.from ?? query('from'),
      to: tick?.to ?? query('to'),
      key: tick?.key ?? query('key'),
      done,
    }
  }
  if (area === 'runs' && part === 'steps' && placement)
    return { kind: 'rebuildTick', shotId: 0, runId: Number(id), placement, done }
  if (area === 'sets' && part === 'notes')
    return { kind: 'note', about: { setId: Number(id) }, text: (body as { text: string }).text }
  if (area !== 'shots') return undefined
  switch (part) {
    case 'placements': {
      if (!placement || !attribute) return undefined
      const { reason, note, ...wanted } = (body ?? {}) as { reason?: Reason; note?: string }
      return {
        kind: 'value',
        shotId,
        placement,
        attribute: attribute as Attribute,
        revision: version,
        wanted: done ? (wanted as ValueEdit) : null,
        reason,
        note,
      }
    }
    case 'rebuild':
      return placement ? { kind: 'rebuildTick', shotId, placement, done } : undefined
    case 'readings':
      return { kind: 'reading', shotId, body: body as Intent<'reading'>['body'] }
    case 'takes':
      return { kind: 'take', shotId, body: body as Intent<'take'>['body'] }
    case 'notes':
      return {
        kind: 'note',
        about: { shotId, placement: query('placement') || undefined },
        text: (body as { text: string }).text,
      }
    default:
      return undefined
  }
}
