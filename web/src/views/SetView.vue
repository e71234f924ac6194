<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { onBeforeRouteLeave, RouterLink, useRouter } from 'vue-router'
import { answer, api, ApiError, onVersion } from '@/api/client'
import { outdate } from '@/api/reads'
import { value, type DrawnSet, type PlanPoint } from '@/api/types'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import ChosenPiece from '@/components/set/ChosenPiece.vue'
import SetEditor from '@/components/set/SetEditor.vue'
import SetTools from '@/components/set/SetTools.vue'
import { SCALING, TOOLS } from '@/components/set/tools'
import WholeSet from '@/components/set/WholeSet.vue'
import { useSetDrawing } from '@/lib/useSetDrawing'
import { useSubmit } from '@/lib/useSubmit'
import { usePlot } from '@/stores/plot'
import { useShotEditor } from '@/stores/shotEditor'

/** Draws the set: walls, openings, what stands in it, landmarks, what the place does not allow, a picture under it all. */
const props = defineProps<{
  /** The shot that it is drawn from. */ shotId?: number
  /** A set by itself, for no scene yet too. */ setId?: number
}>()
defineEmits<{ spine: [] }>()
const plot = usePlot()
const editor = useShotEditor()
const router = useRouter()
const drawing = useSetDrawing()
const { set, plan, tool, chosen, corners, changed } = drawing

const stage = ref<InstanceType<typeof SetEditor>>()
const drawn = ref<DrawnSet>()
const scenes = ref<string[]>([])
const scaling = ref<{ first: PlanPoint; second: PlanPoint; distance: string }>()
const conflict = ref<DrawnSet>()
/** Whether what was taped from a landmark that moved has to be decided. */
const asksTaped = ref(false)
const leaving = ref<string>()
const kept = ref(false)
const {
  busy,
  error: problem,
  submit,
} = useSubmit((refusal: ApiError) => {
  asksTaped.value = refusal.field === 'taped'
  if (refusal.conflict && typeof refusal.conflict === 'object' && 'set' in refusal.conflict)
    conflict.value = refusal.conflict as DrawnSet
})

const now = computed(() => TOOLS.find((t) => t.key === tool.value) ?? SCALING)
const standing = computed(() =>
  (props.shotId === undefined ? [] : editor.placements).flatMap((p) => {
    const at = p.onSet && value(p, 'PLACE')
    return at && !at.outside ? [{ name: p.placement.name, at }] : []
  }),
)

watch(
  () => props.shotId,
  (id) => id !== undefined && plot.open(id),
  { immediate: true },
)
watch(
  () => props.setId ?? (plot.plot?.shot.id === props.shotId ? plot.plot?.drawn.id : undefined),
  (setId) => {
    if (setId === undefined) return
    void submit(async () => {
      const page = await answer(api.GET('/api/sets/{setId}', { params: { path: { setId } } }))
      take(page.drawn)
      scenes.value = page.scenes
    })
  },
  { immediate: true },
)
watch(set, () => (kept.value = false))

function take(d: DrawnSet) {
  drawn.value = d
  drawing.take(d)
  conflict.value = undefined
  asksTaped.value = false
  problem.value = ''
}

function done(points: PlanPoint[]) {
  const [first, second] = points
  if (tool.value === 'scale' && first && second) scaling.value = { first, second, distance: '' }
  drawing.finish(points)
}

function pacedOut(points: PlanPoint[]) {
  drawing.put('walls', { points })
  stage.value?.fit()
}

function scale() {
  const { underlay } = plan.value
  const between = scaling.value
  if (!between || !underlay) return
  void submit(async () => {
    drawing.change({ underlay: await answer(api.POST('/api/sets/underlay', { body: { underlay, ...between } })) })
    scaling.value = undefined
    stage.value?.fit()
  })
}

async function keep(version = drawn.value?.version, taped?: 'FOLLOWS' | 'STAYS') {
  const setId = drawn.value?.id
  if (setId === undefined) return
  const params = { path: { setId }, query: { taped }, header: onVersion(version) }
  kept.value = await submit(async () => {
    take(await answer(api.PUT('/api/sets/{setId}', { params, body: set.value })))
    await outdate({ topics: ['SET'] })
  })
}

