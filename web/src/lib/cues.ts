import type { Values } from '@/api/types'
import { readFigures, type TypedFigure } from './figures'

type CueStep = Values['CUE']['changes'][number]

/** What one light does at a cue, as it is typed; what is empty does not change. */
export interface TypedStep {
  placement: string
  standing: '' | 'ON' | 'OFF'
  level: string
  white: string
  hue: string
  saturation: string
  effect: '' | Values['EFFECT']['kind']
  rate: string
  fade: string
}

/** As it stands in the fields. */
export function typedSteps(steps: CueStep[]): TypedStep[] {
  const text = (figure: number | undefined) => (figure === undefined ? '' : String(figure))
  return steps.map((s) => ({
    placement: s.placement,
    standing: s.standing?.state === 'ON' || s.standing?.state === 'OFF' ? s.standing.state : '',
    level: text(s.level?.percent),
    white: text(s.cct?.kelvin),
    hue: text(s.colour?.hueDeg),
    saturation: text(s.colour?.saturationPercent),
    effect: s.effect?.kind ?? '',
    rate: text(s.effect?.rateHz),
    fade: String(s.fadeS),
  }))
}

/** As it is recorded. Rejects with the sentence to show. */
export async function cueSteps(typed: TypedStep[]): Promise<CueStep[]> {
  return Promise.all(typed.map(cueStep))
}

async function cueStep(typed: TypedStep): Promise<CueStep> {
  const asked: Record<string, TypedFigure> = {
    fade: { kind: 'NUMBER', text: typed.fade || '0', of: 'Fade' },
    ...(typed.level && { level: { kind: 'NUMBER', text: typed.level, of: 'Level' } }),
    ...(typed.white && { white: { kind: 'KELVIN', text: typed.white, of: 'White' } }),
    ...(typed.hue && { hue: { kind: 'NUMBER', text: typed.hue, of: 'Hue' } }),
    ...(typed.hue && { saturation: { kind: 'NUMBER', text: typed.saturation || '100', of: 'Saturation' } }),
    ...(typed.effect && { rate: { kind: 'NUMBER', text: typed.rate || '1', of: 'How often a second' } }),
  }
  const read = await readFigures(...Object.values(asked))
  const n = Object.fromEntries(Object.keys(asked).map((key, i) => [key, read[i]!]))
  return {
    placement: typed.placement,
    fadeS: n.fade!,
    standing: typed.standing ? { state: typed.standing } : undefined,
    level: n.level === undefined ? undefined : { percent: n.level },
    cct: n.white === undefined ? undefined : { kelvin: n.white },
    colour: n.hue === undefined ? undefined : { hueDeg: n.hue, saturationPercent: n.saturation! },
    effect: typed.effect ? { kind: typed.effect, rateHz: typed.effect === 'NONE' ? 0 : n.rate! } : undefined,
  }
}
