<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Placed } from '@/api/types'
import { useLight } from '@/stores/light'
import { usePlot } from '@/stores/plot'
import { useSettings } from '@/stores/settings'
import MeasureForm from './MeasureForm.vue'

/** The tapes of a thing: the crew's own as they were pulled, else those that the set's landmarks would give; typed over where one stands. */
const props = defineProps<{ placed: Placed }>()
const plot = usePlot()
const light = useLight()
const settings = useSettings()
const open = ref(false)
const tapes = computed(() => props.placed.tapes)
const all = computed(() => (tapes.value ? [tapes.value.a, tapes.value.b, ...tapes.value.checks] : []))
/** Measured otherwise than by tapes. */
const otherwise = computed(() =>
  props.placed.measured && !tapes.value?.own ? settings.printed(props.placed.measured) : '',
)
watch(
  () => props.placed.placement.key,
  () => (open.value = false),
)
</script>

<template>
  <div
    v-for="tape in all"
    :key="tape.landmark"
    class="flex min-h-6.25 items-center justify-between pr-1 pl-6 text-quiet"
  >
    <span>from {{ tape.landmark }}</span>
    <span
      ><span class="figure text-figure" :class="{ 'text-ink': tapes?.own }">{{
        settings.figure(tape.length).figure
      }}</span
      ><span class="unit">{{ settings.figure(tape.length).unit }}</span></span
    >
  </div>
  <p v-if="!tapes && placed.values.PLACE" class="pl-6 text-small text-quiet">
    No two landmarks are in sight of it: no tapes.
  </p>
  <p v-if="otherwise" class="pl-6 text-small">{{ otherwise }}</p>
  <div v-if="!open" class="flex items-center justify-between pl-6 text-small text-quiet">
    <span>{{ tapes?.own ? 'as they were pulled' : tapes ? 'worked out from the plan' : '' }}</span>
    <button v-if="!plot.locked && !light.trying" class="button" @click="open = true">Measured…</button>
  </div>
  <MeasureForm v-else :key="placed.placement.key" class="ml-6" :placed="placed" @close="open = false" />
</template>
