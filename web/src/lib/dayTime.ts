import type { DaySlot, LightNeed } from '@/api/types'
import { LIGHT_NEEDS } from './words'

const HOUR = 60

/** `08:00`, of minutes after midnight; the next day likewise. */
export function clock(minutes: number): string {
  const whole = Math.round(minutes)
  const two = (n: number) => String(n).padStart(2, '0')
  return `${two(Math.floor(whole / HOUR) % 24)}:${two(whole % HOUR)}`
}

/** `19 Nov`, of a date as the server writes it. */
export const dayOf = (date: string): string =>
  new Date(`${date}T12:00:00Z`).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' })

/** `45 min`, `2 h 05`. */
export function lasting(minutes: number): string {
  const whole = Math.round(minutes)
  return whole < 2 * HOUR ? `${whole} min` : `${Math.floor(whole / HOUR)} h ${String(whole % HOUR).padStart(2, '0')}`
}

export const needName = (need: LightNeed): string => LIGHT_NEEDS.find((n) => n.key === need)!.name

/** From minutes to px across. */
export interface DayScale {
  from: number
  to: number
  x: (minutes: number) => number
  hours: number[]
}

/** What is drawn of a day: whole hours, from the call until all is shot, and the wrap. */
export function dayScale(day: { callMin: number; wrapMin: number; slots: DaySlot[] }, px: number): DayScale {
  const last = Math.max(day.wrapMin, ...day.slots.map((s) => s.shootTo))
  return hourScale(Math.min(day.callMin, ...day.slots.map((s) => s.setUpFrom)), last, px)
}

/** Whole hours around two minutes. */
export function hourScale(first: number, last: number, px: number): DayScale {
  const from = Math.floor((first - 1) / HOUR) * HOUR
  const to = Math.ceil((last + 1) / HOUR) * HOUR
  const hours = []
  for (let h = from; h <= to; h += HOUR) hours.push(h)
  return { from, to, hours, x: (m) => ((m - from) / (to - from)) * px }
}

/** An order with one of its things elsewhere in it. */
export function moved<T>(order: T[], thing: T, to: number): T[] {
  const rest = order.filter((o) => o !== thing)
  rest.splice(Math.max(0, Math.min(rest.length, to)), 0, thing)
  return rest
}
