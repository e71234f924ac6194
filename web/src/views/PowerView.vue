<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { answer, api, onVersion } from '@/api/client'
import { outdate, useRead } from '@/api/reads'
import { value, type PowerPlan } from '@/api/types'
import ReasonPicker from '@/components/inspector/ReasonPicker.vue'
import ShotPage from '@/components/layout/ShotPage.vue'
import CircuitBar from '@/components/power/CircuitBar.vue'
import LoadOverDay from '@/components/power/LoadOverDay.vue'
import PowerDialog from '@/components/power/PowerDialog.vue'
import PowerPane from '@/components/power/PowerPane.vue'
import SpreadPhases from '@/components/power/SpreadPhases.vue'
import { undoing, type Action } from '@/lib/actions'
import { feedOn } from '@/lib/feeds'
import { useDayFeeds } from '@/lib/useDayFeeds'
import { useSize } from '@/lib/useSize'
import { useSubmit } from '@/lib/useSubmit'
import { usePlot } from '@/stores/plot'
import { useSession } from '@/stores/session'
import { useShotEditor } from '@/stores/shotEditor'

/** What this shot draws from what: circuits, phases, the generator, batteries. */
const props = defineProps<{ shotId: number }>()
defineEmits<{ spine: [] }>()
const plot = usePlot()
const editor = useShotEditor()
const session = useSession()
const lower = ref(0)
const editing = ref(false)
const rails = ref<HTMLElement>()
const size = useSize(rails)
const { data: page, problem } = useRead('power', () => ({ shotId: props.shotId, lower: lower.value }), {
  keepBefore: true,
})
const { feeds, lower: overDay } = useDayFeeds(() => {
  const { productionId, day } = page.value ?? {}
  return productionId !== undefined && day !== undefined ? { productionId, number: day } : undefined
})
watch(lower, (stops) => (overDay.value = stops))
const setOfDay = computed(() => feeds.value?.sets.find((s) => s.setId === page.value?.setId))
const { error, submit } = useSubmit(() => void outdate({ topics: ['SET'] }))
const swatches = computed(() => Object.fromEntries(editor.placements.map((p) => [p.placement.key, p.light?.swatch])))
const actions = computed((): Action[] => [
  ...undoing(),
  ...(spread.value ? [{ name: 'Spread over the phases…', run: () => (spreading.value = true) }] : []),
  ...(session.may('EDIT') ? [{ name: 'What feeds the set…', run: () => (editing.value = true) }] : []),
])
const NAME_PX = 128
const NARROW_PX = 560
/** On a narrow page a circuit's name stands above its rail. */
const narrow = computed(() => size.value.width <= NARROW_PX)
const railPx = computed(() => Math.max(160, size.value.width - (narrow.value ? 0 : NAME_PX)))

/** All lights that are on, those first of which nobody said what feeds them. */
const lights = computed(() => {
  const now = page.value
  if (!now) return []
  return [
    ...now.unfed.map((u) => ({ ...u, on: undefined as string | undefined, battery: false })),
    ...now.circuits.flatMap((c) =>
      c.drawn.flatMap((d) => (d.key ? [{ key: d.key, name: d.name, watts: d.watts, on: c.name, battery: false }] : [])),
    ),
    ...now.batteries.map((b) => ({ key: b.key, name: b.name, watts: b.watts, on: undefined, battery: true })),
  ]
})

/** Hangs a light on a circuit, with the cable that it has, or on a battery. */
function feed(key: string, circuit?: string) {
  const placed = editor.placements.find((p) => p.placement.key === key)
  void editor.put(key, 'FEED', { value: feedOn(placed && value(placed, 'FEED'), circuit) })
}
/** The first source whose phases a light on another circuit would make more even. */
const spread = computed(() => page.value?.spreads.find((s) => s.moves.length) ?? page.value?.spreads[0])
const spreading = ref(false)
function hangSo() {
  spreading.value = false
  void editor.putAll(
    (spread.value?.moves ?? []).map((m) => {
      const placed = editor.placements.find((p) => p.placement.key === m.key)
      return {
        placement: m.key,
        attribute: 'FEED' as const,
        value: { ...(placed && value(placed, 'FEED')), from: 'CIRCUIT' as const, name: m.to },
      }
    }),
  )
}
async function keep(plan: PowerPlan) {
  const { setId, version } = page.value!
  const done = await submit(async () => {
    const params = { path: { setId }, header: onVersion(version) }
    await answer(api.PUT('/api/sets/{setId}/power', { params, body: plan }))
    await outdate({ topics: ['SET'] })
  })
  if (done) editing.value = false
}
</script>

