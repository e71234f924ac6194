import { describe, expect, it } from 'vitest'
import type { StillHead } from '@/api/types'
import { nextName, reedY, referenceOf } from '@/lib/stills'

const point = (name: string) => ({ name, x: 0.5, y: 0.5 })
const still = (id: number, shotId: number, more: Partial<StillHead> = {}) =>
  ({ id, shotId, kind: 'FRAME', reference: false, ...more }) as StillHead

describe('stills', () => {
  it('names the next point as the other still has it, then as one usually looks', () => {
    expect(nextName([])).toBe('lit cheek')
    expect(nextName([point('lit cheek')])).toBe('shadow cheek')
    expect(nextName([point('lit cheek')], [point('lit cheek'), point('lamp')])).toBe('lamp')
    const all = ['lit cheek', 'shadow cheek', 'background', 'window', 'grey', 'point 6'].map(point)
    expect(nextName(all.slice(0, 5))).toBe('point 6')
    expect(nextName(all)).toBe('point 7')
  })

  it('is held against the reference, else against one of another shot, of the same kind', () => {
    const [wide, close, other] = [still(1, 1), still(2, 3), still(3, 3)]
    expect(referenceOf([wide, close, other], close)?.id).toBe(1)
    expect(referenceOf([wide, close, { ...other, reference: true }], close)?.id).toBe(3)
    expect(referenceOf([wide, { ...close, kind: 'WARDROBE' }], { ...close, kind: 'WARDROBE' })).toBeUndefined()
  })

  it('is, of a rebuild, held against the recorded one of its shot, whatever the reference is', () => {
    const [reference, older, recorded] = [still(1, 1, { reference: true }), still(2, 3), still(3, 3)]
    const [rebuilt, another] = [still(4, 3, { run: 9 }), still(5, 3, { run: 8 })]
    expect(referenceOf([reference, older, recorded, another, rebuilt], rebuilt)?.id).toBe(3)
    expect(referenceOf([reference, another, rebuilt], rebuilt)?.id).toBe(1)
  })

  it('stands a reed on the scale, and what is beyond it at its end', () => {
    expect(reedY(2)).toBe(0)
    expect(reedY(0) - reedY(1)).toBe(reedY(-1) - reedY(0))
    expect(reedY(-40)).toBe(reedY(-7))
  })
})
