<script setup lang="ts">
import { ref } from 'vue'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'

/** A bench: its picture, its fields, and what it found as text to take along. */
const props = defineProps<{ title: string; hint?: string; stale: boolean; problem?: string; summary: string }>()
const copied = ref(false)
const byHand = ref(false)
const COPIED_FOR_MS = 2000

async function copy() {
  try {
    await navigator.clipboard.writeText(props.summary)
    copied.value = true
    setTimeout(() => (copied.value = false), COPIED_FOR_MS)
  } catch {
    byHand.value = true // the page came over plain http, where the browser keeps the clipboard to itself
  }
}
</script>

<template>
  <div class="grid grid-cols-[minmax(0,1fr)_302px] min-h-0 flex-1 phone:block phone:overflow-y-auto">
    <section class="flex flex-col min-h-0 overflow-y-auto phone:overflow-visible" :aria-label="title">
      <header class="flex items-baseline gap-3 px-4 pt-3">
        <h2 class="text-lead">{{ title }}</h2>
        <span class="text-small text-quiet">{{ hint }}</span>
        <button class="button ml-auto" @click="copy">{{ copied ? 'Copied' : 'Copy as text' }}</button>
      </header>
      <div class="flex-1 min-h-0 flex flex-col" :class="{ stale }"><slot /></div>
      <p v-if="stale" class="told flex gap-2 py-2 px-4 border-t border-line" role="status">
        <WedgeMark /> <span>{{ problem ?? 'The picture is of the last values that were understood.' }}</span>
      </p>
    </section>
    <aside
      class="min-h-0 overflow-y-auto pt-3 pb-6 pr-3 pl-4 bg-panel border-l border-l-line phone:overflow-visible phone:border-l-0 phone:border-t phone:border-t-line"
      aria-label="Values"
    >
      <slot name="fields" />
    </aside>
    <BaseDialog :open="byHand" title="Copy as text" @close="byHand = false">
      <textarea
        class="field min-h-48"
        readonly
        :value="summary"
        aria-label="What this bench found"
        @focus="($event.target as HTMLTextAreaElement).select()"
      />
      <template #buttons><button class="button button-main" @click="byHand = false">Close</button></template>
    </BaseDialog>
  </div>
</template>

<style scoped>
.stale {
  opacity: 0.4;
  filter: grayscale(1);
}
</style>
