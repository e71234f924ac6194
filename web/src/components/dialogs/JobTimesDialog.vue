<script setup lang="ts">
import { ref, watch } from 'vue'
import type { JobTimes } from '@/api/types'
import { useSubmit } from '@/lib/useSubmit'
import { DEPARTMENTS } from '@/lib/words'
import { useMoves } from '@/stores/moves'
import BaseDialog from './BaseDialog.vue'

/** How long a crew takes for each kind of work, and how many there are: of this production. */
const props = defineProps<{ open: boolean; tempo: JobTimes; productionId: number }>()
const emit = defineEmits<{ close: [] }>()
const store = useMoves()
const table = ref<JobTimes>({ jobs: [], crews: [] })
const { busy, error, submit } = useSubmit()

watch(
  () => props.open,
  (open) => {
    error.value = ''
    if (open) table.value = JSON.parse(JSON.stringify(props.tempo)) as JobTimes
  },
  { immediate: true },
)

function keep() {
  void submit(async () => {
    await store.keepTempo(props.productionId, table.value)
    emit('close')
  })
}
</script>

<template>
  <BaseDialog :open="open" wide title="How long this crew takes" :error="error" @close="emit('close')">
    <p class="mb-3 text-quiet">
      Estimates, for the whole production. Departments work side by side; the time on the clock follows from these.
    </p>
    <form id="tempo-form" class="grid gap-x-8 sm:grid-cols-2" @submit.prevent="keep">
      <label v-for="j in table.jobs" :key="j.job" class="flex items-center gap-2 py-0.5"
        ><span class="grow">{{ j.label }}</span
        ><input
          v-model.number="j.minutes"
          type="number"
          step="0.5"
          min="0"
          class="field figure !w-20 text-right"
        /><span class="unit w-8">min</span></label
      >
      <template v-for="c in table.crews" :key="c.department">
        <label v-if="c.department !== 'TOGETHER'" class="flex items-center gap-2 py-0.5"
          ><span class="grow">people, {{ DEPARTMENTS.find((d) => d.key === c.department)?.name }}</span
          ><input v-model.number="c.people" type="number" min="1" class="field figure !w-20 text-right" /><span
            class="w-8"
        /></label>
      </template>
    </form>
    <template #buttons>
      <button class="button" @click="emit('close')">Cancel</button>
      <button class="button button-main" :disabled="busy" type="submit" form="tempo-form">Keep</button>
    </template>
  </BaseDialog>
</template>
