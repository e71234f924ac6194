<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import { RouterLink } from 'vue-router'
import { useRead } from '@/api/reads'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { dayOf } from '@/lib/dayTime'
import { fixed, signed } from '@/lib/print'
import { byWhom, when } from '@/lib/words'
import { useSettings } from '@/stores/settings'
import DialCurve from './DialCurve.vue'

/** One unit: where it is and was, what it measures when it is dialled, how its output went, how long it was on, what was noted of it. */
const props = defineProps<{ productionId: number; unitId: number; editable: boolean }>()
defineEmits<{ edit: []; close: [] }>()
const settings = useSettings()
const { data: page, problem } = useRead('kitUnit', () => ({ productionId: props.productionId, id: props.unitId }))
const path = ref(0)
watch(
  () => props.unitId,
  () => (path.value = 0),
)
/* below the list, where there is no room beside it, one would not see that it opened */
const section = ref<HTMLElement>()
watch(
  () => page.value?.unit.id,
  (id) => id && void nextTick(() => section.value?.scrollIntoView({ block: 'nearest' })),
)
const hours = computed(() => page.value?.hours.reduce((all, h) => all + h.hours, 0) ?? 0)
const facts = computed(() => {
  const u = page.value?.unit
  if (!u) return []
  return [
    { name: 'is', value: u.where },
    { name: 'tag', value: u.unit.tag },
    ...(u.unit.packedIn ? [{ name: 'case', value: u.unit.packedIn }] : []),
    ...(u.unit.hiredUntil ? [{ name: 'hired until', value: dayOf(u.unit.hiredUntil) }] : []),
    {
      name: 'shot with',
      value: hours.value
        ? `${fixed(hours.value, 1)} h: ${page.value!.hours.map((h) => `${fixed(h.hours, 1)} h at ${h.percent} %`).join(', ')}`
        : 'no takes yet',
    },
  ]
})
const last = computed(() => page.value?.solos.at(-1))
</script>

<template>
  <section ref="section" class="open" :aria-label="page?.unit.unit.name ?? 'Unit'">
    <p v-if="problem" role="alert" class="p-4">{{ problem }}</p>
    <template v-if="page">
      <div class="px-4 py-3">
        <h2 class="text-head font-strong">{{ page.unit.unit.name }}</h2>
        <p class="text-quiet">{{ settings.printed(page.unit.kind) }}</p>
        <dl class="mt-2 grid grid-cols-[auto_minmax(0,1fr)] gap-x-3 gap-y-1">
          <template v-for="f in facts" :key="f.name"
            ><dt class="text-quiet">{{ f.name }}</dt>
            <dd class="text-right">{{ f.value }}</dd></template
          >
        </dl>
        <ul v-if="page.unit.unit.spans.length" class="mt-2 text-small" aria-label="Away">
          <li v-for="s in page.unit.unit.spans" :key="s.from">
            {{ { ON_TRUCK: 'on the truck', OUT: 'out on hire', REPAIR: 'at repair' }[s.state] }} from {{ dayOf(s.from)
            }}{{ s.until ? ` until ${dayOf(s.until)}` : ', nobody knows until when' }}{{ s.note ? `: ${s.note}` : '' }}
          </li>
        </ul>
        <p class="mt-3 flex flex-wrap gap-2">
          <button v-if="editable" class="button" @click="$emit('edit')">Change…</button>
          <RouterLink
            v-if="page.unit.uses.length"
            class="button"
            :to="{ name: 'meter', params: { id: (page.unit.standsIn ?? page.unit.uses[0]!).shotId } }"
            >Measure it</RouterLink
          >
          <button class="button" @click="$emit('close')">Close</button>
        </p>
      </div>
      <div class="px-4 py-3">
        <h3 class="group-title">Dialled against measured</h3>
        <template v-if="page.paths.length">
          <p v-if="page.paths.length > 1" class="flex flex-wrap gap-1 pb-1" role="group" aria-label="Through">
            <button
              v-for="(p, i) in page.paths"
              :key="p.path"
              class="button !px-2"
              :aria-pressed="i === path"
              @click="path = i"
            >
              {{ p.path }}
            </button>
          </p>
          <DialCurve :path="page.paths[path]!" />
        </template>
        <p v-else class="text-quiet">
          Not measured yet: read its colour alone on the Meter page of a shot that it stands in, at two dials or more.
        </p>
        <h3 class="group-title mt-2">Output</h3>
        <p v-if="last" class="flex gap-2">
          <WedgeMark v-if="page.drift" /><span
            >{{ page.drift ?? 'As its kind gives' }}; last read alone {{ signed(last.overStops, 1) }} stop against its
            kind, in {{ last.shot }}, {{ when(last.at) }} ({{ page.solos.length }}
            {{ page.solos.length === 1 ? 'reading' : 'readings' }}).</span
          >
        </p>
        <p v-else class="text-quiet">How bright it is was never metered alone.</p>
      </div>
      <div class="px-4 py-3">
        <h3 class="group-title">Where it is used</h3>
        <ul class="flex flex-wrap gap-x-3 gap-y-1">
          <li v-for="u in page.unit.uses" :key="`${u.shotId} ${u.key}`">
            <RouterLink class="underline" :to="{ name: 'plot', params: { id: u.shotId } }">{{ u.slate }}</RouterLink>
            <span class="ml-1 text-quiet">{{ u.name }}{{ u.day ? `, day ${u.day}` : '' }}</span>
          </li>
        </ul>
        <p v-if="!page.unit.uses.length" class="text-quiet">No shot names it.</p>
        <template v-if="page.notes.length">
          <h3 class="group-title mt-2">Noted</h3>
          <ul>
            <li v-for="n in page.notes" :key="n.id" class="py-0.5">
              <img
                v-if="n.photo"
                :src="n.photo"
                :alt="n.text || `Photograph in ${n.shot}`"
                class="h-16"
                loading="lazy"
              />
              {{ n.text }} <span class="text-small text-quiet">{{ n.shot }}, {{ byWhom(n) }}</span>
            </li>
          </ul>
        </template>
        <p class="mt-2 text-small text-quiet">
          Hours are the planned minutes of takes that were shot with it (model): rehearsals are not in them.
        </p>
      </div>
    </template>
  </section>
</template>

<style scoped>
.open {
  display: grid;
  grid-template-columns: 240px minmax(0, 1fr) minmax(0, 1fr);
  flex: none;
  max-height: 300px;
  overflow-y: auto;
  border-top: 1px solid var(--quiet);
  background: var(--panel);
}
@media (width < 1100px) {
  .open {
    grid-template-columns: minmax(0, 1fr);
    max-height: none;
  }
}
</style>
