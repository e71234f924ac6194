import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import { answeredOf, ApiError, conflictOf, device, epochNow, sentence, whenRestored } from '@/api/client'
import { hasPicture, deliver, replaces, type AnswerTo, type Intent, type MadeOn } from '@/api/intents'
import { outdateAll } from '@/api/reads'
import { revisionOf, value, type ConflictingValue, type PlotEdit, type PullList, type Survey } from '@/api/types'
import {
  acknowledgedOf,
  dropPicture,
  dropUnsent,
  endTurn,
  keepAcknowledged,
  keepPicture,
  keepUnsent,
  pictureOf,
  takeTurn,
  unsentOf,
} from '@/lib/offlineStore'
import { useConnection } from './connection'
import { useSession } from './session'

const RETRY_S = 2
/** How long a page that stopped in the middle keeps the others from sending. */
const TURN_MS = 5_000
const TURN = 'send'
/** The server forgets the keys of edits that are older, after a while, and would do them once more. */
const KEYS_KNOWN_MS = 60 * 24 * 3600 * 1000

/** An edit that this device has not heard to be kept. */
export interface OutboxItem {
  /** Sent along, so that it is done once. */
  idempotencyKey: string
  /** When, in ms; they are sent in that order. */
  queuedAt: number
  /** The stretch of the record that it was made in. */
  epoch?: string
  intent: Intent
  /** What it is, for whoever waits: `Negative fill place in 4C`. */
  label: string
  /** Why the server did not keep it. */
  problem?: string
  /** What someone else recorded meanwhile. */
  current?: ConflictingValue
}

/** An edit apart from the page's own objects, some of which a device cannot keep. */
function plain(intent: Intent): Intent {
  return JSON.parse(JSON.stringify(intent)) as Intent
}

/** An edit as made on what the other recorded. */
function on({ placement, attribute, revision, value: was }: ConflictingValue, intent: Intent): Intent {
  if (intent.kind === 'value') return { ...intent, revision, was }
  if (intent.kind !== 'values') return intent
  const isIt = (c: MadeOn) => c.placement === placement && c.attribute === attribute
  return { ...intent, changes: intent.changes.map((c) => (isIt(c) ? { ...c, revision, was } : c)) }
}

