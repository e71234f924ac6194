<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { sentence } from '@/api/client'
import { useRead } from '@/api/reads'
import { value, type Finding, type NewPlacement, type Placed } from '@/api/types'
import ReasonPicker from '@/components/inspector/ReasonPicker.vue'
import ConflictDialog from '@/components/dialogs/ConflictDialog.vue'
import ConnectionState from '@/components/layout/ConnectionState.vue'
import SpineButton from '@/components/layout/SpineButton.vue'
import ViewTabs from '@/components/layout/ViewTabs.vue'
import RebuildPlan from '@/components/rebuild/RebuildPlan.vue'
import LandmarkPicker from '@/components/walk/LandmarkPicker.vue'
import NewThing from '@/components/walk/NewThing.vue'
import SayKind from '@/components/walk/SayKind.vue'
import WalkBlocks from '@/components/walk/WalkBlocks.vue'
import WalkEnd from '@/components/walk/WalkEnd.vue'
import WalkFigure from '@/components/walk/WalkFigure.vue'
import WalkKeys from '@/components/walk/WalkKeys.vue'
import WalkNotices from '@/components/walk/WalkNotices.vue'
import WalkPhoto from '@/components/walk/WalkPhoto.vue'
import WalkRow from '@/components/walk/WalkRow.vue'
import WalkSheet from '@/components/walk/WalkSheet.vue'
import WalkTapes from '@/components/walk/WalkTapes.vue'
import { guesses } from '@/lib/recordCount'
import { useShortcuts } from '@/lib/useShortcuts'
import { useSubmit } from '@/lib/useSubmit'
import { CHOSEN, useWalk, type WalkStep } from '@/lib/useWalk'
import { useWalkEntry, type TapeLetter } from '@/lib/useWalkEntry'
import { useConnection } from '@/stores/connection'
import { usePlot } from '@/stores/plot'

/** As it stands: a lit set is walked, thing by thing, with a tape, a phone and a free thumb. */
const props = defineProps<{ shotId: number }>()
defineEmits<{ spine: [] }>()
const plot = usePlot()
const router = useRouter()
const connection = useConnection()
watch(
  () => props.shotId,
  (id) => plot.open(id),
  { immediate: true },
)

const walk = useWalk(() => props.shotId)
const entry = useWalkEntry(walk)
const { things, at, thing, next, steps, unseen } = walk
const keys = ref<InstanceType<typeof WalkKeys>>()
const finding = ref(false)
const { busy, error, submit } = useSubmit()
const landmarkOf = ref<TapeLetter>()
/** Of which nobody said what it is. */
const unsaid = ref<Placed>()
const sheet = computed(() => CHOSEN.find((attribute) => attribute === entry.field.value))
const marks = computed(() => things.value.filter((t) => t.placement.kind === 'MARK' && t !== thing.value))
const shot = computed(() => (plot.plot?.shot.id === props.shotId ? plot.plot.shot : undefined))
const based = computed(() => shot.value?.basedOn)
const ended = computed(() => things.value.length > 0 && at.value >= things.value.length)
const missing = computed(() => things.value.filter((t) => guesses(t).length).length)

/* the rig is asked what its units say, while the line stands */
const patched = computed(() => !!thing.value && !!value(thing.value, 'PATCH')?.universe)
const { data: readBack } = useRead('readBack', () =>
  patched.value && connection.live ? { shotId: props.shotId } : undefined,
)
function driftOf(step: WalkStep) {
  const key = thing.value?.placement.key
  return readBack.value?.drift.find((d) => d.key === key && d.attribute === step.attribute && d.rigs)
}

