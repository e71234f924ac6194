<script setup lang="ts">
import { computed } from 'vue'
import type { PlanPoint } from '@/api/types'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { useLight } from '@/stores/light'
import { usePlot } from '@/stores/plot'
import { useShotEditor } from '@/stores/shotEditor'

/** Why an edit on the plan was refused, and what can be done instead. */
const plot = usePlot()
const light = useLight()
const editor = useShotEditor()
const outsideOffered = computed(() => {
  const wanted = plot.problem?.wanted
  return plot.problem?.attribute === 'PLACE' && wanted && 'value' in wanted && 'xM' in wanted.value
    ? wanted.value
    : undefined
})
function standOutside() {
  const place = outsideOffered.value
  const key = plot.problem?.placement
  plot.problem = undefined
  if (place && key) void editor.put(key, 'PLACE', { value: { ...(place as PlanPoint), outside: true } })
}
</script>

<template>
  <div
    v-if="plot.problem || light.refused"
    class="problem absolute top-3 right-3 bottom-auto left-3 flex gap-2 items-start py-2 px-3 bg-raised border border-ink rounded-mark"
    role="alert"
  >
    <WedgeMark act />
    <span class="grow">{{ plot.problem?.sentence ?? light.refused }}</span>
    <button v-if="outsideOffered" class="button" @click="standOutside">It stands outside</button>
    <button v-if="plot.problem" class="button" @click="plot.problem = undefined">Leave it</button>
  </div>
</template>
