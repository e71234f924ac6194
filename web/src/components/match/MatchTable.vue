<script setup lang="ts">
import { computed, ref } from 'vue'
import { RouterLink } from 'vue-router'
import type { Aspect, MatchReport, ShotVerdict } from '@/api/types'
import FrameThumb from '@/components/frame/FrameThumb.vue'
import BustThumb from '@/components/light/BustThumb.vue'
import CheatFlag from '@/components/marks/CheatFlag.vue'
import DotMark from '@/components/marks/DotMark.vue'
import StageTick from '@/components/marks/StageTick.vue'
import StopsText from '@/components/marks/StopsText.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { apart } from '@/lib/words'
import { useSettings } from '@/stores/settings'
import KeySide from './KeySide.vue'
import ToleranceMark from './ToleranceMark.vue'
import VerdictPane from './VerdictPane.vue'

/** Every shot of the scene and every rebuild of one, against the reference: its figures, whether they hold, and what to do. */
const props = defineProps<{ report: MatchReport; /** The one that is open. */ shotId: number; editable: boolean }>()
defineEmits<{ changed: [report: MatchReport] }>()
const settings = useSettings()
const chosen = ref<string>()

const COLUMNS: { aspect: Aspect; name: string }[] = [
  { aspect: 'RATIO', name: 'Ratio' },
  { aspect: 'WHITE', name: 'White seen' },
  { aspect: 'BACKGROUND', name: 'Background' },
]
const rows = computed(() => [...props.report.shots, ...props.report.runs])
const key = (j: ShotVerdict) => (j.run ? `run-${j.run.id}` : `shot-${j.shotId}`)
const opened = computed(() => rows.value.find((j) => key(j) === chosen.value))
const of = (j: ShotVerdict, aspect: Aspect) => j.lines.find((l) => l.aspect === aspect)!
const isReference = (j: ShotVerdict) => !j.run && j.shotId === props.report.referenceId
const off = (j: ShotVerdict) => j.lines.filter((l) => l.verdict === 'OUT')
</script>

<template>
  <table class="report">
    <thead>
      <tr>
        <th>Shot</th>
        <th>Picture, face; grey card: lit, shadow, background</th>
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
              <span class="text-head font-bold">{{ j.slate }}</span>{{ ' '
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
            <span v-if="!j.run" class="seen"
              ><FrameThumb class="picture" :shot-id="j.shotId" :name="j.slate" /><BustThumb
                v-if="j.mark"
                class="bust"
                :shot-id="j.shotId"
                :name="j.slate"
            /></span>
            <span class="faces" aria-hidden="true"
              ><span v-for="(s, i) in j.swatches" :key="i" :style="{ background: s ?? 'var(--ground)' }"
            /></span>
          </td>
          <template v-for="c in COLUMNS" :key="c.aspect">
            <td class="figures">
              <span v-if="of(j, c.aspect).now" class="flex items-baseline gap-3">
                <span class="figure text-lead"
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
            <td v-if="c.aspect === 'RATIO'" class="side whitespace-nowrap">
              <KeySide :judged="j" /><span
                v-if="of(j, 'KEY_SIDE').verdict === 'WAIVED' && of(j, 'KEY_SIDE').waiver?.cause === 'CHEAT'"
                class="text-accent"
                ><CheatFlag /> cheat</span
              >
            </td>
          </template>
          <td class="remedy min-w-55">
            <p class="flex gap-2">
              <WedgeMark v-if="!j.holds" act /><DotMark v-else />
              <b class="font-strong">{{ j.title }}</b>
            </p>
            <p v-for="l in off(j)" :key="l.aspect" class="pl-5">
              <StopsText v-if="l.remedy" :text="settings.printed(l.remedy)" />
            </p>
            <p v-if="j.added.length" class="pl-5 text-quiet">
              {{ j.added.join(', ') }}: not in {{ j.run ? 'the recorded shot' : report.reference }}
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
              @changed="$emit('changed', $event)"
            />
          </td>
        </tr>
      </template>
    </tbody>
  </table>
</template>

<style scoped>
.seen {
  display: flex;
  gap: 2px;
  margin-bottom: 3px;
}
.picture {
  width: 128px;
}
.bust {
  width: 54px;
  height: 72px;
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
@media (800px <= width < 1200px) {
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
@media (800px <= width < 1100px) {
  .report tr {
    grid-template-columns: 104px repeat(4, minmax(0, 1fr));
  }
  .report tr > :nth-child(2) {
    display: none;
  }
}
@media (width < 800px) {
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
</style>
