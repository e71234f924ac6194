<script setup lang="ts">
/** A labelled field of a dialog. */
withDefaults(defineProps<{ label: string; hint?: string; maxlength?: number; type?: string }>(), {
  hint: undefined,
  maxlength: 200,
  type: 'text',
})
const model = defineModel<string>({ required: true })
</script>

<template>
  <label class="mb-2 block">
    <span class="mb-0.5 flex justify-between text-small text-quiet"
      ><span>{{ label }}</span
      ><span v-if="hint">{{ hint }}</span></span
    >
    <input v-model="model" class="field" :type="type" :maxlength="maxlength" autocomplete="off" />
  </label>
</template>
