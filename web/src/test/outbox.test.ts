// @vitest-environment happy-dom
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Intent } from '@/api/intents'
import type { OutboxItem } from '@/stores/outbox'
import { fakeServer, GAFFER, json, type FakeServer } from './server'
import { levelled, shop } from './shop'

/** What is kept on the device, and which of its pages may send. */
type Heard = OutboxItem & { answeredAt: number }
const device = vi.hoisted(() => ({
  items: [] as OutboxItem[],
  heard: [] as Heard[],
  pictures: new Map<string, Blob>(),
  full: false,
  turn: '',
}))
vi.mock('@/lib/offlineStore', () => ({
  keep: () => Promise.resolve(),
  kept: () => Promise.resolve(undefined),
  forgetRead: () => Promise.resolve(),
  unsentOf: () => Promise.resolve([...device.items]),
  keepUnsent: (edit: OutboxItem) => {
    if (device.full) return Promise.resolve(false)
    device.items = [...device.items.filter((e) => e.idempotencyKey !== edit.idempotencyKey), edit]
    return Promise.resolve(true)
  },
  dropUnsent: (key: string) => {
    device.items = device.items.filter((e) => e.idempotencyKey !== key)
    return Promise.resolve()
  },
  keepAcknowledged: (edit: Heard) => {
    device.heard.push(edit)
    return Promise.resolve(true)
  },
  acknowledgedOf: () => Promise.resolve([...device.heard]),
  keepPicture: (key: string, picture: Blob) => {
    if (device.full) return Promise.resolve(false)
    device.pictures.set(key, picture)
    return Promise.resolve(true)
  },
  pictureOf: (key: string) => Promise.resolve(device.pictures.get(key)),
  dropPicture: (key: string) => Promise.resolve(void device.pictures.delete(key)),
  takeTurn: (_: string, page: string) => Promise.resolve(!device.turn || device.turn === page),
  endTurn: () => Promise.resolve(),
}))

