<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'

/** A dialog with its title, what went wrong, and its buttons. */
defineProps<{ open: boolean; title: string; error?: string; wide?: boolean }>()
const emit = defineEmits<{ close: [] }>()
</script>

<template>
  <Dialog :open="open" class="relative z-40" @close="emit('close')">
    <div class="fixed inset-0 bg-black/50" aria-hidden="true" />
    <div class="fixed inset-0 overflow-y-auto p-4">
      <div class="flex min-h-full items-center justify-center">
        <DialogPanel class="w-[min(460px,100%)] py-4 px-5 bg-panel border border-quiet rounded-mark" :class="{ wide }">
          <DialogTitle class="mb-3 text-title font-strong">{{ title }}</DialogTitle>
          <slot />
          <p v-if="error" role="alert" class="mt-3 border-l-2 border-ink pl-2">{{ error }}</p>
          <div class="mt-4 flex flex-wrap justify-end gap-2"><slot name="buttons" /></div>
        </DialogPanel>
      </div>
    </div>
  </Dialog>
</template>

<style scoped>
.wide {
  width: min(940px, 100%);
}
</style>
