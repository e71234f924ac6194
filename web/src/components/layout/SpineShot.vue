<script setup lang="ts">
import { RouterLink } from 'vue-router'
import type { BookShot } from '@/api/types'
import StageTick from '@/components/marks/StageTick.vue'
import { stageName } from '@/lib/words'

/** A shot of the spine; going from shot to shot one stays in the view that is open. */
defineProps<{ shot: BookShot; view: string; here: boolean }>()
</script>

<template>
  <RouterLink
    :to="{ name: view, params: { id: shot.id } }"
    class="shot"
    :class="{ here }"
    :aria-current="here ? 'page' : undefined"
  >
    <StageTick :stage="shot.stage" />
    <span class="min-w-0 grow">
      <span class="flex items-baseline justify-between gap-1">
        <span class="text-lead font-strong">{{ shot.slate }}</span>
        <span class="text-fine text-quiet">{{ stageName(shot.stage) }}</span>
      </span>
      <span class="block truncate text-fine text-quiet">{{ shot.description }}</span>
    </span>
  </RouterLink>
</template>

<style scoped>
.shot {
  position: relative;
  display: flex;
  gap: 6px;
  padding: 4px 6px 4px 20px;
  min-height: 38px;
}
.shot svg {
  margin-top: 6px;
  background: var(--panel);
}
.shot:hover,
.shot.here {
  background: var(--raised);
}
.shot.here {
  box-shadow: inset 3px 0 var(--accent);
}
@media (width < 800px) {
  .shot {
    min-height: 48px;
  }
}
</style>
