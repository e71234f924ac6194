<script setup lang="ts">
import { ref, watch } from 'vue'
import { answer, api, onVersion, sentence } from '@/api/client'
import type { Aspect, ShotVerdict, VerdictLine, MatchReport } from '@/api/types'
import StopsText from '@/components/marks/StopsText.vue'
import { readFigures } from '@/lib/figures'
import { plain } from '@/lib/print'
import { useSubmit } from '@/lib/useSubmit'
import { apart } from '@/lib/words'
import { useSettings } from '@/stores/settings'
import ToleranceMark from './ToleranceMark.vue'

/** All that a shot is judged by, with its tolerances, what to do, and what was called right by eye. */
const props = defineProps<{ judged: ShotVerdict; reference: string; editable: boolean }>()
const emit = defineEmits<{ changed: [report: MatchReport] }>()
const settings = useSettings()
const { error: problem, submit } = useSubmit()
const saying = ref<Aspect>()
const reason = ref('')
const setting = ref<Aspect>()
const limit = ref('')
watch(
  () => [props.judged.shotId, props.judged.run?.id],
  () => {
    saying.value = undefined
    setting.value = undefined
    problem.value = ''
  },
)

function attempt(action: () => Promise<MatchReport>) {
  return submit(async () => {
    emit('changed', await action())
    saying.value = undefined
    setting.value = undefined
  })
}
const eye = (aspect: Aspect) => ({
  path: { shotId: props.judged.shotId, aspect },
  query: { run: props.judged.run?.id },
})
function say({ aspect }: VerdictLine) {
  const body = { reason: reason.value }
  void attempt(() => answer(api.PUT('/api/shots/{shotId}/by-eye/{aspect}', { params: eye(aspect), body })))
}
function unsay({ aspect }: VerdictLine) {
  void attempt(() => answer(api.DELETE('/api/shots/{shotId}/by-eye/{aspect}', { params: eye(aspect) })))
}
function judge(closeness: ShotVerdict['closeness'], own: Record<string, number>) {
  const { shotId, version } = props.judged
  const params = { path: { shotId }, header: onVersion(version) }
  void attempt(() => answer(api.PUT('/api/shots/{shotId}/match', { params, body: { closeness, own } })))
}
async function keepLimit(aspect: Aspect) {
  const read = await readFigures({ kind: 'NUMBER', text: limit.value, of: 'Tolerance' }).catch(
    (failure) => void (problem.value = sentence(failure)),
  )
  if (read) judge(props.judged.closeness, { ...props.judged.own, [aspect]: read[0]! })
}
function usual(aspect: Aspect) {
  judge(props.judged.closeness, Object.fromEntries(Object.entries(props.judged.own).filter(([of]) => of !== aspect)))
}
</script>

