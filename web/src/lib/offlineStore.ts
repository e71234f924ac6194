import { clear, createStore, del, delMany, entries, get, set, update, values } from 'idb-keyval'
import { intentOf, type KeptCall } from '@/api/keptCalls'

/** What this device has read and may need without a network, and what it has not sent yet. A device that keeps nothing goes on without. */
const read = createStore('oblume-read', 'answers')
const unsent = createStore('oblume-unsent', 'edits')
const pictures = createStore('oblume-pictures', 'pictures')
const acknowledged = createStore('oblume-acknowledged', 'edits')
const turns = createStore('oblume-turns', 'turns')

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

/** What an edit was kept as by versions before: by its call, and once under other names. */
interface OldItem extends Partial<KeptCall> {
  once?: string
  made?: number
  theirs?: unknown
  person?: string
  label?: string
  problem?: string
  idempotencyKey?: string
  queuedAt?: number
  current?: unknown
}

/** An unsent edit as this version keeps it. */
export function upgraded<T>(item: T & OldItem): T {
  const { once, made, theirs, method, path, body, version, label, ...same } = item
  if (path === undefined || method === undefined) return item
  const { person, problem, idempotencyKey = once, queuedAt = made, current = theirs } = same
  const intent = intentOf({ method, path, body, version })
  return { person, problem, idempotencyKey, queuedAt, current, label, intent } as T
}

/** What a person has not sent yet. */
export async function unsentOf<T>(person: string): Promise<T[]> {
  try {
    const all = await values<T & { person: string }>(unsent)
    return all.map((e) => upgraded(e)).filter((e) => e.person === person)
  } catch {
    return []
  }
}

/** Each by itself, so that two pages of one device never write over each other's. @returns whether the device keeps it */
export async function keepUnsent(edit: { idempotencyKey: string; person: string }): Promise<boolean> {
  try {
    await set(edit.idempotencyKey, JSON.parse(JSON.stringify(edit)), unsent)
    return true
  } catch {
    return false
  }
}

export async function dropUnsent(idempotencyKey: string): Promise<void> {
  await del(idempotencyKey, unsent).catch(() => undefined)
}

/** The picture of a photograph that is not sent yet, or not held elsewhere yet. */
export async function keepPicture(idempotencyKey: string, picture: Blob): Promise<boolean> {
  try {
    await set(idempotencyKey, picture, pictures)
    return true
  } catch {
    return false
  }
}

export async function pictureOf(idempotencyKey: string): Promise<Blob | undefined> {
  return get<Blob>(idempotencyKey, pictures).catch(() => undefined)
}

export async function dropPicture(idempotencyKey: string): Promise<void> {
  await del(idempotencyKey, pictures).catch(() => undefined)
}

/** An edit that the server has acknowledged, kept until it is held elsewhere too. */
interface Acknowledged {
  idempotencyKey: string
  person: string
  /** The stretch of the record that holds it. */
  epoch?: string
  /** When, by the server's clock, in ms. */
  answeredAt: number
}

/** @returns whether the device keeps it */
export async function keepAcknowledged(edit: Acknowledged): Promise<boolean> {
  try {
    await set(edit.idempotencyKey, JSON.parse(JSON.stringify(edit)), acknowledged)
    return true
  } catch {
    return false
  }
}

export async function acknowledgedOf<T>(person: string): Promise<T[]> {
  try {
    return (await values<T & Acknowledged>(acknowledged)).filter((edit) => edit.person === person)
  } catch {
    return []
  }
}

/** Forgets what was acknowledged up to a moment of the server's clock, in ms, whoever made it. */
export async function dropAcknowledged(upTo: number): Promise<void> {
  try {
    const all = await entries<string, Acknowledged>(acknowledged)
    const held = all.filter(([, edit]) => edit.answeredAt <= upTo).map(([key]) => key)
    await delMany(held, acknowledged)
    await delMany(held, pictures)
  } catch {
    // they stay until the next time
  }
}

interface Turn {
  page: string
  until: number
}

/**
 * Takes a turn among the pages of this device, or goes on with one: only one page has it at a time, for so many ms.
 *
 * @returns whether this page has it; a device that keeps nothing has one page
 */
export async function takeTurn(what: string, page: string, ms: number): Promise<boolean> {
  const now = Date.now()
  let mine = false
  try {
    await update<Turn>(
      what,
      (turn) => {
        mine = !turn || turn.page === page || turn.until < now
        return mine ? { page, until: now + ms } : turn!
      },
      turns,
    )
    return mine
  } catch {
    return true
  }
}

export async function endTurn(what: string, page: string): Promise<void> {
  await update<Turn>(what, (turn) => (turn?.page === page ? { page, until: 0 } : turn!), turns).catch(() => undefined)
}
