<script setup lang="ts">
import { when } from '@/lib/words'

/** What was said before, the latest first: a press brings one back to look at; nothing is kept by that. */
defineProps<{ versions?: { until: string; by: string; say: string }[] }>()
defineEmits<{ back: [index: number] }>()
</script>

<template>
  <details v-if="versions?.length" class="mt-3">
    <summary class="min-h-6 cursor-pointer text-small text-quiet">As it was before ({{ versions.length }})</summary>
    <ul>
      <li v-for="(v, i) in versions" :key="`${v.until} ${i}`" class="flex items-center gap-2 py-0.5">
        <span class="min-w-0 flex-1 text-small"
          >until {{ when(v.until) }}, when {{ v.by }} changed it<span class="block text-quiet">{{ v.say }}</span></span
        >
        <button
          type="button"
          class="button"
          :aria-label="`Look at it as it was until ${when(v.until)}`"
          @click="$emit('back', i)"
        >
          Look
        </button>
      </li>
    </ul>
  </details>
</template>
