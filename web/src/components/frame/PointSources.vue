<script setup lang="ts">
import { computed } from 'vue'
import { value, type FramePoint, type Light } from '@/api/types'
import { fixed } from '@/lib/print'
import { tenths } from '@/lib/stops'
import { useLight } from '@/stores/light'
import { useShotEditor } from '@/stores/shotEditor'

/** Each source at the chosen point; alone or out, the picture follows. */
const props = defineProps<{ source: Light; point?: FramePoint; number: number }>()
const light = useLight()
const editor = useShotEditor()

const rows = computed(() =>
  props.source.sources.map((s) => {
    const placed = editor.placements.find((p) => p.placement.key === s.key)
    const level = placed && value(placed, 'LEVEL')?.percent
    return {
      ...s,
      level: level === undefined ? '' : fixed(level, 0),
      stops: props.point?.sources.find((one) => one.key === s.key)?.light.overStops,
      told: !s.out && !!props.point?.light,
    }
  }),
)
</script>

<template>
  <section class="flex min-h-0 flex-col">
    <header class="flex items-baseline gap-2">
      <h2 class="grow text-base">One at a time</h2>
      <span v-if="point" class="text-fine text-quiet">stops at {{ number }}</span>
      <button class="button !px-2" :disabled="!light.muted.length" @click="light.muted = []">All on</button>
    </header>
    <ul class="min-h-0 grow overflow-y-auto">
      <li v-for="s in rows" :key="s.key" :class="{ 'text-quiet': s.out }" :data-source="s.key">
        <span class="swatch h-2.75 w-5" :style="{ background: s.out ? 'transparent' : s.swatch }" />
        <span class="min-w-0 grow truncate" :title="s.unknown">{{ s.name }}</span>
        <span class="figure level">{{ s.level }}<small v-if="s.level"> %</small></span>
        <span class="figure stops">{{ s.told ? tenths(s.stops) : '' }}</span>
        <button class="button !px-1 text-small" @click="light.alone([s.key])">Alone</button>
        <button class="button !px-1 text-small" :aria-pressed="s.out" @click="light.toggleOut([s.key])">Out</button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
li {
  display: flex;
  align-items: center;
  gap: 5px;
  min-height: 29px;
}
.level {
  width: 38px;
  text-align: right;
}
.level small {
  color: var(--quiet);
}
.stops {
  width: 36px;
  text-align: right;
}
</style>
