import { onBeforeUnmount, onMounted, ref, type Ref } from 'vue'

/** Size of an element in px, kept up to date; 0 by 0 until it is on the page. */
export function useSize(element: Ref<HTMLElement | SVGElement | undefined>): Ref<{ width: number; height: number }> {
  const size = ref({ width: 0, height: 0 })
  let watcher: ResizeObserver | undefined
  onMounted(() => {
    watcher = new ResizeObserver(([entry]) => {
      if (entry) size.value = { width: entry.contentRect.width, height: entry.contentRect.height }
    })
    if (element.value) watcher.observe(element.value)
  })
  onBeforeUnmount(() => watcher?.disconnect())
  return size
}
