<script setup lang="ts">
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import type { PatchedLight, PatchPage } from '@/api/types'
import { usePointerDrag } from '@/lib/usePointerDrag'
import { useSize } from '@/lib/useSize'
import { footprints, overlapped, placed, SLOTS, type Footprint } from '@/lib/universeStrip'

/**
 * A universe: the whole of it as a narrow band with a window on it, and under that the strip as seen through the window. A footprint is
 * dragged along the strip, or moved with the arrows; it is kept when it is let go, or with Enter.
 */
const props = defineProps<{
  universe: PatchPage['universes'][number]
  lights: PatchedLight[]
  swatches: Record<string, string | undefined>
  locked: boolean
  marked?: string
}>()
const emit = defineEmits<{ move: [light: PatchedLight, address: number]; choose: [key: string] }>()

const SLOT = 7
const LANE = 15
const LANES = 2
const TOP = LANES * LANE + 4
const TALL = 26
const LETTER = 6.6
const scroller = ref<HTMLElement>()
const band = ref<SVGSVGElement>()
const visibleSlots = ref({ from: 0, width: 100 })
/** A footprint in hand, and where it would stand. */
const inHand = ref<{ key: string; first: number }>()

const all = computed(() => footprints(props.lights, props.universe.universe, SLOT, LETTER, LANES))
const first = (f: Footprint) => (inHand.value?.key === f.light.key ? inHand.value.first : f.first)
const clash = (f: Footprint) => overlapped(all.value, f, first(f))
const taken = computed(() => SLOTS - props.universe.left)
const said = computed(() => `${taken.value} slots taken, ${props.universe.left} free`)

function look() {
  const s = scroller.value
  if (s) visibleSlots.value = { from: s.scrollLeft / SLOT, width: s.clientWidth / SLOT }
}
watch(useSize(scroller), look)
onMounted(async () => {
  await nextTick()
  const start = all.value[0]
  if (start && scroller.value) scroller.value.scrollLeft = Math.max(0, (start.first - 6) * SLOT)
  look()
})
watch(
  () => props.marked,
  (key) => {
    const f = all.value.find((one) => one.light.key === key)
    const seen = f && f.first >= visibleSlots.value.from && f.last <= visibleSlots.value.from + visibleSlots.value.width
    if (f && !seen && scroller.value)
      scroller.value.scrollLeft = Math.max(0, (f.first - 1) * SLOT - scroller.value.clientWidth / 3)
  },
)

const slide = usePointerDrag({ element: () => band.value, onMove: ({ at }) => lookAt(at.x) })
function lookAt(x: number) {
  const box = band.value?.getBoundingClientRect()
  if (!box || !scroller.value) return
  scroller.value.scrollLeft = (x / box.width) * SLOTS * SLOT - scroller.value.clientWidth / 2
}
function pressBand(event: PointerEvent) {
  lookAt(event.offsetX)
  slide(event, undefined)
}

const drag = usePointerDrag<{ footprint: Footprint; scrolled: number }>({
  element: () => undefined,
  onMove({ at, from, grip: { footprint: f, scrolled } }) {
    const by = (at.x - from.x + (scroller.value?.scrollLeft ?? 0) - scrolled) / SLOT
    if (inHand.value || Math.abs(by) >= 1)
      inHand.value = { key: f.light.key, first: placed(f.first + by, f.light.slots) }
  },
  onEnd({ grip }, cancelled) {
    if (cancelled) inHand.value = undefined
    else keep(grip.footprint)
  },
})
function grab(event: PointerEvent, f: Footprint) {
  emit('choose', f.light.key)
  if (!props.locked) drag(event, { footprint: f, scrolled: scroller.value?.scrollLeft ?? 0 })
}

function keep(f: Footprint) {
  const to = inHand.value?.first
  inHand.value = undefined
  if (to !== undefined && to !== f.first) emit('move', f.light, to)
}

function key(event: KeyboardEvent, f: Footprint) {
  const step = { ArrowLeft: -1, ArrowRight: 1 }[event.key]
  if (step && !props.locked) {
    event.preventDefault()
    inHand.value = { key: f.light.key, first: placed(first(f) + step * (event.shiftKey ? 10 : 1), f.light.slots) }
  } else if (event.key === 'Enter') {
    event.preventDefault()
    keep(f)
  } else if (event.key === 'Escape') inHand.value = undefined
}
</script>

