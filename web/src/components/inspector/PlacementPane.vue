<script setup lang="ts">
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import { held, value, type Placed } from '@/api/types'
import HeadMark from '@/components/plot/HeadMark.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import OtherMark from '@/components/plot/OtherMark.vue'
import { signed } from '@/lib/print'
import { calledWords, EFFECTS } from '@/lib/words'
import { usePlot } from '@/stores/plot'
import { useShotEditor } from '@/stores/shotEditor'
import { useLight } from '@/stores/light'
import { useSettings } from '@/stores/settings'
import AimRows from './AimRows.vue'
import CarryThread from './CarryThread.vue'
import ChoiceRow from './ChoiceRow.vue'
import DaylightForm from './DaylightForm.vue'
import ShotKit from '@/components/kit/ShotKit.vue'
import FindingList from './FindingList.vue'
import HintList from './HintList.vue'
import ModifierList from './ModifierList.vue'
import PatchForm from './PatchForm.vue'
import ReasonPicker from './ReasonPicker.vue'
import SourceFacts from './SourceFacts.vue'
import StreakForm from './StreakForm.vue'
import TapeRows from './TapeRows.vue'
import ThingMenu from './ThingMenu.vue'
import ValueRow from './ValueRow.vue'

const EFFECT_NAMES = EFFECTS.filter((e) => e.key !== 'NONE')
  .map((e) => e.name)
  .join(', ')
/** What is selected: everything that is recorded of it in this shot. */
const props = defineProps<{ placed: Placed }>()
const plot = usePlot()
const editor = useShotEditor()

const records = (attribute: Parameters<typeof held>[1]) => props.placed.records.includes(attribute)
/** Only what shines of itself has a level; grip has what it does to light. */
const light = computed(() => (records('LEVEL') ? props.placed.light : undefined))
const hints = computed(() => useLight().light?.hints.filter((h) => h.placement === props.placed.placement.key) ?? [])
const piece = computed(() => props.placed.placement.piece)
const settings = useSettings()
/** Where another thing than the one that was placed stands there. */
const unit = computed(() => held(props.placed, 'UNIT'))
const camera = computed(() => props.placed.placement.kind === 'CAMERA')
const state = computed(() => value(props.placed, 'STANDING')?.state ?? 'STRUCK')
const states = computed(() => [
  { key: 'ON' as const, name: light.value ? 'on' : 'on set' },
  ...(light.value ? [{ key: 'OFF' as const, name: 'standing, off' }] : []),
  { key: 'STRUCK' as const, name: 'struck' },
])
const fullColour = computed(
  () => records('COLOUR') && (value(props.placed, 'COLOUR') || props.placed.light?.fullColour),
)
const place = computed(() => value(props.placed, 'PLACE'))
const streak = computed(() => value(props.placed, 'STREAK'))
/** Behind a saturated gel a colour temperature says nothing. */
const gel = computed(() => value(props.placed, 'MODIFIERS')?.items.find((m) => m.gel))
const iconScale = computed(() => 30 / Math.max(0.2, piece.value.widthM))

function setOutside(outside: boolean) {
  if (place.value) void editor.put(props.placed.placement.key, 'PLACE', { value: { ...place.value, outside } })
}
</script>

