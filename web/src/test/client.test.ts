// @vitest-environment happy-dom
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { answer, api, ApiError, conflictOf, onVersion, ONLY_NOW } from '@/api/client'

const shelf = new Map<string, unknown>()
vi.mock('@/lib/offlineStore', () => ({
  keep: async (path: string, answer: unknown) => void shelf.set(path, answer),
  kept: async (path: string) => shelf.get(path),
}))

const answered = (status: number, body: unknown) =>
  new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } })
const plot = () => answer(api.GET('/api/shots/{shotId}/plot', { params: { path: { shotId: 3 } } }))
const output = () => answer(api.GET('/api/output', ONLY_NOW))

describe('a call to the server', () => {
  beforeEach(() => {
    shelf.clear()
    document.cookie = 'XSRF-TOKEN=pass%3D1'
  })
  afterEach(() => vi.unstubAllGlobals())

  it('answers a read with what was read last when there is no line', async () => {
    vi.stubGlobal(
      'fetch',
      vi
        .fn()
        .mockResolvedValueOnce(answered(200, { slate: '4C' }))
        .mockRejectedValueOnce(new TypeError('no network')),
    )
    expect(await plot()).toEqual({ slate: '4C' })
    await vi.waitFor(() => expect([...shelf.keys()]).toEqual(['/api/shots/3/plot']))
    expect(await plot()).toEqual({ slate: '4C' })
  })

  it('never answers what is live now with what was live before', async () => {
    vi.stubGlobal(
      'fetch',
      vi
        .fn()
        .mockResolvedValueOnce(answered(200, { armed: null }))
        .mockRejectedValueOnce(new TypeError('no network')),
    )
    await output()
    await expect(output()).rejects.toBeInstanceOf(ApiError)
    expect(shelf.size).toBe(0)
  })

  it('sends an edit with its version, its key and this device’s pass', async () => {
    const fetch = vi.fn().mockResolvedValue(answered(200, {}))
    vi.stubGlobal('fetch', fetch)
    await answer(
      api.PUT('/api/nodes/{id}', {
        params: { path: { id: 1 }, header: onVersion(3) },
        headers: { 'Idempotency-Key': 'k' },
        body: { name: 'Cart', address: '10.0.0.9', mask: '255.0.0.0', ports: [1] },
      }),
    )
    const sent = fetch.mock.calls[0]![0] as Request
    expect(new URL(sent.url).pathname).toBe('/api/nodes/1')
    const headers = ['If-Match', 'Idempotency-Key', 'X-XSRF-TOKEN', 'Content-Type', 'Oblume-Units']
    expect(headers.map((name) => sent.headers.get(name))).toEqual(['"3"', 'k', 'pass=1', 'application/json', 'metric'])
    expect(await sent.json()).toMatchObject({ name: 'Cart', ports: [1] })
  })

  it('says what the server says when it refuses, and what stands now', async () => {
    const conflict = { placement: 'key', attribute: 'LEVEL', revision: 7 }
    vi.stubGlobal('fetch', vi.fn().mockResolvedValue(answered(409, { detail: 'Somebody was first.', conflict })))
    const refused = await plot().catch((failure: unknown) => failure)
    expect(refused).toMatchObject({ message: 'Somebody was first.', status: 409, unanswered: false })
    expect(conflictOf(refused)).toEqual(conflict)
  })

  it('takes a busy server for one that has not heard it', async () => {
    const busy = new Response('{"detail":"busy"}', { status: 503, headers: { 'Retry-After': '3' } })
    vi.stubGlobal('fetch', vi.fn().mockResolvedValue(busy))
    await expect(plot()).rejects.toMatchObject({ unanswered: true, retryAfterS: 3 })
  })
})
