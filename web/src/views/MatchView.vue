<script setup lang="ts">
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { RouterLink } from 'vue-router'
import { call, sentence } from '@/api/client'
import type { Aspect, ShotVerdict, MatchReport } from '@/api/types'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import ChoiceField from '@/components/dialogs/ChoiceField.vue'
import PaperLinks from '@/components/layout/PaperLinks.vue'
import SlateBar from '@/components/layout/SlateBar.vue'
import ViewTabs from '@/components/layout/ViewTabs.vue'
import CheatFlag from '@/components/marks/CheatFlag.vue'
import StageTick from '@/components/marks/StageTick.vue'
import StopsText from '@/components/marks/StopsText.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import VerdictPane from '@/components/match/VerdictPane.vue'
import KeySide from '@/components/match/KeySide.vue'
import ToleranceMark from '@/components/match/ToleranceMark.vue'
import { apart } from '@/lib/match'
import { useBook } from '@/stores/book'
import { useConnection } from '@/stores/connection'
import { usePlot } from '@/stores/plot'
import { useSession } from '@/stores/session'
import { useSettings } from '@/stores/settings'

/** Whether every shot of the scene, and every rebuilt one, is in the same light as the one it is to match. */
const props = defineProps<{ shotId: number }>()
defineEmits<{ spine: [] }>()
const plot = usePlot()
const book = useBook()
const connection = useConnection()
const session = useSession()
const settings = useSettings()
const report = ref<MatchReport>()
const problem = ref('')
const chosen = ref<string>()
const asking = ref(false)
const by = ref({
  referenceShotId: 0,
  school: 'LIT_TO_SHADOW' as MatchReport['school'],
  curve: 'BT709' as MatchReport['curve'],
})
const sceneId = computed(() => book.shots.get(props.shotId)?.scene.id)
const COLUMNS: { aspect: Aspect; name: string }[] = [
  { aspect: 'RATIO', name: 'Ratio' },
  { aspect: 'WHITE', name: 'White seen' },
  { aspect: 'BACKGROUND', name: 'Background' },
]
const SCHOOLS = [
  { key: 'LIT_TO_SHADOW' as const, name: 'lit side to shadow side' },
  { key: 'KEY_TO_FILL' as const, name: 'key alone to fill alone' },
]
const CURVES = [
  { key: 'BT709' as const, name: 'BT.709' },
  { key: 'BT1886' as const, name: 'BT.1886' },
  { key: 'HLG' as const, name: 'HLG' },
  { key: 'ACESCCT' as const, name: 'ACEScct' },
  { key: 'NONE' as const, name: 'divided as they are' },
]

async function load() {
  const scene = sceneId.value
  if (!scene) return
  try {
    const now = await call<MatchReport>('GET', `/api/scenes/${scene}/match`)
    if (scene === sceneId.value) report.value = now
    problem.value = ''
  } catch (failure) {
    problem.value = sentence(failure)
  }
}
watch(
  () => props.shotId,
  (id) => void plot.load(id),
  { immediate: true },
)
watch(
  sceneId,
  () => {
    report.value = undefined
    void load()
  },
  { immediate: true },
)
onBeforeUnmount(connection.onChanged(['RECORD', 'BOOK', 'SET', 'READINGS', 'RUNS', 'MATCH'], () => void load()))
onBeforeUnmount(connection.onReconnect(() => void load()))

const editable = computed(() => session.may('EDIT'))
const rows = computed(() => (report.value ? [...report.value.shots, ...report.value.runs] : []))
const key = (j: ShotVerdict) => (j.run ? `run-${j.run.id}` : `shot-${j.shotId}`)
const opened = computed(() => rows.value.find((j) => key(j) === chosen.value))
const quiet = computed(() =>
  rows.value.flatMap((j) =>
    j.lines.filter((l) => l.waiver && l.verdict === 'WAIVED').map((l) => ({ judged: j, line: l, why: l.waiver! })),
  ),
)
const of = (j: ShotVerdict, aspect: Aspect) => j.lines.find((l) => l.aspect === aspect)!
const isReference = (j: ShotVerdict) => !j.run && j.shotId === report.value?.referenceId
const off = (j: ShotVerdict) => j.lines.filter((l) => l.verdict === 'OUT')

function ask() {
  if (!report.value) return
  by.value = { referenceShotId: report.value.referenceId, school: report.value.school, curve: report.value.curve }
  asking.value = true
}
async function judgeBy() {
  try {
    report.value = await call<MatchReport>('PUT', `/api/scenes/${sceneId.value}/match`, {
      body: by.value,
      version: report.value?.version,
    })
    asking.value = false
    problem.value = ''
  } catch (failure) {
    problem.value = sentence(failure)
  }
}
</script>

