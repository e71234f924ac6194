<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { answer, api } from '@/api/client'
import { outdate } from '@/api/reads'
import ShotPage from '@/components/layout/ShotPage.vue'
import AddStills from '@/components/stills/AddStills.vue'
import LikePoints from '@/components/stills/LikePoints.vue'
import StillPane from '@/components/stills/StillPane.vue'
import StillSide from '@/components/stills/StillSide.vue'
import StillStrip from '@/components/stills/StillStrip.vue'
import type { Action } from '@/lib/actions'
import { isRead, STILL_KINDS } from '@/lib/stills'
import { useStills } from '@/lib/useStills'
import { useSubmit } from '@/lib/useSubmit'
import { useBook } from '@/stores/book'
import { useOutbox } from '@/stores/outbox'
import { useSession } from '@/stores/session'

/** Frames that were shot: what is read off one, beside another and beside what was predicted. */
const props = defineProps<{ shotId: number }>()
defineEmits<{ spine: [] }>()
const book = useBook()
const session = useSession()
const outbox = useOutbox()
const sceneId = computed(() => book.sceneOf(props.shotId))
const slate = computed(() => book.shots.get(props.shotId)?.shot.slate ?? '')
const { stills, still, other, pair, shown, against, problem, show, hold, mark, say, reference } = useStills(
  () => props.shotId,
  () => sceneId.value,
  Number(useRoute().query.still) || undefined,
)
const LINES = [
  { every: 0, name: 'no lines' },
  { every: 2, name: 'every 2 stops' },
  { every: 1, name: 'stops' },
]
const every = ref(2)
const chosen = ref<number>()
const adding = ref(false)
const flicked = ref(false)
const taken = ref<number>()
watch(
  () => props.shotId,
  () => {
    chosen.value = undefined
    taken.value = undefined
    flicked.value = false
  },
)
const may = computed(() => session.may('NOTE'))
const { error, submit } = useSubmit()
const cheeks = computed(() =>
  (other.value?.points ?? []).flatMap((p) => (p.name.endsWith('cheek') && p.stops !== undefined ? [p.stops] : [])),
)
/** Where both are shown in one place, one sees at once what is another. */
const sides = computed(() => {
  if (!still.value) return []
  if (!other.value) return [still.value]
  return flicked.value ? [other.value, other.value] : [other.value, still.value]
})

function remember(points: { name: string; x: number; y: number }[]) {
  if (still.value) say(still.value, { points })
}
const plain = computed(() => (still.value?.points ?? []).map(({ name, x, y }) => ({ name, x, y })))
function rename(index: number, name: string) {
  remember(plain.value.map((p, i) => (i === index ? { ...p, name: name.trim() || p.name } : p)))
}
function takeOut() {
  const id = shown.value!.id
  void submit(async () => {
    await answer(api.DELETE('/api/notes/{id}', { params: { path: { id } } }))
    await outdate({ topics: ['NOTES'] })
    taken.value = id
  })
}
function bringBack() {
  void submit(async () => {
    await answer(api.POST('/api/notes/{id}/back', { params: { path: { id: taken.value! } } }))
    taken.value = undefined
    await outdate({ topics: ['NOTES'] })
  })
}
function keepReading() {
  const { head, line } = still.value!
  void submit(async () => {
    await outbox.send(
      { kind: 'reading', shotId: head.shotId, body: { line: line!, run: head.run, sure: false } },
      `reading in ${head.slate}: ${line}`,
    )
    await outdate({ topics: ['READINGS'] })
  })
}
const actions = computed((): Action[] => (may.value ? [{ name: 'Add stills…', run: () => (adding.value = true) }] : []))
</script>

