<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { answer, api, onVersion } from '@/api/client'
import type { components } from '@/api/generated/schema'
import { held, value, type Attribute, type Rebuild, type Standin, type Step } from '@/api/types'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import TextField from '@/components/dialogs/TextField.vue'
import { signed } from '@/lib/print'
import { useSubmit } from '@/lib/useSubmit'
import { ATTRIBUTES } from '@/lib/words'
import { useSettings } from '@/stores/settings'

/** What is not as recorded: another value, or another unit and other gels that reach the same light, with the settings to dial. */
const props = defineProps<{ open: boolean; step: Step; runId?: number; begin: () => Promise<number | undefined> }>()
const emit = defineEmits<{ close: []; kept: [sheet: Rebuild] }>()
const settings = useSettings()

const EDITABLE: Attribute[] = [
  'PLACE',
  'HEIGHT',
  'AIM',
  'LEVEL',
  'CCT',
  'TINT',
  'BEAM',
  'LENS',
  'STOP',
  'SPEED',
  'SHUTTER',
  'WHITE',
]
const fields = ref<Record<string, string>>({})
const before = ref<Record<string, string>>({})
const why = ref('')
const { busy, error, submit } = useSubmit((refusal) => {
  if (refusal.status === 409) error.value += ' Close this and open it again.'
})
const unitGone = ref(false)
const gone = ref<string[]>([])
const unit = ref('')
const found = ref<Standin[]>()
const placed = computed(() => props.step.placed)
const attributes = computed(() => placed.value.records.filter((a) => EDITABLE.includes(a) && held(placed.value, a)))
const STANDS_IN = ['HEAD', 'PRACTICAL', 'FLAG', 'NET', 'FRAME', 'PATTERN', 'BOUNCE', 'MIRROR']
const canStandIn = computed(() => STANDS_IN.includes(placed.value.placement.kind))
const filters = computed(() => (value(placed.value, 'MODIFIERS')?.items ?? []).map((m) => m.name))

watch(
  () => props.open,
  (open) => {
    if (!open) return
    before.value = Object.fromEntries(attributes.value.map((a) => [a, settings.printed(held(placed.value, a)!.typed)]))
    fields.value = { ...before.value }
    why.value = props.step.instead?.why ?? ''
    error.value = ''
    unitGone.value = false
    gone.value = []
    unit.value = ''
    found.value = undefined
  },
  { immediate: true },
)

function attempt(action: (at: { id: number; placement: string }) => Promise<unknown>) {
  return submit(async () => {
    const id = props.runId ?? (await props.begin())
    if (id !== undefined) await action({ id, placement: placed.value.placement.key })
  })
}

function search() {
  void attempt(async ({ id: run, placement }) => {
    const params = { path: { run, placement }, query: { unit: unitGone.value, missing: gone.value } }
    found.value = (await answer(api.GET('/api/runs/{run}/steps/{placement}/substitutes', { params }))).substitutes
  })
}
type Otherwise = components['schemas']['StepBody']
function record(body: Otherwise) {
  void attempt(async (path) => {
    const params = { path, header: onVersion(props.step.version) }
    emit('kept', await answer(api.PUT('/api/runs/{id}/steps/{placement}/otherwise', { params, body })))
  })
}
function take(standin: Standin) {
  const what = [unitGone.value ? 'unit' : '', ...gone.value].filter(Boolean).join(', ')
  record({
    done: false,
    kind: unitGone.value ? standin.kind : undefined,
    unit: unitGone.value ? unit.value || standin.unit : undefined,
    values: standin.settings.map((s) => ({ attribute: s.attribute, value: s.value })),
    why: why.value || `missing: ${what}`,
  })
}
function keep() {
  const values: Otherwise['values'] = attributes.value
    .filter((a) => fields.value[a] !== before.value[a])
    .map((a) => ({ attribute: a, text: fields.value[a] }))
  for (const other of props.step.instead?.values ?? [])
    if (!values.some((v) => v.attribute === other.attribute))
      values.push({ attribute: other.attribute, value: other.value })
  if (!values.length) {
    error.value = 'Nothing is changed here: type what is true now over the recorded value, or press Done.'
    return
  }
  const { piece } = placed.value.placement
  const other = props.step.instead?.piece ? { kind: piece.what, unit: piece.unit } : {}
  record({ done: true, ...other, values, why: why.value })
}
function asRecorded() {
  record({ done: false, values: [] })
}
</script>

