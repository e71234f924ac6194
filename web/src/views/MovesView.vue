<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import SpineButton from '@/components/layout/SpineButton.vue'
import MoveBars from '@/components/carry/MoveBars.vue'
import MoveSteps from '@/components/carry/MoveSteps.vue'
import JobTimesDialog from '@/components/dialogs/JobTimesDialog.vue'
import ActionButton from '@/components/layout/ActionButton.vue'
import ConnectionState from '@/components/layout/ConnectionState.vue'
import { onPaper } from '@/lib/actions'
import { plain } from '@/lib/print'
import { useBook } from '@/stores/book'
import { useConnection } from '@/stores/connection'
import { useMoves } from '@/stores/moves'

/** The move list by itself: for a phone, to tick off; for paper, to print. */
const props = defineProps<{ from: string; to: string }>()
defineEmits<{ spine: [] }>()
const store = useMoves()
const book = useBook()
const connection = useConnection()
const router = useRouter()
const tempoOpen = ref(false)
const moves = computed(() =>
  store.moves?.from.id === props.from && store.moves.to.id === props.to ? store.moves : undefined,
)
const productionId = computed(
  () => book.shots.get(moves.value?.to.shotId ?? moves.value?.from.shotId ?? 0)?.production.production.id,
)
const done = computed(() => moves.value?.moves.filter(store.isDone).length ?? 0)

watch(
  () => [props.from, props.to] as const,
  ([from, to]) => store.open(from, to),
  { immediate: true },
)
watch(
  () => moves.value?.to.shotId,
  (id) => id && connection.viewShot(id),
)

function print() {
  window.print()
}
</script>

<template>
  <div class="view moves">
    <header class="head flex items-center gap-3 min-h-15 py-1.5 px-4 bg-panel border-b border-line">
      <SpineButton @click="$emit('spine')" />
      <div class="min-w-0 grow">
        <h1 class="truncate text-head">{{ moves ? `${moves.from.name} to ${moves.to.name}` : 'What to do' }}</h1>
        <p v-if="moves" class="truncate text-small text-quiet">
          Sc. {{ moves.to.scene.number }} {{ moves.to.scene.heading }}; {{ moves.to.description }}
        </p>
      </div>
      <ConnectionState class="no-print" />
      <div v-if="moves" class="text-right">
        <span class="figure text-head">{{ plain(moves.minutes, 1) }}</span><span class="unit">min</span
        ><span class="block text-small text-quiet">{{ done }} of {{ moves.moves.length }} done</span>
      </div>
    </header>
    <div v-if="moves" class="body flex-1 min-h-0 overflow-y-auto w-full max-w-160 my-0 mx-auto pt-3 pb-8 px-4">
      <MoveBars v-if="moves.moves.length" :moves="moves" class="max-w-75" />
      <div class="big"><MoveSteps :moves="moves" /></div>
      <p class="mt-4 text-small text-quiet">
        Times are estimates from the crew’s own table. Rigging, loads and power: the qualified people and the local code
        decide.
      </p>
      <footer class="no-print mt-4 flex flex-wrap gap-2">
        <ActionButton :action="onPaper([{ name: 'Move list', path: `/api/moves/paper?from=${from}&to=${to}` }])" />
        <button class="button" @click="print">Print</button>
        <RouterLink class="button" :to="{ name: 'compare', params: { from, to } }">Compare</RouterLink>
        <button v-if="productionId" class="button" @click="tempoOpen = true">Times…</button>
        <button class="button" @click="router.back()">Back</button>
      </footer>
      <JobTimesDialog
        v-if="productionId"
        :open="tempoOpen"
        :tempo="moves.tempo"
        :production-id="productionId"
        @close="tempoOpen = false"
      />
    </div>
    <p v-if="store.problem" role="alert" class="p-4">
      {{ store.problem }} <button class="button ml-2" @click="store.again">Try again</button>
    </p>
    <p v-else-if="!moves" class="m-auto text-quiet">Working out what to do…</p>
  </div>
</template>
