<script setup lang="ts">
import { computed, nextTick, ref, useId, watch } from 'vue'
import type { Board, BoardRow, BoardThread } from '@/api/types'
import { cellAt, cellWords, COMPACT, pasted, ROOMY, states, threads, type Threads } from '@/lib/board'
import { useSize } from '@/lib/useSize'
import { useSettings } from '@/stores/settings'
import BoardLine from './BoardLine.vue'
import ColumnHead from './ColumnHead.vue'

/** The board itself. Only what is in sight is drawn, however large the scene. */
const props = defineProps<{
  board: Board
  based: number[]
  rows: BoardRow[]
  compact: boolean
  /** The shot that is open. */
  shotId: number
  /** Index of the shot before which the gap is open, and its width. */
  gap?: { before: number; width: number }
  readonly: boolean
}>()
const at = defineModel<{ row: number; column: number }>('at', { required: true })
const emit = defineEmits<{
  type: [cells: { row: BoardRow; column: number; text: string }[], typed: boolean]
  paste: [cells: { row: BoardRow; column: number; from: number }[]]
  gap: [before: number]
  shot: [id: number]
}>()

const OVER = 3
const COPIED = 'oblume:'
const settings = useSettings()
const id = useId()
const scroller = ref<HTMLElement>()
const size = useSize(scroller)
const scroll = ref({ left: 0, top: 0 })
const end = ref<{ row: number; column: number }>()
const editing = ref<string>()
const input = ref<HTMLInputElement>()
const copied = ref<string>()

