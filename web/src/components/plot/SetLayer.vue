<script setup lang="ts">
import { computed } from 'vue'
import type { SetPlan } from '@/api/types'
import { bounds, gap, path, toPx, type View } from '@/lib/screen'
import { isClosed, wallPoints } from '@/lib/set'

/** The set itself: floor, walls, openings, furniture, landmarks, and metres to judge by. */
const props = defineProps<{ set: SetPlan; view: View; /** Landmarks that are named already. */ named?: string[] }>()

const WALL_M = 0.12
const METRE_WORDS_FROM = 26
const WORDS_FROM = 45
const WORD_PX = 16

/** Whether there is room for words among the lines. */
const roomy = computed(() => props.view.scale >= WORDS_FROM)
const walls = computed(() => props.set.walls.map((w) => w.points.map((p) => toPx(props.view, p))))
const rooms = computed(() => props.set.walls.flatMap((w, i) => (isClosed(w.points) ? [walls.value[i] ?? []] : [])))
const centre = computed(() => {
  const b = bounds(wallPoints(props.set))
  return toPx(props.view, { xM: (b.left + b.right) / 2, yM: (b.bottom + b.top) / 2 })
})
const openings = computed(() =>
  props.set.openings.map((o) => {
    const from = toPx(props.view, o.from)
    const to = toPx(props.view, o.to)
    const width = gap(from, to)
    const ux = (to.x - from.x) / (width || 1)
    const uy = (to.y - from.y) / (width || 1)
    const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 }
    // the word stands on the room's side of the wall
    const inward = (centre.value.x - middle.x) * -uy + (centre.value.y - middle.y) * ux > 0 ? WORD_PX : -WORD_PX
    return { ...o, from, to, width, ux, uy, word: { x: middle.x - uy * inward, y: middle.y + ux * inward + 4 } }
  }),
)
const furniture = computed(() =>
  props.set.furniture.map((f) => {
    const points = f.outline.map((p) => toPx(props.view, p))
    const b = bounds(f.outline)
    const tall = b.top - b.bottom > b.right - b.left
    const middle = toPx(props.view, { xM: (b.left + b.right) / 2, yM: (b.bottom + b.top) / 2 })
    return { name: f.name, d: path(points), middle, tall }
  }),
)
const underlay = computed(() => {
  const u = props.set.underlay
  if (!u) return undefined
  const corner = toPx(props.view, u.corner)
  const width = u.widthPx * u.metresPerPx * props.view.scale
  const height = u.heightPx * u.metresPerPx * props.view.scale
  return { href: `/api/pictures/${u.picture}`, x: corner.x, y: corner.y - height, width, height }
})
const RESTRICTED = {
  NO_STANDS: 'no stands',
  NO_HAZE: 'no haze',
  LOAD_LIMIT: 'load limit',
  QUIET: 'quiet',
  OTHER: 'mind',
}
const restrictions = computed(() =>
  (props.set.restrictions ?? [])
    .filter((r) => r.outline.length)
    .map((r, i) => {
      const b = bounds(r.outline)
      const corner = toPx(props.view, { xM: b.left, yM: b.top })
      return {
        key: i,
        d: path(r.outline.map((p) => toPx(props.view, p))),
        at: corner,
        words: `${RESTRICTED[r.kind]}: ${r.note}`,
        short: RESTRICTED[r.kind],
      }
    }),
)
/** Two that are close together share the room: the second is left to the list beside the plan. */
const landmarks = computed(() => {
  const all = props.set.landmarks.map((l) => ({ name: l.name, at: toPx(props.view, l.point), worded: true }))
  all.forEach(
    (l, i) =>
      (l.worded = !all
        .slice(0, i)
        .some(
          (o) =>
            o.worded &&
            Math.abs(o.at.y - l.at.y) < 14 &&
            Math.abs(o.at.x - l.at.x) < Math.max(o.name.length, l.name.length) * 6.2,
        )),
  )
  return all
})
const extent = computed(() => bounds([...wallPoints(props.set), ...props.set.landmarks.map((l) => l.point)]))
const crosses = computed(() => {
  if (props.view.scale < 14) return ''
  let d = ''
  for (let x = Math.ceil(extent.value.left); x <= extent.value.right; x++)
    for (let y = Math.ceil(extent.value.bottom); y <= extent.value.top; y++) {
      const p = toPx(props.view, { xM: x, yM: y })
      d += `M${p.x - 2},${p.y}h4M${p.x},${p.y - 2}v4`
    }
  return d
})
const metres = computed(() => {
  const span = bounds(wallPoints(props.set))
  const every = props.view.scale < METRE_WORDS_FROM ? 5 : 1
  const across: { key: string; x: number; y: number; text: string }[] = []
  const base = toPx(props.view, { xM: span.left, yM: span.bottom })
  for (let x = Math.ceil(span.left); x <= span.right; x += every)
    across.push({ key: `x${x}`, x: toPx(props.view, { xM: x, yM: 0 }).x, y: base.y + 24, text: String(x) })
  for (let y = Math.ceil(span.bottom); y <= span.top; y += every)
    across.push({ key: `y${y}`, x: base.x - 20, y: toPx(props.view, { xM: 0, yM: y }).y + 4, text: String(y) })
  return across
})
</script>