let server: FakeServer
beforeEach(() => {
  vi.useFakeTimers()
  Object.assign(device, { items: [], heard: [], pictures: new Map(), full: false, turn: '' })
  localStorage.clear()
  server = fakeServer()
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

async function outbox() {
  const { useOutbox } = await import('@/stores/outbox')
  const { useSession } = await import('@/stores/session')
  useSession().session = GAFFER
  const box = useOutbox()
  await vi.advanceTimersByTimeAsync(0)
  return box
}

const level = (text: string): Intent<'value'> => ({
  kind: 'value',
  shotId: 3,
  placement: 'key',
  attribute: 'LEVEL',
  revision: 1,
  wanted: { text },
})
const note = (text: string): Intent<'note'> => ({ kind: 'note', about: { shotId: 3 }, text })

describe('the outbox', () => {
  it('sends an edit again, under its own key, when a busy server said when', async () => {
    const box = await outbox()
    server.answers = [json(503, { detail: 'busy' }, { 'Retry-After': '3' })]
    await expect(box.send(note('flag is low'), 'note in 4C')).resolves.toBeUndefined()
    expect(box.unsent).toHaveLength(1)
    await vi.advanceTimersByTimeAsync(2_900)
    expect(server.sent).toHaveLength(1)
    await vi.advanceTimersByTimeAsync(200)
    expect(server.sent).toHaveLength(2)
    expect(server.sent[1]!.key).toBe(server.sent[0]!.key)
    expect(box.waiting).toHaveLength(0)
  })

  it('keeps on the device what got no answer, and sends it in order when the line stands again', async () => {
    const box = await outbox()
    server.answers = ['no answer', 'no answer']
    await box.send(note('first'), 'note in 4C')
    await box.send(note('second'), 'note in 4C')
    await vi.advanceTimersByTimeAsync(0)
    expect(device.items).toHaveLength(2)
    server.answers = []
    server.sent = []
    await box.flush()
    expect(server.sent.map((s) => s.body)).toEqual([{ text: 'first' }, { text: 'second' }])
    expect(device.items).toHaveLength(0)
  })

  it('lets the later edit of one value take the place of the one that waits, on the version that it was made on', async () => {
    const box = await outbox()
    server.answers = ['no answer', 'no answer', 'no answer']
    await box.send(level('40'), 'Key level in 4C')
    await box.send({ ...level('45'), revision: 2 }, 'Key level in 4C')
    expect(box.unsent.map((w) => w.intent)).toEqual([level('45')])
  })

  it('sends an edit that was made while another of the same value was on its way on what that one left', async () => {
    const box = await outbox()
    server.answers = ['no answer']
    await box.send(level('40'), 'Key level in 4C')
    let arrives: (response: Response) => void = () => undefined
    server.answers = [new Promise<Response>((resolve) => (arrives = resolve)), json(200, levelled(shop(), 'key', 45))]
    const flushing = box.flush()
    await vi.advanceTimersByTimeAsync(0)
    await box.send(level('45'), 'Key level in 4C')
    expect(box.unsent).toHaveLength(2)
    arrives(json(200, levelled(shop(), 'key', 40)))
    await flushing
    expect(server.sent.slice(-2).map((s) => [s.body, s.version])).toEqual([
      [{ text: '40' }, '"1"'],
      [{ text: '45' }, '"6"'],
    ])
    expect(box.waiting).toHaveLength(0)
  })

  it('counts a line of a pull list once, on the version that it was seen in, and the next on what that one left', async () => {
    const count = (out: number): Intent<'pullCount'> => ({
      kind: 'pullCount',
      listId: 1,
      lineId: 7,
      revision: 1,
      out,
      back: 0,
    })
    const box = await outbox()
    server.answers = ['no answer']
    await box.send(count(3), 'Stand counted')
    let arrives: (response: Response) => void = () => undefined
    server.answers = [new Promise<Response>((resolve) => (arrives = resolve)), json(200, { lines: [] })]
    const flushing = box.flush()
    await vi.advanceTimersByTimeAsync(0)
    await box.send(count(4), 'Stand counted')
    arrives(json(200, { lines: [{ id: 7, version: 5 }] }))
    await flushing
    expect(server.sent.slice(-2).map((s) => [s.path, s.body, s.version])).toEqual([
      ['/api/pull-lists/1/lines/7', { out: 3, back: 0 }, '"1"'],
      ['/api/pull-lists/1/lines/7', { out: 4, back: 0 }, '"5"'],
    ])
  })

  it('leaves to a person what somebody else changed, and goes on with the rest', async () => {
    const box = await outbox()
    server.answers = ['no answer', 'no answer', 'no answer']
    await box.send(level('40'), 'Key level in 4C')
    await box.send(note('flag is low'), 'note in 4C')
    await vi.advanceTimersByTimeAsync(0)
    const conflict = { placement: 'key', attribute: 'LEVEL', revision: 7 }
    server.answers = [json(409, { detail: 'key grip changed the level of Key to 50 %.', conflict })]
    await box.flush()
    expect(box.conflicts.map((w) => w.problem)).toEqual(['key grip changed the level of Key to 50 %.'])
    expect(box.unsent).toHaveLength(0)
    server.sent = []
    server.answers = [json(200, levelled(shop(), 'key', 40))]
    await box.overwrite(box.conflicts[0]!)
    expect(server.sent).toHaveLength(1)
    expect(box.waiting).toHaveLength(0)
  })

  it('says at once what a rule refused: that does not wait', async () => {
    const box = await outbox()
    server.answers = [json(400, { detail: 'Level is between 0 and 100 %.' })]
    await expect(box.send(level('400'), 'Key level in 4C')).rejects.toThrow('Level is between 0 and 100 %.')
    expect(box.waiting).toHaveLength(0)
  })

  it('sends nothing while another page of this device does, and not again what that one has sent', async () => {
    const box = await outbox()
    server.answers = ['no answer']
    await box.send(note('first'), 'note in 4C')
    server.sent = []
    device.turn = 'another page'
    await box.flush()
    expect(server.sent).toHaveLength(0)
    device.turn = ''
    device.items = []
    await vi.advanceTimersByTimeAsync(2_100)
    expect(server.sent).toHaveLength(0)
    expect(box.waiting).toHaveLength(0)
  })

  it('loses nothing on a device that keeps nothing', async () => {
    const box = await outbox()
    device.full = true
    server.answers = ['no answer']
    await box.send(note('first'), 'note in 4C')
    expect(box.unsent).toHaveLength(1)
    expect(box.unkept, 'it is told that this page alone has it').toBe(1)
    await box.flush()
    expect(server.sent.at(-1)!.body).toEqual({ text: 'first' })
    expect(box.waiting).toHaveLength(0)
    expect(box.unkept).toBe(0)
  })

  /** An answer of a server, in one stretch of the record. */
  const ofEpoch = (epoch: string, answered: number, body: unknown = {}) =>
    json(200, body, { 'Oblume-Epoch': epoch, 'Oblume-Answered': String(answered) })

  it('keeps what was acknowledged, and sends it again in its order, by value, once the record was brought back', async () => {
    const box = await outbox()
    server.answers = [
      ofEpoch('before', 10, levelled(shop(), 'key', 40)),
      ofEpoch('before', 20),
      ofEpoch('before', 30, levelled(shop(), 'key', 45)),
    ]
    await box.send({ ...level('40'), was: { percent: 30 } as never }, 'Key level in 4C')
    await box.send(note('flag is low'), 'note in 4C')
    await box.send({ ...level('45'), revision: 2, was: { percent: 40 } as never }, 'Key level in 4C')
    expect(device.heard.map((h) => h.answeredAt)).toEqual([10, 20, 30])
    const first = server.sent.splice(0)
    server.answers = [
      ofEpoch('after', 5),
      ofEpoch('after', 6, levelled(shop(), 'key', 40)),
      ofEpoch('after', 7),
      ofEpoch('after', 8, levelled(shop(), 'key', 45)),
    ]
    await box.send(note('the next one'), 'note in 4C')
    await vi.advanceTimersByTimeAsync(0)
    const [, ...again] = server.sent
    expect(again.map((s) => s.key).slice(0, 3)).toEqual(first.map((s) => s.key))
    expect(again.map((s) => [s.body, s.version]).slice(0, 3)).toEqual([
      [{ text: '40', insteadOf: { percent: 30 } }, null],
      [{ text: 'flag is low' }, null],
      [{ text: '45', insteadOf: { percent: 40 } }, null],
    ])
    expect(box.waiting).toHaveLength(0)
  })

  it('has the picture of a photograph wait with it, until it is heard and held', async () => {
    const box = await outbox()
    server.answers = ['no answer']
    const picture = new Blob(['picture'])
    await box.send({ kind: 'photo', about: { shotId: 3 }, text: 'the flag' }, 'photograph in 4C', picture)
    const { idempotencyKey } = box.unsent[0]!
    expect(await device.pictures.get(idempotencyKey)!.text()).toBe('picture')
    await box.flush()
    expect(server.sent.at(-1)).toMatchObject({ key: idempotencyKey, path: '/api/shots/3/photos?text=the%20flag' })
    expect(box.waiting).toHaveLength(0)
    // a server that does not say when it answered keeps no copies: nothing waits for it
    expect(device.pictures.size).toBe(0)
  })

  it('sends again what a restore lost to a page that was opened only after it', async () => {
    let box = await outbox()
    server.answers = [ofEpoch('before', 10), ofEpoch('before', 20)]
    await box.send(note('flag is low'), 'note in 4C')
    const { idempotencyKey } = device.heard[0]!
    // a new page of the same device, which hears of the new stretch before it knows who is signed in
    vi.resetModules()
    server = fakeServer()
    server.answers = [ofEpoch('after', 5), ofEpoch('after', 6)]
    const { api } = await import('@/api/client')
    await api.POST('/api/output/stop')
    server.sent = []
    box = await outbox()
    await vi.advanceTimersByTimeAsync(0)
    expect(server.sent.map((s) => s.key)).toEqual([idempotencyKey])
    expect(box.waiting).toHaveLength(0)
  })
})