/** Edits that were made while the line was down: kept on this device, sent in their order when it stands again. */
export const useOutbox = defineStore('outbox', () => {
  const session = useSession()
  const connection = useConnection()
  const waiting = ref<OutboxItem[]>([])
  /** Tells the other pages of this device that what waits has changed. */
  const pages = new BroadcastChannel('oblume-outbox')
  /** Keys of those that the device does not keep, or not yet. */
  const onlyHere = new Set<string>()
  /** Pictures that the device could not keep. */
  const picturesHere = new Map<string, Blob>()
  /** How many of those that wait this device has no room for: they are lost with this page. */
  const unkept = ref(0)
  let sending = false
  /** Key of the one that is being sent. */
  let onItsWay: string | undefined
  let count = 0

  /** Those that only wait, and those that somebody has to decide about. */
  const unsent = computed(() => waiting.value.filter((w) => !w.problem))
  const conflicts = computed(() => waiting.value.filter((w) => w.problem))

  /** Reads what waits on this device, from before or from another page of it; what it could not keep waits in this page alone. */
  async function readDevice() {
    if (!session.name) return
    const there = await unsentOf<OutboxItem>(session.name)
    show([...there, ...waiting.value.filter((w) => onlyHere.has(w.idempotencyKey))])
  }
  function show(items: OutboxItem[]) {
    waiting.value = items.sort((a, b) => a.queuedAt - b.queuedAt)
  }
  async function load() {
    await readDevice()
    await sendAgain()
    void flush()
  }
  watch(() => session.name, load, { immediate: true })
  window.addEventListener('pageshow', (event) => event.persisted && void load())
  pages.onmessage = () => void readDevice()
  watch(
    () => connection.live,
    (live) => live && void flush(),
  )

  async function put(edit: OutboxItem) {
    onlyHere.add(edit.idempotencyKey)
    show([...waiting.value.filter((w) => w.idempotencyKey !== edit.idempotencyKey), edit])
    if (session.name && (await keepUnsent({ ...edit, person: session.name }))) onlyHere.delete(edit.idempotencyKey)
    countUnkept()
    pages.postMessage('put')
  }

  function countUnkept() {
    unkept.value = waiting.value.filter(({ idempotencyKey: key }) => onlyHere.has(key) || picturesHere.has(key)).length
  }

  async function remove(idempotencyKey: string) {
    waiting.value = waiting.value.filter((w) => w.idempotencyKey !== idempotencyKey)
    onlyHere.delete(idempotencyKey)
    countUnkept()
    await dropUnsent(idempotencyKey)
    pages.postMessage('removed')
  }

  /** Keeps what the server acknowledged until the record is held elsewhere too: one laptop can fall into the water. */
  async function keepHeard(item: OutboxItem) {
    const answeredAt = answeredOf(item.idempotencyKey)
    const person = session.name
    if (
      answeredAt !== undefined &&
      person &&
      (await keepAcknowledged({ ...item, epoch: epochNow(), person, answeredAt }))
    )
      return
    if (hasPicture(item.intent)) await forgetPicture(item.idempotencyKey)
  }

  /** The record was brought back from a copy since: what this device had sent is sent again, under its keys. */
  async function sendAgain() {
    const now = epochNow()
    if (!session.name || !now) return
    const heard = await acknowledgedOf<OutboxItem & { answeredAt: number }>(session.name)
    const keysKnown = Date.now() - KEYS_KNOWN_MS
    const lost = heard.filter((one) => one.epoch && one.epoch !== now && one.queuedAt > keysKnown)
    for (const { idempotencyKey, queuedAt, epoch, label, intent } of lost)
      await put({ idempotencyKey, queuedAt, epoch, label, intent })
  }
  whenRestored(() => void load().then(() => outdateAll()))

  /**
   * A later edit of the same value takes the place of the one that waits; under a key of its own, for the other may have arrived. One that
   * is on its way is not taken back: the later comes after it.
   */
  async function add(edit: OutboxItem) {
    const same = waiting.value.find(
      (w) => !w.problem && w.idempotencyKey !== onItsWay && replaces(edit.intent, w.intent),
    )
    if (!same) return put(edit)
    const { revision, was } = same.intent as Intent<'value'>
    const { queuedAt, epoch } = same
    await remove(same.idempotencyKey)
    await put({ ...edit, queuedAt, epoch, intent: { ...(edit.intent as Intent<'value'>), revision, was } })
  }

  /**
   * Sends an edit; one that gets no answer, or that comes after others that wait, waits on this device.
   *
   * @param label what it is, for whoever waits
   * @param picture of a photograph
   * @returns the answer, or undefined when it waits
   */
  async function send<K extends Intent['kind']>(
    intent: Intent<K>,
    label: string,
    picture?: Blob,
  ): Promise<AnswerTo<K> | undefined> {
    const whole: OutboxItem = {
      idempotencyKey: `${device}-${Date.now()}-${count++}`,
      queuedAt: Date.now(),
      epoch: epochNow(),
      intent: plain(intent as Intent),
      label,
    }
    if (picture && !(await keepPicture(whole.idempotencyKey, picture))) picturesHere.set(whole.idempotencyKey, picture)
    if (unsent.value.length) {
      await add(whole)
      void flush()
      return undefined
    }
    try {
      const answer = await deliver(intent, whole.idempotencyKey, picture)
      await keepHeard(whole)
      return answer
    } catch (failure) {
      if (!(failure instanceof ApiError) || !failure.unanswered) {
        if (picture) await forgetPicture(whole.idempotencyKey)
        throw failure
      }
      await add(whole)
      if (failure.status) flushIn(failure.retryAfterS)
      return undefined
    }
  }

  async function picture({ idempotencyKey, intent }: OutboxItem): Promise<Blob | undefined> {
    return hasPicture(intent) ? (picturesHere.get(idempotencyKey) ?? (await pictureOf(idempotencyKey))) : undefined
  }
  async function forgetPicture(idempotencyKey: string) {
    picturesHere.delete(idempotencyKey)
    await dropPicture(idempotencyKey)
  }

  /** A server that is only busy, or a device of which another page sends, is tried again in a moment. */
  function flushIn(seconds = RETRY_S) {
    setTimeout(() => void flush(), seconds * 1000)
  }

  /** Sends what waits, in its order: one page of a device at a time. */
  async function flush() {
    if (sending || !session.name || !unsent.value.length) return
    sending = true
    let sent = 0
    try {
      if (!(await takeTurn(TURN, device, TURN_MS))) return flushIn()
      await readDevice() // another page may have sent some of it
      for (let next = unsent.value[0]; next; next = unsent.value[0]) {
        const outcome = await tryOne(next)
        if (outcome === 'later') break
        sent++
        await takeTurn(TURN, device, TURN_MS)
      }
      await endTurn(TURN, device)
    } finally {
      sending = false
    }
    if (sent) await outdateAll()
  }

  async function tryOne(item: OutboxItem): Promise<'done' | 'later'> {
    onItsWay = item.idempotencyKey
    try {
      const answer = await deliver(item.intent, item.idempotencyKey, await picture(item), item.epoch)
      await keepHeard(item)
      await remove(item.idempotencyKey)
      if (item.intent.kind === 'value') await carryOn(item.intent, answer as PlotEdit)
      else if (item.intent.kind === 'photoTaps') await carryTapsOn(item.intent, answer as Survey)
      else if (item.intent.kind === 'pullCount') await carryCountOn(item.intent, answer as PullList)
    } catch (failure) {
      if (failure instanceof ApiError && failure.unanswered) {
        if (failure.status) flushIn(failure.retryAfterS)
        return 'later'
      }
      await put({ ...item, problem: sentence(failure), current: conflictOf(failure) })
    } finally {
      onItsWay = undefined
    }
    return 'done'
  }

  /** What was made of the same value meanwhile was made on what this one left. */
  async function carryOn(intent: Intent<'value'>, { placements }: PlotEdit) {
    const placed = placements.find((p) => p.placement.key === intent.placement)
    const next = unsent.value.find((w) => replaces(w.intent, intent))
    if (!placed || !next || next.epoch !== epochNow()) return // one of before a restore is compared by value
    const revision = revisionOf(placed, intent.attribute)
    const was = value(placed, intent.attribute)
    await put({ ...next, epoch: epochNow(), intent: { ...(next.intent as Intent<'value'>), revision, was } })
  }

  async function carryTapsOn(intent: Intent<'photoTaps'>, { photos }: Survey) {
    const version = photos.find((p) => p.id === intent.photoId)?.version
    const next = unsent.value.find((w) => replaces(w.intent, intent))
    if (version === undefined || !next) return
    await put({ ...next, intent: { ...(next.intent as Intent<'photoTaps'>), revision: version } })
  }

  async function carryCountOn(intent: Intent<'pullCount'>, { lines }: PullList) {
    const version = lines.find((l) => l.id === intent.lineId)?.version
    const next = unsent.value.find((w) => replaces(w.intent, intent))
    if (version === undefined || !next) return
    await put({ ...next, intent: { ...(next.intent as Intent<'pullCount'>), revision: version } })
  }

  /** Discards one: theirs holds, or nothing does. */
  async function drop(edit: OutboxItem) {
    await remove(edit.idempotencyKey)
    if (hasPicture(edit.intent)) await forgetPicture(edit.idempotencyKey)
    await outdateAll()
  }

  /** Sends one again, on top of what the other recorded. */
  async function overwrite({ idempotencyKey, queuedAt, label, intent, current }: OutboxItem) {
    const onTop = current ? on(current, intent) : intent
    await put({ idempotencyKey, queuedAt, epoch: epochNow(), label, intent: onTop })
    await flush()
  }

  return { waiting, unsent, conflicts, unkept, send, flush, drop, overwrite }
})
