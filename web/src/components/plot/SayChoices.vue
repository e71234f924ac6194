<script setup lang="ts">
import { computed, ref } from 'vue'
import type { ParsedLine } from '@/api/types'

/** What a word could be: chosen by a tap, by its number, or with the arrows. */
const props = defineProps<{ ask: ParsedLine['asks'][number]; nameOf: (key: string) => string }>()
const emit = defineEmits<{ choose: [line: string]; leave: [] }>()

const choices = ref<HTMLButtonElement[]>([])
const WORDS: Record<string, string> = {
  by: 'by so much',
  to: 'up to it',
  LOWER: 'the bottom',
  UPPER: 'the top',
  LEFT: 'the left',
  RIGHT: 'the right',
}
const offered = computed(() =>
  props.ask.candidates.map((c, i) => ({
    key: c,
    name: WORDS[c] ?? c.replace(/^(-?[\d.]+),(-?[\d.]+)$/, '$1 m right, $2 m up') ?? c,
    called: props.nameOf(c),
    line: props.ask.lines[i] ?? '',
  })),
)

function onKey(event: KeyboardEvent, i: number) {
  const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key]
  const number = Number(event.key)
  if (by && choices.value[i + by]) choices.value[i + by]!.focus()
  else if (by || event.key === 'Escape') emit('leave')
  else if (number && offered.value[number - 1]) emit('choose', offered.value[number - 1]!.line)
  else return
  event.preventDefault()
  event.stopPropagation()
}

defineExpose({ focus: () => choices.value[0]?.focus() })
</script>

<template>
  <span
    ><b class="font-strong">{{ ask.words }}</b> {{ ask.sentence }}</span
  >
  <button
    v-for="(o, i) in offered"
    :key="o.key"
    ref="choices"
    class="px-2 border border-quiet rounded-mark hover:bg-panel pointer-coarse:min-h-11"
    @click="emit('choose', o.line)"
    @keydown="onKey($event, i)"
  >
    <kbd class="mr-1 text-fine text-quiet phone:hidden">{{ i + 1 }}</kbd>{{ o.called === o.key ? o.name : o.called }}
  </button>
</template>
