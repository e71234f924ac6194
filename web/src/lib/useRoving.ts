import { computed, ref, type ComputedRef, type Ref } from 'vue'
import type { Px } from './screen'

const WAYS: Record<string, Px> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
}

export interface UseRovingReturn {
  /** Key of the one thing that the Tab key comes to. */
  stop: ComputedRef<string | undefined>
  /** Key of what has the focus, or had it last. */
  focused: Ref<string | undefined>
  /** The next thing that way, or undefined when the key is none of the arrows or nothing lies there. */
  beyond: (from: string, arrow: string) => string | undefined
}

/**
 * Many things in a picture as one tab stop: arrows go from one to the next that lies that way.
 *
 * @param things with where each is drawn
 * @param chosen the one that Tab comes to, when there is one
 */
export function useRoving(things: () => { key: string; at: Px }[], chosen: () => string | undefined): UseRovingReturn {
  const focused = ref<string>()
  const stop = computed(() => {
    const all = things()
    return [chosen(), focused.value].find((key) => all.some((t) => t.key === key)) ?? all[0]?.key
  })
  return {
    stop,
    focused,
    beyond(from, arrow) {
      const way = WAYS[arrow]
      const start = things().find((t) => t.key === from)?.at
      if (!way || !start) return undefined
      let best: { key: string; cost: number } | undefined
      for (const { key, at } of things()) {
        const ahead = (at.x - start.x) * way.x + (at.y - start.y) * way.y
        const aside = Math.abs((at.x - start.x) * way.y - (at.y - start.y) * way.x)
        // what lies more to the side than ahead is the other arrows'
        if (key === from || ahead <= 0 || aside > 2 * ahead) continue
        const cost = ahead + 2 * aside
        if (!best || cost < best.cost) best = { key, cost }
      }
      return best?.key
    },
  }
}