/** All that is recorded of it stands so; then the next thing. */
function rest() {
  const key = thing.value?.placement.key
  const all = unseen.value
  later()
  if (key && all.length) void plot.look(key, all).catch((failure) => (error.value = sentence(failure)))
}
function later() {
  entry.close()
  at.value++
}
function strike() {
  const key = thing.value?.placement.key
  if (!key) return
  void submit(async () => {
    await plot.record(key, 'STANDING', { value: { state: 'STRUCK' } }, undefined, true)
    walk.forgetStruck() // it is known here
  })
}
function found(body: Omit<NewPlacement, 'key' | 'reason'>) {
  void submit(async () => {
    const key = await plot.placeFound(body)
    finding.value = false
    await nextTick()
    walk.goTo(key)
    await nextTick()
    entry.open('A')
  })
}
function mend(of: Placed, what: Finding) {
  walk.goTo(of.placement.key)
  const { attribute } = what
  if (!attribute) unsaid.value = of
  else void nextTick(() => entry.open(what.gap === 'PLACE' && !what.guess ? 'C' : attribute))
}
function onThePlot(of: Placed) {
  plot.select(of.placement.key)
  void router.push({ name: 'plot', params: { id: props.shotId } })
}
/** The first thing of which somebody would have to guess something. */
function walkThese() {
  const first = things.value.find((t) => guesses(t).length)
  if (first) mend(first, guesses(first)[0]!)
}
function aimAt(mark: Placed) {
  const heightM = value(mark, 'HEIGHT')?.heightM ?? 1.5
  entry.choose('AIM', { value: { mark: mark.placement.key, heightM } })
}
useShortcuts((event) => {
  if (entry.kind.value && !landmarkOf.value) {
    keys.value?.onKey(event)
    return event.defaultPrevented
  }
  return false
})
</script>

