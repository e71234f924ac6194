<script setup lang="ts">
import { ref, watch } from 'vue'
import type { Meter } from '@/api/types'

/** The same line, put together by taps: gloves and the dark. */
defineProps<{ lights: Meter['lights'] }>()
const line = defineModel<string>({ required: true })

const STOPS = ['0.7', '1', '1.4', '2', '2.8', '4', '5.6', '8', '11', '16', '22']
const THIRDS = ['', '1/3', '2/3']
const KELVIN = [2700, 3200, 4000, 4300, 5000, 5600, 6500]
const STEP_K = 50
const light = ref('')
const stop = ref('')
const third = ref('')
const kelvin = ref<number>()

watch([light, stop, third, kelvin], () => {
  const read = [stop.value && `T${stop.value}${third.value ? ` ${third.value}` : ''}`, kelvin.value && `${kelvin.value} K`].filter(Boolean).join(', ')
  line.value = [light.value ? `${light.value} alone` : '', read].filter(Boolean).join(' ')
})
watch(line, (now) => {
  if (now) return
  stop.value = ''
  third.value = ''
  kelvin.value = undefined
})
</script>

<template>
  <div class="pad" role="group" aria-label="Tap a reading">
    <div class="row"><button type="button" class="key" :aria-pressed="!light" @click="light = ''">all</button><button v-for="l in lights" :key="l.key" type="button" class="key" :aria-pressed="light === l.name" @click="light = l.name">{{ l.name }}</button></div>
    <div class="row"><button v-for="s in STOPS" :key="s" type="button" class="key figure" :aria-pressed="stop === s" @click="stop = s">T{{ s }}</button></div>
    <div class="row"><button v-for="t in THIRDS" :key="t" type="button" class="key figure" :aria-pressed="third === t" @click="third = t">{{ t || 'full' }}</button></div>
    <div class="row">
      <button v-for="k in KELVIN" :key="k" type="button" class="key figure" :aria-pressed="kelvin === k" @click="kelvin = k">{{ k }}</button>
      <button type="button" class="key figure" :disabled="!kelvin" :aria-label="`${STEP_K} K lower`" @click="kelvin = (kelvin ?? 0) - STEP_K">−{{ STEP_K }}</button>
      <button type="button" class="key figure" :disabled="!kelvin" :aria-label="`${STEP_K} K higher`" @click="kelvin = (kelvin ?? 0) + STEP_K">+{{ STEP_K }}</button>
    </div>
  </div>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  margin-bottom: 4px;
}
.key {
  min-width: 44px;
  min-height: 44px;
  padding: 0 10px;
  border: 1px solid var(--line);
  border-radius: 3px;
}
.key[aria-pressed='true'] {
  border-color: var(--accent);
  font-weight: 650;
}
.key:disabled {
  color: var(--quiet);
}
</style>
