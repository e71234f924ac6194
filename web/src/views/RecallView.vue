<script setup lang="ts">
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { RouterLink } from 'vue-router'
import { call, sentence } from '@/api/client'
import type { AttributeValue, DriftView, RecallPreview, ReadBackView } from '@/api/types'
import ConflictDialog from '@/components/dialogs/ConflictDialog.vue'
import SlateBar from '@/components/layout/SlateBar.vue'
import SpineButton from '@/components/layout/SpineButton.vue'
import UndoButtons from '@/components/layout/UndoButtons.vue'
import ViewTabs from '@/components/layout/ViewTabs.vue'
import ReasonPicker from '@/components/inspector/ReasonPicker.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import ArmDialog from '@/components/recall/ArmDialog.vue'
import SimulatedRig from '@/components/recall/SimulatedRig.vue'
import { useConnection } from '@/stores/connection'
import { useOutput } from '@/stores/output'
import { usePlot } from '@/stores/plot'
import { useSession } from '@/stores/session'

/** What a recall would change, what is sent now, and what the rig says of itself beside the record. */
const props = defineProps<{ shotId: number }>()
defineEmits<{ spine: [] }>()
const LOOK_MS = 2000

const plot = usePlot()
const connection = useConnection()
const output = useOutput()
const session = useSession()
const preview = ref<RecallPreview>()
const beside = ref<ReadBackView>()
const problem = ref('')
const noRig = ref('')
const arming = ref(false)
const fade = ref('2')
const priority = ref('100')
const warned = ref(false)
const busy = ref(false)
const looks = ref(0)
const filter = ref('')

const may = computed(() => session.may('PATCH'))
const live = computed(() => output.now?.live)
const here = computed(() => live.value?.shotId === props.shotId)
const changing = computed(() => preview.value?.overNetwork.filter((u) => u.changes).length ?? 0)
const rows = computed(() => {
  const order = new Map((plot.plot?.placements ?? []).map((p, i) => [p.placement.key, i]))
  return (preview.value?.overNetwork ?? [])
    .filter((u) => u.name.toLowerCase().includes(filter.value.trim().toLowerCase()))
    .sort((a, b) => (order.get(a.key) ?? 0) - (order.get(b.key) ?? 0))
    .map((u) => ({ ...u, drift: beside.value?.drift.filter((d) => d.key === u.key) ?? [] }))
})
const takeable = computed(() => beside.value?.drift.flatMap(changes) ?? [])
/** A level or a colour is the record's; where a light listens and its menu are the control's. */
const mayTake = (d: DriftView) => (d.attribute === 'PATCH' || d.attribute === 'MENU' ? !plot.patchLocked : !plot.locked)

async function load() {
  const id = props.shotId
  /* both at once: they are shown beside each other */
  const [now, answer] = await Promise.allSettled([
    call<RecallPreview>('GET', `/api/shots/${id}/recall`, { now: true }),
    call<ReadBackView>('GET', `/api/shots/${id}/readback`, { now: true }),
  ])
  if (id !== props.shotId) return
  if (now.status === 'rejected') {
    problem.value = sentence(now.reason)
    return
  }
  preview.value = now.value
  beside.value = answer.status === 'fulfilled' ? answer.value : undefined
  noRig.value = answer.status === 'fulfilled' ? '' : sentence(answer.reason)
  looks.value++
}
watch(
  () => props.shotId,
  (id) => {
    preview.value = beside.value = undefined
    problem.value = ''
    warned.value = false
    void plot.load(id)
  },
  { immediate: true },
)
watch(
  () => plot.plot,
  () => {
    problem.value = ''
    void load()
    void output.load()
  },
  { immediate: true },
)
watch(
  () => [output.now?.armed, live.value?.slate, live.value?.done === 1],
  () => void load(),
)
/* what stands on the rig changes without anybody's edit */
const looking = setInterval(() => document.visibilityState === 'visible' && output.now?.rig && void load(), LOOK_MS)
onBeforeUnmount(() => clearInterval(looking))
onBeforeUnmount(connection.onReconnect(() => void load()))

