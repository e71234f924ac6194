import { ref, watch, type Ref } from 'vue'

/** Size of an element in px, kept up to date; 0 by 0 until it is on the page. */
export function useSize(element: Ref<HTMLElement | SVGElement | undefined>): Ref<{ width: number; height: number }> {
  const size = ref({ width: 0, height: 0 })
  watch(
    element,
    (now, _, whenGone) => {
      if (!now) return
      const watcher = new ResizeObserver(([entry]) => {
        if (entry) size.value = { width: entry.contentRect.width, height: entry.contentRect.height }
      })
      watcher.observe(now)
      whenGone(() => watcher.disconnect())
    },
    { immediate: true, flush: 'post' },
  )
  return size
}
