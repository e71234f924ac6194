<script setup lang="ts">
import { ref, watch } from 'vue'
import { call, sentence } from '@/api/client'
import type { PatchPlan } from '@/api/types'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { usePlot } from '@/stores/plot'

/** New addresses for all that is on the network, or a patch from a table: looked at first, then kept all at once. */
const props = defineProps<{ shotId: number; locked: boolean }>()
const plot = usePlot()

const ORDERS = [
  { key: 'ADDRESS', name: 'as patched, gaps closed' },
  { key: 'POSITION', name: 'by position, left to right' },
  { key: 'ROLE', name: 'by role' },
  { key: 'POWER', name: 'by power' },
]
const order = ref('ROLE')
const universe = ref('1')
const address = ref('1')
const every = ref('1')
const plan = ref<PatchPlan>()
const problem = ref('')
watch(
  () => props.shotId,
  () => (plan.value = undefined),
)

async function ask(get: () => Promise<PatchPlan>) {
  problem.value = ''
  try {
    plan.value = await get()
  } catch (failure) {
    plan.value = undefined
    problem.value = sentence(failure)
  }
}
function show() {
  const figures = [universe.value, address.value, every.value].map(Number)
  if (figures.some((f) => !Number.isInteger(f))) {
    problem.value = 'Universe, address and step are whole numbers.'
    return
  }
  void ask(() =>
    call<PatchPlan>('POST', `/api/shots/${props.shotId}/patch/plan`, {
      body: { order: order.value, universe: figures[0], address: figures[1], every: figures[2] },
    }),
  )
}
function read(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (file) void ask(() => call<PatchPlan>('POST', `/api/shots/${props.shotId}/patch/read`, { body: file }))
  input.value = ''
}
async function keep() {
  try {
    await plot.keepAll(plan.value!.changes.map((c) => ({ placement: c.key, attribute: 'PATCH', value: c.value })))
    plan.value = undefined
  } catch (failure) {
    problem.value = sentence(failure)
  }
}
</script>

<template>
  <section aria-label="Addresses one after the other">
    <h2 class="text-[15px]">Addresses one after the other</h2>
    <form class="grid grid-cols-3 gap-2" @submit.prevent="show">
      <label class="col-span-3"
        ><span class="text-[11px] text-quiet">order</span
        ><select v-model="order" class="field">
          <option v-for="o in ORDERS" :key="o.key" :value="o.key">{{ o.name }}</option>
        </select></label
      >
      <label
        ><span class="text-[11px] text-quiet">from universe</span
        ><input v-model="universe" class="field figure text-right" inputmode="numeric"
      /></label>
      <label
        ><span class="text-[11px] text-quiet">address</span
        ><input v-model="address" class="field figure text-right" inputmode="numeric"
      /></label>
      <label
        ><span class="text-[11px] text-quiet">in steps of</span
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
            <th scope="row" class="pr-2 text-left font-[650]">{{ c.name }}</th>
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
