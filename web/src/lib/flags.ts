import { overlap, type Box } from './labels'
import { along, type Px } from './screen'

/** A note on the plan, as a box with a leader to its place. */
export interface Flag extends Box {
  at: Px
}

const HIGH_PX = 40
const NARROWEST_PX = 150
const PLACES = 16
const EDGE_PX = 6
const OFF_PX = 60

/** Puts a note of so many letters near a point, inside the plan, where it covers as little as can be of what is taken. */
export function placeFlag(at: Px, letters: number, taken: Box[], plan: { width: number; height: number }): Flag {
  const width = Math.max(letters * 6.6 + 34, NARROWEST_PX)
  const within = (value: number, most: number) => Math.max(EDGE_PX, Math.min(most - EDGE_PX, value))
  let best: Flag | undefined
  let least = Infinity
  for (let i = 0; i < PLACES; i++) {
    const way = along((360 / PLACES) * i)
    const left = within(at.x + way.x * (OFF_PX + width / 2) - width / 2, plan.width - width)
    const top = within(at.y + way.y * OFF_PX - HIGH_PX / 2, plan.height - HIGH_PX)
    const flag = { at, left, right: left + width, top, bottom: top + HIGH_PX }
    const cost =
      taken.reduce((sum, other) => sum + overlap(flag, other), 0) +
      Math.hypot(left + width / 2 - at.x, top + HIGH_PX / 2 - at.y)
    if (cost < least) [best, least] = [flag, cost]
  }
  return best!
}
