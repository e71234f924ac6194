<script setup lang="ts">
import { ref, watch } from 'vue'
import { answer, api, asFile } from '@/api/client'
import { outdate } from '@/api/reads'
import type { KitFileRead } from '@/api/types'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import { useSubmit } from '@/lib/useSubmit'
import { useSettings } from '@/stores/settings'

/** A kit from a table: what it would change is looked at first. */
const props = defineProps<{ open: boolean; productionId: number }>()
const emit = defineEmits<{ close: [] }>()
const settings = useSettings()
const { busy, error, submit } = useSubmit()
const file = ref<File>()
const read = ref<KitFileRead>()
watch(
  () => props.open,
  () => {
    read.value = undefined
    file.value = undefined
    error.value = ''
  },
)
const params = () => ({ path: { productionId: props.productionId } })
function look(event: Event) {
  const input = event.target as HTMLInputElement
  const chosen = input.files?.[0]
  if (!chosen) return
  read.value = undefined
  void submit(async () => {
    read.value = await answer(
      api.POST('/api/productions/{productionId}/kit-file', { ...asFile(chosen), params: params() }),
    )
    file.value = chosen
  }).finally(() => (input.value = ''))
}
function keep() {
  void submit(async () => {
    await answer(api.POST('/api/productions/{productionId}/kit.csv', { ...asFile(file.value!), params: params() }))
    await outdate({ topics: ['INVENTORY'] })
    emit('close')
  })
}
</script>

<template>
  <BaseDialog :open="open" title="Kit from a table" :error="error" @close="emit('close')">
    <label class="block"
      ><span class="mb-0.5 block text-small text-quiet"
        >CSV with the columns that “Out as CSV” has; a row with a tag is a unit, one without is counted</span
      ><input type="file" class="field h-auto py-2" accept=".csv,text/csv" @change="look"
    /></label>
    <template v-if="read">
      <p class="mt-3">
        {{ read.added.length }} new, {{ read.changed.length }} changed, {{ read.same }} as they are. What the table does
        not name stays.
      </p>
      <ul class="max-h-[40vh] overflow-y-auto" aria-label="What would change">
        <li v-for="a in read.added" :key="a.metric">new: {{ settings.printed(a) }}</li>
        <li v-for="c in read.changed" :key="c.metric">changed: {{ settings.printed(c) }}</li>
      </ul>
    </template>
    <template #buttons
      ><button class="button" @click="emit('close')">Cancel</button
      ><button
        class="button button-main"
        :disabled="busy || !read || !(read.added.length + read.changed.length)"
        @click="keep"
      >
        Keep all of it
      </button></template
    >
  </BaseDialog>
</template>
