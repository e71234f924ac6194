<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { answer, api } from '@/api/client'
import type { PlanPoint, SetPlan, Side } from '@/api/types'
import { useSubmit } from '@/lib/useSubmit'

/** Puts a landmark where two tapes from others meet; a third one checks them. */
const props = defineProps<{ plan: SetPlan; landmark: SetPlan['landmarks'][number] }>()
const emit = defineEmits<{ found: [point: PlanPoint] }>()
const { busy, error, submit } = useSubmit((refusal) => (asksSide.value = refusal.field === 'side'))
const others = computed(() => props.plan.landmarks.filter((l) => l.name !== props.landmark.name))
const tapes = reactive([0, 1, 2].map((i) => ({ landmark: others.value[i]?.name ?? '', length: '' })))
const said = ref('')
const asksSide = ref(false)

function put(side?: Side) {
  void submit(async () => {
    const pulled = tapes.filter((t) => t.landmark && t.length.trim())
    const plan = { ...props.plan, landmarks: others.value }
    const found = await answer(api.POST('/api/sets/taped', { body: { plan, tapes: pulled, side } }))
    asksSide.value = false
    said.value = `The tapes cross at ${Math.round(found.crossingDeg)}°, ${found.crossing.toLowerCase()}.`
    const to = (metres: number) => Math.round(metres * 1000) / 1000
    emit('found', { xM: to(found.point.xM), yM: to(found.point.yM) })
  })
}
</script>

<template>
  <form v-if="others.length > 1" class="grid gap-1" aria-label="By tapes from other landmarks" @submit.prevent="put()">
    <span class="text-small text-quiet">By two tapes from other landmarks; a third checks them</span>
    <div v-for="(tape, i) in tapes.slice(0, others.length)" :key="i" class="grid grid-cols-[minmax(0,1fr)_84px] gap-2">
      <select v-model="tape.landmark" class="field" :aria-label="`Landmark ${'ABC'[i]}`">
        <option v-for="l in others" :key="l.name">{{ l.name }}</option>
      </select>
      <input
        v-model="tape.length"
        class="field figure text-right"
        :aria-label="`Tape ${'ABC'[i]}`"
        autocomplete="off"
      />
    </div>
    <p v-if="error" role="alert" class="text-small">{{ error }}</p>
    <p v-else-if="said" role="status" class="text-small">{{ said }}</p>
    <div class="flex gap-2">
      <template v-if="asksSide"
        ><button type="button" class="button grow" @click="put('LEFT')">On the left</button
        ><button type="button" class="button grow" @click="put('RIGHT')">On the right</button></template
      >
      <button v-else class="button" :disabled="busy">Put it there</button>
    </div>
  </form>
</template>
