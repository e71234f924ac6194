<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Piece, Placed } from '@/api/types'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import UnitField from '@/components/kit/UnitField.vue'
import SizeFields from '@/components/fields/SizeFields.vue'
import KindList, { type Known } from '@/components/walk/KindList.vue'
import { useSubmit } from '@/lib/useSubmit'
import { hasOwnSize } from '@/lib/words'
import { usePlot } from '@/stores/plot'
import { useShotEditor } from '@/stores/shotEditor'

/** Another unit, tag or size from this shot on. What was shot before keeps what stood there then. */
const props = defineProps<{ placed: Placed; open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const plot = usePlot()
const editor = useShotEditor()
const { busy, error, submit } = useSubmit()

const piece = ref<Piece>()
const unit = ref('')
const wide = ref('')
const high = ref('')
const choosing = ref(false)
const placement = computed(() => props.placed.placement)

watch(
  () => props.open,
  () => {
    piece.value = placement.value.piece
    unit.value = piece.value.unit ?? ''
    wide.value = high.value = error.value = ''
    choosing.value = false
  },
  { immediate: true },
)

function choose(kind: Known) {
  piece.value = kind.piece
  unit.value = wide.value = high.value = ''
  choosing.value = false
}

function keep() {
  const exchange = {
    piece: { ...piece.value!, unit: unit.value || undefined },
    wide: wide.value || undefined,
    high: high.value || undefined,
  }
  void submit(async () => {
    await editor.edit(placement.value.key, 'UNIT', { exchange })
    emit('close')
  })
}
</script>

<template>
  <BaseDialog :open="open" :title="`What stands there as ${placement.name}`" :error="error" @close="emit('close')">
    <KindList v-if="choosing" :things="plot.plot?.placements ?? []" :of="placement.kind" @pick="choose" />
    <form v-else id="exchange-form" @submit.prevent="keep">
      <div class="mb-2 flex items-center gap-2">
        <b class="min-w-0 grow font-strong">{{ piece?.what }}</b>
        <button type="button" class="button" @click="choosing = true">Another kind…</button>
      </div>
      <UnitField v-model="unit" :shot-id="plot.plot?.shot.id" :what="piece?.what" :open="open" />
      <SizeFields v-if="hasOwnSize(placement.kind)" v-model:wide="wide" v-model:high="high" />
      <p class="text-small text-quiet">
        Holds from this shot on and carries. Shots before it keep what stood there; place, aim and level stay as they
        are where the unit can do them.
      </p>
    </form>
    <template #buttons>
      <button class="button" @click="emit('close')">Cancel</button>
      <button v-if="!choosing" class="button button-main" :disabled="busy" type="submit" form="exchange-form">
        Exchange
      </button>
    </template>
  </BaseDialog>
</template>
