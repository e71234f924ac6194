<script setup lang="ts">
import { computed } from 'vue'
import SpineButton from '@/components/layout/SpineButton.vue'
import TabRow from '@/components/layout/TabRow.vue'
import ColourBench from '@/components/bench/ColourBench.vue'
import CorrectionBench from '@/components/bench/CorrectionBench.vue'
import DistanceBench from '@/components/bench/DistanceBench.vue'
import ExposureBench from '@/components/bench/ExposureBench.vue'
import PowerBench from '@/components/bench/PowerBench.vue'
import StillBench from '@/components/bench/StillBench.vue'
import TapeBench from '@/components/bench/TapeBench.vue'

/** The calculators, without any production. */
const props = defineProps<{ bench: string }>()
defineEmits<{ spine: [] }>()

const BENCHES = [
  { key: 'colour', name: 'Colour', view: ColourBench },
  { key: 'correction', name: 'Correction', view: CorrectionBench },
  { key: 'exposure', name: 'Exposure and ratio', view: ExposureBench },
  { key: 'distance', name: 'Distance and softness', view: DistanceBench },
  { key: 'still', name: 'Still', view: StillBench },
  { key: 'tape', name: 'Tape and power', view: TapeBench },
]
/** The last bench has two pictures. */
const HALVES = [
  { key: 'tape', name: 'Tape' },
  { key: 'power', name: 'Power' },
]
const halved = computed(() => HALVES.some((half) => half.key === props.bench))
const here = computed(() =>
  halved.value ? BENCHES.at(-1)! : (BENCHES.find((b) => b.key === props.bench) ?? BENCHES[0]!),
)
const tabs = BENCHES.map(({ key, name }) => ({ key, name, to: { name: 'bench', params: { bench: key } } }))
const view = computed(() => (props.bench === 'power' ? PowerBench : here.value.view))
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
      <nav v-if="halved" class="mb-3 flex" aria-label="Tape or power">
        <RouterLink
          v-for="half in HALVES"
          :key="half.key"
          :to="{ name: 'bench', params: { bench: half.key } }"
          class="half"
          :class="{ here: half.key === bench }"
          >{{ half.name }}</RouterLink
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
