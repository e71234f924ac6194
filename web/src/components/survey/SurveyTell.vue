<script setup lang="ts">
import type { SurveyPoint } from '@/api/types'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { useSettings } from '@/stores/settings'

/** What the photographs say of one point: how sure they are of it, or why they do not tell it. */
const props = defineProps<{ point?: SurveyPoint; isElsewhere?: boolean }>()
const settings = useSettings()
</script>

<template>
  <span v-if="props.point?.at" class="block text-small">
    <WedgeMark v-if="props.point.quality === 'POOR' || isElsewhere" act class="mr-1 inline" />
    within <span class="figure">{{ settings.printed(props.point.within!) }}</span><template
      v-if="props.point.quality === 'POOR'"
      >: poor, {{ props.point.help }}</template
    ><slot />
  </span>
  <span v-else-if="props.point?.problem" class="block text-small text-quiet">{{ props.point.problem }}</span>
</template>
