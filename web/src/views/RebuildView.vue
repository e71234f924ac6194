<script setup lang="ts">
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { call, sentence } from '@/api/client'
import type { Rebuild } from '@/api/types'
import PaperLinks from '@/components/layout/PaperLinks.vue'
import SpineButton from '@/components/layout/SpineButton.vue'
import DeviationDialog from '@/components/rebuild/DeviationDialog.vue'
import RunDialog from '@/components/rebuild/RunDialog.vue'
import StepCard from '@/components/rebuild/StepCard.vue'
import TapeDialog from '@/components/rebuild/TapeDialog.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import ConnectionState from '@/components/layout/ConnectionState.vue'
import ViewTabs from '@/components/layout/ViewTabs.vue'
import { when } from '@/lib/words'
import { useConnection } from '@/stores/connection'
import { useOutbox } from '@/stores/outbox'
import { useSettings } from '@/stores/settings'
import { useShortcuts } from '@/lib/useShortcuts'

/** The rebuild sheet: one step at a time, very large; the whole sheet beside it where there is room. */
const props = defineProps<{ shotId: number; runId?: number }>()
defineEmits<{ spine: [] }>()

const outbox = useOutbox()
const connection = useConnection()
const settings = useSettings()
const router = useRouter()
const dialog = ref<'run' | 'otherwise' | 'tapes'>()
const sheet = ref<Rebuild>()
const at = ref(0)
const error = ref('')
const busy = ref(false)
const body = ref<HTMLElement>()

