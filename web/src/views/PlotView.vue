<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { call } from '@/api/client'
import { value, type Attribute, type AttributeValue, type Placed, type PlanPoint } from '@/api/types'
import ConflictDialog from '@/components/dialogs/ConflictDialog.vue'
import PlaceDialog from '@/components/dialogs/PlaceDialog.vue'
import ShotDialog from '@/components/dialogs/ShotDialog.vue'
import SlateBar from '@/components/frame/SlateBar.vue'
import ViewTabs from '@/components/frame/ViewTabs.vue'
import PlacementPane from '@/components/inspector/PlacementPane.vue'
import ShotPane from '@/components/inspector/ShotPane.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import PlanStage from '@/components/plot/PlanStage.vue'
import { useLatest } from '@/lib/useLatest'
import { useBook } from '@/stores/book'
import { usePlot } from '@/stores/plot'

const props = defineProps<{ shotId: number }>()
defineEmits<{ spine: [] }>()

const plot = usePlot()
const book = useBook()
const stage = ref<InstanceType<typeof PlanStage>>()
const draft = ref<{ key: string; at?: PlanPoint; bearing?: number }>()
const dialog = ref<'shot' | 'new' | 'place'>()
const middle = ref<PlanPoint>({ xM: 0, yM: 0 })
const refused = ref('')

const line = computed(() => book.shots.get(props.shotId))
const outsideOffered = computed(() => {
  const wanted = plot.problem?.wanted
  return plot.problem?.attribute === 'PLACE' && wanted && 'value' in wanted && 'xM' in wanted.value ? wanted.value : undefined
})

const preview = useLatest({
  send: ({ shotId, ...change }: { shotId: number; placement: string; attribute: Attribute; value: AttributeValue }) =>
    call<{ placements: Placed[] }>('POST', `/api/shots/${shotId}/light`, { body: { changes: [change], holds: [], out: [] } }),
  onAnswer: ({ placements: [placed] }) => {
    refused.value = ''
    if (placed && draft.value?.key === placed.placement.key) plot.tried = placed
  },
  onRefused: (refusal) => (refused.value = refusal.message),
})

watch(() => props.shotId, (id) => void plot.load(id), { immediate: true })

function drag(key: string, at: PlanPoint) {
  const placed = plot.placements.find((p) => p.placement.key === key)
  draft.value = { key, at }
  preview.ask({ shotId: props.shotId, placement: key, attribute: 'PLACE', value: { ...at, outside: (placed && value(placed, 'PLACE')?.outside) ?? false } })
}

function turn(key: string, bearing: number) {
  const placed = plot.placements.find((p) => p.placement.key === key)
  draft.value = { key, bearing }
  preview.ask({ shotId: props.shotId, placement: key, attribute: 'AIM', value: { bearingDeg: bearing, tiltDeg: Math.round(placed?.aim?.tiltDeg ?? 0) } })
}

async function drop() {
  const moved = draft.value
  if (!moved) return
  preview.stop()
  refused.value = ''
  const placed = plot.plot?.placements.find((p) => p.placement.key === moved.key)
  if (placed && moved.at) await plot.drop(moved.key, 'PLACE', { value: { ...moved.at, outside: value(placed, 'PLACE')?.outside ?? false } })
  else if (placed && moved.bearing !== undefined)
    await plot.drop(moved.key, 'AIM', { value: { bearingDeg: moved.bearing, tiltDeg: Math.round(placed.aim?.tiltDeg ?? 0) } })
  draft.value = undefined
}

function standOutside() {
  const place = outsideOffered.value
  const key = plot.problem?.placement
  plot.problem = undefined
  if (place && key) void plot.drop(key, 'PLACE', { value: { ...(place as { xM: number; yM: number }), outside: true } })
}

function openPlace() {
  middle.value = stage.value?.middle() ?? middle.value
  dialog.value = 'place'
}

function onKey(event: KeyboardEvent) {
  const typing = event.target instanceof HTMLElement && event.target.matches('input, textarea')
  if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z' && !typing) {
    event.preventDefault()
    void plot.undo()
  }
}
onMounted(() => window.addEventListener('keydown', onKey))
onBeforeUnmount(() => window.removeEventListener('keydown', onKey))

async function kept() {
  await plot.load(props.shotId)
}
</script>

