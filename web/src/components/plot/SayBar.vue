<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import { answer, api } from '@/api/client'
import type { ParsedLine } from '@/api/types'
import KnotMark from '@/components/marks/KnotMark.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { fixed, plain } from '@/lib/print'
import { tenths } from '@/lib/stops'
import { useLatest } from '@/lib/useLatest'
import { useSubmit } from '@/lib/useSubmit'
import { REASONS } from '@/lib/words'
import { useLight } from '@/stores/light'
import { usePlot } from '@/stores/plot'
import { useSettings } from '@/stores/settings'

/** One line takes what a gaffer would call out. It says what it understood; nothing is written until it is kept. */
const plot = usePlot()
const light = useLight()
const settings = useSettings()

const text = ref('')
const heard = ref<ParsedLine>()
const { error, submit } = useSubmit()
const input = ref<HTMLInputElement>()

const problem = computed(() => heard.value?.problems[0])
const told = computed(() => (heard.value && !problem.value ? light.passed : []))
const holds = computed(() => light.answer?.holds.filter((h) => heard.value?.holds.includes(h.placement)) ?? [])
const ready = computed(
  () => !!heard.value && !problem.value && told.value.length > 0 && light.settled && !light.refused,
)
const pieces = computed(() => {
  const p = problem.value
  if (!p) return undefined
  const from = Math.min(p.from, text.value.length)
  return { before: text.value.slice(0, from), wrong: text.value.slice(from, p.to), after: text.value.slice(p.to) }
})

const latest = useLatest({
  send: (text: string) =>
    answer(api.POST('/api/shots/{shotId}/say', { params: { path: { shotId: plot.plot!.shot.id } }, body: { text } })),
  onAnswer: (answer) => {
    heard.value = answer
    error.value = ''
    if (answer.problems.length) light.withdraw()
    else light.propose(answer.changes, answer.holds)
  },
  onRefused: (refusal) => (error.value = refusal.message),
})

watch(text, (line) => {
  if (line.trim()) latest.ask(line)
  else clear()
})
watch(() => plot.plot?.shot.id, clear)

function clear() {
  latest.stop()
  text.value = ''
  heard.value = undefined
  error.value = ''
  light.withdraw()
}

function keep() {
  if (!ready.value) return
  if (light.trying) return tryFirst()
  void submit(async () => {
    await plot.recordAll(told.value)
    clear()
  })
}

function tryFirst() {
  if (!ready.value || !heard.value) return
  light.put(heard.value.changes, heard.value.holds)
  clear()
}

async function suggest(word: string) {
  const p = problem.value!
  const from = Math.min(p.from, text.value.length)
  const gap = from && !text.value.slice(0, from).endsWith(' ') ? ' ' : ''
  text.value = text.value.slice(0, from) + gap + word + text.value.slice(p.to)
  await nextTick()
  input.value?.focus()
}

function onKey(event: KeyboardEvent) {
  if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) tryFirst()
  else if (event.key === 'Enter') void keep()
  else if (event.key === 'Escape' && text.value) clear()
  else return
  event.preventDefault()
  event.stopPropagation()
}

defineExpose({ focus: () => input.value?.focus() })
</script>

<template>
  <section class="say min-h-19 pt-2 pb-1.5 px-3.5 border-t border-line bg-ground" aria-label="Say it">
    <div class="flex gap-2 items-center phone:flex-wrap">
      <label for="say-it" class="text-quiet">Say it</label>
      <input
        id="say-it"
        ref="input"
        v-model="text"
        class="entry flex-1 min-w-20 min-h-8 px-1.5 bg-transparent text-title border-0 text-ink pointer-coarse:min-h-11"
        :disabled="plot.locked"
        autocomplete="off"
        spellcheck="false"
        :placeholder="plot.locked ? 'Not to be edited here' : 'key 45% 4300, edge down 1 stop'"
        :aria-invalid="!!problem"
        aria-describedby="say-echo"
        @keydown="onKey"
      />
      <template v-if="text">
        <select
          v-if="plot.based && !light.trying"
          v-model="plot.reason"
          class="field reason w-auto"
          aria-label="Why it changes"
        >
          <option v-for="r in REASONS" :key="r.key" :value="r.key">{{ r.name }}</option>
        </select>
        <button class="button" :class="{ 'button-main': ready }" :disabled="!ready" @click="keep">
          {{ light.trying ? 'Into the try' : 'Keep' }} <kbd>Enter</kbd>
        </button>
        <button v-if="!light.trying" class="button" :disabled="!ready" @click="tryFirst">
          Try first <kbd>Ctrl Enter</kbd>
        </button>
        <button class="button" @click="clear">Not that <kbd>Esc</kbd></button>
      </template>
    </div>
    <div
      id="say-echo"
      class="flex flex-wrap items-baseline gap-y-0.5 gap-x-4 min-h-6 max-h-16.5 overflow-y-auto text-small"
      role="status"
    >
      <template v-if="problem && pieces">
        <WedgeMark />
        <span class="wrong"
          >{{ pieces.before }}<mark>{{ pieces.wrong || '…' }}</mark
          >{{ pieces.after }}</span
        >
        <span>{{ problem.sentence }}</span>
        <button
          v-for="s in problem.suggestions"
          :key="s"
          class="suggestion px-2 border border-line rounded-mark"
          @click="suggest(s)"
        >
          {{ s }}
        </button>
      </template>
      <template v-else-if="error || (text && light.refused)"
        ><WedgeMark act /><span>{{ error || light.refused }}</span></template
      >
      <template v-else-if="heard">
        <span v-for="c in told" :key="c.placement + c.attribute" class="told inline-flex flex-wrap items-baseline gap-1"
          ><KnotMark /><b>{{ c.name }}</b> {{ c.label }}
          <template v-if="c.before"
            ><span class="figure">{{ settings.printed(c.before) }}</span> to </template
          ><span class="figure">{{ settings.printed(c.after) }}</span></span
        >
        <span v-for="h in holds" :key="h.placement" class="told inline-flex flex-wrap items-baseline gap-1">
          <template v-if="h.reachable"
            >{{ tenths(h.changeStops) }} stops, held at <span class="figure">{{ plain(h.levelPercent, 1) }} %</span>;
            {{ fixed(h.sizeFromDeg, 1) }}° to {{ fixed(h.sizeToDeg, 1) }}° as {{ h.mark }} sees it</template
          >
          <template v-else
            ><WedgeMark act />{{ h.name }} is short by {{ tenths(h.shortStops).replace('+', '') }} stop.
            {{ h.offers.map(settings.printed).join(', or ') }}</template
          >
        </span>
        <span v-if="!told.length && !problem" class="text-quiet">That is how it is already.</span>
      </template>
      <span v-else class="text-quiet"
        >Names, then what changes: level, stops up or down, kelvin, gels, distance, height, on, off, hold. Commas
        between.</span
      >
    </div>
  </section>
</template>

<style scoped>
.entry:focus-visible {
  outline-offset: -2px;
  outline-width: 1px;
}
.entry::placeholder {
  color: var(--quiet);
}
kbd {
  font: 400 var(--text-fine) var(--font-mono);
  opacity: 0.75;
}
.wrong mark {
  background: none;
  color: var(--ink);
  text-decoration: underline wavy var(--ink);
  text-underline-offset: 3px;
}
.suggestion:hover {
  border-color: var(--quiet);
}
@media (width < 800px) {
  kbd {
    display: none;
  }
}
</style>
