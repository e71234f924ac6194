<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { answer, api } from '@/api/client'
import { READS, useRead } from '@/api/reads'
import type { ClosedRevision, PastChange } from '@/api/types'
import ReviseDialog from '@/components/dialogs/ReviseDialog.vue'
import ShotPage from '@/components/layout/ShotPage.vue'
import NoteList from '@/components/log/NoteList.vue'
import TakeList from '@/components/log/TakeList.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { undoing, type Action } from '@/lib/actions'
import { useSubmit } from '@/lib/useSubmit'
import { reasonName, when } from '@/lib/words'
import { usePlot } from '@/stores/plot'
import { useSession } from '@/stores/session'
import { useSettings } from '@/stores/settings'

/** What was said, shot and changed in a shot: takes, notes, photographs, revisions, and every change with a way back. */
const props = defineProps<{ shotId: number }>()
defineEmits<{ spine: [] }>()
const plot = usePlot()
const session = useSession()
const settings = useSettings()
const route = useRoute()
const router = useRouter()

const at = computed(() => ({ shotId: props.shotId }))
const of = computed(() => (typeof route.query.of === 'string' ? route.query.of : ''))
const takes = useRead('takes', at)
const revisions = useRead('revisions', at)
const history = useRead('history', () => ({ ...at.value, placement: of.value || undefined }))
/** Changes before those that are read anew with each edit. */
const earlier = shallowRef<{ changes: PastChange[]; older: boolean }>()
const past = computed(() => [...(history.data.value?.changes ?? []), ...(earlier.value?.changes ?? [])])
const older = computed(() => (earlier.value ?? history.data.value)?.older ?? false)
watch(history.data, () => (earlier.value = undefined))

const { error: refused, submit } = useSubmit()
const error = computed(() => refused.value || takes.problem.value || history.problem.value || revisions.problem.value)
const revising = ref(false)
const goingBack = ref<PastChange>()
const things = computed(
  () => plot.plot?.placements.map((p) => ({ key: p.placement.key, name: p.placement.name })) ?? [],
)
const actions = computed((): Action[] => [
  ...undoing(),
  ...(plot.plot?.shot.stage === 'SHOT'
    ? [{ name: 'Open a revision…', disabled: !session.may('EDIT'), run: () => (revising.value = true) }]
    : []),
])

function loadOlder() {
  void submit(async () => {
    const before = past.value.at(-1)?.event
    const page = await READS.history.ask({ ...at.value, placement: of.value || undefined, before }, {})
    earlier.value = { changes: [...(earlier.value?.changes ?? []), ...page.changes], older: page.older }
  })
}

function readAgain() {
  refused.value = ''
  void Promise.all([takes.again(), history.again(), revisions.again()])
}

function goBack() {
  const to = goingBack.value
  goingBack.value = undefined
  if (!to) return
  const body = { event: to.event, placement: of.value || undefined }
  void submit(async () =>
    plot.lay(await answer(api.POST('/api/shots/{shotId}/back', { params: { path: at.value }, body }))),
  )
}

function look(revision: ClosedRevision) {
  void router.push({ name: 'plot', params: { id: props.shotId }, query: { event: revision.lastEvent } })
}
</script>

