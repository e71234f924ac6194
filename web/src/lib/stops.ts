import type { AtMark, SourceAtMark, SourceView } from '@/api/types'
import { fixed, signed } from './print'

/** `+0.4`, `−2.0`; `dark` for no light at all. */
export function tenths(stops: number | undefined): string {
  return stops === undefined ? 'dark' : signed(stops, 1)
}

const THIRDS = ['', '1/3', '2/3']

/** `+1/3`, `−2 1/3`, as a crew says it. */
export function thirds(stops: number | undefined): string {
  if (stops === undefined) return 'dark'
  const all = Math.round(Math.abs(stops) * 3)
  const text = [Math.floor(all / 3) || '', THIRDS[all % 3]].filter(Boolean).join(' ')
  return text ? `${stops < 0 ? '−' : '+'}${text}` : '0'
}

/** `5:1`, and `1.4:1` where tenths matter. */
export function ratio(value: number): string {
  return `${value < 2 ? fixed(value, 1) : Math.round(value)}:1`
}

export interface Rung {
  key: string
  name: string
  swatch: string
  stops: number
}

/** The sources that reach one side of a mark, brightest first; those beyond the ladder's foot are left out. */
export function rungs(
  mark: AtMark,
  sources: SourceView[],
  side: 'lit' | 'shadow' | 'background',
  foot: number,
): Rung[] {
  return mark.from
    .flatMap((one: SourceAtMark) => {
      const stops = one[side]?.overStops
      const source = sources.find((s) => s.key === one.key)
      return stops === undefined || stops < foot || !source
        ? []
        : [{ key: one.key, name: source.name, swatch: source.swatch ?? 'var(--quiet)', stops }]
    })
    .sort((a, b) => b.stops - a.stops)
}
