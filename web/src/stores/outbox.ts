import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import { ApiError, call, device, sentence } from '@/api/client'
import type { ConflictingValue, ProposedChange } from '@/api/types'
import { dropUnsent, keepUnsent, unsentOf } from '@/lib/offlineStore'
import { useConnection } from './connection'
import { useSession } from './session'

const RETRY_S = 2

/** An edit that this device has not heard to be kept. */
export interface OutboxItem {
  /** Sent along, so that it is done once. */
  idempotencyKey: string
  /** When, in ms; they are sent in that order. */
  queuedAt: number
  method: string
  path: string
  body?: unknown
  version?: number
  /** What it is, for whoever waits: `Negative fill place in 4C`. */
  label: string
  shotId?: number
  /** The value that it records, where it records one. */
  wish?: ProposedChange
  /** Why the server did not keep it. */
  problem?: string
  /** What someone else recorded meanwhile. */
  current?: ConflictingValue
}

/** Edits that were made while the line was down: kept on this device, sent in their order when it stands again. */
export const useOutbox = defineStore('outbox', () => {
  const session = useSession()
  const connection = useConnection()
  const waiting = ref<OutboxItem[]>([])
  const sent = ref(0)
  let sending = false
  let count = 0

  /** Those that only wait, and those that somebody has to decide about. */
  const unsent = computed(() => waiting.value.filter((w) => !w.problem))
  const conflicts = computed(() => waiting.value.filter((w) => w.problem))

  /** Reads what waits from this device: from before, or from another page of it. */
  async function load() {
    if (!session.name) return
    const before = await unsentOf<OutboxItem>(session.name)
    waiting.value = [
      ...before,
      ...waiting.value.filter((w) => !before.some((b) => b.idempotencyKey === w.idempotencyKey)),
    ].sort((a, b) => a.queuedAt - b.queuedAt)
    void flush()
  }
  watch(() => session.name, load, { immediate: true })
  window.addEventListener('pageshow', (event) => event.persisted && void load())
  watch(
    () => connection.live,
    (live) => live && void flush(),
  )

  function put(edit: OutboxItem) {
    waiting.value = [...waiting.value.filter((w) => w.idempotencyKey !== edit.idempotencyKey), edit].sort(
      (a, b) => a.queuedAt - b.queuedAt,
    )
    if (session.name) void keepUnsent({ ...edit, person: session.name })
  }

  function remove(idempotencyKey: string) {
    waiting.value = waiting.value.filter((w) => w.idempotencyKey !== idempotencyKey)
    sent.value++
    void dropUnsent(idempotencyKey)
  }

  /** A later edit of the same value takes the place of the one that waits; under a key of its own, for the other may have arrived. */
  function add(edit: OutboxItem) {
    const same = waiting.value.find((w) => !w.problem && w.wish && edit.wish && w.path === edit.path)
    if (same) {
      waiting.value = waiting.value.filter((w) => w !== same)
      void dropUnsent(same.idempotencyKey)
    }
    put(same ? { ...edit, queuedAt: same.queuedAt, version: same.version } : edit)
  }

  /**
   * Sends an edit; one that gets no answer, or that comes after others that wait, waits on this device.
   *
   * @returns the answer, or undefined when it waits
   */
  async function send<T>(edit: Omit<OutboxItem, 'idempotencyKey' | 'queuedAt'>): Promise<T | undefined> {
    const whole = { ...edit, idempotencyKey: `${device}-${Date.now()}-${count++}`, queuedAt: Date.now() }
    if (unsent.value.length) {
      add(whole)
      void flush()
      return undefined
    }
    try {
      return await call<T>(edit.method, edit.path, {
        body: edit.body,
        version: edit.version,
        idempotencyKey: whole.idempotencyKey,
      })
    } catch (failure) {
      if (!(failure instanceof ApiError) || !failure.unanswered) throw failure
      add(whole)
      flushAgain(failure)
      return undefined
    }
  }

  /** A server that is only busy hears it again in a moment; one that is gone, when the line stands again. */
  function flushAgain(failure: ApiError) {
    if (failure.status) setTimeout(() => void flush(), (failure.retryAfterS ?? RETRY_S) * 1000)
  }

  async function flush() {
    if (sending) return
    sending = true
    try {
      for (let next = unsent.value[0]; next; next = unsent.value[0]) {
        const { idempotencyKey } = next
        try {
          await call(next.method, next.path, { body: next.body, version: next.version, idempotencyKey })
          remove(idempotencyKey)
        } catch (failure) {
          if (failure instanceof ApiError && failure.unanswered) {
            flushAgain(failure)
            return
          }
          const current = failure instanceof ApiError ? failure.conflict : undefined
          put({ ...next, problem: sentence(failure), current })
        }
      }
    } finally {
      sending = false
    }
  }

  /** Discards one: theirs holds, or nothing does. */
  function drop(edit: OutboxItem) {
    remove(edit.idempotencyKey)
  }

  /** Sends one again, on top of what the other recorded. */
  function overwrite(edit: OutboxItem) {
    put({ ...edit, version: edit.current?.revision ?? edit.version, problem: undefined, current: undefined })
    void flush()
  }

  return { waiting, unsent, conflicts, sent, send, flush, drop, overwrite }
})
