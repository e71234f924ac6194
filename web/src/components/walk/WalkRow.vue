<script setup lang="ts">
import { computed } from 'vue'
import { held, value, type Placed } from '@/api/types'
import { CHOSEN, type WalkStep } from '@/lib/useWalk'
import { apart, when } from '@/lib/words'
import { useSettings } from '@/stores/settings'

/** One value of the thing in hand: kept with a bar, typed here with a knot, not looked at yet dotted and quiet. */
const props = defineProps<{
  thing: Placed
  step: WalkStep
  based?: string
  refused?: string
  /** What a networked unit says of itself, in words, where that is another value. */
  rig?: string
}>()
defineEmits<{ open: []; asBefore: []; asRig: [] }>()
const settings = useSettings()

const now = computed(() => held(props.thing, props.step.attribute))
const looked = computed(() => now.value?.looked)
const here = computed(() => !!now.value?.tiedHere && !!props.based)
const said = computed(() => (now.value ? settings.printed(now.value.say) : ''))
const parts = computed(() => apart(said.value))
const guess = computed(() => props.thing.findings.find((f) => f.guess && f.attribute === props.step.attribute))
/** Where it stands is told by its tapes; here, whether they are. */
const measured = computed(() =>
  props.thing.tapes?.own
    ? `by ${2 + props.thing.tapes.checks.length} tapes`
    : props.thing.measured
      ? settings.printed(props.thing.measured)
      : now.value && !value(props.thing, 'PLACE')
        ? said.value
        : 'drawn, not measured',
)
const lead = computed(() => (props.step.attribute === 'AIM' && said.value.startsWith('at ') ? said.value : undefined))
</script>

<template>
  <div class="row grid grid-cols-[minmax(0,1fr)_108px] border-b border-line" :data-step="step.attribute">
    <button class="flex min-h-11 items-center gap-2 py-1 pr-3 pl-4 text-left" @click="$emit('open')">
      <svg width="12" height="44" class="-my-1 flex-none" aria-hidden="true">
        <line x1="6" x2="6" y1="0" y2="44" class="thread" :class="{ dotted: !looked }" />
        <path v-if="looked && !here" d="M1,22h10" class="bar" />
        <ellipse v-if="looked && here" cx="6" cy="22" rx="3.4" ry="5.5" class="knot" />
      </svg>
      <span class="flex-none text-quiet">{{ step.name }}</span>
      <span class="ml-auto min-w-0 text-right" :class="{ 'text-quiet': !looked }">
        <template v-if="!now">not said</template>
        <template v-else-if="step.attribute === 'PLACE'">{{ measured }}</template>
        <template v-else-if="lead || CHOSEN.includes(step.attribute)">{{
          said === 'none' ? 'nothing' : said
        }}</template>
        <template v-else
          ><span class="figure text-large">{{ `${parts.before} ${parts.figure}`.trim() }}</span
          ><span class="unit">{{ parts.unit }}</span></template
        >
      </span>
    </button>
    <div class="grid border-l border-line">
      <span v-if="looked" class="grid content-center px-2 text-center text-small text-quiet" :title="when(looked.at)">{{
        here ? 'typed here' : looked.author ? `${looked.author} looked` : 'looked'
      }}</span>
      <button v-else-if="now" class="min-h-11 px-2 text-small" @click="$emit('asBefore')">
        as {{ based ? `in ${now.tiedHere ? 'the record' : now.from}` : 'planned' }}
      </button>
      <button v-else class="min-h-11 px-2 text-small" @click="$emit('open')">{{ guess?.act ?? 'Say it' }}</button>
    </div>
    <button
      v-if="rig"
      data-rig
      class="col-span-2 min-h-11 border-t border-line px-4 text-left text-small"
      @click="$emit('asRig')"
    >
      <b class="font-strong">As the rig says:</b> {{ rig }}
    </button>
    <p v-if="refused" role="alert" class="col-span-2 border-t border-line px-4 py-2">{{ refused }}</p>
  </div>
</template>

<style scoped>
.thread {
  stroke: var(--quiet);
  stroke-width: 1.4;
}
.thread.dotted {
  stroke-dasharray: 2 3;
}
.bar {
  stroke: var(--ink);
  stroke-width: 1.6;
}
.knot {
  fill: var(--accent);
}
</style>
