<script setup lang="ts">
import { computed, nextTick, ref, useId, watch } from 'vue'
import type { Board, BoardRow, BoardThread } from '@/api/types'
import CheatFlag from '@/components/marks/CheatFlag.vue'
import { bar, cellAt, cellReason, cellWords, COMPACT, KNOT_X, laneY, pasted, ROOMY, states, threads, type Threads } from '@/lib/board'
import { useSize } from '@/lib/useSize'
import { reasonName } from '@/lib/words'
import { useSettings } from '@/stores/settings'
import ColumnHead from './ColumnHead.vue'
import ThingMark from './ThingMark.vue'

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
const input = ref<HTMLInputElement[]>([])
const copied = ref<string>()

/** Where there is room the columns grow. */
const sizes = computed(() => {
  const base = props.compact ? COMPACT : ROOMY
  const room = (size.value.width - base.head - (props.gap?.width ?? 0)) / (props.board.shots.length + props.board.looks.length)
  return { ...base, column: Math.max(base.column, Math.floor(room)) }
})
const headHeight = computed(() => (props.compact ? 44 : 56))
const columns = computed(() => props.board.shots.length + props.board.looks.length)
const lefts = computed(() =>
  Array.from({ length: columns.value }, (_, i) => i * sizes.value.column + (props.gap && i >= props.gap.before ? props.gap.width : 0)),
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
const firstColumn = computed(() => Math.max(0, lefts.value.findIndex((x) => x >= scroll.value.left - sizes.value.column)))
const lastColumn = computed(() => {
  const past = lefts.value.findIndex((x) => x > scroll.value.left + size.value.width)
  return past < 0 ? columns.value : past
})
/** Where threads are drawn, px: not the whole length of a long scene. */
const inSight = computed(() => {
  const left = lefts.value[firstColumn.value] ?? 0
  return { left, width: (lefts.value[lastColumn.value - 1] ?? 0) + sizes.value.column - left }
})
const shownColumns = computed(() => Array.from({ length: lastColumn.value - firstColumn.value }, (_, i) => firstColumn.value + i))
/** Threads and states of each row, worked out once for a board and its sizes. */
const laid = computed(() => {
  const known = new Map<BoardRow, { drawing: Threads; now: BoardThread[] }>()
  const [at, based, shots] = [lefts.value, props.based, props.board.shots]
  const own = new Map([true, false].map((camera) => [camera, sizesFor(camera)]))
  return (row: BoardRow) => {
    const found = known.get(row) ?? { drawing: threads(row, shots, based, at, own.get(isCamera(row))!, 'var(--ink)'), now: states(row, based) }
    known.set(row, found)
    return found
  }
})
const range = computed(() => {
  const other = end.value ?? at.value
  return {
    top: Math.min(at.value.row, other.row), bottom: Math.max(at.value.row, other.row),
    left: Math.min(at.value.column, other.column), right: Math.max(at.value.column, other.column),
  }
})
const drawn = computed(() =>
  props.rows.slice(firstRow.value, lastRow.value).map((row, k) => {
    const index = firstRow.value + k
    const own = sizesFor(isCamera(row))
    const { drawing, now } = laid.value(row)
    const cells = shownColumns.value.filter((c) => c < props.board.shots.length).map((column) => {
      const cell = cellAt(row, column)
      const first = props.based[column]! < 0
      const words = cellWords(cell, now[column]!.state, first, settings.printed)
      return { column, cell, first, words, reason: cell && !first ? cellReason(cell) : undefined, y: laneY(own, props.board.shots[column]!.lane), state: now[column]!.state, say: spoken(row, column, words, !!cell) }
    })
    const looks = shownColumns.value.filter((c) => c >= props.board.shots.length).map((column) => ({ column, cell: props.board.looks[column - props.board.shots.length]!.cells.find((l) => l.placement === row.placement.key) }))
    return { row, index, top: tops.value[index]!, height: heightOf(row), ...drawing, cells, looks }
  }),
)

/** Stays in sight while the rows scroll, and goes under the row heads. */
const gapStyle = computed(() => {
  if (!props.gap) return {}
  const left = sizes.value.head + props.gap.before * sizes.value.column
  const under = Math.max(0, sizes.value.head + scroll.value.left - left)
  return { left: `${left}px`, width: `${props.gap.width}px`, top: `${scroll.value.top}px`, height: `${size.value.height}px`, clipPath: under ? `inset(0 0 0 ${under}px)` : 'none' }
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

function spoken(row: BoardRow, column: number, words: { figures: string; words: string }, tied: boolean) {
  const shot = props.board.shots[column]!
  const what = [words.figures, words.words].filter(Boolean).join(', ')
  return `${row.placement.name} in ${shot.slate}: ${tied ? what || 'changed' : shot.basedOn ? `carries from ${shot.basedOn}` : 'nothing recorded'}`
}

function subtitle({ placement }: BoardRow) {
  const { unit, watts, what } = placement.piece
  return [unit, watts ? `${watts} W` : what].filter((part) => part && part !== placement.name).join(', ')
}

function inRange(row: number, column: number) {
  const r = range.value
  return row >= r.top && row <= r.bottom && column >= r.left && column <= r.right
}

function go(row: number, column: number, extend = false) {
  const next = { row: Math.min(Math.max(row, 0), props.rows.length - 1), column: Math.min(Math.max(column, 0), props.board.shots.length - 1) }
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
watch(() => [at.value.row, at.value.column], () => reveal(at.value))
/* once there is room to scroll in */
watch(() => size.value.width > 0, () => nextTick(() => reveal(at.value)))
watch(() => props.rows.length, (n) => n && at.value.row >= n && go(n - 1, at.value.column))

async function edit(text?: string) {
  if (props.readonly || props.board.shots[at.value.column]?.stage === 'SHOT') return
  const row = props.rows[at.value.row]
  const cell = row && cellAt(row, at.value.column)
  editing.value = text ?? (cell ? cellWords(cell, 'ON', false, settings.printed).figures : '')
  await nextTick()
  input.value[0]?.focus()
  if (text === undefined) input.value[0]?.select()
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
  return props.rows.slice(r.top, r.bottom + 1).flatMap((row) => Array.from({ length: r.right - r.left + 1 }, (_, k) => ({ row, column: r.left + k })))
}

function onKey(event: KeyboardEvent) {
  if (editing.value !== undefined) return
  const from = event.shiftKey ? (end.value ?? at.value) : at.value
  const page = Math.max(1, Math.floor((size.value.height - headHeight.value) / sizes.value.row) - 1)
  const ways: Record<string, [number, number]> = { ArrowUp: [-1, 0], ArrowDown: [1, 0], ArrowLeft: [0, -1], ArrowRight: [0, 1] }
  const way = ways[event.key]
  const command = event.ctrlKey || event.metaKey
  if (way) go(from.row + way[0], from.column + way[1], event.shiftKey)
  else if (event.key === 'Home') go(command ? 0 : from.row, 0, event.shiftKey)
  else if (event.key === 'End') go(command ? props.rows.length - 1 : from.row, props.board.shots.length - 1, event.shiftKey)
  else if ((event.key === 'PageDown' || event.key === 'PageUp') && event.altKey) go(from.row + (event.key === 'PageDown' ? page : -page), from.column, event.shiftKey)
  else if (event.key === 'Enter' || event.key === 'F2') void edit()
  else if (event.key === 'Delete' || event.key === 'Backspace') emit('type', chosenCells().map((c) => ({ ...c, text: '' })), false)
  else if (event.key.length === 1 && !command && !event.altKey && event.key !== '?' && event.key !== ' ') void edit(event.key)
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
  const text = props.rows.slice(r.top, r.bottom + 1).map((row) =>
    Array.from({ length: r.right - r.left + 1 }, (_, k) => cellWords(cellAt(row, r.left + k), 'ON', false, settings.printed).figures).join('\t')).join('\n')
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
    emit('paste', chosenCells().map((c) => ({ ...c, from: Number(own[0]) })))
    return
  }
  const block = pasted(text.replace(/\r?\n$/, '').split(/\r?\n/).map((l) => l.split('\t')), r.bottom - r.top + 1, r.right - r.left + 1)
  emit('type', block.flatMap((line, i) => line.flatMap((t, k) => {
    const row = props.rows[r.top + i]
    return row && t.trim() && r.left + k < props.board.shots.length ? [{ row, column: r.left + k, text: t }] : []
  })), false)
}

function onScroll() {
  if (scroller.value) scroll.value = { left: scroller.value.scrollLeft, top: scroller.value.scrollTop }
}
</script>

<template>
  <div
    ref="scroller" class="scroller" :class="{ compact }" tabindex="0" role="grid" aria-label="Carry board" :aria-rowcount="rows.length + 1" :aria-colcount="board.shots.length"
    :aria-activedescendant="`${id}-${at.row}-${at.column}`" aria-multiselectable="true"
    @scroll.passive="onScroll" @keydown="onKey" @copy="onCopy" @paste="onPaste"
  >
    <div class="canvas" :style="{ width: `${width}px`, height: `${headHeight + height}px` }">
      <div class="heads" :style="{ height: `${headHeight}px`, width: `${width}px` }" role="row">
        <div class="corner" :style="{ width: `${sizes.head}px` }"><b class="text-[15px] font-[650]">Carry, scene {{ board.scene.number }}</b><span class="block text-[12px] text-quiet">in shooting order</span></div>
        <ColumnHead v-for="column in shownColumns" :key="column" :board="board" :column="column" :compact="compact" :here="board.shots[column]?.id === shotId" :style="{ left: `${sizes.head + lefts[column]!}px`, width: `${sizes.column}px` }" @gap="emit('gap', column)" @shot="(id) => emit('shot', id)" />
      </div>
      <div v-for="r in drawn" :key="r.row.placement.key" class="row" role="row" :aria-rowindex="r.index + 2" :style="{ top: `${headHeight + r.top}px`, height: `${r.height}px`, width: `${width}px` }">
        <div class="row-head" role="rowheader" :style="{ width: `${sizes.head}px` }">
          <ThingMark v-if="!compact" :row="r.row" />
          <span v-else class="swatch" :style="{ background: r.row.swatch ?? 'transparent' }" />
          <span class="min-w-0">
            <b class="block truncate font-[650]">{{ r.row.placement.name }}</b>
            <span v-if="!compact" class="block truncate text-[11px] text-quiet">{{ subtitle(r.row) }}</span>
          </span>
        </div>
        <svg class="threads" :style="{ left: `${sizes.head + inSight.left}px` }" :width="inSight.width" :height="r.height" :viewBox="`${inSight.left} 0 ${inSight.width} ${r.height}`" aria-hidden="true">
          <path v-for="(s, i) in r.segments" :key="`u${i}`" :d="s.d" class="under" />
          <path v-for="(s, i) in r.segments" :key="i" :d="s.d" fill="none" :stroke="s.stroke" :stroke-width="s.width" :opacity="s.faint ? 0.4 : 1" />
          <path v-for="(b, i) in r.bars" :key="`b${i}`" :d="bar(b)" :stroke="b.stroke" stroke-width="2" />
        </svg>
        <div
          v-for="c in r.cells" :id="`${id}-${r.index}-${c.column}`" :key="c.column" class="cell" role="gridcell" :aria-colindex="c.column + 1" :aria-label="c.say" :aria-selected="inRange(r.index, c.column)"
          :class="{ chosen: inRange(r.index, c.column), at: at.row === r.index && at.column === c.column, locked: board.shots[c.column]!.stage === 'SHOT' }"
          :style="{ left: `${sizes.head + lefts[c.column]!}px`, width: `${sizes.column}px` }"
          @click="go(r.index, c.column, $event.shiftKey)" @dblclick="edit()"
        >
          <template v-if="c.cell && !c.first">
            <svg class="knot" :style="{ left: `${KNOT_X - 10}px`, top: `${c.y - 5.5}px` }" width="20" height="11" viewBox="-10 -5.5 20 11" aria-hidden="true"><path d="M-8 0C-3 -4.5 3 -4.5 8 0C3 4.5 -3 4.5 -8 0Z" fill="var(--accent)" stroke="var(--ground)" stroke-width="2" paint-order="stroke" /></svg>
            <CheatFlag v-if="c.reason === 'CHEAT'" class="flag" :style="{ left: `${KNOT_X}px`, top: `${c.y - 18}px` }" />
            <span v-if="!compact && !isCamera(r.row)" class="why" :class="{ cheat: c.reason === 'CHEAT' }" :style="{ top: `${c.y - 16}px` }">{{ reasonName(c.reason) }}</span>
          </template>
          <span v-if="c.cell" class="said" :class="{ tall: !compact, low: isCamera(r.row) }">
            <span class="figure block truncate">{{ c.words.figures || (compact ? c.words.words : '') }}</span>
            <span v-if="!compact && c.words.words && !(isCamera(r.row) && c.words.figures)" class="block truncate text-[11px]" :class="{ 'text-quiet': c.words.figures }">{{ c.words.words }}</span>
          </span>
          <input v-if="editing !== undefined && at.row === r.index && at.column === c.column" ref="input" v-model="editing" class="typing figure" :aria-label="`Type what ${r.row.placement.name} has in ${board.shots[c.column]!.slate}`" autocomplete="off" spellcheck="false" @keydown.enter.stop.prevent="keep" @keydown.esc.stop.prevent="cancel" @keydown.stop @blur="cancel" @click.stop />
        </div>
        <div v-for="l in r.looks" :key="`l${l.column}`" class="cell look" :style="{ left: `${sizes.head + lefts[l.column]!}px`, width: `${sizes.column}px` }">
          <span v-if="l.cell" class="said tall"><span class="figure flex items-center gap-1.5 truncate"><span v-if="l.cell.swatch" class="swatch" :style="{ background: l.cell.swatch }" />{{ l.cell.say }}</span></span>
        </div>
      </div>
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
.scroller:focus-visible .cell.at {
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
.row {
  position: absolute;
  border-bottom: 1px solid var(--line);
  contain: layout style;
}
.row-head {
  position: sticky;
  left: 0;
  z-index: 3;
  display: flex;
  align-items: center;
  gap: 8px;
  height: 100%;
  padding: 0 8px 0 14px;
  background: var(--ground);
  border-right: 1px solid var(--line);
}
.threads {
  position: absolute;
  z-index: 1;
  top: 0;
  pointer-events: none;
}
/* a pale thread would be lost on the daylight ground */
.under {
  display: none;
  fill: none;
  stroke: var(--set);
  stroke-width: 3.6;
}
:global([data-theme='daylight']) .under {
  display: inline;
}
.cell {
  position: absolute;
  top: 0;
  bottom: 0;
  border-left: 1px solid var(--line);
  cursor: default;
}
.cell:hover {
  background: color-mix(in srgb, var(--raised) 45%, transparent);
}
.cell.chosen {
  background: color-mix(in srgb, var(--raised) 70%, transparent);
}
.cell.at {
  outline: 1.6px solid var(--accent);
  outline-offset: -1px;
  border-radius: 3px;
}
.cell.look {
  background: var(--panel);
}
.knot,
.flag {
  position: absolute;
  z-index: 2;
}
.why {
  position: absolute;
  left: 44px;
  font-size: 11px;
  line-height: 13px;
  color: var(--quiet);
}
.why.cheat {
  color: var(--accent);
}
.said {
  position: absolute;
  z-index: 2;
  left: 12px;
  right: 4px;
  top: 31px;
}
.said.low {
  top: 25px;
}
.compact .said {
  left: 34px;
  top: 12px;
  font-size: 12px;
  text-shadow: 0 0 3px var(--ground);
}
.said.tall {
  line-height: 15px;
}
.typing {
  position: absolute;
  inset: auto 2px 2px;
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
