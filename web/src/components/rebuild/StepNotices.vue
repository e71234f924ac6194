<script setup lang="ts">
import { computed } from 'vue'
import type { Rebuild, Step } from '@/api/types'
import FindingList from '@/components/inspector/FindingList.vue'
import ShotKit from '@/components/kit/ShotKit.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { useSettings } from '@/stores/settings'

/** What is to be known before a step is done: that the record changed meanwhile, that it does not fit in this place. */
const props = defineProps<{ sheet: Rebuild; step: Step; shotId: number }>()
defineEmits<{ decide: [how: 'continue' | 'restart'] }>()
const settings = useSettings()
const guesses = computed(() => props.step.placed.findings.filter((f) => f.guess))
const misfits = computed(() => props.sheet.misfits.filter((m) => m.placement === props.step.placed.placement.key))
</script>

<template>
  <div v-if="sheet.revised.length" role="alert" class="py-2 px-5 border-b border-line">
    <p><WedgeMark act class="mr-1 inline" /> The record of {{ sheet.slate }} was changed since this rebuild began:</p>
    <ul class="list-disc pl-8">
      <li v-for="r in sheet.revised" :key="r.name + r.label">
        <b class="font-strong">{{ r.name }}</b> {{ r.label }}: {{ settings.printed(r.words) }}
      </li>
    </ul>
    <p class="mt-1">
      <button class="button" @click="$emit('decide', 'continue')">Go on with it as it is now</button>{{ ' ' }}
      <button class="button" @click="$emit('decide', 'restart')">Begin again</button>
    </p>
  </div>
  <div v-if="guesses.length" class="border-b border-line px-5 py-2">
    <p class="font-strong">The record does not hold all of it:</p>
    <FindingList :findings="guesses" />
  </div>
  <ShotKit class="border-b border-line px-5" :shot-id="shotId" :of="step.placed.placement.key" />
  <ul v-if="misfits.length" class="py-2 px-5 border-b border-line">
    <li v-for="m in misfits" :key="m.words.metric">
      <WedgeMark act class="mr-1 inline" /> {{ settings.printed(m.words) }}
    </li>
  </ul>
</template>
