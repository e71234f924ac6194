<script setup lang="ts">
import { RouterLink } from 'vue-router'
import type { ScenePage } from '@/api/types'
import FrameThumb from '@/components/frame/FrameThumb.vue'
import StageTick from '@/components/marks/StageTick.vue'
import { stageName, when } from '@/lib/words'

/** A shot in the book: its picture, how far it is, and how much of it could be rebuilt. */
defineProps<{ shot: ScenePage['shots'][number] }>()
</script>

<template>
  <RouterLink :to="{ name: 'plot', params: { id: shot.id } }" class="shot">
    <FrameThumb class="picture" :shot-id="shot.id" :name="shot.slate" />
    <StageTick :stage="shot.stage" />
    <span class="slate text-lead font-bold">{{ shot.slate }}</span>
    <span class="text-small text-quiet upright:hidden">{{ stageName(shot.stage) }}</span>
    <span class="overflow-hidden text-ellipsis whitespace-nowrap">{{ shot.description }}</span>
    <span v-if="shot.recorded?.things" class="recorded text-small" data-count="rebuilt"
      ><span class="figure text-figure">{{ shot.recorded.couldBeRebuilt }}</span> of {{ shot.recorded.things
      }}<span class="text-quiet upright:hidden"> could be rebuilt</span></span
    ><span v-else class="recorded text-small text-quiet">empty</span>
    <span class="text-small text-quiet upright:hidden">{{
      shot.basedOn ? `from ${shot.basedOn}` : 'starts afresh'
    }}</span>
    <span class="text-small text-quiet upright:hidden">{{ shot.day ? `day ${shot.day}` : 'no day' }}</span>
    <span class="text-small text-quiet upright:hidden">{{
      shot.lastTouch ? `${shot.lastTouch.author}, ${when(shot.lastTouch.at)}` : 'nothing changed here'
    }}</span>
  </RouterLink>
</template>

<style scoped>
.shot {
  display: grid;
  grid-template-columns: 80px 24px 48px 64px minmax(0, 1fr) 142px 96px 56px 180px;
  align-items: center;
  gap: 8px;
  min-height: 30px;
  padding: 4px 8px 4px 5px;
  border-bottom: 1px solid var(--line);
}
.shot :deep(svg) {
  background: var(--ground);
}
.shot:hover {
  background: var(--raised);
}
@media (pointer: coarse) {
  .shot {
    min-height: 44px;
  }
}
@media (width < 1100px) {
  .shot {
    grid-template-columns: 64px 24px 48px minmax(0, 1fr) 66px;
  }
}
@media (width < 800px) {
  .shot {
    min-height: 48px;
  }
}
</style>
