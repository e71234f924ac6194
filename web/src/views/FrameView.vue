<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRead } from '@/api/reads'
import CompareDialog from '@/components/dialogs/CompareDialog.vue'
import FramePicture from '@/components/frame/FramePicture.vue'
import FramePoints from '@/components/frame/FramePoints.vue'
import FrameStrip from '@/components/frame/FrameStrip.vue'
import PointSources from '@/components/frame/PointSources.vue'
import ShotPage from '@/components/layout/ShotPage.vue'
import BustPicture from '@/components/light/BustPicture.vue'
import ReadThrough from '@/components/match/ReadThrough.vue'
import TryBar from '@/components/plot/TryBar.vue'
import { undoing, type Action } from '@/lib/actions'
import { pointsAt } from '@/lib/framePoints'
import { useFrame } from '@/lib/useFrame'
import { useBook } from '@/stores/book'
import { useLight } from '@/stores/light'
import { usePlot } from '@/stores/plot'
import { useShotEditor } from '@/stores/shotEditor'

/** What the camera sees before it is lit: the predicted picture, with lines of equal exposure and the light at points. */
const props = defineProps<{ shotId: number }>()
defineEmits<{ spine: [] }>()
const plot = usePlot()
const editor = useShotEditor()
const light = useLight()
const book = useBook()

const LINES = [
  { perStop: 0, name: 'no lines' },
  { perStop: 1, name: 'stops' },
  { perStop: 3, name: 'thirds' },
]
const WIDE = 832
const perStop = ref(1)
const of = ref<'LIGHT' | 'PICTURE'>('LIGHT')
const camera = ref<string>()
const touched = ref<{ x: number; y: number }[]>([])
const chosen = ref(0)
const comparing = ref(false)
watch(
  () => props.shotId,
  () => {
    touched.value = []
    chosen.value = 0
    camera.value = undefined
  },
)

const cameras = computed(() => editor.placements.filter((p) => p.placement.kind === 'CAMERA' && p.onSet))
const sceneId = computed(() => book.sceneOf(props.shotId))
/** Another curve makes other percents of the same light. */
const { data: monitor, problem } = useRead('monitor', () =>
  sceneId.value === undefined ? undefined : { sceneId: sceneId.value },
)
const { frame, done, refused } = useFrame(() =>
  light.answer && monitor.value && plot.plot?.shot.id === props.shotId
    ? {
        shotId: props.shotId,
        through: monitor.value.label,
        body: {
          ...light.question,
          camera: camera.value,
          width: WIDE,
          of: of.value,
          perStop: perStop.value,
          touched: touched.value,
        },
      }
    : undefined,
)
/** The points of the last whole picture stay while a coarse one is shown. */
const told = ref<typeof frame.value>()
watch(frame, (now) => {
  if (!now?.coarse) told.value = now
})
const points = computed(() => pointsAt(told.value?.points ?? [], light.mark?.key))
const slate = computed(() => plot.plot?.shot.slate ?? '')
const title = computed(() => {
  if (light.trying && !light.showRecord) return 'tried, nothing is kept; a meter decides'
  return light.muted.length
    ? 'some lights are out; a meter decides'
    : `by the record of ${slate.value}; a meter decides`
})

