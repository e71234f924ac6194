<script setup lang="ts">
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import { useRead } from '@/api/reads'
import type { Finding, Placed } from '@/api/types'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import type { UseWalkReturn } from '@/lib/useWalk'
import { WAITS } from '@/lib/waitingThings'
import { useSettings } from '@/stores/settings'

/** What a stranger would have to guess, each with the one act that mends it; then what is to be metered for proof. */
const props = defineProps<{ walk: UseWalkReturn; shotId: number }>()
const emit = defineEmits<{ mend: [thing: Placed, finding: Finding] }>()
const settings = useSettings()
const { data: meter } = useRead('meter', () => ({ shotId: props.shotId }))

const all = computed(() => props.walk.things.value)
const lists = computed(() =>
  [
    { title: 'They would have to guess', act: true, of: (f: Finding) => f.guess },
    { title: 'Good, better with', act: false, of: (f: Finding) => !f.guess },
  ].map((list) => ({
    ...list,
    things: all.value.flatMap((thing) => {
      const findings = thing.findings.filter(list.of)
      return findings.length ? [{ thing, findings }] : []
    }),
  })),
)
const whole = computed(() => all.value.filter((t) => t.version !== WAITS && !t.findings.length))
const unsent = computed(() => all.value.filter((t) => t.version === WAITS))
const wanted = computed(() => meter.value?.wanted ?? [])
</script>

<template>
  <div>
    <div class="flex items-baseline gap-3 px-5 pt-2 pb-3">
      <span class="figure text-giant leading-none">{{ walk.couldBeRebuilt.value }}</span>
      <p>
        <span class="block text-large">of {{ all.length }} could be rebuilt</span>
        <span class="text-quiet">by someone who never saw this set</span>
      </p>
    </div>
    <template v-for="list in lists" :key="list.title">
      <section v-if="list.things.length">
        <h2 class="heading">
          {{ list.title }}<span>{{ list.things.length }}</span>
        </h2>
        <div v-for="{ thing, findings } in list.things" :key="thing.placement.key" class="entry">
          <div class="min-w-0 grow">
            <b class="text-lead font-strong">{{ thing.placement.name }}</b>{{ ' '
            }}<span class="text-quiet"> {{ thing.placement.piece.unit ?? thing.placement.piece.what }}</span>
            <p v-for="f in findings" :key="f.gap" class="flex gap-2">
              <WedgeMark :act="list.act" class="mt-1 flex-none" />{{ settings.printed(f.sentence) }}
            </p>
          </div>
          <button class="button min-h-11 flex-none" @click="emit('mend', thing, findings[0]!)">
            {{ findings[0]!.gap === 'PLACE' && !findings[0]!.guess ? 'Third tape' : findings[0]!.act }}
          </button>
        </div>
      </section>
    </template>
    <section v-if="wanted.length">
      <h2 class="heading">
        To meter, so that it can be proved<span>{{ wanted.length }}</span>
      </h2>
      <div v-for="w in wanted" :key="`${w.mark}${w.light}`" class="entry">
        <p class="grow">
          {{ w.light ? `${w.light} alone` : 'All lights' }} <span class="text-quiet">at {{ w.mark }}</span>
        </p>
        <RouterLink class="button min-h-11" :to="{ name: 'meter', params: { id: shotId } }">Meter</RouterLink>
      </div>
    </section>
    <section v-if="unsent.length">
      <h2 class="heading">
        Waits to be sent<span>{{ unsent.length }}</span>
      </h2>
      <p class="px-5 py-2 text-quiet">{{ unsent.map((t) => t.placement.name).join(', ') }}</p>
    </section>
    <section v-if="whole.length">
      <h2 class="heading">
        Whole<span>{{ whole.length }}</span>
      </h2>
      <button
        v-for="t in whole"
        :key="t.placement.key"
        class="entry w-full text-left"
        @click="walk.goTo(t.placement.key)"
      >
        <b class="font-strong">{{ t.placement.name }}</b>
        <span class="min-w-0 truncate text-quiet">{{ t.placement.piece.unit ?? t.placement.piece.what }}</span>
      </button>
    </section>
  </div>
</template>

<style scoped>
.heading {
  display: flex;
  justify-content: space-between;
  padding: 8px 20px;
  border-top: 1px solid var(--line);
  border-bottom: 1px solid var(--line);
  background: var(--panel);
  font-size: var(--text-lead);
}
.heading span {
  color: var(--quiet);
  font-weight: 400;
}
.entry {
  display: flex;
  align-items: start;
  gap: 12px;
  min-height: 44px;
  padding: 10px 20px;
  border-bottom: 1px solid var(--line);
}
</style>
