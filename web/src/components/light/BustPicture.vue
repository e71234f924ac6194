<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { answer, api } from '@/api/client'
import type { BustSeen } from '@/api/types'
import { cheeksOfBust, saidOfBust } from '@/lib/bust'
import { useLatest } from '@/lib/useLatest'
import { useLight } from '@/stores/light'
import BustFacets from './BustFacets.vue'

/** A plain head at the mark, in the light that is shown: what is tried, taken out or alone is seen on it at once. */
const props = defineProps<{
  shotId: number
  mark: string
  name: string
  /** The picture alone, beside a plan. */
  small?: boolean
  /** What its own shadow leaves of its cheeks is told, too. */
  cheeks?: boolean
}>()
const light = useLight()
const seen = shallowRef<BustSeen>()
const refused = ref('')
const fromCamera = ref(false)

const latest = useLatest({
  send: (mark: string) =>
    answer(
      api.POST('/api/shots/{shotId}/light/bust', {
        params: { path: { shotId: props.shotId } },
        body: { ...light.question, mark },
      }),
    ),
  onAnswer: (now) => {
    refused.value = ''
    seen.value = now
  },
  onRefused: (refusal) => (refused.value = refusal.message),
})
watch([() => light.answer, () => props.mark], ([now]) => now && latest.ask(props.mark), { immediate: true })

const hasCamera = computed(() => seen.value?.cameraTurnDeg !== undefined)
const said = computed(() => (seen.value ? saidOfBust(seen.value) : ''))
</script>

<template>
  <div class="flex min-h-0 flex-col">
    <header v-if="!small" class="flex items-center gap-2">
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
    <p v-if="refused && !small" class="text-small text-quiet" role="status">{{ refused }}</p>
    <template v-else-if="seen && !refused">
      <BustFacets
        class="bust mt-1 min-h-0 w-full flex-1"
        :class="{ small }"
        :seen="seen"
        :from-camera="fromCamera"
        :label="`The light on a head at ${name}. ${said}`"
        :titled="small"
      />
      <template v-if="!small">
        <p class="mt-1 text-small">
          {{ cheeks ? `${said} ${cheeksOfBust(seen)}` : said }}
          <span class="text-quiet">A model: a plain head, 25 % grey.</span>
        </p>
      </template>
    </template>
    <p v-else-if="!small" class="text-small text-quiet" role="status">Working out the bust…</p>
  </div>
</template>

<style scoped>
.bust {
  min-height: 150px;
}
.bust.small {
  min-height: 0;
  height: 116px;
  flex: none;
}
</style>
