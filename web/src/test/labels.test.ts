import { describe, expect, it } from 'vitest'
import { around, overlap, placeLabels, tapePlate, type LabelWanted } from '@/lib/labels'

const PLAN = { left: 0, top: 0, right: 600, bottom: 400 }
const wanted = (key: string, x: number, y: number, needed = false): LabelWanted => ({
  key,
  at: { x, y },
  clear: { x: 10, y: 10 },
  width: 60,
  height: 16,
  needed,
})
const box = (w: LabelWanted, p: { x: number; y: number; anchor: string }) => {
  const left = p.anchor === 'start' ? p.x : p.x - w.width
  return { left, right: left + w.width, top: p.y, bottom: p.y + w.height }
}

describe('names on the plan', () => {
  it('stand at the right of what they name where there is room', () => {
    expect(placeLabels([wanted('key', 300, 200)], [], PLAN).get('key')).toMatchObject({ x: 314, anchor: 'start' })
  })

  it('go to the other side at the edge of the plan', () => {
    expect(placeLabels([wanted('key', 590, 200)], [], PLAN).get('key')?.anchor).toBe('end')
  })

  it('do not lie on each other, and one without room is left out', () => {
    const crowd = Array.from({ length: 40 }, (_, i) =>
      wanted(`h${i}`, 300 + (i % 8) * 14, 150 + Math.floor(i / 8) * 14),
    )
    const placed = placeLabels(crowd, [], PLAN)
    expect(placed.size).toBeLessThan(crowd.length)
    const boxes = crowd.flatMap((w) => (placed.has(w.key) ? [box(w, placed.get(w.key)!)] : []))
    boxes.forEach((a, i) => boxes.slice(0, i).forEach((b) => expect(overlap(a, b)).toBeLessThan(12)))
  })

  it('are shown in any crowd when they are needed', () => {
    const crowd = Array.from({ length: 40 }, (_, i) => wanted(`h${i}`, 300, 200, i === 39))
    expect(placeLabels(crowd, [], PLAN).has('h39')).toBe(true)
  })

  it('keep off what is taken', () => {
    const taken = around({ x: 340, y: 200 }, { x: 30, y: 12 })
    const one = wanted('key', 300, 200)
    expect(overlap(box(one, placeLabels([one], [taken], PLAN).get('key')!), taken)).toBe(0)
  })
})

describe("a tape's plate", () => {
  it('lies on a long tape and beside a short one', () => {
    expect(tapePlate({ x: 0, y: 0 }, { x: 400, y: 0 }).y).toBe(0)
    expect(Math.abs(tapePlate({ x: 0, y: 0 }, { x: 60, y: 0 }).y)).toBeGreaterThan(30)
  })
})
