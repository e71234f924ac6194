import { computed, type Ref } from 'vue'
import { useSize } from './useSize'

/**
 * How many of some things in a row fit beside each other.
 *
 * @param row that they stand in
 * @param widths of each in px, in order; 0 while not known
 * @param rest in px that is needed for the rest, when not all fit
 */
export function useFitting(row: Ref<HTMLElement | undefined>, widths: Ref<number[]>, rest: Ref<number>): Ref<number> {
  const size = useSize(row)
  return computed(() => fitting(size.value.width, widths.value, rest.value))
}

/** How many of these widths fit into a row, beside what stands for the rest when not all do. */
export function fitting(width: number, widths: number[], rest: number): number {
  const all = widths.reduce((sum, w) => sum + w, 0)
  if (all <= width) return widths.length
  let used = rest
  let count = 0
  while (count < widths.length && used + widths[count]! <= width) used += widths[count++]!
  return count
}
