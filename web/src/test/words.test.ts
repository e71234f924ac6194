import { describe, expect, it } from 'vitest'
import type { AtMark, Placed, SourceView } from '@/api/types'
import { ratio, rungs, tenths, thirds } from '@/lib/stops'
import { recorded, signed, tilt, typed } from '@/lib/words'

describe('stops as a crew says them', () => {
  it.each([
    [0, '0'],
    [1 / 3, '+1/3'],
    [-2 / 3, '−2/3'],
    [-2.35, '−2 1/3'],
    [1.9, '+2'],
    [0.1, '0'],
  ])('%f is %s in thirds', (stops, text) => expect(thirds(stops)).toBe(text))

  it('says dark for no light', () => {
    expect(thirds(undefined)).toBe('dark')
    expect(tenths(undefined)).toBe('dark')
  })

  it('has a true minus and no minus nought', () => {
    expect(tenths(-1.26)).toBe('−1.3')
    expect(signed(-0.01, 1)).toBe('0')
  })

  it.each([
    [1.24, '1.2:1'],
    [5.47, '5:1'],
  ])('%f is %s', (value, text) => expect(ratio(value)).toBe(text))
})

describe('rungs of a ladder', () => {
  const side = (overStops?: number) => ({ lux: 1, overStops })
  const mark = {
    from: [
      { key: 'edge', lit: side(-3), shadow: side(-1) },
      { key: 'key', lit: side(0.2), shadow: side() },
      { key: 'far', lit: side(-9), shadow: side(-9) },
    ],
  } as unknown as AtMark
  const sources = [
    { key: 'key', name: 'Key', swatch: '#fff' },
    { key: 'edge', name: 'Edge', swatch: '#fa0' },
    { key: 'far', name: 'Far' },
  ] as SourceView[]

  it('are the sources that reach that side, brightest first', () => {
    expect(rungs(mark, sources, 'lit', -6).map((r) => r.name)).toEqual(['Key', 'Edge'])
    expect(rungs(mark, sources, 'shadow', -6).map((r) => r.name)).toEqual(['Edge'])
  })
})

describe('what stands in a field when one types over a value', () => {
  const placed = {
    values: {
      PLACE: {
        value: { xM: 3.4, yM: 2.1, outside: true },
        say: '3.40 m right, 2.10 m up, outside',
        sayImperial: `11'2" right, 6'11" up, outside`,
      },
      LEVEL: { value: { percent: 45 }, say: '45 %', sayImperial: '45 %' },
      WHITE: { value: { kelvin: 4300, duv: 0.002 }, say: '4300 K, tint +0.002 green', sayImperial: '' },
    },
    aim: { bearingDeg: 220.4, tiltDeg: -19.6 },
  } as unknown as Placed

  it('is what the server reads back', () => {
    expect(typed(placed, 'PLACE', false)).toBe('3.40, 2.10 outside')
    expect(typed(placed, 'PLACE', true)).toBe(`11'2", 6'11", outside`)
    expect(typed(placed, 'LEVEL', false)).toBe('45')
    expect(typed(placed, 'WHITE', false)).toBe('4300 +0.002')
    expect(typed(placed, 'AIM', false)).toBe('220 down 20')
    expect(typed(placed, 'HEIGHT', false)).toBe('')
  })

  it('says a level tilt as level', () => {
    expect(tilt(0.2)).toBe('level')
    expect(tilt(-12)).toBe('down 12°')
  })
})

describe('what stands beside a name on the plan', () => {
  const light = (more: object) =>
    ({
      placement: { kind: 'HEAD' },
      light: { kelvin: 4299.6 },
      values: { LEVEL: { value: { percent: 45 }, say: '45 %' }, STANDING: { value: { state: 'ON' } }, ...more },
    }) as unknown as Placed

  it('is level and colour of a light, its gel when that is saturated, and off when it is off', () => {
    expect(recorded(light({}))).toBe('45% 4300K')
    expect(recorded(light({ MODIFIERS: { value: { items: [{ name: 'Kelp', gel: {} }] } } }))).toBe('45% Kelp')
    expect(recorded(light({ STANDING: { value: { state: 'OFF' } } }))).toBe('off')
  })

  it('is lens and height of a camera, and nothing of a flag', () => {
    const camera = {
      placement: { kind: 'CAMERA' },
      values: { LENS: { say: '35 mm' }, HEIGHT: { say: '1.42 m' } },
    } as unknown as Placed
    expect(recorded(camera)).toBe('35 mm, 1.42 m')
    expect(recorded({ placement: { kind: 'FLAG' }, values: {} } as unknown as Placed)).toBe('')
  })
})
