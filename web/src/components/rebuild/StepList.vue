<script setup lang="ts">
import { RouterLink } from 'vue-router'
import type { Rebuild } from '@/api/types'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { roleOf, type UseRebuildReturn } from '@/lib/useRebuild'
import RunPicker from './RunPicker.vue'
import StepTick from './StepTick.vue'

/** The whole sheet: which rebuild it is, what stands already, and every step with whether it is done. */
defineProps<{ sheet: Rebuild; rebuild: Pick<UseRebuildReturn, 'isDone'> & { done: number }; shotId: number }>()
const at = defineModel<number>('at', { required: true })
defineEmits<{ choose: [runId: string] }>()
</script>

<template>
  <nav class="min-h-0 overflow-y-auto bg-panel border-r border-line phone:hidden" aria-label="Steps">
    <header class="border-b border-line px-4 py-3">
      <h1 class="text-head">Rebuild {{ sheet.slate }}</h1>
      <p class="text-quiet">
        {{ sheet.description }}<template v-if="sheet.basedOn">, based on {{ sheet.basedOn }}</template>
      </p>
      <RunPicker
        v-if="sheet.runs.length"
        class="mt-1"
        label="Rebuild"
        :sheet="sheet"
        @choose="$emit('choose', $event)"
      />
      <p class="mt-1">
        {{ rebuild.done }} of {{ sheet.steps.length }} done<template v-if="sheet.run?.setId"
          >, in {{ sheet.setName }}</template
        >
      </p>
      <p v-if="sheet.stands.length" class="text-quiet">
        Stands already: {{ sheet.stands.join(', ') }}.
        <RouterLink
          v-if="sheet.run?.fromShotId"
          class="underline"
          :to="{ name: 'moves', params: { from: `shot-${sheet.run.fromShotId}`, to: `shot-${shotId}` } }"
          >The moves from {{ sheet.run.from }}</RouterLink
        >
      </p>
      <p v-if="sheet.out.length"><WedgeMark act class="mr-1 inline" /> Take out: {{ sheet.out.join(', ') }}.</p>
      <RouterLink v-if="sheet.run" class="button mt-2" :to="{ name: 'verdict', params: { run: sheet.run.id } }">{{
        sheet.run.signed ? 'Signed verdict' : 'Meter and verdict'
      }}</RouterLink>
    </header>
    <ol>
      <li v-for="(s, i) in sheet.steps" :key="s.placed.placement.key">
        <button
          class="line flex items-center gap-2.5 w-full min-h-9 py-1 px-4 text-left border-b border-line pointer-coarse:min-h-11"
          :class="{ here: i === at }"
          :aria-current="i === at ? 'step' : undefined"
          @click="at = i"
        >
          <StepTick :done="rebuild.isDone(s)" :here="i === at" />
          <span class="min-w-0 grow truncate"
            ><b class="font-strong">{{ s.placed.placement.name }}</b
            >{{ ' ' }}
            <span class="text-quiet">{{ s.placed.placement.piece.unit ?? s.placed.placement.piece.what }}</span></span
          >
          <span class="text-fine text-quiet">{{ roleOf(s) }}</span>
        </button>
      </li>
    </ol>
  </nav>
</template>

<style scoped>
.line:hover,
.line.here {
  background: var(--raised);
}
</style>
