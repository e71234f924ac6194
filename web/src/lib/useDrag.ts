import type { Px } from './screen'

/**
 * Drags a handle of a picture.
 *
 * @param onMove where the pointer is, px from the picture's top left
 */
export function useDrag(element: () => Element | undefined, onMove: (at: Px) => void) {
  return (event: PointerEvent) => {
    if (event.button !== 0) return
    const handle = event.currentTarget as Element
    handle.setPointerCapture(event.pointerId)
    const move = (now: Event) => {
      const box = element()?.getBoundingClientRect()
      const { clientX, clientY } = now as PointerEvent
      if (box) onMove({ x: clientX - box.left, y: clientY - box.top })
    }
    const end = () => {
      handle.removeEventListener('pointermove', move)
      handle.removeEventListener('pointerup', end)
      handle.removeEventListener('pointercancel', end)
    }
    handle.addEventListener('pointermove', move)
    handle.addEventListener('pointerup', end)
    handle.addEventListener('pointercancel', end)
  }
}
