<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { answer, api, onVersion } from '@/api/client'
import { outdate, useRead } from '@/api/reads'
import type { KitUnit, UnitSpan, UnitView } from '@/api/types'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import EarlierList from '@/components/dialogs/EarlierList.vue'
import TextField from '@/components/dialogs/TextField.vue'
import { readFigures } from '@/lib/figures'
import { useSubmit } from '@/lib/useSubmit'
import { useSettings } from '@/stores/settings'
import { useStock } from '@/stores/stock'

/** A unit: what it is, what stands on its label, and when it is away. */
const props = defineProps<{ open: boolean; productionId: number; unit?: UnitView }>()
const emit = defineEmits<{ close: [] }>()
const settings = useSettings()
const stock = useStock()
void stock.fill()
const { busy, error, submit } = useSubmit()
const tag = ref('')
const name = ref('')
const what = ref('')
const wide = ref('')
const high = ref('')
const packedIn = ref('')
const hiredUntil = ref('')
const spans = ref<UnitSpan[]>([])
const { data: versions } = useRead('unitEarlier', () =>
  props.open && props.unit ? { productionId: props.productionId, id: props.unit.id } : undefined,
)
const isCloth = computed(() => stock.items.some((i) => i.name.toLowerCase() === what.value.trim().toLowerCase()))
const STATES = [
  { key: 'OUT', name: 'out on hire' },
  { key: 'REPAIR', name: 'at repair' },
  { key: 'ON_TRUCK', name: 'on the truck' },
] as const

function fill(unit?: KitUnit) {
  tag.value = unit?.tag ?? ''
  name.value = unit?.name ?? ''
  what.value = unit?.what ?? ''
  wide.value = unit?.size.widthM ? String(unit.size.widthM) : ''
  high.value = unit?.size.lengthM ? String(unit.size.lengthM) : ''
  packedIn.value = unit?.packedIn ?? ''
  hiredUntil.value = unit?.hiredUntil ?? ''
  spans.value = (unit?.spans ?? []).map((s) => ({ ...s }))
}
watch(
  () => props.open,
  () => {
    error.value = ''
    fill(props.unit?.unit)
  },
  { immediate: true },
)
const kinds = computed(() => [
  ...(stock.kit?.fixtures ?? []).map((f) => f.piece.what),
  ...stock.filters.map((i) => i.name),
])

function keep() {
  void submit(async () => {
    const [widthM, lengthM] =
      isCloth.value && (wide.value || high.value)
        ? await readFigures(
            { kind: 'LENGTH', text: wide.value, of: 'Wide' },
            { kind: 'LENGTH', text: high.value, of: 'High' },
          )
        : []
    const body: KitUnit = {
      tag: tag.value,
      name: name.value || tag.value,
      what: what.value,
      size: { widthM, lengthM },
      packedIn: packedIn.value || undefined,
      hiredUntil: hiredUntil.value || undefined,
      spans: spans.value.map((s) => ({ ...s, until: s.until || undefined, note: s.note || undefined })),
    }
    const path = { productionId: props.productionId }
    await answer(
      props.unit
        ? api.PUT('/api/productions/{productionId}/kit/units/{id}', {
            params: { path: { ...path, id: props.unit.id }, header: onVersion(props.unit.version) },
            body,
          })
        : api.POST('/api/productions/{productionId}/kit/units', { params: { path }, body }),
    )
    await outdate({ topics: ['INVENTORY'] })
    emit('close')
  })
}
function takeOut() {
  void submit(async () => {
    const params = { path: { productionId: props.productionId, id: props.unit!.id } }
    await answer(api.DELETE('/api/productions/{productionId}/kit/units/{id}', { params }))
    await outdate({ topics: ['INVENTORY'] })
    emit('close')
  })
}
</script>

<template>
  <BaseDialog :open="open" wide :title="unit ? unit.unit.name : 'New unit'" :error="error" @close="emit('close')">
    <form id="unit-form" @submit.prevent="keep">
      <div class="grid gap-x-4 sm:grid-cols-3">
        <TextField v-model="tag" label="Tag" hint="on its label" :maxlength="24" />
        <TextField v-model="name" label="What the crew calls it" hint="as on the plots" :maxlength="80" />
        <label class="mb-2 block"
          ><span class="mb-0.5 block text-small text-quiet">Kind of thing, or cloth</span
          ><input v-model="what" class="field" list="unit-kinds" maxlength="80" autocomplete="off" /><datalist
            id="unit-kinds"
          >
            <option v-for="k in kinds" :key="k" :value="k" /></datalist
        ></label>
        <template v-if="isCloth">
          <TextField v-model="wide" label="Wide" :hint="settings.units === 'metric' ? 'm' : 'feet'" />
          <TextField v-model="high" label="High" :hint="settings.units === 'metric' ? 'm' : 'feet'" />
        </template>
        <TextField v-model="packedIn" label="Case" hint="may stay empty" :maxlength="40" />
        <TextField v-model="hiredUntil" label="Hired until" hint="last day here; empty when it is ours" type="date" />
      </div>
      <fieldset class="mt-1 border border-line px-3 py-2">
        <legend class="px-1 text-lead font-strong">Away, or on the truck</legend>
        <div v-for="(s, i) in spans" :key="i" class="flex flex-wrap items-end gap-2 pb-2">
          <label
            ><span class="block text-small text-quiet">Where</span
            ><select v-model="s.state" class="field !w-32">
              <option v-for="o in STATES" :key="o.key" :value="o.key">{{ o.name }}</option>
            </select></label
          >
          <label
            ><span class="block text-small text-quiet">From</span
            ><input v-model="s.from" type="date" class="field !w-40" required
          /></label>
          <label
            ><span class="block text-small text-quiet">Until</span
            ><input v-model="s.until" type="date" class="field !w-40"
          /></label>
          <label class="min-w-32 flex-1"
            ><span class="block text-small text-quiet">Note</span><input v-model="s.note" class="field" maxlength="200"
          /></label>
          <button type="button" class="button" :aria-label="`Strike ${i + 1}`" @click="spans.splice(i, 1)">
            Strike
          </button>
        </div>
        <button type="button" class="button" @click="spans.push({ state: 'OUT', from: '', until: '', note: '' })">
          Say when it is away
        </button>
      </fieldset>
    </form>
    <EarlierList
      :versions="
        versions?.map((v) => ({
          ...v,
          say: [
            v.was.tag,
            v.was.name,
            v.was.what,
            ...v.was.spans.map((s) => `${s.state.toLowerCase()} from ${s.from}`),
          ].join(', '),
        }))
      "
      @back="fill(versions![$event]!.was)"
    />
    <template #buttons>
      <button v-if="unit" class="button mr-auto" :disabled="busy" @click="takeOut">Take it out of the kit</button>
      <button class="button" @click="emit('close')">Cancel</button>
      <button class="button button-main" type="submit" form="unit-form" :disabled="busy">Keep</button>
    </template>
  </BaseDialog>
</template>
