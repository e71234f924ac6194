<script setup lang="ts">
import { computed, ref } from 'vue'
import { answer, api } from '@/api/client'
import { useRead } from '@/api/reads'
import type { Patch, PatchedLight, Repatched } from '@/api/types'
import ReasonPicker from '@/components/inspector/ReasonPicker.vue'
import ShotPage from '@/components/layout/ShotPage.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import NodeList from '@/components/patch/NodeList.vue'
import PatchRow from '@/components/patch/PatchRow.vue'
import PlanPatch from '@/components/patch/PlanPatch.vue'
import UniverseStrip from '@/components/patch/UniverseStrip.vue'
import { undoing } from '@/lib/actions'
import { useSubmit } from '@/lib/useSubmit'
import { usePlot } from '@/stores/plot'
import { useShotEditor } from '@/stores/shotEditor'

/** What listens where in this shot, what of it cannot work, and who carries it. */
const props = defineProps<{ shotId: number }>()
defineEmits<{ spine: [] }>()
const plot = usePlot()
const editor = useShotEditor()
const at = computed(() => ({ shotId: props.shotId }))
const { data: page, problem: unread } = useRead('patch', at)
const { error, submit } = useSubmit()
const problem = computed(() => plot.problem?.sentence ?? (error.value || unread.value))
const actions = computed(undoing)
const marked = ref<string>()
const filter = ref('')

const shown = computed(
  () =>
    page.value?.units.filter((u) =>
      [u.name, u.unit, u.what, u.said].some((w) => w?.toLowerCase().includes(filter.value.trim().toLowerCase())),
    ) ?? [],
)

/** How the camera sees each light. */
const swatches = computed(() => Object.fromEntries(editor.placements.map((p) => [p.placement.key, p.light?.swatch])))

function patch(light: PatchedLight, value: Patch) {
  void editor.put(light.key, 'PATCH', { value })
}
/** The first room that is wide enough, from the start of its universe on. */
function toFree(light: PatchedLight) {
  const order = 'ADDRESS' as const
  const body = { order, universe: light.patch.universe ?? 1, address: 1, every: 1, keys: [light.key] }
  void submit(async () =>
    mend((await answer(api.POST('/api/shots/{shotId}/patch/plan', { params: { path: at.value }, body }))).changes),
  )
}
function mend(changes: Repatched[]) {
  if (changes.length) void editor.putAll(changes.map((c) => ({ placement: c.key, attribute: 'PATCH', value: c.value })))
}
</script>

<template>
  <ShotPage :shot-id="shotId" :actions="actions" @spine="$emit('spine')">
    <div v-if="page" class="panes">
      <div class="main">
        <p v-if="problem" role="alert" class="px-4 pt-2"><WedgeMark act class="mr-1 inline" /> {{ problem }}</p>
        <UniverseStrip
          v-for="u in page.universes"
          :key="u.universe"
          :universe="u"
          :lights="page.units"
          :swatches="swatches"
          :locked="plot.patchLocked"
          :marked="marked"
          @choose="(key) => (marked = key)"
          @move="(light, address) => patch(light, { ...light.patch, address })"
        />
        <label class="flex items-center gap-2 px-4 pt-3"
          ><span class="text-quiet">Lights on set</span
          ><input v-model="filter" class="field !w-48" placeholder="filter" aria-label="Filter the lights"
        /></label>
        <table class="mt-1 w-full">
          <thead>
            <tr>
              <th>Light</th>
              <th>Reached</th>
              <th>Universe / address</th>
              <th>Mode, slots</th>
              <th>Menu</th>
            </tr>
          </thead>
          <tbody>
            <PatchRow
              v-for="u in shown"
              :key="u.key"
              :light="u"
              :locked="plot.patchLocked"
              :marked="marked === u.key"
              @choose="marked = u.key"
              @free="toFree(u)"
              @patch="(value) => patch(u, value)"
            />
          </tbody>
        </table>
      </div>
      <aside class="side">
        <section v-if="plot.based && !plot.patchLocked"><ReasonPicker /></section>
        <section aria-label="Conflicts">
          <h2 class="text-lead">
            {{
              page.conflicts.length
                ? page.conflicts.length === 1
                  ? '1 conflict'
                  : `${page.conflicts.length} conflicts`
                : 'No conflict'
            }}
          </h2>
          <p v-if="!page.conflicts.length" class="text-quiet">
            Footprints, modes, nodes and universes of this shot agree.
          </p>
          <ul>
            <li v-for="c in page.conflicts" :key="c.sentence" class="mt-1 flex gap-2">
              <WedgeMark act />
              <div>
                <p>{{ c.sentence }}</p>
                <p class="text-quiet">{{ c.fix }}</p>
                <button v-if="c.fixes.length && !plot.patchLocked" class="button mt-1" @click="mend(c.fixes)">
                  {{ c.fixes.map((m) => `${m.name} to ${m.to}`).join('; ') }}
                </button>
              </div>
            </li>
          </ul>
        </section>
        <PlanPatch :shot-id="shotId" :locked="plot.patchLocked" />
        <NodeList :nodes="page.nodes" :production-id="page.productionId" :locked="plot.patchLocked" />
      </aside>
    </div>
    <p v-else class="m-auto text-quiet" role="status">{{ problem || 'Opening the patch…' }}</p>
  </ShotPage>
</template>

<style scoped>
thead th {
  padding: 0 6px 4px;
  text-align: left;
  font-weight: 400;
  color: var(--quiet);
}
thead th:first-child {
  padding-left: 16px;
}
@media (width < 800px) {
  thead {
    display: none;
  }
}
</style>
