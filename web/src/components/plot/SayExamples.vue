<script setup lang="ts">
import { computed } from 'vue'
import type { Placed } from '@/api/types'
import { sayExamples } from '@/lib/sayExamples'
import { usePlot } from '@/stores/plot'

/** What can be said, by example, of what is selected: pressed, it stands in the bar. */
const props = defineProps<{ of: Placed | undefined }>()
const emit = defineEmits<{ say: [line: string] }>()
const plot = usePlot()
const examples = computed(() =>
  sayExamples(
    props.of,
    (plot.plot?.drawn.set.plan.landmarks ?? []).map((l) => l.name),
  ),
)
</script>

<template>
  <button
    v-for="e in examples"
    :key="e"
    class="px-2 border border-line rounded-mark hover:border-quiet pointer-coarse:min-h-11"
    @click="emit('say', e)"
  >
    {{ e }}
  </button>
</template>
