<script setup lang="ts">
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { value, type PlanPoint } from '@/api/types'
import ShotPage from '@/components/layout/ShotPage.vue'
import ShotPane from '@/components/inspector/ShotPane.vue'
import CameraPicture from '@/components/plot/CameraPicture.vue'
import HeightStrip from '@/components/plot/HeightStrip.vue'
import MarkLadder from '@/components/plot/MarkLadder.vue'
import PlanButtons from '@/components/plot/PlanButtons.vue'
import PlanEditor from '@/components/plot/PlanEditor.vue'
import PlanProblem from '@/components/plot/PlanProblem.vue'
import SayBar from '@/components/plot/SayBar.vue'
import TryBar from '@/components/plot/TryBar.vue'
import { onPaper, undoing, type Action } from '@/lib/actions'
import { lazy } from '@/lib/lazy'
import { isThing } from '@/lib/words'
import { usePointed, type Pointed } from '@/lib/usePointed'
import { useShortcuts } from '@/lib/useShortcuts'
import { useOverPlan } from '@/lib/useOverPlan'
import { useBook } from '@/stores/book'
import { useLight } from '@/stores/light'
import { usePlot } from '@/stores/plot'
import { useShotEditor } from '@/stores/shotEditor'

const CompareDialog = lazy(() => import('@/components/dialogs/CompareDialog.vue'))
const PlaceDialog = lazy(() => import('@/components/dialogs/PlaceDialog.vue'))
const ShotDialog = lazy(() => import('@/components/dialogs/ShotDialog.vue'))
const LandingCard = lazy(() => import('@/components/plot/LandingCard.vue'))
const SaidPane = lazy(() => import('@/components/moments/SaidPane.vue'))
const CableList = lazy(() => import('@/components/power/CableList.vue'))
const SunLook = lazy(() => import('@/components/sun/SunLook.vue'))
const PlacementPane = lazy(() => import('@/components/inspector/PlacementPane.vue'))

/** The plan of the shot to work on, its heights, its light on a mark, and what is selected. */
const props = defineProps<{ shotId: number }>()
defineEmits<{ spine: [] }>()

const plot = usePlot()
const editor = useShotEditor()
const book = useBook()
const light = useLight()
const router = useRouter()
const route = useRoute()
const stage = ref<InstanceType<typeof PlanEditor>>()
const say = ref<InstanceType<typeof SayBar>>()
const dialog = ref<'shot' | 'new' | 'place' | 'compare'>()
const sheet = ref<'light'>()
const middle = ref<PlanPoint>({ xM: 0, yM: 0 })

const { pointed, corner, begin } = usePointed(
  () => stage.value?.middle() ?? middle.value,
  () => props.shotId,
)

const { over, show, sun, fed } = useOverPlan(() => props.shotId)
const line = computed(() => book.shots.get(props.shotId))
const asOf = computed(() => (typeof route.query.event === 'string' ? Number(route.query.event) : undefined))
const actions = computed((): Action[] => [
  ...undoing(),
  { name: 'Place…', disabled: plot.locked, run: openPlace },
  ...(light.trials.length ? [] : [{ name: 'Try without saving', run: () => light.begin() }]),
  { name: 'Light at a point…', run: begin },
  { name: `New shot from ${plot.plot?.shot.slate ?? ''}`, run: () => (dialog.value = 'new') },
  { name: 'By photographs', run: () => router.push({ name: 'survey', params: { id: props.shotId } }) },
  { name: 'Draw the set', run: () => router.push({ name: 'set', params: { id: props.shotId } }) },
  onPaper([
    { name: 'Plot to scale', path: `/api/shots/${props.shotId}/paper/plot`, kinds: ['pdf', 'svg'] },
    { name: 'Shot sheet', path: `/api/shots/${props.shotId}/paper/sheet` },
  ]),
])

/* the ladder is of the mark that is chosen, or that the chosen light is aimed at */
watch(
  () => plot.selected,
  (key) => {
    const chosen = editor.chosen
    const mark = key && chosen && (chosen.placement.kind === 'MARK' ? key : value(chosen, 'AIM')?.mark)
    if (mark && light.light?.marks.some((m) => m.key === mark)) light.chosenMark = mark
  },
)

function drag(moved: Record<string, PlanPoint>) {
  editor.drag(Object.fromEntries(Object.entries(moved).map(([key, at]) => [key, { at }])))
}

function openPlace() {
  middle.value = stage.value?.middle() ?? middle.value
  dialog.value = 'place'
}

useShortcuts((event) => {
  if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z')
    void plot.step(event.shiftKey ? 'redo' : 'undo')
  else if (event.key === '/') say.value?.focus()
  else if (event.key === 'Escape' && pointed.value) pointed.value = undefined
  else return false
  return true
})
onBeforeUnmount(editor.letGo)
</script>

