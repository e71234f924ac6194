import { describe, expect, it } from 'vitest'
import { upgraded } from '@/lib/offlineStore'

describe('what a device kept unsent', () => {
  it('is read under the names of an earlier version, so that an edit outlives an update', () => {
    expect(upgraded({ once: 'ipad-1', made: 12, person: 'gaffer', path: '/api/x', theirs: { revision: 4 } })).toEqual({
      idempotencyKey: 'ipad-1',
      queuedAt: 12,
      person: 'gaffer',
      path: '/api/x',
      current: { revision: 4 },
    })
  })

  it('is left alone when it is of this version', () => {
    const item = { idempotencyKey: 'ipad-2', queuedAt: 13 }
    expect(upgraded(item)).toBe(item)
  })
})
