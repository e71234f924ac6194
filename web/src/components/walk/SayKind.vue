<script setup lang="ts">
import type { Placed } from '@/api/types'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import { useSubmit } from '@/lib/useSubmit'
import { usePlot } from '@/stores/plot'
import KindList, { type Known } from './KindList.vue'

/** Which kind of unit a thing is, of which nobody had said that. */
const props = defineProps<{ thing?: Placed; things: Placed[] }>()
const emit = defineEmits<{ close: [] }>()
const plot = usePlot()
const { error, submit } = useSubmit()

function say({ piece }: Known) {
  void submit(async () => {
    await plot.describe(props.thing!.placement.key, { piece })
    emit('close')
  })
}
</script>

<template>
  <BaseDialog :open="!!thing" :title="`Which kind is ${thing?.placement.name}?`" :error="error" @close="emit('close')">
    <KindList v-if="thing" :things="things" :of="thing.placement.kind" @pick="say" />
    <template #buttons><button class="button min-h-11" @click="emit('close')">Not now</button></template>
  </BaseDialog>
</template>
