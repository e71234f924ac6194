<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { answer, api } from '@/api/client'
import { outdate, useRead } from '@/api/reads'
import type { Meter, ReadingView } from '@/api/types'
import ShotPage from '@/components/layout/ShotPage.vue'
import StopsText from '@/components/marks/StopsText.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import BringTogether from '@/components/meter/BringTogether.vue'
import WhatIsWrong from '@/components/meter/WhatIsWrong.vue'
import ReadingEntry from '@/components/meter/ReadingEntry.vue'
import { onPaper } from '@/lib/actions'
import { signed } from '@/lib/print'
import { useSubmit } from '@/lib/useSubmit'
import { when } from '@/lib/words'
import { useOutbox } from '@/stores/outbox'
import { useSession } from '@/stores/session'
import { useSettings } from '@/stores/settings'

/** What the meter and the monitor say, beside what was predicted. */
const props = defineProps<{ shotId: number; runId?: number; begun?: string }>()
defineEmits<{ spine: [] }>()
const outbox = useOutbox()
const router = useRouter()
const settings = useSettings()
const session = useSession()
const read = useRead('meter', () => ({ shotId: props.shotId, run: props.runId }))
const meter = read.data
const { error, submit } = useSubmit()
const problem = computed(() => error.value || read.problem.value)
const said = ref(props.begun ?? '')
const mark = ref<string>()
const entry = ref<InstanceType<typeof ReadingEntry>>()
const waiting = computed(() =>
  outbox.waiting.filter(
    ({ intent }) => intent.kind === 'reading' && intent.shotId === props.shotId && intent.body.run === props.runId,
  ),
)
const actions = computed(() => [
  { name: 'Drill', run: () => router.push({ name: 'drill', params: { id: props.shotId } }) },
  onPaper([
    {
      name: 'Reading log',
      path: `/api/shots/${props.shotId}/paper/readings${props.runId ? `?run=${props.runId}` : ''}`,
    },
  ]),
])

watch(
  () => meter.value?.marks,
  (marks) => {
    if (marks && !marks.some((m) => m.key === mark.value)) mark.value = marks[0]?.key
  },
  { immediate: true },
)

/** What a reading answers is read of all of them; one that waits answers nothing yet. */
function show(now: Meter | undefined) {
  if (now) {
    read.show(now)
    void outdate({ topics: ['READINGS'] }, undefined, 'meter')
  }
  error.value = ''
}
function begin(line: string) {
  said.value = line
  entry.value?.focus()
}
function confirm({ id }: ReadingView) {
  void submit(async () => show(await answer(api.POST('/api/readings/{id}/confirmed', { params: { path: { id } } }))))
}
function drop({ id }: ReadingView) {
  void submit(async () => show(await answer(api.DELETE('/api/readings/{id}', { params: { path: { id } } }))))
}
</script>

