import { describe, expect, it } from 'vitest'
import { FRAME_ASPECT, seen, type Lens } from '@/lib/frame'

const LEVEL: Lens = { at: { xM: 0, yM: 0 }, heightM: 1.5, bearingDeg: 0, tiltDeg: 0, viewDeg: 90 }

describe('what a lens frames', () => {
  it('has what it looks at in the middle', () => {
    expect(seen(LEVEL, { xM: 0, yM: 4, zM: 1.5 })).toMatchObject({ x: 0, y: 0, depth: 4 })
  })

  it('has its edge half the angle of view to the right', () => {
    expect(seen(LEVEL, { xM: 4, yM: 4, zM: 1.5 })?.x).toBeCloseTo(1)
    expect(seen(LEVEL, { xM: 0, yM: 4, zM: 1.5 + 4 * FRAME_ASPECT })?.y).toBeCloseTo(1)
  })

  it('turns with its bearing and its tilt', () => {
    expect(seen({ ...LEVEL, bearingDeg: 90 }, { xM: 4, yM: 0, zM: 1.5 })?.x).toBeCloseTo(0)
    expect(seen({ ...LEVEL, tiltDeg: -45 }, { xM: 0, yM: 1.5, zM: 0 })?.y).toBeCloseTo(0)
  })

  it('does not see behind itself', () => {
    expect(seen(LEVEL, { xM: 0, yM: -1, zM: 1.5 })).toBeUndefined()
  })
})
