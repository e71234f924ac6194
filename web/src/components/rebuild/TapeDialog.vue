<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { answer, api } from '@/api/client'
import type { Step, TapeCheckView } from '@/api/types'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import TextField from '@/components/dialogs/TextField.vue'
import { useSubmit } from '@/lib/useSubmit'
import { useSettings } from '@/stores/settings'

/** The tapes as they were pulled: two give the place, the third tells whether they were read right. */
const props = defineProps<{ open: boolean; step: Step; runId?: number; begin: () => Promise<number | undefined> }>()
const emit = defineEmits<{ close: [] }>()
const settings = useSettings()
const pulled = ref<Record<string, string>>({})
const said = ref<TapeCheckView>()
const { busy, error, submit } = useSubmit()
const tapes = computed(() => {
  const t = props.step.placed.tapes
  return t ? [t.a, t.b, ...(props.step.third ? [props.step.third] : [])] : []
})
watch(
  () => props.open,
  () => {
    pulled.value = Object.fromEntries(tapes.value.map((t) => [t.landmark, '']))
    said.value = undefined
    error.value = ''
  },
  { immediate: true },
)

function check() {
  said.value = undefined
  const measured = tapes.value.flatMap((t) =>
    pulled.value[t.landmark]?.trim() ? [{ landmark: t.landmark, length: pulled.value[t.landmark]! }] : [],
  )
  void submit(async () => {
    const id = props.runId ?? (await props.begin())
    if (id === undefined) return
    const params = { path: { id, placement: props.step.placed.placement.key } }
    said.value = await answer(api.POST('/api/runs/{id}/steps/{placement}/tapes', { params, body: { tapes: measured } }))
  })
}
</script>

<template>
  <BaseDialog
    :open="open"
    :title="`Check the tapes of ${step.placed.placement.name}`"
    :error="error"
    @close="emit('close')"
  >
    <form id="tape-form" @submit.prevent="check">
      <TextField
        v-for="(t, i) in tapes"
        :key="t.landmark"
        v-model="pulled[t.landmark]!"
        :label="`${'ABC'[i]} from ${t.landmark}`"
        :hint="`should be ${settings.figure(t.length).figure} ${settings.figure(t.length).unit}`"
        :maxlength="30"
      />
    </form>
    <p v-if="said" role="status" class="mt-2 text-lead">{{ settings.printed(said.sentence) }}</p>
    <template #buttons
      ><button class="button" @click="emit('close')">Close</button
      ><button class="button button-main" :disabled="busy" type="submit" form="tape-form">Check</button></template
    >
  </BaseDialog>
</template>
