<script setup lang="ts">
import { computed, ref } from 'vue'
import { value } from '@/api/types'
import { lazy } from '@/lib/lazy'
import type { UseSunReturn } from '@/lib/useSun'
import { usePlot } from '@/stores/plot'
import { useShotEditor } from '@/stores/shotEditor'
import SunStrip from './SunStrip.vue'

const StreakDialog = lazy(() => import('./StreakDialog.vue'))

/** The sun of a shot's set through a date, what of it is put on record, and a streak made again. */
const props = defineProps<{ shotId: number; sun: UseSunReturn }>()
const plot = usePlot()
const editor = useShotEditor()
const making = ref(false)
const { track, lies, minute, date, problem } = props.sun

/** The mark whose sun is recorded and made again: the chosen one, else one on which it lay, else the first. */
const mark = computed(() => {
  const marks = editor.placements.filter((p) => p.placement.kind === 'MARK' && p.onSet)
  return marks.find((m) => m.placement.key === plot.selected) ?? marks.find((m) => value(m, 'STREAK')) ?? marks[0]
})
function lay() {
  if (!mark.value || !lies.value) return
  const sunLux = value(mark.value, 'STREAK')?.sunLux
  void editor.put(mark.value.placement.key, 'STREAK', { value: { at: lies.value.at, sunLux } })
}
</script>

<template>
  <div>
    <SunStrip
      v-model:minute="minute"
      :track="track"
      :lies="lies"
      :date="date"
      :problem="problem"
      :locked="plot.locked"
      :mark="mark?.placement"
      @date="sun.lookAt"
      @lay="lay"
      @again="making = true"
    />
    <StreakDialog
      v-if="mark && lies"
      :open="making"
      :shot-id="shotId"
      :mark="mark"
      :at="lies.at"
      :bearing-deg="lies.bearingDeg"
      @close="making = false"
    />
  </div>
</template>
