<script setup lang="ts">
import { RadioGroup, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue'
import { REASONS } from '@/lib/words'
import { usePlot } from '@/stores/plot'

/** Why the next change departs from the shot that this one is based on. */
const plot = usePlot()
</script>

<template>
  <div v-if="plot.based && !plot.patchLocked" class="border-b border-line pb-2">
    <RadioGroup v-model="plot.reason">
      <RadioGroupLabel class="text-small text-quiet">Changes from {{ plot.based }} are a</RadioGroupLabel>
      <div class="mt-1 grid grid-cols-4">
        <RadioGroupOption v-for="r in REASONS" :key="r.key" v-slot="{ checked }" :value="r.key" as="template">
          <button
            class="reason min-h-7 border border-line -ml-px text-quiet pointer-coarse:min-h-11"
            :class="{ checked }"
            :title="r.means"
          >
            {{ r.name }}
          </button>
        </RadioGroupOption>
      </div>
    </RadioGroup>
    <input
      v-model="plot.note"
      class="field mt-1"
      maxlength="500"
      placeholder="Why, for the next change"
      aria-label="Note kept with the next change"
    />
  </div>
</template>

<style scoped>
.reason:first-child {
  border-radius: 3px 0 0 3px;
}
.reason:last-child {
  border-radius: 0 3px 3px 0;
}
.reason.checked {
  position: relative;
  border-color: var(--accent);
  color: var(--ink);
  font-weight: var(--font-weight-strong);
}
</style>
