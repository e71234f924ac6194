import { computed, nextTick, ref, watch, type ComputedRef, type Ref } from 'vue'
import type { Board, BoardRow } from '@/api/types'
import { COMPACT, ROOMY, type BoardSizes } from './board'
import { useSize } from './useSize'

/** Rows beyond each edge that are drawn too. */
const OVER = 3

/** What a board shows. */
export interface BoardShown {
  board: Board
  rows: BoardRow[]
  compact: boolean
  /** Index of the shot before which the gap is open, and its width. */
  gap?: { before: number; width: number }
}

export interface Cell {
  row: number
  column: number
}

export interface UseBoardWindowReturn {
  size: Ref<{ width: number; height: number }>
  scroll: Ref<{ left: number; top: number }>
  sizes: ComputedRef<BoardSizes>
  sizesOf: (row: BoardRow) => BoardSizes
  headHeight: ComputedRef<number>
  /** px of each column's left edge, and of each row's top. */
  lefts: ComputedRef<number[]>
  tops: ComputedRef<number[]>
  heightOf: (row: BoardRow) => number
  width: ComputedRef<number>
  height: ComputedRef<number>
  /** Index of the first row in sight, and of the one after the last. */
  firstRow: ComputedRef<number>
  lastRow: ComputedRef<number>
  shownColumns: ComputedRef<number[]>
  /** Where threads are drawn, px: not the whole length of a long scene. */
  inSight: ComputedRef<{ left: number; width: number }>
  onScroll: () => void
  /** Scrolls a cell out from under the heads. */
  reveal: (cell: Cell) => void
}

function isCamera(row: BoardRow): boolean {
  return row.placement.kind === 'CAMERA'
}

/** Where everything on a board lies, and which part of it is in sight: only that is drawn, however large the scene. */
export function useBoardWindow(shown: () => BoardShown, scroller: Ref<HTMLElement | undefined>): UseBoardWindowReturn {
  const size = useSize(scroller)
  const scroll = ref({ left: 0, top: 0 })

  const columns = computed(() => shown().board.shots.length + shown().board.looks.length)
  /** Where there is room the columns grow. */
  const sizes = computed(() => {
    const { compact, gap } = shown()
    const base = compact ? COMPACT : ROOMY
    const room = (size.value.width - base.head - (gap?.width ?? 0)) / columns.value
    return { ...base, column: Math.max(base.column, Math.floor(room)) }
  })
  /** The camera's row is lower: one line of figures, the thread close above it. */
  const cameraSizes = computed(() => (shown().compact ? sizes.value : { ...sizes.value, lane: 13, laneStep: 6 }))
  const headHeight = computed(() => (shown().compact ? 44 : 56))
  const heightOf = (row: BoardRow) => (isCamera(row) ? sizes.value.cameraRow : sizes.value.row)

  const lefts = computed(() => {
    const { gap } = shown()
    return Array.from(
      { length: columns.value },
      (_, i) => i * sizes.value.column + (gap && i >= gap.before ? gap.width : 0),
    )
  })
  const tops = computed(() => {
    let y = 0
    return shown().rows.map((row) => {
      const top = y
      y += heightOf(row)
      return top
    })
  })
  const width = computed(() => sizes.value.head + columns.value * sizes.value.column + (shown().gap?.width ?? 0))
  const height = computed(() => {
    const last = shown().rows.at(-1)
    return (tops.value.at(-1) ?? 0) + (last ? heightOf(last) : 0)
  })

  /* plain numbers, so that scrolling draws anew only when a row or a column comes into sight */
  const firstRow = computed(() => {
    const below = tops.value.findIndex((t) => t > scroll.value.top)
    return Math.max(0, (below < 0 ? shown().rows.length : below) - 1 - OVER)
  })
  const lastRow = computed(() => {
    const past = tops.value.findIndex((t) => t > scroll.value.top + size.value.height)
    return Math.min(shown().rows.length, (past < 0 ? shown().rows.length : past) + OVER)
  })
  const firstColumn = computed(() =>
    Math.max(
      0,
      lefts.value.findIndex((x) => x >= scroll.value.left - sizes.value.column),
    ),
  )
  const lastColumn = computed(() => {
    const past = lefts.value.findIndex((x) => x > scroll.value.left + size.value.width)
    return past < 0 ? columns.value : past
  })
  const inSight = computed(() => {
    const left = lefts.value[firstColumn.value] ?? 0
    return { left, width: (lefts.value[lastColumn.value - 1] ?? 0) + sizes.value.column - left }
  })
  const shownColumns = computed(() =>
    Array.from({ length: lastColumn.value - firstColumn.value }, (_, i) => firstColumn.value + i),
  )

  function reveal(cell: Cell) {
    const box = scroller.value
    const row = shown().rows[cell.row]
    if (!box || !row) return
    const x = lefts.value[cell.column]!
    const y = tops.value[cell.row]!
    const seenX = box.clientWidth - sizes.value.head - sizes.value.column
    const seenY = box.clientHeight - headHeight.value - heightOf(row)
    box.scrollLeft = Math.min(Math.max(box.scrollLeft, x - seenX), x)
    box.scrollTop = Math.min(Math.max(box.scrollTop, y - seenY), y)
  }

  return {
    size,
    scroll,
    sizes,
    sizesOf: (row) => (isCamera(row) ? cameraSizes.value : sizes.value),
    headHeight,
    lefts,
    tops,
    heightOf,
    width,
    height,
    firstRow,
    lastRow,
    shownColumns,
    inSight,
    onScroll() {
      if (scroller.value) scroll.value = { left: scroller.value.scrollLeft, top: scroller.value.scrollTop }
    },
    reveal,
  }
}

/** Keeps a cell in sight: when it changes, and once there is room to scroll in. */
export function useRevealed(cell: () => Cell, window: UseBoardWindowReturn) {
  watch(
    () => [cell().row, cell().column],
    () => window.reveal(cell()),
  )
  watch(
    () => window.size.value.width > 0,
    () => nextTick(() => window.reveal(cell())),
  )
}
