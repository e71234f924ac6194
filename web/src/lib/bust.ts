import type { BustSeen } from '@/api/types'
import { tenths } from './stops'

/** A point of the bust, metres: forward, to its own left, above the eyes. */
export type Own = [number, number, number]

export interface SeenFacet {
  /** Its number in the bust's own order. */
  index: number
  /** Corners for an SVG polygon, metres on the picture, y down. */
  points: string
}

const EYE_M = 1.6
/** To a tenth of a millimetre. */
const STEPS = 1e4

const dot = (a: Own, b: Own) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2]
const cross = (a: Own, b: Own): Own => [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]]

/** Where one looks from: towards it, to its right and up, in the bust's own frame. */
function axes(turnDeg: number, tiltDeg: number): { to: Own; right: Own; up: Own } {
  const turn = (turnDeg * Math.PI) / 180
  const tilt = (tiltDeg * Math.PI) / 180
  const to: Own = [Math.cos(turn) * Math.cos(tilt), -Math.sin(turn) * Math.cos(tilt), Math.sin(tilt)]
  const right: Own = [Math.sin(turn), Math.cos(turn), 0]
  return { to, right, up: cross(to, right) }
}

/** Where a point of the bust is on the picture, metres, y down. */
export function seenPoint(point: Own, turnDeg: number, tiltDeg: number): { x: number; y: number } {
  const { to, right, up } = axes(turnDeg, tiltDeg)
  const scale = EYE_M / (EYE_M - dot(point, to))
  const [x, y] = [dot(point, right), -dot(point, up)].map((m) => Math.round(m * scale * STEPS) / STEPS)
  return { x: x!, y: y! }
}

/**
 * The facets that are seen from somewhere, the farthest first.
 *
 * @param turnDeg clockwise round the face from straight ahead
 * @param tiltDeg above its eyes
 */
export function seenFacets(facets: Own[][], turnDeg: number, tiltDeg: number): SeenFacet[] {
  const { to } = axes(turnDeg, tiltDeg)
  return facets
    .map((corners, index) => {
      const middle = corners.reduce<Own>((m, c) => [m[0] + c[0] / 4, m[1] + c[1] / 4, m[2] + c[2] / 4], [0, 0, 0])
      const a = corners[2]!.map((v, k) => v - corners[0]![k]!) as Own
      const b = corners[3]!.map((v, k) => v - corners[1]![k]!) as Own
      const eye = to.map((v, k) => v * EYE_M - middle[k]!) as Own
      return { index, corners, near: dot(middle, to), shows: dot(cross(a, b), eye) > 0 }
    })
    .filter((f) => f.shows)
    .sort((a, b) => a.near - b.near)
    .map(({ index, corners }) => ({
      index,
      points: corners.map((c) => Object.values(seenPoint(c, turnDeg, tiltDeg)).join()).join(' '),
    }))
}

/** Where the nose's shadow falls, in words: 0 is straight down, + to the face's own left. */
export function fallsWords(deg: number): string {
  const aside = Math.abs(deg)
  const side = deg > 0 ? 'its own left' : 'its own right'
  if (aside < 20) return 'straight down'
  if (aside > 160) return 'straight up'
  if (aside < 65) return `down and to ${side}`
  return aside <= 115 ? `across to ${side}` : `up and to ${side}`
}

/** What becomes of the far cheek, in words. */
const CHEEK_WORDS: Record<'CLOSED' | 'OPEN' | 'NONE', string> = {
  CLOSED: 'A triangle of light closes below the far eye.',
  OPEN: 'Light reaches the far cheek.',
  NONE: 'It joins the shadow of the far cheek: no triangle.',
}

/** The lights that are seen in the eyes, in words. */
export function eyeWords(lights: { light: string; inLeft: boolean; inRight: boolean }[]): string {
  if (!lights.length) return 'No light in the eyes.'
  const which = ({ inLeft, inRight }: (typeof lights)[0]) =>
    inLeft && inRight ? 'both eyes' : `its own ${inLeft ? 'left' : 'right'} eye`
  return `Eye light: ${lights.map((l) => `${l.light} in ${which(l)}`).join(', ')}.`
}

/** All that is read off a bust, in words. */
export function saidOfBust({ noseShadowOf, noseShadowDeg, triangle, eyeLights, onNose, inGlasses }: BustSeen): string {
  const nose =
    noseShadowOf && noseShadowDeg !== undefined
      ? `${noseShadowOf} throws the nose’s shadow ${fallsWords(noseShadowDeg)}.`
      : 'No light throws a shadow of the nose.'
  const of = (lights: string[], one: string, more: string) =>
    lights.length ? `${lights.join(' and ')} ${lights.length > 1 ? more : one}.` : ''
  return [
    nose,
    triangle && CHEEK_WORDS[triangle],
    of(onNose, 'catches the nose', 'catch the nose'),
    eyeWords(eyeLights),
    of(inGlasses, 'shows in the glasses', 'show in the glasses'),
  ]
    .filter(Boolean)
    .join(' ')
}

/** What its own shadow leaves of its cheeks. */
export function cheeksOfBust({ litOverStops, shadowOverStops }: BustSeen): string {
  return `Over all of each, own shadow and all, its cheeks are ${tenths(litOverStops)} and ${tenths(shadowOverStops)} stops.`
}
