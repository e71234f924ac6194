<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import { answer, api } from '@/api/client'
import type { ParsedLine, PlanPoint } from '@/api/types'
import KnotMark from '@/components/marks/KnotMark.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { fixed, plain } from '@/lib/print'
import { tenths } from '@/lib/stops'
import { besides, changesOf, keepBesides, saysMore } from '@/lib/said'
import { useLatest } from '@/lib/useLatest'
import { useLineHistory } from '@/lib/useLineHistory'
import { useSubmit } from '@/lib/useSubmit'
import { REASONS } from '@/lib/words'
import { useLight } from '@/stores/light'
import { usePlot } from '@/stores/plot'
import { useSettings } from '@/stores/settings'
import SayChoices from './SayChoices.vue'
import SayExamples from './SayExamples.vue'

/** One line takes what a gaffer would call out. It says what it understood; nothing is written until it is kept. */
const plot = usePlot()
const light = useLight()
const settings = useSettings()

const props = defineProps<{
  /** Where something is placed of which no place is said. */ middle: PlanPoint
}>()

const text = ref('')
const heard = ref<{ text: string; line: ParsedLine }>()
const { error, submit } = useSubmit()
const input = ref<HTMLInputElement>()
const choices = ref<InstanceType<typeof SayChoices>>()
const helping = ref(false)
/** Enter was pressed before the answer was there. */
const wanted = ref<'keep' | 'try'>()
/** What was named last: what “it” is when nothing is selected. */
const last = ref<string>()
const before = useLineHistory()

const line = computed(() => heard.value?.line)
const ask = computed(() => line.value?.asks[0])
const problem = computed(() => (ask.value ? undefined : line.value?.problems[0]))
const understood = computed(() => !!line.value && !problem.value && !ask.value)
const more = computed(() => (line.value && understood.value ? besides(line.value, nameOf) : []))
const told = computed(() => (understood.value ? light.passed : []))
const holds = computed(() => light.answer?.holds.filter((h) => line.value?.holds.includes(h.placement)) ?? [])
const current = computed(() => heard.value?.text === text.value)
const settled = computed(() => current.value && light.settled && !light.refused)
const ready = computed(
  () => understood.value && (told.value.length ? settled.value : current.value && more.value.length > 0),
)
const pieces = computed(() => {
  const p = problem.value
  if (!p) return undefined
  const from = Math.min(p.from, text.value.length)
  return { before: text.value.slice(0, from), wrong: text.value.slice(from, p.to), after: text.value.slice(p.to) }
})
function find(key: string | undefined) {
  return plot.plot?.placements.find((p) => p.placement.key === key)
}
const nameOf = (key: string) => find(key)?.placement.name ?? key

const latest = useLatest({
  send: async (text: string) => ({
    text,
    line: await answer(
      api.POST('/api/shots/{shotId}/say', {
        params: { path: { shotId: plot.plot!.shot.id } },
        body: { text, about: plot.selected ?? last.value },
      }),
    ),
  }),
  onAnswer: (answer) => {
    heard.value = answer
    error.value = ''
    if (!understood.value) {
      if (current.value && wanted.value && ask.value) void nextTick(() => choices.value?.focus())
      if (current.value) wanted.value = undefined
      light.withdraw()
    } else light.propose(changesOf(answer.line), answer.line.holds)
  },
  onRefused: (refusal) => {
    wanted.value = undefined
    error.value = refusal.message
  },
})

watch(text, (line) => {
  wanted.value = undefined
  if (line.trim()) latest.ask(line)
  else clear()
})
watch(() => plot.plot?.shot.id, clear)
watch(ready, (now) => {
  if (!now || !wanted.value) return
  if (wanted.value === 'keep') keep()
  else tryFirst()
})

function clear() {
  latest.stop()
  text.value = ''
  heard.value = undefined
  error.value = ''
  wanted.value = undefined
  light.withdraw()
}

function done() {
  before.add(text.value)
  last.value = told.value.at(-1)?.placement ?? last.value
  clear()
}

function keep() {
  if (!ready.value) return later('keep')
  if (light.trying && told.value.length) return tryFirst()
  const said = line.value!
  void submit(async () => {
    if (told.value.length) await plot.recordAll(told.value)
    if (saysMore(said)) await keepBesides(said, props.middle)
    done()
  })
}

function tryFirst() {
  if (!ready.value || !line.value) return later('try')
  if (!told.value.length) return
  light.put(changesOf(line.value), line.value.holds)
  done()
}

/** Enter waits for the answer that is on its way; where something is asked, it goes to what can be chosen. */
function later(way: 'keep' | 'try') {
  if (ask.value && current.value) choices.value?.focus()
  else if (text.value.trim() && !(current.value && (problem.value || light.settled))) wanted.value = way
}

async function say(line: string) {
  text.value = line
  helping.value = false
  await nextTick()
  input.value?.focus()
}

function suggest(word: string) {
  const p = problem.value!
  const from = Math.min(p.from, text.value.length)
  const gap = from && !text.value.slice(0, from).endsWith(' ') ? ' ' : ''
  void say(text.value.slice(0, from) + gap + word + text.value.slice(p.to))
}

function onKey(event: KeyboardEvent) {
  const older = event.key === 'ArrowUp' ? before.older(text.value) : undefined
  const newer = event.key === 'ArrowDown' ? before.newer() : undefined
  if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) tryFirst()
  else if (event.key === 'Enter') keep()
  else if (event.key === 'ArrowDown' && ask.value) choices.value?.focus()
  else if (older !== undefined || newer !== undefined) text.value = (older ?? newer)!
  else if (event.key === 'Escape' && (text.value || helping.value)) {
    helping.value = false
    clear()
  } else return
  event.preventDefault()
  event.stopPropagation()
}

defineExpose({ focus: () => input.value?.focus() })
</script>

<template>
  <section
    class="say min-h-19 pt-2 pb-1.5 px-3.5 border-t border-line bg-ground"
    :class="{ speaking: text || helping }"
    aria-label="Say it"
  >
    <div class="flex gap-2 items-center phone:flex-wrap">
      <label for="say-it" class="text-quiet phone:hidden">Say it</label>
      <input
        id="say-it"
        ref="input"
        v-model="text"
        class="entry flex-1 min-w-20 min-h-8 px-1.5 bg-transparent text-title border-0 text-ink pointer-coarse:min-h-11"
        :class="{ 'phone:basis-full': text }"
        :disabled="plot.locked"
        autocomplete="off"
        spellcheck="false"
        :placeholder="plot.locked ? 'Not to be edited here' : 'key 45% 4300, edge down 1 stop'"
        aria-label="Say it"
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
      <button v-else class="button" :aria-expanded="helping" :disabled="plot.locked" @click="helping = !helping">
        What can be said
      </button>
    </div>
    <div
      id="say-echo"
      class="flex flex-wrap items-baseline gap-y-0.5 gap-x-4 min-h-6 max-h-16.5 phone:max-h-[40dvh] overflow-y-auto text-small"
      role="status"
    >
      <SayChoices v-if="ask" ref="choices" :ask="ask" :name-of="nameOf" @choose="say" @leave="input?.focus()" />
      <template v-else-if="problem && pieces">
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
        <span v-for="m in more" :key="m" class="told">{{ m }}</span>
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
        <span v-if="!told.length && !more.length && light.settled" class="text-quiet">That is how it is already.</span>
      </template>
      <SayExamples v-else-if="helping" :of="find(plot.selected)" @say="say" />
      <span v-else class="text-quiet"
        >As you would call it out{{ plot.selected ? `, of ${nameOf(plot.selected)}, or by another name` : '' }}.</span
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
