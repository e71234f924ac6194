<script setup lang="ts">
import { ref, watch } from 'vue'
import { call, sentence } from '@/api/client'
import { useBook } from '@/stores/book'
import BaseDialog from './BaseDialog.vue'
import TextField from './TextField.vue'

/** What was shot is opened for a change: with a reason, the old one stays readable. */
const props = defineProps<{ open: boolean; shotId: number; slate: string }>()
const emit = defineEmits<{ close: []; revised: [] }>()
const book = useBook()
const reason = ref('')
const error = ref('')
watch(
  () => props.open,
  () => {
    reason.value = ''
    error.value = ''
  },
)

async function revise() {
  try {
    await call('POST', `/api/shots/${props.shotId}/revisions`, { body: { reason: reason.value } })
    await book.load()
    emit('revised')
    emit('close')
  } catch (failure) {
    error.value = sentence(failure)
  }
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
      ><button class="button button-main" type="submit" form="revise-form">Open revision</button></template
    >
  </BaseDialog>
</template>
