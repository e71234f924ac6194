<script setup lang="ts">
import { computed } from 'vue'
import { held, value, type Placed, type Values } from '@/api/types'
import FigureField from '@/components/fields/FigureField.vue'
import { useValueEdit } from '@/lib/useValueEdit'
import { usePlot } from '@/stores/plot'
import { useShotEditor } from '@/stores/shotEditor'
import CarryThread from './CarryThread.vue'

/** Daylight at a window, as it was metered, and the time the shot is lit for. */
const props = defineProps<{ placed: Placed }>()
const plot = usePlot()
const editor = useShotEditor()
const daylight = computed(() => value(props.placed, 'DAYLIGHT'))
const { error, keep } = useValueEdit()

/** An instant as the field of the browser takes it, in this device's time. */
function local(instant: string | undefined) {
  if (!instant) return ''
  const date = new Date(instant)
  return new Date(date.getTime() - date.getTimezoneOffset() * 60000).toISOString().slice(0, 16)
}
function instant(event: Event) {
  const { value: text } = event.target as HTMLInputElement
  return text ? new Date(text).toISOString() : undefined
}

function change(part: Partial<Values['DAYLIGHT']>) {
  const now = daylight.value ?? { skyLux: 0, sunLux: 0 }
  void keep(props.placed.placement.key, 'DAYLIGHT', { value: { ...now, ...part } })
}
</script>

<template>
  <section class="flex" data-attribute="DAYLIGHT">
    <CarryThread
      :held="held(placed, 'DAYLIGHT')"
      :based="plot.based"
      :locked="plot.locked"
      label="Daylight"
      @untie="editor.put(placed.placement.key, 'DAYLIGHT', null)"
    />
    <div class="grid min-w-0 grow gap-1 pl-1">
      <h3 class="group-title">Daylight, as metered</h3>
      <div class="figure-row">
        <FigureField
          label="sky on the pane"
          kind="LIGHT"
          :value="daylight?.skyLux"
          :disabled="plot.locked"
          @read="change({ skyLux: $event })"
        />
        <FigureField
          label="sun, turned to it"
          kind="LIGHT"
          :value="daylight?.sunLux"
          :disabled="plot.locked"
          @read="change({ sunLux: $event })"
        />
      </div>
      <label class="row grid grid-cols-[1fr_150px] gap-2 items-center"
        ><span>metered at</span
        ><input
          class="field"
          type="datetime-local"
          :value="local(daylight?.meteredAt)"
          :disabled="plot.locked"
          @change="change({ meteredAt: instant($event) })"
      /></label>
      <label class="row grid grid-cols-[1fr_150px] gap-2 items-center"
        ><span>lit for</span
        ><input
          class="field"
          type="datetime-local"
          :value="local(daylight?.at)"
          :disabled="plot.locked"
          @change="change({ at: instant($event) })"
      /></label>
      <p v-if="error" role="alert" class="text-small">{{ error }}</p>
      <p class="text-fine text-quiet">
        A clear sky is taken (model). The sun needs the set’s place on the earth: draw the set.
      </p>
    </div>
  </section>
</template>

<style scoped>
.row .field {
  text-align: right;
}
</style>
