<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { answer, api, sentence } from '@/api/client'
import { value, type Placed, type Stock, type ProposedChange } from '@/api/types'
import StockPicker from '@/components/fields/StockPicker.vue'
import { fixed, plain } from '@/lib/print'
import { tenths } from '@/lib/stops'
import { worn } from '@/lib/stock'
import { useLatest } from '@/lib/useLatest'
import { useLight } from '@/stores/light'
import { usePlot } from '@/stores/plot'
import { written } from '@/lib/scales'
import { useSettings } from '@/stores/settings'

/** What if: one source nearer, dimmer, softer; the camera with another stop, ND, ISO or white. Nothing is kept until it is kept. */
const props = defineProps<{ placed?: Placed }>()
const plot = usePlot()
const light = useLight()
const settings = useSettings()

const distance = ref<number>()
const level = ref<number>()
const added = ref<Stock[]>([])
const hold = ref(true)
const stop = ref<number>()
const iso = ref<number>()
const nd = ref<number>()
const white = ref<number>()
const error = ref('')
let moved: ProposedChange[] = []

const camera = computed(() => plot.plot?.placements.find((p) => p.placement.kind === 'CAMERA' && p.onSet))
const recorded = computed(
  () => props.placed && plot.plot?.placements.find((p) => p.placement.key === props.placed!.placement.key),
)
const isLight = computed(() => !!recorded.value?.records.includes('LEVEL'))
const from = computed(() => (recorded.value?.aim?.distanceM ? recorded.value.aim.distanceM : undefined))
const now = computed(() => ({
  distance: distance.value ?? from.value ?? 0,
  level: level.value ?? (recorded.value && value(recorded.value, 'LEVEL')?.percent) ?? 0,
  stop: stop.value ?? (camera.value && value(camera.value, 'STOP')?.tStop) ?? 2.8,
  iso: iso.value ?? (camera.value && value(camera.value, 'SPEED')?.iso) ?? 800,
  nd: nd.value ?? (camera.value && value(camera.value, 'LENS_ND')?.density) ?? 0,
  white: white.value ?? (camera.value && value(camera.value, 'WHITE')?.kelvin) ?? 5600,
}))
/** How far the light is from its mark now, as it is tried. */
const toMark = computed(() => light.mark?.from.find((f) => f.key === recorded.value?.placement.key && f.straight))
const holding = computed(() => light.answer?.holds.find((h) => h.placement === recorded.value?.placement.key))
const pending = computed(() => light.preview.changes.length + light.preview.holds.length > 0)

const closer = useLatest({
  send: (text: string) =>
    answer(api.POST('/api/shots/{shotId}/say', { params: { path: { shotId: plot.plot!.shot.id } }, body: { text } })),
  onAnswer: (answer) => {
    error.value = answer.problems[0]?.sentence ?? ''
    moved = answer.changes
    pass()
  },
  onRefused: (refusal) => (error.value = refusal.message),
})
watch(distance, (metres) => {
  if (metres !== undefined && recorded.value)
    closer.ask(`${recorded.value.placement.name} ${written(metres, 'metric')}`)
})
watch([level, added, hold, stop, iso, nd, white], pass)
watch(() => props.placed?.placement.key, back)

function pass() {
  const one = recorded.value?.placement.key
  const cam = camera.value?.placement.key
  const changes: ProposedChange[] = [...moved]
  if (one && level.value !== undefined)
    changes.push({ placement: one, attribute: 'LEVEL', value: { percent: level.value } })
  if (one && added.value.length && recorded.value) {
    const items = value(recorded.value, 'MODIFIERS')?.items ?? []
    changes.push({ placement: one, attribute: 'MODIFIERS', value: { items: [...items, ...added.value.map(worn)] } })
  }
  if (cam && stop.value !== undefined) changes.push({ placement: cam, attribute: 'STOP', value: { tStop: stop.value } })
  if (cam && iso.value !== undefined) changes.push({ placement: cam, attribute: 'SPEED', value: { iso: iso.value } })
  if (cam && nd.value !== undefined)
    changes.push({ placement: cam, attribute: 'LENS_ND', value: { density: nd.value } })
  if (cam && white.value !== undefined && camera.value)
    changes.push({
      placement: cam,
      attribute: 'WHITE',
      value: { kelvin: white.value, duv: value(camera.value, 'WHITE')?.duv ?? 0 },
    })
  const holds = one && hold.value && level.value === undefined && (moved.length || added.value.length) ? [one] : []
  light.propose(changes, holds)
}

function back() {
  closer.stop()
  moved = []
  distance.value = level.value = stop.value = iso.value = nd.value = white.value = undefined
  added.value = []
  error.value = ''
  light.withdraw()
}

function intoTry() {
  light.put(light.preview.changes, light.preview.holds)
  back()
}

