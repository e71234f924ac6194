<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { answer, api } from '@/api/client'
import { outdate, useRead } from '@/api/reads'
import ActionButton from '@/components/layout/ActionButton.vue'
import ConnectionState from '@/components/layout/ConnectionState.vue'
import SpineButton from '@/components/layout/SpineButton.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import WhatIsWrong from '@/components/meter/WhatIsWrong.vue'
import RunStill from '@/components/match/RunStill.vue'
import VerdictPane from '@/components/match/VerdictPane.vue'
import { onPaper } from '@/lib/actions'
import { signed } from '@/lib/print'
import { useSubmit } from '@/lib/useSubmit'
import { when } from '@/lib/words'
import { useConnection } from '@/stores/connection'
import { useSession } from '@/stores/session'
import { useSettings } from '@/stores/settings'

/** Whether a rebuilt shot is the same light: what is still to be read, each light alone, the whole, and who signs for it. */
const props = defineProps<{ runId: number }>()
defineEmits<{ spine: [] }>()
const connection = useConnection()
const session = useSession()
const router = useRouter()
const settings = useSettings()
const { data: verdict, problem: unread, show, again } = useRead('verdict', () => ({ runId: props.runId }))
const { busy, error, submit } = useSubmit()
const problem = computed(() => error.value || unread.value)
watch(
  () => verdict.value?.match.shotId,
  (id) => id && connection.viewShot(id),
)

const byEye = ref('')
const unproved = computed(() => verdict.value?.match.standing === 'NOT_PROVED')

function sign() {
  const body = { seen: verdict.value?.match.standing, byEye: (unproved.value && byEye.value.trim()) || undefined }
  void submit(async () => {
    show(await answer(api.POST('/api/runs/{id}/sign', { params: { path: { id: props.runId } }, body })))
    await outdate({ topics: ['RUNS'] }, undefined, 'verdict')
  })
}
</script>

