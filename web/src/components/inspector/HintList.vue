<script setup lang="ts">
import { useSettings } from '@/stores/settings'
import { value, type Values, type HintView } from '@/api/types'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { useValueEdit } from '@/lib/useValueEdit'
import { usePlot } from '@/stores/plot'
import { useShotEditor } from '@/stores/shotEditor'

const settings = useSettings()

/** What is worth a look, each with its reason and a way to say that it is meant so. None of it blocks. */
defineProps<{ hints: HintView[]; named?: boolean }>()
const plot = usePlot()
const editor = useShotEditor()
const { error, keep: record } = useValueEdit()

async function toggle(hint: HintView) {
  const placed = editor.placements.find((p) => p.placement.key === hint.placement)
  if (!placed) return
  const now = value(placed, 'ON_PURPOSE')?.hints ?? []
  const hints: Values['ON_PURPOSE']['hints'] = now.includes(hint.kind)
    ? now.filter((k) => k !== hint.kind)
    : [...now, hint.kind]
  await record(hint.placement, 'ON_PURPOSE', { value: { hints } })
}
</script>

<template>
  <ul>
    <li
      v-for="(h, i) in hints"
      :key="i"
      class="flex gap-1.5 items-start py-0.75"
      :class="{ 'text-quiet': h.onPurpose }"
    >
      <WedgeMark v-if="!h.onPurpose" :act="h.urgent" />
      <span v-else class="w-[13px] text-center">·</span>
      <span class="min-w-0 grow">
        <button v-if="named" class="block text-left font-strong hover:underline" @click="plot.selected = h.placement">
          {{ settings.printed(h.title) }}
        </button>
        <b v-else class="block font-strong">{{ settings.printed(h.title) }}</b>
        <span v-if="!h.onPurpose" class="text-small">{{ settings.printed(h.reason) }}</span>
        <span v-else class="text-small">on purpose</span>
      </span>
      <button
        v-if="!plot.locked"
        class="mean flex-none py-px px-1.5 text-fine text-quiet border border-line rounded-mark pointer-coarse:min-h-11"
        :title="h.onPurpose ? 'Show it again' : 'It is meant so: be quiet about it from this shot on'"
        @click="toggle(h)"
      >
        {{ h.onPurpose ? 'show again' : 'on purpose' }}
      </button>
    </li>
  </ul>
  <p v-if="error" role="alert" class="text-small">{{ error }}</p>
</template>

<style scoped>
.mean:hover {
  color: var(--ink);
  border-color: var(--quiet);
}
</style>
