<script setup lang="ts">
import { computed } from 'vue'
import { useRead } from '@/api/reads'
import HangingLoads from './HangingLoads.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'

/** Units of a shot that are not there on one of its days, of all that stands in it or of one thing; and what of all hangs from what. */
const props = defineProps<{ shotId: number; of?: string }>()
const { data: kit } = useRead('shotKit', () => ({ shotId: props.shotId }))
const absent = computed(() => (kit.value?.absent ?? []).filter((a) => !props.of || a.key === props.of))
</script>

<template>
  <ul v-if="absent.length" class="py-1" aria-label="Not there">
    <li v-for="a in absent" :key="`${a.key} ${a.day}`" class="flex gap-2 py-0.5">
      <WedgeMark act /><span
        ><b class="font-strong">{{ a.unit }}</b
        >{{ of ? '' : ` (${a.name})` }} is {{ a.why }}: not there on day {{ a.day }}.</span
      >
    </li>
  </ul>
  <section v-if="!of && kit?.hanging.length" class="py-1" aria-label="Hangs">
    <h3 class="group-title">Hangs <span class="font-normal text-quiet">estimate; a rigger decides</span></h3>
    <HangingLoads :loads="kit.hanging" />
  </section>
</template>