<template>
  <div class="view">
    <div v-if="verdict" class="body flex-1 min-h-0 overflow-auto">
      <header class="head flex flex-wrap gap-2 items-center py-3 px-5">
        <SpineButton @click="$emit('spine')" />
        <div class="min-w-0 grow">
          <h1 class="text-head">{{ verdict.match.slate }}, {{ verdict.run.name }}: is it the same light?</h1>
          <p class="text-quiet">
            Sc. {{ verdict.scene.number }} {{ verdict.scene.heading }}; {{ verdict.match.description }}
          </p>
        </div>
        <ConnectionState />
        <ActionButton
          :action="
            onPaper([
              { name: 'Verdict', path: `/api/runs/${runId}/paper/verdict` },
              { name: 'Lights', path: `/api/runs/${runId}/paper/lights`, kinds: ['csv'] },
              { name: 'Reading log', path: `/api/shots/${verdict.match.shotId}/paper/readings?run=${runId}` },
            ])
          "
        />
        <RouterLink
          class="button"
          :to="{ name: 'rebuild', params: { id: verdict.match.shotId }, query: { run: runId } }"
          >To the steps</RouterLink
        >
        <RouterLink class="button" :to="{ name: 'match', params: { id: verdict.match.shotId } }"
          >To the scene’s report</RouterLink
        >
      </header>
      <p class="px-5 text-title">
        <WedgeMark v-if="!verdict.match.holds" act class="mr-1 inline" />{{ ' ' }}
        <b class="font-strong">{{ verdict.match.title }}</b> {{ verdict.done }} of {{ verdict.steps }} steps done.
      </p>
      <p v-if="verdict.undone?.length" class="px-5 text-quiet">Not ticked: {{ verdict.undone.join(', ') }}.</p>
      <p v-if="verdict.run.signed && (verdict.revision ?? 1) > 1" class="px-5 text-quiet">
        Against revision {{ verdict.revision }} of the record.
      </p>
      <section v-if="verdict.toTake.length && !verdict.run.signed" class="px-5 py-2" aria-label="Still to read">
        <h2 class="text-lead">Still to read</h2>
        <ul class="list-disc pl-5">
          <li v-for="t in verdict.toTake" :key="t">{{ t }}</li>
        </ul>
        <RouterLink
          class="button mt-2"
          :to="{ name: 'meter', params: { id: verdict.match.shotId }, query: { run: runId } }"
          >To the meter</RouterLink
        >
      </section>
      <WhatIsWrong
        v-if="!verdict.run.signed || verdict.diagnosis"
        :run-id="runId"
        :kept="verdict.diagnosis"
        @read="
          (line) => router.push({ name: 'meter', params: { id: verdict!.match.shotId }, query: { run: runId, line } })
        "
      />
      <section class="px-5 py-2" aria-label="Each light alone">
        <h2 class="text-lead">Each light alone, against the record</h2>
        <table class="heads">
          <thead>
            <tr>
              <th>Light</th>
              <th>stops</th>
              <th>mired</th>
              <th>Duv</th>
              <th>verdict</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="h in verdict.heads" :key="h.key" :data-head="h.key" :data-verdict="h.verdict">
              <th scope="row">{{ h.name }}</th>
              <td class="figure">{{ h.kStops === undefined ? '' : signed(h.kStops, 1) }}</td>
              <td class="figure">{{ h.mired === undefined ? '' : signed(h.mired, 0) }}</td>
              <td class="figure">{{ h.duv === undefined ? '' : signed(h.duv, 4) }}</td>
              <td>
                <template v-if="h.verdict === 'OUT'"
                  ><WedgeMark act class="mr-1 inline" /> <b class="font-strong">Not as recorded.</b>
                  {{
                    h.likely.length ? `Likely: ${h.likely.join('; or ')}.` : 'No single cause of the stock explains it.'
                  }}</template
                >
                <span v-else :class="{ 'text-quiet': h.verdict === 'UNKNOWN' }">{{
                  h.verdict === 'HOLDS' ? 'holds' : 'not read'
                }}</span>
              </td>
            </tr>
          </tbody>
        </table>
      </section>
      <section v-if="verdict.otherwise.length" class="px-5 py-2" aria-label="Not as recorded">
        <h2 class="text-lead">Not as recorded, and known</h2>
        <p v-for="o in verdict.otherwise" :key="o.name">
          <b class="font-strong">{{ o.name }}</b>: {{ o.now.map((w) => settings.printed(w)).join(', ') }}.
          <span class="text-quiet">{{ o.why }}</span>
        </p>
      </section>
      <RunStill
        :run-id="runId"
        :shot-id="verdict.match.shotId"
        :slate="verdict.match.slate"
        :editable="session.may('NOTE') && !verdict.run.signed"
      />
      <VerdictPane
        :judged="verdict.match"
        :reference="verdict.match.slate"
        :editable="session.may('EDIT') && !verdict.run.signed"
        @changed="again"
      />
      <footer class="flex flex-wrap gap-2.5 items-center py-3 px-5 border-t border-line">
        <p v-if="problem" role="alert"><WedgeMark act class="mr-1 inline" /> {{ problem }}</p>
        <p v-if="verdict.run.signed">
          <b class="font-strong">Signed by {{ verdict.run.signed.author }}, {{ when(verdict.run.signed.at) }}.</b>
          {{ verdict.run.signed.said }}
        </p>
        <form v-else-if="session.may('LEAD')" class="flex flex-wrap gap-2.5 items-end" @submit.prevent="sign">
          <label v-if="unproved" class="min-w-72"
            ><span class="block text-small text-quiet">Why it is signed though nobody read it</span
            ><input v-model="byEye" class="field w-full" maxlength="500" placeholder="looked at it with the operator"
          /></label>
          <button class="button" :class="{ 'button-main': !unproved }" :disabled="busy || (unproved && !byEye.trim())">
            {{ unproved ? 'Sign as not proved, by eye' : 'Sign this verdict' }}
          </button>
          <span class="text-quiet">Signed, the rebuild is closed and stays as it is.</span>
        </form>
        <p v-else class="text-quiet">A lead signs the verdict.</p>
      </footer>
    </div>
    <p v-else class="m-auto text-quiet" role="status">{{ problem || 'Comparing…' }}</p>
  </div>
</template>

<style scoped>
.heads th,
.heads td {
  padding: 4px 24px 4px 0;
  text-align: left;
  border-bottom: 1px solid var(--line);
}
.heads tbody th {
  white-space: nowrap;
}
.heads thead th {
  font-weight: 400;
  color: var(--quiet);
}
@media (width < 800px) {
  .heads thead {
    display: none;
  }
  .heads tr {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 56px 56px 72px;
    padding: 4px 0;
    border-bottom: 1px solid var(--line);
  }
  .heads th,
  .heads td {
    padding: 1px 0;
    border: 0;
  }
  .heads td:last-child {
    grid-column: 1 / -1;
  }
}
</style>
