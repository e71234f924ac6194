<script setup lang="ts">
import { computed } from 'vue'
import { answer, api } from '@/api/client'
import type { CutPiece } from '@/api/types'
import { fixed } from '@/lib/print'
import { useBench } from '@/lib/useBench'
import BenchField from './BenchField.vue'
import BenchFrame from './BenchFrame.vue'

interface Picture {
  laid: CutPiece
  count: number
  sheet: [width: number, height: number]
  piece: [width: number, height: number]
  marginM: number
}
const PIECE = 'piece'
const { text, problems, problem, picture, stale } = useBench<Picture>({
  fields: () => ({
    pieceWidthM: { kind: 'LENGTH', start: '0.21 m' },
    pieceHeightM: { kind: 'LENGTH', start: '0.21 m' },
    count: { kind: 'NUMBER', start: '9' },
    sheetWidthM: { kind: 'LENGTH', start: '0.53 m' },
    sheetHeightM: { kind: 'LENGTH', start: '1.22 m' },
    marginM: { kind: 'LENGTH', start: '0.04 m' },
  }),
  draw: async (v) => {
    const body = {
      sheet: { widthM: v.sheetWidthM!, heightM: v.sheetHeightM! },
      pieces: [{ name: PIECE, widthM: v.pieceWidthM!, heightM: v.pieceHeightM!, count: v.count! }],
      marginM: v.marginM!,
    }
    const found = await answer(api.POST('/api/bench/cut', { body }))
    return {
      laid: found.pieces[0]!,
      count: v.count!,
      sheet: [v.sheetWidthM!, v.sheetHeightM!],
      piece: [v.pieceWidthM!, v.pieceHeightM!],
      marginM: v.marginM!,
    }
  },
})
const TALL = 320
/** The pieces on one sheet. */
const drawn = computed(() => {
  const p = picture.value
  if (!p) return undefined
  const scale = TALL / Math.max(...p.sheet)
  const { columns, rows, turned } = p.laid
  const [w, h] = turned ? [p.piece[1], p.piece[0]] : p.piece
  return {
    width: p.sheet[0] * scale,
    height: p.sheet[1] * scale,
    pieces: Array.from({ length: columns * rows }, (_, i) => ({
      x: (i % columns) * (w + p.marginM) * scale,
      y: Math.floor(i / columns) * (h + p.marginM) * scale,
      w: w * scale,
      h: h * scale,
    })),
  }
})
const summary = computed(() => {
  const p = picture.value
  return p
    ? `${p.count} pieces ${text.pieceWidthM} × ${text.pieceHeightM}: ${p.laid.sheets} sheets, ${p.laid.columns * p.laid.rows} from each`
    : ''
})
</script>

<template>
  <BenchFrame title="Cut from sheets" :stale="stale" :problem="problem" :summary="summary">
    <div v-if="picture && drawn" class="flex flex-wrap gap-8 px-4 py-3" data-found="cut">
      <svg
        :viewBox="`-2 -2 ${drawn.width + 4} ${drawn.height + 4}`"
        :width="drawn.width + 4"
        :height="drawn.height + 4"
        role="img"
        :aria-label="summary"
      >
        <rect :width="drawn.width" :height="drawn.height" class="sheet" />
        <rect v-for="(p, i) in drawn.pieces" :key="i" :x="p.x" :y="p.y" :width="p.w" :height="p.h" class="piece" />
      </svg>
      <div>
        <p class="text-title">{{ picture.laid.sheets }} <span class="unit">sheets</span></p>
        <p>
          <span class="figure">{{ drawn.pieces.length }}</span> from each
        </p>
        <p v-if="picture.laid.sheets">
          <span class="figure">{{ fixed(picture.laid.leftOver * 100, 0) }} %</span>
          <span class="text-quiet">is left over</span>
        </p>
        <p class="max-w-72 pt-2 text-small text-quiet">
          Model: all pieces lie one way round, upright or turned, whichever gives more; one that only just fits gives up
          its margin.
        </p>
      </div>
    </div>
    <template #fields>
      <slot />
      <BenchField v-model="text.pieceWidthM!" label="a piece is wide" unit="m" :problem="problems.pieceWidthM" />
      <BenchField v-model="text.pieceHeightM!" label="and high" unit="m" :problem="problems.pieceHeightM" />
      <BenchField v-model="text.count!" label="how many" :problem="problems.count" />
      <h3 class="group-title mt-3 mb-1">Sheet</h3>
      <BenchField v-model="text.sheetWidthM!" label="wide" unit="m" :problem="problems.sheetWidthM" />
      <BenchField v-model="text.sheetHeightM!" label="high" unit="m" :problem="problems.sheetHeightM" />
      <BenchField v-model="text.marginM!" label="margin" unit="m" :problem="problems.marginM" />
    </template>
  </BenchFrame>
</template>

<style scoped>
.sheet {
  fill: none;
  stroke: var(--quiet);
}
.piece {
  fill: var(--raised);
  stroke: var(--ink);
}
</style>
