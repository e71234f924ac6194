<script setup lang="ts">
import type { DaySlot } from '@/api/types'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { clock, lasting, needName } from '@/lib/dayTime'

/** The shots of a day one below the other, in reach of a finger. */
defineProps<{ slots: DaySlot[]; editable: boolean }>()
defineEmits<{ step: [shot: number, by: number]; open: [slot: DaySlot] }>()
</script>

<template>
  <ol class="list" aria-label="Shots of this day">
    <li v-for="(s, i) in slots" :key="s.shotId">
      <button class="shot" :aria-label="`${s.slate}, what it takes and needs`" @click="$emit('open', s)">
        <b>{{ s.slate }}</b>
        <span class="figure">{{ clock(s.shootFrom) }} to {{ clock(s.shootTo) }}</span>
        <span class="said"
          >{{ s.again ? 'again; ' : '' }}set-up {{ clock(s.setUpFrom) }}, {{ lasting(s.readyAt - s.setUpFrom)
          }}<template v-if="s.shootFrom - s.readyAt >= 1">, waits {{ lasting(s.shootFrom - s.readyAt) }}</template
          ><template v-if="s.plan.need !== 'ANY'">; {{ needName(s.plan.need) }}</template>
          <WedgeMark v-if="s.late || !s.inItsLight" act class="ml-1 inline" /><template v-if="s.late">
            after the wrap</template
          ><template v-if="!s.inItsLight"> not in its light</template></span
        >
      </button>
      <template v-if="editable && !s.begun">
        <button class="button" :disabled="!i" :aria-label="`${s.slate} sooner`" @click="$emit('step', s.shotId, -1)">
          ↑
        </button>
        <button
          class="button"
          :disabled="i === slots.length - 1"
          :aria-label="`${s.slate} later`"
          @click="$emit('step', s.shotId, 1)"
        >
          ↓
        </button>
      </template>
    </li>
  </ol>
</template>

<style scoped>
.list {
  display: none;
}
li {
  display: flex;
  gap: 6px;
  align-items: center;
  padding: 6px 16px;
  border-top: 1px solid var(--line);
}
.shot {
  flex: 1;
  min-width: 0;
  min-height: 44px;
  display: grid;
  grid-template-columns: 3.2em 1fr;
  text-align: left;
}
.said {
  grid-column: 2;
  font-size: var(--text-small);
  color: var(--quiet);
}
@media (pointer: coarse), (width < 800px) {
  .list {
    display: block;
  }
}
</style>
