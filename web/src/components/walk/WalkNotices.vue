<script setup lang="ts">
import type { UseWalkReturn } from '@/lib/useWalk'
import { usePlot } from '@/stores/plot'

/** What went wrong, or changed under one's hands, while one walks. */
const props = defineProps<{ walk: UseWalkReturn; error: string }>()
const plot = usePlot()

function goThere() {
  if (plot.problem?.placement) props.walk.goTo(plot.problem.placement)
  plot.problem = undefined
}
function seen() {
  props.walk.forgetStruck()
}
</script>

<template>
  <p v-if="plot.unreadable || error" role="alert" class="border-b border-line px-5 py-2">
    {{ plot.unreadable || error }}
  </p>
  <p v-if="walk.struck.value" role="status" class="flex items-center gap-2 border-b border-line px-5 py-2">
    <span class="grow">{{ walk.struck.value }} is not on set any more: somebody struck it meanwhile.</span>
    <button class="button min-h-11" @click="seen">I see</button>
  </p>
  <p v-if="plot.problem" role="alert" class="flex items-center gap-2 border-b border-line px-5 py-2">
    <span class="grow">{{ plot.problem.sentence }}</span>
    <button v-if="plot.problem.placement" class="button min-h-11" @click="goThere">Go there</button
    ><button class="button min-h-11" @click="plot.problem = undefined">Leave it</button>
  </p>
</template>
