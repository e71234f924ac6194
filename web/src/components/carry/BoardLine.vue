<script setup lang="ts">
import { computed } from 'vue'
import type { Board, BoardRow, BoardThread } from '@/api/types'
import CheatFlag from '@/components/marks/CheatFlag.vue'
import { bar, cellAt, cellReason, cellWords, KNOT_X, laneY, type BoardSizes, type Threads } from '@/lib/board'
import { reasonName } from '@/lib/words'
import { useSettings } from '@/stores/settings'
import ThingMark from './ThingMark.vue'

/** One row of the carry board: a thing, its threads, and what is tied in each shot that is in sight. */
const props = defineProps<{
  /** What all rows share. */
  sheet: {
    board: Board
    based: number[]
    columns: number[]
    inSight: { left: number; width: number }
    lefts: number[]
    head: number
    column: number
    compact: boolean
    id: string
  }
  row: BoardRow
  index: number
  drawing: Threads
  now: BoardThread[]
  sizes: BoardSizes
  /** First and last column that are chosen, `2-4`, or nothing. */
  chosen: string
  /** The column that the keys are in, or −1. */
  at: number
}>()
defineEmits<{ choose: [column: number, extend: boolean]; edit: [] }>()
const settings = useSettings()

const camera = computed(() => props.row.placement.kind === 'CAMERA')
const shots = computed(() => props.sheet.board.shots)
const range = computed(() => (props.chosen ? props.chosen.split('-').map(Number) : [1, 0]) as [number, number])
const subtitle = computed(() => {
  const { name, piece } = props.row.placement
  return [piece.unit, piece.watts ? `${piece.watts} W` : piece.what].filter((part) => part && part !== name).join(', ')
})
const cells = computed(() =>
  props.sheet.columns
    .filter((c) => c < shots.value.length)
    .map((column) => {
      const cell = cellAt(props.row, column)
      const first = props.sheet.based[column]! < 0
      const words = cellWords(cell, props.now[column]!.state, first, settings.printed)
      const shot = shots.value[column]!
      const said = cell
        ? [words.figures, words.words].filter(Boolean).join(', ') || 'changed'
        : shot.basedOn
          ? `carries from ${shot.basedOn}`
          : 'nothing recorded'
      return {
        column,
        cell,
        first,
        words,
        reason: cell && !first ? cellReason(cell) : undefined,
        y: laneY(props.sizes, shot.lane),
        locked: shot.stage === 'SHOT',
        say: `${props.row.placement.name} in ${shot.slate}: ${said}`,
      }
    }),
)
const looks = computed(() =>
  props.sheet.columns
    .filter((c) => c >= shots.value.length)
    .map((column) => ({
      column,
      cell: props.sheet.board.looks[column - shots.value.length]!.cells.find(
        (l) => l.placement === props.row.placement.key,
      ),
    })),
)
</script>

