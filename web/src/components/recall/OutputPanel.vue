<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { RecallPreview, TeamRole } from '@/api/types'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { readFigures } from '@/lib/figures'
import { useSubmit } from '@/lib/useSubmit'
import { useConnection } from '@/stores/connection'
import { useOutput } from '@/stores/output'
import { useSession } from '@/stores/session'
import ArmDialog from './ArmDialog.vue'

/** What is sent now, and sending this shot: armed first, with a fade, once cast and crew are warned where they have to be. */
const props = defineProps<{
  shotId: number
  preview: RecallPreview
  /** Who else sends, in words. */ sources: string[]
}>()
const connection = useConnection()
const output = useOutput()
const session = useSession()
const arming = ref(false)
const fade = ref('2')
const priority = ref('100')
const warned = ref(false)
const { busy, error: problem, submit } = useSubmit()

const may = computed(() => session.may('PATCH'))
const live = computed(() => output.now?.live)
const here = computed(() => live.value?.shotId === props.shotId)
const changing = computed(() => props.preview.overNetwork.filter((u) => u.changes).length)
watch(
  () => props.shotId,
  () => (warned.value = false),
)
/* what was said of a record that has changed since is not said any more */
watch(
  () => props.preview.stateDigest,
  () => (problem.value = ''),
)

function recall() {
  void submit(async () => {
    const [fadeSeconds, wanted] = (await readFigures(
      { kind: 'NUMBER', text: fade.value, of: 'Fade' },
      { kind: 'WHOLE', text: priority.value, of: 'Priority' },
    )) as [number, number]
    const { stateDigest } = props.preview
    const body = { fadeSeconds, priority: wanted, stateDigest, warned: warned.value }
    if (!(await output.recall(props.shotId, body))) throw new Error(output.problem)
  })
}
</script>

<template>
  <section
    class="now flex items-center gap-4 py-3 px-4 border-b border-b-line border-l-6 border-l-line"
    :class="{ live }"
    aria-label="Output"
  >
    <div class="grow">
      <p class="text-head leading-7 font-strong" role="status">
        {{
          live
            ? here
              ? `${live.slate} is live`
              : `${live.slate} is live, not ${preview.slate}`
            : output.now?.armed
              ? 'Armed, nothing is sent'
              : 'Output is off'
        }}
      </p>
      <p class="text-quiet">
        <template v-if="live"
          >{{ live.universes }} {{ live.universes === 1 ? 'universe' : 'universes' }} on
          {{ output.now?.armed?.outlet }} at priority {{ live.priority }}, by {{ live.by
          }}<template v-if="live.done < 1">; fading, {{ Math.round(live.done * 100) }} %</template></template
        >
        <template v-else-if="output.now?.armed"
          >on {{ output.now.armed.outlet }}, by {{ output.now.armed.by }}</template
        >
        <template v-else>Nothing leaves this machine until it is armed.</template>
      </p>
      <progress v-if="live && live.done < 1" :value="live.done" max="1" class="w-full" aria-label="Fade" />
    </div>
    <button v-if="!output.now?.armed" class="button" :disabled="!may || connection.lost" @click="arming = true">
      Arm output…
    </button>
    <button
      v-else-if="output.mayStop"
      class="button stop bg-ink text-ground font-strong"
      :disabled="connection.lost"
      @click="output.stop()"
    >
      Stop all
    </button>
  </section>
  <p v-if="session.may('LEAD')" class="py-1.5 px-4 border-b border-line text-small">
    <label class="inline-flex flex-wrap items-center gap-2"
      ><span class="text-quiet">May stop output:</span>
      <select
        class="field !w-auto"
        :value="output.now?.stopping.stoppedBy"
        @change="output.letStop(($event.target as HTMLSelectElement).value as TeamRole)"
      >
        <option value="LEAD">leads</option>
        <option value="CREW">leads and crew</option>
        <option value="CONTROL">leads, crew and control</option>
      </select></label
    >
  </p>
  <p v-if="connection.lost && live" class="note"><WedgeMark act /> {{ output.said }}.</p>
  <p v-if="output.now?.interruption" class="note"><WedgeMark act /> {{ output.now.interruption }}</p>
  <p v-if="output.now?.sendError" class="note"><WedgeMark act /> {{ output.now.sendError }}</p>
  <p v-if="live?.revised" class="note"><WedgeMark /> {{ live.revised }}</p>
  <p v-if="problem" role="alert" class="note"><WedgeMark act /> {{ problem }}</p>
  <p v-for="s in sources" :key="s" class="note"><WedgeMark act /> {{ s }}</p>
  <form class="recall flex flex-wrap items-end gap-3 py-2.5 px-4 border-b border-line" @submit.prevent="recall">
    <label
      ><span class="text-fine text-quiet">fade, seconds</span
      ><input v-model="fade" class="field figure text-right" inputmode="decimal"
    /></label>
    <label
      ><span class="text-fine text-quiet">priority</span
      ><input v-model="priority" class="field figure text-right" inputmode="numeric"
    /></label>
    <div class="grow">
      <p v-for="c in preview.cautions" :key="c" class="flex gap-2"><WedgeMark act /> {{ c }}</p>
      <label v-if="preview.cautions.length" class="flex min-h-8 items-center gap-2"
        ><input v-model="warned" type="checkbox" /> Cast and crew are warned</label
      >
    </div>
    <p class="text-quiet">
      {{
        !preview.asked
          ? 'what stands now is not known'
          : changing
            ? `${changing} of ${preview.overNetwork.length} would change`
            : 'nothing would change'
      }}
    </p>
    <button class="button button-main" type="submit" :disabled="!may || busy || connection.lost || !output.now?.armed">
      Recall {{ preview.slate }}
    </button>
  </form>
  <ArmDialog :open="arming" @close="arming = false" />
</template>

<style scoped>
.now.live {
  border-left-color: var(--ink);
}
.note {
  display: flex;
  gap: 8px;
  align-items: flex-start;
  padding: 8px 16px 0;
}
.recall .field {
  width: 84px;
}
.recall label:has(.figure) {
  display: grid;
}
progress {
  height: 6px;
  appearance: none;
  background: var(--line);
}
progress::-webkit-progress-bar {
  background: var(--line);
}
progress::-webkit-progress-value {
  background: var(--ink);
}
progress::-moz-progress-bar {
  background: var(--ink);
}
</style>
