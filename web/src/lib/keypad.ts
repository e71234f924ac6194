/** Figures that are typed with a thumb: what each key does, and when a figure is whole, so that the next one comes by itself. */

export type KeypadKind = 'LENGTH' | 'BEARING' | 'TILT' | 'LEVEL' | 'KELVIN' | 'WHOLE' | 'ADDRESS' | 'STOP' | 'LENS'
export type Units = 'metric' | 'imperial'

interface Pad {
  /** Keys beside the ten figures. */
  extra: string[]
  /** When nothing more can come. */
  whole?: RegExp
}

const METRES: Pad = { extra: ['.'], whole: /^\d+\.\d\d$/ }
const FEET: Pad = { extra: ['′', '½', '″'], whole: /″$/ }
const PADS: Record<Exclude<KeypadKind, 'LENGTH'>, Pad> = {
  BEARING: { extra: [], whole: /^\d{3}$/ },
  TILT: { extra: ['up', 'down'], whole: /^(up|down)?\d\d$/ },
  LEVEL: { extra: ['full', '.'], whole: /^(100|0\d|1[1-9]|[2-9]\d)$/ },
  KELVIN: { extra: [], whole: /^([2-9]\d{3}|1\d{4})$/ },
  WHOLE: { extra: [] },
  ADDRESS: { extra: [], whole: /^\d{3}$/ },
  STOP: { extra: ['.', '⅓', '⅔'] },
  LENS: { extra: ['.'] },
}
const THIRDS: Record<string, string> = { '⅓': ' 1/3', '⅔': ' 2/3' }
const LONGEST = 9

export function padOf(kind: KeypadKind, units: Units): Pad {
  return kind === 'LENGTH' ? (units === 'imperial' ? FEET : METRES) : PADS[kind]
}

/**
 * What stands in the field after a key. A tape of 2.12 m is read as “two, twelve”: in metres the point comes by itself after the first
 * figure, and one that is pressed after the second stands there, for 12.40.
 */
export function pressed(text: string, key: string, kind: KeypadKind, units: Units): string {
  if (key === 'full') return '100'
  if (key === 'up' || key === 'down') return key + text.replace(/^(up|down)/, '')
  if (kind === 'LENGTH' && units === 'metric') {
    if (key !== '.' && /^\d$/.test(text)) return `${text}.${key}`
    if (key === '.' && /^\d\.\d$/.test(text)) return `${text.replace('.', '')}.`
  }
  if (key === '.' && text.includes('.')) return text
  return text.length < LONGEST ? text + key : text
}

export function isWhole(text: string, kind: KeypadKind, units: Units): boolean {
  return padOf(kind, units).whole?.test(text) ?? false
}

/** As it is sent: with its unit, so that it means the same whoever reads it. */
export function typed(text: string, kind: KeypadKind, units: Units): string {
  if (kind === 'STOP') return text.replace(/[⅓⅔]/, (third) => THIRDS[third]!).trim()
  if (kind !== 'LENGTH') return text
  if (units === 'metric') return `${text} m`
  const feet = text.replace('½', ' 1/2').replace('′', "'").replace('″', '"')
  return /['"]/.test(feet) ? feet : `${feet}'`
}
