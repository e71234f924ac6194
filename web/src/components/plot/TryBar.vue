<script setup lang="ts">
import { ref } from 'vue'
import { sentence } from '@/api/client'
import ReasonPicker from '@/components/inspector/ReasonPicker.vue'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import { useLight } from '@/stores/light'
import { usePlot } from '@/stores/plot'
import { useSettings } from '@/stores/settings'

/** Changes that are tried: the record and each try beside it, to look at, compare, keep or throw away. */
const plot = usePlot()
const light = useLight()
const settings = useSettings()
defineEmits<{ compare: [] }>()

const keeping = ref(false)
const error = ref('')

function choose(i: number | undefined) {
  light.showRecord = false
  light.active = i
}

async function keep() {
  try {
    await light.keep()
    keeping.value = false
    error.value = ''
  } catch (failure) {
    error.value = sentence(failure)
  }
}
</script>

<template>
  <div
    class="flex flex-wrap gap-1.5 items-center py-1.25 px-3.5 border-b border-dashed border-quiet"
    role="group"
    aria-label="Tries"
  >
    <button
      class="chip min-h-7 py-0.5 px-3 border border-line rounded-mark pointer-coarse:min-h-11"
      :class="{ here: light.active === undefined }"
      :aria-pressed="light.active === undefined"
      @click="choose(undefined)"
    >
      Record
    </button>
    <button
      v-for="(t, i) in light.trials"
      :key="t.name"
      class="chip min-h-7 py-0.5 px-3 border border-line rounded-mark pointer-coarse:min-h-11 tried"
      :class="{ here: light.active === i }"
      :aria-pressed="light.active === i"
      @click="choose(i)"
    >
      Try {{ t.name }} <span class="text-quiet">{{ t.changes.length + t.holds.length }}</span>
    </button>
    <button class="button" :disabled="light.trials.length >= 8" @click="light.begin">Another try</button>
    <button
      v-if="light.trying"
      class="button"
      :aria-pressed="light.showRecord"
      @click="light.showRecord = !light.showRecord"
    >
      {{ light.showRecord ? 'Showing the record' : 'Look at the record' }}
    </button>
    <span v-if="light.trying && !light.trial!.changes.length" class="text-quiet">Move, type or say something.</span>
    <span class="grow" />
    <button class="button" @click="$emit('compare')">Compare</button>
    <template v-if="light.trying">
      <button class="button" @click="light.drop(light.active!)">Throw away</button>
      <button
        class="button button-main"
        :disabled="!light.trial!.changes.length || plot.locked"
        @click="keeping = true"
      >
        Keep try {{ light.trial!.name }}
      </button>
    </template>
    <BaseDialog :open="keeping" :title="`Keep try ${light.trial?.name ?? ''}`" :error="error" @close="keeping = false">
      <ReasonPicker v-if="plot.based" />
      <label v-else class="block"
        ><span class="text-small text-quiet">Why this one; it stays with the record</span
        ><input v-model="plot.note" class="field" maxlength="500"
      /></label>
      <ul class="mt-3">
        <li v-for="c in light.answer?.changes ?? []" :key="c.placement + c.attribute">
          <b class="font-strong">{{ c.name }}</b> {{ c.label }}
          <template v-if="c.before"
            ><span class="figure">{{ settings.printed(c.before) }}</span> to </template
          ><span class="figure">{{ settings.printed(c.after) }}</span>
        </li>
      </ul>
      <template #buttons>
        <button class="button" @click="keeping = false">Not yet</button>
        <button class="button button-main" @click="keep">Keep it</button>
      </template>
    </BaseDialog>
  </div>
</template>

<style scoped>
.chip.tried {
  border-style: dashed;
  border-color: var(--quiet);
}
.chip.here {
  border-color: var(--accent);
  font-weight: var(--font-weight-strong);
}
</style>
