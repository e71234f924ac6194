import { describe, expect, it } from 'vitest'
import type { JudgedLine } from '@/api/types'
import { difference, onRuler, told, within } from '@/lib/match'

const line = (difference: number | undefined, tolerance: number) => ({ aspect: 'RATIO', label: 'lit to shadow', difference, tolerance, verdict: 'HOLDS' }) as JudgedLine

describe('the figures of a match', () => {
  it('are told in the unit of each aspect', () => {
    expect(told('RATIO', 2.44)).toEqual({ figure: '2.4', unit: 'stops' })
    expect(told('BACKGROUND', -3.46)).toEqual({ figure: '−3.5', unit: 'stops' })
    expect(told('KEY_SIDE', 7.2).figure).toBe('007°')
    expect(told('KEY_SIDE', 359.8).figure).toBe('000°')
    expect(told('WHITE', 4.4)).toEqual({ figure: '+4', unit: 'mired' })
  })

  it('differ with a sign, softness as a factor', () => {
    expect(difference('EXPOSURE', -0.25)).toBe('−0.3')
    expect(difference('KEY_SIDE', 26)).toBe('+26°')
    expect(difference('SOFTNESS', 1)).toBe('2.0 times')
  })

  it('are within thirds of a stop where a tolerance is thirds', () => {
    expect(within('RATIO', 1 / 3)).toBe('±1/3 stop')
    expect(within('RATIO', 0.5)).toBe('±0.5 stop')
    expect(within('WHITE', 12)).toBe('±12 mired')
  })

  it('stand inside the brackets exactly while they hold, and never leave the ruler', () => {
    expect(onRuler(line(0.3, 0.3), 2.8)).toBeCloseTo(1 / 2.8)
    expect(onRuler(line(-9, 0.3), 2.8)).toBe(-1)
    expect(onRuler(line(undefined, 0.3), 2.8)).toBe(0)
  })
})
