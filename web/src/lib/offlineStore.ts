import { clear, createStore, del, get, set, values } from 'idb-keyval'

/** What this device has read and may need without a network, and what it has not sent yet. A device that keeps nothing goes on without. */
const read = createStore('oblume-read', 'answers')
const unsent = createStore('oblume-unsent', 'edits')

/** The last answer of a path. */
export async function kept<T>(path: string): Promise<T | undefined> {
  try {
    return await get<T>(path, read)
  } catch {
    return undefined
  }
}

export async function keep(path: string, answer: unknown): Promise<void> {
  try {
    await set(path, answer, read)
  } catch {
    // no room, or a private window: it can be asked for again
  }
}

export async function forgetRead(): Promise<void> {
  await clear(read).catch(() => undefined)
}

/** An edit as a version before kept it on the device: the same under other names. */
interface OldItem {
  once?: string
  made?: number
  theirs?: unknown
}

/** An unsent edit in the names of this version. */
export function upgraded<T>(item: T & OldItem): T {
  const { once, made, theirs, ...same } = item
  if (once === undefined) return item
  return { ...same, idempotencyKey: once, queuedAt: made, ...(theirs ? { current: theirs } : {}) } as T
}

/** What a person has not sent yet, in the order in which it was made. */
export async function unsentOf<T extends { queuedAt: number }>(person: string): Promise<T[]> {
  try {
    const all = await values<T & { person: string }>(unsent)
    return all
      .map((e) => upgraded(e))
      .filter((e) => e.person === person)
      .sort((a, b) => a.queuedAt - b.queuedAt)
  } catch {
    return []
  }
}

/** Each by itself, so that two pages of one device never write over each other's. */
export async function keepUnsent(edit: { idempotencyKey: string; person: string }): Promise<void> {
  await set(edit.idempotencyKey, JSON.parse(JSON.stringify(edit)), unsent).catch(() => undefined)
}

export async function dropUnsent(idempotencyKey: string): Promise<void> {
  await del(idempotencyKey, unsent).catch(() => undefined)
}
