import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import { ApiError, call, device, sentence } from '@/api/client'
import type { Theirs, Wish } from '@/api/types'
import { dropUnsent, keepUnsent, unsentOf } from '@/lib/shelf'
import { useLine } from './line'
import { useSession } from './session'

/** An edit that this device has not heard to be kept. */
export interface Waiting {
  /** Sent along, so that it is done once. */
  once: string
  /** When, in ms; they are sent in that order. */
  made: number
  method: string
  path: string
  body?: unknown
  version?: number
  /** What it is, for whoever waits: `Negative fill place in 4C`. */
  label: string
  shotId?: number
  /** The value that it records, where it records one. */
  wish?: Wish
  /** Why the server did not keep it. */
  problem?: string
  /** What someone else recorded meanwhile. */
  theirs?: Theirs
}

/** Edits that were made while the line was down: kept on this device, sent in their order when it stands again. */
export const useQueue = defineStore('queue', () => {
  const session = useSession()
  const line = useLine()
  const waiting = ref<Waiting[]>([])
  const sent = ref(0)
  let sending = false
  let count = 0

  /** Those that only wait, and those that somebody has to decide about. */
  const unsent = computed(() => waiting.value.filter((w) => !w.problem))
  const open = computed(() => waiting.value.filter((w) => w.problem))

  /** Reads what waits from this device: from before, or from another page of it. */
  async function load() {
    if (!session.name) return
    const before = await unsentOf<Waiting>(session.name)
    waiting.value = [...before, ...waiting.value.filter((w) => !before.some((b) => b.once === w.once))].sort((a, b) => a.made - b.made)
    void flush()
  }
  watch(() => session.name, load, { immediate: true })
  window.addEventListener('pageshow', (event) => event.persisted && void load())
  watch(() => line.live, (live) => live && void flush())

  function put(edit: Waiting) {
    waiting.value = [...waiting.value.filter((w) => w.once !== edit.once), edit].sort((a, b) => a.made - b.made)
    if (session.name) void keepUnsent({ ...edit, person: session.name })
  }

  function remove(once: string) {
    waiting.value = waiting.value.filter((w) => w.once !== once)
    sent.value++
    void dropUnsent(once)
  }

  /** A later edit of the same value takes the place of the one that waits; under a key of its own, for the other may have arrived. */
  function add(edit: Waiting) {
    const same = waiting.value.find((w) => !w.problem && w.wish && edit.wish && w.path === edit.path)
    if (same) {
      waiting.value = waiting.value.filter((w) => w !== same)
      void dropUnsent(same.once)
    }
    put(same ? { ...edit, made: same.made, version: same.version } : edit)
  }

  /**
   * Sends an edit; one that gets no answer, or that comes after others that wait, waits on this device.
   *
   * @returns the answer, or undefined when it waits
   */
  async function send<T>(edit: Omit<Waiting, 'once' | 'made'>): Promise<T | undefined> {
    const whole = { ...edit, once: `${device}-${Date.now()}-${count++}`, made: Date.now() }
    if (unsent.value.length) {
      add(whole)
      void flush()
      return undefined
    }
    try {
      return await call<T>(edit.method, edit.path, { body: edit.body, version: edit.version, once: whole.once })
    } catch (failure) {
      if (!(failure instanceof ApiError) || !failure.unanswered) throw failure
      add(whole)
      return undefined
    }
  }

  async function flush() {
    if (sending) return
    sending = true
    try {
      for (let next = unsent.value[0]; next; next = unsent.value[0]) {
        const { once } = next
        try {
          await call(next.method, next.path, { body: next.body, version: next.version, once })
          remove(once)
        } catch (failure) {
          if (failure instanceof ApiError && failure.unanswered) return
          const theirs = failure instanceof ApiError ? failure.conflict : undefined
          put({ ...next, problem: sentence(failure), theirs })
        }
      }
    } finally {
      sending = false
    }
  }

  /** Lets one go: theirs holds, or nothing does. */
  function drop(edit: Waiting) {
    remove(edit.once)
  }

  /** Sends one again, on top of what the other recorded. */
  function putOnTop(edit: Waiting) {
    put({ ...edit, version: edit.theirs?.revision ?? edit.version, problem: undefined, theirs: undefined })
    void flush()
  }

  return { waiting, unsent, open, sent, send, flush, drop, putOnTop }
})
