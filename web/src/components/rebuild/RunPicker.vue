<script setup lang="ts">
import type { Rebuild } from '@/api/types'

/** The rebuilds of a shot, to choose one. */
defineProps<{ sheet: Rebuild; label: string }>()
defineEmits<{ choose: [runId: string] }>()
</script>

<template>
  <select
    class="field"
    :aria-label="label"
    :value="sheet.run?.id ?? ''"
    @change="$emit('choose', ($event.target as HTMLSelectElement).value)"
  >
    <option v-if="!sheet.run" value="">none begun</option>
    <option v-for="r in sheet.runs" :key="r.id" :value="r.id">{{ r.name }}{{ r.signed ? ', signed' : '' }}</option>
  </select>
</template>
