import { computed, shallowRef, type Ref } from 'vue'
import type { PlanPoint } from '@/api/types'
import { bounds, toPlan, type Px, type View } from './screen'
import { useSize } from './useSize'

const CLOSEST = 600
const FARTHEST = 6
const KEY_ZOOM = 1.25
const KEY_PAN_PX = 60

export interface UseViewportReturn {
  size: Ref<{ width: number; height: number }>
  view: Ref<View>
  fit: () => void
  zoom: (factor: number, at?: Px) => void
  pan: (dx: number, dy: number) => void
  /** Handles a zoom or pan key; says whether it was one. */
  key: (event: KeyboardEvent) => boolean
}

/**
 * Zoom and pan of a plan in an element.
 *
 * @param options.element the element that shows the plan
 * @param options.points what has to be in view when it fits, metres
 * @param options.margin px kept free around it, default 44
 */
export function useViewport(options: {
  element: Ref<HTMLElement | SVGElement | undefined>
  points: () => PlanPoint[]
  margin?: number
}): UseViewportReturn {
  const size = useSize(options.element)
  const own = shallowRef<View>()
  const margin = options.margin ?? 44

  const fitted = computed<View>(() => {
    const { width, height } = size.value
    const points = options.points()
    if (!points.length || !width || !height) return { scale: 60, x: margin, y: height - margin }
    const b = bounds(points)
    const scale = Math.max(
      FARTHEST,
      Math.min(
        CLOSEST,
        (width - 2 * margin) / Math.max(1, b.right - b.left),
        (height - 2 * margin) / Math.max(1, b.top - b.bottom),
      ),
    )
    return {
      scale,
      x: width / 2 - ((b.left + b.right) / 2) * scale,
      y: height / 2 + ((b.bottom + b.top) / 2) * scale,
    }
  })
  const view = computed(() => own.value ?? fitted.value)

  function zoom(factor: number, at: Px = { x: size.value.width / 2, y: size.value.height / 2 }) {
    const fixed = toPlan(view.value, at)
    const scale = Math.max(FARTHEST, Math.min(CLOSEST, view.value.scale * factor))
    own.value = { scale, x: at.x - fixed.xM * scale, y: at.y + fixed.yM * scale }
  }

  function pan(dx: number, dy: number) {
    own.value = { ...view.value, x: view.value.x + dx, y: view.value.y + dy }
  }

  function key(event: KeyboardEvent): boolean {
    const pans: Record<string, [number, number]> = {
      ArrowLeft: [KEY_PAN_PX, 0],
      ArrowRight: [-KEY_PAN_PX, 0],
      ArrowUp: [0, KEY_PAN_PX],
      ArrowDown: [0, -KEY_PAN_PX],
    }
    if (event.key === '+' || event.key === '=') zoom(KEY_ZOOM)
    else if (event.key === '-') zoom(1 / KEY_ZOOM)
    else if (event.key === '0') own.value = undefined
    else if (pans[event.key]) pan(...pans[event.key]!)
    else return false
    return true
  }

  return { size, view, fit: () => (own.value = undefined), zoom, pan, key }
}
