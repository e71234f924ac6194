<script setup lang="ts">
import { computed } from 'vue'
import { held, type Placed } from '@/api/types'
import { before, type TapeLetter, type UseWalkEntryReturn } from '@/lib/useWalkEntry'
import type { UseWalkReturn } from '@/lib/useWalk'
import { useSettings } from '@/stores/settings'

/** The figure that is being typed, large, with what it was before. */
const props = defineProps<{ walk: UseWalkReturn; entry: UseWalkEntryReturn; marks: Placed[]; based?: string }>()
defineEmits<{ aim: [mark: Placed] }>()
const settings = useSettings()

const UNITS: Partial<Record<string, string>> = { LEVEL: '%', KELVIN: 'K', BEARING: '°', TILT: '°', LENS: 'mm' }
const letter = computed(() =>
  ['A', 'B', 'C'].includes(String(props.entry.field.value)) ? (props.entry.field.value as TapeLetter) : undefined,
)
const step = computed(() => props.walk.steps.value.find((s) => s.attribute === props.entry.field.value))
const name = computed(() =>
  letter.value
    ? `from ${props.entry.tapes[letter.value].landmark || 'which landmark?'}${letter.value === 'C' ? ', the check' : ''}`
    : props.entry.field.value === 'TILT'
      ? 'tilt, down unless you say up'
      : props.entry.field.value === 'AIM'
        ? `${step.value?.name ?? 'aim'}: a bearing on the plan`
        : (step.value?.name ?? ''),
)
const unit = computed(() => {
  const kind = props.entry.kind.value
  return kind === 'LENGTH' ? (settings.units === 'metric' ? 'm' : '') : (UNITS[kind ?? ''] ?? '')
})
/** What it was; not of a check, which is judged when it is kept. */
const was = computed(() => {
  if (letter.value) {
    const length = before(props.walk, letter.value, props.entry.tapes[letter.value].landmark)
    return length && settings.figure(length).figure
  }
  const now = props.walk.thing.value && step.value && held(props.walk.thing.value, step.value.attribute)
  return now && settings.printed(now.say)
})
</script>

<template>
  <div class="border-b border-line">
    <div class="bg-panel px-5 py-2 shadow-[inset_3px_0_var(--accent)]">
      <p class="flex justify-between gap-3 text-lead">
        <span class="min-w-0 truncate" data-asked
          ><b v-if="letter" class="mr-1.5 text-head font-strong">{{ letter }}</b
          >{{ ' ' }}<span class="text-quiet">{{ name }}</span></span
        >
        <span v-if="was" class="flex-none text-quiet">{{ was }}{{ based ? '' : ' so far' }}</span>
      </p>
      <p class="figure text-giant leading-16" aria-live="polite" data-typed>
        {{ entry.text.value || ' ' }}<i class="caret" /><span class="unit !text-head">{{ unit }}</span>
      </p>
    </div>
    <div v-if="entry.field.value === 'AIM' && marks.length" class="flex flex-wrap gap-2 px-5 pt-2">
      <button v-for="m in marks" :key="m.placement.key" class="button min-h-11 text-lead" @click="$emit('aim', m)">
        at {{ m.placement.name }}
      </button>
    </div>
  </div>
</template>

<style scoped>
.caret {
  display: inline-block;
  width: 3px;
  height: 44px;
  margin-left: 4px;
  background: var(--accent);
  vertical-align: -6px;
}
</style>
