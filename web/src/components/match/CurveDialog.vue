<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { answer, api, asFile } from '@/api/client'
import { outdate } from '@/api/reads'
import type { MonitorCurve, MonitorView } from '@/api/types'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import ChoiceField from '@/components/dialogs/ChoiceField.vue'
import { chooseCurves, curveName } from '@/lib/monitorCurve'
import { SIGNAL_CURVES } from '@/lib/words'
import { useSubmit } from '@/lib/useSubmit'

/** What percents on the monitor are read through: of the production, and of a scene that differs. */
const props = defineProps<{ open: boolean; monitor: MonitorView; sceneId: number }>()
const emit = defineEmits<{ close: []; keep: [before: MonitorView] }>()
/** Refused: somebody else's may hold by now. */
const { busy, error, submit } = useSubmit(() => void outdate({ topics: ['MATCH'] }))
const AS_PRODUCTION = 'as the production'
const LONGEST_NAME = 60
const tables = ref<MonitorCurve[]>([])
const said = ref('')
const production = ref('')
const scene = ref('')

const curves = computed((): MonitorCurve[] => [
  ...SIGNAL_CURVES.map(({ key: shipped }) => ({ shipped })),
  ...tables.value,
])
const options = computed(() => curves.value.map((c) => ({ key: keyOf(c), name: curveName(c) })))
const ofScene = computed(() => [{ key: AS_PRODUCTION, name: AS_PRODUCTION }, ...options.value])
const keyOf = (curve: MonitorCurve) => JSON.stringify(curve)
const chosen = (key: string) => curves.value.find((c) => keyOf(c) === key)

watch(
  () => props.open,
  () => {
    const { production: usual, own } = props.monitor
    error.value = ''
    said.value = ''
    tables.value = []
    for (const curve of [usual, own]) if (curve?.table) offer(curve)
    production.value = keyOf(usual)
    scene.value = own ? keyOf(own) : AS_PRODUCTION
  },
  { immediate: true },
)

function offer(curve: MonitorCurve) {
  if (!chosen(keyOf(curve))) tables.value.push(curve)
}

function take(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  void submit(async () => {
    const name = file.name.replace(/\.csv$/i, '').slice(0, LONGEST_NAME)
    const read = await answer(api.POST('/api/monitor/table', { ...asFile(file), params: { query: { name } } }))
    offer({ table: read.table })
    scene.value = keyOf({ table: read.table })
    said.value = `${name}: ${read.say}`
  }).finally(() => (input.value = ''))
}

function keep() {
  const before = props.monitor
  void submit(async () => {
    await chooseCurves(props.sceneId, before, { production: chosen(production.value)!, own: chosen(scene.value) })
    emit('keep', before)
    emit('close')
  })
}
</script>

<template>
  <BaseDialog :open="open" title="What the monitor is read through" :error="error" @close="emit('close')">
    <p class="mb-3 text-quiet">
      By this curve, percents on the monitor become light, and predicted light becomes percents. {{ monitor.say }}
    </p>
    <ChoiceField v-model="scene" label="This scene" :options="ofScene" />
    <ChoiceField
      v-model="production"
      label="All scenes of the production that have none of their own"
      :options="options"
    />
    <div class="mt-3 flex flex-wrap items-center gap-2">
      <label class="button"
        >A table of your own…<input type="file" class="sr-only" accept=".csv,text/csv" @change="take" /></label
      ><a class="button" :href="`/api/scenes/${sceneId}/monitor.csv`">This curve as CSV</a>
    </div>
    <p class="mt-1 text-small text-quiet">
      A table has two columns, percent and light; light is 0.18 for a grey card at the camera's stop.
    </p>
    <p v-if="said" role="status" class="mt-2">{{ said }}</p>
    <template #buttons
      ><button class="button" @click="emit('close')">Cancel</button
      ><button class="button button-main" :disabled="busy" @click="keep">Read by this</button></template
    >
  </BaseDialog>
</template>
