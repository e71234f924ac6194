<script setup lang="ts">
import { computed } from 'vue'
import type { NeedLine } from '@/api/types'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { useSettings } from '@/stores/settings'

/** One thing that is needed: a square for each, filled when it is there, and what could stand in for what is not. */
const props = defineProps<{ line: NeedLine; instead: string[] }>()
const settings = useSettings()
const MOST_SLOTS = 8
const wanted = computed(() => props.line.count + props.line.worn)
const slots = computed(() =>
  wanted.value > MOST_SLOTS
    ? []
    : Array.from({ length: wanted.value }, (_, i) => i < wanted.value - props.line.missing),
)
</script>

<template>
  <li class="line" :data-short="!!line.missing || !!line.absent.length">
    <span class="min-w-0">{{ settings.printed(line.item) }}</span>
    <span class="slots"
      ><i v-for="(there, i) in slots" :key="i" :class="{ there }" aria-hidden="true" />
      <span class="figure"
        >{{ wanted - line.missing }} <span class="text-quiet">of {{ wanted }}</span></span
      ></span
    >
    <span class="text-right text-small text-quiet">{{ line.shots.join(', ') }}</span>
    <p v-for="a in line.absent" :key="a.unit" class="said">
      <WedgeMark act /><span
        ><b class="font-strong">{{ a.unit }}</b> is {{ a.why }}; it is recorded for {{ line.by.join(', ') }}.</span
      >
    </p>
    <p v-if="line.worn" class="said text-quiet">
      <WedgeMark /><span>{{ line.worn }} more because lamps burn them (8 h of takes each, model).</span>
    </p>
    <p v-if="line.missing" class="said">
      <WedgeMark act /><span>{{ line.missing }} missing, for {{ line.by.join(', ') }}.</span>
    </p>
    <p v-for="s in instead" :key="s" class="said pl-5 text-quiet">Instead: {{ s }}</p>
    <p v-if="line.how && !line.missing" class="said text-small text-quiet">{{ settings.printed(line.how) }}</p>
  </li>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto 84px;
  gap: 2px 10px;
  align-items: baseline;
  padding: 4px 12px 4px 16px;
  border-bottom: 1px solid var(--line);
}
.slots {
  display: flex;
  flex-wrap: wrap;
  gap: 3px;
  align-items: baseline;
}
.slots i {
  width: 9px;
  height: 10px;
  border: 1.2px dashed var(--quiet);
}
.slots i.there {
  border: 1.2px solid var(--ink);
  background: var(--ink);
}
.said {
  display: flex;
  gap: 6px;
  grid-column: 1 / -1;
}
</style>
