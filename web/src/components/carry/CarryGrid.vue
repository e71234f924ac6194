<script setup lang="ts">
import { computed, nextTick, ref, useId, watch } from 'vue'
import type { BoardRow, BoardThread } from '@/api/types'
import { states, threads, type Threads } from '@/lib/board'
import { useBoardCells, type LikeCell, type TypedCell } from '@/lib/useBoardCells'
import { useBoardWindow, useRevealed, type BoardShown } from '@/lib/useBoardWindow'
import { useSettings } from '@/stores/settings'
import BoardLine from './BoardLine.vue'
import ColumnHead from './ColumnHead.vue'

/** The board itself. Only what is in sight is drawn, however large the scene. */
const props = defineProps<
  BoardShown & { based: number[]; /** The shot that is open. */ shotId: number; readonly: boolean }
>()
const at = defineModel<{ row: number; column: number }>('at', { required: true })
const emit = defineEmits<{
  type: [cells: TypedCell[], typed: boolean]
  paste: [cells: LikeCell[]]
  gap: [before: number]
  shot: [id: number]
}>()

const settings = useSettings()
const id = useId()
const scroller = ref<HTMLElement>()
const editing = ref<string>()
const input = ref<HTMLInputElement>()
const view = useBoardWindow(() => props, scroller)
const { sizes, headHeight, lefts, tops, width, height, shownColumns, inSight } = view
useRevealed(() => at.value, view)
const cells = useBoardCells(() => props, at, {
  typing: () => editing.value !== undefined,
  page: () => Math.max(1, Math.floor((view.size.value.height - headHeight.value) / sizes.value.row) - 1),
  printed: (both) => settings.printed(both),
  onEdit: (text) => void edit(text),
  onType: (typed) => emit('type', typed, false),
  onPaste: (like) => emit('paste', like),
  onGo: view.reveal,
})

/** Threads and states of each row, worked out once for a board and its sizes. */
const laid = computed(() => {
  const known = new Map<BoardRow, { drawing: Threads; now: BoardThread[] }>()
  const [edges, based, shots] = [lefts.value, props.based, props.board.shots]
  const { sizesOf } = view
  return (row: BoardRow) => {
    const found = known.get(row) ?? {
      drawing: threads(row, shots, based, edges, sizesOf(row), 'var(--ink)'),
      now: states(row, based),
    }
    known.set(row, found)
    return found
  }
})
const drawn = computed(() =>
  props.rows
    .slice(view.firstRow.value, view.lastRow.value)
    .map((row, k) => ({ row, index: view.firstRow.value + k, ...laid.value(row) })),
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
  const under = Math.max(0, sizes.value.head + view.scroll.value.left - left)
  return {
    left: `${left}px`,
    width: `${props.gap.width}px`,
    top: `${view.scroll.value.top}px`,
    height: `${view.size.value.height}px`,
    clipPath: under ? `inset(0 0 0 ${under}px)` : 'none',
  }
})

/** Over the cell that is typed into: a field of the board, not of a row, so that typing draws no row again. */
const typingStyle = computed(() => {
  const row = props.rows[at.value.row]
  if (!row) return {}
  return {
    left: `${sizes.value.head + lefts.value[at.value.column]! + 2}px`,
    top: `${headHeight.value + tops.value[at.value.row]! + view.heightOf(row) - 29}px`,
    width: `${sizes.value.column - 4}px`,
  }
})

watch(
  () => props.rows.length,
  (n) => n && at.value.row >= n && cells.go(n - 1, at.value.column),
)

async function edit(text?: string) {
  if (props.readonly || props.board.shots[at.value.column]?.stage === 'SHOT') return
  const row = props.rows[at.value.row]
  editing.value = text ?? (row ? cells.figures(row, at.value.column) : '')
  await nextTick()
  input.value?.focus()
  if (text === undefined) input.value?.select()
}

function keep() {
  const text = editing.value
  const row = props.rows[at.value.row]
  cancel()
  if (text !== undefined && row) emit('type', [{ row, column: at.value.column, text }], true)
}

function cancel() {
  editing.value = undefined
  scroller.value?.focus()
}
defineExpose({ edit, cancel, focus: () => scroller.value?.focus(), retype: (text: string) => edit(text) })
</script>

<template>
  <div
    ref="scroller"
    class="scroller relative h-full overflow-auto overscroll-contain"
    :class="{ compact }"
    tabindex="0"
    role="grid"
    aria-label="Carry board"
    :aria-rowcount="rows.length + 1"
    :aria-colcount="board.shots.length"
    :aria-activedescendant="`${id}-${at.row}-${at.column}`"
    aria-multiselectable="true"
    @scroll.passive="view.onScroll"
    @keydown="cells.onKey"
    @copy="cells.onCopy"
    @paste="cells.onPaste"
  >
    <div class="relative" :style="{ width: `${width}px`, height: `${headHeight + height}px` }">
      <div
        class="sticky top-0 z-4 bg-ground border-b border-line"
        :style="{ height: `${headHeight}px`, width: `${width}px` }"
        role="row"
      >
        <div class="corner sticky left-0 z-1 h-full py-2 px-3.5 bg-ground" :style="{ width: `${sizes.head}px` }">
          <b class="text-lead font-strong">Carry, scene {{ board.scene.number }}</b
          ><span class="block text-small text-quiet">in shooting order</span>
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
        :sizes="view.sizesOf(r.row)"
        :chosen="cells.chosenIn(r.index)"
        :at="at.row === r.index ? at.column : -1"
        :style="{ top: `${headHeight + tops[r.index]!}px`, height: `${view.heightOf(r.row)}px`, width: `${width}px` }"
        @choose="(column, extend) => cells.go(r.index, column, extend)"
        @edit="edit()"
      />
      <input
        v-if="editing !== undefined"
        ref="input"
        v-model="editing"
        class="typing absolute z-2 min-h-6.5 px-1.5 border-[1.6px] border-accent rounded-mark bg-ground text-ink figure"
        :style="typingStyle"
        :aria-label="`Type what ${rows[at.row]?.placement.name} has in ${board.shots[at.column]?.slate}`"
        autocomplete="off"
        spellcheck="false"
        @keydown.enter.stop.prevent="keep"
        @keydown.esc.stop.prevent="cancel"
        @keydown.stop
        @blur="cancel"
      />
      <div v-if="gap" class="absolute z-4" :style="gapStyle"><slot name="gap" /></div>
    </div>
  </div>
</template>

<style scoped>
.scroller:focus-visible {
  outline: none;
}
.scroller:focus-visible :deep(.cell.at) {
  outline-width: 2.4px;
}
.compact .corner {
  padding: 3px 12px;
}
</style>
