import type { PlanPoint } from '@/api/types'
import { toCentimetre, toPlan } from './screen'
import type { DrawnThing } from './usePlanDrawing'
import type { UseRovingReturn } from './useRoving'
import type { UseViewportReturn } from './useViewport'

const NUDGE_M = 0.05
const FAR_NUDGE_M = 0.5
const FINE_NUDGE_M = 0.01
const NUDGE_TURN_DEG = 5
const NUDGES_END_MS = 600

export interface UsePlanKeysReturn {
  /** A key on one of the things. */
  onThing: (event: KeyboardEvent, thing: DrawnThing) => void
  /** A key on the plan: it zooms and pans, and moves what is chosen. */
  onPlan: (event: KeyboardEvent) => void
  /** Ends a nudge at once. */
  settle: () => void
}

/**
 * Keys on a plan: arrows go from thing to thing; what is chosen is moved by them, and turned by the brackets, until it is let go with Escape.
 *
 * @param options.focus puts the focus on a thing
 * @param options.onEnd the nudging has ended
 */
export function usePlanKeys(options: {
  viewport: UseViewportReturn
  roving: UseRovingReturn
  chosen: () => DrawnThing | undefined
  locked: (thing: DrawnThing) => boolean
  focus: (key: string) => void
  onSelect: (key: string | undefined, more?: boolean) => void
  onMove: (moved: Record<string, PlanPoint>) => void
  onTurn: (key: string, bearingDeg: number) => void
  onEnd: () => void
}): UsePlanKeysReturn {
  const { viewport, roving } = options
  let nudging: ReturnType<typeof setTimeout> | undefined

  function settle() {
    if (!nudging) return
    clearTimeout(nudging)
    nudging = undefined
    options.onEnd()
  }
  function nudged() {
    clearTimeout(nudging)
    nudging = setTimeout(settle, NUDGES_END_MS)
  }

  function nudge(event: KeyboardEvent, thing: DrawnThing): boolean {
    if (options.locked(thing)) return false
    const step = event.shiftKey ? FAR_NUDGE_M : event.altKey ? FINE_NUDGE_M : NUDGE_M
    const ways: Record<string, [number, number]> = {
      ArrowLeft: [-step, 0],
      ArrowRight: [step, 0],
      ArrowUp: [0, step],
      ArrowDown: [0, -step],
    }
    const way = ways[event.key]
    if (way) {
      const from = toPlan(viewport.view.value, thing.at)
      options.onMove({ [thing.key]: toCentimetre({ xM: from.xM + way[0], yM: from.yM + way[1] }) })
    } else if (event.key === '[' || event.key === ']') {
      const by = event.key === ']' ? NUDGE_TURN_DEG : -NUDGE_TURN_DEG
      options.onTurn(thing.key, (Math.round(thing.bearing) + by + 360) % 360)
    } else return false
    nudged()
    return true
  }

  function common(event: KeyboardEvent): boolean {
    if (event.ctrlKey || event.metaKey) return false
    if (event.key !== 'Escape') {
      const thing = options.chosen()
      return (!!thing && nudge(event, thing)) || viewport.key(event)
    }
    settle()
    options.onSelect(undefined)
    return true
  }
  function done(event: KeyboardEvent) {
    event.preventDefault()
    event.stopPropagation()
  }

  return {
    settle,
    onPlan(event) {
      if (common(event)) done(event)
    },
    onThing(event, thing) {
      if (event.key === 'Enter' || event.key === ' ') {
        options.onSelect(thing.key, event.shiftKey)
        return done(event)
      }
      if (event.key.startsWith('Arrow') && !thing.held) {
        const next = roving.beyond(thing.key, event.key)
        if (next) options.focus(next)
        return done(event)
      }
      if (common(event)) done(event)
    },
  }
}
