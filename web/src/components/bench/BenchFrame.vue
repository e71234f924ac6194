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
  <div class="bench">
    <section class="picture" :aria-label="title">
      <header class="flex items-baseline gap-3 px-4 pt-3">
        <h2 class="text-lead">{{ title }}</h2>
        <span class="text-small text-quiet">{{ hint }}</span>
        <button class="button ml-auto" @click="copy">{{ copied ? 'Copied' : 'Copy as text' }}</button>
      </header>
      <div class="drawn" :class="{ stale }"><slot /></div>
      <p v-if="stale" class="told" role="status">
        <WedgeMark /> <span>{{ problem ?? 'The picture is of the last values that were understood.' }}</span>
      </p>
    </section>
    <aside class="fields" aria-label="Values"><slot name="fields" /></aside>
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
.bench {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 302px;
  min-height: 0;
  flex: 1;
}
.picture {
  display: flex;
  flex-direction: column;
  min-height: 0;
  overflow-y: auto;
}
.drawn {
  flex: 1;
  min-height: 0;
  display: flex;
  flex-direction: column;
}
.stale {
  opacity: 0.4;
  filter: grayscale(1);
}
.told {
  display: flex;
  gap: 8px;
  padding: 8px 16px;
  border-top: 1px solid var(--line);
}
.fields {
  min-height: 0;
  overflow-y: auto;
  padding: 12px 12px 24px 16px;
  background: var(--panel);
  border-left: 1px solid var(--line);
}
@media (width < 800px) {
  .bench {
    display: block;
    overflow-y: auto;
  }
  .picture {
    overflow: visible;
  }
  .fields {
    overflow: visible;
    border-left: 0;
    border-top: 1px solid var(--line);
  }
}
</style>
