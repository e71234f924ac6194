<script setup lang="ts">
import type { CableWay, SetPlan } from '@/api/types'
import PlanCables from '@/components/power/PlanCables.vue'
import PlanSun from '@/components/sun/PlanSun.vue'
import type { View } from '@/lib/screen'
import type { DrawnThing } from '@/lib/usePlanDrawing'
import type { SunShown } from '@/lib/useSun'

/** What is looked at on the plan besides what is placed. */
defineProps<{
  sun?: SunShown
  cables?: CableWay[]
  set: SetPlan
  drawn: DrawnThing[]
  view: View
  size: { width: number; height: number }
}>()
</script>

<template>
  <PlanSun v-if="sun" :sun="sun" :set="set" :drawn="drawn" :view="view" :size="size" />
  <PlanCables v-if="cables" :cables="cables" :view="view" />
</template>
