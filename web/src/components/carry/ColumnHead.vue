<script setup lang="ts">
import { computed } from 'vue'
import type { Board } from '@/api/types'
import StageTick from '@/components/marks/StageTick.vue'

/** Head of a column of the carry board: a shot, or a saved look beside the shots. */
const props = defineProps<{ board: Board; column: number; compact: boolean; here: boolean }>()
defineEmits<{ gap: []; shot: [id: number] }>()
const shot = computed(() => props.board.shots[props.column])
const before = computed(() => props.board.shots[props.column - 1])
const look = computed(() => props.board.looks[props.column - props.board.shots.length])
</script>

<template>
  <div
    class="column-head absolute top-0 h-full pt-1.75 pr-3.5 pl-3 border-l border-line"
    role="columnheader"
    :class="{ here, compact, look }"
  >
    <template v-if="shot">
      <button
        v-if="before && !compact"
        class="gap-button absolute z-1 -left-2 top-2.5 w-4 h-5 grid place-items-center text-quiet bg-ground"
        :aria-label="`What to do from ${before.slate} to ${shot.slate}`"
        title="Open the gap: what to do between the two"
        @click="$emit('gap')"
      >
        <svg width="9" height="14" aria-hidden="true">
          <path d="M1 1V13M8 1V13" stroke="currentColor" stroke-width="1.4" />
        </svg>
      </button>
      <button
        class="w-full text-left"
        :data-slate="shot.slate"
        title="What can be done with the shot"
        @click="$emit('shot', shot.id)"
      >
        <span class="flex items-center gap-1.5"
          ><b class="slate-name text-large leading-[24px] font-bold">{{ shot.slate }}</b
          ><StageTick :stage="shot.stage" /><span class="ml-auto truncate text-fine text-quiet">{{
            shot.basedOn ? `from ${shot.basedOn}` : 'first'
          }}</span></span
        >
        <span class="block truncate text-small" :class="{ 'text-quiet': compact }">{{ shot.description }}</span>
      </button>
    </template>
    <template v-else-if="look"
      ><b class="slate-name text-large leading-[24px] font-bold block truncate">{{ look.card.name }}</b
      ><span class="block text-fine text-quiet">saved look</span></template
    >
  </div>
</template>

<style scoped>
.column-head.compact {
  padding-top: 2px;
}
.column-head.here {
  background: var(--raised);
  box-shadow: inset 0 2px var(--accent);
}
.column-head button:hover .slate-name {
  text-decoration: underline;
}
.compact .slate-name {
  font-size: var(--text-lead);
  line-height: 18px;
}
.gap-button:hover {
  color: var(--accent);
}
</style>
