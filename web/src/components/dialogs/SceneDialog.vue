<script setup lang="ts">
import { ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { answer, api } from '@/api/client'
import type { components } from '@/api/generated/schema'
import { useSubmit } from '@/lib/useSubmit'
import { useBook } from '@/stores/book'
import BaseDialog from './BaseDialog.vue'
import ChoiceField from './ChoiceField.vue'
import TextField from './TextField.vue'

/** A scene from nothing: a bare room with its corners as landmarks, a camera and a mark. */
const props = defineProps<{ open: boolean; productionId?: number }>()
const emit = defineEmits<{ close: [] }>()
const book = useBook()
const router = useRouter()

type NewScene = components['schemas']['NewScene']
const ORDERS: { key: NewScene['buildOrder']; name: string }[] = [
  { key: 'AMBIENCE_FIRST', name: 'ambience first, on a black canvas' },
  { key: 'WINDOW_FIRST', name: 'window first, from what cannot be changed' },
  { key: 'KEY_FIRST', name: 'key first' },
]
const EMPTY: Required<Omit<NewScene, 'setId'>> = {
  number: '',
  heading: '',
  location: '',
  buildOrder: 'AMBIENCE_FIRST',
  roomWidth: '6',
  roomDepth: '5',
  ceiling: '2.8',
  firstSlate: '',
}
const fields = ref({ ...EMPTY })
const { busy, error, submit } = useSubmit()
/** Sets that are there; the first is none of them. */
const sets = ref<{ key: number; name: string }[]>([])
const setId = ref(0)

watch(
  () => props.open,
  async (open) => {
    fields.value = { ...EMPTY }
    setId.value = 0
    error.value = ''
    if (!open || !props.productionId) return
    const params = { path: { productionId: props.productionId } }
    const there = await answer(api.GET('/api/productions/{productionId}/sets', { params })).catch(() => [])
    sets.value = [{ key: 0, name: 'a new room, to be drawn on' }, ...there.map((s) => ({ key: s.id, name: s.name }))]
  },
)
/** Outdoors there is no room to begin with. */
watch(
  () => /^\s*ext\b/i.test(fields.value.heading),
  (outdoors) => {
    const { roomWidth, roomDepth, ceiling } = outdoors ? { roomWidth: '', roomDepth: '', ceiling: '' } : EMPTY
    Object.assign(fields.value, { roomWidth, roomDepth, ceiling })
  },
)
watch(
  () => fields.value.number,
  (number) => (fields.value.firstSlate = number ? `${number}A` : ''),
)

function keep() {
  const { productionId } = props
  if (productionId === undefined) return
  void submit(async () => {
    const body = { ...fields.value, setId: setId.value || undefined }
    const params = { path: { productionId } }
    const { shotId } = await answer(api.POST('/api/productions/{productionId}/scenes', { params, body }))
    await book.changed()
    emit('close')
    await router.push({ name: 'plot', params: { id: shotId } })
  })
}
</script>

<template>
  <BaseDialog :open="open" title="New scene" :error="error" @close="emit('close')">
    <form id="scene-form" @submit.prevent="keep">
      <TextField v-model="fields.number" label="Number" :maxlength="12" />
      <TextField v-model="fields.heading" label="Heading" hint="INT. BOATHOUSE, NIGHT" />
      <TextField v-model="fields.location" label="Location" />
      <ChoiceField v-if="sets.length > 1" v-model="setId" label="Set" :options="sets" />
      <div v-if="!setId" class="grid grid-cols-3 gap-2">
        <TextField v-model="fields.roomWidth" label="Room, wide" hint="m or ft" :maxlength="12" />
        <TextField v-model="fields.roomDepth" label="deep" :maxlength="12" />
        <TextField v-model="fields.ceiling" label="ceiling" :maxlength="12" />
        <p class="col-span-3 -mt-1 text-small text-quiet">Left empty, there is no room: a place under the sky.</p>
      </div>
      <ChoiceField v-model="fields.buildOrder" label="The crew builds its light" :options="ORDERS" />
      <TextField v-model="fields.firstSlate" label="First shot" :maxlength="12" />
    </form>
    <template #buttons>
      <button class="button" @click="emit('close')">Cancel</button>
      <button class="button button-main" :disabled="busy" type="submit" form="scene-form">Start scene</button>
    </template>
  </BaseDialog>
</template>
