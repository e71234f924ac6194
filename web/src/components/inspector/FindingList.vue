<script setup lang="ts">
import type { Finding } from '@/api/types'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { useSettings } from '@/stores/settings'

/** What the record of a thing does not hold: a filled wedge where a stranger would have to guess. */
defineProps<{ findings: Finding[] }>()
const settings = useSettings()
</script>

<template>
  <ul>
    <li v-for="f in findings" :key="f.gap" class="flex gap-2 py-0.5 text-small">
      <WedgeMark :act="f.guess" class="mt-0.5 flex-none" />{{ settings.printed(f.sentence) }}
    </li>
  </ul>
</template>