<template>
  <g class="set">
    <defs
      ><pattern id="restricted" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"
        ><path d="M0,0V7" stroke="var(--quiet)" stroke-width="1" /></pattern
    ></defs>
    <path v-for="(room, i) in rooms" :key="`f${i}`" :d="path(room)" fill="var(--floor)" />
    <image v-if="underlay" v-bind="underlay" preserveAspectRatio="none" class="underlay" />
    <path :d="crosses" stroke="var(--line)" />
    <g v-for="r in restrictions" :key="`r${r.key}`">
      <path :d="r.d" fill="url(#restricted)" fill-opacity=".55" stroke="var(--quiet)" stroke-dasharray="2 3" />
      <text v-if="roomy" :x="r.at.x + 4" :y="r.at.y + 13" class="word">{{ r.short }}</text>
      <title>{{ r.words }}</title>
    </g>
    <path v-for="f in furniture" :key="f.name" :d="f.d" fill="none" stroke="var(--set)" stroke-width="1.2" />
    <path
      v-for="(w, i) in walls"
      :key="`w${i}`"
      :d="path(w, false)"
      fill="none"
      stroke="var(--wall)"
      :stroke-width="Math.max(3, WALL_M * view.scale)"
      stroke-linejoin="miter"
      stroke-linecap="square"
    />
    <g v-for="o in openings" :key="o.name">
      <path
        :d="path([o.from, o.to], false)"
        stroke="var(--ground)"
        :stroke-width="Math.max(3, WALL_M * view.scale) + 1"
      />
      <g v-if="o.kind === 'WINDOW'" stroke="var(--set)" stroke-width="1.2">
        <path
          v-for="side in [-1, 1]"
          :key="side"
          :d="`M${o.from.x - o.uy * 2.5 * side},${o.from.y + o.ux * 2.5 * side}L${o.to.x - o.uy * 2.5 * side},${o.to.y + o.ux * 2.5 * side}`"
        />
      </g>
      <g v-else fill="none" stroke="var(--set)" stroke-width="1.2">
        <path :d="`M${o.to.x},${o.to.y}L${o.to.x + o.uy * o.width},${o.to.y - o.ux * o.width * -1}`" />
        <path
          :d="`M${o.from.x},${o.from.y}A${o.width},${o.width} 0 0 0 ${o.to.x + o.uy * o.width},${o.to.y + o.ux * o.width}`"
          stroke-dasharray="1.5 4"
        />
      </g>
      <text :x="o.word.x" :y="o.word.y" text-anchor="middle" class="word">{{ o.name }}</text>
    </g>
    <text
      v-for="f in roomy ? furniture : []"
      :key="`t${f.name}`"
      class="word"
      text-anchor="middle"
      dominant-baseline="middle"
      :transform="`translate(${f.middle.x} ${f.middle.y}) rotate(${f.tall ? -90 : 0})`"
      >{{ f.name }}</text
    >
    <g v-for="l in landmarks" :key="l.name" :transform="`translate(${l.at.x} ${l.at.y})`">
      <rect x="-4.5" y="-4.5" width="9" height="9" fill="var(--ground)" stroke="var(--quiet)" stroke-width="1.2" />
      <path d="M-4.5 4.5L4.5 -4.5" stroke="var(--quiet)" stroke-width="1.2" />
      <text v-if="roomy && l.worded && !named?.includes(l.name)" x="8" y="-7" class="word">{{ l.name }}</text>
    </g>
    <text v-for="m in metres" :key="m.key" :x="m.x" :y="m.y" text-anchor="middle" class="word figure">{{
      m.text
    }}</text>
  </g>
</template>

<style scoped>
.word {
  font-size: var(--text-fine);
  fill: var(--set-words);
}
.set {
  pointer-events: none;
}
.underlay {
  opacity: 0.45;
}
</style>
