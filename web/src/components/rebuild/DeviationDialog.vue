<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { ApiError, call, sentence } from '@/api/client'
import { held, value, type Attribute, type Rebuild, type Standin, type Step } from '@/api/types'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import TextField from '@/components/dialogs/TextField.vue'
import { ATTRIBUTES, signed, typed } from '@/lib/words'
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
const error = ref('')
const unitGone = ref(false)
const gone = ref<string[]>([])
const unit = ref('')
const found = ref<Standin[]>()
const searching = ref(false)
const placed = computed(() => props.step.placed)
const attributes = computed(() => placed.value.records.filter((a) => EDITABLE.includes(a) && held(placed.value, a)))
const isLight = computed(() => placed.value.placement.kind === 'HEAD' || placed.value.placement.kind === 'PRACTICAL')
const filters = computed(() => (value(placed.value, 'MODIFIERS')?.items ?? []).map((m) => m.name))

watch(
  () => props.open,
  (open) => {
    if (!open) return
    before.value = Object.fromEntries(
      attributes.value.map((a) => [a, typed(placed.value, a, settings.units === 'imperial')]),
    )
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

async function run() {
  return props.runId ?? (await props.begin())
}
async function attempt(action: (id: number) => Promise<void>) {
  try {
    const id = await run()
    if (id === undefined) return
    await action(id)
    error.value = ''
  } catch (failure) {
    error.value =
      failure instanceof ApiError && failure.status === 409
        ? `${sentence(failure)} Close this and open it again.`
        : sentence(failure)
  }
}
const path = (id: number) => `/api/runs/${id}/steps/${placed.value.placement.key}`

async function search() {
  searching.value = true
  await attempt(async (id) => {
    const query = new URLSearchParams([['unit', String(unitGone.value)], ...gone.value.map((g) => ['missing', g])])
    found.value = (await call<{ substitutes: Standin[] }>('GET', `${path(id)}/substitutes?${query}`)).substitutes
  })
  searching.value = false
}
async function take(standin: Standin) {
  await attempt(async (id) => {
    const what = [unitGone.value ? 'unit' : '', ...gone.value].filter(Boolean).join(', ')
    const body = {
      done: false,
      kind: unitGone.value ? standin.kind : undefined,
      unit: unitGone.value ? unit.value || undefined : undefined,
      values: standin.settings.map((s) => ({ attribute: s.attribute, value: s.value })),
      why: why.value || `missing: ${what}`,
    }
    emit('kept', await call<Rebuild>('PUT', `${path(id)}/otherwise`, { body, version: props.step.version }))
  })
}
async function keep() {
  const values: { attribute: string; text?: string; value?: unknown }[] = attributes.value
    .filter((a) => fields.value[a] !== before.value[a])
    .map((a) => ({ attribute: a, text: fields.value[a] }))
  for (const other of props.step.instead?.values ?? [])
    if (!values.some((v) => v.attribute === other.attribute))
      values.push({ attribute: other.attribute, value: other.value })
  if (!values.length) {
    error.value = 'Nothing is changed here: type what is true now over the recorded value, or press Done.'
    return
  }
  await attempt(async (id) => {
    const kind = props.step.instead?.piece ? placed.value.placement.piece.what : undefined
    emit(
      'kept',
      await call<Rebuild>('PUT', `${path(id)}/otherwise`, {
        body: { done: true, kind, unit: kind ? placed.value.placement.piece.unit : undefined, values, why: why.value },
        version: props.step.version,
      }),
    )
  })
}
async function asRecorded() {
  await attempt(async (id) =>
    emit(
      'kept',
      await call<Rebuild>('PUT', `${path(id)}/otherwise`, {
        body: { done: false, values: [] },
        version: props.step.version,
      }),
    ),
  )
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
    <fieldset v-if="isLight" class="missing">
      <legend class="px-1 text-[15px] font-[650]">Something is missing</legend>
      <div class="flex flex-wrap gap-x-5 gap-y-1">
        <label class="flex min-h-[28px] items-center gap-1"
          ><input v-model="unitGone" type="checkbox" /> the unit,
          {{ placed.placement.piece.unit ?? placed.placement.piece.what }}</label
        >
        <label v-for="f in filters" :key="f" class="flex min-h-[28px] items-center gap-1"
          ><input v-model="gone" type="checkbox" :value="f" /> {{ f }}</label
        >
        <button class="button" type="button" :disabled="(!unitGone && !gone.length) || searching" @click="search">
          {{ searching ? 'Looking through the kit…' : 'What reaches the same light?' }}
        </button>
      </div>
      <label v-if="unitGone" class="mt-1 block"
        ><span class="text-[12px] text-quiet">What the crew calls the one that stands in</span
        ><input v-model="unit" class="field" maxlength="80"
      /></label>
      <ul v-if="found" class="mt-2" aria-label="Substitutes">
        <li v-for="s in found" :key="s.kind + s.stops" class="standin" :data-reaches="s.reaches">
          <div class="grow">
            <b class="font-[650]">{{ s.kind }}</b>{{ ' ' }}
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
      <p v-if="found" class="text-[12px] text-quiet">Predicted by nominal figures; the meter decides.</p>
    </fieldset>
    <template #buttons>
      <button v-if="step.instead" class="button" @click="asRecorded">As recorded after all</button>
      <button class="button" @click="emit('close')">Cancel</button>
      <button class="button button-main" type="submit" form="otherwise-form">This is true now</button>
    </template>
  </BaseDialog>
</template>

<style scoped>
.missing {
  margin-top: 8px;
  padding: 8px 12px;
  border: 1px solid var(--line);
}
.standin {
  display: flex;
  gap: 12px;
  align-items: center;
  padding: 6px 0;
  border-bottom: 1px solid var(--line);
}
</style>
