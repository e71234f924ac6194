<script setup lang="ts">
import { ref, watch } from 'vue'
import { call, sentence } from '@/api/client'
import type { Fixture, Measured } from '@/api/types'
import { LEVEL_CURVES } from '@/lib/words'
import BaseDialog from './BaseDialog.vue'
import ChoiceField from './ChoiceField.vue'
import TextField from './TextField.vue'

/** A light of the crew's own: its figures typed, or its beam from a measured file. */
const props = defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: []; added: [kind: Fixture] }>()

const EMPTY = {
  what: '',
  spotCd: '',
  spotDeg: '',
  floodCd: '',
  floodDeg: '',
  width: '',
  height: '',
  lowest: '5600',
  highest: '5600',
  watts: '',
  curve: 'LINEAR',
  weight: '',
  modes: '',
}
const fields = ref({ ...EMPTY })
const measured = ref<Measured>()
const error = ref('')

watch(
  () => props.open,
  () => {
    fields.value = { ...EMPTY }
    measured.value = undefined
    error.value = ''
  },
)

async function takeFile(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  try {
    const beam = await call<Measured>('POST', '/api/kit/beam', { body: await file.text() })
    measured.value = beam
    const f = fields.value
    f.spotCd = f.floodCd = String(Math.round(beam.candela))
    f.spotDeg = f.floodDeg = beam.beamDeg.toFixed(1)
    if (beam.watts) f.watts = String(beam.watts)
    if (beam.widthM) f.width = beam.widthM.toFixed(3)
    if (beam.lengthM) f.height = beam.lengthM.toFixed(3)
    f.what ||= file.name.replace(/\.[^.]*$/, '')
    error.value = ''
  } catch (failure) {
    error.value = sentence(failure)
  }
}

function number(text: string, name: string): number {
  const value = Number(text.replace(',', '.'))
  if (!text.trim() || Number.isNaN(value)) throw new Error(`Give ${name} as a figure.`)
  return value
}

async function keep() {
  const f = fields.value
  try {
    const width = number(f.width, 'the width of the emitter, in metres')
    const flood = { cd: f.floodCd || f.spotCd, deg: f.floodDeg || f.spotDeg }
    const body: Fixture = {
      kind: 'HEAD',
      beamDeg: number(flood.deg, 'the beam'),
      stack: { items: [] },
      own: true,
      piece: {
        what: f.what,
        widthM: width,
        watts: number(f.watts, 'its watts'),
        mount: 'STAND',
        lowestKelvin: number(f.lowest, 'its lowest colour temperature'),
        highestKelvin: number(f.highest, 'its highest colour temperature'),
        lamp: {
          optics: {
            spotCandela: number(f.spotCd, 'the peak at spot, in candela'),
            spotBeamDeg: number(f.spotDeg, 'the beam at spot'),
            floodCandela: number(flood.cd, 'the peak at flood'),
            floodBeamDeg: number(flood.deg, 'the beam at flood'),
            measured: measured.value?.beam,
          },
          round: !f.height,
          emitterHeightM: f.height ? number(f.height, 'the height of the emitter') : width,
          curve: f.curve as 'LINEAR',
          lowestPercent: 0,
          tintReach: 0,
          upkeep: {
            idleWatts: 0,
            weightKg: f.weight ? number(f.weight, 'its weight') : 0,
            noise: '',
            burn: 'ANY',
            safeDistanceM: 0.5,
            modes: f.modes,
            menu: '',
          },
        },
      },
    }
    emit('added', await call<Fixture>('POST', '/api/kit/fixtures', { body }))
  } catch (failure) {
    error.value = sentence(failure)
  }
}
</script>

<template>
  <BaseDialog :open="open" title="A kind of your own" :error="error" @close="emit('close')">
    <form id="kind-form" @submit.prevent="keep">
      <label class="mb-2 block"
        ><span class="mb-0.5 block text-[12px] text-quiet">Measured beam, ANSI/IES LM-63; may stay empty</span
        ><input type="file" class="field" accept=".ies,text/plain" @change="takeFile"
      /></label>
      <p v-if="measured" class="mb-2 text-[12px]" role="status">
        Read {{ measured.beam.anglesDeg.length }} angles. It is taken as the same all around (model), and does not zoom.
      </p>
      <TextField v-model="fields.what" label="What it is called" hint="Bicolour spot 200 W" :maxlength="80" />
      <div class="grid grid-cols-2 gap-x-2">
        <TextField v-model="fields.spotCd" label="Peak at spot, cd" /><TextField
          v-model="fields.spotDeg"
          label="beam at spot, degrees"
        />
        <template v-if="!measured"
          ><TextField v-model="fields.floodCd" label="Peak at flood, cd" hint="may be the same" /><TextField
            v-model="fields.floodDeg"
            label="beam at flood, degrees"
        /></template>
        <TextField v-model="fields.width" label="Emitter, wide, m" /><TextField
          v-model="fields.height"
          label="high, m"
          hint="empty: round"
        />
        <TextField v-model="fields.lowest" label="Lowest K" /><TextField v-model="fields.highest" label="Highest K" />
        <TextField v-model="fields.watts" label="Watts" /><TextField
          v-model="fields.weight"
          label="Weighs, kg"
          hint="may stay empty"
        />
      </div>
      <TextField
        v-model="fields.modes"
        label="Control modes"
        hint="8-bit: level, cct; 16-bit: level 16, cct 16"
        :maxlength="600"
      />
      <ChoiceField v-model="fields.curve" label="Output follows the level" :options="LEVEL_CURVES" />
    </form>
    <template #buttons>
      <button class="button" @click="emit('close')">Cancel</button>
      <button class="button button-main" type="submit" form="kind-form">Add to the kit</button>
    </template>
  </BaseDialog>
</template>
