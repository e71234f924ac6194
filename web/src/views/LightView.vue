<script setup lang="ts">
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { call, sentence } from '@/api/client'
import type { AtMark, Light, Meter, TrialView } from '@/api/types'
import MiredRuler, { type RulerArrow, type RulerMark } from '@/components/bench/MiredRuler.vue'
import CompareDialog from '@/components/dialogs/CompareDialog.vue'
import SlateBar from '@/components/layout/SlateBar.vue'
import UndoButtons from '@/components/layout/UndoButtons.vue'
import ViewTabs from '@/components/layout/ViewTabs.vue'
import OneAtATime from '@/components/light/OneAtATime.vue'
import RosePair from '@/components/light/RosePair.vue'
import WhatIf from '@/components/light/WhatIf.vue'
import WideLadder from '@/components/light/WideLadder.vue'
import StopsText from '@/components/marks/StopsText.vue'
import TryBar from '@/components/plot/TryBar.vue'
import { miredGradient } from '@/lib/miredGradient'
import { miredAt } from '@/lib/scales'
import { ratio, tenths } from '@/lib/stops'
import { signed, when } from '@/lib/words'
import { useBook } from '@/stores/book'
import { useLight } from '@/stores/light'
import { usePlot } from '@/stores/plot'
import { useSettings } from '@/stores/settings'

/** What the light does on one mark: ladder, rose, colour, each source in and out, and what if. */
const props = defineProps<{ shotId: number }>()
defineEmits<{ spine: [] }>()
const plot = usePlot()
const book = useBook()
const light = useLight()
const settings = useSettings()

const comparing = ref(false)
const otherShot = ref<number>()
const other = ref<{ slate: string; light: Light }>()
const problem = ref('')
const meter = ref<Meter>()
const band = ref<{ mired: number; swatch: string }[]>([])

watch(
  () => props.shotId,
  (id) => {
    void plot.load(id)
    otherShot.value = undefined
  },
  { immediate: true },
)
/** What was metered, read anew with each new light of the record. */
watch(
  [() => props.shotId, () => plot.plot],
  async ([id]) => {
    const now = await call<Meter>('GET', `/api/shots/${id}/readings`).catch(() => undefined)
    if (id === props.shotId) meter.value = now
  },
  { immediate: true },
)
onBeforeUnmount(() => (light.preview = { changes: [], holds: [] }))

const scene = computed(() => book.shots.get(props.shotId)?.scene)
const others = computed(() => scene.value?.shots.filter((s) => s.id !== props.shotId) ?? [])
watch(otherShot, async (id) => {
  other.value = undefined
  problem.value = ''
  const shot = others.value.find((s) => s.id === id)
  if (!shot) return
  try {
    const tried = await call<TrialView>('POST', `/api/shots/${shot.id}/light`, {
      body: { changes: [], holds: [], out: [] },
    })
    other.value = { slate: shot.slate, light: tried.light }
  } catch (failure) {
    problem.value = sentence(failure)
  }
})
const otherMark = computed<{ slate: string; light: Light; mark: AtMark } | undefined>(() => {
  const mark = other.value?.light.marks.find((m) => m.key === light.mark?.key)
  return other.value && mark ? { ...other.value, mark } : undefined
})

const source = computed(
  () =>
    light.light?.sources.find((s) => s.key === plot.selected) ??
    light.light?.sources.find((s) => s.role === 'KEY') ??
    light.light?.sources[0],
)
const placed = computed(() => plot.placements.find((p) => p.placement.key === source.value?.key))
const camera = computed(() => light.light?.camera)

const ruler = computed(() => {
  const path = source.value?.path ?? []
  const last = path.at(-1)
  const marks: RulerMark[] = []
  if (path[0]) marks.push({ key: 'dialled', name: 'dialled', kelvin: path[0].kelvin, duv: path[0].duv, as: 'dot' })
  if (last && path.length > 1)
    marks.push({ key: 'behind', name: 'behind it all', kelvin: last.kelvin, duv: last.duv, as: 'ring' })
  if (camera.value)
    marks.push({
      key: 'white',
      name: 'camera white',
      kelvin: camera.value.whiteKelvin,
      duv: camera.value.whiteDuv,
      as: 'line',
    })
  const arrows: RulerArrow[] = path.slice(1).flatMap((step, i) =>
    step.miredShift
      ? [
          {
            key: `${i}`,
            name: `${step.name} ${signed(step.miredShift, 0)}`,
            from: miredAt(path[i]!.kelvin),
            to: miredAt(step.kelvin),
          },
        ]
      : [],
  )
  for (const s of light.light?.sources ?? []) {
    const end = s.path.at(-1)
    if (s.key !== source.value?.key && end && !s.out)
      marks.push({ key: s.key, name: s.name, kelvin: end.kelvin, duv: end.duv, as: 'slab' })
  }
  const all = marks.map((m) => miredAt(m.kelvin))
  return { marks, arrows, from: Math.max(40, Math.min(150, ...all) - 20), to: Math.max(400, ...all) + 20 }
})
watch(
  () => [camera.value?.whiteKelvin, camera.value?.whiteDuv, ruler.value.from, ruler.value.to].join(),
  async () => {
    if (camera.value)
      band.value = await miredGradient(
        ruler.value.from,
        ruler.value.to,
        camera.value.whiteKelvin,
        camera.value.whiteDuv,
      ).catch(() => band.value)
  },
  { immediate: true },
)

