<script setup lang="ts">
import { ref, watch } from 'vue'
import { answer, api, asFile } from '@/api/client'
import { outdate } from '@/api/reads'
import type { Fixture, MeasuredFixture } from '@/api/types'
import { readFigures } from '@/lib/figures'
import { fixed } from '@/lib/print'
import { useSubmit } from '@/lib/useSubmit'
import { LEVEL_CURVES, type LevelCurve } from '@/lib/words'
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
  curve: 'LINEAR' as LevelCurve,
  weight: '',
  modes: '',
}
const fields = ref({ ...EMPTY })
const measured = ref<MeasuredFixture>()
const { busy, error, submit } = useSubmit()

watch(
  () => props.open,
  () => {
    fields.value = { ...EMPTY }
    measured.value = undefined
    error.value = ''
  },
)

function takeFile(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  void submit(async () => {
    const beam = await answer(api.POST('/api/kit/beam', asFile(file)))
    measured.value = beam
    const f = fields.value
    f.spotCd = f.floodCd = String(Math.round(beam.candela))
    f.spotDeg = f.floodDeg = fixed(beam.beamDeg, 1)
    if (beam.watts) f.watts = String(beam.watts)
    if (beam.widthM) f.width = `${fixed(beam.widthM, 3)} m`
    if (beam.lengthM) f.height = `${fixed(beam.lengthM, 3)} m`
    f.what ||= file.name.replace(/\.[^.]*$/, '')
  })
}

/** The figures of a light, or the sentence that says which of them cannot be read. */
async function figures() {
  const f = fields.value
  const asked = {
    width: { kind: 'LENGTH', text: f.width, of: 'Width of the emitter' },
    height: { kind: 'LENGTH', text: f.height || f.width, of: 'Height of the emitter' },
    watts: { kind: 'NUMBER', text: f.watts, of: 'Watts' },
    lowest: { kind: 'KELVIN', text: f.lowest, of: 'Lowest colour temperature' },
    highest: { kind: 'KELVIN', text: f.highest, of: 'Highest colour temperature' },
    spotCd: { kind: 'NUMBER', text: f.spotCd, of: 'Peak at spot' },
    spotDeg: { kind: 'NUMBER', text: f.spotDeg, of: 'Beam at spot' },
    floodCd: { kind: 'NUMBER', text: f.floodCd || f.spotCd, of: 'Peak at flood' },
    floodDeg: { kind: 'NUMBER', text: f.floodDeg || f.spotDeg, of: 'Beam at flood' },
    weight: { kind: 'NUMBER', text: f.weight || '0', of: 'Weight' },
  } as const
  const read = await readFigures(...Object.values(asked))
  return Object.fromEntries(Object.keys(asked).map((name, i) => [name, read[i]!])) as Record<keyof typeof asked, number>
}

function keep() {
  void submit(async () => {
    const f = fields.value
    const n = await figures()
    const body: Fixture = {
      kind: 'HEAD',
      beamDeg: n.floodDeg,
      stack: { items: [] },
      own: true,
      piece: {
        what: f.what,
        widthM: n.width,
        watts: n.watts,
        mount: 'STAND',
        lowestKelvin: n.lowest,
        highestKelvin: n.highest,
        lamp: {
          optics: {
            spotCandela: n.spotCd,
            spotBeamDeg: n.spotDeg,
            floodCandela: n.floodCd,
            floodBeamDeg: n.floodDeg,
            measured: measured.value?.beam,
          },
          round: !f.height,
          emitterHeightM: n.height,
          curve: f.curve,
          lowestPercent: 0,
          tintReach: 0,
          upkeep: {
            idleWatts: 0,
            weightKg: n.weight,
            noise: '',
            burn: 'ANY',
            safeDistanceM: 0.5,
            modes: f.modes,
            menu: '',
          },
        },
      },
    }
    const added = await answer(api.POST('/api/kit/fixtures', { body }))
    await outdate({ topics: ['KIT'] })
    emit('added', added)
  })
}
</script>

<template>
  <BaseDialog :open="open" title="A kind of your own" :error="error" @close="emit('close')">
    <form id="kind-form" @submit.prevent="keep">
      <label class="mb-2 block"
        ><span class="mb-0.5 block text-small text-quiet">Measured beam, ANSI/IES LM-63; may stay empty</span
        ><input type="file" class="field" accept=".ies,text/plain" @change="takeFile"
      /></label>
      <p v-if="measured" class="mb-2 text-small" role="status">
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
      <button class="button button-main" :disabled="busy" type="submit" form="kind-form">Add to the kit</button>
    </template>
  </BaseDialog>
</template>
