<script setup lang="ts">
import { usePlot } from '@/stores/plot'

/** Each person undoes their own. */
const emit = defineEmits<{ done: [] }>()
const plot = usePlot()
const NAMES = { undo: 'Undo', redo: 'Redo' } as const
</script>

<template>
  <button
    v-for="(name, way) in NAMES"
    :key="way"
    class="button"
    :disabled="!plot.plot?.mine[way]"
    :title="
      plot.plot?.mine[way]
        ? `${name} your last edit, of ${plot.plot.mine[way]}`
        : `Nothing of yours to ${way} in this shot`
    "
    @click="plot.step(way).then(() => emit('done'))"
  >
    {{ name }}
  </button>
</template>
