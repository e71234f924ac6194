<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRead } from '@/api/reads'
import type { NeedLine } from '@/api/types'
import HangingLoads from './HangingLoads.vue'
import NeedRow from './NeedRow.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { useSettings } from '@/stores/settings'

/** What a day asks of the kit, and what of it is there: a square for each that is wanted, filled when it is. */
const props = defineProps<{
  productionId: number
  days: { number: number; date?: string }[]
  today: string
  shortDays: number[]
  /** Whether what is there is listed at once too. */
  whole?: boolean
}>()
const emit = defineEmits<{ short: [names: string[], day: number] }>()
const settings = useSettings()
const chosen = ref<number>()
const next = computed(
  () => props.days.find((d) => d.date && d.date > props.today)?.number ?? props.days.at(-1)?.number ?? 1,
)
const number = computed(() => chosen.value ?? next.value)
const of = () => (props.days.length ? { productionId: props.productionId, number: number.value } : undefined)
const { data: kit, problem } = useRead('dayKit', of, { keepBefore: true })
const { data: standIns } = useRead('dayStandIns', of)
const isShort = (l: NeedLine) => l.missing > 0 || l.absent.length > 0
const missing = computed(() => kit.value?.lines.filter(isShort) ?? [])
const there = computed(() => kit.value?.lines.filter((l) => !isShort(l)) ?? [])
const instead = (l: NeedLine) =>
  standIns.value?.standIns.find((s) => s.what === l.what || l.absent.some((a) => a.unit === s.what))?.instead ?? []
watch(
  kit,
  (now) =>
    now &&
    emit(
      'short',
      missing.value.map((l) => l.what),
      now.day,
    ),
  { immediate: true },
)
</script>

<template>
  <section class="need" :aria-label="`What day ${number} needs`">
    <header class="flex flex-wrap items-center gap-x-3 border-b border-line py-1.5 pl-4 pr-3">
      <h2 class="text-lead font-strong">Day {{ number }} needs</h2>
      <span class="ml-auto flex flex-wrap gap-1" role="group" aria-label="Day">
        <button
          v-for="d in days"
          :key="d.number"
          class="button !px-2"
          :aria-pressed="d.number === number"
          @click="chosen = d.number"
        >
          {{ d.number }}<WedgeMark v-if="shortDays.includes(d.number)" act class="ml-1 inline" /><span
            v-if="shortDays.includes(d.number)"
            class="sr-only"
            >, something is short</span
          >
        </button>
      </span>
    </header>
    <p v-if="problem" role="alert" class="px-4 py-2">{{ problem }}</p>
    <p v-if="kit && !kit.counted" class="px-4 py-2 text-quiet">
      Nothing is said of the kit yet, so nothing is told to be short.
    </p>
    <ul v-if="kit" aria-label="Short">
      <NeedRow v-for="l in missing" :key="l.sort + l.item.metric" :line="l" :instead="instead(l)" />
    </ul>
    <p v-if="kit?.counted && kit.lines.length && !missing.length" class="border-b border-line px-4 py-2">
      Nothing is short: all that day {{ number }} needs is there.
    </p>
    <details v-if="kit" :open="whole">
      <summary class="min-h-8 cursor-pointer border-b border-line px-4 py-1 text-quiet">
        {{ there.length }} {{ there.length === 1 ? 'thing is' : 'things are' }} there
      </summary>
      <ul aria-label="There">
        <NeedRow v-for="l in there" :key="l.sort + l.item.metric" :line="l" :instead="[]" />
      </ul>
      <ul v-if="kit?.cuts.length" class="px-4 py-2 text-small text-quiet" aria-label="Cut from">
        <li v-for="c in kit.cuts" :key="c.what">
          {{ c.what }}: {{ c.sheets ? `${c.sheets} ${c.sheets === 1 ? 'sheet' : 'sheets'}, ` : ''
          }}{{ settings.printed(c.roll) }} of roll, {{ Math.round(100 * c.leftOver) }} % left over<template
            v-if="c.toBuy"
            >; to buy: {{ settings.printed(c.toBuy) }}</template
          >
        </li>
      </ul>
    </details>
    <section v-for="h in kit?.hanging" :key="h.set" class="border-t border-line px-4 py-2" aria-label="Hangs">
      <h3 class="group-title">Hangs in {{ h.set }} <span class="font-normal text-quiet">estimate</span></h3>
      <HangingLoads :loads="h.hanging" />
    </section>
    <p class="px-4 py-2 text-small text-quiet">
      The most that stands at once; what a shot does not have is struck before it (model). Stands and sandbags are
      estimates: a rigger decides.
    </p>
    <slot />
  </section>
</template>
