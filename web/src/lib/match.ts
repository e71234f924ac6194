import type { Aspect, JudgedLine } from '@/api/types'
import { signed } from './words'

/** A figure of an aspect as it is told: the figure and its unit. */
export function told(aspect: Aspect, value: number): { figure: string; unit: string } {
  switch (aspect) {
    case 'KEY_SIDE':
      return { figure: `${String(Math.round(value) % 360).padStart(3, '0')}°`, unit: '' }
    case 'WHITE':
      return { figure: signed(value, 0), unit: 'mired' }
    case 'TINT':
      return { figure: signed(value, 4), unit: '' }
    case 'SOFTNESS':
      return { figure: `${value.toFixed(1)}°`, unit: '' }
    default:
      return { figure: signed(value, 1).replace('+', aspect === 'RATIO' ? '' : '+'), unit: 'stops' }
  }
}

/** A difference, signed: `+0.7`, `−12°`, `1.3 times`. */
export function difference(aspect: Aspect, value: number): string {
  switch (aspect) {
    case 'KEY_SIDE':
      return `${signed(value, 0)}°`
    case 'WHITE':
      return signed(value, 0)
    case 'TINT':
      return signed(value, 4)
    case 'SOFTNESS':
      return `${(2 ** value).toFixed(1)} times`
    default:
      return signed(value, 1)
  }
}

/** A tolerance as one types and reads it: stops, degrees, mired, Duv; softness as a factor. */
export function within(aspect: Aspect, value: number): string {
  if (aspect === 'SOFTNESS') return `${(2 ** value).toFixed(1)} times`
  if (aspect === 'KEY_SIDE') return `±${Math.round(value)}°`
  if (aspect === 'WHITE') return `±${Math.round(value)} mired`
  if (aspect === 'TINT') return `±${value.toFixed(3)}`
  const third = Math.round(value * 3)
  return Math.abs(value * 3 - third) < 0.01 && third < 3 ? `±${third}/3 stop` : `±${value.toFixed(1)} stop`
}

/** Where a line of the report stands on a ruler of so many tolerances to either side, −1 to 1. */
export function onRuler(line: JudgedLine, tolerances: number): number {
  const at = (line.difference ?? 0) / line.tolerance / tolerances
  return Math.max(-1, Math.min(1, at))
}