<template>
  <section class="pt-2.5 pb-3.5 px-5 overflow-x-auto" :aria-label="`${judged.slate} against ${reference}`">
    <header class="flex flex-wrap items-center gap-3">
      <h2 class="text-lead">
        {{ judged.slate }}<template v-if="judged.run">, {{ judged.run.name }}</template> against
        {{ judged.run ? 'its record' : reference }}
      </h2>
      <div v-if="editable" class="ml-auto flex gap-1" role="group" aria-label="How close it has to come">
        <button
          class="button"
          :aria-pressed="judged.closeness === 'HOLD'"
          :class="{ chosen: judged.closeness === 'HOLD' }"
          @click="judge('HOLD', judged.own)"
        >
          hold
        </button>
        <button
          class="button"
          :aria-pressed="judged.closeness === 'SWEETEN'"
          :class="{ chosen: judged.closeness === 'SWEETEN' }"
          @click="judge('SWEETEN', judged.own)"
        >
          sweeten
        </button>
      </div>
    </header>
    <p v-if="problem" role="alert" class="mt-1">{{ problem }}</p>
    <table class="mt-1 w-full">
      <thead>
        <tr>
          <th />
          <th>recorded</th>
          <th>now</th>
          <th>off by</th>
          <th>within</th>
          <th />
          <th>what to do</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="line in judged.lines" :key="line.aspect" :data-aspect="line.aspect" :data-verdict="line.verdict">
          <th scope="row">{{ line.label }}</th>
          <td v-for="(f, i) in [line.recorded, line.now]" :key="i" class="figure whitespace-nowrap">
            <template v-if="f"
              >{{ apart(f.said).figure }}<span class="unit">{{ apart(f.said).unit }}</span
              >{{ ' ' }} <span class="kind">{{ f.metered ? 'metered' : 'predicted' }}</span></template
            >
            <span v-else class="text-quiet">not known</span>
          </td>
          <td class="figure whitespace-nowrap">{{ line.differenceSaid }}</td>
          <td class="whitespace-nowrap">
            <form v-if="setting === line.aspect" class="flex gap-1" @submit.prevent="keepLimit(line.aspect)">
              <input v-model="limit" class="field !w-20" :aria-label="`Tolerance for ${line.label}`" /><button
                class="button"
              >
                Set
              </button>
            </form>
            <button
              v-else-if="editable"
              class="text-left underline decoration-dotted"
              @click="((setting = line.aspect), (limit = plain(line.tolerance, 4)))"
            >
              {{ line.toleranceSaid }}
            </button>
            <template v-else>{{ line.toleranceSaid }}</template>
            <button
              v-if="
                editable && (judged.own as Record<string, number>)[line.aspect] !== undefined && setting !== line.aspect
              "
              class="ml-1 text-quiet underline"
              @click="usual(line.aspect)"
            >
              usual
            </button>
          </td>
          <td><ToleranceMark :line="line" /></td>
          <td class="remedy min-w-60 phone:col-span-full phone:min-w-0">
            <template v-if="line.waiver"
              ><b class="font-strong">{{ line.waiver.cause === 'CHEAT' ? 'A cheat' : 'Right by eye' }}</b
              >: {{ line.waiver.reason }} <span class="text-quiet">({{ line.waiver.author }})</span>{{ ' ' }}
              <button v-if="editable && line.waiver.cause === 'BY_EYE'" class="underline" @click="unsay(line)">
                take back
              </button></template
            >
            <form v-else-if="saying === line.aspect" class="flex gap-1" @submit.prevent="say(line)">
              <input
                v-model="reason"
                class="field"
                maxlength="500"
                aria-label="Why it is right by eye"
                placeholder="why it is right"
              /><button class="button">Say it</button>
            </form>
            <template v-else-if="line.verdict === 'OUT'"
              ><StopsText :text="line.remedy ? settings.printed(line.remedy) : `${line.say}.`" />{{ ' ' }}
              <button v-if="editable" class="underline" @click="((saying = line.aspect), (reason = ''))">
                right by eye…
              </button></template
            >
            <span v-else class="text-quiet">{{ line.verdict === 'HOLDS' ? 'holds' : 'cannot be told' }}</span>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
th,
td {
  padding: 4px 10px 4px 0;
  text-align: left;
  border-bottom: 1px solid var(--line);
}
thead th {
  font-weight: 400;
  color: var(--quiet);
}
tbody th {
  font-weight: 400;
  white-space: nowrap;
}
.kind {
  font: 400 var(--text-fine) var(--font-sans);
  color: var(--quiet);
}
@media (width < 800px) {
  thead {
    display: none;
  }
  tr {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    gap: 2px 10px;
    padding: 6px 0;
    border-bottom: 1px solid var(--line);
  }
  th,
  td {
    padding: 0;
    border: 0;
  }
  tbody th {
    grid-column: 1 / -1;
    font-weight: var(--font-weight-strong);
  }
}
.chosen {
  border-color: var(--accent);
  font-weight: var(--font-weight-strong);
}
</style>
