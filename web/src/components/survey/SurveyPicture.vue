<script setup lang="ts">
import { computed, ref } from 'vue'
import type { SurveyTap } from '@/api/types'
import { placeLabels } from '@/lib/labels'
import { useSize } from '@/lib/useSize'
import type { Tappable, UseSurveyReturn } from '@/lib/useSurvey'

/** A photograph that is tapped in: what is tapped, where the rest would be, and a loupe above the finger. */
const props = defineProps<{ survey: UseSurveyReturn }>()
const { photo, taps, landmarks, things, aims, chosen, isChosen, tap, tapOf, move, takeOut } = props.survey
const LOUPE = 132
const LOUPE_ZOOM = 3
const ZOOMS = [1, 2, 4]
const FAR_PX = 10
/** px of the picture that a name's letter and line take, and a mark. */
const LETTER_PX = 6.6
const LINE_PX = 16
const MARK_PX = 10
const zoom = ref(1)
const frame = ref<HTMLDivElement>()
/** A finger that moves less puts a point, and drags none, px. */
const STILL_PX = 5
/** Where the finger is, and what it drags, and whether it moved. */
const held = ref<{ x: number; y: number; u: number; v: number; of?: Tappable; drags?: boolean }>()
let from = { x: 0, y: 0 }

const all = computed(() => [...landmarks.value, ...things.value, ...aims.value])
const named = (of: SurveyTap) => all.value.find((t) => of[t.kind] === t.key)
const shown = computed(() => taps.value.flatMap((t) => (named(t) ? [{ ...t, of: named(t)! }] : [])))
const expected = computed(() =>
  (photo.value?.expected ?? []).flatMap((t) =>
    named(t) && !shown.value.some((s) => s.of.key === named(t)!.key && s.of.kind === named(t)!.kind)
      ? [{ ...t, of: named(t)! }]
      : [],
  ),
)
const src = computed(() => (photo.value ? `/api/notes/${photo.value.id}/photo` : undefined))
const size = useSize(frame)
const keyOf = (of: Tappable) => `${of.kind} ${of.key}`
/** Names where they cover no other; what finds no room is told by its mark alone, and by its own name when it is chosen. */
const names = computed(() => {
  const { width, height } = size.value
  const all = [
    ...shown.value.map((t) => ({ ...t, text: t.of.name, needed: true })),
    ...expected.value.map((t) => ({ ...t, text: `${t.of.name}?`, needed: false })),
  ]
  const placed = placeLabels(
    all.map((t) => ({
      key: keyOf(t.of),
      at: { x: (t.u / photo.value!.widthPx) * width, y: (t.v / photo.value!.heightPx) * height },
      clear: { x: MARK_PX, y: MARK_PX },
      width: LETTER_PX * t.text.length,
      height: LINE_PX,
      needed: t.needed,
    })),
    [],
    { left: 0, top: 0, right: width, bottom: height },
  )
  return all.flatMap((t) => {
    const at = placed.get(keyOf(t.of))
    if (!at) return []
    const x = at.anchor === 'start' ? { left: `${at.x}px` } : { right: `${width - at.x}px` }
    return [{ key: keyOf(t.of), text: t.text, isExpected: !t.needed, style: { top: `${at.y}px`, ...x } }]
  })
})
const place = (t: { u: number; v: number }) => ({
  left: `${(100 * t.u) / photo.value!.widthPx}%`,
  top: `${(100 * t.v) / photo.value!.heightPx}%`,
})

function under(event: PointerEvent) {
  const box = frame.value!.getBoundingClientRect()
  const x = event.clientX - box.left
  const y = event.clientY - box.top
  return { x, y, u: (x / box.width) * photo.value!.widthPx, v: (y / box.height) * photo.value!.heightPx }
}
function down(event: PointerEvent, of?: Tappable) {
  if (event.button !== 0) return
  frame.value!.setPointerCapture(event.pointerId)
  held.value = { ...under(event), of }
  from = held.value
}
function moved(event: PointerEvent) {
  if (!held.value) return
  const now = under(event)
  const drags = held.value.drags || Math.hypot(now.x - from.x, now.y - from.y) > STILL_PX
  held.value = { ...now, of: held.value.of, drags }
}
/** What stands close to what is tapped already is put, not the other moved. */
function up(event: PointerEvent) {
  if (!held.value) return
  const { of, drags } = held.value
  const { u, v } = under(event)
  held.value = undefined
  if (of && drags) move(of, u, v)
  else if (of && (!chosen.value || tapOf(chosen.value))) chosen.value = of
  else tap(u, v)
}
function nudge(event: KeyboardEvent, t: SurveyTap & { of: Tappable }) {
  const by = event.shiftKey ? FAR_PX : 1
  const [du, dv] = { ArrowLeft: [-by, 0], ArrowRight: [by, 0], ArrowUp: [0, -by], ArrowDown: [0, by] }[event.key] ?? []
  if (du !== undefined && dv !== undefined) {
    event.preventDefault()
    move(t.of, t.u + du, t.v + dv)
  } else if (event.key === 'Delete' || event.key === 'Backspace') {
    event.preventDefault()
    takeOut(t.of)
  }
}
const loupe = computed(() => {
  if (!held.value || !frame.value) return undefined
  const { x, y } = held.value
  const box = frame.value.getBoundingClientRect()
  const above = y > LOUPE + 24
  return {
    left: `${Math.min(Math.max(x - LOUPE / 2, 0), box.width - LOUPE)}px`,
    top: `${above ? y - LOUPE - 24 : y + 36}px`,
    backgroundImage: `url(${src.value})`,
    backgroundSize: `${box.width * LOUPE_ZOOM}px ${box.height * LOUPE_ZOOM}px`,
    backgroundPosition: `${LOUPE / 2 - x * LOUPE_ZOOM}px ${LOUPE / 2 - y * LOUPE_ZOOM}px`,
  }
})
</script>

