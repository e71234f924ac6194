import { describe, expect, it } from 'vitest'
import type { PatchedLight } from '@/api/types'
import { footprints, overlapped, placed } from '@/lib/universeStrip'

const light = (name: string, universe: number, address: number, slots: number) =>
  ({
    key: name.toLowerCase(),
    name,
    slots,
    last: address + slots - 1,
    patch: { universe, address, slots },
  }) as PatchedLight

describe('the strip of a universe', () => {
  const lights = [light('Edge', 1, 111, 8), light('Key', 1, 101, 8), light('Fill', 2, 1, 3)]

  it('shows the footprints of its own lights, in order', () => {
    expect(footprints(lights, 1, 7, 7, 3).map((f) => [f.light.name, f.first, f.last])).toEqual([
      ['Key', 101, 108],
      ['Edge', 111, 118],
    ])
  })

  it('keeps names that would touch in lanes of their own', () => {
    const close = [light('Street sign', 1, 1, 1), light('Bench lamp', 1, 2, 1), light('Moth', 1, 60, 2)]
    expect(footprints(close, 1, 7, 7, 3).map((f) => f.lane)).toEqual([0, 1, 0])
  })

  it('keeps a footprint on the strip', () => {
    expect(placed(-3, 8)).toBe(1)
    expect(placed(510, 8)).toBe(505)
    expect(placed(20.4, 8)).toBe(20)
  })

  it('says whose slots would be shared', () => {
    const all = footprints(lights, 1, 7, 7, 3)
    expect(overlapped(all, all[0]!, 104)).toEqual(['Edge'])
    expect(overlapped(all, all[0]!, 119)).toEqual([])
  })
})
