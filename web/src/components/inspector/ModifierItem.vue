<script setup lang="ts">
import type { Modifier } from '@/api/types'
import FigureField from '@/components/fields/FigureField.vue'

/** What hangs before a lamp, in all its parts: on a frame, over a part of the front, how soft, its doors. */
const props = defineProps<{ item: Modifier; first: boolean; last: boolean }>()
const emit = defineEmits<{ change: [part: Partial<Modifier>]; swap: [by: number]; remove: [] }>()

type Cover = NonNullable<Modifier['covers']>
const USUAL_FRAME = { frameWidthM: 1.2, frameDistanceM: 0.8 }
const SIDES: { key: Cover; name: string }[] = [
  { key: 'LOWER', name: 'lower' },
  { key: 'UPPER', name: 'upper' },
  { key: 'LEFT', name: 'left' },
  { key: 'RIGHT', name: 'right' },
]

function toggleFrame() {
  emit('change', props.item.frameWidthM ? { frameWidthM: undefined, frameDistanceM: undefined } : USUAL_FRAME)
}
function cover(event: Event) {
  const covers = ((event.target as HTMLSelectElement).value || undefined) as Modifier['covers']
  emit('change', { covers, share: covers && props.item.share })
}
const doorAt = (side: Cover) => props.item.doors?.find((d) => d.side === side)?.angleDeg
function turn(side: Cover, angleDeg: number | undefined) {
  const others = (props.item.doors ?? []).filter((d) => d.side !== side)
  emit('change', { doors: angleDeg === undefined ? others : [...others, { side, angleDeg }] })
}
</script>

<template>
  <div class="mb-2 grid gap-1 border-l border-line pl-2 text-small">
    <label class="flex items-center gap-2"
      ><input type="checkbox" :checked="!!item.frameWidthM" @change="toggleFrame" />on a frame of its own</label
    >
    <div v-if="item.frameWidthM" class="figure-row">
      <FigureField
        label="frame, wide"
        kind="LENGTH"
        :value="item.frameWidthM"
        @read="emit('change', { frameWidthM: $event })"
      />
      <FigureField
        label="from the lens"
        kind="LENGTH"
        :value="item.frameDistanceM"
        @read="emit('change', { frameDistanceM: $event })"
      />
    </div>
    <label class="flex items-center gap-2"
      ><span class="grow">over</span>
      <select class="field !w-36" aria-label="Over which part of the front" :value="item.covers ?? ''" @change="cover">
        <option value="">all of the front</option>
        <option v-for="s in SIDES" :key="s.key" :value="s.key">its {{ s.name }} part</option>
      </select>
    </label>
    <div class="figure-row">
      <FigureField
        v-if="item.covers"
        label="part of it, %"
        kind="NUMBER"
        :value="Math.round(100 * (item.share ?? 0.5))"
        @read="emit('change', { share: $event! / 100 })"
      />
      <FigureField
        v-if="item.softens"
        label="softness, 0 to 1"
        kind="NUMBER"
        :value="item.softness"
        when-empty="all of it"
        @read="emit('change', { softness: $event })"
      />
      <FigureField
        v-if="item.narrowsToDeg"
        label="beam it leaves, °"
        kind="NUMBER"
        :value="item.narrowsToDeg"
        @read="emit('change', { narrowsToDeg: $event })"
      />
    </div>
    <fieldset v-if="item.doors?.length" class="figure-row">
      <legend class="text-quiet">doors: 0° shut, 90° straight out</legend>
      <FigureField
        v-for="s in SIDES"
        :key="s.key"
        :label="`${s.name} door, °`"
        kind="NUMBER"
        :value="doorAt(s.key)"
        when-empty="no door"
        @read="turn(s.key, $event)"
      />
    </fieldset>
    <div class="flex gap-1">
      <button class="button !px-2" :disabled="first" @click="emit('swap', -1)">Nearer the lens</button>
      <button class="button !px-2" :disabled="last" @click="emit('swap', 1)">Farther</button>
      <button class="button !px-2" @click="emit('remove')">Take off</button>
    </div>
  </div>
</template>
