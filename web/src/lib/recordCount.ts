import type { Finding, Placed } from '@/api/types'
import { WAITS } from './waitingThings'

/** What a stranger would have to guess of a thing. */
export function guesses(thing: Placed): Finding[] {
  return thing.findings.filter((f) => f.guess)
}

/** How many of the things that stand could be rebuilt; of what the server has not heard nobody knows yet. */
export function couldBeRebuilt(things: Placed[]): number {
  return things.filter((t) => t.toBuild && t.version !== WAITS && !guesses(t).length).length
}
