<script setup lang="ts">
import { ref } from 'vue'
import { answer, api } from '@/api/client'
import type { PlanPoint } from '@/api/types'
import { same, type Tool } from '@/lib/setDrawing'
import { useSubmit } from '@/lib/useSubmit'
import { TOOLS } from './tools'

/** What to draw with; or walls paced out in words. */
const props = defineProps<{ /** Corners of the wall that was drawn last. */ last: PlanPoint[] }>()
const tool = defineModel<Tool>('tool', { required: true })
const emit = defineEmits<{ walls: [points: PlanPoint[]]; refused: [sentence: string] }>()
const paces = ref('')
const { busy, error, submit } = useSubmit()

/** Goes on where the last wall ended, or begins anew where it is closed. */
async function pace() {
  const [first, end] = [props.last[0], props.last.at(-1)]
  const start = first && end && !same(first, end) ? end : { xM: 0, yM: 0 }
  const body = { start, text: paces.value }
  const done = await submit(async () => {
    const { points } = await answer(api.POST('/api/sets/paces', { body }))
    emit('walls', points)
    paces.value = ''
  })
  emit('refused', done ? '' : error.value)
}
</script>

<template>
  <nav class="flex min-h-10 flex-wrap border-b border-line pr-3.5 pl-1.5" aria-label="What to draw">
    <button
      v-for="t in TOOLS"
      :key="t.key"
      class="tab"
      :class="{ here: tool === t.key }"
      :aria-pressed="tool === t.key"
      @click="tool = t.key"
    >
      {{ t.name }}
    </button>
    <form class="ml-3 flex min-w-65 flex-1 items-center gap-2" @submit.prevent="pace">
      <input
        v-model="paces"
        class="field"
        placeholder="Or pace walls out: 6 right, 4.5 up, 6 left, close"
        aria-label="Walls, paced out"
      />
      <button class="button" :disabled="busy || !paces.trim()">Put them</button>
    </form>
  </nav>
</template>