<template>
  <section class="universe pt-2.5 pb-1 px-4 border-b border-line" :aria-label="`Universe ${universe.universe}`">
    <h2>
      <span class="figure text-large">{{ universe.universe }}</span>{{ ' ' }}
      <span class="text-quiet"
        >universe, {{ said }};
        {{ universe.carriedBy.length ? `carried by ${universe.carriedBy.join(', ')}` : 'carried by no node' }}</span
      >
    </h2>
    <svg
      ref="band"
      class="band block w-full h-3.5 mt-1 cursor-pointer touch-none pointer-coarse:h-7"
      :viewBox="`0 0 ${SLOTS} 10`"
      preserveAspectRatio="none"
      aria-hidden="true"
      @pointerdown="pressBand"
    >
      <rect width="512" height="10" class="free" />
      <rect
        v-for="f in all"
        :key="f.light.key"
        :x="first(f) - 1"
        y="1"
        :width="f.last - f.first + 1"
        height="8"
        class="block"
        :style="{ fill: swatches[f.light.key] }"
      />
      <rect
        v-if="all.length"
        :x="visibleSlots.from"
        y="0"
        :width="Math.min(visibleSlots.width, SLOTS)"
        height="10"
        class="window"
        vector-effect="non-scaling-stroke"
      />
    </svg>
    <div v-if="all.length" ref="scroller" class="strip sideways" @scroll.passive="look">
      <svg
        :width="SLOTS * SLOT + 12"
        :height="TOP + TALL + 22"
        class="drawing"
        role="group"
        :aria-label="`Footprints in universe ${universe.universe}`"
      >
        <rect :y="TOP" :width="SLOTS * SLOT" :height="TALL" class="free" />
        <template v-for="n in 52" :key="n">
          <line
            :x1="(n - 1) * 10 * SLOT"
            :x2="(n - 1) * 10 * SLOT"
            :y1="TOP + TALL"
            :y2="TOP + TALL + 5"
            class="notch"
          />
          <text :x="(n - 1) * 10 * SLOT" :y="TOP + TALL + 17" class="tick">{{ (n - 1) * 10 + 1 }}</text>
        </template>
        <line :x1="SLOTS * SLOT" :x2="SLOTS * SLOT" :y1="TOP - 6" :y2="TOP + TALL + 6" class="end" />
        <g
          v-for="f in all"
          :key="f.light.key"
          class="footprint"
          :class="{ locked, here: marked === f.light.key, clash: clash(f).length, past: f.last > SLOTS }"
          role="button"
          tabindex="0"
          :aria-label="`${f.light.name}, slots ${first(f)} to ${first(f) + f.last - f.first}${clash(f).length ? `, shares slots with ${clash(f).join(', ')}` : ''}`"
          :transform="`translate(${(first(f) - 1) * SLOT} 0)`"
          @pointerdown="grab($event, f)"
          @keydown="key($event, f)"
          @blur="inHand = undefined"
          @focus="emit('choose', f.light.key)"
        >
          <line x1="1" x2="1" :y1="f.lane * LANE + 6" :y2="TOP" class="stem" />
          <text x="4" :y="f.lane * LANE + 11">
            {{ f.light.name }}
            <tspan v-if="inHand?.key === f.light.key" class="figure">{{ first(f) }}</tspan>
          </text>
          <rect
            x="0.5"
            :y="TOP + 2.5"
            :width="(f.last - f.first + 1) * SLOT - 1"
            :height="TALL - 5"
            class="block"
            rx="2"
            :style="{ fill: swatches[f.light.key] }"
          />
          <rect
            v-if="clash(f).length"
            x="2"
            :y="TOP + 4"
            :width="(f.last - f.first + 1) * SLOT - 4"
            height="4"
            class="shared"
          />
          <line
            v-for="n in f.last - f.first"
            :key="n"
            :x1="n * SLOT"
            :x2="n * SLOT"
            :y1="TOP + TALL - 8"
            :y2="TOP + TALL - 3"
            class="cut"
          />
          <rect
            x="0"
            :y="f.lane * LANE"
            :width="Math.max((f.last - f.first + 1) * SLOT, 24)"
            :height="TOP + TALL - f.lane * LANE"
            fill="transparent"
          />
        </g>
      </svg>
    </div>
  </section>
</template>

<style scoped>
.free {
  fill: var(--floor);
}
.band .block {
  fill: var(--quiet);
}
.window {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.4;
}
.strip {
  overflow-x: auto;
  scrollbar-width: thin;
}
.notch,
.end {
  stroke: var(--set);
}
.end {
  stroke-width: 2;
}
.stem {
  stroke: var(--set);
}
.footprint {
  cursor: grab;
  outline: none;
}
.footprint.locked {
  cursor: default;
}
.footprint .block {
  fill: var(--raised);
  stroke: var(--ink);
}
.footprint .cut {
  stroke: var(--ground);
  opacity: 0.6;
}
.footprint.here .block,
.footprint:focus-visible .block {
  stroke: var(--accent);
  stroke-width: 2;
}
.footprint.here text {
  fill: var(--accent);
}
.footprint.clash .block,
.footprint.past .block {
  fill-opacity: 0.55;
  stroke-width: 2;
  stroke-dasharray: 4 3;
}
.shared {
  fill: var(--ground);
}
</style>
