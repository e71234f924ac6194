<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { answer as answerTo, api, sentence } from '@/api/client'
import type { WhiteMatch, WhiteMatchWay, Meter } from '@/api/types'
import { signed } from '@/lib/print'
import { useLight } from '@/stores/light'

/** Lights that should agree: the ways to bring them to one white, each to be tried on the mark. */
const props = defineProps<{ meter: Meter }>()
const light = useLight()
const router = useRouter()
/** Stands for a white that is no light's own. */
const TYPED = '-'
const reference = ref('')
const typed = ref('')
const others = ref<string[]>([])
const answer = ref<WhiteMatch>()
const problem = ref('')
const candidates = computed(() => props.meter.lights.filter((l) => l.kelvin !== undefined))
watch(
  candidates,
  (now) => {
    if (reference.value !== TYPED && !now.some((l) => l.key === reference.value))
      reference.value = now.find((l) => l.readHere)?.key ?? now[0]?.key ?? ''
  },
  { immediate: true },
)
watch(
  [reference, typed, others, () => props.meter.readings.length],
  async () => {
    answer.value = undefined
    problem.value = ''
    if (!reference.value || (reference.value === TYPED && !typed.value.trim())) return
    const asked = reference.value === TYPED ? { white: typed.value } : { reference: reference.value }
    try {
      const params = { path: { shotId: props.meter.shotId } }
      const body = { ...asked, others: others.value.filter((k) => k !== reference.value) }
      answer.value = await answerTo(api.POST('/api/shots/{shotId}/agree', { params, body }))
    } catch (failure) {
      problem.value = sentence(failure)
    }
  },
  { immediate: true },
)

/** Puts every way beside the record as a try of its own, and goes to look at them on the mark. */
async function tryAll(ways: WhiteMatchWay[]) {
  problem.value = ''
  try {
    for (const way of ways) {
      light.active = undefined
      light.begin()
      await light.wish(way.changes.map((c) => ({ placement: c.placement, attribute: c.attribute, value: c.value })))
    }
    await router.push({ name: 'light', params: { id: props.meter.shotId } })
  } catch (failure) {
    problem.value = sentence(failure)
  }
}
function left(way: WhiteMatchWay) {
  const parts = [
    Math.abs(way.residualMired) >= 0.5 ? `${signed(way.residualMired, 0)} mired` : '',
    Math.abs(way.residualDuv) >= 0.0005 ? `Duv ${signed(way.residualDuv, 4)}` : '',
  ].filter(Boolean)
  return parts.length ? `left: ${parts.join(', ')}` : 'nothing left'
}
</script>

<template>
  <section class="together" aria-label="Bring to one white">
    <h2 class="text-lead">Bring to one white</h2>
    <p v-if="!candidates.length" class="text-quiet">No light is on whose white is recorded.</p>
    <template v-else>
      <div class="mt-1 flex flex-wrap items-center gap-2">
        <label class="text-quiet" for="white-of">white of</label>
        <select id="white-of" v-model="reference" class="field !w-auto">
          <option v-for="l in candidates" :key="l.key" :value="l.key">{{ l.name }}</option>
          <option :value="TYPED">no light: as I type</option>
        </select>
        <input
          v-if="reference === TYPED"
          v-model.lazy="typed"
          class="field !w-28"
          aria-label="White to measure"
          placeholder="4300 +0.002"
        />
        <span v-if="answer" class="figure"
          >{{ Math.round(answer.kelvin) }}<span class="unit">K</span>
          {{ answer.duv ? signed(answer.duv, 4) : '' }}</span
        >
      </div>
      <fieldset class="mt-2 flex flex-wrap gap-x-4 gap-y-1">
        <legend class="float-left mr-3 text-quiet">to agree</legend>
        <label
          v-for="l in candidates.filter((c) => c.key !== reference)"
          :key="l.key"
          class="flex min-h-[28px] items-center gap-1"
          ><input v-model="others" type="checkbox" :value="l.key" /> {{ l.name }}</label
        >
      </fieldset>
      <p v-if="problem" role="alert" class="mt-1">{{ problem }}</p>
      <ul v-if="answer" class="mt-1">
        <li v-for="way in answer.ways" :key="way.way" class="py-1.25 border-b border-line">
          <b class="font-strong">{{ way.label }}</b>
          <span v-for="w in way.words" :key="w" class="block">{{ w }}</span>
          <span class="text-quiet">{{ left(way) }}</span>
        </li>
      </ul>
      <p v-if="answer?.nominal.length" class="text-small text-quiet">
        Not measured yet, taken at stock figures: {{ answer.nominal.join(', ') }}.
      </p>
      <button v-if="answer?.ways.length" class="button mt-2" @click="tryAll(answer.ways)">
        Try {{ answer.ways.length === 1 ? 'it' : 'each of them' }} on the mark
      </button>
    </template>
  </section>
</template>
