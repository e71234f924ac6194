<script setup lang="ts">
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { answer, api } from '@/api/client'
import { useRead } from '@/api/reads'
import type { AtMark, Light } from '@/api/types'
import CompareDialog from '@/components/dialogs/CompareDialog.vue'
import ShotPage from '@/components/layout/ShotPage.vue'
import BustPicture from '@/components/light/BustPicture.vue'
import OneAtATime from '@/components/light/OneAtATime.vue'
import PredictedTable from '@/components/light/PredictedTable.vue'
import RosePair from '@/components/light/RosePair.vue'
import SourceRuler from '@/components/light/SourceRuler.vue'
import WhatIf from '@/components/light/WhatIf.vue'
import WideLadder from '@/components/light/WideLadder.vue'
import TryBar from '@/components/plot/TryBar.vue'
import { undoing, type Action } from '@/lib/actions'
import { useSubmit } from '@/lib/useSubmit'
import { useBook } from '@/stores/book'
import { useLight } from '@/stores/light'
import { usePlot } from '@/stores/plot'
import { useShotEditor } from '@/stores/shotEditor'

/** What the light does on one mark: ladder, rose, colour, each source in and out, and what if. */
const props = defineProps<{ shotId: number }>()
defineEmits<{ spine: [] }>()
const plot = usePlot()
const editor = useShotEditor()
const book = useBook()
const light = useLight()

const comparing = ref(false)
const otherShot = ref<number>()
const other = ref<{ slate: string; light: Light }>()
const { error: problem, submit } = useSubmit()
const { data: meter } = useRead('meter', () => ({ shotId: props.shotId }))
onBeforeUnmount(() => light.withdraw())

const others = computed(() => book.shots.get(props.shotId)?.scene.shots.filter((s) => s.id !== props.shotId) ?? [])
watch(
  () => props.shotId,
  () => (otherShot.value = undefined),
)
watch(otherShot, (id) => {
  other.value = undefined
  problem.value = ''
  const shot = others.value.find((s) => s.id === id)
  if (!shot) return
  const params = { path: { shotId: shot.id } }
  const body = { changes: [], holds: [], out: [] }
  void submit(async () => {
    const tried = await answer(api.POST('/api/shots/{shotId}/light', { params, body }))
    if (otherShot.value === shot.id) other.value = { slate: shot.slate, light: tried.light }
  })
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
const placed = computed(() => editor.placements.find((p) => p.placement.key === source.value?.key))
const router = useRouter()
const actions = computed((): Action[] => [
  ...(light.trials.length ? [] : [{ name: 'Try without saving', run: () => light.begin() }]),
  ...undoing(),
  {
    name: 'Lit like this',
    title: 'Shots of any scene that were lit like this one',
    run: () => router.push({ name: 'search', query: { alike: props.shotId } }),
  },
])

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
function select(key: string) {
  plot.selected = key
}
</script>

<template>
  <ShotPage
    :shot-id="shotId"
    :actions="actions"
    @camera="plot.selected = editor.camera?.placement.key"
    @spine="$emit('spine')"
  >
    <template v-if="plot.plot && plot.set">
      <TryBar v-if="light.trials.length" @compare="comparing = true" />
      <div v-if="light.light && light.mark" class="body">
        <section class="ladder sideways">
          <header class="flex items-baseline gap-3">
            <h2 class="text-lead">
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
            <select
              v-if="editor.cues.length"
              v-model="light.moment"
              class="field !w-auto max-w-44"
              aria-label="Moment of the shot"
            >
              <option :value="0">at the start</option>
              <option v-for="(c, i) in editor.cues" :key="c.placement.key" :value="i + 1">
                after {{ c.placement.name }}
              </option>
            </select>
            <span class="ml-auto text-small text-quiet"
              >rung: one source alone. bar: all together, predicted. ring: metered</span
            >
          </header>
          <WideLadder
            class="drawn flex-1 min-h-0"
            :mark="light.mark"
            :light="light.light"
            :metered="metered"
            @select="select"
          />
          <p class="text-small text-quiet">
            {{
              light.light.camera
                ? 'Ratio is lit side to shadow side, all sources on.'
                : 'Give the camera its stop, ISO and shutter to see stops.'
            }}
          </p>
        </section>
        <section class="rose">
          <header class="flex items-center gap-3">
            <h2 class="grow text-lead">
              {{ other ? `Roses, ${other.slate} and ${plot.plot.shot.slate}` : 'Rose' }}
            </h2>
            <select v-model="otherShot" class="field !w-auto" aria-label="Lay another shot’s rose over it">
              <option :value="undefined">Compare with…</option>
              <option v-for="s in others" :key="s.id" :value="s.id">{{ s.slate }}</option>
            </select>
          </header>
          <p class="text-small text-quiet">
            {{
              other
                ? `filled ${plot.plot.shot.slate}, dashed ${other.slate}`
                : 'bearing, stops, and how large it is seen'
            }}
          </p>
          <p v-if="problem || (other && !otherMark)" role="alert" class="text-small">
            {{ problem || 'The other shot does not have this mark.' }}
          </p>
          <RosePair
            class="drawn flex-1 min-h-0"
            :mark="light.mark"
            :light="light.light"
            :camera-deg="editor.camera?.aim?.bearingDeg"
            :other="otherMark"
            :selected="source?.key"
            @select="select"
          />
        </section>
        <section class="bust">
          <BustPicture class="flex-1" :shot-id="shotId" :mark="light.mark.key" :name="light.mark.name" />
        </section>
        <section class="figures">
          <PredictedTable :mark="light.mark" :meter="meter" :read="read" />
        </section>
        <section class="colour"><SourceRuler :light="light.light" :source="source" /></section>
        <section class="what"><WhatIf :placed="placed" /></section>
        <section class="each"><OneAtATime :source="light.light" @select="select" /></section>
      </div>
      <p v-else class="m-auto text-quiet">
        {{ light.answer ? 'Place a mark on the plot: the light on it is shown here.' : 'Working out the light…' }}
      </p>
      <CompareDialog :open="comparing" @close="comparing = false" />
    </template>
    <p v-else class="m-auto text-quiet" role="status">Opening the shot…</p>
  </ShotPage>
</template>

<style scoped>
.body {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template:
    'ladder ladder rose figures' minmax(0, 1.35fr) 'bust colour what each' minmax(0, 1fr) / 200px minmax(0, 1fr)
    272px 294px;
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
.ladder {
  grid-area: ladder;
}
.bust {
  grid-area: bust;
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
