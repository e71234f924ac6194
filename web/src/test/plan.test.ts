import { describe, expect, it } from 'vitest'
import { axis, kelvinAt, miredAt, ticks } from '@/lib/scales'
import { along, bearingBetween, bounds, toCentimetre, toPlan, toPx } from '@/lib/screen'
import { isClosed, wallPoints } from '@/lib/set'
import { worn } from '@/lib/stock'

const VIEW = { scale: 50, x: 100, y: 400 }

describe('the plan on the screen', () => {
  it('comes back to where it was', () => {
    const p = { xM: 3.21, yM: -1.7 }
    const back = toPlan(VIEW, toPx(VIEW, p))
    expect(back.xM).toBeCloseTo(p.xM)
    expect(back.yM).toBeCloseTo(p.yM)
  })

  it.each([0, 45, 118, 220, 359])('bearing %d is read back from its direction', (bearing) => {
    const way = along(bearing)
    expect(bearingBetween({ x: 0, y: 0 }, { x: way.x * 80, y: way.y * 80 })).toBeCloseTo(bearing)
  })

  it('is set to the centimetre', () => {
    expect(toCentimetre({ xM: 1.2345, yM: 6.785 })).toEqual({ xM: 1.23, yM: 6.79 })
  })

  it('knows a room from a wall', () => {
    const room = [
      { xM: 0, yM: 0 },
      { xM: 4, yM: 0 },
      { xM: 4, yM: 3 },
      { xM: 0, yM: 0 },
    ]
    expect(isClosed(room)).toBe(true)
    expect(isClosed(room.slice(0, 3))).toBe(false)
    expect(
      bounds(wallPoints({ walls: [{ points: room }], openings: [], furniture: [], landmarks: [], northDeg: 0 })),
    ).toEqual({ left: 0, right: 4, bottom: 0, top: 3 })
  })
})

describe('axes', () => {
  it('map there and back', () => {
    const a = axis(-7, 1, 300, 10)
    expect(a.value(a.px(-2.4))).toBeCloseTo(-2.4)
    expect(a.px(1)).toBe(10)
  })

  it('have a tick at each third', () => {
    expect(ticks(-1, 1, 1 / 3)).toHaveLength(7)
  })

  it('run from kelvin to mired and back to a dial', () => {
    expect(kelvinAt(miredAt(5600))).toBe(5600)
  })
})

it('only a cloth softens, as much as the stock says when it is hung', () => {
  const item = { name: 'x', stops: 1, miredShift: 3, duvShift: 0, softness: 0.2 }
  expect(worn({ ...item, kind: 'DIFFUSION' })).toMatchObject({ softens: true, softness: 0.2 })
  expect(worn({ ...item, kind: 'NET' }).softens).toBe(false)
  expect(worn({ ...item, kind: 'NET' })).not.toHaveProperty('softness')
})