async function keep() {
  if (!light.settled) return
  try {
    await plot.recordAll(light.passed)
    back()
  } catch (failure) {
    error.value = sentence(failure)
  }
}

/** T-stops and ISO numbers go by thirds; a slider counts them. */
const thirdOfStop = (t: number) => Math.round(6 * Math.log2(t))
const stopOf = (n: number) => 2 ** (n / 6)
const thirdOfIso = (i: number) => Math.round(3 * Math.log2(i / 100))
const isoOf = (n: number) => Math.round((100 * 2 ** (n / 3)) / 10) * 10
const number = (event: Event) => Number((event.target as HTMLInputElement).value)
</script>

<template>
  <section class="flex flex-col gap-1">
    <h2 class="text-lead">What if</h2>
    <template v-if="recorded && isLight">
      <p class="text-small">
        <b class="font-strong">{{ recorded.placement.name }}</b>
      </p>
      <label v-if="from" class="slide"
        ><span>distance</span
        ><input
          type="range"
          min="0.5"
          :max="Math.ceil(Math.max(6, from * 2))"
          step="0.05"
          :value="now.distance"
          @input="distance = number($event)"
        /><span class="figure">{{
          toMark?.distance ? settings.printed(toMark.distance) : written(now.distance, settings.units)
        }}</span></label
      >
      <label class="slide"
        ><span>level</span
        ><input type="range" min="0" max="100" step="1" :value="now.level" @input="level = number($event)" /><span
          class="figure"
          >{{ plain(holding ? holding.levelPercent : now.level, 1) }} %</span
        ></label
      >
      <div class="flex items-center gap-2">
        <StockPicker
          class="grow"
          label="Add a filter or a cloth, to see what it does"
          @pick="added = [...added, $event]"
        />
        <label class="flex items-center gap-1 text-small"><input v-model="hold" type="checkbox" />hold</label>
      </div>
      <p v-if="added.length" class="text-small">with {{ added.map((a) => a.name).join(', ') }}</p>
      <p v-if="holding" class="text-small" role="status">
        {{ tenths(holding.changeStops) }} stops, {{ fixed(holding.sizeFromDeg, 1) }}° to
        {{ fixed(holding.sizeToDeg, 1) }}°.
        <template v-if="holding.reachable">Held at {{ plain(holding.levelPercent, 1) }} %.</template>
        <template v-else
          >Short by {{ fixed(holding.shortStops, 1) }} stop:
          {{ holding.offers.map(settings.printed).join(', or ') }}.</template
        >
      </p>
    </template>
    <p v-else class="text-small text-quiet">Choose a source in the ladder or the list.</p>
    <template v-if="camera">
      <p class="text-small"><b class="font-strong">Camera</b></p>
      <label class="slide"
        ><span>stop</span
        ><input
          type="range"
          min="-3"
          max="27"
          step="1"
          :value="thirdOfStop(now.stop)"
          @input="stop = stopOf(number($event))"
        /><span class="figure">{{ light.light?.camera?.stop ?? '' }}</span></label
      >
      <label class="slide"
        ><span>ISO</span
        ><input
          type="range"
          min="-3"
          max="18"
          step="1"
          :value="thirdOfIso(now.iso)"
          @input="iso = isoOf(number($event))"
        /><span class="figure">{{ now.iso }}</span></label
      >
      <label class="slide"
        ><span>ND</span
        ><input type="range" min="0" max="2.1" step="0.3" :value="now.nd" @input="nd = number($event)" /><span
          class="figure"
          >{{ now.nd ? fixed(now.nd, 1) : 'clear' }}</span
        ></label
      >
      <label class="slide"
        ><span>white</span
        ><input type="range" min="2500" max="9000" step="100" :value="now.white" @input="white = number($event)" /><span
          class="figure"
          >{{ now.white }} K</span
        ></label
      >
    </template>
    <p v-if="error || light.refused" role="alert" class="text-small">{{ error || light.refused }}</p>
    <div v-if="pending" class="sticky -bottom-2.5 flex gap-2 pt-1.5 pb-2 bg-ground">
      <button class="button button-main !px-2" :disabled="plot.locked || !light.settled" @click="keep">Keep</button>
      <button class="button !px-2" @click="intoTry">Into a try</button>
      <button class="button !px-2" @click="back">Back</button>
    </div>
  </section>
</template>

<style scoped>
.slide {
  display: grid;
  grid-template-columns: 54px minmax(0, 1fr) 66px;
  gap: 8px;
  align-items: center;
  min-height: 24px;
  font-size: var(--text-small);
}
.slide .figure {
  text-align: right;
  font-size: var(--text-base);
}
@media (pointer: coarse) {
  .slide {
    min-height: 44px;
  }
}
</style>
