<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { call, sentence } from '@/api/client'
import type { RigState } from '@/api/types'
import { useSession } from '@/stores/session'

/** The stand-in for the lights: hangs them as recorded, and lets things go wrong with them. */
const props = defineProps<{ shotId: number; slate: string; at: number }>()
const emit = defineEmits<{ changed: [] }>()
const session = useSession()
const rig = ref<RigState>()
const problem = ref('')
const unit = ref('')
const universe = ref('1')
const may = computed(() => session.may('PATCH'))

const FAULTS = [
  { kind: 'WRONG_MODE', name: 'comes back in another mode' },
  { kind: 'WRONG_ADDRESS', name: 'listens at another address' },
  { kind: 'TWIN', name: 'listens at the address of the first unit' },
  { kind: 'KNOB', name: 'its knob is turned to 62 %' },
  { kind: 'NO_POWER', name: 'loses power' },
  { kind: 'CURVE_RESET', name: 'its curve is reset' },
  { kind: 'LOST_LINK', name: 'loses its link' },
]
const fault = ref('WRONG_MODE')
const chosen = computed(() => rig.value?.units.find((u) => u.answer.unit === unit.value))

async function ask(method: string, path: string, body?: object) {
  try {
    rig.value = await call<RigState>(method, path, { body, now: true })
    problem.value = ''
    if (!chosen.value) unit.value = rig.value.units[0]?.answer.unit ?? ''
    if (method !== 'GET') emit('changed')
  } catch (failure) {
    problem.value = sentence(failure)
  }
}
watch(
  () => props.at,
  () => void ask('GET', '/api/rig'),
  { immediate: true },
)

const named = (name: string) => `/api/rig/units/${encodeURIComponent(name)}/faults`
function fail() {
  const first = rig.value!.units[0]!.answer
  void ask(
    'POST',
    named(unit.value),
    fault.value === 'TWIN'
      ? { kind: 'WRONG_ADDRESS', universe: first.universe, address: first.address }
      : { kind: fault.value },
  )
}
function disturb(kind: string, priority?: number) {
  void ask('POST', '/api/rig/disturbances', { kind, universe: Number(universe.value) || 1, priority })
}
</script>

<template>
  <section aria-label="Simulated rig">
    <h2 class="text-[15px]">The simulated rig</h2>
    <p class="text-quiet">A model that stands in for the lights: no real unit is touched by this.</p>
    <p v-if="problem" role="alert" class="mt-1">{{ problem }}</p>
    <template v-if="rig">
      <p class="mt-1">
        {{ rig.units.length }} units hang; {{ rig.packets.received }} packets heard<template
          v-if="rig.packets.malformed"
          >, {{ rig.packets.malformed }} could not be read</template
        ><template v-if="rig.packets.outOfOrder">, {{ rig.packets.outOfOrder }} came out of order</template
        ><template v-if="rig.packets.flooding">, {{ rig.packets.flooding }} came too fast and were dropped</template>.
      </p>
      <template v-if="may">
        <button class="button mt-1" @click="ask('POST', '/api/rig/units', { shotId })">
          Hang it as recorded in {{ slate }}
        </button>
        <form v-if="rig.units.length" class="mt-2 grid grid-cols-2 gap-2" @submit.prevent="fail">
          <label
            ><span class="text-[11px] text-quiet">unit</span
            ><select v-model="unit" class="field" aria-label="unit">
              <option v-for="u in rig.units" :key="u.answer.unit">{{ u.answer.unit }}</option>
            </select></label
          >
          <label
            ><span class="text-[11px] text-quiet">what goes wrong</span
            ><select v-model="fault" class="field" aria-label="what goes wrong">
              <option v-for="f in FAULTS" :key="f.kind" :value="f.kind">{{ f.name }}</option>
            </select></label
          >
          <button class="button" type="submit">Let it go wrong</button>
          <button class="button" type="button" :disabled="!chosen?.faults.length" @click="ask('DELETE', named(unit))">
            Put {{ unit }} right
          </button>
        </form>
        <div class="mt-2 flex flex-wrap gap-2">
          <button
            v-for="n in rig.nodes"
            :key="n.name"
            class="button"
            @click="ask('PUT', `/api/rig/nodes/${encodeURIComponent(n.name)}`, { up: !n.up })"
          >
            {{ n.up ? `${n.name}: take it off` : `${n.name}: back on` }}
          </button>
        </div>
        <div class="mt-2 flex flex-wrap items-end gap-2">
          <label class="w-20"
            ><span class="text-[11px] text-quiet">universe</span
            ><input v-model="universe" class="field figure" inputmode="numeric"
          /></label>
          <button class="button" @click="disturb('RIVAL', 100)">Another source, same priority</button>
          <button class="button" @click="disturb('RIVAL', 150)">one above ours</button>
          <button class="button" @click="disturb('MALFORMED')">broken packets</button>
          <button class="button" @click="disturb('FLOOD')">a flood</button>
          <button class="button" @click="disturb('QUIET')">All quiet</button>
        </div>
      </template>
    </template>
  </section>
</template>
