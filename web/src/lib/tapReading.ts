import { fixed } from './print'

/** Where something is read: the first three by the meter or the monitor, three more by the meter, two by the monitor alone. */
export const PLACES = [
  'lit',
  'shadow',
  'background',
  'back left',
  'back right',
  'to the key',
  'window',
  'hottest',
] as const
export type Place = (typeof PLACES)[number]
export const byMeter = (place: Place) => place !== 'window' && place !== 'hottest'
export const byMonitor = (place: Place) => !['back left', 'back right', 'to the key'].includes(place)

export interface Tapped {
  light: string
  at: Partial<Record<Place, { stop?: string; third?: string; signal?: string }>>
  kelvin?: number
  /** Duv in thousandths, plus green. */
  tint?: number
}

/** What was tapped, as the line that would be typed for it. A light alone is read towards itself, so nowhere else. */
export function lineOf(tapped: Tapped): string {
  const places = tapped.light ? PLACES.slice(0, 1) : PLACES
  const said = (place: Place, text: string) => (place === 'lit' && text.startsWith('T') ? text : `${place} ${text}`)
  const stops = places
    .filter((p) => tapped.at[p]?.stop)
    .map((p) => said(p, `T${tapped.at[p]!.stop}${tapped.at[p]!.third ? ` ${tapped.at[p]!.third}` : ''}`))
  const colour = [
    tapped.kelvin && `${tapped.kelvin} K`,
    tapped.tint !== undefined && `${tapped.tint < 0 ? '-' : '+'}${fixed(Math.abs(tapped.tint) / 1000, 3)}`,
  ]
    .filter(Boolean)
    .join(' ')
  const signals = tapped.light
    ? []
    : places.filter((p) => byMonitor(p) && tapped.at[p]?.signal).map((p) => said(p, `${tapped.at[p]!.signal} %`))
  const read = [...stops, colour, ...signals].filter(Boolean).join(', ')
  return [tapped.light && `${tapped.light} alone`, read].filter(Boolean).join(' ')
}
