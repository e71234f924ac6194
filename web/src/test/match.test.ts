import { describe, expect, it } from 'vitest'
import type { VerdictLine } from '@/api/types'
import { onRuler } from '@/lib/match'
import { apart } from '@/lib/words'

const line = (difference: number | undefined, tolerance: number) =>
  ({ aspect: 'RATIO', label: 'lit to shadow', difference, tolerance, verdict: 'HOLDS' }) as VerdictLine

describe('the figures of a match', () => {
  it('stand apart from their unit', () => {
    expect(apart('2.4 stops')).toEqual({ before: '', figure: '2.4', unit: 'stops' })
    expect(apart('040°')).toEqual({ before: '', figure: '040°', unit: '' })
    expect(apart('+4 mired')).toEqual({ before: '', figure: '+4', unit: 'mired' })
  })

  it('stand at the bracket where they are at the tolerance, and never leave the ruler', () => {
    expect(onRuler(line(0.3, 0.3), 2.8)).toBeCloseTo(1 / 2.8)
    expect(onRuler(line(-0.15, 0.3), 2.8)).toBeCloseTo(-0.5 / 2.8)
    expect(onRuler(line(-9, 0.3), 2.8)).toBe(-1)
    expect(onRuler(line(undefined, 0.3), 2.8)).toBe(0)
  })
})