<template>
  <ShotPage :shot-id="shotId" :actions="actions" @spine="$emit('spine')">
    <p v-if="problem" role="alert" class="p-4">{{ problem }}</p>
    <div v-if="page" class="panes">
      <div ref="rails" class="rails">
        <p v-if="plot.problem" role="alert" class="pb-2">{{ plot.problem.sentence }}</p>
        <p v-if="!page.circuits.length" class="max-w-lg py-6 text-lead">
          Nobody said yet what feeds {{ page.set }}. Put in its board or generator and its circuits; then each light is
          hung on one.
        </p>
        <section v-for="c in page.circuits" :key="c.name" class="circuit" :class="{ narrow }" :aria-label="c.name">
          <div>
            <h2 class="text-head">
              {{ c.name }}
              <small class="text-small text-quiet"
                >{{ c.phase ? `L${c.phase}, ` : '' }}{{ Math.round(c.breakerAmps) }} A</small
              >
            </h2>
            <p class="truncate text-small text-quiet">{{ c.where || c.source }}</p>
          </div>
          <CircuitBar :circuit="c" :swatches="swatches" :width="railPx" />
        </section>
        <LoadOverDay
          v-if="setOfDay && page.day !== undefined"
          :set="setOfDay"
          :day="page.day"
          :slate="String(plot.plot?.shot.slate ?? '')"
        />
        <section v-if="lights.length && (page.circuits.length || page.batteries.length)" aria-label="What feeds what">
          <h2 class="group-title">What feeds what</h2>
          <ReasonPicker v-if="!plot.locked" />
          <ul>
            <li v-for="u in lights" :key="u.key" class="flex flex-wrap items-center gap-1.5 py-0.5">
              <span class="min-w-28 font-strong">{{ u.name }}</span>
              <span class="figure min-w-16 text-right">{{ Math.round(u.watts) }}<span class="unit">W</span></span>
              <span class="w-2" />
              <button
                v-for="c in page.circuits"
                :key="c.name"
                class="button !px-2"
                :disabled="plot.locked"
                :aria-pressed="u.on === c.name"
                :aria-label="`${u.name} on ${c.name}`"
                @click="feed(u.key, c.name)"
              >
                {{ c.name }}
              </button>
              <button
                class="button !px-2"
                :disabled="plot.locked"
                :aria-pressed="u.battery"
                :aria-label="`${u.name} on a battery`"
                @click="feed(u.key)"
              >
                battery
              </button>
            </li>
          </ul>
        </section>
      </div>
      <PowerPane v-model:lower="lower" :page="page" />
      <SpreadPhases
        v-if="spread"
        :open="spreading"
        :spread="spread"
        :locked="plot.locked"
        @close="spreading = false"
        @keep="hangSo"
      />
      <PowerDialog
        :open="editing"
        :set-id="page.setId"
        :plan="page.plan"
        :landmarks="plot.set?.landmarks.map((l) => l.name) ?? []"
        :error="error"
        @close="editing = false"
        @keep="keep"
      />
    </div>
    <p v-else-if="!problem" class="m-auto text-quiet" role="status">Adding up what is drawn…</p>
  </ShotPage>
</template>

<style scoped>
.panes {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 336px;
}
.rails {
  min-height: 0;
  overflow-y: auto;
  padding: 14px 18px 24px;
}
.circuit {
  display: grid;
  grid-template-columns: 128px minmax(0, 1fr);
  padding-bottom: 14px;
}
.circuit.narrow {
  grid-template-columns: minmax(0, 1fr);
}
@media (width < 1100px) {
  .panes {
    display: block;
    overflow-y: auto;
  }
  .rails {
    overflow: visible;
  }
}
</style>
