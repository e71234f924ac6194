<script setup lang="ts">
import { computed, onBeforeUnmount, shallowRef, ref, watch } from 'vue'
import { answer, api } from '@/api/client'
import type { Landing } from '@/api/types'
import FigureField from '@/components/fields/FigureField.vue'
import StopsText from '@/components/marks/StopsText.vue'
import { signed } from '@/lib/print'
import { tenths } from '@/lib/stops'
import { useLatest } from '@/lib/useLatest'
import type { Pointed } from '@/lib/usePointed'
import { useLight } from '@/stores/light'
import { useSettings } from '@/stores/settings'

/** Where the light lands: what falls on a place that is pointed at, and of which source. It follows what is tried and dragged. */
const props = defineProps<{ shotId: number; at: Pointed }>()
const emit = defineEmits<{ close: []; point: [at: Pointed] }>()
const MOST = 5
const light = useLight()
const settings = useSettings()
const landing = shallowRef<Landing>()
const problem = ref('')

const latest = useLatest({
  send: (body: typeof light.question & Pointed) =>
    answer(api.POST('/api/shots/{shotId}/light/at', { params: { path: { shotId: props.shotId } }, body })),
  onAnswer: (now) => {
    landing.value = now
    problem.value = ''
  },
  onRefused: (refusal) => (problem.value = refusal.message),
})
watch([() => props.at, () => light.answer], () => latest.ask({ ...light.question, ...props.at }), { immediate: true })
onBeforeUnmount(latest.stop)

const ON = {
  FLOOR: 'On the floor',
  FURNITURE: 'On',
  WALL: 'On the wall',
  AIR: 'In the air, turned to the lens',
} as const
const heading = computed(() => {
  const l = landing.value
  return l ? [ON[l.on], l.name].filter(Boolean).join(' ') : 'Where it lands'
})
const far = computed(() => (props.at.heightM === undefined ? landing.value?.zM : props.at.heightM))
</script>

<template>
  <section
    class="card absolute w-64 flex flex-col gap-0.5 bg-panel border border-line rounded-mark p-2"
    aria-label="Where the light lands"
  >
    <header class="flex items-baseline gap-2">
      <h2 class="grow font-strong">{{ heading }}</h2>
      <button class="button !px-2" aria-label="Close where the light lands" @click="emit('close')">×</button>
    </header>
    <div class="where grid grid-cols-3 gap-1 text-fine text-quiet">
      <FigureField
        label="right"
        kind="LENGTH"
        :value="landing?.xM ?? at.xM"
        @read="emit('point', { ...at, xM: $event ?? at.xM })"
      />
      <FigureField
        label="up"
        kind="LENGTH"
        :value="landing?.yM ?? at.yM"
        @read="emit('point', { ...at, yM: $event ?? at.yM })"
      />
      <FigureField
        label="high"
        kind="LENGTH"
        :value="far"
        when-empty="what is there"
        @read="emit('point', { ...at, heightM: $event })"
      />
    </div>
    <p v-if="problem" role="alert" class="text-small">{{ problem }}</p>
    <template v-else-if="landing">
      <p class="mt-1 flex items-center gap-2" role="status">
        <span class="swatch" :style="{ background: landing.light.swatch ?? '#000000' }" />
        <span class="figure">{{ settings.printed(landing.lux) }}</span>
        <span v-if="landing.light.overStops !== undefined" class="figure"
          >{{ tenths(landing.light.overStops) }}<span class="unit">stop</span></span
        >
        <span v-if="landing.stop" class="figure ml-auto"><StopsText :text="landing.stop" /></span>
      </p>
      <p class="figure text-quiet">
        <template v-if="landing.light.kelvin"
          >{{ Math.round(landing.light.kelvin) }} K {{ signed(landing.light.duv ?? 0, 3) }}</template
        >
        <template v-else>{{ landing.from.length ? 'a colour, no white' : 'dark' }}</template>
      </p>
      <ol class="from mt-0.5">
        <li v-for="s in landing.from.slice(0, MOST)" :key="s.key" class="flex items-baseline gap-2">
          <span class="grow truncate">{{ s.name }}</span>
          <span class="figure text-quiet">{{ Math.round(s.part * 100) }} %</span>
          <span class="figure w-12 text-right">{{
            s.light.overStops === undefined ? Math.round(s.light.lux) : tenths(s.light.overStops)
          }}</span>
        </li>
        <li v-if="landing.from.length > MOST" class="text-fine text-quiet">
          and {{ landing.from.length - MOST }} more
        </li>
      </ol>
      <p class="text-fine text-quiet">
        Predicted, room included{{ landing.light.overStops === undefined ? '' : '; stops from the camera’s' }}.
      </p>
    </template>
    <p v-else class="text-quiet" role="status">Working out the light…</p>
  </section>
</template>

<style scoped>
/* Three labels in a row, each above its field. */
.where {
  grid-template-rows: auto auto;
  grid-auto-flow: column;
}
@media (width < 800px) {
  .card {
    position: fixed;
    inset: auto 0 0;
    z-index: 10;
    width: auto;
  }
}
</style>
