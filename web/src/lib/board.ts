import type {
  Attribute,
  BoardCell,
  BoardKnot,
  BoardRow,
  BoardShot,
  BoardThread,
  Department,
  Phrase,
  Reason,
} from '@/api/types'

/** Sizes of the carry board, px. */
export interface BoardSizes {
  head: number
  column: number
  row: number
  cameraRow: number
  /** Top of the first lane in a row, and from one lane to the next. */
  lane: number
  laneStep: number
}

export const ROOMY: BoardSizes = { head: 152, column: 122, row: 63, cameraRow: 46, lane: 17, laneStep: 9 }
/** For scenes of a hundred things and more: one line a row. */
export const COMPACT: BoardSizes = { head: 132, column: 96, row: 30, cameraRow: 30, lane: 7, laneStep: 3 }

/** Where a knot sits in its column. */
export const KNOT_X = 22
const BAR = 6
const MOST_LANES_DEEP = 2

export interface Segment {
  d: string
  stroke: string
  width: number
  faint: boolean
}

export interface Threads {
  segments: Segment[]
  /** Where a thread begins or ends. */
  bars: { x: number; y: number; stroke: string }[]
}

const NOTHING: BoardThread = { shot: -1, state: 'ABSENT' }

/** Index of the shot that each is based on, or −1. */
export function bases(shots: BoardShot[]): number[] {
  return shots.map((s) => shots.findIndex((b) => b.slate === s.basedOn))
}

/** What a row's thread is in every shot: its own, or the one it carries on. */
export function states(row: BoardRow, based: number[]): BoardThread[] {
  const own = new Map(row.threads.map((t) => [t.shot, t]))
  const all: BoardThread[] = []
  const at = (i: number): BoardThread => (all[i] ??= own.get(i) ?? (based[i]! >= 0 ? at(based[i]!) : NOTHING))
  based.forEach((_, i) => at(i))
  return all
}

export function laneY(sizes: BoardSizes, lane: number): number {
  return sizes.lane + sizes.laneStep * Math.min(lane, MOST_LANES_DEEP)
}

/**
 * The threads of a row. A lane is bright under its own shots and faint where it only passes; it leaves the lane of the shot that it is
 * based on by one curve, and begins and ends with a bar.
 *
 * @param lefts px of each column's left edge
 * @param ink for what gives no light of its own
 */
export function threads(
  row: BoardRow,
  shots: BoardShot[],
  based: number[],
  lefts: number[],
  sizes: BoardSizes,
  ink: string,
): Threads {
  const now = states(row, based)
  const segments: Segment[] = []
  const bars: Threads['bars'] = []
  const colour = (t: BoardThread) => t.swatch ?? ink
  shots.forEach((shot, i) => {
    const state = now[i]!
    const from = based[i]!
    const before = from >= 0 ? now[from]! : NOTHING
    const y = laneY(sizes, shot.lane)
    const x = lefts[i]!
    const knot = x + KNOT_X
    const comes = from >= 0 && before.state === 'ON'
    if (comes) {
      const y0 = laneY(sizes, shots[from]!.lane)
      const start = lefts[from]! + sizes.column
      const stop = state.state === 'ON' ? x : knot
      const branch =
        y0 === y ? `M${start},${y}` : `M${start - 30},${y0}C${start - 16},${y0} ${start - 16},${y} ${start},${y}`
      if (start < x || y0 !== y) segments.push({ d: `${branch}H${x}`, stroke: colour(before), width: 1, faint: true })
      if (state.state !== 'ON')
        segments.push({ d: `M${x},${y}H${stop}`, stroke: colour(before), width: 2, faint: false })
    }
    if (state.state === 'ON') {
      const ends = !based.includes(i)
      segments.push({
        d: `M${comes ? x : knot},${y}H${x + sizes.column - (ends ? 5 : 0)}`,
        stroke: colour(state),
        width: 2,
        faint: false,
      })
      if (ends) bars.push({ x: x + sizes.column - 5, y, stroke: colour(state) })
      if (!comes) bars.push({ x: knot, y, stroke: colour(state) })
    } else if (comes) bars.push({ x: knot, y, stroke: colour(before) })
  })
  return { segments: joined(segments), bars }
}