<template>
  <ShotPage
    :shot-id="shotId"
    :actions="actions"
    @camera="router.push({ name: 'plot', params: { id: shotId } })"
    @spine="$emit('spine')"
  >
    <div v-if="error" class="flex items-start gap-2 border-b border-ink bg-raised px-4 py-2" role="alert">
      <WedgeMark act /><span class="grow">{{ error }}</span
      ><button class="button" @click="readAgain">Try again</button>
    </div>
    <div class="body flex-1 min-h-0 grid grid-cols-[400px_minmax(0,1fr)] upright:block upright:overflow-y-auto">
      <div class="side min-h-0 overflow-y-auto pt-3.5 pb-8 px-4 bg-panel border-r border-line upright:overflow-visible">
        <TakeList :shot-id="shotId" :takes="takes.data.value?.takes ?? []" />
        <NoteList :about="at" :name="plot.plot?.shot.slate ?? ''" :things="things" :chosen="of" />
      </div>
      <div class="main min-h-0 overflow-y-auto pt-3.5 pb-8 px-4 upright:overflow-visible">
        <section v-if="revisions.data.value?.closed.length" class="mb-5">
          <h2 class="text-lead">Revisions</h2>
          <ol>
            <li v-for="r in revisions.data.value.closed" :key="r.number" class="entry">
              <span class="grow"
                ><b class="font-strong">Revision {{ r.number }}</b
                >, as it was shot<span class="block text-small text-quiet"
                  >opened again by {{ r.author }}, {{ when(r.at) }}: {{ r.reason }}</span
                ></span
              >
              <button class="button" @click="look(r)">Look at it</button>
            </li>
            <li class="entry">
              <span
                ><b class="font-strong">Revision {{ revisions.data.value.revision }}</b
                >, the record now</span
              >
            </li>
          </ol>
        </section>
        <section aria-label="History">
          <div class="mb-1 flex items-baseline gap-3">
            <h2 class="text-lead">Every change in {{ plot.plot?.shot.slate }}</h2>
            <select
              class="field !w-44"
              aria-label="Of which thing"
              :value="of"
              @change="router.replace({ query: { of: ($event.target as HTMLSelectElement).value || undefined } })"
            >
              <option value="">of everything</option>
              <option v-for="t in things" :key="t.key" :value="t.key">of {{ t.name }}</option>
            </select>
          </div>
          <p v-if="!past.length" class="text-quiet">
            Nothing was changed here:
            {{ plot.based ? `everything carries from ${plot.based}` : 'nothing is recorded yet' }}.
          </p>
          <ol>
            <li
              v-for="(c, i) in past"
              :key="`${c.event} ${c.kind} ${c.placement} ${c.label} ${c.at}`"
              class="entry past"
            >
              <span class="min-w-0 grow">
                <b class="font-strong">{{ c.name }}</b> {{ c.label }}
                <span v-if="c.kind === 'LOOKED'"
                  >looked at on set: <span class="figure">{{ c.to && settings.printed(c.to) }}</span></span
                >
                <span v-else class="figure"
                  >{{ c.from ? `${settings.printed(c.from)} to ` : ''
                  }}{{ c.to ? settings.printed(c.to) : 'carries again' }}</span
                >
                <span class="block text-small text-quiet"
                  >{{
                    [reasonName(c.reason), c.author, when(c.at), c.importer && `brought in by ${c.importer}`]
                      .filter(Boolean)
                      .join(', ')
                  }}<template v-if="c.note">: {{ c.note }}</template></span
                >
              </span>
              <button
                v-if="i && c.kind === 'CHANGED' && !plot.locked"
                class="button back"
                :aria-label="`Go back to ${c.name} ${c.label}, ${when(c.at)}`"
                @click="goingBack = c"
              >
                Go back to here
              </button>
            </li>
          </ol>
          <button v-if="older" class="button mt-2" @click="loadOlder">Earlier changes</button>
        </section>
      </div>
    </div>
    <ReviseDialog :open="revising" :shot-id="shotId" :slate="plot.plot?.shot.slate ?? ''" @close="revising = false" />
    <div
      v-if="goingBack"
      class="flex items-center gap-2 py-2.5 px-4 bg-raised border-t border-ink"
      role="alertdialog"
      aria-label="Go back"
    >
      <span class="grow"
        >Put {{ of ? things.find((t) => t.key === of)?.name : `all of ${plot.plot?.shot.slate}` }} back to how it was
        after {{ goingBack.author }}’s change of {{ when(goingBack.at) }}? That is a new edit; nothing that came after
        is lost.</span
      >
      <button class="button" @click="goingBack = undefined">No</button>
      <button class="button button-main" @click="goBack">Yes, go back</button>
    </div>
  </ShotPage>
</template>

<style scoped>
.entry {
  display: flex;
  align-items: center;
  gap: 12px;
  min-height: 40px;
  padding: 4px 0;
  border-bottom: 1px solid var(--line);
}
.past .back {
  opacity: 0;
}
.past:hover .back,
.past .back:focus-visible {
  opacity: 1;
}
@media (pointer: coarse) {
  .past .back {
    opacity: 1;
  }
}
</style>
