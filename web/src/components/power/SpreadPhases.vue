<script setup lang="ts">
import type { Power } from '@/api/types'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import { fixed } from '@/lib/print'

/** How the lights of a shot could be spread over the phases: looked at first, kept by a press. */
defineProps<{ open: boolean; spread: Power['spreads'][number]; locked: boolean }>()
defineEmits<{ close: []; keep: [] }>()
</script>

<template>
  <BaseDialog :open="open" :title="`${spread.source}: spread over the phases`" @close="$emit('close')">
    <p v-if="!spread.moves.length">No move of a light alone makes it more even.</p>
    <template v-else>
      <ul class="mb-3">
        <li v-for="m in spread.moves" :key="m.key">
          <b class="font-strong">{{ m.name }}</b> from {{ m.from }} to {{ m.to }}
        </li>
      </ul>
      <table class="w-full">
        <thead>
          <tr class="text-left text-small text-quiet">
            <th class="font-normal">phase</th>
            <th class="text-right font-normal">now</th>
            <th class="text-right font-normal">then</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(a, i) in spread.before" :key="i">
            <th class="text-left font-normal">L{{ i + 1 }}</th>
            <td class="figure text-right">{{ fixed(a, 1) }} A</td>
            <td class="figure text-right">{{ fixed(spread.after[i] ?? 0, 1) }} A</td>
          </tr>
          <tr>
            <th class="text-left font-normal">unbalance</th>
            <td class="figure text-right">{{ fixed(spread.unbalanceBefore * 100, 0) }} %</td>
            <td class="figure text-right">{{ fixed(spread.unbalanceAfter * 100, 0) }} %</td>
          </tr>
        </tbody>
      </table>
    </template>
    <p class="mt-3 text-fine text-quiet">
      Lights only, the largest first onto the phase that carries least (a heuristic); what is no light and practicals on
      their own cords stay. Cables are run anew: an electrician decides.
    </p>
    <template #buttons>
      <button class="button" @click="$emit('close')">Leave it</button>
      <button v-if="spread.moves.length" class="button button-main" :disabled="locked" @click="$emit('keep')">
        Hang them so
      </button>
    </template>
  </BaseDialog>
</template>