<template>
  <div class="view">
    <template v-if="plot.plot">
      <SlateBar :plot="plot.plot" :camera="plot.camera" @camera="plot.selected = plot.camera?.placement.key" @edit="dialog = 'shot'" @spine="$emit('spine')" />
      <ViewTabs :shot-id="shotId">
        <button class="button" :disabled="!plot.undos.length" :title="plot.undos.length ? `Undo the last edit of ${plot.undos.at(-1)!.label}` : 'Nothing to undo'" @click="plot.undo">Undo</button>
        <button class="button" :disabled="plot.locked" @click="openPlace">Place…</button>
        <button class="button" @click="dialog = 'new'">New shot from {{ plot.plot.shot.slate }}</button>
      </ViewTabs>
      <div class="body" :class="{ chosen: plot.chosen }">
        <div class="stage">
          <PlanStage
            ref="stage"
            :key="plot.plot.sceneId"
            :set="plot.set!"
            :slate="plot.plot.shot.slate"
            :placements="plot.placements"
            :selected="plot.selected"
            :locked="plot.locked"
            :draft="draft"
            @select="plot.selected = $event"
            @drag="drag"
            @turn="turn"
            @drop="drop"
          />
          <div class="zoom">
            <button class="button" aria-label="Zoom in" @click="stage?.zoom(1.25)">+</button>
            <button class="button" aria-label="Zoom out" @click="stage?.zoom(0.8)">−</button>
            <button class="button" @click="stage?.fit()">Fit</button>
          </div>
          <div v-if="plot.problem || refused" class="problem" role="alert">
            <WedgeMark act />
            <span class="grow">{{ plot.problem?.sentence ?? refused }}</span>
            <button v-if="outsideOffered" class="button" @click="standOutside">It stands outside</button>
            <button v-if="plot.problem" class="button" @click="plot.problem = undefined">Leave it</button>
          </div>
        </div>
        <aside class="inspector" aria-label="What is selected">
          <div class="mb-2 flex justify-end" v-if="plot.chosen"><button class="text-[12px] text-quiet hover:text-ink" @click="plot.selected = undefined">Back to {{ plot.plot.shot.slate }}</button></div>
          <PlacementPane v-if="plot.chosen" :key="plot.chosen.placement.key" :placed="plot.chosen" />
          <ShotPane v-else />
        </aside>
      </div>
      <ShotDialog :open="dialog === 'shot'" :scene="line?.scene" :shot="line?.shot" @close="dialog = undefined" @kept="kept" />
      <ShotDialog :open="dialog === 'new'" :scene="line?.scene" :based-on="line?.shot" @close="dialog = undefined" />
      <PlaceDialog :open="dialog === 'place'" :at="middle" @close="dialog = undefined" />
      <ConflictDialog />
    </template>
    <div v-else class="m-auto max-w-sm p-6 text-center">
      <template v-if="plot.problem">
        <p class="mb-3" role="alert">{{ plot.problem.sentence }}</p>
        <button class="button" @click="plot.load(shotId)">Try again</button>
        <RouterLink class="button ml-2" :to="{ name: 'book' }">To the book</RouterLink>
      </template>
      <p v-else class="text-quiet">Opening the plot…</p>
    </div>
  </div>
</template>

<style scoped>
.view {
  display: flex;
  flex-direction: column;
  height: 100%;
}
.body {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 302px;
}
.stage {
  position: relative;
  min-height: 0;
}
.inspector {
  min-height: 0;
  overflow-y: auto;
  padding: 12px 12px 24px 10px;
  background: var(--panel);
  border-left: 1px solid var(--line);
}
.zoom {
  position: absolute;
  left: 12px;
  bottom: 12px;
  display: flex;
  gap: 4px;
}
.zoom .button {
  background: var(--ground);
  min-width: 32px;
}
.problem {
  position: absolute;
  inset: 12px 12px auto;
  display: flex;
  gap: 8px;
  align-items: flex-start;
  padding: 8px 12px;
  background: var(--raised);
  border: 1px solid var(--ink);
  border-radius: 3px;
}
@media (width < 800px) {
  .body {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: minmax(0, 1fr) 40%;
  }
  .body.chosen {
    grid-template-rows: minmax(0, 1fr) 55%;
  }
  .inspector {
    border-left: 0;
    border-top: 1px solid var(--line);
  }
}
</style>
