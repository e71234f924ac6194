import { gap, type Px } from './screen'

/** A pointer that has hold of something. */
export interface Drag<G> {
  grip: G
  /** Where it is, and was before, px from the top left of the picture. */
  at: Px
  before: Px
  /** Where it took hold. */
  from: Px
  /** Whether it went far enough to be more than a press. */
  moved: boolean
  event: PointerEvent
}

const SLOP_PX = 3

/**
 * Drags with mouse, finger or pen: the pointer is held until it is let go, wherever it goes. Several fingers are several drags.
 *
 * @param options.element the picture that positions are measured in
 * @param options.onMove it moved, more than a press does; what else it does while it is held is up to the caller
 * @param options.onEnd it was let go, or taken away by the browser
 * @returns takes hold: for `pointerdown`, with what it has hold of
 */
export function usePointerDrag<G = undefined>(options: {
  element: () => Element | undefined
  onMove: (drag: Drag<G>) => void
  onEnd?: (drag: Drag<G>, cancelled: boolean) => void
}): (event: PointerEvent, grip: G) => boolean {
  return (event, grip) => {
    const { element } = options
    const held = element() ?? (event.currentTarget as Element)
    if (event.button !== 0) return false
    const place = ({ clientX, clientY }: PointerEvent): Px => {
      const box = held.getBoundingClientRect()
      return { x: clientX - box.left, y: clientY - box.top }
    }
    const start = place(event)
    let drag: Drag<G> = { grip, at: start, before: start, from: start, moved: false, event }
    held.setPointerCapture(event.pointerId)
    const ours = (now: Event): now is PointerEvent => (now as PointerEvent).pointerId === event.pointerId

    const move = (now: Event) => {
      if (!ours(now)) return
      const at = place(now)
      const moved = drag.moved || gap(drag.from, at) >= SLOP_PX
      drag = { ...drag, at, before: drag.at, moved, event: now }
      if (moved) options.onMove(drag)
    }
    const end = (now: Event) => {
      if (!ours(now)) return
      held.removeEventListener('pointermove', move)
      held.removeEventListener('pointerup', end)
      held.removeEventListener('pointercancel', end)
      options.onEnd?.({ ...drag, event: now }, now.type === 'pointercancel')
    }
    held.addEventListener('pointermove', move)
    held.addEventListener('pointerup', end)
    held.addEventListener('pointercancel', end)
    return true
  }
}
