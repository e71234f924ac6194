<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Light } from '@/api/types'
import { tenths } from '@/lib/stops'
import { useLight } from '@/stores/light'

/** Each source alone, out, or flicked in and out; and the build-up, one after the other, in the scene's build order. */
const props = defineProps<{ source: Light }>()
const emit = defineEmits<{ select: [key: string] }>()
const light = useLight()

const other = ref<string[]>([])
const built = computed(() => {
  const n = props.source.sources.findIndex((s) => s.out)
  return n >= 0 && props.source.sources.slice(n).every((s) => s.out) ? n : undefined
})
const groups = computed(() => {
  const by = new Map<string, string[]>()
  for (const s of props.source.sources) if (s.group) by.set(s.group, [...(by.get(s.group) ?? []), s.key])
  return [...by].map(([name, keys]) => ({ name, keys }))
})

/** All on, and what was taken out last: flick between them. */
function flick() {
  if (light.muted.length) {
    other.value = light.muted
    light.muted = []
  } else light.muted = other.value
}

function build(n: number) {
  light.muted = props.source.sources.slice(Math.max(0, n)).map((s) => s.key)
}
</script>

<template>
  <section class="flex flex-col gap-1.5 min-h-0">
    <header class="flex items-center gap-2">
      <h2 class="text-lead whitespace-nowrap">One at a time</h2>
      <span class="grow" />
      <button
        class="button !px-2"
        :disabled="!light.muted.length && !other.length"
        title="All on, and what was taken out, in turn"
        @click="flick"
      >
        A / B
      </button>
      <button class="button !px-2" :disabled="!light.muted.length" @click="light.muted = []">All on</button>
    </header>
    <p class="text-right text-fine text-quiet"><span class="mr-[122px]">headroom, stops</span></p>
    <ul>
      <li v-for="g in groups" :key="`g${g.name}`" class="row flex items-center gap-1.5 min-h-7.75">
        <span class="swatch w-5.5 h-2.75" /><b class="grow truncate font-strong">{{ g.name }}</b>
        <button class="button !px-2" @click="light.alone(g.keys)">Alone</button>
        <button
          class="button !px-2"
          :aria-pressed="g.keys.every((k) => light.muted.includes(k))"
          @click="light.toggleOut(g.keys)"
        >
          Out
        </button>
      </li>
      <li
        v-for="s in source.sources"
        :key="s.key"
        class="row flex items-center gap-1.5 min-h-7.75"
        :class="{ 'text-quiet': s.out }"
        :data-source="s.key"
      >
        <span class="swatch w-5.5 h-2.75" :style="{ background: s.out ? 'transparent' : s.swatch }" />
        <button class="min-w-0 grow truncate text-left hover:underline" @click="emit('select', s.key)">
          {{ s.name }}
        </button>
        <span v-if="s.headroomStops !== undefined" class="figure text-base" title="headroom to full, stops">{{
          tenths(s.headroomStops)
        }}</span>
        <button class="button !px-2" @click="light.alone([s.key])">Alone</button>
        <button class="button !px-2" :aria-pressed="s.out" @click="light.toggleOut([s.key])">Out</button>
      </li>
    </ul>
    <footer class="flex items-center gap-2">
      <span class="text-small text-quiet"
        >Build up, {{ built === undefined ? 'all on' : `${built} of ${source.sources.length}` }}</span
      >
      <span class="grow" />
      <button class="button !px-2" @click="build(0)">Dark</button>
      <button class="button !px-2" aria-label="One less" @click="build((built ?? source.sources.length) - 1)">−</button>
      <button
        class="button !px-2"
        aria-label="The next one"
        :disabled="built === undefined"
        @click="build((built ?? 0) + 1)"
      >
        Next
      </button>
    </footer>
  </section>
</template>

<style scoped>
ul {
  flex: 1;
  min-height: 80px;
  overflow-y: auto;
}
</style>
