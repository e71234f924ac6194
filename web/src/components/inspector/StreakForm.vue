<script setup lang="ts">
import { computed } from 'vue'
import { held, value, type Placed, type Values } from '@/api/types'
import FigureField from '@/components/fields/FigureField.vue'
import { useValueEdit } from '@/lib/useValueEdit'
import { usePlot } from '@/stores/plot'
import { useSettings } from '@/stores/settings'
import { useShotEditor } from '@/stores/shotEditor'
import CarryThread from './CarryThread.vue'

/** Sun that lay on a mark, as it is on record. When it lay there is said where the sun is looked at. */
const props = defineProps<{ placed: Placed; streak: Values['STREAK'] }>()
const plot = usePlot()
const editor = useShotEditor()
const settings = useSettings()
const say = computed(() => held(props.placed, 'STREAK')?.say)
const { error, keep } = useValueEdit()
const change = (sunLux: number | undefined) =>
  void keep(props.placed.placement.key, 'STREAK', { value: { ...value(props.placed, 'STREAK')!, sunLux } })
</script>

<template>
  <section class="flex" data-attribute="STREAK">
    <CarryThread
      :held="held(placed, 'STREAK')"
      :based="plot.based"
      :locked="plot.locked"
      label="Sun here"
      @untie="editor.put(placed.placement.key, 'STREAK', null)"
    />
    <div class="grid min-w-0 grow gap-1 pl-1">
      <h3 class="group-title">Sun lay here</h3>
      <p v-if="say" class="figure">{{ settings.printed(say) }}</p>
      <div class="figure-row">
        <FigureField
          label="sun alone, turned to it"
          kind="LIGHT"
          :value="streak.sunLux"
          when-empty="not metered"
          :disabled="plot.locked"
          @read="change"
        />
      </div>
      <p v-if="error" role="alert" class="text-small">{{ error }}</p>
      <p class="text-fine text-quiet">“Sun” under the plan shows where it stood, and makes it again with a head.</p>
    </div>
  </section>
</template>
