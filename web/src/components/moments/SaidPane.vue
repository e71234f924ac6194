<script setup lang="ts">
import { computed, ref } from 'vue'
import { RouterLink } from 'vue-router'
import { held, value, type Placed } from '@/api/types'
import CarryThread from '@/components/inspector/CarryThread.vue'
import ChoiceRow from '@/components/inspector/ChoiceRow.vue'
import ReasonPicker from '@/components/inspector/ReasonPicker.vue'
import ThingMenu from '@/components/inspector/ThingMenu.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { usePlot } from '@/stores/plot'
import { useSettings } from '@/stores/settings'
import { useShotEditor } from '@/stores/shotEditor'
import ConditionDialog from './ConditionDialog.vue'
import CueDialog from './CueDialog.vue'

/** A condition of the place, or a cue, that is selected. */
const props = defineProps<{ placed: Placed }>()
const plot = usePlot()
const editor = useShotEditor()
const settings = useSettings()
const changing = ref(false)
const attribute = computed(() => (props.placed.placement.kind === 'CUE' ? 'CUE' : 'CONDITION'))
const now = computed(() => held(props.placed, attribute.value))
const states = [
  { key: 'ON' as const, name: 'holds' },
  { key: 'STRUCK' as const, name: 'not in this shot' },
]
</script>

<template>
  <div class="grid grid-cols-[minmax(0,1fr)] gap-2">
    <header class="flex items-center gap-3 border-b border-line pb-2">
      <div class="min-w-0">
        <h2 class="text-head leading-7">{{ placed.placement.name }}</h2>
        <p class="text-quiet">{{ placed.placement.piece.what }}</p>
      </div>
      <ThingMenu :placed="placed" />
    </header>
    <p v-for="c in placed.cautions" :key="c" class="text-small" role="note">
      <WedgeMark act class="mr-1 inline" />{{ c }}
    </p>
    <ReasonPicker />
    <ChoiceRow
      :placed="placed"
      attribute="STANDING"
      label="in this shot"
      :options="states"
      :chosen="value(placed, 'STANDING')?.state ?? 'STRUCK'"
      @choose="editor.put(placed.placement.key, 'STANDING', { value: { state: $event } })"
    />
    <div v-if="now" class="flex" :data-attribute="attribute">
      <CarryThread
        :held="now"
        :based="plot.based"
        :locked="plot.locked"
        :label="placed.placement.name"
        @untie="editor.put(placed.placement.key, attribute, null)"
      />
      <p class="min-w-0 grow pl-1">{{ settings.printed(now.say) }}</p>
    </div>
    <button v-if="!plot.locked" class="button justify-self-start" @click="changing = true">Change…</button>
    <RouterLink
      class="border-t border-line pt-2 text-small underline"
      :to="{ name: 'log', params: { id: plot.plot!.shot.id }, query: { of: placed.placement.key } }"
      >History, notes and photographs of {{ placed.placement.name }}</RouterLink
    >
    <CueDialog v-if="attribute === 'CUE'" :open="changing" :placed="placed" @close="changing = false" />
    <ConditionDialog v-else :open="changing" :placed="placed" @close="changing = false" />
  </div>
</template>
