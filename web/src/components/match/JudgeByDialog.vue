<script setup lang="ts">
import { ref, watch } from 'vue'
import { answer, api, onVersion } from '@/api/client'
import type { MatchReport } from '@/api/types'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import ChoiceField from '@/components/dialogs/ChoiceField.vue'
import { useSubmit } from '@/lib/useSubmit'

/** The reference of a scene, and the ratio that it carries. */
const props = defineProps<{ open: boolean; report: MatchReport }>()
const emit = defineEmits<{ close: []; kept: [report: MatchReport] }>()
const { busy, error, submit } = useSubmit()
const SCHOOLS = [
  { key: 'LIT_TO_SHADOW' as const, name: 'lit side to shadow side' },
  { key: 'KEY_TO_FILL' as const, name: 'key alone to fill alone' },
]
const settings = () => {
  const { referenceId: referenceShotId, school } = props.report
  return { referenceShotId, school }
}
const by = ref(settings())
watch(
  () => props.open,
  () => {
    by.value = settings()
    error.value = ''
  },
)

function keep() {
  const { sceneId, version } = props.report
  const params = { path: { sceneId }, header: onVersion(version) }
  void submit(async () => {
    emit('kept', await answer(api.PUT('/api/scenes/{sceneId}/match', { params, body: by.value })))
    emit('close')
  })
}
</script>

<template>
  <BaseDialog :open="open" title="What the scene is judged by" :error="error" @close="emit('close')">
    <ChoiceField
      v-model="by.referenceShotId"
      label="Reference shot"
      :options="report.shots.map((s) => ({ key: s.shotId, name: `${s.slate} ${s.description}` }))"
    />
    <ChoiceField v-model="by.school" label="Ratio that the scene carries" :options="SCHOOLS" />
    <template #buttons
      ><button class="button" @click="emit('close')">Cancel</button
      ><button class="button button-main" :disabled="busy" @click="keep">Judge by these</button></template
    >
  </BaseDialog>
</template>
