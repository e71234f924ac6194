<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { RouterLink } from 'vue-router'
import JobTimesDialog from '@/components/dialogs/JobTimesDialog.vue'
import { plain } from '@/lib/print'
import { useMoves } from '@/stores/moves'
import MoveBars from './MoveBars.vue'
import MoveSteps from './MoveSteps.vue'

/** The gap between two shots, opened: what to do there. */
const props = defineProps<{ from: string; to: string; productionId: number }>()
const emit = defineEmits<{ close: [] }>()
const store = useMoves()
const tempoOpen = ref(false)
const moves = computed(() =>
  store.moves?.from.id === props.from && store.moves.to.id === props.to ? store.moves : undefined,
)
const crews = computed(() => moves.value?.departments.filter((d) => d.department !== 'TOGETHER').length ?? 0)

watch(
  () => [props.from, props.to] as const,
  ([from, to]) => store.open(from, to),
  { immediate: true },
)
</script>

<template>
  <aside
    class="flex flex-col h-full pt-2.5 pb-3 px-4 bg-raised border-l border-l-quiet border-r border-r-quiet"
    :aria-label="moves ? `What to do from ${moves.from.name} to ${moves.to.name}` : 'What to do'"
  >
    <button
      class="absolute right-1 top-1 w-6 h-6 text-quiet text-title"
      aria-label="Close the gap"
      @click="emit('close')"
    >
      ×
    </button>
    <template v-if="moves">
      <header class="mb-2 flex items-baseline justify-between pr-5">
        <span
          ><b class="text-lead font-strong">{{ moves.from.name }} to {{ moves.to.name }}</b
          ><span class="block text-small text-quiet">by who moves it</span></span
        >
        <span class="shrink-0 text-right"
          ><span class="figure text-large">{{ plain(moves.minutes, 1) }}</span
          ><span class="unit">min</span
          ><span class="block text-small text-quiet"
            >{{ crews }} {{ crews === 1 ? 'crew' : 'crews' }}, estimate</span
          ></span
        >
      </header>
      <MoveBars v-if="moves.moves.length" :moves="moves" />
      <div class="steps flex-1 min-h-0 overflow-y-auto"><MoveSteps :moves="moves" brief /></div>
      <footer class="mt-2 flex flex-wrap gap-2">
        <RouterLink class="button button-main !px-2" :to="{ name: 'moves', params: { from, to } }"
          >Open as a list</RouterLink
        >
        <RouterLink class="button !px-2" :to="{ name: 'compare', params: { from, to } }">Compare</RouterLink>
        <button class="button !px-2" @click="tempoOpen = true">Times…</button>
      </footer>
      <JobTimesDialog :open="tempoOpen" :tempo="moves.tempo" :production-id="productionId" @close="tempoOpen = false" />
    </template>
    <p v-else :role="store.problem ? 'alert' : undefined">{{ store.problem || 'Working out what to do…' }}</p>
  </aside>
</template>
