<script setup lang="ts">
import { computed, ref } from 'vue'
import { answer, api } from '@/api/client'
import { outdate } from '@/api/reads'
import type { AttributeValue, DriftView, ReadBackView, RecallPreview } from '@/api/types'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { useSubmit } from '@/lib/useSubmit'
import { usePlot } from '@/stores/plot'
import { useSession } from '@/stores/session'

/** Each light as recorded and as the rig says that it stands; what differs can be sent again, or taken into the record. */
const props = defineProps<{
  shotId: number
  preview: RecallPreview
  beside?: ReadBackView
  /** Why the rig is not asked. */ noRig: string
}>()
const plot = usePlot()
const session = useSession()
const filter = ref('')
const { busy, error, submit } = useSubmit()

const may = computed(() => session.may('PATCH'))
const rows = computed(() => {
  const order = new Map((plot.plot?.placements ?? []).map((p, i) => [p.placement.key, i]))
  return props.preview.overNetwork
    .filter((u) => u.name.toLowerCase().includes(filter.value.trim().toLowerCase()))
    .sort((a, b) => (order.get(a.key) ?? 0) - (order.get(b.key) ?? 0))
    .map((u) => ({ ...u, drift: props.beside?.drift.filter((d) => d.key === u.key) ?? [] }))
})
const takeable = computed(() => props.beside?.drift.flatMap(changes) ?? [])
/** A level or a colour is the record's; where a light listens and its menu are the control's. */
const mayTake = (d: DriftView) => (d.attribute === 'PATCH' || d.attribute === 'MENU' ? !plot.patchLocked : !plot.locked)

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
/** @param keys whose, or of all when empty */
function sendAgain(keys: string[]) {
  const params = { path: { shotId: props.shotId } }
  void submit(async () => {
    await answer(api.POST('/api/shots/{shotId}/readback', { params, body: { keys } }))
    await outdate({ topics: ['OUTPUT'] })
  })
}
function take(all: ReturnType<typeof changes>) {
  void submit(() => plot.recordAll(all))
}
</script>

<template>
  <p v-if="error" role="alert" class="flex gap-2 px-4 pt-2"><WedgeMark act /> {{ error }}</p>
  <div class="flex flex-wrap items-center gap-2 px-4 pt-3">
    <h2 class="text-lead" role="status">
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
</template>

<style scoped>
.drift {
  display: flex;
  gap: 8px;
  align-items: flex-start;
}
.drift .button {
  flex: none;
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
  font-weight: var(--font-weight-strong);
}
@media (width >= 800px) {
  tbody th,
  tbody td:nth-of-type(1) {
    white-space: nowrap;
  }
}
@media (width < 800px) {
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
