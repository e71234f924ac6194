<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { answer, api } from '@/api/client'
import { outdate, useRead } from '@/api/reads'
import type { RigState } from '@/api/types'
import { useSubmit } from '@/lib/useSubmit'
import { useSession } from '@/stores/session'

/** The stand-in for the lights: hangs them as recorded, and lets things go wrong with them. */
const props = defineProps<{ shotId: number; slate: string }>()
const session = useSession()
const LOOK_MS = 2000
const { data: rig, problem: unread, show } = useRead('rig', {}, { everyMs: () => LOOK_MS })
const { error, submit } = useSubmit()
const problem = computed(() => error.value || unread.value)
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

watch(
  rig,
  (now) => {
    if (!chosen.value) unit.value = now?.units[0]?.answer.unit ?? ''
  },
  { immediate: true },
)

function change(call: () => Promise<RigState>) {
  void submit(async () => {
    show(await call())
    await outdate({ topics: ['OUTPUT'] }, undefined, 'rig')
  })
}
const at = computed(() => ({ params: { path: { unit: unit.value } } }))
const hang = () => change(() => answer(api.POST('/api/rig/units', { body: { shotId: props.shotId } })))
const mend = () => change(() => answer(api.DELETE('/api/rig/units/{unit}/faults', at.value)))
function fail() {
  const { universe: theirs, address } = rig.value!.units[0]!.answer
  const body = fault.value === 'TWIN' ? { kind: 'WRONG_ADDRESS', universe: theirs, address } : { kind: fault.value }
  change(() => answer(api.POST('/api/rig/units/{unit}/faults', { ...at.value, body })))
}
function turn({ name, up }: RigState['nodes'][number]) {
  change(() => answer(api.PUT('/api/rig/nodes/{name}', { params: { path: { name } }, body: { up: !up } })))
}
function disturb(kind: string, priority?: number) {
  const body = { kind, universe: Number(universe.value) || 1, priority }
  change(() => answer(api.POST('/api/rig/disturbances', { body })))
}
</script>

<template>
  <section aria-label="Simulated rig">
    <h2 class="text-lead">The simulated rig</h2>
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
        <button class="button mt-1" @click="hang">Hang it as recorded in {{ slate }}</button>
        <form v-if="rig.units.length" class="mt-2 grid grid-cols-2 gap-2" @submit.prevent="fail">
          <label
            ><span class="text-fine text-quiet">unit</span
            ><select v-model="unit" class="field" aria-label="unit">
              <option v-for="u in rig.units" :key="u.answer.unit">{{ u.answer.unit }}</option>
            </select></label
          >
          <label
            ><span class="text-fine text-quiet">what goes wrong</span
            ><select v-model="fault" class="field" aria-label="what goes wrong">
              <option v-for="f in FAULTS" :key="f.kind" :value="f.kind">{{ f.name }}</option>
            </select></label
          >
          <button class="button" type="submit">Let it go wrong</button>
          <button class="button" type="button" :disabled="!chosen?.faults.length" @click="mend">
            Put {{ unit }} right
          </button>
        </form>
        <div class="mt-2 flex flex-wrap gap-2">
          <button v-for="n in rig.nodes" :key="n.name" class="button" @click="turn(n)">
            {{ n.up ? `${n.name}: take it off` : `${n.name}: back on` }}
          </button>
        </div>
        <div class="mt-2 flex flex-wrap items-end gap-2">
          <label class="w-20"
            ><span class="text-fine text-quiet">universe</span
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
