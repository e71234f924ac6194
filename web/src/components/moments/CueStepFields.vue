<script setup lang="ts">
import { computed } from 'vue'
import type { Placed } from '@/api/types'
import type { TypedStep } from '@/lib/cues'
import { EFFECTS } from '@/lib/words'

/** What one light does at a cue. */
const props = defineProps<{ lights: Placed[] }>()
defineEmits<{ remove: [] }>()
const step = defineModel<TypedStep>({ required: true })
const light = computed(() => props.lights.find((l) => l.placement.key === step.value.placement))
const colours = computed(() => !!light.value?.light?.fullColour)
</script>

<template>
  <fieldset class="mt-2 grid grid-cols-2 gap-2 border-t border-line pt-2 sm:grid-cols-6">
    <legend class="sr-only">{{ light?.placement.name }}</legend>
    <label class="col-span-2"
      ><span class="text-fine text-quiet">light</span
      ><select v-model="step.placement" class="field" aria-label="light">
        <option v-for="l in lights" :key="l.placement.key" :value="l.placement.key">{{ l.placement.name }}</option>
      </select></label
    >
    <label
      ><span class="text-fine text-quiet">turned</span
      ><select v-model="step.standing" class="field" aria-label="turned">
        <option value="">as it is</option>
        <option value="ON">on</option>
        <option value="OFF">off</option>
      </select></label
    >
    <label
      ><span class="text-fine text-quiet">level, %</span
      ><input v-model="step.level" class="field figure" aria-label="level, %"
    /></label>
    <label
      ><span class="text-fine text-quiet">white, K</span
      ><input v-model="step.white" class="field figure" aria-label="white, K"
    /></label>
    <label
      ><span class="text-fine text-quiet">fade, s</span
      ><input v-model="step.fade" class="field figure" aria-label="fade, s"
    /></label>
    <template v-if="colours">
      <label
        ><span class="text-fine text-quiet">hue, °</span
        ><input v-model="step.hue" class="field figure" aria-label="hue, °"
      /></label>
      <label
        ><span class="text-fine text-quiet">saturation, %</span
        ><input v-model="step.saturation" class="field figure" aria-label="saturation, %"
      /></label>
    </template>
    <label
      ><span class="text-fine text-quiet">effect</span
      ><select v-model="step.effect" class="field" aria-label="effect">
        <option value="">as it is</option>
        <option v-for="e in EFFECTS" :key="e.key" :value="e.key">{{ e.name }}</option>
      </select></label
    >
    <label v-if="step.effect && step.effect !== 'NONE'"
      ><span class="text-fine text-quiet">a second</span
      ><input v-model="step.rate" class="field figure" aria-label="a second"
    /></label>
    <button type="button" class="button self-end" @click="$emit('remove')">Leave out</button>
  </fieldset>
</template>