/** The newest reading of all lights at this mark; where each side lies on the ladder. */
const read = computed(() => meter.value?.readings.find((r) => !r.light && r.reading.mark === light.mark?.key))
const SIDE: Record<string, 'lit' | 'shadow' | 'background'> = {
  'lit cheek': 'lit',
  'shadow cheek': 'shadow',
  background: 'background',
}
const metered = computed(() => {
  const ladder: Partial<Record<'lit' | 'shadow' | 'background', number>> = {}
  for (const b of read.value?.beside ?? []) {
    const side = SIDE[b.what]
    if (side) ladder[side] = b.overStops
  }
  return ladder
})
const calibrated = computed(() => (meter.value?.lights ?? []).filter((l) => l.kStops !== undefined))

const table = computed(() => {
  const m = light.mark
  if (!m) return []
  return [
    { name: 'Lit cheek', figure: tenths(m.lit.overStops) },
    { name: 'Shadow cheek', figure: tenths(m.shadow.overStops) },
    ...(m.litToShadow
      ? [{ name: 'Lit to shadow', figure: `${ratio(m.litToShadow.ratio)}  ${tenths(m.litToShadow.stops)}` }]
      : []),
    ...(m.keyToFill
      ? [{ name: 'Key to fill, alone', figure: `${ratio(m.keyToFill.ratio)}  ${tenths(m.keyToFill.stops)}` }]
      : []),
    ...(m.background ? [{ name: 'Background', figure: tenths(m.background.overStops) }] : []),
    ...(m.stop ? [{ name: 'A meter at the lit cheek', figure: m.stop }] : []),
    { name: 'Light there', figure: settings.printed(m.litLight) },
    ...(m.lit.kelvin ? [{ name: 'White, lit', figure: `${Math.round(m.lit.kelvin)} K`, swatch: m.lit.swatch }] : []),
    ...(m.lit.duv === undefined ? [] : [{ name: 'Tint, lit', figure: `${signed(m.lit.duv, 3)}` }]),
    ...(m.shadow.kelvin
      ? [{ name: 'White, shadow', figure: `${Math.round(m.shadow.kelvin)} K`, swatch: m.shadow.swatch }]
      : []),
  ]
})
function select(key: string) {
  plot.selected = key
}
</script>

