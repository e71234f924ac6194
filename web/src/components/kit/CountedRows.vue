<script setup lang="ts">
import { computed } from 'vue'
import type { CountedView } from '@/api/types'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { useSettings } from '@/stores/settings'
import { useStock } from '@/stores/stock'

/** Stock that is counted: a bar as long as what there is of it where that has a length, and the number. */
const props = defineProps<{ counted: CountedView[]; editable: boolean; short: string[] }>()
defineEmits<{ edit: [item: CountedView] }>()
const settings = useSettings()
const stock = useStock()
const PER_M = 30
const MOST_PX = 150
const rows = computed(() =>
  props.counted.map((c) => {
    const { item } = c
    const metres = item.size.lengthM ?? 0
    const flat = item.form === 'ROLL' || item.form === 'CLOTH' || item.form === 'SHEET'
    return {
      ...c,
      swatch: stock.items.find((i) => i.name === item.what)?.gel,
      bars: flat ? Array.from({ length: Math.min(item.count, 4) }, () => Math.min(MOST_PX, metres * PER_M)) : [],
      short: props.short.some((s) => s.toLowerCase() === item.what.toLowerCase()),
    }
  }),
)
const colour = (gel?: { red: number; green: number; blue: number }) =>
  gel ? `rgb(${[gel.red, gel.green, gel.blue].map((c) => Math.round(255 * c ** (1 / 2.2))).join(' ')})` : undefined
</script>

<template>
  <ul>
    <li v-for="r in rows" :key="r.id" class="border-b border-line">
      <component
        :is="editable ? 'button' : 'div'"
        class="grid w-full min-h-8 grid-cols-[14px_minmax(0,10fr)_minmax(0,9fr)_auto] items-center gap-x-2 py-1 pl-4 pr-3 text-left pointer-coarse:min-h-11"
        @click="editable && $emit('edit', r)"
      >
        <span v-if="r.swatch" class="swatch" :style="{ background: colour(r.swatch) }" /><span v-else />
        <span class="min-w-0"
          >{{ r.item.what }} <span class="text-small text-quiet">{{ settings.printed(r.detail) }}</span></span
        >
        <svg v-if="r.bars.length" width="100%" height="10" aria-hidden="true" class="overflow-hidden">
          <rect
            v-for="(long, i) in r.bars"
            :key="i"
            :x="1 + r.bars.slice(0, i).reduce((all, b) => all + b + 4, 0)"
            y="1"
            :width="long"
            height="8"
          />
        </svg>
        <span v-else />
        <span class="figure flex items-center gap-2"
          ><WedgeMark v-if="r.short" act /><span v-if="r.short" class="sr-only">short</span>{{ r.item.count }}</span
        >
      </component>
    </li>
  </ul>
</template>

<style scoped>
rect {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.2;
}
</style>
