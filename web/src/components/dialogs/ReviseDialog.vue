<script setup lang="ts">
import { ref, watch } from 'vue'
import { answer, api } from '@/api/client'
import { useSubmit } from '@/lib/useSubmit'
import { useBook } from '@/stores/book'
import BaseDialog from './BaseDialog.vue'
import TextField from './TextField.vue'

/** What was shot is opened for a change: with a reason, the old one stays readable. */
const props = defineProps<{ open: boolean; shotId: number; slate: string }>()
const emit = defineEmits<{ close: [] }>()
const book = useBook()
const reason = ref('')
const { busy, error, submit } = useSubmit()
watch(
  () => props.open,
  () => {
    reason.value = ''
    error.value = ''
  },
)

function revise() {
  const params = { path: { shotId: props.shotId } }
  void submit(async () => {
    await answer(api.POST('/api/shots/{shotId}/revisions', { params, body: { reason: reason.value } }))
    await book.changed()
    emit('close')
  })
}
</script>

<template>
  <BaseDialog :open="open" :title="`Open a revision of ${slate}`" :error="error" @close="emit('close')">
    <p class="mb-3">
      {{ slate }} has been shot. Its record as it is stays readable; a new revision takes your changes. Shots that were
      shot after it and carry from it keep what they had.
    </p>
    <form id="revise-form" @submit.prevent="revise">
      <TextField v-model="reason" label="Why it is revised" :maxlength="500" />
    </form>
    <template #buttons
      ><button class="button" @click="emit('close')">Cancel</button
      ><button class="button button-main" :disabled="busy" type="submit" form="revise-form">
        Open revision
      </button></template
    >
  </BaseDialog>
</template>