/** Segments of one look are one path: a row of sixty shots is drawn by a few. */
function joined(segments: Segment[]): Segment[] {
  const by = new Map<string, Segment>()
  for (const s of segments) {
    const key = `${s.stroke} ${s.width} ${s.faint}`
    const same = by.get(key)
    if (same) same.d += s.d
    else by.set(key, { ...s })
  }
  return [...by.values()]
}

export function bar(b: { x: number; y: number }): string {
  return `M${b.x},${b.y - BAR}V${b.y + BAR}`
}

export function cellAt(row: BoardRow, shot: number): BoardCell | undefined {
  return row.cells.find((c) => c.shot === shot)
}

/** Attributes that a cell shows as figures, in this order; the rest is told in words. */
const FIGURES: Attribute[] = ['LENS', 'LEVEL', 'CCT', 'STOP']
/** Told by the thread, or of no use at a glance. */
const UNSAID: Attribute[] = ['STANDING', 'PATCH', 'BEAM', 'ON_PURPOSE', 'HEIGHT', 'AIM']
const TOLD_AT_FIRST: Attribute[] = ['MODIFIERS']

export interface CellWords {
  figures: string
  words: string
}

/** What stands in a cell: the figures that were tied there, and what else changed in a few words. */
export function cellWords(
  cell: BoardCell | undefined,
  standing: BoardThread['state'],
  first: boolean,
  printed: (both: Phrase) => string,
): CellWords {
  const knots = cell?.knots ?? []
  const of = (a: Attribute) => knots.find((k) => k.attribute === a)
  if (of('STANDING') && standing !== 'ON') return { figures: '', words: standing === 'OFF' ? 'off' : 'out' }
  const figures = FIGURES.flatMap((a) => {
    const k = of(a)
    return k ? [printed(k.brief)] : []
  }).join(' ')
  const rest = knots.filter(
    (k) =>
      !FIGURES.includes(k.attribute) && (first ? TOLD_AT_FIRST.includes(k.attribute) : !UNSAID.includes(k.attribute)),
  )
  const also = first ? [] : knots.filter((k) => (k.attribute === 'HEIGHT' || k.attribute === 'AIM') && !of('PLACE'))
  const words = [...rest, ...also].map((k) => short(k, first, printed)).filter(Boolean)
  return { figures, words: words.join(', ') || (figures || first ? '' : knots.map((k) => k.label).join(', ')) }
}

function short(knot: BoardKnot, first: boolean, printed: (both: Phrase) => string): string {
  if (knot.attribute === 'MODIFIERS') return printed(knot.brief)
  const said = printed(first ? knot.say : knot.words)
  return knot.attribute === 'PLACE' ? said : `${knot.label} ${said}`
}

/** Why a cell was changed; a cheat before all else. */
export function cellReason(cell: BoardCell): Reason | undefined {
  const reasons = cell.knots.map((k) => k.reason)
  return reasons.includes('CHEAT') ? 'CHEAT' : reasons.find(Boolean)
}

export interface BoardFilter {
  text: string
  department: Department | ''
  role: string
  changed: boolean
  cheats: boolean
}

export function shownRows(rows: BoardRow[], based: number[], filter: BoardFilter): BoardRow[] {
  const wanted = filter.text.trim().toLowerCase()
  return rows.filter((row) => {
    const { placement } = row
    const changes = row.cells.filter((c) => based[c.shot]! >= 0)
    return (
      (!wanted ||
        [placement.name, placement.piece.unit, placement.piece.what, placement.role.replace('_', ' ')].some((w) =>
          w?.toLowerCase().includes(wanted),
        )) &&
      (!filter.department || row.department === filter.department) &&
      (!filter.role || placement.role === filter.role) &&
      (!filter.changed || changes.length > 0) &&
      (!filter.cheats || changes.some((c) => c.knots.some((k) => k.reason === 'CHEAT')))
    )
  })
}

/** Cells that a paste reaches: the clipboard's rows and columns, or the one that was copied, over the whole range. */
export function pasted(block: string[][], rows: number, columns: number): string[][] {
  const one = block.length === 1 && block[0]!.length === 1
  if (!one) return block
  return Array.from({ length: rows }, () => Array.from({ length: columns }, () => block[0]![0]!))
}
