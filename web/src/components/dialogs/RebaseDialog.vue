<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { answer, api, sentence } from '@/api/client'
import type { BoardShot, Rebased } from '@/api/types'
import { useSubmit } from '@/lib/useSubmit'
import { useBook } from '@/stores/book'
import { useSettings } from '@/stores/settings'
import BaseDialog from './BaseDialog.vue'
import ChoiceField from './ChoiceField.vue'

/** Another base for a shot: what would change in it, and in those that carry from it, before it is done. */
const props = defineProps<{ open: boolean; shot: BoardShot; shots: BoardShot[] }>()
const emit = defineEmits<{ close: [] }>()
const book = useBook()
const settings = useSettings()
const on = ref<number>()
const preview = ref<Rebased[]>()
const { busy, error, submit } = useSubmit(() => void book.again())

const choices = computed(() => [
  { key: undefined, name: 'nothing: only its own knots hold' },
  ...props.shots.filter((s) => s.id !== props.shot.id).map((s) => ({ key: s.id, name: `${s.slate} ${s.description}` })),
])

watch(
  () => props.open,
  (open) => {
    error.value = ''
    if (open) on.value = props.shots.find((s) => s.slate === props.shot.basedOn)?.id
  },
)
watch([on, () => props.open], async () => {
  preview.value = undefined
  error.value = ''
  if (!props.open) return
  const asked = on.value
  try {
    const params = { path: { shotId: props.shot.id }, query: { on: asked } }
    const { shots } = await answer(api.GET('/api/shots/{shotId}/rebase', { params }))
    if (on.value === asked) preview.value = shots
  } catch (failure) {
    error.value = sentence(failure)
  }
})

function keep() {
  const line = book.shots.get(props.shot.id)?.shot
  if (!line) return
  const { slate, description, day, stage } = line
  void submit(async () => {
    await book.changeShot(line.id, { slate, description, day, stage, basedOnId: on.value }, line.version)
    emit('close')
  })
}
</script>

<template>
  <BaseDialog :open="open" wide :title="`Base ${shot.slate} on another shot`" :error="error" @close="emit('close')">
    <ChoiceField v-model="on" label="Its values carry from" :options="choices" />
    <div v-if="preview" class="max-h-80 overflow-y-auto">
      <template v-for="s in preview" :key="s.slate">
        <h3 class="group-title mt-2">
          {{ s.slate }}: {{ s.differences.length ? `${s.differences.length} would change` : 'nothing would change' }}
        </h3>
        <ul class="text-small">
          <li v-for="(d, i) in s.differences" :key="i">
            <b class="font-strong">{{ d.name }}</b> {{ d.label }},
            <span class="figure">{{ settings.printed(d.words) }}</span>
          </li>
        </ul>
      </template>
    </div>
    <template #buttons
      ><button class="button" @click="emit('close')">Cancel</button
      ><button class="button button-main" :disabled="busy || !preview" @click="keep">Base it on that</button></template
    >
  </BaseDialog>
</template>
