<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { answer, api } from '@/api/client'
import { outdate } from '@/api/reads'
import type { Stock } from '@/api/types'
import { readFigures } from '@/lib/figures'
import { useSubmit } from '@/lib/useSubmit'
import { STOCK_KINDS } from '@/lib/words'
import BaseDialog from './BaseDialog.vue'
import ChoiceField from './ChoiceField.vue'
import TextField from './TextField.vue'

/** An item of the stock: its nominal figures, or the crew's own. */
const props = defineProps<{ open: boolean; item?: Stock }>()
const emit = defineEmits<{ close: [] }>()

const kind = ref<Stock['kind']>('COLOUR')
const name = ref('')
const heat = ref('')
const figures = ref({ stops: '', mired: '', duv: '', soft: '', back: '', narrows: '', red: '', green: '', blue: '' })
const { busy, error, submit } = useSubmit()
const reflects = computed(() => kind.value === 'BOUNCE' || kind.value === 'BLACK')

watch(
  () => props.open,
  () => {
    const at = (figure: number | undefined) => String(figure ?? 0)
    const { item } = props
    error.value = ''
    kind.value = item?.kind ?? 'COLOUR'
    name.value = item?.name ?? ''
    heat.value = item?.heat ?? ''
    figures.value = {
      stops: at(item?.stops),
      mired: at(item?.miredShift),
      duv: at(item?.duvShift),
      soft: at(item?.softness),
      back: at(item?.reflectance),
      narrows: at(item?.narrowsToDeg ?? 30),
      red: at(item?.gel?.red ?? 1),
      green: at(item?.gel?.green ?? 1),
      blue: at(item?.gel?.blue ?? 1),
    }
  },
  { immediate: true },
)

function keep() {
  void submit(async () => {
    const f = figures.value
    const asked = (text: string, of: string) => ({ kind: 'NUMBER' as const, text, of })
    const [stops, mired, duv, soft, back, narrows, red, green, blue] = (await readFigures(
      asked(f.stops, 'Light it costs'),
      asked(f.mired, 'Shift'),
      asked(f.duv, 'Tint'),
      asked(f.soft, 'Softness'),
      asked(f.back, 'Reflectance'),
      asked(f.narrows, 'Beam it leaves'),
      asked(f.red, 'Red'),
      asked(f.green, 'Green'),
      asked(f.blue, 'Blue'),
    )) as [number, number, number, number, number, number, number, number, number]
    const body: Stock = {
      name: name.value,
      kind: kind.value,
      stops,
      miredShift: mired,
      duvShift: duv,
      softness: soft,
      reflectance: reflects.value ? back : undefined,
      heat: heat.value || undefined,
      gel: kind.value === 'COLOUR' ? { red, green, blue } : undefined,
      narrowsToDeg: kind.value === 'GRID' ? narrows : undefined,
    }
    await answer(api.POST('/api/kit/stock', { body }))
    await outdate({ topics: ['KIT'] })
    emit('close')
  })
}

function takeOut() {
  void submit(async () => {
    await answer(api.DELETE('/api/kit/stock', { params: { query: { name: props.item!.name } } }))
    await outdate({ topics: ['KIT'] })
    emit('close')
  })
}
</script>

<template>
  <BaseDialog :open="open" :title="item ? item.name : 'New in the stock'" :error="error" @close="emit('close')">
    <form id="stock-form" @submit.prevent="keep">
      <TextField v-model="name" label="What it is called" hint="one for each item" :maxlength="60" />
      <ChoiceField v-model="kind" label="What it is used for" :options="STOCK_KINDS" />
      <div class="grid grid-cols-2 gap-x-2">
        <TextField v-model="figures.stops" label="Light it costs, stops" />
        <TextField v-model="figures.mired" label="Shift, mired" hint="+ is warmer" />
        <TextField v-model="figures.duv" label="Tint, Duv" hint="+ is green" />
        <TextField v-model="figures.soft" label="Softness" hint="0 clear, 1 even" />
        <TextField v-if="reflects" v-model="figures.back" label="Comes back" hint="0 to 1" />
        <TextField v-if="kind === 'GRID'" v-model="figures.narrows" label="Beam it leaves" hint="degrees" />
      </div>
      <div v-if="kind === 'COLOUR'" class="grid grid-cols-3 gap-x-2">
        <TextField v-model="figures.red" label="Red through" hint="0 to 1" />
        <TextField v-model="figures.green" label="Green" hint="0 to 1" />
        <TextField v-model="figures.blue" label="Blue" hint="0 to 1" />
      </div>
      <TextField v-model="heat" label="What to mind near a hot lamp" hint="may stay empty" />
      <p class="text-small text-quiet">
        What hangs already keeps the figures it was hung with. One of the same name takes the place of what ships.
      </p>
    </form>
    <template #buttons>
      <button v-if="item?.own" class="button mr-auto" :disabled="busy" @click="takeOut">Take ours out</button>
      <button class="button" @click="emit('close')">Cancel</button>
      <button class="button button-main" :disabled="busy" type="submit" form="stock-form">Keep</button>
    </template>
  </BaseDialog>
</template>
