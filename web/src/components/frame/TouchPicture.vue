<script setup lang="ts">
import { computed, ref } from 'vue'
import { useSize } from '@/lib/useSize'
import IsostopLines from './IsostopLines.vue'

/** A picture with its lines and numbered points. A touch anywhere marks; with the keys a cross is moved and Enter marks. */
const props = defineProps<{
  src: string
  /** What lines are told in, dots. */
  width: number
  height: number
  lines: { stops: number; dots: number[] }[]
  /** For whoever does not see it, with what the keys do. */
  label: string
  points: { x?: number; y?: number; /** Its number stands on the other side. */ swapped?: boolean }[]
  chosen?: number
  coarse?: boolean
}>()
const emit = defineEmits<{ touch: [x: number, y: number]; choose: [index: number] }>()

const box = ref<HTMLElement>()
const size = useSize(box)
const scale = computed(() => (size.value.width || props.width) / props.width)
const wide = computed(() => props.width * scale.value)
const high = computed(() => props.height * scale.value)

const BESIDE = 22
const seen = computed(() =>
  props.points.flatMap((p, index) => {
    if (p.x === undefined || p.y === undefined) return []
    const x = p.x * wide.value
    const y = p.y * high.value
    // the number stands towards the middle of the picture, and above when another point is close
    const side = x > wide.value / 2 ? -1 : 1
    const beside = p.swapped ? -side : side
    return [{ index, x, y, textX: x + beside * BESIDE, textY: y - 14, beside }]
  }),
)

const STEP = 0.02
const cross = ref<{ x: number; y: number }>()
function within(v: number) {
  return Math.max(0.005, Math.min(0.995, v))
}
function move(dx: number, dy: number) {
  const from = cross.value ?? { x: 0.5, y: 0.5 }
  cross.value = { x: within(from.x + dx * STEP), y: within(from.y + dy * STEP) }
}
function touchCross() {
  if (!cross.value) move(0, 0)
  else emit('touch', cross.value.x, cross.value.y)
}
function touch(event: MouseEvent) {
  if (!event.detail) return touchCross() // by a key
  const on = box.value!.getBoundingClientRect()
  const x = (event.clientX - on.left) / on.width
  const y = (event.clientY - on.top) / on.height
  const REACH = 14
  const near = seen.value.find((p) => Math.hypot(p.x - x * on.width, p.y - y * on.height) < REACH)
  if (near) emit('choose', near.index)
  else emit('touch', within(x), within(y))
}
</script>

<template>
  <div ref="box" class="picture" :style="{ aspectRatio: `${width} / ${height}` }">
    <img :src="src" :class="{ coarse }" alt="" draggable="false" />
    <svg :viewBox="`0 0 ${wide} ${high}`" aria-hidden="true">
      <slot name="under" :scale="scale" />
      <IsostopLines :lines="lines" :scale="scale" />
      <g v-for="p in seen" :key="p.index" class="point" :class="{ chosen: p.index === chosen }">
        <path :d="`M${p.x + p.beside * 4},${p.y - 3}L${p.textX - p.beside * 6},${p.textY}`" />
        <circle :cx="p.x" :cy="p.y" r="4.6" />
        <text :x="p.textX" :y="p.textY + 5" text-anchor="middle">{{ p.index + 1 }}</text>
      </g>
      <path
        v-if="cross"
        class="cross"
        :d="`M${cross.x * wide - 9},${cross.y * high}h18M${cross.x * wide},${cross.y * high - 9}v18`"
      />
    </svg>
    <button
      class="over"
      :aria-label="label"
      @click="touch"
      @keydown.left.prevent="move(-1, 0)"
      @keydown.right.prevent="move(1, 0)"
      @keydown.up.prevent="move(0, -1)"
      @keydown.down.prevent="move(0, 1)"
      @blur="cross = undefined"
    />
  </div>
</template>

<style scoped>
.picture {
  position: relative;
  background: #08090a;
  overflow: hidden;
  touch-action: manipulation;
}
.over {
  position: absolute;
  inset: 0;
  width: 100%;
  cursor: crosshair;
}
img,
svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}
.coarse {
  image-rendering: pixelated;
}
.point path,
.point circle {
  fill: none;
  stroke: #e6e3dc;
  stroke-width: 1.5;
  paint-order: stroke;
}
.point circle {
  fill: rgb(16 18 20 / 0.35);
}
.point text {
  font-family: var(--font-sans);
  font-size: var(--text-figure);
  font-weight: var(--font-weight-strong);
  fill: #e6e3dc;
  stroke: #101214;
  stroke-width: 3px;
  paint-order: stroke;
}
.point.chosen path,
.point.chosen circle {
  stroke: #d8e08a;
  stroke-width: 2;
}
.point.chosen text {
  fill: #d8e08a;
}
.cross {
  stroke: #d8e08a;
  stroke-width: 1.5;
  fill: none;
}
</style>
