<script setup lang="ts">
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import { useRead } from '@/api/reads'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { useSettings } from '@/stores/settings'

/** What photographs of this rebuild say of where the step's thing stands, and the way to take some. */
const props = defineProps<{ shotId: number; runId: number; thing: string }>()
const settings = useSettings()
const round = computed(() => `run-${props.runId}`)
const { data: survey } = useRead('survey', () => ({ shotId: props.shotId, round: round.value }))
const said = computed(() => survey.value?.things.find((t) => t.key === props.thing && t.found.at))
</script>

<template>
  <p class="px-5 pb-3">
    <template v-if="said">
      <template v-if="said.isElsewhere"
        ><WedgeMark act class="mr-1 inline" />By photographs it stands
        <span class="figure">{{ settings.printed(said.off!) }}</span> from its place.
      </template>
      <template v-else-if="said.found.quality !== 'POOR'">By photographs it stands in its place.</template>
      <template v-if="said.aim?.isElsewhere"
        ><WedgeMark act class="mr-1 inline" />It points another way, {{ said.aim.said }}.
      </template>
    </template>
    <RouterLink class="button" :to="{ name: 'survey', params: { id: shotId }, query: { round } }"
      >Check by photographs</RouterLink
    >
  </p>
</template>
