import { describe, expect, it, vi } from 'vitest'
import { cueSteps, typedSteps, type TypedStep } from '@/lib/cues'

const NOTHING: TypedStep = {
  placement: 'dome',
  standing: '',
  level: '',
  white: '',
  hue: '',
  saturation: '',
  effect: '',
  rate: '',
  fade: '',
}

vi.mock('@/lib/figures', () => ({
  readFigures: (...typed: { text: string }[]) => Promise.resolve(typed.map((t) => Number(t.text))),
}))

describe('what a light does at a cue', () => {
  it('records only what was typed', async () => {
    expect(await cueSteps([{ ...NOTHING, level: '0', fade: '2.5' }])).toEqual([
      { placement: 'dome', fadeS: 2.5, level: { percent: 0 } },
    ])
  })

  it('is at once where no fade is typed, and fully saturated where only a hue is', async () => {
    const [step] = await cueSteps([{ ...NOTHING, hue: '210' }])
    expect(step).toMatchObject({ fadeS: 0, colour: { hueDeg: 210, saturationPercent: 100 } })
  })

  it('runs an effect once a second unless it is said, and none without a rate', async () => {
    const [runs, ends] = await cueSteps([
      { ...NOTHING, effect: 'FLICKER' },
      { ...NOTHING, placement: 'key', effect: 'NONE', standing: 'OFF' },
    ])
    expect(runs!.effect).toEqual({ kind: 'FLICKER', rateHz: 1 })
    expect(ends).toMatchObject({ effect: { kind: 'NONE', rateHz: 0 }, standing: { state: 'OFF' } })
  })

  it('comes back into the fields as it was recorded', async () => {
    const typed = { ...NOTHING, standing: 'ON' as const, level: '45', white: '3200', fade: '3' }
    expect(typedSteps(await cueSteps([typed]))).toEqual([typed])
  })
})
