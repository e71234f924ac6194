<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { RouterLink } from 'vue-router'
import { call, sentence } from '@/api/client'
import type { Rebuild } from '@/api/types'
import SpineButton from '@/components/frame/SpineButton.vue'
import StepCard from '@/components/rebuild/StepCard.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import LineState from '@/components/frame/LineState.vue'
import ViewTabs from '@/components/frame/ViewTabs.vue'
import { when } from '@/lib/words'
import { useLine } from '@/stores/line'
import { useQueue } from '@/stores/queue'

/** The rebuild sheet: one step at a time, very large; the whole sheet beside it where there is room. */
const props = defineProps<{ shotId: number }>()
defineEmits<{ spine: [] }>()

const queue = useQueue()
const line = useLine()
const sheet = ref<Rebuild>()
const at = ref(0)
const error = ref('')
const busy = ref(false)
const body = ref<HTMLElement>()

const step = computed(() => sheet.value?.steps[at.value])
/** Ticks that wait on this device, by the thing's key: done, or not done after all. */
const waiting = computed(() => {
  const start = `/api/shots/${props.shotId}/rebuild/`
  return new Map(queue.waiting.flatMap((w): [string, boolean][] => (w.path.startsWith(start) ? [[w.path.slice(start.length), w.method === 'PUT']] : [])))
})
const done = computed(() => sheet.value?.steps.filter(isDone).length ?? 0)
const next = computed(() => sheet.value?.steps[at.value + 1])
const ROLE: Record<string, string> = { SUBJECT: 'frame first', CAMERA: 'frame first', NEGATIVE_FILL: 'negative fill' }

function role(s: Rebuild['steps'][number]) {
  const own = s.placed.placement.role
  return ROLE[own] ?? own.toLowerCase()
}

function isDone(s: Rebuild['steps'][number]): boolean {
  return waiting.value.get(s.placed.placement.key) ?? (!!s.done && !s.done.changedSince)
}

async function read() {
  const id = props.shotId
  try {
    const now = await call<Rebuild>('GET', `/api/shots/${id}/rebuild`)
    if (id === props.shotId) sheet.value = now
    error.value = ''
  } catch (failure) {
    error.value = sentence(failure)
  }
}

async function send(method: string, key: string) {
  busy.value = true
  try {
    const now = await queue.send<Rebuild>({ method, path: `/api/shots/${props.shotId}/rebuild/${key}`, label: `${step.value?.placed.placement.name ?? key} ${method === 'PUT' ? 'done' : 'not done'} in ${sheet.value?.slate ?? ''}` })
    if (now) sheet.value = now
    error.value = ''
    return true
  } catch (failure) {
    error.value = sentence(failure)
    return false
  } finally {
    busy.value = false
  }
}

watch(
  () => props.shotId,
  async () => {
    sheet.value = undefined
    line.lookAt(props.shotId)
    await read()
    const open = sheet.value as Rebuild | undefined
    at.value = Math.max(0, open?.steps.findIndex((s) => !isDone(s)) ?? 0)
  },
  { immediate: true },
)
watch(() => queue.sent, read)
onBeforeUnmount(line.onChanged((changed) => void (/^\/api\/(shots|scenes|sets)/.test(changed.path) && read())))
onBeforeUnmount(line.onAgain(() => void read()))
watch(at, () => body.value?.scrollTo({ top: 0 }))

async function tick() {
  const key = step.value?.placed.placement.key
  if (!key || busy.value) return
  if ((await send('PUT', key)) && next.value) at.value++
}

async function untick() {
  const key = step.value?.placed.placement.key
  if (key) await send('DELETE', key)
}

function onKey(event: KeyboardEvent) {
  if (event.target instanceof HTMLElement && event.target.matches('input, textarea, button, a')) return
  if (event.key === ' ') void tick()
  else if (event.key === 'ArrowRight' && next.value) at.value++
  else if (event.key === 'ArrowLeft' && at.value) at.value--
  else return
  event.preventDefault()
}
onMounted(() => window.addEventListener('keydown', onKey))
onBeforeUnmount(() => window.removeEventListener('keydown', onKey))
</script>

