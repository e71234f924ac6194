<script setup lang="ts">
import { ref, watch } from 'vue'
import { answer, api, asFile } from '@/api/client'
import type { components } from '@/api/generated/schema'
import type { PatchPlan } from '@/api/types'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { readFigures } from '@/lib/figures'
import { useSubmit } from '@/lib/useSubmit'
import { usePlot } from '@/stores/plot'

/** New addresses for all that is on the network, or a patch from a table: looked at first, then kept all at once. */
const props = defineProps<{ shotId: number; locked: boolean }>()
const plot = usePlot()

const ORDERS: { key: components['schemas']['PlanBody']['order']; name: string }[] = [
  { key: 'ADDRESS', name: 'as patched, gaps closed' },
  { key: 'POSITION', name: 'by position, left to right' },
  { key: 'ROLE', name: 'by role' },
  { key: 'POWER', name: 'by power' },
]
const order = ref<components['schemas']['PlanBody']['order']>('ROLE')
const universe = ref('1')
const address = ref('1')
const every = ref('1')
const plan = ref<PatchPlan>()
const { error: problem, submit } = useSubmit()
watch(
  () => props.shotId,
  () => (plan.value = undefined),
)

async function ask(get: () => Promise<PatchPlan>) {
  plan.value = undefined
  await submit(async () => {
    plan.value = await get()
  })
}
function show() {
  void ask(async () => {
    const [from, first, step] = (await readFigures(
      { kind: 'WHOLE', text: universe.value, of: 'Universe' },
      { kind: 'WHOLE', text: address.value, of: 'Address' },
      { kind: 'WHOLE', text: every.value, of: 'Step' },
    )) as [number, number, number]
    const params = { path: { shotId: props.shotId } }
    const body = { order: order.value, universe: from, address: first, every: step }
    return answer(api.POST('/api/shots/{shotId}/patch/plan', { params, body }))
  })
}
function read(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  const params = { path: { shotId: props.shotId } }
  if (file) void ask(() => answer(api.POST('/api/shots/{shotId}/patch/read', { params, ...asFile(file) })))
  input.value = ''
}
function keep() {
  void submit(async () => {
    await plot.recordAll(plan.value!.changes.map((c) => ({ placement: c.key, attribute: 'PATCH', value: c.value })))
    plan.value = undefined
  })
}
</script>

<template>
  <section aria-label="Addresses one after the other">
    <h2 class="text-lead">Addresses one after the other</h2>
    <form class="grid grid-cols-3 gap-2" @submit.prevent="show">
      <label class="col-span-3"
        ><span class="text-fine text-quiet">order</span
        ><select v-model="order" class="field">
          <option v-for="o in ORDERS" :key="o.key" :value="o.key">{{ o.name }}</option>
        </select></label
      >
      <label
        ><span class="text-fine text-quiet">from universe</span
        ><input v-model="universe" class="field figure text-right" inputmode="numeric"
      /></label>
      <label
        ><span class="text-fine text-quiet">address</span
        ><input v-model="address" class="field figure text-right" inputmode="numeric"
      /></label>
      <label
        ><span class="text-fine text-quiet">in steps of</span
        ><input v-model="every" class="field figure text-right" inputmode="numeric"
      /></label>
      <button class="button col-span-3" type="submit">Show what would change</button>
    </form>
    <div class="mt-2 flex flex-wrap gap-2">
      <a class="button" :href="`/api/shots/${shotId}/patch.csv`">Out as CSV</a>
      <label class="button" :class="{ 'opacity-60': locked }"
        >In from CSV<input type="file" class="sr-only" accept=".csv,text/csv" :disabled="locked" @change="read"
      /></label>
    </div>
    <p v-if="problem" role="alert" class="mt-2"><WedgeMark act class="mr-1 inline" /> {{ problem }}</p>
    <div v-if="plan" class="mt-2" role="status">
      <p v-if="!plan.changes.length">Nothing would change.</p>
      <table v-else class="w-full">
        <tbody>
          <tr v-for="c in plan.changes" :key="c.key">
            <th scope="row" class="pr-2 text-left font-strong">{{ c.name }}</th>
            <td class="figure text-quiet">{{ c.from }}</td>
            <td class="px-1 text-quiet">to</td>
            <td class="figure">{{ c.to }}</td>
          </tr>
        </tbody>
      </table>
      <p v-for="p in plan.problems" :key="p" class="mt-1"><WedgeMark act class="mr-1 inline" /> {{ p }}</p>
      <p v-for="c in plan.conflicts" :key="c" class="mt-1"><WedgeMark class="mr-1 inline" /> Then: {{ c }}</p>
      <div class="mt-2 flex gap-2">
        <button class="button" @click="plan = undefined">Not that</button
        ><button v-if="plan.changes.length" class="button button-main" :disabled="locked" @click="keep">
          Keep {{ plan.changes.length }}
        </button>
      </div>
    </div>
  </section>
</template>
