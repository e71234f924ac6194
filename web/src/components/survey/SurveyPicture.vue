<script setup lang="ts">
import { computed, ref } from 'vue'
import type { SurveyTap } from '@/api/types'
import type { Tappable, UseSurveyReturn } from '@/lib/useSurvey'

/** A photograph that is tapped in: what is tapped, where the rest would be, and a loupe above the finger. */
const props = defineProps<{ survey: UseSurveyReturn }>()
const { photo, taps, landmarks, things, chosen, tap, move, takeOut } = props.survey
const LOUPE = 132
const LOUPE_ZOOM = 3
const ZOOMS = [1, 2, 4]
const FAR_PX = 10
const zoom = ref(1)
const frame = ref<HTMLDivElement>()
/** Where the finger is, and what it drags. */
const held = ref<{ x: number; y: number; u: number; v: number; of?: Tappable }>()

const all = computed(() => [...landmarks.value, ...things.value])
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
}
function moved(event: PointerEvent) {
  if (held.value) held.value = { ...under(event), of: held.value.of }
}
function up(event: PointerEvent) {
  if (!held.value) return
  const { of } = held.value
  const { u, v } = under(event)
  held.value = undefined
  if (of) move(of, u, v)
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
          :key="`${t.of.kind} ${t.of.key}`"
          class="expected"
          :class="{ thing: t.of.kind === 'placement' }"
          :style="place(t)"
          aria-hidden="true"
          ><i /><span>{{ t.of.name }}?</span></span
        >
        <button
          v-for="t in shown"
          :key="`${t.of.kind} ${t.of.key}`"
          class="tap"
          :class="{ thing: t.of.kind === 'placement', chosen: chosen?.key === t.of.key }"
          :style="place(held?.of?.key === t.of.key ? held! : t)"
          :aria-label="`${t.of.name}, tapped; arrow keys move it by a pixel, Delete takes it out`"
          @pointerdown.stop="down($event, t.of)"
          @keydown="nudge($event, t)"
        >
          <i /><span>{{ t.of.name }}</span>
        </button>
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
  color: #fff;
  font-size: var(--text-small);
  text-shadow:
    0 0 3px #000,
    0 0 2px #000;
}
.tap > span,
.expected > span {
  position: absolute;
  left: 9px;
  top: 5px;
  white-space: nowrap;
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
.tap.thing > i {
  border-radius: 50%;
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
.expected.thing > i {
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
