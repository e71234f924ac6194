<script setup lang="ts">
import { ref, useId, watch } from 'vue'
import type { Kind } from '@/api/types'
import { readFigures, say } from '@/lib/figures'
import { useSubmit } from '@/lib/useSubmit'
import { useSettings } from '@/stores/settings'

/** A recorded figure in the crew's units, to type over. What the server cannot read stays in the field, with what to type instead. */
const props = defineProps<{
  label: string
  kind: Kind
  /** Metres or lux where it has a unit. */
  value?: number
  /** Says what nothing stands for; without it there has to be a figure. */
  whenEmpty?: string
  disabled?: boolean
}>()
const emit = defineEmits<{ read: [value: number | undefined] }>()
const settings = useSettings()
const id = useId()
const text = ref('')
const { error, submit } = useSubmit()
let shown = ''

async function printed(value: number | undefined): Promise<string> {
  if (value === undefined) return ''
  if (props.kind !== 'LENGTH' && props.kind !== 'LIGHT') return String(value)
  const [both] = await say(props.kind, [value])
  return both ? settings.printed(both) : ''
}
watch(
  () => [props.value, settings.units] as const,
  async ([value]) => {
    const now = await printed(value).catch(() => String(value ?? ''))
    if (value !== props.value) return
    if (text.value === shown) text.value = now
    shown = now
    error.value = ''
  },
  { immediate: true },
)

function keep() {
  const typed = text.value.trim()
  if (typed === shown) return
  if (!typed && props.whenEmpty !== undefined) return emit('read', undefined)
  void submit(async () => {
    const [value] = await readFigures({ kind: props.kind, text: typed })
    shown = text.value
    emit('read', value)
  })
}
</script>

<template>
  <label :for="id">{{ label }}</label>
  <input
    :id="id"
    v-model="text"
    class="field figure"
    autocomplete="off"
    :placeholder="whenEmpty"
    :disabled="disabled"
    :aria-invalid="!!error"
    :aria-describedby="error ? `${id}-e` : undefined"
    @change="keep"
  />
  <p v-if="error" :id="`${id}-e`" role="alert" class="col-span-full text-small">{{ error }}</p>
</template>