<template>
  <div class="grid grid-cols-[minmax(0,1fr)] gap-2">
    <header class="flex items-center gap-3 border-b border-line pb-2">
      <svg width="48" height="40" viewBox="-24 -20 48 40" aria-hidden="true">
        <HeadMark v-if="light" :placed="placed" :scale="iconScale" :bearing="0" />
        <OtherMark v-else :placed="placed" :scale="iconScale" :bearing="0" />
      </svg>
      <div class="min-w-0">
        <h2 class="text-head leading-7">{{ placed.placement.name }}</h2>
        <p class="truncate text-quiet">{{ calledWords(piece) }}</p>
      </div>
      <ThingMenu :placed="placed" />
    </header>
    <p v-if="placed.placement.motivation" class="text-small text-quiet">
      Motivated by {{ placed.placement.motivation }}.
    </p>
    <p v-if="plot.multiSelection.length" class="text-small text-quiet">
      And {{ plot.multiSelection.length }} more: moved together, put in order under “Do…”.
    </p>
    <p v-if="placed.placement.group" class="text-small text-quiet">Goes with “{{ placed.placement.group }}”.</p>
    <HintList v-if="hints.length" :hints="hints" />
    <p v-for="c in placed.cautions" :key="c" class="text-small" role="note">
      <WedgeMark act class="mr-1 inline" />{{ c }}
    </p>
    <ShotKit v-if="plot.plot && placed.placement.piece.unit" :shot-id="plot.plot.shot.id" :of="placed.placement.key" />
    <FindingList v-if="placed.findings.length" :findings="placed.findings" />
    <ReasonPicker />
    <section>
      <div class="flex items-baseline justify-between">
        <h3 class="group-title pl-6">Stands</h3>
        <span v-if="placed.tapes" class="text-fine text-quiet"
          >tapes cross at {{ Math.round(placed.tapes.crossingDeg) }}°, {{ placed.tapes.crossing.toLowerCase() }}</span
        >
      </div>
      <ChoiceRow
        :placed="placed"
        attribute="STANDING"
        label="in this shot"
        :options="states"
        :chosen="state"
        @choose="editor.put(placed.placement.key, 'STANDING', { value: { state: $event } })"
      />
      <div v-if="unit" class="flex" data-attribute="UNIT">
        <CarryThread
          :held="unit"
          :based="plot.based"
          :locked="plot.locked"
          label="Unit"
          @untie="editor.put(placed.placement.key, 'UNIT', null)"
        />
        <p class="min-w-0 grow truncate pl-1 leading-6">
          <span class="text-quiet">exchanged</span> {{ settings.printed(unit.say) }}
        </p>
      </div>
      <TapeRows :placed="placed" />
      <ValueRow
        :placed="placed"
        attribute="PLACE"
        without=", outside"
        hint="Metres right and up the plan: 3.40, 2.10"
      />
      <label v-if="place && plot.set?.walls.length" class="derived cursor-pointer">
        <span>outside the walls</span>
        <input
          type="checkbox"
          :checked="place.outside"
          :disabled="plot.locked"
          @change="setOutside(($event.target as HTMLInputElement).checked)"
        />
      </label>
      <ValueRow :placed="placed" attribute="HEIGHT" hint="Metres, or feet and inches: 1.95 or 6'5&quot;" />
      <AimRows :placed="placed" />
    </section>
    <ModifierList v-if="records('MODIFIERS')" :placed="placed" class="rule" />
    <DaylightForm v-if="records('DAYLIGHT')" :placed="placed" class="rule" />
    <StreakForm v-if="streak" :placed="placed" :streak="streak" class="rule" />
    <section v-if="records('DAYLIGHT')" class="rule">
      <ValueRow :placed="placed" attribute="CCT" label="colour" hint="Kelvin: 6500" />
      <ValueRow :placed="placed" attribute="TINT" label="tint, Duv" hint="Duv: 0.004 green, −0.004 magenta" />
    </section>
    <template v-if="light">
      <section class="rule">
        <h3 class="group-title pl-6">Level and colour</h3>
        <ValueRow :placed="placed" attribute="LEVEL" hint="Percent: 45" />
        <ValueRow :placed="placed" attribute="CCT" hint="Kelvin: 5600" />
        <ValueRow :placed="placed" attribute="TINT" label="tint, Duv" hint="Duv: 0.004 green, −0.004 magenta" />
        <ValueRow
          v-if="fullColour"
          :placed="placed"
          attribute="COLOUR"
          hint="Hue and saturation: hue 210, saturation 80; or white"
        />
        <ValueRow :placed="placed" attribute="BEAM" hint="Full angle at half intensity: 36" />
        <ValueRow
          :placed="placed"
          attribute="EFFECT"
          :hint="`${EFFECT_NAMES}, and how often a second: flicker 3; in two colours: beacon 2 between hue 30 and hue 190; or none`"
        />
        <div class="derived">
          <span>behind it all</span>
          <span v-if="gel" class="flex items-center gap-1.5"
            ><span class="swatch" :style="{ background: light.swatch }" />{{ gel.name }}</span
          >
          <span v-else-if="light.kelvin" class="flex items-center gap-1.5">
            <span class="swatch" :style="{ background: light.swatch }" /><span class="figure text-figure">{{
              Math.round(light.kelvin)
            }}</span
            ><span class="unit !ml-0">K</span>
            <span v-if="light.duv" class="figure text-figure">{{ signed(light.duv, 3) }}</span>
          </span>
          <span v-else>{{ light.problem }}</span>
        </div>
      </section>
    </template>
    <SourceFacts v-if="placed.light" :placed="placed" />
    <PatchForm v-if="light" :placed="placed" class="rule" />
    <ValueRow
      v-if="light"
      :placed="placed"
      attribute="MENU"
      hint="curve linear, smoothing off, fan low, output constant, 1200 Hz, hold, display off, channel 5"
    />
    <ValueRow
      v-if="records('FEED')"
      :placed="placed"
      attribute="FEED"
      hint="A circuit and its cable: B1, 25 m of 2.5; or battery 98 Wh; or own on B3"
    />
    <ValueRow
      v-if="records('RIG') && (placed.placement.piece.mount === 'OVERHEAD' || held(placed, 'RIG'))"
      :placed="placed"
      attribute="RIG"
      hint="Beam or wall: ridge beam, 4 points, sag 0.1 m, limit 60 kg, weighs 9 kg, bond"
    />
    <section v-if="camera" class="rule">
      <h3 class="group-title pl-6">Camera</h3>
      <ValueRow :placed="placed" attribute="LENS" hint="Millimetres: 50" />
      <ValueRow :placed="placed" attribute="STOP" hint="T-stop: 2.8 or 5.6 1/3" />
      <ValueRow :placed="placed" attribute="SPEED" hint="ISO: 800" />
      <ValueRow :placed="placed" attribute="SHUTTER" hint="1/48, or 180° at 24" />
      <ValueRow :placed="placed" attribute="WHITE" hint="Kelvin, and tint: 4300 or 4300 +0.002" />
      <ValueRow :placed="placed" attribute="LENS_ND" hint="Density: 0.6, or clear" />
    </section>
    <RouterLink
      class="rule text-small underline"
      :to="{ name: 'log', params: { id: plot.plot!.shot.id }, query: { of: placed.placement.key } }"
      >History, notes and photographs of {{ placed.placement.name }}</RouterLink
    >
  </div>
</template>

<style scoped>
.rule {
  border-top: 1px solid var(--line);
  padding-top: 8px;
}
.derived {
  display: flex;
  justify-content: space-between;
  align-items: center;
  min-height: 25px;
  padding: 0 4px 0 24px;
  color: var(--quiet);
}
.derived .figure {
  color: var(--ink);
}
@media (pointer: coarse) {
  .derived {
    min-height: 36px;
  }
}
</style>
