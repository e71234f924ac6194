// @vitest-environment happy-dom
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { OutboxItem } from '@/stores/outbox'

/** What is kept on the device, in the order in which it was put there. */
const device: OutboxItem[] = vi.hoisted(() => [])
vi.mock('@/lib/offlineStore', () => ({
  keep: () => Promise.resolve(),
  kept: () => Promise.resolve(undefined),
  forgetRead: () => Promise.resolve(),
  unsentOf: () => Promise.resolve([...device]),
  keepUnsent: (edit: OutboxItem) => {
    device.push(edit)
    return Promise.resolve()
  },
  dropUnsent: (key: string) => {
    const at = device.findIndex((e) => e.idempotencyKey === key)
    if (at >= 0) device.splice(at, 1)
    return Promise.resolve()
  },
}))

/** An event stream that says nothing. */
class SilentStream {
  static readonly CLOSED = 2
  readyState = 1
  addEventListener() {}
  close() {}
}

interface Sent {
  method: string
  path: string
  key: string | undefined
}

/** The server: which edits it was sent, and what it answers next; 204 when nothing is said. */
let sent: Sent[]
let answers: (Response | 'no answer')[]

function answer(status: number, body?: unknown, headers: Record<string, string> = {}): Response {
  return new Response(body === undefined ? null : JSON.stringify(body), { status, headers })
}

beforeEach(() => {
  vi.useFakeTimers()
  device.length = 0
  sent = []
  answers = []
  setActivePinia(createPinia())
  vi.stubGlobal('EventSource', SilentStream)
  vi.stubGlobal('fetch', (path: string, { method, headers }: { method: string; headers: Record<string, string> }) => {
    if (method === 'GET') return Promise.resolve(answer(200, {}))
    sent.push({ method, path, key: headers['Idempotency-Key'] })
    const next = answers.shift() ?? answer(204)
    return next === 'no answer' ? Promise.reject(new TypeError('gone')) : Promise.resolve(next)
  })
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

async function outbox() {
  const { useOutbox } = await import('@/stores/outbox')
  const { useSession } = await import('@/stores/session')
  useSession().session = { name: 'gaffer', permissions: ['READ', 'EDIT'], first: false, demo: [] }
  const box = useOutbox()
  await vi.advanceTimersByTimeAsync(0)
  return box
}

const level = (text: string) => ({
  method: 'PUT',
  path: '/api/shots/3/placements/key/LEVEL',
  body: { text },
  version: 1,
  label: 'Key level in 4C',
  shotId: 3,
  wish: { placement: 'key', attribute: 'LEVEL' as const, text },
})
const note = { method: 'POST', path: '/api/shots/3/notes', body: { text: 'flag is low' }, label: 'note in 4C' }

describe('the outbox', () => {
  it('sends an edit again, under its own key, when a busy server said when', async () => {
    const box = await outbox()
    answers = [answer(503, { detail: 'busy' }, { 'Retry-After': '3' })]
    await expect(box.send(note)).resolves.toBeUndefined()
    expect(box.unsent).toHaveLength(1)
    await vi.advanceTimersByTimeAsync(2_900)
    expect(sent).toHaveLength(1)
    await vi.advanceTimersByTimeAsync(200)
    expect(sent).toHaveLength(2)
    expect(sent[1]!.key).toBe(sent[0]!.key)
    expect(box.waiting).toHaveLength(0)
  })

  it('keeps on the device what got no answer, and sends it in order when the line stands again', async () => {
    const box = await outbox()
    answers = ['no answer', 'no answer']
    await box.send(note)
    await box.send({ ...note, body: { text: 'second' } })
    expect(device).toHaveLength(2)
    answers = []
    sent = []
    await box.flush()
    expect(sent.map((s) => s.key)).toEqual([...new Set(sent.map((s) => s.key))])
    expect(sent).toHaveLength(2)
    expect(device).toHaveLength(0)
  })

  it('lets the later edit of one value take the place of the one that waits', async () => {
    const box = await outbox()
    answers = ['no answer', 'no answer', 'no answer']
    await box.send(level('40'))
    await box.send(level('45'))
    expect(box.unsent.map((w) => w.wish?.text)).toEqual(['45'])
  })

  it('leaves to a person what somebody else changed, and goes on with the rest', async () => {
    const box = await outbox()
    answers = ['no answer', 'no answer', 'no answer']
    await box.send(level('40'))
    await box.send(note)
    answers = [answer(409, { detail: 'key grip changed the level of Key to 50 %.', conflict: { revision: 7 } })]
    await box.flush()
    expect(box.conflicts.map((w) => w.problem)).toEqual(['key grip changed the level of Key to 50 %.'])
    expect(box.unsent).toHaveLength(0)
    sent = []
    box.overwrite(box.conflicts[0]!)
    await vi.advanceTimersByTimeAsync(0)
    expect(sent).toHaveLength(1)
    expect(box.waiting).toHaveLength(0)
  })

  it('says at once what a rule refused: that does not wait', async () => {
    const box = await outbox()
    answers = [answer(400, { detail: 'Level is between 0 and 100 %.' })]
    await expect(box.send(level('400'))).rejects.toThrow('Level is between 0 and 100 %.')
    expect(box.waiting).toHaveLength(0)
  })
})
