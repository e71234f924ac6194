<script setup lang="ts">
import { ref, watch } from 'vue'
import { answer, api } from '@/api/client'
import { outdate } from '@/api/reads'
import type { Spread } from '@/api/types'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import { useSubmit } from '@/lib/useSubmit'
import { useSettings } from '@/stores/settings'

/** How far the lights and meters of a production stray though all is as recorded. */
const props = defineProps<{ open: boolean; spread: Spread; productionId: number }>()
const emit = defineEmits<{ close: [] }>()
const settings = useSettings()
const { busy, error, submit } = useSubmit()
const KINDS = [
  { key: 'light', name: 'a light, put back as it was' },
  { key: 'unmetered', name: 'besides, one that was never metered alone' },
  { key: 'meter', name: 'one reading of the meter' },
] as const
const FIGURES = [
  { key: 'stops', name: 'stop', step: 0.01 },
  { key: 'mired', name: 'mired', step: 0.5 },
  { key: 'duv', name: 'Duv', step: 0.0005 },
] as const
const IN_A_METRE = 39.3701
const CM_IN_A_METRE = 100

const copy = () => JSON.parse(JSON.stringify(props.spread)) as Spread
const strays = ref(copy())
const place = ref(0)
const perMetre = () => (settings.units === 'imperial' ? IN_A_METRE : CM_IN_A_METRE)
watch(
  () => props.open,
  () => {
    error.value = ''
    strays.value = copy()
    place.value = Math.round(strays.value.metres * perMetre() * 10) / 10
  },
  { immediate: true },
)

function keep() {
  void submit(async () => {
    const params = { path: { productionId: props.productionId } }
    const spread = { ...strays.value, metres: place.value / perMetre() }
    await answer(api.PUT('/api/productions/{productionId}/spread', { params, body: { seen: props.spread, spread } }))
    await outdate({ topics: ['MATCH'] })
    emit('close')
  })
}
</script>

<template>
  <BaseDialog :open="open" wide title="How far lights and meters stray" :error="error" @close="emit('close')">
    <p class="mb-3 text-quiet">
      One standard deviation each, for the whole production: what is off by no more than this is no fault. Take them
      from putting the same light back a few times, and from two meters side by side.
    </p>
    <form id="spread-form" @submit.prevent="keep">
      <fieldset v-for="k in KINDS" :key="k.key" class="flex flex-wrap items-center gap-x-4 py-1">
        <legend class="float-left w-64 pt-2">{{ k.name }}</legend>
        <label v-for="f in FIGURES" :key="f.key" class="flex items-center gap-2"
          ><input
            v-model.number="strays[k.key][f.key]"
            type="number"
            min="0"
            :step="f.step"
            class="field figure !w-24 text-right"
          /><span class="unit w-12">{{ f.name }}</span></label
        >
      </fieldset>
      <label class="flex flex-wrap items-center gap-x-4 py-1"
        ><span class="w-64">where a stand is put back</span
        ><span class="flex items-center gap-2"
          ><input v-model.number="place" type="number" min="0" step="0.5" class="field figure !w-24 text-right" /><span
            class="unit"
            >{{ settings.units === 'imperial' ? 'in' : 'cm' }}</span
          ></span
        ></label
      >
    </form>
    <template #buttons>
      <button class="button" @click="emit('close')">Cancel</button>
      <button class="button button-main" :disabled="busy" type="submit" form="spread-form">Keep</button>
    </template>
  </BaseDialog>
</template>