<template>
  <div class="view">
    <template v-if="plot.plot && plot.set">
      <SlateBar
        :plot="plot.plot"
        :camera="plot.camera"
        @camera="plot.selected = plot.camera?.placement.key"
        @spine="$emit('spine')"
      />
      <ViewTabs :shot-id="shotId">
        <select v-model="otherShot" class="field !w-auto" aria-label="Lay another shot’s rose over it">
          <option :value="undefined">Compare with…</option>
          <option v-for="s in others" :key="s.id" :value="s.id">{{ s.slate }}</option>
        </select>
        <button v-if="!light.trials.length" class="button" @click="light.begin">Try without saving</button>
        <UndoButtons />
      </ViewTabs>
      <TryBar v-if="light.trials.length" @compare="comparing = true" />
      <div v-if="light.light && light.mark" class="body">
        <section class="ladder sideways">
          <header class="flex items-baseline gap-3">
            <h2 class="text-[15px]">
              Stop ladder,
              <select
                v-if="light.light.marks.length > 1"
                class="field !w-auto"
                aria-label="Mark"
                :value="light.mark.key"
                @change="light.chosenMark = ($event.target as HTMLSelectElement).value"
              >
                <option v-for="m in light.light.marks" :key="m.key" :value="m.key">{{ m.name }}</option>
              </select>
              <template v-else>{{ light.mark.name }}</template>
            </h2>
            <span class="ml-auto text-[12px] text-quiet"
              >rung: one source alone. bar: all together, predicted. ring: metered</span
            >
          </header>
          <WideLadder class="drawn" :mark="light.mark" :light="light.light" :metered="metered" @select="select" />
          <p class="text-[12px] text-quiet">
            {{
              camera
                ? 'Ratio is lit side to shadow side, all sources on.'
                : 'Give the camera its stop, ISO and shutter to see stops.'
            }}
          </p>
        </section>
        <section class="rose">
          <h2 class="text-[15px]">{{ other ? `Roses, ${other.slate} and ${plot.plot.shot.slate}` : 'Rose' }}</h2>
          <p class="text-[12px] text-quiet">
            {{
              other
                ? `filled ${plot.plot.shot.slate}, dashed ${other.slate}`
                : 'bearing, stops, and how large it is seen'
            }}
          </p>
          <p v-if="problem || (other && !otherMark)" role="alert" class="text-[12px]">
            {{ problem || 'The other shot does not have this mark.' }}
          </p>
          <RosePair
            class="drawn"
            :mark="light.mark"
            :light="light.light"
            :camera-deg="plot.camera?.aim?.bearingDeg"
            :other="otherMark"
            :selected="source?.key"
            @select="select"
          />
        </section>
        <section class="figures">
          <h2 class="text-[15px]">Predicted</h2>
          <table class="w-full">
            <tbody>
              <tr v-for="row in table" :key="row.name">
                <th scope="row">{{ row.name }}</th>
                <td class="figure">
                  <span v-if="row.swatch" class="swatch" :style="{ background: row.swatch }" /><StopsText
                    :text="row.figure"
                  />
                </td>
              </tr>
            </tbody>
          </table>
          <div v-if="read || calibrated.length" class="mt-2 text-[12px]">
            <h3 class="text-[13px]">Metered</h3>
            <p v-if="read">
              <StopsText :text="settings.printed(read.words)" />{{ ' ' }}
              <span class="text-quiet">{{ read.author }}, {{ when(read.at) }}</span
              ><template v-for="b in read.beside" :key="b.what"
                >; {{ b.what }} <span class="figure">{{ signed(b.stops, 1) }}</span></template
              >
            </p>
            <p v-for="l in calibrated" :key="l.key">
              {{ l.name }} <span class="figure">{{ signed(l.kStops!, 1) }}</span> against its figures; predictions
              follow the meter.
            </p>
          </div>
          <p class="mt-2 text-[11px] text-quiet">By nominal figures and one bounce (model). A meter decides.</p>
        </section>
        <section class="colour">
          <header class="flex items-baseline gap-3">
            <h2 class="text-[15px]">Mired ruler, the path of {{ source?.name ?? 'no source' }}</h2>
            <span class="ml-auto text-[12px] text-quiet">height above the ruler: green. below: magenta</span>
          </header>
          <MiredRuler v-bind="ruler" :band="band" />
        </section>
        <section class="what"><WhatIf :placed="placed" /></section>
        <section class="each"><OneAtATime :source="light.light" @select="select" /></section>
      </div>
      <p v-else class="m-auto text-quiet">
        {{ light.answer ? 'Place a mark on the plot: the light on it is shown here.' : 'Working out the light…' }}
      </p>
      <CompareDialog :open="comparing" @close="comparing = false" />
    </template>
    <p v-else class="m-auto text-quiet" role="status">{{ plot.problem?.sentence ?? 'Opening the shot…' }}</p>
  </div>
</template>

<style scoped>
.body {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template: 'ladder rose figures' minmax(0, 1.35fr) 'colour what each' minmax(0, 1fr) / minmax(0, 1fr) 272px 294px;
}
.body > section {
  min-height: 0;
  min-width: 0;
  padding: 10px 16px;
  border-bottom: 1px solid var(--line);
  border-right: 1px solid var(--line);
  overflow-y: auto;
  display: flex;
  flex-direction: column;
}
.drawn {
  flex: 1;
  min-height: 0;
}
.ladder {
  grid-area: ladder;
}
.rose {
  grid-area: rose;
}
.figures {
  grid-area: figures;
  background: var(--panel);
}
.colour {
  grid-area: colour;
}
.what {
  grid-area: what;
}
.each {
  grid-area: each;
  background: var(--panel);
}
th {
  padding: 3px 0;
  font-weight: 400;
  text-align: left;
}
td {
  text-align: right;
  font-size: 14px;
}
tr {
  border-bottom: 1px solid var(--line);
}
.swatch {
  margin-right: 6px;
}
@media (width < 1100px) {
  .body {
    display: block;
    overflow-y: auto;
  }
  .body > section {
    overflow: visible;
  }
  .body > .ladder {
    overflow-x: auto;
  }
  .ladder .drawn {
    min-height: 330px;
    min-width: 520px;
  }
  .rose .drawn {
    min-height: 300px;
  }
}
</style>
