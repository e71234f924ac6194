<script setup lang="ts">
import { computed } from 'vue'
import type { ProductionPage } from '@/api/types'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'

/** Shots of the production that are not on the day. */
const props = defineProps<{ open: boolean; number: number; production?: ProductionPage; on: number[]; error: string }>()
const emit = defineEmits<{ close: []; put: [shot: number] }>()
const shots = computed(() =>
  (props.production?.scenes ?? []).flatMap((scene) =>
    scene.shots
      .filter((s) => !props.on.includes(s.id))
      .map((s) => ({
        ...s,
        where:
          s.stage === 'SHOT'
            ? `shot on day ${s.day}: it is a rebuild`
            : s.day
              ? `moves from day ${s.day}`
              : 'on no day',
      })),
  ),
)
</script>

<template>
  <BaseDialog :open="open" :title="`Put on day ${number}`" :error="error" @close="emit('close')">
    <ul class="max-h-[50vh] overflow-y-auto">
      <li v-for="s in shots" :key="s.id" class="flex items-center gap-3 border-t border-line py-1">
        <b class="w-12">{{ s.slate }}</b>
        <span class="min-w-0 grow"
          >{{ s.description }} <span class="block text-small text-quiet">{{ s.where }}</span></span
        >
        <button class="button" :aria-label="`Put ${s.slate} on day ${number}`" @click="emit('put', s.id)">
          Put on
        </button>
      </li>
    </ul>
    <p v-if="!shots.length" class="text-quiet">All shots are on this day.</p>
    <template #buttons><button class="button" @click="emit('close')">Close</button></template>
  </BaseDialog>
</template>
