<script setup lang="ts">
import { computed, useId } from 'vue'
import { useRead } from '@/api/reads'

/** Which unit it is; those of its kind that are free on the shot's day are offered. */
const props = defineProps<{ shotId?: number; what?: string; open: boolean }>()
const unit = defineModel<string>({ required: true })
const id = useId()
const { data: free } = useRead('freeUnits', () => (props.open && props.shotId ? { shotId: props.shotId } : undefined))
const offered = computed(() =>
  (free.value?.units ?? []).filter((u) => u.what.toLowerCase() === props.what?.toLowerCase()),
)
</script>

<template>
  <label class="mb-2 block">
    <span class="mb-0.5 flex justify-between text-small text-quiet"
      ><span>Which unit</span
      ><span>{{
        offered.length ? `free: ${offered.map((u) => u.name).join(', ')}` : 'its tag or nickname'
      }}</span></span
    >
    <input v-model="unit" class="field" maxlength="80" autocomplete="off" :list="id" />
    <datalist :id="id"><option v-for="u in offered" :key="u.tag" :value="u.name" /></datalist>
  </label>
</template>