<template>
  <ShotPage :shot-id="shotId" :actions="actions" @spine="$emit('spine')">
    <div v-if="meter" class="panes [--side:372px]">
      <div class="main upright:overflow-x-auto">
        <p v-if="runId" class="px-4 pt-3">
          Readings of a rebuild of {{ meter.slate }}, beside what was recorded.
          <RouterLink class="underline" :to="{ name: 'verdict', params: { run: runId } }">To its verdict</RouterLink>
        </p>
        <ReadingEntry ref="entry" v-model:line="said" v-model:mark="mark" :meter="meter" @kept="show" />
        <p v-if="problem" role="alert" class="px-4 pt-2"><WedgeMark act class="mr-1 inline" /> {{ problem }}</p>
        <table class="log w-full">
          <thead>
            <tr>
              <th>Light</th>
              <th>Read</th>
              <th>Against the prediction</th>
              <th>Who, when</th>
              <th><span class="sr-only">Take out</span></th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="w in waiting" :key="w.idempotencyKey">
              <td colspan="4">{{ w.label }}; waits to be sent{{ w.problem ? `: ${w.problem}` : '' }}</td>
              <td />
            </tr>
            <tr v-for="r in meter.readings" :key="r.id">
              <th scope="row">
                {{ r.light ? `${r.light} alone` : 'all lights'
                }}<span v-if="meter.marks.length > 1" class="block text-quiet">{{ r.mark }}</span>
              </th>
              <td class="figure"><StopsText :text="settings.printed(r.words)" /></td>
              <td>
                <template v-if="r.solo">
                  <span v-if="r.solo.kStops !== undefined" class="figure"
                    >{{ signed(r.solo.kStops, 1) }}<span class="unit">stop</span></span
                  >
                  <span v-if="r.solo.mired !== undefined" class="figure ml-2"
                    >{{ signed(r.solo.mired, 0) }}<span class="unit">mired</span></span
                  >
                  <span v-if="r.solo.duv !== undefined" class="figure ml-2">{{ signed(r.solo.duv, 4) }}</span>
                  <span v-if="r.solo.asks" class="block"
                    ><WedgeMark act class="mr-1 inline" /> Something is not as recorded: this corrects nothing until
                    somebody says that it is so. <button class="button" @click="confirm(r)">It is so</button></span
                  >
                  <span v-else-if="r.solo.doubtful" class="block"
                    ><WedgeMark class="mr-1 inline" /> {{ r.solo.confirmedBy }} says that it is so.</span
                  >
                  <span v-if="r.solo.likely.length" class="block text-quiet"
                    >likely: {{ r.solo.likely.join('; or ') }}</span
                  >
                </template>
                <span v-for="b in r.beside" :key="b.what" class="mr-3 whitespace-nowrap"
                  >{{ b.what }} <span class="figure">{{ signed(b.stops, 1) }}</span></span
                >
              </td>
              <td class="whitespace-nowrap text-quiet">
                {{ r.author }}<span class="block">{{ when(r.at) }}</span>
              </td>
              <td>
                <button
                  v-if="r.author === session.name"
                  class="button"
                  :aria-label="`Take out the reading of ${r.light ?? 'all lights'}`"
                  @click="drop(r)"
                >
                  Take out
                </button>
              </td>
            </tr>
          </tbody>
        </table>
        <p v-if="!meter.readings.length && !waiting.length" class="p-4 text-quiet">
          Nothing is metered yet. Read all lights at the mark, then each light alone: what is read alone corrects its
          later predictions.
        </p>
      </div>
      <aside class="side">
        <section aria-label="To read">
          <h2 class="text-lead">Predicted at {{ meter.marks[0]?.name ?? 'no mark' }}</h2>
          <p class="text-small text-quiet">each towards the light; choose one to read it alone</p>
          <ul class="mt-1">
            <li v-for="l in meter.lights" :key="l.key">
              <button
                class="toread flex gap-2.5 items-baseline w-full min-h-7 py-0.75 text-left border-b border-line pointer-coarse:min-h-11"
                @click="begin(`${l.name} alone `)"
              >
                <span class="grow"
                  ><b class="font-strong">{{ l.name }}</b
                  ><span v-if="l.readHere" class="text-quiet"> read</span></span
                >
                <span class="figure"
                  ><StopsText :text="l.predicted ? settings.printed(l.predicted) : 'not known'"
                /></span>
                <span v-if="l.kelvin" class="figure text-quiet">{{ Math.round(l.kelvin) }} K</span>
                <span
                  v-if="l.kStops !== undefined"
                  class="figure"
                  :title="`Metered ${signed(l.kStops, 1)} stop against its figures`"
                  >{{ signed(l.kStops, 1) }}</span
                >
              </button>
            </li>
          </ul>
        </section>
        <WhatIsWrong v-if="runId" class="!px-4" :run-id="runId" @read="begin" />
        <BringTogether v-else :meter="meter" />
        <section aria-label="Units measured">
          <h2 class="text-lead">Dialled and measured</h2>
          <p v-if="!meter.units.length" class="text-quiet">
            Read a light alone with its colour: what it was dialled to and what it measured are kept for its unit and
            its path.
          </p>
          <div v-for="u in meter.units" :key="u.unit + u.path" class="mt-1">
            <b class="font-strong">{{ u.unit }}</b>{{ ' ' }}
            <span class="text-quiet">{{ u.path === 'none' ? 'bare' : u.path }}</span>
            <span v-for="p in u.points" :key="p.dialledKelvin" class="figure block"
              >{{ Math.round(p.dialledKelvin) }} K measures {{ Math.round(p.measuredKelvin) }} K
              {{ p.measuredDuv ? signed(p.measuredDuv, 4) : '' }}</span
            >
          </div>
        </section>
      </aside>
    </div>
    <p v-else class="m-auto text-quiet" role="status">{{ problem || 'Opening the readings…' }}</p>
  </ShotPage>
</template>

<style scoped>
.toread:hover {
  background: var(--raised);
}
.log th,
.log td {
  padding: 6px 8px;
  text-align: left;
  vertical-align: top;
  border-bottom: 1px solid var(--line);
}
.log th:first-child {
  padding-left: 16px;
}
thead th {
  font-weight: 400;
  color: var(--quiet);
}
tbody th {
  font-weight: var(--font-weight-strong);
}
@media (width < 800px) {
  .log thead {
    display: none;
  }
  .log tr {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    padding: 6px 16px;
    border-bottom: 1px solid var(--line);
  }
  .log th,
  .log td,
  .log th:first-child {
    padding: 2px 0;
    border: 0;
  }
  .log td:nth-of-type(1),
  .log td:nth-of-type(2) {
    grid-column: 1 / -1;
  }
  .log td:nth-of-type(4) {
    grid-area: 1 / 2;
  }
}
</style>
