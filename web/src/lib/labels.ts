import { gap, type Px } from './screen'

export interface LabelWanted {
  key: string
  /** Centre of what the label names. */
  at: Px
  /** px kept free to either side of that centre, and above and below */
  clear: Px
  width: number
  height: number
  /** It is shown even where it covers something. */
  needed?: boolean
}

export interface LabelPlaced extends Px {
  anchor: 'start' | 'end'
}

/** px */
export interface Box {
  left: number
  right: number
  top: number
  bottom: number
}

const SHORT_TAPE_PX = 120
const BESIDE_PX = -44
/** px that a tape's plate takes to either side of its middle, and above and below. */
export const PLATE_PX: Px = { x: 36, y: 12 }

/** Middle of the plate with a tape's length: it lies on the tape, or beside one that is too short to carry it. */
export function tapePlate(from: Px, to: Px): Px {
  const length = gap(from, to)
  const off = length < SHORT_TAPE_PX ? BESIDE_PX / (length || 1) : 0
  return {
    x: from.x * 0.45 + to.x * 0.55 - (to.y - from.y) * off,
    y: from.y * 0.45 + to.y * 0.55 + (to.x - from.x) * off,
  }
}

/** What a label may cover of drawings, and of other labels, before it is left out, px². */
const MOST_COVERED = 160
const MOST_OF_LABELS = 12

/**
 * Finds a place for each label where it covers as little as it can: right, left, below or above of what it names. Those that are needed
 * come first; one of the others that finds no room is left out.
 *
 * @param within the plan's own edges
 */
export function placeLabels(wanted: LabelWanted[], taken: Box[], within: Box): Map<string, LabelPlaced> {
  const boxes = [...taken, ...wanted.map((w) => around(w.at, w.clear))]
  const labels: Box[] = []
  const placed = new Map<string, LabelPlaced>()
  for (const label of [...wanted].sort((a, b) => Number(b.needed ?? false) - Number(a.needed ?? false))) {
    const own = boxes[taken.length + wanted.indexOf(label)]
    let best: { cost: number; covered: number; ofLabels: number; box: Box; place: LabelPlaced } | undefined
    for (const [rank, place] of candidates(label).entries()) {
      const box = boxOf(label, place)
      const covered = boxes.reduce((sum, other) => sum + (other === own ? 0 : overlap(box, other)), 0)
      const ofLabels = labels.reduce((sum, other) => sum + overlap(box, other), 0)
      const beyond = label.width * label.height - overlap(box, within)
      const cost = rank * 30 + covered + 2 * ofLabels + 3 * beyond
      if (!best || cost < best.cost) best = { cost, covered, ofLabels, box, place }
    }
    if (best && (label.needed || (best.covered < MOST_COVERED && best.ofLabels < MOST_OF_LABELS))) {
      labels.push(best.box)
      placed.set(label.key, best.place)
    }
  }
  return placed
}

function candidates({ at, clear, height }: LabelWanted): LabelPlaced[] {
  const right = at.x + clear.x + 4
  const left = at.x - clear.x - 4
  const below = at.y + clear.y + 2
  const above = at.y - clear.y - height - 2
  const middle = at.y - height / 2
  return [
    { x: right, y: middle, anchor: 'start' },
    { x: left, y: middle, anchor: 'end' },
    { x: at.x, y: below, anchor: 'start' },
    { x: at.x, y: above, anchor: 'start' },
    { x: at.x, y: below, anchor: 'end' },
    { x: at.x, y: above, anchor: 'end' },
  ]
}

function boxOf(label: LabelWanted, place: LabelPlaced): Box {
  const left = place.anchor === 'start' ? place.x : place.x - label.width
  return { left, right: left + label.width, top: place.y, bottom: place.y + label.height }
}

export function around(at: Px, clear: Px): Box {
  return { left: at.x - clear.x, right: at.x + clear.x, top: at.y - clear.y, bottom: at.y + clear.y }
}

/** px² that two boxes have in common. */
export function overlap(a: Box, b: Box): number {
  const width = Math.min(a.right, b.right) - Math.max(a.left, b.left)
  const height = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top)
  return width > 0 && height > 0 ? width * height : 0
}

/** The bar in the corner of a plan that shows how long a metre is: nothing is written over it. */
export function scaleBar(scale: number, plan: { width: number; height: number }): Box & { metres: number } {
  const metres = scale > 90 ? 1 : scale > 30 ? 2 : 5
  const right = plan.width - 24
  return { metres, left: right - metres * scale, right, top: plan.height - 38, bottom: plan.height - 16 }
}