<template>
  <ShotPage
    :shot-id="shotId"
    :as-of="asOf"
    :actions="actions"
    @camera="plot.select(editor.camera?.placement.key)"
    @edit="dialog = 'shot'"
    @spine="$emit('spine')"
  >
    <template v-if="plot.plot && plot.set">
      <TryBar v-if="light.trials.length" @compare="dialog = 'compare'" />
      <div class="body" :class="{ chosen: editor.chosen, sheet }">
        <div class="stage">
          <PlanEditor
            ref="stage"
            :key="plot.plot.sceneId"
            :set="plot.set"
            :slate="plot.plot.shot.slate"
            :placements="editor.placements"
            :selected="plot.selected"
            :also="plot.multiSelection"
            :locked="plot.locked && !light.trying"
            :draft="editor.draft"
            :light="light.light"
            :ghosts="editor.ghosts"
            :pointed="pointed"
            :sun="sun.shown.value"
            :cables="fed?.runs"
            @select="plot.select"
            @drag="drag"
            @turn="(key, bearing) => editor.drag({ [key]: { bearing } })"
            @drop="editor.drop"
            @point="(at, withinM) => (pointed = { ...at, withinM })"
            @hint="(hint) => plot.select(hint.placement)"
          />
          <PlanButtons
            :light="sheet === 'light'"
            :sun="over === 'sun'"
            :cables="over === 'cables'"
            @zoom="(by: number) => stage?.zoom(by)"
            @fit="stage?.fit()"
            @light="sheet = sheet ? undefined : 'light'"
            @sun="show('sun')"
            @cables="show('cables')"
          />
          <LandingCard
            v-if="pointed"
            :class="corner"
            :shot-id="shotId"
            :at="pointed"
            @point="(at: Pointed) => (pointed = at)"
            @close="pointed = undefined"
          />
          <PlanProblem />
        </div>
        <MarkLadder class="beside" />
        <SunLook v-if="over === 'sun'" class="strip looked" :shot-id="shotId" :sun="sun" />
        <CableList v-else-if="over === 'cables'" class="strip looked" :cables="fed?.runs ?? []" :set="fed?.set ?? ''" />
        <div v-else class="strip">
          <HeightStrip
            :set="plot.set"
            :placements="editor.placements"
            :selected="plot.selected"
            :locked="plot.locked && !light.trying"
            :camera="editor.camera"
            :draft="editor.draft"
            @select="plot.select"
            @raise="(key, heightM) => editor.drag({ [key]: { heightM } })"
            @drop="editor.drop"
          />
          <CameraPicture
            :shot-id="shotId"
            :held="Object.keys(editor.draft).length > 0"
            :placements="editor.placements"
            :camera="editor.camera"
            :hints="light.light?.hints ?? []"
            :selected="plot.selected"
            @select="plot.select"
          />
        </div>
        <SayBar ref="say" class="saying" :middle="middle" />
        <aside class="inspector" aria-label="What is selected">
          <div v-if="editor.chosen" class="mb-2 flex justify-end">
            <button class="text-small text-quiet hover:text-ink" @click="plot.select(undefined)">
              Back to {{ plot.plot.shot.slate }}
            </button>
          </div>
          <SaidPane
            v-if="editor.chosen && !isThing(editor.chosen.placement.kind)"
            :key="editor.chosen.placement.key"
            :placed="editor.chosen"
          />
          <PlacementPane v-else-if="editor.chosen" :key="editor.chosen.placement.key" :placed="editor.chosen" />
          <ShotPane v-else />
        </aside>
      </div>
      <ShotDialog :open="dialog === 'shot'" :scene="line?.scene" :shot="line?.shot" @close="dialog = undefined" />
      <ShotDialog :open="dialog === 'new'" :scene="line?.scene" :based-on="line?.shot" @close="dialog = undefined" />
      <PlaceDialog :open="dialog === 'place'" :at="middle" @close="dialog = undefined" />
      <CompareDialog :open="dialog === 'compare'" @close="dialog = undefined" />
    </template>
    <p v-else class="m-auto text-quiet">Opening the plot…</p>
  </ShotPage>
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
.strip.looked {
  display: block;
  padding: 0;
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
}
@media (width < 800px) {
  .body {
    grid-template: 'stage' minmax(0, 1fr) 'say' auto 'inspector' 34% / minmax(0, 1fr);
  }
  .body.chosen {
    grid-template-rows: minmax(0, 1fr) auto 44%;
  }
  /* a small plan keeps its scale and its hints: the buttons stand below it */
  .stage {
    padding-bottom: 56px;
  }
  .strip:not(.looked) {
    display: none;
  }
  .body:has(.looked) {
    grid-template: 'stage' minmax(0, 1fr) 'strip' auto 'say' auto 'inspector' 20% / minmax(0, 1fr);
  }
  .inspector {
    border-left: 0;
    border-top: 1px solid var(--line);
  }
  /* while something is said, what it does is what is read */
  .body:has(.speaking) {
    grid-template: 'stage' minmax(0, 1fr) 'say' auto / minmax(0, 1fr);
  }
  .body:has(.speaking) .inspector {
    display: none;
  }
}
</style>
