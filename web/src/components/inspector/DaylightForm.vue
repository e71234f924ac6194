<script setup lang="ts">
import { ref, watch } from 'vue'
import { sentence } from '@/api/client'
import { held, value, type Placed, type Values } from '@/api/types'
import { usePlot } from '@/stores/plot'
import CarryThread from './CarryThread.vue'

/** Daylight at a window, as it was metered, and the time the shot is lit for. */
const props = defineProps<{ placed: Placed }>()
const plot = usePlot()
const form = ref({ sky: '', sun: '', metered: '', at: '' })
const error = ref('')

function local(instant: string | undefined) {
  if (!instant) return ''
  const date = new Date(instant)
  return new Date(date.getTime() - date.getTimezoneOffset() * 60000).toISOString().slice(0, 16)
}

watch(
  () => value(props.placed, 'DAYLIGHT'),
  (d) => {
    form.value = {
      sky: String(d?.skyLux ?? ''),
      sun: String(d?.sunLux ?? ''),
      metered: local(d?.meteredAt),
      at: local(d?.at),
    }
  },
  { immediate: true },
)

async function keep() {
  const instant = (text: string) => (text ? new Date(text).toISOString() : undefined)
  const daylight: Values['DAYLIGHT'] = {
    skyLux: Number(form.value.sky.replace(',', '.')),
    sunLux: Number(form.value.sun.replace(',', '.')),
    meteredAt: instant(form.value.metered),
    at: instant(form.value.at),
  }
  if (Number.isNaN(daylight.skyLux) || Number.isNaN(daylight.sunLux)) {
    error.value = 'Give the light in lux, as figures.'
    return
  }
  try {
    await plot.edit(props.placed.placement.key, 'DAYLIGHT', { value: daylight })
    error.value = ''
  } catch (failure) {
    error.value = plot.conflict ? '' : sentence(failure)
  }
}
</script>

<template>
  <section class="flex" data-attribute="DAYLIGHT">
    <CarryThread
      :held="held(placed, 'DAYLIGHT')"
      :based="plot.based"
      :locked="plot.locked"
      label="Daylight"
      @untie="plot.drop(placed.placement.key, 'DAYLIGHT', null)"
    />
    <form class="grid min-w-0 grow gap-1 pl-1" @submit.prevent="keep" @change="keep">
      <h3 class="group-title">Daylight, as metered</h3>
      <label class="row"
        ><span>sky on the pane, lux</span
        ><input v-model="form.sky" class="field figure" inputmode="decimal" :disabled="plot.locked"
      /></label>
      <label class="row"
        ><span>sun, turned to it, lux</span
        ><input v-model="form.sun" class="field figure" inputmode="decimal" :disabled="plot.locked"
      /></label>
      <label class="row"
        ><span>metered at</span
        ><input v-model="form.metered" class="field" type="datetime-local" :disabled="plot.locked"
      /></label>
      <label class="row"
        ><span>lit for</span><input v-model="form.at" class="field" type="datetime-local" :disabled="plot.locked"
      /></label>
      <p v-if="error" role="alert" class="text-[12px]">{{ error }}</p>
      <p class="text-[11px] text-quiet">
        A clear sky is taken (model). The sun needs the set’s place on the earth: draw the set.
      </p>
    </form>
  </section>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 1fr 150px;
  gap: 8px;
  align-items: center;
}
.row .field {
  text-align: right;
}
</style>
