import { describe, expect, it } from 'vitest'
import { drawnLines, stopsLabel } from '@/lib/isostops'

describe('isostops', () => {
  it('names whole stops and thirds as a crew says them', () => {
    expect([-2, 0, 1, -1 / 3, 4 / 3, 2 / 3].map(stopsLabel)).toEqual(['−2', '0', '+1', '−⅓', '+1⅓', '+⅔'])
  })

  it('draws hairs on the right of the way, where it is darker', () => {
    const [line] = drawnLines([{ stops: -1, dots: [0, 100, 200, 100] }], 1)
    // going right on a page, the right hand is below
    expect(line!.hairs.startsWith('M13,100L13,104.5')).toBe(true)
    expect(line!.hairs.match(/M/g)).toHaveLength(8)
    expect(line!.strong).toBe(false)
  })

  it('turns no name upside down, and leaves out one that would lie on another', () => {
    const back = { stops: 0, dots: [200, 50, 0, 50] }
    const close = { stops: -1, dots: [60, 62, 140, 62] }
    const far = { stops: -2, dots: [0, 200, 0, 400] }
    const [a, b, c] = drawnLines([back, close, far], 1)
    expect(a!.strong).toBe(true)
    expect(a!.label).toMatchObject({ text: '0', turn: 0 })
    expect(b!.label && Math.hypot(b!.label.x - a!.label!.x, b!.label.y - a!.label!.y)).toSatisfy(
      (apart: number | undefined) => apart === undefined || apart > 30,
    )
    expect(Math.abs(c!.label!.turn)).toBe(90)
  })

  it('scales with the picture', () => {
    expect(drawnLines([{ stops: 0, dots: [0, 0, 10, 10] }], 2)[0]!.d).toBe('M0,0L20,20')
  })
})