<template>
  <div class="view">
    <SlateBar
      v-if="plot.plot && plot.plot.shot.id === shotId"
      :plot="plot.plot"
      :camera="plot.camera"
      @spine="$emit('spine')"
    />
    <ViewTabs :shot-id="shotId">
      <PaperLinks
        v-if="report"
        :papers="[{ name: 'Match report', path: `/api/scenes/${report.sceneId}/paper/match` }]"
      />
      <button v-if="editable && report" class="button" @click="ask">Judge by…</button>
    </ViewTabs>
    <div v-if="report" class="body">
      <header class="head">
        <h1 class="text-[22px]">Match, scene {{ report.scene.number }} against {{ report.reference }}</h1>
        <p class="text-[15px]">{{ report.summary }}</p>
        <p class="text-[12px] text-quiet">
          Ratio is {{ report.schoolLabel }}; the monitor is read
          {{
            report.curve === 'NONE'
              ? 'as it is, divided'
              : `through ${CURVES.find((c) => c.key === report!.curve)?.name}`
          }}. What is not metered is predicted, by a model.
        </p>
      </header>
      <p v-if="problem && !asking" role="alert" class="px-5"><WedgeMark act class="mr-1 inline" /> {{ problem }}</p>
      <table class="report">
        <thead>
          <tr>
            <th>Shot</th>
            <th>Grey card: lit, shadow, background</th>
            <th v-for="c in COLUMNS.slice(0, 1)" :key="c.aspect">{{ c.name }}</th>
            <th>Key side</th>
            <th v-for="c in COLUMNS.slice(1)" :key="c.aspect">{{ c.name }}</th>
            <th>What to do</th>
          </tr>
        </thead>
        <tbody>
          <template v-for="j in rows" :key="key(j)">
            <tr
              :class="{ reference: isReference(j), opened: !j.run && j.shotId === shotId }"
              :data-shot="j.slate"
              :data-run="j.run?.id"
            >
              <th scope="row">
                <button
                  class="block text-left"
                  :aria-expanded="opened === j"
                  :aria-label="`All figures of ${j.slate}`"
                  @click="chosen = opened === j ? undefined : key(j)"
                >
                  <span class="shot-slate">{{ j.slate }}</span>{{ ' '
                  }}<StageTick v-if="!j.run" :stage="j.stage" class="inline" />
                </button>
                <span class="block font-normal text-quiet">{{
                  isReference(j)
                    ? 'reference'
                    : j.run
                      ? j.run.name
                      : `${j.metered ? 'metered' : 'predicted'}, ${j.closeness.toLowerCase()}`
                }}</span>
              </th>
              <td>
                <span class="faces" aria-hidden="true"
                  ><span v-for="(s, i) in j.swatches" :key="i" :style="{ background: s ?? 'var(--ground)' }"
                /></span>
              </td>
              <template v-for="c in COLUMNS" :key="c.aspect">
                <td class="figures">
                  <span v-if="of(j, c.aspect).now" class="flex items-baseline gap-3">
                    <span class="figure text-[15px]"
                      >{{ apart(of(j, c.aspect).now!.said).figure
                      }}<span class="unit">{{ apart(of(j, c.aspect).now!.said).unit }}</span></span
                    >
                    <span
                      v-if="!isReference(j) && of(j, c.aspect).difference !== undefined"
                      class="figure ml-auto text-quiet"
                      >{{ of(j, c.aspect).differenceSaid }}</span
                    >
                  </span>
                  <span v-else class="text-quiet">not known</span>
                  <ToleranceMark v-if="!isReference(j)" :line="of(j, c.aspect)" />
                </td>
                <td v-if="c.aspect === 'RATIO'" class="side">
                  <KeySide :judged="j" /><span
                    v-if="of(j, 'KEY_SIDE').verdict === 'WAIVED' && of(j, 'KEY_SIDE').waiver?.cause === 'CHEAT'"
                    class="text-accent"
                    ><CheatFlag /> cheat</span
                  >
                </td>
              </template>
              <td class="remedy">
                <p class="flex gap-2">
                  <span class="mt-0.5"><WedgeMark v-if="!j.holds" act /><span v-else class="dot" /></span
                  ><b class="font-[650]">{{ j.title }}</b>
                </p>
                <p v-for="l in off(j)" :key="l.aspect" class="pl-5">
                  <StopsText v-if="l.remedy" :text="settings.printed(l.remedy)" />
                </p>
                <RouterLink v-if="j.run" class="pl-5 underline" :to="{ name: 'verdict', params: { run: j.run.id } }">{{
                  j.run.signed ? `signed by ${j.run.signed.author}` : 'to its verdict'
                }}</RouterLink>
              </td>
            </tr>
            <tr v-if="opened === j">
              <td colspan="7" class="all">
                <VerdictPane
                  :judged="j"
                  :reference="report.reference"
                  :editable="editable"
                  @changed="report = $event"
                />
              </td>
            </tr>
          </template>
        </tbody>
      </table>
      <ul v-if="quiet.length" class="quiet" aria-label="Explained">
        <li v-for="q in quiet" :key="key(q.judged) + q.line.aspect">
          <CheatFlag v-if="q.why.cause === 'CHEAT'" /><span v-else class="dot mt-1.5" />{{ ' ' }}
          <span
            ><b class="font-[650]">{{ q.judged.slate }}, {{ q.line.label }}.</b> {{ q.why.reason }}
            <span class="text-quiet"
              >{{ q.why.cause === 'CHEAT' ? 'Called a cheat' : 'Right by eye' }} by {{ q.why.author }}. The check keeps
              quiet about it.</span
            ></span
          >
        </li>
      </ul>
    </div>
    <p v-else class="m-auto text-quiet" role="status">{{ problem || 'Comparing the shots…' }}</p>
    <BaseDialog :open="asking" title="What the scene is judged by" :error="problem" @close="asking = false">
      <ChoiceField
        v-model="by.referenceShotId"
        label="Reference shot"
        :options="(report?.shots ?? []).map((s) => ({ key: s.shotId, name: `${s.slate} ${s.description}` }))"
      />
      <ChoiceField v-model="by.school" label="Ratio that the scene carries" :options="SCHOOLS" />
      <ChoiceField v-model="by.curve" label="Signals on the monitor are read through" :options="CURVES" />
      <template #buttons
        ><button class="button" @click="asking = false">Cancel</button
        ><button class="button button-main" @click="judgeBy">Judge by these</button></template
      >
    </BaseDialog>
  </div>
