<script setup lang="ts">
import { computed } from 'vue'
import { padOf } from '@/lib/keypad'
import type { UseWalkEntryReturn } from '@/lib/useWalkEntry'
import { useSettings } from '@/stores/settings'

/** Big keys for figures. A figure that is whole is kept by itself. */
const props = defineProps<{ entry: UseWalkEntryReturn; keepName: string }>()
const emit = defineEmits<{ other: [] }>()
const settings = useSettings()
const FIGURES = ['1', '2', '3', '4', '5', '6', '7', '8', '9']
const extra = computed(() => (props.entry.kind.value ? padOf(props.entry.kind.value, settings.units).extra : []))
/** Beside the nought; more go into a row of their own. */
const left = computed(() => (extra.value.length === 1 ? extra.value[0] : undefined))
const row = computed(() => (extra.value.length > 1 ? extra.value : []))
const tape = computed(() => ['A', 'B', 'C'].includes(String(props.entry.field.value)))

function onKey(event: KeyboardEvent) {
  if (/^[0-9.]$/.test(event.key)) props.entry.press(event.key)
  else if (event.key === 'Backspace') props.entry.back()
  else if (event.key === 'Enter') props.entry.keep()
  else if (event.key === 'Escape') props.entry.close()
  else return
  event.preventDefault()
}
defineExpose({ onKey })
</script>

<template>
  <div class="grid gap-2 p-5 pt-2.5" role="group" aria-label="Keys for figures">
    <div v-if="row.length" class="grid gap-2" :style="{ gridTemplateColumns: `repeat(${row.length}, 1fr)` }">
      <button v-for="k in row" :key="k" class="key" @click="entry.press(k)">{{ k }}</button>
    </div>
    <div class="grid grid-cols-3 gap-2">
      <button v-for="k in FIGURES" :key="k" class="key figure" @click="entry.press(k)">{{ k }}</button>
      <button v-if="left" class="key figure" @click="entry.press(left)">{{ left }}</button>
      <button v-else class="key word" @click="entry.close()">not now</button>
      <button class="key figure" @click="entry.press('0')">0</button>
      <button class="key word" @click="entry.wipe()">wipe</button>
    </div>
    <div class="flex gap-2">
      <button v-if="tape" class="key word" @click="emit('other')">Other landmark</button>
      <button v-else-if="left" class="key word" @click="entry.close()">Not now</button>
      <button class="key button-main grow !text-title font-strong" @click="entry.keep()">{{ keepName }}</button>
    </div>
  </div>
</template>

<style scoped>
.key {
  min-height: 60px;
  padding: 0 10px;
  border: 1px solid var(--line);
  border-radius: 3px;
  font-size: var(--text-key);
}
.key.word {
  font-size: var(--text-lead);
}
.key.button-main {
  border-color: var(--accent);
}
.key:active {
  background: var(--raised);
}
</style>