onBeforeRouteLeave((to) => {
  if (!changed.value) return true
  leaving.value = to.fullPath
  return false
})
async function leave() {
  const to = leaving.value
  if (drawn.value) drawing.take(drawn.value)
  leaving.value = undefined
  if (to) await router.push(to)
}
</script>

<template>
  <div class="view">
    <header class="flex gap-3 items-center min-h-13 py-1 px-3.5 bg-panel border-b border-line">
      <RouterLink v-if="shotId" class="button" :to="{ name: 'plot', params: { id: shotId } }"
        >Back to {{ plot.plot?.shot.slate ?? 'the plot' }}</RouterLink
      >
      <RouterLink v-else class="button" :to="{ name: 'book' }">To the book</RouterLink>
      <h1 class="text-lead">{{ set.name }}</h1>
      <span v-if="scenes.length > 1" class="text-quiet">for scenes {{ scenes.join(', ') }}: all of them change</span>
      <span class="grow" />
      <span v-if="kept" role="status" class="text-quiet">Kept.</span>
      <button class="button" :disabled="!changed" @click="drawing.undo">Undo</button>
      <button class="button button-main" :disabled="busy || !changed" @click="keep()">Keep the set</button>
    </header>
    <SetTools
      v-model:tool="tool"
      :last="plan.walls.at(-1)?.points ?? []"
      @walls="pacedOut"
      @refused="(sentence) => (problem = sentence)"
    />
    <p
      v-if="problem || (shotId && plot.unreadable)"
      role="alert"
      class="flex gap-2 items-center py-1.5 px-3.5 border-b border-line"
    >
      <WedgeMark act /><span class="grow">{{ problem || plot.unreadable }}</span>
      <template v-if="conflict"
        ><button class="button" @click="take(conflict)">Take theirs</button
        ><button class="button" @click="keep(conflict.version)">Put mine on top</button></template
      >
      <template v-else-if="asksTaped"
        ><button class="button" @click="keep(drawn?.version, 'FOLLOWS')">It follows its tapes</button
        ><button class="button" @click="keep(drawn?.version, 'STAYS')">It stays</button></template
      >
      <button v-if="!conflict" class="button" @click="problem = ''">Leave it</button>
    </p>
    <div
      class="body flex-1 min-h-0 grid grid-cols-[minmax(0,1fr)_302px] phone:grid-cols-[minmax(0,1fr)] phone:grid-rows-[minmax(0,1fr)_42%]"
    >
      <SetEditor
        ref="stage"
        :plan="plan"
        :clicks="now.clicks"
        :hint="now.hint"
        :corners="tool === 'choose' ? corners : []"
        :standing="standing"
        @done="done"
        @corner="drawing.corner"
        @pick="drawing.pick"
      />
      <aside
        class="min-h-0 overflow-y-auto grid content-start gap-2 p-3 bg-panel border-l border-line"
        aria-label="What is chosen"
      >
        <form v-if="scaling" class="grid gap-2" @submit.prevent="scale">
          <h2 class="text-lead">How far apart are they?</h2>
          <input
            v-model="scaling.distance"
            class="field"
            placeholder="3.4 m, or 11'2&quot;"
            aria-label="Distance between both points"
          />
          <div class="flex gap-2">
            <button class="button button-main" :disabled="busy">Scale the picture</button
            ><button type="button" class="button" @click="scaling = undefined">Not now</button>
          </div>
        </form>
        <ChosenPiece v-else-if="chosen" :key="`${chosen.list}${chosen.at}`" :drawing="drawing" />
        <WholeSet v-else :drawing="drawing" :drawn="drawn" @fit="stage?.fit()" />
      </aside>
    </div>
    <BaseDialog :open="!!leaving" title="The set is not kept yet" @close="leaving = undefined">
      <p>What you drew since you kept it last would be lost.</p>
      <template #buttons
        ><button class="button" @click="leave">Throw it away</button
        ><button class="button button-main" @click="leaving = undefined">Go on drawing</button></template
      >
    </BaseDialog>
  </div>
</template>
