import { fixed } from './print'
/** Scales of the pictures: where a figure stands on its axis, never a result that is told. */

/** Place of a colour temperature on a mired axis. */
export function miredAt(kelvin: number): number {
  return 1e6 / kelvin
}

/** Colour temperature at a place of a mired axis, to the 10 K that a dial has. */
export function kelvinAt(mired: number): number {
  return Math.round(1e5 / mired) * 10
}

const METRES_PER_FOOT = 0.3048

/** What a drag writes into a field of lengths, in the unit that the crew works in. */
export function written(metres: number, units: 'metric' | 'imperial'): string {
  return units === 'imperial' ? `${fixed(metres / METRES_PER_FOOT, 2)} ft` : `${fixed(metres, 2)} m`
}

/** A linear axis from values to px. */
export interface Axis {
  px: (value: number) => number
  value: (px: number) => number
}

export function axis(from: number, to: number, fromPx: number, toPx: number): Axis {
  const scale = (toPx - fromPx) / (to - from || 1)
  return { px: (value) => fromPx + (value - from) * scale, value: (px) => from + (px - fromPx) / scale }
}

/** Multiples of a step within a range. */
export function ticks(from: number, to: number, step: number): number[] {
  const first = Math.ceil(from / step - 1e-9)
  return Array.from({ length: Math.max(0, Math.floor(to / step + 1e-9) - first + 1) }, (_, i) => (first + i) * step)
}