<template>
  <ShotPage :shot-id="shotId" :actions="actions" @spine="$emit('spine')">
    <div class="body">
      <div class="main">
        <header>
          <h1 class="text-lead grow">Stills</h1>
          <button v-if="other" class="button" :aria-pressed="flicked" @click="flicked = !flicked">
            {{ flicked ? `Back to ${still?.head.slate}` : 'Flick' }}
          </button>
          <div class="choice" role="group" aria-label="Lines of equal exposure">
            <button v-for="l in LINES" :key="l.every" :aria-pressed="every === l.every" @click="every = l.every">
              {{ l.name }}
            </button>
          </div>
        </header>
        <p v-if="problem || error" role="alert">{{ problem || error }}</p>
        <p v-if="taken !== undefined" role="status">
          Taken out. <button class="underline min-h-8" @click="bringBack">Bring it back</button>
        </p>
        <div v-if="sides.length" class="sides" :class="{ one: sides.length === 1 }">
          <StillSide
            v-for="(s, i) in sides"
            :key="i"
            :still="s"
            :every="every"
            :chosen="chosen"
            :against="i === sides.length - 1 && sides.length > 1 ? cheeks : undefined"
            :touchable="may && !flicked && isRead(s.head.kind)"
            @touch="(x, y) => mark(x, y, s)"
            @choose="chosen = $event"
          />
        </div>
        <p v-else-if="shown && !problem" class="m-auto p-8 text-quiet" role="status">Reading the picture…</p>
        <p v-else-if="!problem" class="m-auto p-8 text-center text-quiet">
          No still of {{ slate }} yet. Put in a frame of the camera: its cheeks are read, and held against the wide.
        </p>
        <template v-if="still && isRead(still.head.kind)">
          <p class="text-small text-quiet pl-8">
            Signal across the picture: a reed for each column, thick where half of it lies, in stops from a grey card at
            the camera’s stop<template v-if="cheeks.length">; dashed: the cheeks of {{ other?.head.slate }}</template
            >. A touch marks a point.
          </p>
          <LikePoints
            :still="still"
            :other="other"
            :pair="pair"
            :chosen="chosen"
            :editable="may"
            @choose="chosen = $event"
            @drop="remember(plain.filter((_, i) => i !== $event))"
            @rename="rename"
          />
        </template>
      </div>
      <StillPane
        v-if="still && sceneId !== undefined"
        class="aside"
        :still="still"
        :other="other"
        :pair="pair"
        :scene-id="sceneId"
      >
        <div v-if="may" class="flex flex-wrap gap-2">
          <select
            class="field !w-auto"
            aria-label="What it is"
            :value="still.head.kind"
            @change="say(still!, { kind: ($event.target as HTMLSelectElement).value as typeof still.head.kind })"
          >
            <option v-for="k in STILL_KINDS" :key="k.key" :value="k.key">{{ k.name }}</option>
          </select>
          <label class="flex items-center gap-1.5 min-h-8"
            ><input
              type="checkbox"
              class="size-6"
              :checked="still.head.videoRange"
              @change="say(still!, { videoRange: ($event.target as HTMLInputElement).checked })"
            />
            video range</label
          >
          <button v-if="still.line" class="button" @click="keepReading">Keep as a reading</button>
          <button v-if="session.may('EDIT') && !still.head.reference" class="button" @click="reference">
            Make it the reference
          </button>
          <button class="button" @click="takeOut">Take out</button>
        </div>
      </StillPane>
      <StillStrip
        v-if="stills.length"
        class="strip"
        :stills="stills"
        :shown="shown?.id"
        :against="against?.id"
        @show="show"
        @hold="hold"
      />
    </div>
    <AddStills :open="adding" :shot-id="shotId" :slate="slate" @close="adding = false" />
  </ShotPage>
</template>

<style scoped>
.body {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template: 'main aside' minmax(0, 1fr) 'strip strip' auto / minmax(0, 1fr) auto;
}
.main {
  grid-area: main;
  min-width: 0;
  overflow-y: auto;
  display: flex;
  flex-direction: column;
  gap: 4px;
  padding: 8px 16px;
}
.main header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}
.sides {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 16px;
}
.one {
  grid-template-columns: minmax(0, 640px);
}
.aside {
  grid-area: aside;
  width: 268px;
}
.strip {
  grid-area: strip;
  min-width: 0;
}
.choice {
  display: flex;
  border: 1px solid var(--line);
  border-radius: var(--radius-mark);
}
.choice button {
  padding: 3px 9px;
  color: var(--quiet);
}
.choice button[aria-pressed='true'] {
  color: var(--ink);
  outline: 1px solid var(--accent);
  outline-offset: -1px;
}
@media (width < 1100px) {
  .body {
    display: block;
    overflow-y: auto;
  }
  .aside {
    width: auto;
    border-left: none;
  }
}
@media (width < 800px) {
  .sides {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media (pointer: coarse) {
  .choice button {
    min-height: 44px;
    min-width: 44px;
  }
}
</style>
