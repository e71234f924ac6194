<script setup lang="ts">
import TextField from '@/components/dialogs/TextField.vue'

/** A thing's own width and height, as typed; empty leaves the kind's. */
const wide = defineModel<string>('wide', { required: true })
const high = defineModel<string>('high', { required: true })
</script>

<template>
  <div class="grid grid-cols-2 gap-2">
    <TextField v-model="wide" label="Wide" hint="own size: 0.6 or 2'" />
    <TextField v-model="high" label="High" hint="0.9 or 3'" />
  </div>
</template>
