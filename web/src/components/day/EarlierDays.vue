<script setup lang="ts">
import { computed } from 'vue'
import { useRead } from '@/api/reads'
import type { DayCard } from '@/api/types'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import { when } from '@/lib/words'

/** What a day was before: its order is tried first, its times are put back by a press. */
const props = defineProps<{
  open: boolean
  productionId: number
  number: number
  now: DayCard
  editable: boolean
  error: string
}>()
defineEmits<{ close: []; try: [shots: number[]]; keep: [card: DayCard] }>()
const { data: versions, problem } = useRead('dayEarlier', () =>
  props.open ? { productionId: props.productionId, number: props.number } : undefined,
)
const rows = computed(() =>
  (versions.value ?? []).map((v) => ({ ...v, otherTimes: JSON.stringify(v.card) !== JSON.stringify(props.now) })),
)
</script>

<template>
  <BaseDialog
    :open="open"
    :title="`Day ${number} as it was before`"
    :error="error || problem"
    wide
    @close="$emit('close')"
  >
    <p v-if="versions && !versions.length" class="text-quiet">Nobody changed it since it was first said.</p>
    <ul>
      <li
        v-for="(v, i) in rows"
        :key="`${v.until} ${i}`"
        class="flex flex-wrap items-center gap-2 border-t border-line py-1.5"
      >
        <span class="min-w-48 flex-1"
          >until {{ when(v.until) }}, when {{ v.by }} changed it<span class="block text-small text-quiet"
            >{{ v.slates.join(', ') || 'no shots' }}; {{ v.card.call }} to {{ v.card.wrap }}</span
          ></span
        >
        <button class="button" :disabled="!v.shots.length" @click="$emit('try', v.shots)">Try this order</button>
        <button v-if="editable" class="button" :disabled="!v.otherTimes" @click="$emit('keep', v.card)">
          These times again
        </button>
      </li>
    </ul>
    <template #buttons><button class="button" @click="$emit('close')">Close</button></template>
  </BaseDialog>
</template>