<template>
  <div class="row" :class="{ compact: sheet.compact }" role="row" :aria-rowindex="index + 2">
    <div
      class="sticky left-0 z-3 flex items-center gap-2 h-full pr-2 pl-3.5 bg-ground border-r border-line"
      role="rowheader"
      :style="{ width: `${sheet.head}px` }"
    >
      <ThingMark v-if="!sheet.compact" :row="row" />
      <span v-else class="swatch" :style="{ background: row.swatch ?? 'transparent' }" />
      <span class="min-w-0">
        <b class="block truncate font-strong">{{ row.placement.name }}</b>
        <span v-if="!sheet.compact" class="block truncate text-fine text-quiet">{{ subtitle }}</span>
      </span>
    </div>
    <svg
      class="absolute z-1 top-0 pointer-events-none"
      :style="{ left: `${sheet.head + sheet.inSight.left}px` }"
      :width="sheet.inSight.width"
      height="100%"
      aria-hidden="true"
    >
      <g :transform="`translate(${-sheet.inSight.left} 0)`">
        <path v-for="(s, i) in drawing.segments.filter((line) => !line.faint)" :key="`u${i}`" :d="s.d" class="under" />
        <path
          v-for="(s, i) in drawing.segments"
          :key="i"
          :d="s.d"
          fill="none"
          :stroke="s.stroke"
          :stroke-width="s.width"
          :opacity="s.faint ? 0.4 : 1"
        />
        <path v-for="(b, i) in drawing.bars" :key="`b${i}`" :d="bar(b)" :stroke="b.stroke" stroke-width="2" />
      </g>
    </svg>
    <!-- The board has the focus and the keys; it names the cell that is at hand as its active descendant. -->
    <!-- eslint-disable-next-line vuejs-accessibility/click-events-have-key-events, vuejs-accessibility/interactive-supports-focus -->
    <div
      v-for="c in cells"
      :id="`${sheet.id}-${index}-${c.column}`"
      :key="c.column"
      class="cell absolute top-0 bottom-0 border-l border-line cursor-default"
      role="gridcell"
      :aria-colindex="c.column + 1"
      :aria-label="c.say"
      :aria-selected="c.column >= range[0] && c.column <= range[1]"
      :class="{ chosen: c.column >= range[0] && c.column <= range[1], at: at === c.column, locked: c.locked }"
      :style="{ left: `${sheet.head + sheet.lefts[c.column]!}px`, width: `${sheet.column}px` }"
      @click="$emit('choose', c.column, $event.shiftKey)"
      @dblclick="$emit('edit')"
    >
      <template v-if="c.cell && !c.first">
        <svg
          class="absolute z-2"
          :style="{ left: `${KNOT_X - 10}px`, top: `${c.y - 5.5}px` }"
          width="20"
          height="11"
          viewBox="-10 -5.5 20 11"
          aria-hidden="true"
        >
          <path
            d="M-8 0C-3 -4.5 3 -4.5 8 0C3 4.5 -3 4.5 -8 0Z"
            fill="var(--accent)"
            stroke="var(--ground)"
            stroke-width="2"
            paint-order="stroke"
          />
        </svg>
        <CheatFlag
          v-if="c.reason === 'CHEAT'"
          class="absolute z-2"
          :style="{ left: `${KNOT_X}px`, top: `${c.y - 18}px` }"
        />
        <span
          v-if="!sheet.compact && !camera"
          class="why absolute left-11 text-fine leading-[13px] text-quiet"
          :class="{ cheat: c.reason === 'CHEAT' }"
          :style="{ top: `${c.y - 16}px` }"
          >{{ reasonName(c.reason) }}</span
        >
      </template>
      <span
        v-if="c.cell"
        class="said absolute z-2 left-3 right-1 top-7.75"
        :class="{ tall: !sheet.compact, low: camera }"
      >
        <span class="figure block truncate">{{ c.words.figures || (sheet.compact ? c.words.words : '') }}</span>
        <span
          v-if="!sheet.compact && c.words.words && !(camera && c.words.figures)"
          class="block truncate text-fine"
          :class="{ 'text-quiet': c.words.figures }"
          >{{ c.words.words }}</span
        >
      </span>
    </div>
    <div
      v-for="l in looks"
      :key="`l${l.column}`"
      class="cell absolute top-0 bottom-0 border-l border-line cursor-default look"
      :style="{ left: `${sheet.head + sheet.lefts[l.column]!}px`, width: `${sheet.column}px` }"
    >
      <span v-if="l.cell" class="said absolute z-2 left-3 right-1 top-7.75 tall"
        ><span class="figure flex items-center gap-1.5 truncate"
          ><span v-if="l.cell.swatch" class="swatch" :style="{ background: l.cell.swatch }" />{{ l.cell.say }}</span
        ></span
      >
    </div>
  </div>
</template>

<style scoped>
.row {
  position: absolute;
  border-bottom: 1px solid var(--line);
  contain: layout style;
}
/* a pale thread would be lost on the daylight ground */
.under {
  fill: none;
  stroke: var(--thread-edge);
  stroke-width: 3.6;
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
.why.cheat {
  color: var(--accent);
}
.said.low {
  top: 25px;
}
.compact .said {
  left: 34px;
  top: 12px;
  font-size: var(--text-small);
  text-shadow: 0 0 3px var(--ground);
}
.said.tall {
  line-height: 15px;
}
</style>
