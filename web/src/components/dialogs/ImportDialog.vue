<script setup lang="ts">
import { ref, watch } from 'vue'
import { RouterLink } from 'vue-router'
import { answer, api } from '@/api/client'
import { useSubmit } from '@/lib/useSubmit'
import { useBook } from '@/stores/book'
import BaseDialog from './BaseDialog.vue'
import TextField from './TextField.vue'

/** A scene from a file. What is wrong with the file stays here until another is chosen. */
const props = defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const book = useBook()

const LARGEST_MB = 10
const file = ref<File>()
const number = ref('')
const { busy, error, submit } = useSubmit()

watch(
  () => props.open,
  () => {
    file.value = undefined
    number.value = ''
    error.value = ''
  },
)

function pick(event: Event) {
  file.value = (event.target as HTMLInputElement).files?.[0]
  error.value = ''
}

function load() {
  const chosen = file.value
  if (!chosen) {
    error.value = 'Choose a file that was saved with “Export”.'
    return
  }
  if (chosen.size > LARGEST_MB * 1024 * 1024) {
    error.value = `${chosen.name} is larger than ${LARGEST_MB} MB: a scene is never that large. Nothing was imported.`
    return
  }
  void submit(async () => {
    const params = { query: { number: number.value.trim() || undefined } }
    await answer(api.POST('/api/scenes/import', { params, body: await chosen.text() }))
    await book.changed()
    emit('close')
  })
}
</script>

<template>
  <BaseDialog :open="open" title="Import a scene" :error="error" @close="emit('close')">
    <form id="import-form" @submit.prevent="load">
      <label class="mb-2 block"
        ><span class="text-small text-quiet">Scene file, .oblume.json</span
        ><input type="file" accept=".json,application/json" class="field" @change="pick"
      /></label>
      <p class="mb-2 text-small text-quiet">
        A whole production comes as an archive:
        <RouterLink class="underline" :to="{ name: 'archive' }" @click="emit('close')">take one in</RouterLink>.
      </p>
      <TextField v-model="number" label="Under another scene number" hint="empty: its own" :maxlength="12" />
    </form>
    <template #buttons>
      <button class="button" @click="emit('close')">Cancel</button>
      <button class="button button-main" type="submit" form="import-form" :disabled="busy">
        {{ busy ? 'Importing…' : 'Import' }}
      </button>
    </template>
  </BaseDialog>
</template>
