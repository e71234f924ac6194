import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'

const shelf = new Map<string, unknown>()
vi.mock('@/lib/offlineStore', () => ({
  keep: async (path: string, answer: unknown) => void shelf.set(path, answer),
  kept: async (path: string) => shelf.get(path),
}))

const answered = (status: number, body: unknown) => new Response(JSON.stringify(body), { status })

describe('a call to the server', () => {
  beforeEach(() => {
    shelf.clear()
    vi.stubGlobal('document', { cookie: 'XSRF-TOKEN=pass%3D1' })
  })
  afterEach(() => vi.unstubAllGlobals())

  it('answers a read with what was read last when there is no line', async () => {
    const { call } = await import('@/api/client')
    vi.stubGlobal(
      'fetch',
      vi
        .fn()
        .mockResolvedValueOnce(answered(200, { slate: '4C' }))
        .mockRejectedValueOnce(new TypeError('no network')),
    )
    expect(await call('GET', '/api/shots/3/plot')).toEqual({ slate: '4C' })
    expect(await call('GET', '/api/shots/3/plot')).toEqual({ slate: '4C' })
  })

  it('never answers what is live now with what was live before', async () => {
    const { call, ApiError } = await import('@/api/client')
    vi.stubGlobal(
      'fetch',
      vi
        .fn()
        .mockResolvedValueOnce(answered(200, { armed: null }))
        .mockRejectedValueOnce(new TypeError('no network')),
    )
    await call('GET', '/api/output', { now: true })
    await expect(call('GET', '/api/output', { now: true })).rejects.toBeInstanceOf(ApiError)
    expect(shelf.size).toBe(0)
  })

  it('sends an edit with its version, its key and this device’s pass', async () => {
    const { call } = await import('@/api/client')
    const fetch = vi.fn().mockResolvedValue(answered(200, {}))
    vi.stubGlobal('fetch', fetch)
    await call('PUT', '/api/nodes/1', { body: { name: 'Cart' }, version: 3, idempotencyKey: 'k' })
    const [path, sent] = fetch.mock.calls[0]!
    expect(path).toBe('/api/nodes/1')
    expect(sent.headers).toMatchObject({
      'If-Match': '"3"',
      'Idempotency-Key': 'k',
      'X-XSRF-TOKEN': 'pass=1',
      'Content-Type': 'application/json',
    })
  })

  it('says what the server says when it refuses', async () => {
    const { call } = await import('@/api/client')
    vi.stubGlobal(
      'fetch',
      vi.fn().mockResolvedValue(answered(400, { detail: 'Output is off: arm it first.', field: 'mark' })),
    )
    await expect(call('POST', '/api/shots/3/recall', { body: {} })).rejects.toMatchObject({
      message: 'Output is off: arm it first.',
      field: 'mark',
      status: 400,
    })
  })
})