</template>

<style scoped>
.body {
  flex: 1;
  min-height: 0;
  overflow: auto;
}
.head {
  padding: 12px 20px 8px;
}
.report {
  width: 100%;
  min-width: 900px;
}
.report th,
.report td {
  padding: 7px 12px 7px 0;
  text-align: left;
  vertical-align: middle;
  border-bottom: 1px solid var(--line);
}
.report th:first-child {
  padding-left: 20px;
}
thead th {
  font-weight: 400;
  color: var(--quiet);
}
.shot-slate {
  font-size: 22px;
  font-weight: 700;
}
.reference {
  background: var(--panel);
}
tr.opened th:first-child {
  box-shadow: inset 3px 0 0 var(--accent);
}
.faces {
  display: flex;
  width: 126px;
  height: 50px;
  border: 1px solid var(--set);
}
.faces span {
  flex: 1;
}
.report .all {
  padding: 0;
  background: var(--panel);
}
.side {
  white-space: nowrap;
}
.remedy {
  min-width: 220px;
}
/* What to do stands under the figures where they would not fit beside each other. */
@media (width < 1200px) {
  .report th,
  .report td,
  .report th:first-child {
    padding: 0;
    border: 0;
  }
  tr.opened th:first-child {
    box-shadow: none;
  }
  tr.opened {
    box-shadow: inset 3px 0 0 var(--accent);
  }
}
@media (700px <= width < 1200px) {
  .report,
  .report thead,
  .report tbody {
    display: block;
    min-width: 0;
  }
  .report tr {
    display: grid;
    grid-template-columns: 104px 126px repeat(4, minmax(0, 1fr));
    gap: 4px 14px;
    align-items: center;
    padding: 8px 20px;
    border-bottom: 1px solid var(--line);
  }
  .report thead th:last-child {
    display: none;
  }
  .report .remedy {
    grid-column: 2 / -1;
  }
  .report .all {
    grid-column: 1 / -1;
  }
}
@media (700px <= width < 900px) {
  .report tr {
    grid-template-columns: 104px repeat(4, minmax(0, 1fr));
  }
  .report tr > :nth-child(2) {
    display: none;
  }
}
@media (width < 700px) {
  .report {
    min-width: 0;
  }
  .report thead,
  .report .figures,
  .report .side {
    display: none;
  }
  .report tr {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    padding: 8px 20px;
    border-bottom: 1px solid var(--line);
  }
  .report .remedy,
  .report .all {
    grid-column: 1 / -1;
    padding-top: 6px;
  }
}
.dot {
  display: inline-block;
  flex: none;
  width: 6px;
  height: 6px;
  margin: 5px 3px 0;
  border-radius: 3px;
  background: var(--ink);
}
.quiet {
  padding: 10px 20px;
  border-bottom: 1px solid var(--line);
}
.quiet li {
  display: flex;
  gap: 8px;
  padding: 2px 0;
}
</style>
