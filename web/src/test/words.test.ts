import { describe, expect, it } from 'vitest'
import type { AtMark, Placed, SourceView } from '@/api/types'
import { ratio, rungs, tenths, thirds } from '@/lib/stops'
import { apart, byWhom, recorded, tilt, when } from '@/lib/words'
import { fixed, plain, signed } from '@/lib/print'

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
    expect(fixed(-0.01, 1)).toBe('0.0')
    expect(fixed(-0.25, 2)).toBe('−0.25')
  })

  it.each([
    [25.46, '25.5'],
    [100, '100'],
    [0.04, '0'],
  ])('%f is %s without zeros that tell nothing', (value, text) => expect(plain(value, 1)).toBe(text))

  it.each([
    [1.24, '1.2:1'],
    [5.47, '5:1'],
  ])('%f is %s', (value, text) => expect(ratio(value)).toBe(text))
})

describe('who changed what', () => {
  it('has a time when it is recorded, and none while it is only tried', () => {
    expect(byWhom({ author: 'gaffer', at: '2026-11-24T18:05:00Z' })).toBe(`gaffer, ${when('2026-11-24T18:05:00Z')}`)
    expect(byWhom({ author: 'tried', at: '1970-01-01T00:00:00Z' })).toBe('tried, not recorded')
  })
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

describe('a figure as the server said it', () => {
  it('is set apart from its unit and from what stands before it', () => {
    expect(apart('45 %')).toEqual({ before: '', figure: '45', unit: '%' })
    expect(apart('ISO 500')).toEqual({ before: 'ISO', figure: '500', unit: '' })
    expect(apart('T2.8')).toEqual({ before: 'T', figure: '2.8', unit: '' })
    expect(apart('6′ 9 1/2″')).toEqual({ before: '', figure: '6′ 9 1/2″', unit: '' })
    expect(apart('not recorded')).toEqual({ before: '', figure: 'not recorded', unit: '' })
  })

  it('says a level tilt as level', () => {
    expect(tilt(0.2)).toBe('level')
    expect(tilt(-12)).toBe('down 12°')
  })
})

const both = (text: string) => ({ metric: text, imperial: text })
const metric = (phrase: { metric: string }) => phrase.metric

describe('what stands beside a name on the plan', () => {
  const light = (more: object) =>
    ({
      placement: { kind: 'HEAD' },
      light: { kelvin: 4299.6 },
      values: { LEVEL: { value: { percent: 45 }, brief: both('45%') }, STANDING: { value: { state: 'ON' } }, ...more },
    }) as unknown as Placed

  it('is level and colour of a light, its gel when that is saturated, and off when it is off', () => {
    expect(recorded(light({}), metric)).toBe('45% 4300K')
    expect(recorded(light({ MODIFIERS: { value: { items: [{ name: 'Kelp', gel: {} }] } } }), metric)).toBe('45% Kelp')
    expect(recorded(light({ STANDING: { value: { state: 'OFF' } } }), metric)).toBe('off')
  })

  it('is lens and height of a camera, and nothing of a flag', () => {
    const camera = {
      placement: { kind: 'CAMERA' },
      values: { LENS: { say: both('35 mm') }, HEIGHT: { say: { metric: '1.42 m', imperial: '4′ 8″' } } },
    } as unknown as Placed
    expect(recorded(camera, metric)).toBe('35 mm, 1.42 m')
    expect(recorded(camera, (phrase) => phrase.imperial)).toBe('35 mm, 4′ 8″')
    expect(recorded({ placement: { kind: 'FLAG' }, values: {} } as unknown as Placed, metric)).toBe('')
  })
})
