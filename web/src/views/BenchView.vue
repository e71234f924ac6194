<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import SpineButton from '@/components/layout/SpineButton.vue'
import ColourBench from '@/components/bench/ColourBench.vue'
import CorrectionBench from '@/components/bench/CorrectionBench.vue'
import DistanceBench from '@/components/bench/DistanceBench.vue'
import ExposureBench from '@/components/bench/ExposureBench.vue'
import PowerBench from '@/components/bench/PowerBench.vue'
import TapeBench from '@/components/bench/TapeBench.vue'

/** The calculators, without any production. */
const props = defineProps<{ bench: string }>()
defineEmits<{ spine: [] }>()

const BENCHES = [
  { key: 'colour', name: 'Colour', view: ColourBench },
  { key: 'correction', name: 'Correction', view: CorrectionBench },
  { key: 'exposure', name: 'Exposure and ratio', view: ExposureBench },
  { key: 'distance', name: 'Distance and softness', view: DistanceBench },
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
const tabs = ref<HTMLElement>()
/** On a phone the tabs are wider than the screen. */
const showHere = () =>
  tabs.value?.querySelector('[aria-current]')?.scrollIntoView({ inline: 'center', block: 'nearest' })
watch(() => props.bench, showHere, { flush: 'post' })
onMounted(showHere)
const view = computed(() => (props.bench === 'power' ? PowerBench : here.value.view))
</script>

<template>
  <div class="view">
    <header class="head">
      <SpineButton @click="$emit('spine')" />
      <h1 class="text-[22px] font-[650]">Bench</h1>
      <span class="text-[12px] text-quiet">calculators; nothing here is recorded</span>
    </header>
    <nav ref="tabs" class="tabs" aria-label="Benches">
      <RouterLink
        v-for="b in BENCHES"
        :key="b.key"
        :to="{ name: 'bench', params: { bench: b.key } }"
        class="tab"
        :class="{ here: b.key === here.key }"
        :aria-current="b.key === here.key ? 'page' : undefined"
        >{{ b.name }}</RouterLink
      >
    </nav>
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
.head {
  display: flex;
  align-items: baseline;
  gap: 12px;
  height: 52px;
  padding: 8px 16px;
  border-bottom: 1px solid var(--line);
}
.tabs {
  display: flex;
  flex: none;
  height: 40px;
  padding: 0 6px;
  border-bottom: 1px solid var(--line);
  overflow-x: auto;
}
.half {
  flex: 1;
  padding: 4px 12px;
  text-align: center;
  border: 1px solid var(--line);
}
.half.here {
  border-color: var(--ink);
  font-weight: 650;
}
@media (width < 800px) {
  .tabs {
    height: 44px;
  }
}
</style>
