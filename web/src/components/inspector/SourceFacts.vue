<script setup lang="ts">
import { computed } from 'vue'
import type { Placed } from '@/api/types'
import StopsText from '@/components/marks/StopsText.vue'
import { fixed } from '@/lib/print'
import { tenths, thirds } from '@/lib/stops'
import { useLight } from '@/stores/light'
import { useSettings } from '@/stores/settings'

/** What one light does at the mark, how far it can go up, and what its kind minds. */
const props = defineProps<{ placed: Placed }>()
const light = useLight()
const settings = useSettings()

const key = computed(() => props.placed.placement.key)
const source = computed(() => light.light?.sources.find((s) => s.key === key.value))
const one = computed(() => light.mark?.from.find((f) => f.key === key.value))
const upkeep = computed(() => props.placed.placement.piece.lamp?.upkeep)
const out = computed(() => light.muted.includes(key.value))
const BURN = { ANY: 'any way up', NOT_ABOVE_45: 'down 90° to up 45°', NEAR_LEVEL: 'within 30° of level' }
</script>

<template>
  <section v-if="source" class="rule" aria-label="At the mark">
    <div class="flex items-baseline justify-between">
      <h3 class="group-title pl-6">At {{ light.mark?.name ?? 'the mark' }}</h3>
      <span class="text-fine text-quiet">predicted</span>
    </div>
    <p v-if="source.unknown" class="pl-6 text-small">{{ source.unknown }}</p>
    <template v-else-if="one">
      <dl class="facts grid grid-cols-[minmax(0,1fr)_auto] gap-y-0.75 gap-x-2 pr-1 pl-6">
        <dt>lit cheek</dt>
        <dd><StopsText :text="thirds(one.lit.overStops)" /></dd>
        <dt>shadow cheek</dt>
        <dd><StopsText :text="thirds(one.shadow.overStops)" /></dd>
        <template v-if="one.background"
          ><dt>background</dt>
          <dd><StopsText :text="thirds(one.background.overStops)" /></dd
        ></template>
        <dt>turned to it</dt>
        <dd>{{ settings.printed(one.facingLight) }}</dd>
        <template v-if="one.distance">
          <dt>from</dt>
          <dd>
            {{ Math.round(one.fromDeg) }}°<span class="unit"
              >{{ Math.round(Math.abs(one.upDeg)) }}° {{ one.upDeg < 0 ? 'below' : 'up' }},
              {{ settings.printed(one.distance) }}</span
            >
          </dd>
          <dt>as large as</dt>
          <dd>{{ fixed(one.sizeDeg, 1) }}°</dd>
          <template v-if="one.penumbra"
            ><dt>shadow edge behind</dt>
            <dd>{{ settings.printed(one.penumbra) }}</dd></template
          >
        </template>
        <template v-if="one.through">
          <dt>fan through {{ one.through.opening }}</dt>
          <dd>
            {{ fixed(one.through.fanDeg, 1) }}°<span class="unit">{{
              one.through.parallel ? 'reads as parallel' : `${settings.printed(one.through.away)} off`
            }}</span>
          </dd>
          <dt>a bar’s edge there</dt>
          <dd>{{ settings.printed(one.through.edgePenumbra) }}</dd>
        </template>
      </dl>
      <p v-if="one.allAround" class="pl-6 text-fine text-quiet">Most of it comes off the room (model).</p>
      <p v-else-if="!one.straight && one.distanceM" class="pl-6 text-fine text-quiet">
        It comes off grip: a board, a mirror or a cloth.
      </p>
    </template>
    <div class="flex gap-1 pt-1 pl-6">
      <button class="button !px-2" :aria-pressed="light.muted.length > 0 && !out" @click="light.alone([key])">
        Alone
      </button>
      <button class="button !px-2" :aria-pressed="out" @click="light.toggleOut([key])">
        {{ out ? 'Back in' : 'Out' }}
      </button>
      <button v-if="light.muted.length" class="button !px-2" @click="light.muted = []">All</button>
    </div>
  </section>
  <section v-if="source?.headroomStops !== undefined" class="rule">
    <h3 class="group-title pl-6">Headroom</h3>
    <p class="pl-6">
      <span class="figure text-large">{{ tenths(source.headroomStops) }}</span><span class="unit">stops to 100 %</span>
    </p>
  </section>
  <section v-if="upkeep" class="rule">
    <h3 class="group-title pl-6">The kind</h3>
    <dl class="facts grid grid-cols-[minmax(0,1fr)_auto] gap-y-0.75 gap-x-2 pr-1 pl-6">
      <dt>draws, at full</dt>
      <dd>{{ placed.placement.piece.watts }}<span class="unit">W</span></dd>
      <template v-if="upkeep.batteryWh"
        ><dt>battery</dt>
        <dd>{{ upkeep.batteryWh }}<span class="unit">Wh</span></dd></template
      >
      <dt>weighs</dt>
      <dd>{{ upkeep.weightKg }}<span class="unit">kg</span></dd>
      <template v-if="upkeep.noise"
        ><dt>noise</dt>
        <dd class="words">{{ upkeep.noise }}</dd></template
      >
      <dt>burns</dt>
      <dd class="words">{{ BURN[upkeep.burn] }}</dd>
      <dt>keep cloth off</dt>
      <dd>{{ upkeep.safeDistanceM }}<span class="unit">m</span></dd>
    </dl>
    <p v-if="upkeep.modes" class="pl-6 text-fine text-quiet">Modes: {{ upkeep.modes }}.</p>
    <p v-if="upkeep.menu" class="pl-6 text-fine text-quiet">In its menu: {{ upkeep.menu }}.</p>
  </section>
</template>

<style scoped>
.rule {
  border-top: 1px solid var(--line);
  padding-top: 8px;
}
.facts dt {
  color: var(--quiet);
}
.facts dd {
  text-align: right;
  font: 500 var(--text-figure) var(--font-mono);
  letter-spacing: -0.02em;
}
.facts .words {
  font: inherit;
  letter-spacing: 0;
}
</style>