const MOST_TOUCHED = 12
function touch(x: number, y: number) {
  touched.value = [...touched.value.slice(1 - MOST_TOUCHED), { x, y }]
  chosen.value = points.value.filter((p) => p.kind !== 'TOUCHED').length + touched.value.length - 1
}
function drop(index: number) {
  const first = points.value.length - touched.value.length
  touched.value = touched.value.filter((_, i) => i !== index - first)
  chosen.value = 0
}
const actions = computed((): Action[] => [
  ...(light.trials.length ? [] : [{ name: 'Try without saving', run: () => light.begin() }]),
  ...undoing(),
])
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
      <div class="body">
        <section class="main">
          <header>
            <h2 class="text-lead">Predicted picture</h2>
            <span class="grow text-small text-quiet">{{ title }}</span>
            <select v-if="cameras.length > 1" v-model="camera" class="field !w-auto" aria-label="Camera">
              <option v-for="(c, i) in cameras" :key="c.placement.key" :value="i ? c.placement.key : undefined">
                {{ c.placement.name }}
              </option>
            </select>
            <div class="choice" role="group" aria-label="Lines of equal exposure">
              <button
                v-for="l in LINES"
                :key="l.perStop"
                :aria-pressed="perStop === l.perStop"
                @click="perStop = l.perStop"
              >
                {{ l.name }}
              </button>
            </div>
            <div class="choice" role="group" aria-label="What the lines tell">
              <button :aria-pressed="of === 'LIGHT'" :disabled="!perStop" @click="of = 'LIGHT'">of the light</button>
              <button :aria-pressed="of === 'PICTURE'" :disabled="!perStop" @click="of = 'PICTURE'">
                of the picture
              </button>
            </div>
          </header>
          <div class="stage">
            <p v-if="refused || problem" class="m-auto p-6 text-center" role="alert">{{ refused || problem }}</p>
            <FramePicture
              v-else-if="frame"
              class="fits"
              :frame="frame"
              :name="slate"
              :points="frame.coarse ? [] : points"
              :chosen="chosen"
              @touch="touch"
              @choose="chosen = $event"
            />
            <p v-else class="m-auto text-quiet" role="status">Working out the picture…</p>
            <progress v-if="done !== undefined" :value="done" max="1" aria-label="The picture is being worked out" />
          </div>
          <FramePoints v-if="points.length" :points="points" :chosen="chosen" @choose="chosen = $event" @drop="drop" />
          <p class="note">
            A model: a plain picture of the plan, matt and even, nothing out of focus, no film stock. Nets, glass and
            what mirrors show are not drawn; who stands there is a bust. Touch the picture: it tells the light
            there.<template v-if="sceneId !== undefined"
              >{{ ' ' }}Percents are read <ReadThrough :scene-id="sceneId"
            /></template>
          </p>
        </section>
        <aside>
          <section v-if="light.mark" class="bust">
            <BustPicture
              class="flex-1"
              :shot-id="shotId"
              :mark="light.mark.key"
              :name="`Bust at ${light.mark.name}`"
              cheeks
            />
          </section>
          <section v-if="light.light" class="each">
            <PointSources :source="light.light" :point="points[chosen]" :number="chosen + 1" />
          </section>
        </aside>
        <FrameStrip class="strip" :shot-id="shotId" :waits="!told && !refused" />
      </div>
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
  grid-template: 'main aside' minmax(0, 1fr) 'strip strip' auto / minmax(0, 1fr) 312px;
}
.main {
  grid-area: main;
  min-height: 0;
  min-width: 0;
  display: flex;
  flex-direction: column;
  padding: 8px 16px 0;
}
.main header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 10px;
  padding-bottom: 6px;
}
.stage {
  position: relative;
  flex: 1;
  min-height: 0;
  display: flex;
  container-type: size;
}
.fits {
  width: min(100cqw, calc(100cqh * 16 / 9));
  margin: 0 auto;
}
progress {
  position: absolute;
  bottom: 0;
  left: 0;
  width: 100%;
  height: 3px;
  accent-color: var(--accent);
}
.note {
  padding: 4px 0 6px;
  font-size: var(--text-fine);
  color: var(--quiet);
}
aside {
  grid-area: aside;
  min-height: 0;
  display: flex;
  flex-direction: column;
  border-left: 1px solid var(--line);
  background: var(--panel);
}
aside > section {
  display: flex;
  flex-direction: column;
  padding: 8px 12px;
}
aside .bust {
  flex: 1.15;
  min-height: 210px;
  border-bottom: 1px solid var(--line);
}
aside .each {
  flex: 1;
  min-height: 140px;
}
.strip {
  grid-area: strip;
  min-height: 144px;
}
.choice {
  display: flex;
  border: 1px solid var(--line);
  border-radius: var(--radius-mark);
}
.choice button {
  padding: 3px 9px;
  font-size: var(--text-base);
  color: var(--quiet);
}
.choice button[aria-pressed='true'] {
  color: var(--ink);
  outline: 1px solid var(--accent);
  outline-offset: -1px;
}
.choice button:disabled {
  opacity: 0.5;
}
@media (width < 1100px) {
  .body {
    display: block;
    overflow-y: auto;
  }
  .stage {
    container-type: inline-size;
    min-height: calc(100cqw * 9 / 16);
  }
  .fits {
    width: 100%;
  }
  aside {
    border-left: none;
  }
  aside .bust {
    min-height: 320px;
  }
}
@media (pointer: coarse) {
  .choice button {
    min-height: 44px;
    min-width: 44px;
  }
}
</style>
