<script setup lang="ts">
import { RouterLink } from 'vue-router'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import type { TapeLetter } from '@/lib/useWalkEntry'
import { usePlot } from '@/stores/plot'

/** Which landmark a tape starts at. */
defineProps<{ letter?: TapeLetter; shotId: number }>()
defineEmits<{ close: []; pick: [name: string] }>()
const plot = usePlot()
</script>

<template>
  <BaseDialog :open="!!letter" :title="`Tape ${letter} starts at`" @close="$emit('close')">
    <ul class="max-h-[56vh] overflow-y-auto">
      <li v-for="l in plot.set?.landmarks ?? []" :key="l.name">
        <button class="min-h-11 w-full border-b border-line text-left text-lead" @click="$emit('pick', l.name)">
          {{ l.name }}
        </button>
      </li>
    </ul>
    <p v-if="!plot.set?.landmarks.length">
      This set has no landmarks yet: name points that can be found again on
      <RouterLink class="underline" :to="{ name: 'set', params: { id: shotId } }">its drawing</RouterLink>.
    </p>
    <template #buttons><button class="button min-h-11" @click="$emit('close')">Not now</button></template>
  </BaseDialog>
</template>
