<script setup lang="ts">
import { computed, type Component } from 'vue'
import SpineButton from '@/components/layout/SpineButton.vue'
import TabRow from '@/components/layout/TabRow.vue'
import ClothBench from '@/components/bench/ClothBench.vue'
import ColourBench from '@/components/bench/ColourBench.vue'
import CorrectionBench from '@/components/bench/CorrectionBench.vue'
import CutBench from '@/components/bench/CutBench.vue'
import DistanceBench from '@/components/bench/DistanceBench.vue'
import ExposureBench from '@/components/bench/ExposureBench.vue'
import PowerBench from '@/components/bench/PowerBench.vue'
import StandBench from '@/components/bench/StandBench.vue'
import StillBench from '@/components/bench/StillBench.vue'
import TapeBench from '@/components/bench/TapeBench.vue'

/** The calculators, without any production. */
const props = defineProps<{ bench: string }>()
defineEmits<{ spine: [] }>()

interface Bench {
  key: string
  name: string
  view?: Component
  /** One that has several pictures. */
  parts?: { key: string; name: string; view: Component }[]
}
const BENCHES: Bench[] = [
  { key: 'colour', name: 'Colour', view: ColourBench },
  { key: 'correction', name: 'Correction', view: CorrectionBench },
  { key: 'exposure', name: 'Exposure and ratio', view: ExposureBench },
  { key: 'distance', name: 'Distance and softness', view: DistanceBench },
  { key: 'still', name: 'Still', view: StillBench },
  {
    key: 'tape',
    name: 'Tape and power',
    parts: [
      { key: 'tape', name: 'Tape', view: TapeBench },
      { key: 'power', name: 'Power', view: PowerBench },
    ],
  },
  {
    key: 'stand',
    name: 'Rigging and gel',
    parts: [
      { key: 'stand', name: 'Stand', view: StandBench },
      { key: 'cloth', name: 'Cloth', view: ClothBench },
      { key: 'cut', name: 'Cut', view: CutBench },
    ],
  },
]
const here = computed(
  () => BENCHES.find((b) => b.key === props.bench || b.parts?.some((p) => p.key === props.bench)) ?? BENCHES[0]!,
)
const tabs = BENCHES.map(({ key, name }) => ({ key, name, to: { name: 'bench', params: { bench: key } } }))
const view = computed(() => here.value.view ?? here.value.parts!.find((p) => p.key === props.bench)!.view)
</script>

<template>
  <div class="view">
    <header class="head flex items-baseline gap-3 h-13 py-2 px-4 border-b border-line">
      <SpineButton @click="$emit('spine')" />
      <h1 class="text-head font-strong">Bench</h1>
      <span class="text-small text-quiet">calculators; nothing here is recorded</span>
    </header>
    <TabRow class="flex-none px-1.5 border-b border-line" :tabs="tabs" :here="here.key" label="Benches" />
    <component :is="view" :key="bench">
      <nav v-if="here.parts" class="mb-3 flex" :aria-label="here.name">
        <RouterLink
          v-for="part in here.parts"
          :key="part.key"
          :to="{ name: 'bench', params: { bench: part.key } }"
          class="half"
          :class="{ here: part.key === bench }"
          >{{ part.name }}</RouterLink
        >
      </nav>
    </component>
  </div>
</template>

<style scoped>
.half {
  display: flex;
  flex: 1;
  align-items: center;
  justify-content: center;
  min-height: 28px;
  border: 1px solid var(--line);
}
@media (pointer: coarse) {
  .half {
    min-height: 44px;
  }
}
.half.here {
  border-color: var(--ink);
  font-weight: var(--font-weight-strong);
}
</style>