/** Where there is room the columns grow. */
const sizes = computed(() => {
  const base = props.compact ? COMPACT : ROOMY
  const room =
    (size.value.width - base.head - (props.gap?.width ?? 0)) / (props.board.shots.length + props.board.looks.length)
  return { ...base, column: Math.max(base.column, Math.floor(room)) }
})
const headHeight = computed(() => (props.compact ? 44 : 56))
const columns = computed(() => props.board.shots.length + props.board.looks.length)
const lefts = computed(() =>
  Array.from(
    { length: columns.value },
    (_, i) => i * sizes.value.column + (props.gap && i >= props.gap.before ? props.gap.width : 0),
  ),
)
const tops = computed(() => {
  let y = 0
  return props.rows.map((row) => {
    const top = y
    y += heightOf(row)
    return top
  })
})
const width = computed(() => sizes.value.head + columns.value * sizes.value.column + (props.gap?.width ?? 0))
const height = computed(() => (tops.value.at(-1) ?? 0) + (props.rows.length ? heightOf(props.rows.at(-1)!) : 0))
/* plain numbers, so that scrolling draws anew only when a row or a column comes into sight */
const firstRow = computed(() => {
  const below = tops.value.findIndex((t) => t > scroll.value.top)
  return Math.max(0, (below < 0 ? props.rows.length : below) - 1 - OVER)
})
const lastRow = computed(() => {
  const past = tops.value.findIndex((t) => t > scroll.value.top + size.value.height)
  return Math.min(props.rows.length, (past < 0 ? props.rows.length : past) + OVER)
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
/** Where threads are drawn, px: not the whole length of a long scene. */
const inSight = computed(() => {
  const left = lefts.value[firstColumn.value] ?? 0
  return { left, width: (lefts.value[lastColumn.value - 1] ?? 0) + sizes.value.column - left }
})
const shownColumns = computed(() =>
  Array.from({ length: lastColumn.value - firstColumn.value }, (_, i) => firstColumn.value + i),
)
/** Threads and states of each row, worked out once for a board and its sizes. */
const laid = computed(() => {
  const known = new Map<BoardRow, { drawing: Threads; now: BoardThread[] }>()
  const [at, based, shots] = [lefts.value, props.based, props.board.shots]
  const own = new Map([true, false].map((camera) => [camera, sizesFor(camera)]))
  return (row: BoardRow) => {
    const found = known.get(row) ?? {
      drawing: threads(row, shots, based, at, own.get(isCamera(row))!, 'var(--ink)'),
      now: states(row, based),
    }
    known.set(row, found)
    return found
  }
})
const range = computed(() => {
  const other = end.value ?? at.value
  return {
    top: Math.min(at.value.row, other.row),
    bottom: Math.max(at.value.row, other.row),
    left: Math.min(at.value.column, other.column),
    right: Math.max(at.value.column, other.column),
  }
})
const drawn = computed(() =>
  props.rows
    .slice(firstRow.value, lastRow.value)
    .map((row, k) => ({ row, index: firstRow.value + k, ...laid.value(row) })),
)
/** What all rows share; the same thing as long as nothing of it changes, so that a row that stays in sight is not drawn again. */
const sheet = computed(() => ({
  board: props.board,
  based: props.based,
  columns: shownColumns.value,
  inSight: inSight.value,
  lefts: lefts.value,
  head: sizes.value.head,
  column: sizes.value.column,
  compact: props.compact,
  id,
}))

/** Stays in sight while the rows scroll, and goes under the row heads. */
const gapStyle = computed(() => {
  if (!props.gap) return {}
  const left = sizes.value.head + props.gap.before * sizes.value.column
  const under = Math.max(0, sizes.value.head + scroll.value.left - left)
  return {
    left: `${left}px`,
    width: `${props.gap.width}px`,
    top: `${scroll.value.top}px`,
    height: `${size.value.height}px`,
    clipPath: under ? `inset(0 0 0 ${under}px)` : 'none',
  }
})

/** Over the cell that is typed into: a field of the board, not of a row, so that typing draws no row again. */
const typingStyle = computed(() => {
  const row = props.rows[at.value.row]
  if (!row) return {}
  return {
    left: `${sizes.value.head + lefts.value[at.value.column]! + 2}px`,
    top: `${headHeight.value + tops.value[at.value.row]! + heightOf(row) - 29}px`,
    width: `${sizes.value.column - 4}px`,
  }
})

function isCamera(row: BoardRow) {
  return row.placement.kind === 'CAMERA'
}
function heightOf(row: BoardRow) {
  return isCamera(row) ? sizes.value.cameraRow : sizes.value.row
}
/** The camera's row is lower: one line of figures, the thread close above it. */
function sizesFor(camera: boolean) {
  return camera && !props.compact ? { ...sizes.value, lane: 13, laneStep: 6 } : sizes.value
}

/** Columns of a row that are chosen, or none. */
function chosenIn(row: number): string {
  const r = range.value
  return row >= r.top && row <= r.bottom ? `${r.left}-${r.right}` : ''
}

function go(row: number, column: number, extend = false) {
  const next = {
    row: Math.min(Math.max(row, 0), props.rows.length - 1),
    column: Math.min(Math.max(column, 0), props.board.shots.length - 1),
  }
  if (extend) end.value = next
  else {
    end.value = undefined
    at.value = next
  }
  reveal(next)
}

/** Scrolls a cell out from under the heads. */
function reveal(cell: { row: number; column: number }) {
  const box = scroller.value
  const row = props.rows[cell.row]
  if (!box || !row) return
  const x = lefts.value[cell.column]!
  const y = tops.value[cell.row]!
  const seenX = box.clientWidth - sizes.value.head - sizes.value.column
  const seenY = box.clientHeight - headHeight.value - heightOf(row)
  box.scrollLeft = Math.min(Math.max(box.scrollLeft, x - seenX), x)
  box.scrollTop = Math.min(Math.max(box.scrollTop, y - seenY), y)
}
watch(
  () => [at.value.row, at.value.column],
  () => reveal(at.value),
)
/* once there is room to scroll in */
watch(
  () => size.value.width > 0,
  () => nextTick(() => reveal(at.value)),
)
watch(
  () => props.rows.length,
  (n) => n && at.value.row >= n && go(n - 1, at.value.column),
)

async function edit(text?: string) {
  if (props.readonly || props.board.shots[at.value.column]?.stage === 'SHOT') return
  const row = props.rows[at.value.row]
  const cell = row && cellAt(row, at.value.column)
  editing.value = text ?? (cell ? cellWords(cell, 'ON', false, settings.printed).figures : '')
  await nextTick()
  input.value?.focus()
  if (text === undefined) input.value?.select()
}

function keep() {
  const text = editing.value
  const row = props.rows[at.value.row]
  editing.value = undefined
  scroller.value?.focus()
  if (text !== undefined && row) emit('type', [{ row, column: at.value.column, text }], true)
}

function cancel() {
  editing.value = undefined
  scroller.value?.focus()
}
defineExpose({ edit, cancel, focus: () => scroller.value?.focus(), retype: (text: string) => edit(text) })

function chosenCells() {
  const r = range.value
  return props.rows
    .slice(r.top, r.bottom + 1)
    .flatMap((row) => Array.from({ length: r.right - r.left + 1 }, (_, k) => ({ row, column: r.left + k })))
}

function onKey(event: KeyboardEvent) {
  if (editing.value !== undefined) return
  const from = event.shiftKey ? (end.value ?? at.value) : at.value
  const page = Math.max(1, Math.floor((size.value.height - headHeight.value) / sizes.value.row) - 1)
  const ways: Record<string, [number, number]> = {
    ArrowUp: [-1, 0],
    ArrowDown: [1, 0],
    ArrowLeft: [0, -1],
    ArrowRight: [0, 1],
  }
  const way = ways[event.key]
  const command = event.ctrlKey || event.metaKey
  if (way) go(from.row + way[0], from.column + way[1], event.shiftKey)
  else if (event.key === 'Home') go(command ? 0 : from.row, 0, event.shiftKey)
  else if (event.key === 'End')
    go(command ? props.rows.length - 1 : from.row, props.board.shots.length - 1, event.shiftKey)
  else if ((event.key === 'PageDown' || event.key === 'PageUp') && event.altKey)
    go(from.row + (event.key === 'PageDown' ? page : -page), from.column, event.shiftKey)
  else if (event.key === 'Enter' || event.key === 'F2') void edit()
  else if (event.key === 'Delete' || event.key === 'Backspace')
    emit(
      'type',
      chosenCells().map((c) => ({ ...c, text: '' })),
      false,
    )
  else if (event.key.length === 1 && !command && !event.altKey && event.key !== '?' && event.key !== ' ')
    void edit(event.key)
  else return
  event.preventDefault()
  event.stopPropagation()
}

/** A cell that was copied here is pasted as it is; text from elsewhere is read as if it were called out. */
function onCopy(event: ClipboardEvent) {
  if (editing.value !== undefined) return
  const shot = props.board.shots[at.value.column]
  if (!shot) return
  const r = range.value
  const text = props.rows
    .slice(r.top, r.bottom + 1)
    .map((row) =>
      Array.from(
        { length: r.right - r.left + 1 },
        (_, k) => cellWords(cellAt(row, r.left + k), 'ON', false, settings.printed).figures,
      ).join('\t'),
    )
    .join('\n')
  copied.value = r.top === r.bottom && r.left === r.right ? `${COPIED}${shot.id}\n${text}` : text
  event.clipboardData?.setData('text/plain', text)
  event.preventDefault()
}

function onPaste(event: ClipboardEvent) {
  if (editing.value !== undefined || props.readonly) return
  event.preventDefault()
  const text = event.clipboardData?.getData('text/plain') ?? ''
  const r = range.value
  const own = copied.value?.startsWith(COPIED) ? copied.value.slice(COPIED.length).split('\n') : undefined
  if (own && own.slice(1).join('\n') === text) {
    emit(
      'paste',
      chosenCells().map((c) => ({ ...c, from: Number(own[0]) })),
    )
    return
  }
  const block = pasted(
    text
      .replace(/\r?\n$/, '')
      .split(/\r?\n/)
      .map((l) => l.split('\t')),
    r.bottom - r.top + 1,
    r.right - r.left + 1,
  )
  emit(
    'type',
    block.flatMap((line, i) =>
      line.flatMap((t, k) => {
        const row = props.rows[r.top + i]
        return row && t.trim() && r.left + k < props.board.shots.length ? [{ row, column: r.left + k, text: t }] : []
      }),
    ),
    false,
  )
}

function onScroll() {
  if (scroller.value) scroll.value = { left: scroller.value.scrollLeft, top: scroller.value.scrollTop }
}
</script>

<template>
  <div
    ref="scroller"
    class="scroller"
    :class="{ compact }"
    tabindex="0"
    role="grid"
    aria-label="Carry board"
    :aria-rowcount="rows.length + 1"
    :aria-colcount="board.shots.length"
    :aria-activedescendant="`${id}-${at.row}-${at.column}`"
    aria-multiselectable="true"
    @scroll.passive="onScroll"
    @keydown="onKey"
    @copy="onCopy"
    @paste="onPaste"
  >
    <div class="canvas" :style="{ width: `${width}px`, height: `${headHeight + height}px` }">
      <div class="heads" :style="{ height: `${headHeight}px`, width: `${width}px` }" role="row">
        <div class="corner" :style="{ width: `${sizes.head}px` }">
          <b class="text-[15px] font-[650]">Carry, scene {{ board.scene.number }}</b
          ><span class="block text-[12px] text-quiet">in shooting order</span>
        </div>
        <ColumnHead
          v-for="column in shownColumns"
          :key="column"
          :board="board"
          :column="column"
          :compact="compact"
          :here="board.shots[column]?.id === shotId"
          :style="{ left: `${sizes.head + lefts[column]!}px`, width: `${sizes.column}px` }"
          @gap="emit('gap', column)"
          @shot="(id) => emit('shot', id)"
        />
      </div>
      <BoardLine
        v-for="r in drawn"
        :key="r.row.placement.key"
        :sheet="sheet"
        :row="r.row"
        :index="r.index"
        :drawing="r.drawing"
        :now="r.now"
        :sizes="sizesFor(isCamera(r.row))"
        :chosen="chosenIn(r.index)"
        :at="at.row === r.index ? at.column : -1"
        :style="{ top: `${headHeight + tops[r.index]!}px`, height: `${heightOf(r.row)}px`, width: `${width}px` }"
        @choose="(column, extend) => go(r.index, column, extend)"
        @edit="edit()"
      />
      <input
        v-if="editing !== undefined"
        ref="input"
        v-model="editing"
        class="typing figure"
        :style="typingStyle"
        :aria-label="`Type what ${rows[at.row]?.placement.name} has in ${board.shots[at.column]?.slate}`"
        autocomplete="off"
        spellcheck="false"
        @keydown.enter.stop.prevent="keep"
        @keydown.esc.stop.prevent="cancel"
        @keydown.stop
        @blur="cancel"
      />
      <div v-if="gap" class="gap" :style="gapStyle"><slot name="gap" /></div>
    </div>
  </div>
</template>

<style scoped>
.scroller {
  position: relative;
  height: 100%;
  overflow: auto;
  overscroll-behavior: contain;
}
.scroller:focus-visible {
  outline: none;
}
.scroller:focus-visible :deep(.cell.at) {
  outline-width: 2.4px;
}
.canvas {
  position: relative;
}
.heads {
  position: sticky;
  top: 0;
  z-index: 4;
  background: var(--ground);
  border-bottom: 1px solid var(--line);
}
.corner {
  position: sticky;
  left: 0;
  z-index: 1;
  height: 100%;
  padding: 8px 14px;
  background: var(--ground);
}
.compact .corner {
  padding: 3px 12px;
}
.typing {
  position: absolute;
  z-index: 2;
  min-height: 26px;
  padding: 0 6px;
  border: 1.6px solid var(--accent);
  border-radius: 3px;
  background: var(--ground);
  color: var(--ink);
}
.gap {
  position: absolute;
  z-index: 4;
}
</style>
