<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Meter } from '@/api/types'
import { byMeter, byMonitor, lineOf, PLACES, type Place, type Tapped } from '@/lib/tapReading'

/** The same line, put together by taps: gloves and the dark. */
const props = defineProps<{ lights: Meter['lights'] }>()
const line = defineModel<string>({ required: true })

const STOPS = ['0.7', '1', '1.4', '2', '2.8', '4', '5.6', '8', '11', '16', '22']
const THIRDS = ['', '1/3', '2/3']
const DIGITS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '0']
const KELVIN = [2700, 3200, 4000, 4300, 5000, 5600, 6500]
const STEP_K = 50
const tapped = ref<Tapped>({ light: '', at: {} })
const place = ref<Place>('lit')
const here = computed(() => tapped.value.at[place.value] ?? {})

watch(
  tapped,
  (now) => {
    if (lineOf(now) !== line.value.trim()) line.value = lineOf(now)
  },
  { deep: true },
)
watch(
  line,
  (now) => {
    const said = now.trim()
    if (said === lineOf(tapped.value)) return
    const light = props.lights.find((l) => said === `${l.name} alone`)
    if (light || !said) tapped.value = { light: light?.name ?? '', at: {} }
  },
  { immediate: true },
)

function choose(light: string) {
  tapped.value.light = light
  if (light) place.value = 'lit'
}
function read(what: { stop?: string; third?: string; signal?: string }) {
  tapped.value.at[place.value] = { ...here.value, ...what }
}
function digit(d: string) {
  const now = Number(`${here.value.signal ?? ''}${d}`)
  read({ signal: String(now > 100 ? d : now) })
}
</script>

<template>
  <div role="group" aria-label="Tap a reading">
    <div class="row" role="group" aria-label="Light">
      <button type="button" class="key" :aria-pressed="!tapped.light" @click="choose('')">all</button
      ><button
        v-for="l in lights"
        :key="l.key"
        type="button"
        class="key"
        :aria-pressed="tapped.light === l.name"
        @click="choose(l.name)"
      >
        {{ l.name }}
      </button>
    </div>
    <div v-if="!tapped.light" class="row" role="group" aria-label="Where">
      <button v-for="p in PLACES" :key="p" type="button" class="key" :aria-pressed="place === p" @click="place = p">
        {{ p }}
      </button>
    </div>
    <template v-if="byMeter(place)">
      <div class="row" role="group" aria-label="Stop">
        <button
          v-for="s in STOPS"
          :key="s"
          type="button"
          class="key figure"
          :aria-pressed="here.stop === s"
          @click="read({ stop: s })"
        >
          T{{ s }}
        </button>
      </div>
      <div class="row" role="group" aria-label="And a third">
        <button
          v-for="t in THIRDS"
          :key="t"
          type="button"
          class="key figure"
          :disabled="!here.stop"
          :aria-pressed="!!here.stop && (here.third ?? '') === t"
          @click="read({ third: t })"
        >
          {{ t || 'full' }}
        </button>
      </div>
    </template>
    <div v-if="!tapped.light && byMonitor(place)" class="row" role="group" aria-label="Signal, %">
      <button
        v-for="d in DIGITS"
        :key="d"
        type="button"
        class="key figure"
        :aria-label="`Signal ${d}`"
        @click="digit(d)"
      >
        {{ d }}
      </button>
      <span class="said min-w-26 px-1.5"
        ><span class="figure">{{ here.signal ?? '·' }}</span> % of signal</span
      >
      <button type="button" class="key" :disabled="!here.signal" @click="read({ signal: undefined })">no signal</button>
    </div>
    <div class="row" role="group" aria-label="Colour">
      <button
        v-for="k in KELVIN"
        :key="k"
        type="button"
        class="key figure"
        :aria-pressed="tapped.kelvin === k"
        @click="tapped.kelvin = k"
      >
        {{ k }}
      </button>
      <button
        type="button"
        class="key figure"
        :disabled="!tapped.kelvin"
        :aria-label="`${STEP_K} K lower`"
        @click="tapped.kelvin = (tapped.kelvin ?? 0) - STEP_K"
      >
        −{{ STEP_K }}
      </button>
      <button
        type="button"
        class="key figure"
        :disabled="!tapped.kelvin"
        :aria-label="`${STEP_K} K higher`"
        @click="tapped.kelvin = (tapped.kelvin ?? 0) + STEP_K"
      >
        +{{ STEP_K }}
      </button>
      <button type="button" class="key" :disabled="!tapped.kelvin" @click="tapped.tint = (tapped.tint ?? 0) - 1">
        magenta
      </button>
      <button type="button" class="key" :disabled="!tapped.kelvin" @click="tapped.tint = (tapped.tint ?? 0) + 1">
        green
      </button>
    </div>
  </div>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  align-items: center;
  margin-bottom: 4px;
}
.key {
  min-width: 44px;
  min-height: 44px;
  padding: 0 10px;
  border: 1px solid var(--line);
  border-radius: 3px;
}
.key[aria-pressed='true'] {
  border-color: var(--accent);
  font-weight: var(--font-weight-strong);
}
.key:disabled {
  color: var(--quiet);
}
</style>
