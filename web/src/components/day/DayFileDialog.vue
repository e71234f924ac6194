<script setup lang="ts">
import { ref, watch } from 'vue'
import { answer, api, asFile } from '@/api/client'
import type { DayFileRead } from '@/api/types'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import { useSubmit } from '@/lib/useSubmit'

/** A day from a calendar or a table: what it says is looked at, then tried; nothing is kept until the order is taken. */
const props = defineProps<{ open: boolean; productionId: number; number: number }>()
const emit = defineEmits<{ close: []; try: [shots: number[]] }>()
const { busy, error, submit } = useSubmit()
const read = ref<DayFileRead>()
watch(
  () => props.open,
  () => {
    read.value = undefined
    error.value = ''
  },
)
function take(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  read.value = undefined
  void submit(async () => {
    const params = { path: { productionId: props.productionId } }
    read.value = await answer(api.POST('/api/productions/{productionId}/day-file', { ...asFile(file), params }))
  }).finally(() => (input.value = ''))
}
function tryIt() {
  emit('try', read.value!.shots)
  emit('close')
}
</script>

<template>
  <BaseDialog :open="open" :title="`Day ${number} from a file`" :error="error" @close="emit('close')">
    <label class="block"
      ><span class="mb-0.5 block text-small text-quiet">iCalendar, or CSV with a row a shot, its slate in it</span
      ><input type="file" class="field h-auto py-2" accept=".ics,.csv,text/calendar,text/csv" @change="take"
    /></label>
    <template v-if="read">
      <p class="mt-3">In this order:</p>
      <ol class="max-h-[40vh] list-decimal overflow-y-auto pl-6">
        <li v-for="s in read.said" :key="s">{{ s }}</li>
      </ol>
      <p v-if="read.unknown.length" class="mt-2 text-quiet">
        No shot of this production: {{ read.unknown.join('; ') }}.
      </p>
    </template>
    <template #buttons
      ><button class="button" @click="emit('close')">Cancel</button
      ><button class="button button-main" :disabled="busy || !read" @click="tryIt">Try this order</button></template
    >
  </BaseDialog>
</template>
