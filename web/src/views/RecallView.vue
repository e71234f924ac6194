<script setup lang="ts">
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import { useRead } from '@/api/reads'
import ReasonPicker from '@/components/inspector/ReasonPicker.vue'
import ShotPage from '@/components/layout/ShotPage.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import CueStrip from '@/components/recall/CueStrip.vue'
import DriftTable from '@/components/recall/DriftTable.vue'
import OutputPanel from '@/components/recall/OutputPanel.vue'
import SimulatedRig from '@/components/recall/SimulatedRig.vue'
import { undoing } from '@/lib/actions'
import { fixed } from '@/lib/print'
import { useOutput } from '@/stores/output'
import { usePlot } from '@/stores/plot'

/** What a recall would change, what is sent now, and what the rig says of itself beside the record. */
const props = defineProps<{ shotId: number }>()
defineEmits<{ spine: [] }>()
const LOOK_MS = 2000

const plot = usePlot()
const output = useOutput()
/* what stands on the rig changes without anybody's edit */
const everyMs = (): number | false => (output.now?.rig ? LOOK_MS : false)
const at = computed(() => ({ shotId: props.shotId }))
const { data: preview, problem } = useRead('recall', at, { everyMs })
const { data: beside, problem: noRig } = useRead('readBack', at, { everyMs })
const actions = computed(undoing)
const { data: power } = useRead('power', () => ({ shotId: props.shotId, lower: 0 }))
/** Circuits on which this shot's levels draw more than the continuous limit. */
const over = computed(() => power.value?.circuits.filter((c) => c.overInTakes) ?? [])
</script>

<template>
  <ShotPage :shot-id="shotId" :actions="actions" @spine="$emit('spine')">
    <div v-if="preview" class="panes">
      <div class="main">
        <p v-if="problem" role="alert" class="flex gap-2 px-4 pt-2"><WedgeMark act /> {{ problem }}</p>
        <OutputPanel :shot-id="shotId" :preview="preview" :sources="beside?.sources ?? []" />
        <CueStrip v-if="preview.cues.length" :shot-id="shotId" :cues="preview.cues" />
        <DriftTable :shot-id="shotId" :preview="preview" :beside="beside" :no-rig="noRig" />
        <p v-if="!preview.overNetwork.length" class="p-4 text-quiet">
          No light of {{ preview.slate }} is on the network.
          <RouterLink class="underline" :to="{ name: 'patch', params: { id: shotId } }">Give one an address</RouterLink>
          to recall it.
        </p>
      </div>
      <aside class="side">
        <section v-if="plot.based && !plot.patchLocked"><ReasonPicker /></section>
        <section aria-label="By hand">
          <h2 class="text-lead">For the person at the head or on the app</h2>
          <p v-if="!preview.atFixture.length" class="text-quiet">Nothing: the network reaches all of it.</p>
          <ul>
            <li v-for="h in preview.atFixture" :key="h.key" class="mt-1">
              <b class="font-strong">{{ h.name }}</b> <span class="figure">{{ h.what.join(', ') }}</span>{{ ' ' }}
              <span class="text-quiet">{{ h.where }}</span>
            </li>
          </ul>
        </section>
        <section v-if="over.length" aria-label="Power">
          <h2 class="text-lead">Over a circuit’s limit</h2>
          <p v-for="c in over" :key="c.name" class="mt-1 flex gap-2">
            <WedgeMark act /> {{ c.name }} draws {{ fixed(c.takesAmps, 1) }} of {{ fixed(c.limitAmps, 1) }} A at these
            levels (estimate).
          </p>
          <RouterLink class="underline" :to="{ name: 'power', params: { id: shotId } }">Look in Power</RouterLink>
        </section>
        <section v-if="preview.conflicts.length" aria-label="Conflicts">
          <h2 class="text-lead">What will not work</h2>
          <p v-for="c in preview.conflicts" :key="c" class="mt-1 flex gap-2"><WedgeMark act /> {{ c }}</p>
          <RouterLink class="underline" :to="{ name: 'patch', params: { id: shotId } }">Mend it in Patch</RouterLink>
        </section>
        <SimulatedRig v-if="output.now?.rig" :shot-id="shotId" :slate="preview.slate" />
      </aside>
    </div>
    <p v-else class="m-auto text-quiet" role="status">{{ problem || 'Looking at what a recall would change…' }}</p>
  </ShotPage>
</template>