<template>
  <BaseDialog
    :open="open"
    wide
    :title="`${placed.placement.name}: not as recorded`"
    :error="error"
    @close="emit('close')"
  >
    <form id="otherwise-form" class="grid grid-cols-2 gap-x-4 sm:grid-cols-3" @submit.prevent="keep">
      <TextField
        v-for="a in attributes"
        :key="a"
        v-model="fields[a]!"
        :label="ATTRIBUTES[a]"
        :hint="fields[a] === before[a] ? '' : `was ${before[a]}`"
        :maxlength="80"
      />
      <div class="col-span-2 sm:col-span-3"><TextField v-model="why" label="Why" :maxlength="500" /></div>
    </form>
    <fieldset v-if="canStandIn" class="mt-2 py-2 px-3 border border-line">
      <legend class="px-1 text-lead font-strong">Something is missing</legend>
      <div class="flex flex-wrap gap-x-5 gap-y-1">
        <label class="flex min-h-[28px] items-center gap-1"
          ><input v-model="unitGone" type="checkbox" /> the unit,
          {{ placed.placement.piece.unit ?? placed.placement.piece.what }}</label
        >
        <label v-for="f in filters" :key="f" class="flex min-h-[28px] items-center gap-1"
          ><input v-model="gone" type="checkbox" :value="f" /> {{ f }}</label
        >
        <button class="button" type="button" :disabled="(!unitGone && !gone.length) || busy" @click="search">
          {{ busy ? 'Looking through the kit…' : 'What reaches the same light?' }}
        </button>
      </div>
      <label v-if="unitGone" class="mt-1 block"
        ><span class="text-small text-quiet">What the crew calls the one that stands in</span
        ><input v-model="unit" class="field" maxlength="80"
      /></label>
      <ul v-if="found" class="mt-2" aria-label="Substitutes">
        <li
          v-for="s in found"
          :key="`${s.kind} ${s.unit} ${s.stops} ${s.mired}`"
          class="flex gap-3 items-center py-1.5 border-b border-line"
          :data-reaches="s.reaches"
        >
          <div class="grow">
            <b class="font-strong">{{ s.unit ? `${s.unit}, ${s.kind}` : s.kind }}</b>{{ ' ' }}
            <span class="figure ml-2"
              >{{ signed(s.stops, 1) }}<span class="unit">stop</span> {{ signed(s.mired, 0)
              }}<span class="unit">mired</span></span
            >
            <span class="block">{{ s.settings.map((x) => `${x.label} ${settings.printed(x.words)}`).join('; ') }}</span>
            <span class="block text-quiet">{{
              s.givenUp.length ? `given up: ${s.givenUp.join('; ')}` : 'nothing is given up that a meter tells'
            }}</span>
          </div>
          <button class="button" type="button" @click="take(s)">Use it</button>
        </li>
        <li v-if="!found.length">Nothing of the kit reaches this light. Move it closer, or open the stop.</li>
      </ul>
      <p v-if="found" class="text-small text-quiet">Predicted by nominal figures; the meter decides.</p>
    </fieldset>
    <template #buttons>
      <button v-if="step.instead" class="button" @click="asRecorded">As recorded after all</button>
      <button class="button" @click="emit('close')">Cancel</button>
      <button class="button button-main" type="submit" form="otherwise-form">This is true now</button>
    </template>
  </BaseDialog>
</template>
