<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { answer, api, ApiError, sentence } from '@/api/client'
import type { Meter, ParsedReading } from '@/api/types'
import StopsText from '@/components/marks/StopsText.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { signed } from '@/lib/print'
import { useLatest } from '@/lib/useLatest'
import { useOutbox } from '@/stores/outbox'
import { useSettings } from '@/stores/settings'
import TapPad from './TapPad.vue'

/** A reading in one line, typed or tapped; it says what it understood before it is kept. */
const props = defineProps<{ meter: Meter }>()
const emit = defineEmits<{ kept: [meter: Meter | undefined] }>()
const line = defineModel<string>('line', { required: true })
const mark = defineModel<string>('mark')
const settings = useSettings()
const outbox = useOutbox()

const understood = ref<ParsedReading>()
const refused = ref('')
const doubt = ref('')
const tapping = ref(false)
const field = ref<HTMLInputElement>()
const body = computed(() => ({ line: line.value, mark: mark.value, run: props.meter.run, sure: false }))

const latest = useLatest({
  send: (asked: typeof body.value) =>
    answer(
      api.POST('/api/shots/{shotId}/readings/read', { params: { path: { shotId: props.meter.shotId } }, body: asked }),
    ),
  onAnswer: (answer) => {
    understood.value = answer
    refused.value = ''
  },
  onRefused: (refusal) => {
    understood.value = undefined
    refused.value = refusal.message
  },
})
watch([line, mark], () => {
  doubt.value = ''
  understood.value = undefined
  refused.value = ''
  if (line.value.trim()) latest.ask(body.value)
})

async function keep(sure: boolean) {
  if (!line.value.trim()) return
  try {
    const now = await outbox.send(
      { kind: 'reading', shotId: props.meter.shotId, body: { ...body.value, sure } },
      `Reading ${line.value}, ${props.meter.slate}`,
    )
    line.value = ''
    doubt.value = ''
    emit('kept', now)
    field.value?.focus()
  } catch (failure) {
    if (failure instanceof ApiError && failure.field === 'sure') doubt.value = failure.message
    else refused.value = sentence(failure)
  }
}

defineExpose({ focus: () => field.value?.focus() })
</script>

<template>
  <form class="py-3 px-4 border-b border-line" @submit.prevent="keep(false)">
    <div class="flex gap-2">
      <select v-if="meter.marks.length > 1" v-model="mark" class="field !w-auto" aria-label="Mark">
        <option v-for="m in meter.marks" :key="m.key" :value="m.key">{{ m.name }}</option>
      </select>
      <input
        ref="field"
        v-model="line"
        class="field say text-title min-h-9"
        aria-label="Reading"
        maxlength="200"
        autocomplete="off"
        placeholder="key alone T4 1/3, 4300 K +0.002"
      />
      <button class="button" type="button" :aria-pressed="tapping" @click="tapping = !tapping">Tap</button>
      <button class="button button-main" type="submit" :disabled="!line.trim()">Keep</button>
    </div>
    <TapPad v-if="tapping" v-model="line" :lights="meter.lights" class="mt-2" />
    <p class="min-h-10 mt-1.5 text-quiet" aria-live="polite">
      <template v-if="doubt"
        ><WedgeMark act class="mr-1 inline" /> {{ doubt }}
        <button class="button ml-2" type="button" @click="keep(true)">Keep it, it is so</button></template
      >
      <template v-else-if="refused"><WedgeMark class="mr-1 inline" /> {{ refused }}</template>
      <template v-else-if="understood">
        {{ understood.light ? `${understood.light} alone` : 'all lights' }}, {{ understood.mark }}:
        <b class="font-strong"><StopsText :text="settings.printed(understood.words)" /></b>
        <template v-if="understood.solo?.kStops !== undefined"
          >; {{ signed(understood.solo.kStops, 1) }} stop against the prediction</template
        >
        <template v-for="b in understood.beside" :key="b.what">; {{ b.what }} {{ signed(b.stops, 1) }}</template>
        <template v-if="understood.solo?.mired !== undefined">, {{ signed(understood.solo.mired, 0) }} mired</template>
        <span v-for="r in understood.ratios" :key="r" class="block">{{ r }}</span>
        <span v-if="understood.solo?.likely.length" class="block"
          >likely: {{ understood.solo.likely.join('; or ') }}</span
        >
      </template>
      <template v-else
        >One light: its name, then what is read towards it (or <i>to the lens</i>). All lights: stop, then
        <i>shadow</i>, <i>background</i>, <i>back left</i>, <i>to the key</i>, <i>on the papers</i>; <i>lit 54</i> for
        the monitor.</template
      >
    </p>
  </form>
</template>