const step = computed(() => sheet.value?.steps[at.value])
/** Where ticks go: to a rebuild that was chosen, or to the shot's open one, which begins with the first tick. */
const start = computed(() => (props.runId ? `/api/runs/${props.runId}/steps/` : `/api/shots/${props.shotId}/rebuild/`))
/** Ticks that wait on this device, by the thing's key: done, or not done after all. */
const waiting = computed(() => {
  return new Map(
    outbox.waiting.flatMap((w): [string, boolean][] =>
      w.path.startsWith(start.value) ? [[w.path.slice(start.value.length), w.method === 'PUT']] : [],
    ),
  )
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
  const asked = props.runId ? `/api/runs/${props.runId}` : `/api/shots/${props.shotId}/rebuild`
  try {
    const now = await call<Rebuild>('GET', asked)
    if (asked === (props.runId ? `/api/runs/${props.runId}` : `/api/shots/${props.shotId}/rebuild`)) sheet.value = now
    error.value = ''
  } catch (failure) {
    error.value = sentence(failure)
  }
}

async function send(method: string, key: string) {
  busy.value = true
  try {
    const now = await outbox.send<Rebuild>({
      method,
      path: `${start.value}${key}`,
      label: `${step.value?.placed.placement.name ?? key} ${method === 'PUT' ? 'done' : 'not done'} in ${sheet.value?.slate ?? ''}`,
    })
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
  () => [props.shotId, props.runId],
  async () => {
    sheet.value = undefined
    connection.viewShot(props.shotId)
    await read()
    const open = sheet.value as Rebuild | undefined
    at.value = Math.max(0, open?.steps.findIndex((s) => !isDone(s)) ?? 0)
  },
  { immediate: true },
)
watch(() => outbox.sent, read)
onBeforeUnmount(connection.onChanged(['RECORD', 'BOOK', 'SET', 'RUNS'], () => void read()))
onBeforeUnmount(connection.onReconnect(() => void read()))
watch(at, () => body.value?.scrollTo({ top: 0 }))

async function tick() {
  const key = step.value?.placed.placement.key
  if (!key || busy.value) return
  if ((await send('PUT', key)) && next.value) at.value++
}

/** The rebuild that something is said of; one begins when there is none yet. */
async function begin(): Promise<number | undefined> {
  if (sheet.value?.run) return sheet.value.run.id
  sheet.value = await call<Rebuild>('POST', `/api/shots/${props.shotId}/runs`, { body: { pairs: [], mirrored: false } })
  return sheet.value.run?.id
}

function kept(now: Rebuild) {
  sheet.value = now
  dialog.value = undefined
}

async function begun(now: Rebuild) {
  dialog.value = undefined
  at.value = 0
  await router.push({ name: 'rebuild', params: { id: props.shotId }, query: { run: now.run?.id } })
}

function choose(id: string) {
  void router.push({ name: 'rebuild', params: { id: props.shotId }, query: id ? { run: id } : {} })
}

async function decide(how: 'continue' | 'restart') {
  try {
    sheet.value = await call<Rebuild>('POST', `/api/runs/${sheet.value?.run?.id}/${how}`)
    error.value = ''
  } catch (failure) {
    error.value = sentence(failure)
  }
}

async function untick() {
  const key = step.value?.placed.placement.key
  if (key) await send('DELETE', key)
}

useShortcuts((event) => {
  if (dialog.value || (event.target instanceof HTMLElement && event.target.matches('button, a'))) return false
  if (event.key === ' ') void tick()
  else if (event.key === 'ArrowRight' && next.value) at.value++
  else if (event.key === 'ArrowLeft' && at.value) at.value--
  else return false
  return true
})
</script>

<template>
  <div class="view">
    <ViewTabs :shot-id="shotId" class="tabs-wide">
      <PaperLinks
        v-if="sheet"
        :papers="[
          {
            name: 'Rebuild sheet',
            path: `/api/shots/${shotId}/paper/rebuild${sheet.run ? `?run=${sheet.run.id}` : ''}`,
          },
          { name: 'Shot sheet', path: `/api/shots/${shotId}/paper/sheet` },
        ]"
      />
      <button class="button" :disabled="!sheet" @click="dialog = 'run'">Rebuild anew…</button>
    </ViewTabs>
    <div v-if="sheet && !sheet.steps.length" class="m-auto max-w-sm p-6 text-center">
      <template v-if="sheet.run && sheet.stands.length">
        <p class="text-[15px]">
          All of {{ sheet.slate }} stands already, as it did in {{ sheet.run.from }}.<template v-if="sheet.out.length">
            Take out: {{ sheet.out.join(', ') }}.</template
          >
          Now the meter.
        </p>
        <RouterLink class="button mt-3" :to="{ name: 'verdict', params: { run: sheet.run.id } }"
          >Meter and verdict</RouterLink
        >
      </template>
      <template v-else>
        <p class="text-[15px]">
          Nothing stands in {{ sheet.slate }} yet. Place something on its plot, then come back for the steps.
        </p>
        <RouterLink class="button mt-3" :to="{ name: 'plot', params: { id: shotId } }">To the plot</RouterLink>
      </template>
    </div>
    <div v-else-if="sheet && step" class="body">
      <nav class="sheet" aria-label="Steps">
        <header class="border-b border-line px-4 py-3">
          <h1 class="text-[22px]">Rebuild {{ sheet.slate }}</h1>
          <p class="text-quiet">
            {{ sheet.description }}<template v-if="sheet.basedOn">, based on {{ sheet.basedOn }}</template>
          </p>
          <select
            v-if="sheet.runs.length"
            class="field mt-1"
            aria-label="Rebuild"
            :value="sheet.run?.id ?? ''"
            @change="choose(($event.target as HTMLSelectElement).value)"
          >
            <option v-if="!sheet.run" value="">none begun</option>
            <option v-for="r in sheet.runs" :key="r.id" :value="r.id">
              {{ r.name }}{{ r.signed ? ', signed' : '' }}
            </option>
          </select>
          <p class="mt-1">
            {{ done }} of {{ sheet.steps.length }} done<template v-if="sheet.run?.setId"
              >, in {{ sheet.setName }}</template
            >
          </p>
          <p v-if="sheet.stands.length" class="text-quiet">
            Stands already: {{ sheet.stands.join(', ') }}.
            <RouterLink
              v-if="sheet.run?.fromShotId"
              class="underline"
              :to="{ name: 'moves', params: { from: `shot-${sheet.run.fromShotId}`, to: `shot-${shotId}` } }"
              >The moves from {{ sheet.run.from }}</RouterLink
            >
          </p>
          <p v-if="sheet.out.length"><WedgeMark act class="mr-1 inline" /> Take out: {{ sheet.out.join(', ') }}.</p>
          <RouterLink v-if="sheet.run" class="button mt-2" :to="{ name: 'verdict', params: { run: sheet.run.id } }">{{
            sheet.run.signed ? 'Signed verdict' : 'Meter and verdict'
          }}</RouterLink>
        </header>
        <ol>
          <li v-for="(s, i) in sheet.steps" :key="s.placed.placement.key">
            <button
              class="line"
              :class="{ here: i === at }"
              :aria-current="i === at ? 'step' : undefined"
              @click="at = i"
            >
              <span class="tick" :class="{ done: isDone(s), here: i === at }" />
              <span class="min-w-0 grow truncate"
                ><b class="font-[650]">{{ s.placed.placement.name }}</b
                >{{ ' ' }}
                <span class="text-quiet">{{
                  s.placed.placement.piece.unit ?? s.placed.placement.piece.what
                }}</span></span
              >
              <span class="text-[11px] text-quiet">{{ role(s) }}</span>
            </button>
          </li>
        </ol>
      </nav>
      <section class="one">
        <header class="phone-head">
          <div class="flex items-center">
            <SpineButton class="mr-3" @click="$emit('spine')" />
            <span class="min-w-0 truncate"
              ><b class="font-bold">{{ sheet.slate }}</b> <span class="text-quiet">rebuild</span></span
            >
            <RouterLink class="ml-4 text-quiet underline" :to="{ name: 'plot', params: { id: shotId } }"
              >plot</RouterLink
            >
            <ConnectionState class="ml-auto" />
            <span class="ml-2"
              >step <b class="font-bold">{{ at + 1 }}</b> of {{ sheet.steps.length }}</span
            >
          </div>
          <div class="mt-1 flex items-center gap-2">
            <select
              v-if="sheet.runs.length"
              class="field !w-auto min-w-0"
              aria-label="Rebuild on this phone"
              :value="sheet.run?.id ?? ''"
              @change="choose(($event.target as HTMLSelectElement).value)"
            >
              <option v-if="!sheet.run" value="">none begun</option>
              <option v-for="r in sheet.runs" :key="r.id" :value="r.id">
                {{ r.name }}{{ r.signed ? ', signed' : '' }}
              </option>
            </select>
            <button class="button" @click="dialog = 'run'">Anew…</button>
            <RouterLink v-if="sheet.run" class="button" :to="{ name: 'verdict', params: { run: sheet.run.id } }"
              >Verdict</RouterLink
            >
          </div>
          <div class="mt-2 flex gap-1.5" aria-hidden="true">
            <span
              v-for="(s, i) in sheet.steps"
              :key="i"
              class="tick grow"
              :class="{ done: isDone(s), here: i === at }"
            />
          </div>
        </header>
        <div ref="body" class="scroll">
          <div v-if="sheet.revised.length" role="alert" class="notice">
            <p>
              <WedgeMark act class="mr-1 inline" /> The record of {{ sheet.slate }} was changed since this rebuild
              began:
            </p>
            <ul class="list-disc pl-8">
              <li v-for="r in sheet.revised" :key="r.name + r.label">
                <b class="font-[650]">{{ r.name }}</b> {{ r.label }}: {{ settings.printed(r.words) }}
              </li>
            </ul>
            <p class="mt-1">
              <button class="button" @click="decide('continue')">Go on with it as it is now</button>{{ ' ' }}
              <button class="button" @click="decide('restart')">Begin again</button>
            </p>
          </div>
          <ul v-if="sheet.misfits.some((m) => m.placement === step?.placed.placement.key)" class="notice">
            <li
              v-for="m in sheet.misfits.filter((m) => m.placement === step?.placed.placement.key)"
              :key="m.words.metric"
            >
              <WedgeMark act class="mr-1 inline" /> {{ settings.printed(m.words) }}
            </li>
          </ul>
          <p class="px-5 pt-3 text-[12px] text-quiet">
            {{ role(step)
            }}<template v-if="step.placed.placement.motivation">: {{ step.placed.placement.motivation }}</template>
          </p>
          <StepCard :step="step" :set="sheet.set" :shot-id="shotId" />
          <p v-if="step.placed.tapes" class="px-5 pb-3">
            <button class="button" @click="dialog = 'tapes'">Check the tapes…</button>
          </p>
        </div>
        <footer class="foot">
          <p v-if="error" role="alert" class="mb-2 flex gap-2"><WedgeMark act />{{ error }}</p>
          <p v-if="waiting.has(step.placed.placement.key)" class="mb-2" role="status">
            {{ isDone(step) ? 'Done' : 'Not done after all' }}; waits to be sent.
          </p>
          <p v-else-if="step.done" class="mb-2 flex gap-2" role="status">
            <template v-if="step.done.changedSince"
              ><WedgeMark act />Changed since {{ step.done.author }} ticked it, {{ when(step.done.at) }}: look
              again.</template
            >
            <template v-else>Done: {{ step.done.author }}, {{ when(step.done.at) }}</template>
          </p>
          <div class="flex gap-2.5">
            <button
              v-if="!isDone(step)"
              class="button button-main main"
              :disabled="busy || !!sheet.run?.signed"
              @click="tick"
            >
              Done
            </button>
            <button v-else class="button main" :disabled="busy || !!sheet.run?.signed" @click="untick">
              Not done after all
            </button>
            <button class="button main second" :disabled="!!sheet.run?.signed" @click="dialog = 'otherwise'">
              {{ step.instead ? 'Otherwise…' : 'Not as recorded' }}
            </button>
          </div>
          <div class="mt-2 flex items-center gap-3">
            <button class="button" :disabled="at === 0" aria-label="Back to the step before" @click="at--">Back</button>
            <p class="min-w-0 grow text-quiet">
              <template v-if="next"
                >next: <b class="font-[650] text-ink">{{ next.placed.placement.name }}</b>, {{ role(next) }}</template
              >
              <template v-else-if="done === sheet.steps.length"
                >All {{ done }} steps are done. Now
                <RouterLink v-if="sheet.run" class="underline" :to="{ name: 'verdict', params: { run: sheet.run.id } }"
                  >the meter</RouterLink
                ><template v-else>the meter</template>.</template
              >
              <template v-else>The last step; {{ sheet.steps.length - done }} still to do.</template>
            </p>
            <button
              class="button"
              :disabled="!next"
              :aria-label="`${isDone(step) ? 'Next' : 'Skip'} step`"
              @click="at++"
            >
              {{ isDone(step) ? 'Next' : 'Skip' }}
            </button>
          </div>
        </footer>
      </section>
      <DeviationDialog
        :open="dialog === 'otherwise'"
        :step="step"
        :run-id="sheet.run?.id"
        :begin="begin"
        @close="dialog = undefined"
        @kept="kept"
      />
      <TapeDialog
        :open="dialog === 'tapes'"
        :step="step"
        :run-id="sheet.run?.id"
        :begin="begin"
        @close="dialog = undefined"
      />
      <RunDialog v-if="dialog === 'run'" open :sheet="sheet" @close="dialog = undefined" @begun="begun" />
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
.notice {
  padding: 8px 20px;
  border-bottom: 1px solid var(--line);
}
.main.second {
  font-size: 17px;
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