<template>
  <div v-if="photo" class="flex min-h-0 flex-col">
    <div class="min-h-0 flex-1 overflow-auto" tabindex="-1">
      <!-- What is tapped can be moved by the keys of each point; a new one can be put by the list beside it. -->
      <!-- eslint-disable-next-line vuejs-accessibility/no-static-element-interactions -->
      <div
        ref="frame"
        class="picture relative touch-none select-none"
        :style="{ width: `${zoom * 100}%`, aspectRatio: `${photo.widthPx} / ${photo.heightPx}` }"
        @pointerdown="down($event)"
        @pointermove="moved"
        @pointerup="up"
        @pointercancel="held = undefined"
      >
        <img
          class="absolute inset-0 h-full w-full"
          :src="src"
          :alt="`Photograph ${photo.text || photo.id}`"
          draggable="false"
        />
        <span
          v-for="t in expected"
          :key="keyOf(t.of)"
          class="expected"
          :class="t.of.kind"
          :style="place(t)"
          aria-hidden="true"
          ><i
        /></span>
        <button
          v-for="t in shown"
          :key="keyOf(t.of)"
          class="tap"
          :class="[t.of.kind, { chosen: isChosen(t.of) }]"
          :style="place(held?.drags && held.of && t.of.key === held.of.key && t.of.kind === held.of.kind ? held : t)"
          :aria-label="`${t.of.name}, tapped; arrow keys move it by a pixel, Delete takes it out`"
          @pointerdown.stop="down($event, t.of)"
          @keydown="nudge($event, t)"
        >
          <i />
        </button>
        <span
          v-for="n in names"
          :key="n.key"
          class="name"
          :class="{ 'opacity-75': n.isExpected }"
          :style="n.style"
          aria-hidden="true"
          >{{ n.text }}</span
        >
        <div v-if="loupe" class="loupe" :style="loupe" aria-hidden="true" />
      </div>
    </div>
    <div class="flex items-center gap-2 py-2">
      <span class="text-quiet">Zoom</span>
      <button
        v-for="z in ZOOMS"
        :key="z"
        class="button"
        :class="{ 'button-main': zoom === z }"
        :aria-pressed="zoom === z"
        @click="zoom = z"
      >
        {{ z }}×
      </button>
      <slot />
    </div>
  </div>
</template>

<style scoped>
.picture {
  cursor: crosshair;
}
.tap,
.expected {
  position: absolute;
  width: 0;
  height: 0;
}
.name {
  position: absolute;
  line-height: 16px;
  white-space: nowrap;
  pointer-events: none;
  color: #fff;
  font-size: var(--text-small);
  text-shadow:
    0 0 3px #000,
    0 0 2px #000;
}
.tap > i {
  position: absolute;
  left: -9px;
  top: -9px;
  width: 18px;
  height: 18px;
  border: 2px solid #fff;
  box-shadow: 0 0 0 1px #000;
}
.tap > i::after {
  content: '';
  position: absolute;
  left: 6px;
  top: 6px;
  width: 2px;
  height: 2px;
  background: #fff;
}
.tap.placement > i {
  border-radius: 50%;
}
.tap.aimOf > i {
  transform: rotate(45deg) scale(0.8);
}
.tap.chosen > i,
.tap:focus-visible > i {
  border-color: var(--accent);
}
.tap:focus-visible {
  outline: none;
}
.expected {
  opacity: 0.75;
  pointer-events: none;
}
.expected > i {
  position: absolute;
  left: -7px;
  top: -7px;
  width: 14px;
  height: 14px;
  border: 1.5px dashed #fff;
}
.expected.placement > i {
  border-radius: 50%;
}
.loupe {
  position: absolute;
  z-index: 5;
  width: 132px;
  height: 132px;
  border: 2px solid var(--accent);
  background-repeat: no-repeat;
  background-color: #000;
  pointer-events: none;
}
.loupe::before,
.loupe::after {
  content: '';
  position: absolute;
  background: var(--accent);
}
.loupe::before {
  left: 50%;
  top: 30%;
  width: 1px;
  height: 40%;
}
.loupe::after {
  top: 50%;
  left: 30%;
  height: 1px;
  width: 40%;
}
</style>
