import { describe, expect, it } from 'vitest'
import { cheeksOfBust, eyeWords, fallsWords, seenFacets, seenPoint, type Own, saidOfBust } from '@/lib/bust'

/** A facet of 2 cm that looks forward, and one that looks back; of the one that looks to its own left. */
const square = (at: Own, right: Own, up: Own): Own[] => {
  const corner = (a: number, b: number) => at.map((v, k) => v + 0.01 * (a * right[k]! + b * up[k]!)) as Own
  return [corner(-1, 1), corner(-1, -1), corner(1, -1), corner(1, 1)]
}
const FRONT = square([0.1, 0, 0], [0, 1, 0], [0, 0, 1])
const BACK = square([-0.1, 0, 0], [0, -1, 0], [0, 0, 1])
const LEFT = square([0, 0.1, 0], [-1, 0, 0], [0, 0, 1])

describe('the bust', () => {
  it('shows from the front what looks forward, and its own left at the right of the picture', () => {
    const seen = seenFacets([FRONT, BACK, LEFT], 0, 0)
    expect(seen.map((f) => f.index)).toEqual([0])
    const [first, , last] = seen[0]!.points.split(' ').map((p) => Number(p.split(',')[0]))
    expect(first).toBeLessThan(0)
    expect(last).toBeGreaterThan(0)
  })
  it('shows its own left from there, for a turn is clockwise', () => {
    expect(seenFacets([FRONT, BACK, LEFT], -90, 0).map((f) => f.index)).toEqual([2])
    expect(seenFacets([FRONT, BACK, LEFT], 90, 0)).toEqual([])
    expect(seenFacets([FRONT, BACK, LEFT], 180, 0).map((f) => f.index)).toEqual([1])
  })
  it('puts what is above the eyes up', () => {
    const [above] = seenFacets([square([0.1, 0, 0.1], [0, 1, 0], [0, 0, 1])], 0, 0)
    expect(Number(above!.points.split(' ')[0]!.split(',')[1])).toBeLessThan(-0.1)
  })
  it('says where the shadow of the nose falls', () => {
    expect(fallsWords(0)).toBe('straight down')
    expect(fallsWords(45)).toBe('down and to its own left')
    expect(fallsWords(-100)).toBe('across to its own right')
    expect(fallsWords(140)).toBe('up and to its own left')
  })
  it('says which lights are in which eye', () => {
    expect(eyeWords([])).toBe('No light in the eyes.')
    expect(
      eyeWords([
        { light: 'Key', inLeft: true, inRight: true },
        { light: 'Bench lamp', inLeft: false, inRight: true },
      ]),
    ).toBe('Eye light: Key in both eyes, Bench lamp in its own right eye.')
  })

  it('tells what its own shadow leaves of its cheeks', () => {
    const seen = {
      mark: 'mark-1',
      colours: [],
      eyeLights: [],
      onNose: [],
      inGlasses: [],
      litOverStops: 0.06,
      shadowOverStops: -2.13,
    }
    expect(cheeksOfBust(seen)).toBe('Over all of each, own shadow and all, its cheeks are +0.1 and −2.1 stops.')
  })

  it('tells what an edge light does to the nose, and what the glasses show', () => {
    const seen = { mark: 'mark-1', colours: [], eyeLights: [], onNose: ['Edge'], inGlasses: ['Key', 'Fill'] }
    expect(saidOfBust(seen)).toBe(
      'No light throws a shadow of the nose. Edge catches the nose. No light in the eyes. Key and Fill show in the glasses.',
    )
  })

  it('puts a point where its facets are', () => {
    const [facet] = seenFacets([FRONT], 20, 10)
    expect(facet!.points.split(' ')[0]).toBe(Object.values(seenPoint(FRONT[0]!, 20, 10)).join())
    expect(seenPoint([0, 0.031, 0], 0, 0).x).toBeCloseTo(0.031, 3)
  })
})
