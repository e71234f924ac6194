<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { answer, api } from '@/api/client'
import type { BustForm, BustSeen } from '@/api/types'
import { CHEEK_WORDS, eyeWords, fallsWords, seenFacets, type Own } from '@/lib/bust'
import { useLatest } from '@/lib/useLatest'
import { useLight } from '@/stores/light'

/** A plain head at the mark, in the light that is shown: what is tried, taken out or alone is seen on it at once. */
const props = defineProps<{
  shotId: number
  mark: string
  name: string
  /** The picture alone, beside a plan. */
  small?: boolean
  /** The same in a row of pictures, of a shot as it is recorded. */
  tiny?: boolean
}>()
const RECORDED = { changes: [], holds: [], out: [] }
const light = useLight()
/** The same for all: asked for once. */
const form = shallowRef<BustForm>()
const seen = shallowRef<BustSeen>()
const refused = ref('')
const fromCamera = ref(false)

const latest = useLatest({
  send: async (mark: string) => {
    form.value ??= await answer(api.GET('/api/bust'))
    return answer(
      api.POST('/api/shots/{shotId}/light/bust', {
        params: { path: { shotId: props.shotId } },
        body: { ...(props.tiny ? RECORDED : light.question), mark },
      }),
    )
  },
  onAnswer: (now) => {
    refused.value = ''
    seen.value = now
  },
  onRefused: (refusal) => (refused.value = refusal.message),
})
watch([() => light.answer, () => props.mark], ([now]) => now && latest.ask(props.mark), { immediate: true })

const hasCamera = computed(() => seen.value?.cameraTurnDeg !== undefined)
const facets = computed(() => {
  if (!form.value || !seen.value) return []
  const { cameraTurnDeg = 0, cameraTiltDeg = 0, colours } = seen.value
  const view: [number, number] = fromCamera.value ? [cameraTurnDeg, cameraTiltDeg] : [0, 0]
  return seenFacets(form.value.facets as Own[][], ...view).map((f) => ({ ...f, colour: colours[f.index]! }))
})
const said = computed(() => {
  if (!seen.value) return ''
  const { noseShadowOf, noseShadowDeg, triangle, eyeLights } = seen.value
  const nose =
    noseShadowOf && noseShadowDeg !== undefined
      ? `${noseShadowOf} throws the nose’s shadow ${fallsWords(noseShadowDeg)}.`
      : 'No light throws a shadow of the nose.'
  return [nose, triangle && CHEEK_WORDS[triangle], eyeWords(eyeLights)].filter(Boolean).join(' ')
})
</script>

<template>
  <div class="flex min-h-0 flex-col">
    <header v-if="!small && !tiny" class="flex items-center gap-2">
      <h2 class="grow text-lead">{{ name }}</h2>
      <button
        v-if="hasCamera"
        class="button"
        :aria-label="`Seen from the ${fromCamera ? 'camera' : 'front'}: turn it`"
        @click="fromCamera = !fromCamera"
      >
        {{ fromCamera ? 'camera’s side' : 'front' }}
      </button>
    </header>
    <p v-if="refused && !small && !tiny" class="text-small text-quiet" role="status">{{ refused }}</p>
    <template v-else-if="seen && !refused">
      <svg
        class="bust mt-1 min-h-0 w-full flex-1"
        :class="{ small, tiny }"
        viewBox="-0.185 -0.15 0.37 0.36"
        role="img"
        :aria-label="`The light on a head at ${name}. ${said}`"
      >
        <title v-if="small || tiny">{{ said }}</title>
        <polygon v-for="f in facets" :key="f.index" :points="f.points" :fill="f.colour" :stroke="f.colour" />
      </svg>
      <template v-if="!small && !tiny">
        <p class="mt-1 text-small">{{ said }} <span class="text-quiet">A model: a plain head, 25 % grey.</span></p>
      </template>
    </template>
    <p v-else-if="!small && !tiny" class="text-small text-quiet" role="status">Working out the bust…</p>
  </div>
</template>

<style scoped>
.bust {
  background: #08090a;
  min-height: 150px;
}
.bust.tiny {
  min-height: 0;
  margin: 0;
}
.bust.small {
  min-height: 0;
  height: 116px;
  flex: none;
}
polygon {
  stroke-width: 0.0006;
  stroke-linejoin: round;
}
</style>
