<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { answer, api } from '@/api/client'
import type { MarkedPoint, StillRead } from '@/api/types'
import BenchFrame from '@/components/bench/BenchFrame.vue'
import ChoiceField from '@/components/dialogs/ChoiceField.vue'
import TouchPicture from '@/components/frame/TouchPicture.vue'
import { SIGNAL_CURVES } from '@/lib/words'
import { fixed } from '@/lib/print'
import { smallPng, type SmallPng } from '@/lib/smallPng'
import { nextName } from '@/lib/stills'
import { useLatest } from '@/lib/useLatest'

/** A still that is only looked at: its points, and lit to shadow through a curve. Nothing of it is kept. */
const picture = shallowRef<SmallPng>()
const points = ref<MarkedPoint[]>([])
const curve = ref<(typeof SIGNAL_CURVES)[number]['key']>('BT709')
const videoRange = ref(false)
const lit = ref('lit cheek')
const shadow = ref('shadow cheek')
const read = shallowRef<StillRead>()
const problem = ref<string>()

async function take(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  try {
    picture.value = await smallPng(file)
    points.value = []
    read.value = undefined
    problem.value = undefined
  } catch (wrong) {
    problem.value = (wrong as Error).message
  }
}

const named = computed(() => new Set(points.value.map((p) => p.name)))
const ready = computed(() => picture.value && named.value.has(lit.value) && named.value.has(shadow.value))
const latest = useLatest({
  send: () =>
    answer(
      api.POST('/api/bench/still', {
        body: {
          png: picture.value!.base64,
          videoRange: videoRange.value,
          points: points.value,
          curve: curve.value,
          lit: lit.value,
          shadow: shadow.value,
        },
      }),
    ),
  onAnswer: (now) => {
    read.value = now
    problem.value = undefined
  },
  onRefused: (refusal) => (problem.value = refusal.message),
})
watch([points, curve, videoRange, lit, shadow], () => ready.value && latest.ask(undefined), { deep: true })

const options = computed(() => points.value.map((p) => ({ key: p.name, name: p.name })))
const percentOf = (name: string) => read.value?.points.find((p) => p.name === name)?.percent
const through = computed(() => SIGNAL_CURVES.find((c) => c.key === curve.value)!.name)
const told = computed(() =>
  read.value
    ? `${lit.value} to ${shadow.value} ${fixed(read.value.ratio, 1)}:1, ${fixed(read.value.stops, 1)} stops (${through.value})`
    : '',
)
const summary = computed(() =>
  [told.value, ...(read.value?.points ?? []).map((p) => `${p.name}: ${fixed(p.percent, 1)} %`)].join('\n'),
)
</script>

<template>
  <BenchFrame
    title="Read a still"
    hint="nothing is kept; a phone has graded what it took"
    :stale="!!problem"
    :problem="problem"
    :summary="summary"
  >
    <div class="p-4">
      <TouchPicture
        v-if="picture"
        class="max-w-[640px]"
        :src="picture.url"
        :width="picture.width"
        :height="picture.height"
        :lines="[]"
        label="The still. Arrow keys move a cross, Enter marks a point."
        :points="points"
        @touch="(x, y) => points.push({ name: nextName(points), x, y })"
      />
      <p v-else class="py-16 text-center text-quiet">
        Choose a picture, then touch the lit cheek and the shadow cheek.
      </p>
      <ol v-if="points.length" class="mt-3" data-found="still">
        <li v-for="(p, i) in points" :key="p.name" class="flex items-center gap-3 border-t border-line min-h-8">
          <b>{{ i + 1 }}</b><span class="grow">{{ p.name }}</span
          ><span class="figure">{{ percentOf(p.name) === undefined ? '' : `${fixed(percentOf(p.name)!, 1)} %` }}</span
          ><button class="min-w-8 min-h-8" :aria-label="`Let go of ${p.name}`" @click="points.splice(i, 1)">×</button>
        </li>
      </ol>
      <p v-if="read" class="mt-3">
        <b class="figure">{{ told }}</b>. Clipped {{ fixed(100 * read.clippedShare, 1) }} %, near black
        {{ fixed(100 * read.blackShare, 1) }} %.
      </p>
    </div>
    <template #fields>
      <h3 class="group-title mb-1">The still</h3>
      <label class="button mb-3 inline-block"
        >Choose a picture…<input type="file" class="sr-only" accept="image/png,image/jpeg" @change="take"
      /></label>
      <p class="mb-3 text-small text-quiet">It is taken down to 256 dots here, before it is read.</p>
      <ChoiceField v-model="curve" label="Read through" :options="SIGNAL_CURVES" />
      <label class="mb-2 flex min-h-8 items-center gap-2"
        ><input v-model="videoRange" type="checkbox" class="size-6" /> video range (16 to 235)</label
      >
      <template v-if="options.length > 1">
        <ChoiceField v-model="lit" label="Lit" :options="options" />
        <ChoiceField v-model="shadow" label="Shadow" :options="options" />
      </template>
    </template>
  </BenchFrame>
</template>
