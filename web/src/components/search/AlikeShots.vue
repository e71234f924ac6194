<script setup lang="ts">
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { RouterLink } from 'vue-router'
import { answer, api, sentence } from '@/api/client'
import type { AlikeStep } from '@/api/types'
import FrameThumb from '@/components/frame/FrameThumb.vue'
import { jsonLines } from '@/lib/jsonLines'
import { useBook } from '@/stores/book'

/** Where else it was lit like this: scene by scene as they are looked at, the likest first. */
const props = defineProps<{ shotId: number }>()
const book = useBook()
const step = shallowRef<AlikeStep>()
const problem = ref('')
let flying: AbortController | undefined
const name = computed(() => book.shots.get(props.shotId)?.shot.slate ?? 'this shot')
const looking = computed(() => !step.value || step.value.looked < step.value.of)

async function look(shotId: number) {
  flying?.abort()
  const mine = (flying = new AbortController())
  step.value = undefined
  problem.value = ''
  try {
    const lines = await answer(
      api.GET('/api/shots/{shotId}/alike', {
        params: { path: { shotId } },
        parseAs: 'stream',
        signal: mine.signal,
        cache: 'no-store',
      }),
    )
    for await (const next of jsonLines<AlikeStep>(lines)) step.value = next
  } catch (failure) {
    if (!mine.signal.aborted) problem.value = sentence(failure)
  }
}
watch(() => props.shotId, look, { immediate: true })
onScopeDispose(() => flying?.abort())
</script>

<template>
  <p v-if="problem" role="alert">{{ problem }}</p>
  <template v-else>
    <p class="mb-1">
      <RouterLink class="font-strong underline" :to="{ name: 'plot', params: { id: shotId } }">{{ name }}</RouterLink>:
      {{
        step?.asked ??
        (step
          ? 'too little is known of its light: it needs a mark, a key, and a camera with its white.'
          : 'looking at its light…')
      }}
    </p>
    <p class="mb-3 max-w-prose text-small text-quiet">
      A model of three figures: the key’s side beside the camera within 30°, the cheeks within half a stop, white within
      20 mired. What is softer, what lights the background and what is in the picture is not in it.
    </p>
    <p role="status" class="mb-2 text-quiet">
      <progress
        v-if="looking && step?.asked"
        class="mr-2 w-40"
        :value="step?.looked ?? 0"
        :max="step?.of ?? 1"
        aria-label="Scenes looked at"
      />
      <template v-if="step?.asked"
        >{{ step.shots.length }} {{ step.shots.length === 1 ? 'shot' : 'shots' }} in {{ step.looked }} of
        {{ step.of }} scenes</template
      >
    </p>
    <ul>
      <li v-for="s in step?.shots" :key="s.id">
        <RouterLink :to="{ name: 'plot', params: { id: s.id } }" class="row">
          <FrameThumb class="w-20 flex-none self-start" :shot-id="s.id" :name="s.slate" />
          <span class="flex min-w-0 gap-x-2.5 phone:flex-col">
            <span class="w-14 flex-none text-lead font-bold">{{ s.slate }}</span>
            <span class="min-w-0"
              ><span class="block">{{ s.say }}</span
              ><span class="block text-small text-quiet"
                >{{ s.production }}, Sc. {{ s.scene }}, {{ s.heading }}; {{ s.description }}</span
              ></span
            >
          </span>
        </RouterLink>
      </li>
    </ul>
  </template>
</template>

<style scoped>
.row {
  display: flex;
  gap: 10px;
  min-height: 52px;
  padding: 5px 6px;
  border-bottom: 1px solid var(--line);
}
.row:hover {
  background: var(--raised);
}
</style>