async function recall() {
  const [seconds, wanted] = [fade.value, priority.value].map((t) => Number(t.replace(',', '.')))
  if (Number.isNaN(seconds) || !Number.isInteger(wanted)) {
    problem.value = 'The fade is in seconds, such as 2; the priority a whole number up to 200, usually 100.'
    return
  }
  busy.value = true
  problem.value = (await output.recall(props.shotId, {
    fadeSeconds: seconds!,
    priority: wanted!,
    stateDigest: preview.value!.stateDigest,
    warned: warned.value,
  }))
    ? ''
    : output.problem
  busy.value = false
  await load()
}
async function sendAgain(keys: string[]) {
  busy.value = true
  try {
    beside.value = await call<ReadBackView>('POST', `/api/shots/${props.shotId}/readback`, { body: { keys } })
    problem.value = ''
    await output.load()
  } catch (failure) {
    problem.value = sentence(failure)
  }
  busy.value = false
  await load()
}
function changes(d: DriftView) {
  const found: {
    placement: string
    attribute: 'STANDING' | NonNullable<DriftView['attribute']>
    value: AttributeValue
  }[] = []
  if (d.status) found.push({ placement: d.key, attribute: 'STANDING', value: d.status })
  if (d.rigs && d.attribute) found.push({ placement: d.key, attribute: d.attribute, value: d.rigs })
  return found
}
async function take(all: ReturnType<typeof changes>) {
  try {
    await plot.keepAll(all)
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
    <SpineButton v-else @click="$emit('spine')" />
    <ViewTabs :shot-id="shotId"><UndoButtons /></ViewTabs>
    <div v-if="preview" class="panes">
      <div class="main">
        <section class="now" :class="{ live }" aria-label="Output">
          <div class="grow">
            <p class="text-[22px] leading-7 font-[650]" role="status">
              {{
                live
                  ? here
                    ? `${live.slate} is live`
                    : `${live.slate} is live, not ${preview.slate}`
                  : output.now?.armed
                    ? 'Armed, nothing is sent'
                    : 'Output is off'
              }}
            </p>
            <p class="text-quiet">
              <template v-if="live"
                >{{ live.universes }} {{ live.universes === 1 ? 'universe' : 'universes' }} on
                {{ output.now?.armed?.outlet }} at priority {{ live.priority }}, by {{ live.by
                }}<template v-if="live.done < 1">; fading, {{ Math.round(live.done * 100) }} %</template></template
              >
              <template v-else-if="output.now?.armed"
                >on {{ output.now.armed.outlet }}, by {{ output.now.armed.by }}</template
              >
              <template v-else>Nothing leaves this machine until it is armed.</template>
            </p>
            <progress v-if="live && live.done < 1" :value="live.done" max="1" class="w-full" aria-label="Fade" />
          </div>
          <button v-if="!output.now?.armed" class="button" :disabled="!may || connection.lost" @click="arming = true">
            Arm output…
          </button>
          <button v-else class="button stop" :disabled="connection.lost" @click="output.stop()">Stop all</button>
        </section>
        <p v-if="connection.lost && live" class="note"><WedgeMark act /> {{ output.said }}.</p>
        <p v-if="output.now?.interruption" class="note"><WedgeMark act /> {{ output.now.interruption }}</p>
        <p v-if="output.now?.sendError" class="note"><WedgeMark act /> {{ output.now.sendError }}</p>
        <p v-if="live?.revised" class="note"><WedgeMark /> {{ live.revised }}</p>
        <p v-if="problem" role="alert" class="note"><WedgeMark act /> {{ problem }}</p>
        <p v-for="s in beside?.sources ?? []" :key="s" class="note"><WedgeMark act /> {{ s }}</p>
        <form class="recall" @submit.prevent="recall">
          <label
            ><span class="text-[11px] text-quiet">fade, seconds</span
            ><input v-model="fade" class="field figure text-right" inputmode="decimal"
          /></label>
          <label
            ><span class="text-[11px] text-quiet">priority</span
            ><input v-model="priority" class="field figure text-right" inputmode="numeric"
          /></label>
          <div class="grow">
            <p v-for="c in preview.cautions" :key="c" class="flex gap-2"><WedgeMark act /> {{ c }}</p>
            <label v-if="preview.cautions.length" class="flex min-h-8 items-center gap-2"
              ><input v-model="warned" type="checkbox" /> Cast and crew are warned</label
            >
          </div>
          <p class="text-quiet">
            {{
              !preview.asked
                ? 'what stands now is not known'
                : changing
                  ? `${changing} of ${preview.overNetwork.length} would change`
                  : 'nothing would change'
            }}
          </p>
          <button
            class="button button-main"
            type="submit"
            :disabled="!may || busy || connection.lost || !output.now?.armed"
          >
            Recall {{ preview.slate }}
          </button>
        </form>
        <div class="flex flex-wrap items-center gap-2 px-4 pt-3">
          <h2 class="text-[15px]" role="status">
            {{
              noRig ||
              (beside
                ? beside.drift.length
                  ? `${beside.agree} of ${beside.asked} stand as recorded`
                  : `All ${beside.asked} stand as recorded`
                : 'Asking the rig…')
            }}
          </h2>
          <span class="grow" />
          <input
            v-if="preview.overNetwork.length > 8"
            v-model="filter"
            class="field !w-40"
            placeholder="filter"
            aria-label="Filter the lights"
          />
          <template v-if="beside?.drift.length">
            <button class="button" :disabled="!may || busy" @click="sendAgain([])">Send the record again</button>
            <button
              v-if="takeable.length"
              class="button"
              :disabled="plot.locked"
              :title="`What stands now becomes ${preview.slate}`"
              @click="take(takeable)"
            >
              Snapshot: take all {{ takeable.length }}
            </button>
          </template>
        </div>
        <table class="mt-1 w-full">
          <thead>
            <tr>
              <th>Light</th>
              <th>Record</th>
              <th>Stands at</th>
              <th>What differs</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="u in rows" :key="u.key" :class="{ differs: u.drift.length }">
              <th scope="row">{{ u.name }}</th>
              <td class="figure">{{ u.then }}</td>
              <td class="figure" :class="{ 'text-quiet': !u.drift.length }">{{ u.now ?? 'not known' }}</td>
              <td>
                <div v-for="d in u.drift" :key="d.sentence" class="drift">
                  <WedgeMark /><span class="grow">{{ d.sentence }}</span>
                  <button
                    v-if="d.bySending"
                    class="button"
                    :disabled="!may || busy"
                    :aria-label="`Send the record of ${u.name} again`"
                    @click="sendAgain([u.key])"
                  >
                    Send again
                  </button>
                  <button
                    v-if="changes(d).length"
                    class="button"
                    :disabled="!mayTake(d)"
                    :aria-label="`Take the rig’s ${d.attribute?.toLowerCase()} of ${u.name}`"
                    @click="take(changes(d))"
                  >
                    Take the rig’s
                  </button>
                </div>
                <span v-if="!u.drift.length && beside" class="text-quiet">as recorded</span>
              </td>
            </tr>
          </tbody>
        </table>
        <p v-if="!preview.overNetwork.length" class="p-4 text-quiet">
          No light of {{ preview.slate }} is on the network.
          <RouterLink class="underline" :to="{ name: 'patch', params: { id: shotId } }">Give one an address</RouterLink>
          to recall it.
        </p>
      </div>
      <aside class="side">
        <section v-if="plot.based && !plot.patchLocked"><ReasonPicker /></section>
        <section aria-label="By hand">
          <h2 class="text-[15px]">For the person at the head or on the app</h2>
          <p v-if="!preview.atFixture.length" class="text-quiet">Nothing: the network reaches all of it.</p>
          <ul>
            <li v-for="h in preview.atFixture" :key="h.key" class="mt-1">
              <b class="font-[650]">{{ h.name }}</b> <span class="figure">{{ h.what.join(', ') }}</span>{{ ' ' }}
              <span class="text-quiet">{{ h.where }}</span>
            </li>
          </ul>
        </section>
        <section v-if="preview.conflicts.length" aria-label="Conflicts">
          <h2 class="text-[15px]">What will not work</h2>
          <p v-for="c in preview.conflicts" :key="c" class="mt-1 flex gap-2"><WedgeMark act /> {{ c }}</p>
          <RouterLink class="underline" :to="{ name: 'patch', params: { id: shotId } }">Mend it in Patch</RouterLink>
        </section>
        <SimulatedRig v-if="output.now?.rig" :shot-id="shotId" :slate="preview.slate" :at="looks" @changed="load" />
      </aside>
    </div>
    <p v-else class="m-auto text-quiet" role="status">{{ problem || 'Looking at what a recall would change…' }}</p>
    <ArmDialog :open="arming" @close="arming = false" />
    <ConflictDialog />
  </div>
</template>

<style scoped>
.now {
  display: flex;
  align-items: center;
  gap: 16px;
  padding: 12px 16px;
  border-bottom: 1px solid var(--line);
  border-left: 6px solid var(--line);
}
.now.live {
  border-left-color: var(--ink);
}
.stop {
  background: var(--ink);
  color: var(--ground);
  font-weight: 650;
}
.note,
.drift {
  display: flex;
  gap: 8px;
  align-items: flex-start;
}
.note {
  padding: 8px 16px 0;
}
.recall {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: 12px;
  padding: 10px 16px;
  border-bottom: 1px solid var(--line);
}
.recall .field {
  width: 84px;
}
.recall label:has(.figure) {
  display: grid;
}
th,
td {
  padding: 5px 8px;
  text-align: left;
  vertical-align: top;
  border-bottom: 1px solid var(--line);
}
th:first-child {
  padding-left: 16px;
}
thead th {
  font-weight: 400;
  color: var(--quiet);
}
tbody th {
  font-weight: 650;
}
progress {
  height: 6px;
  appearance: none;
  background: var(--line);
}
progress::-webkit-progress-bar {
  background: var(--line);
}
progress::-webkit-progress-value {
  background: var(--ink);
}
progress::-moz-progress-bar {
  background: var(--ink);
}
@media (width >= 700px) {
  tbody th,
  tbody td:nth-of-type(1) {
    white-space: nowrap;
  }
}
@media (width < 700px) {
  thead {
    display: none;
  }
  tr {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    border-bottom: 1px solid var(--line);
  }
  th,
  td {
    padding: 3px 16px;
    border: 0;
  }
  th,
  td:last-child {
    grid-column: 1 / -1;
  }
  .drift {
    flex-wrap: wrap;
  }
}
</style>
