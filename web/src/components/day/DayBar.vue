<script setup lang="ts">
import { computed } from 'vue'
import type { DaySlot } from '@/api/types'

/** A shot in time: outlined while it is set up, dotted while it waits for its light, full while it is shot. */
const props = defineProps<{
  slotOf: DaySlot
  x: (minutes: number) => number
  /** Where minutes begin, px. */
  heads: number
  ghost?: boolean
  faded?: boolean
}>()
const parts = computed(() => {
  const { setUpFrom, readyAt, shootFrom, shootTo } = props.slotOf
  const at = (from: number, to: number) => ({
    left: `${props.heads + props.x(from)}px`,
    width: `${Math.max(1, props.x(to) - props.x(from))}px`,
  })
  return {
    setUp: at(setUpFrom, readyAt),
    wait: shootFrom - readyAt >= 1 ? at(readyAt, shootFrom) : undefined,
    takes: at(shootFrom, shootTo),
    minutes: Math.round(readyAt - setUpFrom),
    shoot: Math.round(shootTo - shootFrom),
  }
})
const fits = (style: { width: string }) => parseFloat(style.width) > 20
</script>

<template>
  <div :class="{ ghost, faded }" aria-hidden="true">
    <span class="slate" :style="{ left: parts.setUp.left }">{{ slotOf.slate }}{{ slotOf.again ? ' again' : '' }}</span>
    <span class="set" :style="parts.setUp">{{ fits(parts.setUp) ? parts.minutes : '' }}</span>
    <span v-if="parts.wait" class="wait" :style="parts.wait" />
    <span class="takes" :class="{ out: !slotOf.inItsLight || slotOf.late }" :style="parts.takes">{{
      fits(parts.takes) ? parts.shoot : ''
    }}</span>
  </div>
</template>

<style scoped>
span {
  position: absolute;
  box-sizing: border-box;
  overflow: hidden;
  white-space: nowrap;
}
.slate {
  top: 10px;
  font-weight: var(--font-weight-strong);
  overflow: visible;
}
.set,
.takes {
  top: 34px;
  height: 30px;
  padding: 6px 4px;
  font-family: var(--font-mono);
  font-size: var(--text-small);
  border: 1px solid var(--ink);
}
.takes {
  background: var(--ink);
  color: var(--ground);
}
.takes.out {
  background: transparent;
  color: var(--ink);
  border: 2px solid var(--ink);
  border-top-width: 6px;
}
.wait {
  top: 48px;
  height: 0;
  border-top: 2px dotted var(--quiet);
}
.faded {
  opacity: 0.55;
}
.ghost .slate {
  top: 2px;
  font-size: var(--text-small);
}
.ghost .set,
.ghost .takes {
  top: 22px;
  height: 26px;
  padding-top: 4px;
  border-style: dashed;
}
.ghost .takes {
  background: var(--raised);
  color: var(--ink);
}
.ghost .wait {
  top: 34px;
}
</style>
