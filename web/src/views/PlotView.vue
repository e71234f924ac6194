<script setup lang="ts">
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { value, type PlanPoint, type ProposedChange, type HintView } from '@/api/types'
import SlateBar from '@/components/layout/SlateBar.vue'
import UndoButtons from '@/components/layout/UndoButtons.vue'
import PaperLinks from '@/components/layout/PaperLinks.vue'
import ViewTabs from '@/components/layout/ViewTabs.vue'
import ShotPane from '@/components/inspector/ShotPane.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import FrameView from '@/components/plot/FrameView.vue'
import HeightStrip from '@/components/plot/HeightStrip.vue'
import MarkLadder from '@/components/plot/MarkLadder.vue'
import PlanEditor from '@/components/plot/PlanEditor.vue'
import SayBar from '@/components/plot/SayBar.vue'
import TryBar from '@/components/plot/TryBar.vue'
import { lazy } from '@/lib/lazy'
import { useShortcuts } from '@/lib/useShortcuts'
import { useBook } from '@/stores/book'
import { useLight } from '@/stores/light'
import { usePlot } from '@/stores/plot'

const CompareDialog = lazy(() => import('@/components/dialogs/CompareDialog.vue'))
const ConflictDialog = lazy(() => import('@/components/dialogs/ConflictDialog.vue'))
const PlaceDialog = lazy(() => import('@/components/dialogs/PlaceDialog.vue'))
const ShotDialog = lazy(() => import('@/components/dialogs/ShotDialog.vue'))
const PlacementPane = lazy(() => import('@/components/inspector/PlacementPane.vue'))

const props = defineProps<{ shotId: number }>()
defineEmits<{ spine: [] }>()

const plot = usePlot()
const book = useBook()
const light = useLight()
const router = useRouter()
const route = useRoute()
const stage = ref<InstanceType<typeof PlanEditor>>()
const say = ref<InstanceType<typeof SayBar>>()
const draft = ref<Record<string, { at?: PlanPoint; bearing?: number }>>({})
const raising = ref<Record<string, number>>({})
const dialog = ref<'shot' | 'new' | 'place' | 'compare'>()
const sheet = ref<'light'>()
const middle = ref<PlanPoint>({ xM: 0, yM: 0 })

const line = computed(() => book.shots.get(props.shotId))
const outsideOffered = computed(() => {
  const wanted = plot.problem?.wanted
  return plot.problem?.attribute === 'PLACE' && wanted && 'value' in wanted && 'xM' in wanted.value
    ? wanted.value
    : undefined
})
/** Where the record has what is tried elsewhere. */
const ghosts = computed(() =>
  plot.tried.flatMap((t) => {
    const was = plot.plot?.placements.find((p) => p.placement.key === t.placement.key)
    const at = was?.onSet && value(was, 'PLACE')
    return at ? [{ key: t.placement.key, at, bearing: was.aim?.bearingDeg ?? 0 }] : []
  }),
)

const asOf = computed(() => (typeof route.query.event === 'string' ? Number(route.query.event) : undefined))
watch([() => props.shotId, asOf], ([id, event]) => void plot.load(id, event), { immediate: true })
/* the ladder is of the mark that is chosen, or that the chosen light is aimed at */
watch(
  () => plot.selected,
  (key) => {
    const mark = key && plot.chosen && (plot.chosen.placement.kind === 'MARK' ? key : value(plot.chosen, 'AIM')?.mark)
    if (mark && light.light?.marks.some((m) => m.key === mark)) light.chosenMark = mark
  },
)

/** The changes under the finger, as they would be recorded. */
const changes = computed<ProposedChange[]>(() => [
  ...Object.entries(draft.value).flatMap(([key, { at, bearing }]): ProposedChange[] => {
    const placed = plot.plot?.placements.find((p) => p.placement.key === key)
    if (!placed) return []
    if (at)
      return [
        { placement: key, attribute: 'PLACE', value: { ...at, outside: value(placed, 'PLACE')?.outside ?? false } },
      ]
    return bearing === undefined
      ? []
      : [
          {
            placement: key,
            attribute: 'AIM',
            value: { bearingDeg: bearing, tiltDeg: Math.round(placed.aim?.tiltDeg ?? 0) },
          },
        ]
  }),
  ...Object.entries(raising.value).map(([key, heightM]): ProposedChange => ({
    placement: key,
    attribute: 'HEIGHT',
    value: { heightM },
  })),
])
watch(changes, (now) => (light.preview = { changes: now, holds: [] }))

function drag(moved: Record<string, PlanPoint>) {
  draft.value = Object.fromEntries(Object.entries(moved).map(([key, at]) => [key, { at }]))
}

async function drop() {
  const moved = changes.value
  if (!moved.length) return
  const [only] = moved
  if (moved.length === 1 && only) await plot.drop(only.placement, only.attribute, { value: only.value! })
  else await plot.dropAll(moved.map((c) => ({ ...c, value: c.value! })))
  draft.value = {}
  raising.value = {}
}

