<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { answer, api, onVersion } from '@/api/client'
import { outdate, useRead } from '@/api/reads'
import type { CountedStock, CountedView, StockForm } from '@/api/types'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import ChoiceField from '@/components/dialogs/ChoiceField.vue'
import EarlierList from '@/components/dialogs/EarlierList.vue'
import TextField from '@/components/dialogs/TextField.vue'
import { readFigures, type TypedFigure } from '@/lib/figures'
import { useSubmit } from '@/lib/useSubmit'
import { useStock } from '@/stores/stock'

/** Stock that is counted, by what matters of it. */
const props = defineProps<{ open: boolean; productionId: number; item?: CountedView }>()
const emit = defineEmits<{ close: [] }>()
const stock = useStock()
void stock.fill()
const { busy, error, submit } = useSubmit()
const FORMS: { key: StockForm; name: string }[] = [
  { key: 'SHEET', name: 'gel in sheets' },
  { key: 'ROLL', name: 'gel or cloth on a roll' },
  { key: 'CLOTH', name: 'cloths of one size' },
  { key: 'PIECE', name: 'things of one kind' },
  { key: 'STAND', name: 'stands' },
  { key: 'CLAMP', name: 'clamps' },
  { key: 'SANDBAG', name: 'sandbags' },
  { key: 'BOND', name: 'safety bonds' },
  { key: 'CABLE', name: 'cables of one length' },
  { key: 'BATTERY', name: 'batteries' },
]
const what = ref('')
const form = ref<StockForm>('ROLL')
const wide = ref('')
const long = ref('')
const area = ref('')
const wattHours = ref('')
const count = ref('')
const packedIn = ref('')
const { data: versions } = useRead('countedEarlier', () =>
  props.open && props.item ? { productionId: props.productionId, id: props.item.id } : undefined,
)
const flat = computed(() => ['SHEET', 'ROLL', 'CLOTH'].includes(form.value))
const text = (figure?: number) => (figure === undefined ? '' : String(figure))
function fill(item?: CountedStock) {
  what.value = item?.what ?? ''
  form.value = item?.form ?? 'ROLL'
  wide.value = text(item?.size.widthM)
  long.value = text(item?.size.lengthM)
  area.value = text(item?.size.areaMm2)
  wattHours.value = text(item?.size.wattHours)
  count.value = text(item?.count ?? 1)
  packedIn.value = item?.packedIn ?? ''
}
watch(
  () => props.open,
  () => {
    error.value = ''
    fill(props.item?.item)
  },
  { immediate: true },
)
const names = computed(() =>
  flat.value ? stock.filters.map((i) => i.name) : (stock.kit?.fixtures ?? []).map((f) => f.piece.what),
)

function keep() {
  void submit(async () => {
    const asked: [keyof CountedStock['size'] | 'count', TypedFigure][] = [
      ['count', { kind: 'NUMBER', text: count.value, of: 'How many' }],
    ]
    if (flat.value && wide.value) asked.push(['widthM', { kind: 'LENGTH', text: wide.value, of: 'Wide' }])
    if ((flat.value || form.value === 'CABLE') && long.value)
      asked.push(['lengthM', { kind: 'LENGTH', text: long.value, of: 'Long' }])
    if (form.value === 'CABLE' && area.value)
      asked.push(['areaMm2', { kind: 'NUMBER', text: area.value, of: 'Section' }])
    if (form.value === 'BATTERY' && wattHours.value)
      asked.push(['wattHours', { kind: 'NUMBER', text: wattHours.value, of: 'Watt hours' }])
    const figures = await readFigures(...asked.map(([, figure]) => figure))
    const read = Object.fromEntries(asked.map(([key], i) => [key, figures[i]!]))
    const { count: number = 0, ...size } = read
    const body: CountedStock = {
      what: what.value,
      form: form.value,
      size,
      count: number,
      packedIn: packedIn.value || undefined,
    }
    const path = { productionId: props.productionId }
    await answer(
      props.item
        ? api.PUT('/api/productions/{productionId}/kit/counted/{id}', {
            params: { path: { ...path, id: props.item.id }, header: onVersion(props.item.version) },
            body,
          })
        : api.POST('/api/productions/{productionId}/kit/counted', { params: { path }, body }),
    )
    await outdate({ topics: ['INVENTORY'] })
    emit('close')
  })
}
function takeOut() {
  void submit(async () => {
    const params = { path: { productionId: props.productionId, id: props.item!.id } }
    await answer(api.DELETE('/api/productions/{productionId}/kit/counted/{id}', { params }))
    await outdate({ topics: ['INVENTORY'] })
    emit('close')
  })
}
</script>

<template>
  <BaseDialog :open="open" :title="item ? item.item.what : 'Count something'" :error="error" @close="emit('close')">
    <form id="counted-form" @submit.prevent="keep">
      <ChoiceField v-model="form" label="Counted as" :options="FORMS" />
      <label class="mb-2 block"
        ><span class="mb-0.5 block text-small text-quiet">What it is</span
        ><input v-model="what" class="field" list="counted-names" maxlength="80" autocomplete="off" /><datalist
          id="counted-names"
        >
          <option v-for="n in names" :key="n" :value="n" /></datalist
      ></label>
      <div class="grid grid-cols-2 gap-x-3">
        <TextField v-if="flat" v-model="wide" label="Wide" :hint="form === 'CLOTH' ? 'm' : 'empty: as it is sold'" />
        <TextField
          v-if="flat || form === 'CABLE'"
          v-model="long"
          :label="form === 'ROLL' ? 'Left on the roll' : form === 'CABLE' ? 'Long' : 'High'"
          hint="m"
        />
        <TextField v-if="form === 'CABLE'" v-model="area" label="Section" hint="mm²" />
        <TextField v-if="form === 'BATTERY'" v-model="wattHours" label="Watt hours" />
        <TextField v-model="count" label="How many" />
        <TextField v-model="packedIn" label="Case" hint="may stay empty" :maxlength="40" />
      </div>
    </form>
    <EarlierList
      :versions="versions?.map((v) => ({ ...v, say: `${v.was.what}: ${v.was.count}` }))"
      @back="fill(versions![$event]!.was)"
    />
    <template #buttons>
      <button v-if="item" class="button mr-auto" :disabled="busy" @click="takeOut">Count it no more</button>
      <button class="button" @click="emit('close')">Cancel</button>
      <button class="button button-main" type="submit" form="counted-form" :disabled="busy">Keep</button>
    </template>
  </BaseDialog>
</template>
