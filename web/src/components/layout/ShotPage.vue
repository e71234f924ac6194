<script setup lang="ts">
import { watch } from 'vue'
import { RouterLink } from 'vue-router'
import type { Action } from '@/lib/actions'
import { lazy } from '@/lib/lazy'
import { usePlot } from '@/stores/plot'
import { useShotEditor } from '@/stores/shotEditor'
import SlateBar from './SlateBar.vue'
import SpineButton from './SpineButton.vue'
import ViewTabs from './ViewTabs.vue'

const ConflictDialog = lazy(() => import('@/components/dialogs/ConflictDialog.vue'))

/** A page of one shot: it is opened, its slate and views stand on top, and what could not be read says so. */
const props = defineProps<{
  shotId: number
  /** The event that closed the revision to look at. */ asOf?: number
  actions?: Action[]
}>()
defineEmits<{ spine: []; camera: []; edit: [] }>()
const plot = usePlot()
const editor = useShotEditor()
watch(
  () => [props.shotId, props.asOf] as const,
  ([id, event]) => plot.open(id, event),
  { immediate: true },
)
</script>

<template>
  <div class="view">
    <SlateBar
      v-if="plot.plot?.shot.id === shotId"
      :plot="plot.plot"
      :camera="editor.camera"
      @camera="$emit('camera')"
      @edit="$emit('edit')"
      @spine="$emit('spine')"
    />
    <header v-else class="h-13 border-b border-line bg-panel p-2"><SpineButton @click="$emit('spine')" /></header>
    <ViewTabs :shot-id="shotId" :actions="actions" />
    <div v-if="plot.unreadable && plot.plot?.shot.id !== shotId" class="m-auto max-w-sm p-6 text-center">
      <p class="mb-3" role="alert">{{ plot.unreadable }}</p>
      <button class="button" @click="plot.again">Try again</button>
      <RouterLink class="button ml-2" :to="{ name: 'book' }">To the book</RouterLink>
    </div>
    <slot v-else />
    <ConflictDialog v-if="plot.conflict" />
  </div>
</template>