function select(key: string | undefined, more = false) {
  if (more && key && plot.selected && key !== plot.selected)
    plot.multiSelection = plot.multiSelection.includes(key)
      ? plot.multiSelection.filter((k) => k !== key)
      : [...plot.multiSelection, key]
  else {
    plot.multiSelection = []
    plot.selected = key
  }
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

function showHint(hint: HintView) {
  select(hint.placement)
}

useShortcuts((event) => {
  if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z')
    void plot.step(event.shiftKey ? 'redo' : 'undo')
  else if (event.key === '/') say.value?.focus()
  else return false
  return true
})
onBeforeUnmount(() => {
  light.preview = { changes: [], holds: [] }
})

async function kept() {
  await plot.load(props.shotId)
}
</script>

<template>
  <div class="view">
    <template v-if="plot.plot && plot.set">
      <SlateBar
        :plot="plot.plot"
        :camera="plot.camera"
        @camera="select(plot.camera?.placement.key)"
        @edit="dialog = 'shot'"
        @spine="$emit('spine')"
      />
      <ViewTabs :shot-id="shotId">
        <PaperLinks
          :papers="[
            { name: 'Plot to scale', path: `/api/shots/${shotId}/paper/plot`, kinds: ['pdf', 'svg'] },
            { name: 'Shot sheet', path: `/api/shots/${shotId}/paper/sheet` },
          ]"
        />
        <UndoButtons />
        <button v-if="!light.trials.length" class="button" @click="light.begin">Try without saving</button>
        <button class="button" @click="router.push({ name: 'set', params: { id: shotId } })">Draw the set</button>
        <button class="button" :disabled="plot.locked" @click="openPlace">Place…</button>
        <button class="button" @click="dialog = 'new'">New shot from {{ plot.plot.shot.slate }}</button>
      </ViewTabs>
      <TryBar v-if="light.trials.length" @compare="dialog = 'compare'" />
      <div class="body" :class="{ chosen: plot.chosen, sheet }">
        <div class="stage">
          <PlanEditor
            ref="stage"
            :key="plot.plot.sceneId"
            :set="plot.set"
            :slate="plot.plot.shot.slate"
            :placements="plot.placements"
            :selected="plot.selected"
            :also="plot.multiSelection"
            :locked="plot.locked && !light.trying"
            :draft="draft"
            :light="light.light"
            :ghosts="ghosts"
            @select="select"
            @drag="drag"
            @turn="(key, bearing) => (draft = { [key]: { bearing } })"
            @drop="drop"
            @hint="showHint"
          />
          <div class="zoom">
            <button class="button" aria-label="Zoom in" @click="stage?.zoom(1.25)">+</button>
            <button class="button" aria-label="Zoom out" @click="stage?.zoom(0.8)">−</button>
            <button class="button" @click="stage?.fit()">Fit</button>
            <button
              class="button only-narrow"
              :aria-pressed="sheet === 'light'"
              @click="sheet = sheet ? undefined : 'light'"
            >
              Light
            </button>
          </div>
          <div v-if="plot.problem || light.refused" class="problem" role="alert">
            <WedgeMark act />
            <span class="grow">{{ plot.problem?.sentence ?? light.refused }}</span>
            <button v-if="outsideOffered" class="button" @click="standOutside">It stands outside</button>
            <button v-if="plot.problem" class="button" @click="plot.problem = undefined">Leave it</button>
          </div>
        </div>
        <MarkLadder class="beside" />
        <div class="strip">
          <HeightStrip
            :set="plot.set"
            :placements="plot.placements"
            :selected="plot.selected"
            :locked="plot.locked && !light.trying"
            :camera="plot.camera"
            :draft="raising"
            @select="select"
            @raise="(key, heightM) => (raising = { [key]: heightM })"
            @drop="drop"
          />
          <FrameView
            :set="plot.set"
            :placements="plot.placements"
            :camera="plot.camera"
            :hints="light.light?.hints ?? []"
            :selected="plot.selected"
            @select="select"
          />
        </div>
        <SayBar ref="say" class="saying" />
        <aside class="inspector" aria-label="What is selected">
          <div v-if="plot.chosen" class="mb-2 flex justify-end">
            <button class="text-[12px] text-quiet hover:text-ink" @click="select(undefined)">
              Back to {{ plot.plot.shot.slate }}
            </button>
          </div>
          <PlacementPane v-if="plot.chosen" :key="plot.chosen.placement.key" :placed="plot.chosen" />
          <ShotPane v-else />
        </aside>
      </div>
      <ShotDialog
        :open="dialog === 'shot'"
        :scene="line?.scene"
        :shot="line?.shot"
        @close="dialog = undefined"
        @kept="kept"
      />
      <ShotDialog :open="dialog === 'new'" :scene="line?.scene" :based-on="line?.shot" @close="dialog = undefined" />
      <PlaceDialog :open="dialog === 'place'" :at="middle" @close="dialog = undefined" />
      <CompareDialog :open="dialog === 'compare'" @close="dialog = undefined" />
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
.body {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template:
    'stage ladder inspector' minmax(0, 1fr) 'strip strip inspector' 126px 'say say say' auto / minmax(0, 1fr)
    134px 302px;
}
.stage {
  grid-area: stage;
  position: relative;
  min-height: 0;
}
.beside {
  grid-area: ladder;
  min-height: 0;
}
.strip {
  grid-area: strip;
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 8px;
  align-items: center;
  padding-right: 10px;
  border-top: 1px solid var(--line);
  overflow: hidden;
}
.saying {
  grid-area: say;
}
.inspector {
  grid-area: inspector;
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
.only-narrow {
  display: none;
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
@media (width < 1100px) {
  .body {
    grid-template: 'stage inspector' minmax(0, 1fr) 'strip inspector' 126px 'say say' auto / minmax(0, 1fr) 302px;
  }
  .beside {
    display: none;
  }
  .sheet .beside {
    display: block;
    grid-area: stage;
    justify-self: end;
    width: 150px;
    background: var(--panel);
  }
  .only-narrow {
    display: inline-flex;
  }
}
@media (width < 800px) {
  .body {
    grid-template: 'stage' minmax(0, 1fr) 'say' auto 'inspector' 34% / minmax(0, 1fr);
  }
  .body.chosen {
    grid-template-rows: minmax(0, 1fr) auto 44%;
  }
  .strip {
    display: none;
  }
  .inspector {
    border-left: 0;
    border-top: 1px solid var(--line);
  }
}
</style>
