<script setup lang="ts">
import type { HintView } from '@/api/types'
import type { Flag } from '@/lib/flags'
import { useSettings } from '@/stores/settings'

/** What is to be acted on, as flags on the plan. */
defineProps<{ flags: (Flag & { hint: HintView })[] }>()
const emit = defineEmits<{ choose: [hint: HintView] }>()
const settings = useSettings()
</script>

<template>
  <g
    v-for="(f, i) in flags"
    :key="`flag-${i}`"
    class="flag"
    role="button"
    tabindex="0"
    :aria-label="`${settings.printed(f.hint.title)}. ${settings.printed(f.hint.reason)}`"
    @pointerdown.stop
    @click="emit('choose', f.hint)"
    @keydown.enter.stop="emit('choose', f.hint)"
    @keydown.space.stop.prevent="emit('choose', f.hint)"
  >
    <path
      :d="`M${f.at.x},${f.at.y + 10}L${f.left > f.at.x ? f.left : f.right},${f.top + 14}`"
      stroke="var(--ink)"
      fill="none"
    />
    <rect
      :x="f.left"
      :y="f.top"
      :width="f.right - f.left"
      :height="f.bottom - f.top"
      rx="3"
      fill="var(--ground)"
      stroke="var(--ink)"
    />
    <path :d="`M${f.left + 10},${f.top + 22}h12v-9z`" fill="var(--ink)" stroke="var(--ink)" stroke-linejoin="round" />
    <text :x="f.left + 30" :y="f.top + 16" class="flag-title">{{ settings.printed(f.hint.title) }}</text>
    <text :x="f.left + 30" :y="f.top + 32" class="flag-words">why, and on purpose</text>
  </g>
</template>

<style scoped>
.flag {
  cursor: pointer;
}
.flag-title {
  font-size: var(--text-small);
  font-weight: var(--font-weight-strong);
  fill: var(--ink);
}
.flag-words {
  font-size: var(--text-fine);
  fill: var(--quiet);
}
</style>
