<script setup lang="ts">
import { computed } from 'vue'
import { useRead } from '@/api/reads'
import type { DayFeeds, ShootingDay, TriedOrder } from '@/api/types'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { lasting } from '@/lib/dayTime'
import { useSettings } from '@/stores/settings'

/** What the order that is tried saves and breaks, how much could still be saved, and what does not fit. */
const props = defineProps<{
  day: ShootingDay
  tried?: TriedOrder
  feeds?: DayFeeds
  /** How far a search is, 0 to 1. */
  searching?: number
  editable: boolean
  undoable: boolean
}>()
defineEmits<{ stop: []; take: []; keep: []; undo: [] }>()
const settings = useSettings()
const { data: kit } = useRead('dayKit', () => ({ productionId: props.day.productionId, number: props.day.number }))
/** What does not fit, then what is told. */
const notices = computed(() =>
  [
    ...(kit.value?.notices ?? []).map((n) => ({ text: settings.printed(n), act: true })),
    ...props.day.notices,
    ...(props.feeds?.notices ?? []),
  ].sort((a, b) => Number(b.act) - Number(a.act)),
)
/** What the order that is tried saves, in words. */
const saves = computed(() => {
  if (!props.tried) return ''
  const less = props.day.cost.total - props.tried.cost.total
  const fewer = props.day.cost.broken.length - props.tried.cost.broken.length
  const sooner = Math.round(props.tried.soonerMin)
  const slates = props.tried.slots.map((s) => s.slate).join(', ')
  const ends =
    sooner > 0
      ? `ends ${lasting(sooner)} sooner`
      : sooner < 0
        ? `ends ${lasting(-sooner)} later`
        : 'ends when it does now'
  const besides =
    fewer > 0 ? ', and breaks fewer needs' : less > 0 && sooner <= 0 ? `, and costs ${lasting(less)} less` : ''
  return `${slates} ${ends}${besides}.`
})
const parts = computed(() => {
  if (!props.tried) return ''
  const said: string[] = []
  const by = (name: string, was: number, is: number) => {
    const less = Math.round(was - is)
    if (less) said.push(`${Math.abs(less)} min ${less > 0 ? 'less' : 'more'} ${name}`)
  }
  by('of changeovers', props.day.cost.changeoverMin, props.tried.cost.changeoverMin)
  by('of waiting for the light', props.day.cost.waitMin, props.tried.cost.waitMin)
  const sets = props.day.cost.setChanges - props.tried.cost.setChanges
  const changes = `change${Math.abs(sets) > 1 ? 's' : ''} of set`
  if (sets) said.push(sets > 0 ? `${sets} ${changes} less` : `${-sets} more ${changes}`)
  return said.length ? `${said.join('; ')}.` : 'It costs the same.'
})
const could = computed(() => {
  const { cost } = props.day
  if (cost.savableMin === undefined || cost.savableMin < 1) return 'No order of these shots costs less.'
  const least = Math.round(cost.savableMin % 1000)
  return cost.savableMin >= 1000
    ? 'Another order breaks fewer needs.'
    : cost.exact
      ? `The best order of these would save ${least} min.`
      : `At most ${least} min could still be saved.`
})
</script>

<template>
  <footer class="foot">
    <section>
      <template v-if="searching !== undefined">
        <p role="status">
          Looking for the order that costs least
          <progress :value="searching" max="1" class="w-full" aria-label="How far the search is" />
        </p>
        <button class="button" @click="$emit('stop')">Stop</button>
      </template>
      <template v-else-if="tried">
        <h2>{{ saves }}</h2>
        <p>{{ parts }}</p>
        <p v-for="b in tried.cost.broken" :key="b"><WedgeMark class="mr-1 inline" />{{ b }}.</p>
        <p class="mt-2 flex flex-wrap gap-2">
          <button v-if="editable" class="button button-main" @click="$emit('take')">Take this order</button>
          <button class="button" @click="$emit('keep')">Keep mine</button>
        </p>
      </template>
      <template v-else>
        <h2>{{ could }}</h2>
        <p class="text-quiet">
          Minutes of changeovers and of waiting for the light, 2 for a change of set (estimate).<template
            v-if="editable"
          >
            Drag a shot to try<span class="touch">, or its arrows</span>.</template
          >
        </p>
        <button v-if="undoable" class="button mt-2" @click="$emit('undo')">Back to the order before</button>
      </template>
    </section>
    <section>
      <p v-for="n in notices" :key="n.text"><WedgeMark :act="n.act" class="mr-1.5 inline" />{{ n.text }}</p>
      <p v-if="!notices.length" class="text-quiet">All fits.</p>
    </section>
    <slot />
  </footer>
</template>

<style scoped>
.foot {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 270px), 1fr));
  border-top: 1px solid var(--line);
  background: var(--panel);
  max-height: 40%;
  overflow-y: auto;
}
.foot > :deep(section) {
  padding: 10px 16px;
}
.foot > :deep(section + section) {
  border-left: 1px solid var(--line);
}
.foot h2 {
  font-weight: var(--font-weight-strong);
}
.foot :deep(p) {
  padding-bottom: 4px;
}
.touch {
  display: none;
}
@media (pointer: coarse), (width < 800px) {
  .touch {
    display: inline;
  }
}
@media (width < 800px) {
  .foot > :deep(section + section) {
    border-left: none;
    border-top: 1px solid var(--line);
  }
}
</style>
