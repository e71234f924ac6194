import { signed } from './print'

export interface DrawnLine {
  key: string
  /** Path along it. */
  d: string
  /** Short strokes on its darker side. */
  hairs: string
  /** The camera's own stop. */
  strong: boolean
  label?: { x: number; y: number; turn: number; text: string }
}

const HAIR_EACH = 26
const HAIR = 4.5
const LABEL_ROOM = 30
/** A line is named once in so much of its length. */
const LABEL_EACH = 420

/** Whole stops as they are, thirds with their fraction. */
export function stopsLabel(stops: number): string {
  const thirds = Math.round(Math.abs(stops) * 3)
  const rest = ['', '⅓', '⅔'][thirds % 3]!
  const whole = Math.floor(thirds / 3)
  if (!rest) return signed(stops, 0)
  return `${stops < 0 ? '−' : '+'}${whole || ''}${rest}`
}

interface At {
  x: number
  y: number
}

/**
 * Lines of equal exposure as they are drawn, like height lines of a map.
 *
 * @param lines dots in turn; what is darker lies to the right of the way along
 * @param scale px on the page to a dot
 */
export function drawnLines(lines: { stops: number; dots: number[] }[], scale: number): DrawnLine[] {
  const named: At[] = []
  return lines.map(({ stops, dots }, i) => {
    const points: At[] = []
    for (let k = 0; k + 1 < dots.length; k += 2) points.push({ x: dots[k]! * scale, y: dots[k + 1]! * scale })
    const label = labelOf(points, named)
    return {
      key: `${stops} ${i}`,
      d: `M${points.map(px).join('L')}`,
      hairs: hairsOf(points),
      strong: stops === 0,
      label: label && { ...label, text: stopsLabel(stops) },
    }
  })
}

const px = ({ x, y }: At) => `${Math.round(x * 10) / 10},${Math.round(y * 10) / 10}`

/** Places along a line, each so far from the one before. */
function* along(points: At[], first: number, each: number): Generator<At & { dx: number; dy: number }> {
  let next = first
  let gone = 0
  for (let i = 1; i < points.length; i++) {
    const [a, b] = [points[i - 1]!, points[i]!]
    const length = Math.hypot(b.x - a.x, b.y - a.y)
    if (!length) continue
    const [dx, dy] = [(b.x - a.x) / length, (b.y - a.y) / length]
    for (; next <= gone + length; next += each)
      yield { x: a.x + dx * (next - gone), y: a.y + dy * (next - gone), dx, dy }
    gone += length
  }
}

function hairsOf(points: At[]): string {
  let d = ''
  for (const { x, y, dx, dy } of along(points, HAIR_EACH / 2, HAIR_EACH))
    d += `M${px({ x, y })}L${px({ x: x - dy * HAIR, y: y + dx * HAIR })}`
  return d
}

function lengthOf(points: At[]): number {
  return points.slice(1).reduce((sum, b, i) => sum + Math.hypot(b.x - points[i]!.x, b.y - points[i]!.y), 0)
}

/** In the middle of a line, or where there is room beside the other names; turned with it, never upside down. */
function labelOf(points: At[], named: At[]) {
  const length = lengthOf(points)
  const step = Math.min(LABEL_EACH, length) / 6
  const tries = [...along(points, step, step)]
  tries.sort((a, b) => from(a) - from(b))
  function from(p: At) {
    const middle = points[Math.floor(points.length / 2)]!
    return Math.hypot(p.x - middle.x, p.y - middle.y)
  }
  const free = tries.find((p) => named.every((n) => Math.hypot(n.x - p.x, n.y - p.y) > LABEL_ROOM))
  if (!free) return undefined
  named.push(free)
  const turn = (Math.atan2(free.dy, free.dx) * 180) / Math.PI
  return { x: free.x, y: free.y, turn: Math.round(turn > 90 ? turn - 180 : turn <= -90 ? turn + 180 : turn) }
}