<template>
  <div class="view">
    <ViewTabs :shot-id="shotId" class="tabs-wide" />
    <div v-if="sheet && !sheet.steps.length" class="m-auto max-w-sm p-6 text-center">
      <p class="text-[15px]">Nothing stands in {{ sheet.slate }} yet. Place something on its plot, then come back for the steps.</p>
      <RouterLink class="button mt-3" :to="{ name: 'plot', params: { id: shotId } }">To the plot</RouterLink>
    </div>
    <div v-else-if="sheet && step" class="body">
      <nav class="sheet" aria-label="Steps">
        <header class="border-b border-line px-4 py-3">
          <h1 class="text-[22px]">Rebuild {{ sheet.slate }}</h1>
          <p class="text-quiet">{{ sheet.description }}<template v-if="sheet.basedOn">, based on {{ sheet.basedOn }}</template></p>
          <p class="mt-1">{{ done }} of {{ sheet.steps.length }} done</p>
        </header>
        <ol>
          <li v-for="(s, i) in sheet.steps" :key="s.placed.placement.key">
            <button class="line" :class="{ here: i === at }" :aria-current="i === at ? 'step' : undefined" @click="at = i">
              <span class="tick" :class="{ done: isDone(s), here: i === at }" />
              <span class="min-w-0 grow truncate"><b class="font-[650]">{{ s.placed.placement.name }}</b> <span class="text-quiet">{{ s.placed.placement.piece.unit ?? s.placed.placement.piece.what }}</span></span>
              <span class="text-[11px] text-quiet">{{ role(s) }}</span>
            </button>
          </li>
        </ol>
      </nav>
      <section class="one">
        <header class="phone-head">
          <div class="flex items-center">
            <SpineButton class="mr-3" @click="$emit('spine')" />
            <span><b class="font-bold">{{ sheet.slate }}</b> <span class="text-quiet">rebuild</span></span>
            <RouterLink class="ml-4 text-quiet underline" :to="{ name: 'plot', params: { id: shotId } }">plot</RouterLink>
            <LineState class="ml-auto" />
            <span class="ml-2">step <b class="font-bold">{{ at + 1 }}</b> of {{ sheet.steps.length }}</span>
          </div>
          <div class="mt-2 flex gap-1.5" aria-hidden="true">
            <span v-for="(s, i) in sheet.steps" :key="i" class="tick grow" :class="{ done: isDone(s), here: i === at }" />
          </div>
        </header>
        <div ref="body" class="scroll">
          <p class="px-5 pt-3 text-[12px] text-quiet">{{ role(step) }}<template v-if="step.placed.placement.motivation">: {{ step.placed.placement.motivation }}</template></p>
          <StepCard :step="step" :set="sheet.set" />
        </div>
        <footer class="foot">
          <p v-if="error" role="alert" class="mb-2 flex gap-2"><WedgeMark act />{{ error }}</p>
          <p v-if="waiting.has(step.placed.placement.key)" class="mb-2" role="status">{{ isDone(step) ? 'Done' : 'Not done after all' }}; waits to be sent.</p>
          <p v-else-if="step.done" class="mb-2 flex gap-2" role="status">
            <template v-if="step.done.changedSince"><WedgeMark act />Changed since {{ step.done.author }} ticked it, {{ when(step.done.at) }}: look again.</template>
            <template v-else>Done: {{ step.done.author }}, {{ when(step.done.at) }}</template>
          </p>
          <div class="flex gap-2.5">
            <button class="button side" :disabled="at === 0" aria-label="Step before" @click="at--">Back</button>
            <button v-if="!isDone(step)" class="button button-main main" :disabled="busy" @click="tick">Done</button>
            <button v-else class="button main" :disabled="busy" @click="untick">Not done after all</button>
            <button class="button side" :disabled="!next" aria-label="Next step" @click="at++">{{ isDone(step) ? 'Next' : 'Skip' }}</button>
          </div>
          <p class="mt-2 text-quiet">
            <template v-if="next">next: <b class="font-[650] text-ink">{{ next.placed.placement.name }}</b>, {{ role(next) }}</template>
            <template v-else-if="done === sheet.steps.length">All {{ done }} steps are done. Now the meter.</template>
            <template v-else>The last step; {{ sheet.steps.length - done }} still to do.</template>
          </p>
        </footer>
      </section>
    </div>
    <div v-else class="m-auto max-w-sm p-6 text-center">
      <template v-if="error">
        <p role="alert" class="mb-3">{{ error }}</p>
        <button class="button" @click="read">Try again</button>
        <RouterLink class="button ml-2" :to="{ name: 'book' }">To the book</RouterLink>
      </template>
      <p v-else class="text-quiet">Opening the sheet…</p>
    </div>
  </div>
</template>

<style scoped>
.body {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: 320px minmax(0, 1fr);
}
.sheet {
  min-height: 0;
  overflow-y: auto;
  background: var(--panel);
  border-right: 1px solid var(--line);
}
.line {
  display: flex;
  align-items: center;
  gap: 10px;
  width: 100%;
  min-height: 36px;
  padding: 4px 16px;
  text-align: left;
  border-bottom: 1px solid var(--line);
}
.line:hover,
.line.here {
  background: var(--raised);
}
.tick {
  flex: none;
  width: 18px;
  height: 8px;
  border: 1.2px solid var(--quiet);
  border-radius: 1.5px;
}
.tick.done {
  background: var(--ink);
  border-color: var(--ink);
}
.tick.here {
  border-color: var(--accent);
}
.tick.here:not(.done) {
  background: var(--accent);
}
.one {
  display: flex;
  flex-direction: column;
  min-height: 0;
}
.phone-head {
  display: none;
}
.scroll {
  flex: 1;
  min-height: 0;
  overflow-y: auto;
}
.foot {
  padding: 12px 20px;
  border-top: 1px solid var(--line);
}
.main {
  flex: 1;
  min-height: 68px;
  font-size: 20px;
}
.side {
  min-height: 68px;
  min-width: 76px;
  font-size: 15px;
}
@media (width < 800px) {
  .tabs-wide,
  .sheet {
    display: none;
  }
  .body {
    grid-template-columns: minmax(0, 1fr);
  }
  .phone-head {
    display: block;
    padding: 10px 20px 8px;
    border-bottom: 1px solid var(--line);
    font-size: 15px;
  }
  .phone-head .tick {
    flex: 1;
    width: auto;
  }
}
</style>
