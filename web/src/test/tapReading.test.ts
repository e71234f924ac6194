import { describe, expect, it } from 'vitest'
import { lineOf } from '@/lib/tapReading'

describe('a reading that is tapped', () => {
  it('is the line one would type, the monitor after the meter', () => {
    expect(
      lineOf({
        light: '',
        at: {
          shadow: { stop: '2', signal: '18' },
          lit: { stop: '4', third: '1/3', signal: '54' },
          window: { signal: '92' },
        },
        kelvin: 4300,
        tint: 2,
      }),
    ).toBe('T4 1/3, shadow T2, 4300 K +0.002, lit 54 %, shadow 18 %, window 92 %')
  })

  it('of a light alone is towards that light and nowhere else', () => {
    expect(
      lineOf({
        light: 'Key',
        at: { lit: { stop: '2.8', signal: '54' }, shadow: { stop: '2' } },
        kelvin: 3200,
        tint: -4,
      }),
    ).toBe('Key alone T2.8, 3200 K -0.004')
  })

  it('says that the tint is none when it was set to none, and nothing when nothing was tapped', () => {
    expect(lineOf({ light: '', at: {}, kelvin: 5600, tint: 0 })).toBe('5600 K +0.000')
    expect(lineOf({ light: '', at: {} })).toBe('')
  })
})
