import type { Ref } from 'vue'
import type { PlanPoint } from '@/api/types'
import { bearingBetween, gap, toCentimetre, toPlan, type Px } from './screen'
import type { UseViewportReturn } from './useViewport'

/** What a pointer has hold of: the plan, a thing with all that is moved with it, or the handle that turns one. */
export type Grip =
  | { kind: 'pan' }
  | { kind: 'move'; key: string; from: Px; also: { key: string; from: Px }[] }
  | { kind: 'turn'; key: string }

export interface UsePlanPointerReturn {
  down: (event: PointerEvent, wanted: Grip) => void
  move: (event: PointerEvent) => void
  up: (event: PointerEvent) => void
  wheel: (event: WheelEvent) => void
}

const SLOP_PX = 3

/**
 * Pointers on a plan: one finger or button drags a thing or the plan, two fingers zoom.
 *
 * @param options.locked whether nothing, or not this thing, may be moved
 * @param options.turnedAbout middle of the thing that is turned
 * @param options.onTake something was taken hold of
 * @param options.onTap the plan was pressed there and not dragged
 */
export function usePlanPointer(options: {
  element: Ref<SVGSVGElement | undefined>
  viewport: UseViewportReturn
  locked: (key: string) => boolean
  turnedAbout: () => Px | undefined
  onTake: (wanted: Grip, more: boolean) => void
  onTap: (at: PlanPoint) => void
  onDrag: (moved: Record<string, PlanPoint>) => void
  onTurn: (key: string, bearing: number) => void
  onDrop: () => void
}): UsePlanPointerReturn {
  const { element, viewport } = options
  const pointers = new Map<number, Px>()
  let grip: Grip | undefined
  let moved = false
  let start: Px = { x: 0, y: 0 }

  function at(event: MouseEvent): Px {
    const box = element.value!.getBoundingClientRect()
    return { x: event.clientX - box.left, y: event.clientY - box.top }
  }

  function pinch(id: number, before: Px, now: Px) {
    const other = [...pointers].find(([key]) => key !== id)?.[1]
    if (!other) return
    const middle = { x: (now.x + other.x) / 2, y: (now.y + other.y) / 2 }
    viewport.zoom(gap(now, other) / Math.max(1, gap(before, other)), middle)
    viewport.pan((now.x - before.x) / 2, (now.y - before.y) / 2)
  }

  return {
    down(event, wanted) {
      if (event.button !== 0) return
      event.stopPropagation()
      element.value?.setPointerCapture(event.pointerId)
      pointers.set(event.pointerId, at(event))
      start = at(event)
      moved = false
      grip = pointers.size > 1 ? undefined : wanted
      options.onTake(wanted, event.shiftKey || event.ctrlKey || event.metaKey)
    },
    move(event) {
      const before = pointers.get(event.pointerId)
      if (!before) return
      const now = at(event)
      pointers.set(event.pointerId, now)
      if (pointers.size === 2) return pinch(event.pointerId, before, now)
      if (!moved && gap(start, now) < SLOP_PX) return
      moved = true
      if (grip?.kind === 'pan') return viewport.pan(now.x - before.x, now.y - before.y)
      if (!grip || options.locked(grip.key)) return
      if (grip.kind === 'move') {
        const by = { x: now.x - start.x, y: now.y - start.y }
        const to = (from: Px) => toCentimetre(toPlan(viewport.view.value, { x: from.x + by.x, y: from.y + by.y }))
        options.onDrag(Object.fromEntries([grip, ...grip.also].map((g) => [g.key, to(g.from)])))
      } else {
        const about = options.turnedAbout()
        if (about) options.onTurn(grip.key, Math.round(bearingBetween(about, now)))
      }
    },
    up(event) {
      if (!pointers.delete(event.pointerId)) return
      if (grip?.kind === 'pan' && !moved) options.onTap(toCentimetre(toPlan(viewport.view.value, start)))
      if (grip && grip.kind !== 'pan' && moved && !options.locked(grip.key)) options.onDrop()
      grip = undefined
    },
    wheel(event) {
      viewport.zoom(Math.exp(-event.deltaY / 500), at(event))
    },
  }
}
