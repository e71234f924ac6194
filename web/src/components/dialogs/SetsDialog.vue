<script setup lang="ts">
import { ref, watch } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { answer, api } from '@/api/client'
import type { components } from '@/api/generated/schema'
import { useSubmit } from '@/lib/useSubmit'
import BaseDialog from './BaseDialog.vue'
import TextField from './TextField.vue'

/** The sets of a production, to be drawn on; one more, for no scene yet. */
const props = defineProps<{ open: boolean; productionId?: number }>()
const emit = defineEmits<{ close: [] }>()
const router = useRouter()
const { busy, error, submit } = useSubmit()
const sets = ref<components['schemas']['NamedSet'][]>([])
const fields = ref({ name: '', roomWidth: '', roomDepth: '', ceiling: '' })

watch(
  () => props.open,
  async (open) => {
    error.value = ''
    fields.value = { name: '', roomWidth: '', roomDepth: '', ceiling: '' }
    if (!open || props.productionId === undefined) return
    const params = { path: { productionId: props.productionId } }
    sets.value = await answer(api.GET('/api/productions/{productionId}/sets', { params })).catch(() => [])
  },
)

function start() {
  const { productionId } = props
  if (productionId === undefined) return
  void submit(async () => {
    const params = { path: { productionId } }
    const { id } = await answer(api.POST('/api/productions/{productionId}/sets', { params, body: fields.value }))
    emit('close')
    await router.push({ name: 'drawnSet', params: { set: id } })
  })
}
</script>

<template>
  <BaseDialog :open="open" title="Sets" :error="error" @close="emit('close')">
    <ul class="max-h-[32vh] overflow-y-auto">
      <li v-for="s in sets" :key="s.id">
        <RouterLink
          class="flex min-h-9 items-center border-b border-line pointer-coarse:min-h-11"
          :to="{ name: 'drawnSet', params: { set: s.id } }"
          @click="emit('close')"
          >{{ s.name }}</RouterLink
        >
      </li>
    </ul>
    <form id="set-form" class="mt-3" @submit.prevent="start">
      <h3 class="group-title">A new set, for no scene yet</h3>
      <TextField v-model="fields.name" label="Name" :maxlength="120" />
      <div class="grid grid-cols-3 gap-2">
        <TextField v-model="fields.roomWidth" label="Room, wide" hint="m or ft" :maxlength="12" />
        <TextField v-model="fields.roomDepth" label="deep" :maxlength="12" />
        <TextField v-model="fields.ceiling" label="ceiling" :maxlength="12" />
      </div>
      <p class="text-small text-quiet">Left empty, nothing is drawn yet: begin with a wall, or with landmarks.</p>
    </form>
    <template #buttons>
      <button class="button" @click="emit('close')">Close</button>
      <button class="button button-main" :disabled="busy || !fields.name.trim()" type="submit" form="set-form">
        Draw it
      </button>
    </template>
  </BaseDialog>
</template>
