import { answer, api } from '@/api/client'
import type { Kind, Phrase, Understood } from '@/api/types'
import { useSettings } from '@/stores/settings'
import { fixed } from './print'

/** What a bare number is, where the crew works in feet. */
const IMPERIAL: Partial<Record<Kind, Kind>> = { LENGTH: 'LENGTH_IN_FEET', LIGHT: 'LIGHT_IN_FOOTCANDLES' }

export interface TypedFigure {
  kind: Kind
  text: string
  /** Whose figure it is, for whoever has to mend it: `sky`. */
  of?: string
}

/** What the server makes of what was typed: there is one reader of figures and lengths, so that they mean the same everywhere. */
export async function understand(typed: TypedFigure[]): Promise<Understood[]> {
  const inFeet = useSettings().units === 'imperial'
  const items = typed.map(({ kind, text }) => ({ kind: (inFeet && IMPERIAL[kind]) || kind, text }))
  return (await answer(api.POST('/api/bench/read', { body: { items } }))).items
}

/** The figures that were typed, in metres and lux where they have a unit. Rejects with the sentence to show. */
export async function readFigures(...typed: TypedFigure[]): Promise<number[]> {
  const read = await understand(typed)
  return read.map(({ value, problem }, i) => {
    if (value !== undefined) return value
    const of = typed[i]!.of
    throw new Error(of ? `${of}: ${problem}` : problem)
  })
}

/** Lengths (metres) or light (lux) in both systems, as the server prints them. */
export async function say(kind: 'LENGTH' | 'LIGHT', values: number[]): Promise<Phrase[]> {
  const unit = kind === 'LENGTH' ? 'm' : 'lux'
  const items = values.map((value) => ({ kind, text: `${fixed(value, 6)} ${unit}` }))
  const said = await answer(api.POST('/api/bench/read', { body: { items } }))
  return said.items.map(({ metric = '', imperial = '' }) => ({ metric, imperial }))
}
