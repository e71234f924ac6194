<script setup lang="ts">
import { computed } from 'vue'
import { value, type Placed } from '@/api/types'
import { tilt } from '@/lib/words'
import { useShotEditor } from '@/stores/shotEditor'
import ChoiceRow from './ChoiceRow.vue'
import ValueRow from './ValueRow.vue'

/** Where a placement points: at a mark, or by bearing and tilt; what comes of it stands below. */
const props = defineProps<{ placed: Placed }>()
const editor = useShotEditor()
const FREE = 'by-bearing'

const aim = computed(() => value(props.placed, 'AIM'))
const marks = computed(() =>
  editor.placements.filter((p) => p.placement.kind === 'MARK' && p.placement.key !== props.placed.placement.key),
)
const options = computed(() => [
  ...marks.value.map((m) => ({ key: m.placement.key, name: `at ${m.placement.name}` })),
  { key: FREE, name: 'by bearing and tilt' },
])

function choose(key: string) {
  const mark = marks.value.find((m) => m.placement.key === key)
  const height = aim.value?.heightM ?? (mark ? value(mark, 'HEIGHT')?.heightM : undefined) ?? 1.5
  const wanted = mark
    ? { mark: key, heightM: height }
    : { bearingDeg: props.placed.aim?.bearingDeg ?? 0, tiltDeg: props.placed.aim?.tiltDeg ?? 0 }
  void editor.put(props.placed.placement.key, 'AIM', { value: wanted })
}
</script>

<template>
  <ChoiceRow
    :placed="placed"
    attribute="AIM"
    label="aim"
    :options="options"
    :chosen="aim?.mark ?? FREE"
    @choose="choose"
  />
  <ValueRow
    v-if="!aim?.mark"
    :placed="placed"
    attribute="AIM"
    label="bearing, tilt"
    hint="Type a bearing and a tilt: 220 down 20"
  />
  <div v-else class="flex min-h-6 items-center gap-1">
    <span class="w-5" />
    <span class="text-quiet">bearing, tilt</span>
    <span class="figure ml-auto pr-1 text-figure">{{
      placed.aim ? `${placed.aim.bearing} ${tilt(placed.aim.tiltDeg)}` : 'on its mark'
    }}</span>
  </div>
</template>