<template>
  <div class="view">
    <ViewTabs :shot-id="shotId" class="phone:hidden" />
    <header class="border-b border-line px-5 pt-2.5 pb-1 text-lead">
      <div class="flex items-center">
        <SpineButton class="mr-3 hidden phone:inline-flex" @click="$emit('spine')" />
        <span class="min-w-0 truncate"
          ><b class="font-bold">{{ shot?.slate }}</b> <span class="text-quiet">as it stands</span></span
        >
        <RouterLink
          class="ml-2 inline-flex min-h-11 items-center px-2 text-quiet underline"
          :to="{ name: 'plot', params: { id: shotId } }"
          >plot</RouterLink
        >
        <ConnectionState class="ml-auto" />
        <span v-if="thing" class="ml-2 flex-none"
          ><b class="font-bold">{{ at + 1 }}</b> of {{ things.length }}</span
        >
      </div>
      <WalkBlocks :walk="walk" />
      <p v-if="!ended" class="flex items-center justify-between pb-1 text-small" role="status">
        <span data-count="rebuilt">{{ walk.couldBeRebuilt.value }} of {{ things.length }} could be rebuilt</span>
        <button v-if="things.length" class="text-quiet underline" @click="at = things.length">what is missing</button>
      </p>
    </header>
    <WalkNotices :walk="walk" :error="error" />
    <div v-if="ended" class="min-h-0 flex-1 overflow-y-auto">
      <WalkEnd :walk="walk" :shot-id="shotId" @mend="mend" />
    </div>
    <template v-else-if="thing">
      <div class="px-5 pt-2 pb-2">
        <h1 class="truncate text-huge leading-10 font-bold">{{ thing.placement.name }}</h1>
        <p class="truncate text-quiet">
          {{ [thing.placement.piece.unit, thing.placement.piece.what].filter(Boolean).join(', ') }}
        </p>
      </div>
      <div
        class="grid min-h-0 border-y border-line"
        :class="entry.kind.value ? 'flex-1' : 'h-[21vh] flex-none grid-cols-[minmax(0,1fr)_154px]'"
      >
        <RebuildPlan
          v-if="plot.set"
          :key="thing.placement.key"
          :set="plot.set"
          :placed="thing"
          pulled-only
          :of="entry.asksSide.value ? [entry.tapes.A.landmark, entry.tapes.B.landmark] : undefined"
          @side="entry.stand"
        />
        <WalkPhoto
          v-if="!entry.kind.value"
          :shot-id="shotId"
          :slate="shot?.slate ?? ''"
          :thing="{ key: thing.placement.key, name: thing.placement.name }"
        />
      </div>
      <template v-if="entry.kind.value">
        <WalkFigure class="flex-none" :walk="walk" :entry="entry" :marks="marks" :based="based" @aim="aimAt" />
        <WalkKeys
          ref="keys"
          :entry="entry"
          :keep-name="entry.field.value === 'C' && !entry.text.value ? 'Without a check' : 'Keep'"
          @other="landmarkOf = entry.field.value as TapeLetter"
        />
      </template>
      <div v-else class="min-h-0 flex-1 overflow-y-auto">
        <WalkTapes :walk="walk" :entry="entry" :based="based" :shot-id="shotId" />
        <div v-if="entry.refused.PLACE" class="border-b border-line px-5 py-2">
          <p role="alert">{{ entry.refused.PLACE }}</p>
          <div class="mt-2 flex flex-wrap gap-2">
            <template v-if="entry.asksSide.value"
              ><button class="button min-h-13 grow" @click="entry.stand('LEFT')">On my left</button
              ><button class="button min-h-13 grow" @click="entry.stand('RIGHT')">On my right</button></template
            >
            <button v-else-if="entry.asksOutside.value" class="button min-h-13 grow" @click="entry.standOutside">
              It stands outside, on purpose
            </button>
            <button v-else-if="entry.tapes.C.text" class="button min-h-11" @click="entry.keepTapes('C')">
              Leave the check out
            </button>
          </div>
        </div>
        <WalkRow
          v-for="step in steps"
          :key="step.attribute"
          :thing="thing"
          :step="step"
          :based="based"
          :refused="step.attribute === 'PLACE' ? undefined : entry.refused[step.attribute]"
          :rig="driftOf(step)?.sentence"
          @open="entry.open(step.attribute)"
          @as-before="entry.asBefore(step.attribute)"
          @as-rig="entry.choose(step.attribute, { value: driftOf(step)!.rigs! })"
        />
        <div class="flex flex-wrap gap-2 px-5 py-3">
          <button class="button min-h-11" @click="finding = true">Something new…</button>
          <button class="button min-h-11" @click="onThePlot(thing)">All of it on the plot</button>
        </div>
        <ReasonPicker class="px-5 pb-3" />
      </div>
    </template>
    <div v-else-if="shot" class="m-auto max-w-sm p-6 text-center">
      <p class="text-lead">Nothing is recorded of {{ shot.slate }} yet. Begin with what stands nearest.</p>
      <button class="button button-main mt-3 min-h-13" @click="finding = true">Something new…</button>
    </div>
    <footer v-if="things.length && !entry.kind.value" class="border-t border-line px-5 pt-2.5 pb-3">
      <div class="flex gap-2.5">
        <template v-if="ended">
          <button v-if="missing" class="button button-main main" @click="walkThese">Walk these {{ missing }}</button>
          <RouterLink
            class="button main"
            :class="{ 'button-main': !missing }"
            :to="{ name: 'plot', params: { id: shotId } }"
            >Keep, {{ walk.couldBeRebuilt.value }} of {{ things.length }}</RouterLink
          >
        </template>
        <template v-else>
          <button class="button button-main main" @click="rest">
            {{ unseen.length ? `Rest as ${based ? `in ${based}` : 'planned'}` : 'Next' }}
          </button>
          <button class="button main second" :disabled="busy || plot.locked" @click="strike">Not on set</button>
        </template>
      </div>
      <div class="mt-2 flex items-center gap-3">
        <button class="button min-h-11" :disabled="at === 0" @click="at--">Back</button>
        <p class="min-w-0 grow truncate text-quiet">
          <template v-if="next"
            >next: <b class="font-strong text-ink">{{ next.placement.name }}</b></template
          ><template v-else-if="!ended">next: what a stranger would miss</template>
        </p>
        <button v-if="ended" class="button min-h-11" @click="finding = true">Something new…</button>
        <button v-else class="button min-h-11" @click="later">Later</button>
      </div>
    </footer>
    <WalkSheet
      v-if="thing"
      :shot-id="shotId"
      :thing="thing"
      :attribute="sheet"
      @close="entry.close"
      @choose="entry.choose"
      @stands="entry.asBefore"
    />
    <NewThing :open="finding" :things="things" :busy="busy" :error="error" @close="finding = false" @found="found" />
    <SayKind :thing="unsaid" :things="things" @close="unsaid = undefined" />
    <LandmarkPicker
      :letter="landmarkOf"
      :shot-id="shotId"
      @close="landmarkOf = undefined"
      @pick="(name) => (entry.takeLandmark(landmarkOf!, name), (landmarkOf = undefined))"
    />
    <ConflictDialog v-if="plot.conflict" />
  </div>
</template>

<style scoped>
.main {
  flex: 1;
  min-height: 66px;
  font-size: var(--text-large);
}
.main.second {
  font-size: var(--text-title);
}
</style>
