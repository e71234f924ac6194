import { describe, expect, it } from 'vitest'
import { placeFlag } from '@/lib/flags'
import { overlap } from '@/lib/labels'

const PLAN = { width: 700, height: 500 }

describe('a note on the plan', () => {
  it('stands near its place and inside the plan', () => {
    for (const at of [
      { x: 350, y: 250 },
      { x: 3, y: 3 },
      { x: 699, y: 499 },
    ]) {
      const flag = placeFlag(at, 24, [], PLAN)
      expect(Math.min(flag.left, flag.top, PLAN.width - flag.right, PLAN.height - flag.bottom)).toBeGreaterThanOrEqual(
        0,
      )
      expect(Math.hypot((flag.left + flag.right) / 2 - at.x, (flag.top + flag.bottom) / 2 - at.y)).toBeLessThan(220)
    }
  })

  it('covers nothing that is taken while there is room elsewhere', () => {
    const taken = [{ left: 350, right: 700, top: 0, bottom: 500 }]
    expect(overlap(placeFlag({ x: 340, y: 250 }, 24, taken, PLAN), taken[0]!)).toBe(0)
  })

  it('keeps off the note before it', () => {
    const first = placeFlag({ x: 350, y: 250 }, 24, [], PLAN)
    expect(overlap(placeFlag({ x: 352, y: 250 }, 24, [first], PLAN), first)).toBe(0)
  })
})
