// @vitest-environment happy-dom
import { describe, expect, it } from 'vitest'
import { intentOf } from '@/api/keptCalls'
import { upgraded } from '@/lib/offlineStore'

describe('what a device kept unsent', () => {
  it('is read as an earlier version kept it, so that an edit outlives an update', () => {
    const kept = {
      once: 'ipad-1',
      made: 12,
      person: 'gaffer',
      label: 'Key level in 4C',
      method: 'PUT',
      path: '/api/shots/3/placements/key/LEVEL',
      body: { text: '45', reason: 'MATCH' },
      version: 2,
      shotId: 3,
      wish: { placement: 'key', attribute: 'LEVEL', text: '45' },
      theirs: { revision: 4 },
    }
    expect(upgraded(kept)).toEqual({
      idempotencyKey: 'ipad-1',
      queuedAt: 12,
      person: 'gaffer',
      label: 'Key level in 4C',
      problem: undefined,
      current: { revision: 4 },
      intent: {
        kind: 'value',
        shotId: 3,
        placement: 'key',
        attribute: 'LEVEL',
        revision: 2,
        wanted: { text: '45' },
        reason: 'MATCH',
        note: undefined,
      },
    })
  })

  it('is left alone when it is of this version', () => {
    const item = { idempotencyKey: 'ipad-2', queuedAt: 13 }
    expect(upgraded(item)).toBe(item)
  })

  it.each([
    ['DELETE', '/api/shots/3/placements/key/LEVEL', undefined, { kind: 'value', wanted: null, attribute: 'LEVEL' }],
    [
      'PUT',
      '/api/shots/3/rebuild/back-window',
      undefined,
      { kind: 'rebuildTick', placement: 'back-window', done: true },
    ],
    ['DELETE', '/api/runs/7/steps/key', undefined, { kind: 'rebuildTick', runId: 7, placement: 'key', done: false }],
    ['PUT', '/api/moves/ticks', { from: 'shot-1', to: 'shot-2', key: 'k' }, { kind: 'moveTick', key: 'k', done: true }],
    [
      'DELETE',
      '/api/moves/ticks?from=shot-1&to=shot-2&key=a%20b',
      undefined,
      { kind: 'moveTick', from: 'shot-1', to: 'shot-2', key: 'a b', done: false },
    ],
    ['POST', '/api/shots/3/readings', { line: 'key alone 4' }, { kind: 'reading', body: { line: 'key alone 4' } }],
    ['POST', '/api/shots/3/takes', { circled: false }, { kind: 'take', shotId: 3 }],
    [
      'POST',
      '/api/shots/3/notes?placement=key',
      { text: 'n' },
      { kind: 'note', about: { shotId: 3, placement: 'key' } },
    ],
    ['POST', '/api/sets/5/notes', { text: 'n' }, { kind: 'note', about: { setId: 5 } }],
  ])('knows what %s %s was', (method, path, body, is) => {
    expect(intentOf({ method, path, body })).toMatchObject(is)
  })
})
