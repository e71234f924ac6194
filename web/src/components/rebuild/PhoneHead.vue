<script setup lang="ts">
import { RouterLink } from 'vue-router'
import type { Rebuild } from '@/api/types'
import ConnectionState from '@/components/layout/ConnectionState.vue'
import SpineButton from '@/components/layout/SpineButton.vue'
import type { UseRebuildReturn } from '@/lib/useRebuild'
import RunPicker from './RunPicker.vue'
import StepTick from './StepTick.vue'

/** On a phone, in place of slate and sheet: which shot, which rebuild, how far. */
defineProps<{ sheet: Rebuild; rebuild: Pick<UseRebuildReturn, 'isDone'>; shotId: number; at: number }>()
defineEmits<{ spine: []; anew: []; choose: [runId: string] }>()
</script>

<template>
  <header
    class="phone-head hidden phone:block phone:pt-2.5 phone:pb-2 phone:px-5 phone:border-b phone:border-line phone:text-lead"
  >
    <div class="flex items-center">
      <SpineButton class="mr-3" @click="$emit('spine')" />
      <span class="min-w-0 truncate"
        ><b class="font-bold">{{ sheet.slate }}</b> <span class="text-quiet">rebuild</span></span
      >
      <RouterLink
        class="ml-2 inline-flex min-h-11 items-center px-2 text-quiet underline"
        :to="{ name: 'plot', params: { id: shotId } }"
        >plot</RouterLink
      >
      <ConnectionState class="ml-auto" />
      <span class="ml-2"
        >step <b class="font-bold">{{ at + 1 }}</b> of {{ sheet.steps.length }}</span
      >
    </div>
    <div class="mt-1 flex items-center gap-2">
      <RunPicker
        v-if="sheet.runs.length"
        class="!w-auto min-w-0"
        label="Rebuild on this phone"
        :sheet="sheet"
        @choose="$emit('choose', $event)"
      />
      <button class="button" @click="$emit('anew')">Anew…</button>
      <RouterLink v-if="sheet.run" class="button" :to="{ name: 'verdict', params: { run: sheet.run.id } }"
        >Verdict</RouterLink
      >
    </div>
    <div class="mt-2 flex gap-1.5" aria-hidden="true">
      <StepTick v-for="(s, i) in sheet.steps" :key="i" class="tick" :done="rebuild.isDone(s)" :here="i === at" />
    </div>
  </header>
</template>

<style scoped>
@media (width < 800px) {
  .phone-head .tick {
    flex: 1;
    width: auto;
  }
}
</style>
