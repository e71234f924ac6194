<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRead } from '@/api/reads'
import type { DayCard, DaySlot, ShotPlan } from '@/api/types'
import DayDialog from '@/components/day/DayDialog.vue'
import DayFileDialog from '@/components/day/DayFileDialog.vue'
import DayList from '@/components/day/DayList.vue'
import DayTimeline from '@/components/day/DayTimeline.vue'
import PutOnDay from '@/components/day/PutOnDay.vue'
import ShotPlanDialog from '@/components/day/ShotPlanDialog.vue'
import ConnectionState from '@/components/layout/ConnectionState.vue'
import SpineButton from '@/components/layout/SpineButton.vue'
import TabRow from '@/components/layout/TabRow.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { onPaper, type Action } from '@/lib/actions'
import { clock, lasting } from '@/lib/dayTime'
import { fixed } from '@/lib/print'
import { useDay } from '@/lib/useDay'
import { useBook } from '@/stores/book'
import { useSession } from '@/stores/session'

/** A shooting day: what is next, whether it can be ready, what the sun does, and which order costs least. */
const props = defineProps<{ productionId: number; number: number }>()
defineEmits<{ spine: [] }>()
const book = useBook()
const session = useSession()
const { data: days } = useRead('days', () => ({ productionId: props.productionId }))
const { day, tried, searching, problem, order, before, ...acts } = useDay(() => ({ ...props }))
const may = computed(() => session.may('EDIT'))
const dialog = ref<'card' | 'put' | 'file'>()
const opened = ref<number>()
const open = computed(() => day.value?.slots.find((s) => s.shotId === opened.value))
watch(
  () => props.number,
  () => {
    dialog.value = undefined
    opened.value = undefined
  },
)
const production = computed(() => book.book?.productions.find((p) => p.production.id === props.productionId))
const shown = computed(() => tried.value?.slots ?? day.value?.slots ?? [])
const sum = (of: (s: DaySlot) => number) => shown.value.reduce((all, s) => all + of(s), 0)
const cells = computed(() => [
  { name: 'call', value: clock(day.value?.callMin ?? 0) },
  { name: 'shots', value: String(shown.value.filter((s) => !s.begun).length), unit: 'to do' },
  { name: 'setting up', value: fixed(sum((s) => s.readyAt - s.setUpFrom) / 60, 1), unit: 'h' },
  { name: 'takes', value: fixed(sum((s) => s.shootTo - s.shootFrom) / 60, 1), unit: 'h' },
  { name: 'last take ends', value: shown.value.length ? clock(shown.value.at(-1)!.shootTo) : '' },
])
const dateOf = (card: DayCard) =>
  card.date
    ? new Date(`${card.date}T12:00:00Z`).toLocaleDateString('en-GB', {
        weekday: 'long',
        day: 'numeric',
        month: 'long',
        timeZone: 'UTC',
      })
    : 'no date yet'
const tabs = computed(() =>
  (days.value?.days ?? []).map((d) => ({
    key: String(d.number),
    name: `Day ${d.number}`,
    to: { name: 'day', params: { production: props.productionId, number: d.number } },
  })),
)
const path = computed(() => `/api/productions/${props.productionId}/days/${props.number}`)
const actions = computed((): Action[] => [
  { name: 'Best order', disabled: (day.value?.slots.length ?? 0) < 2, run: acts.search },
  ...(may.value
    ? [
        { name: 'Times…', run: () => (dialog.value = 'card') },
        { name: 'Put a shot on…', run: () => (dialog.value = 'put') },
        { name: 'In from a file…', run: () => (dialog.value = 'file') },
      ]
    : []),
  onPaper([
    { name: 'Day sheet', path: `${path.value}/paper/day` },
    { name: 'Calendar', path: `${path.value}/calendar`, kinds: ['ics'] },
  ]),
])

async function keep(card: DayCard) {
  if (await acts.keep(card)) dialog.value = undefined
}
async function plan(slot: DaySlot, said: ShotPlan) {
  if (await acts.plan(slot.shotId, slot.planVersion, said)) opened.value = undefined
}
function off(shot: number) {
  opened.value = undefined
  acts.put(order.value.filter((id) => id !== shot))
}
/** What the order that is tried saves, in words. */
const saves = computed(() => {
  if (!tried.value || !day.value) return ''
  const less = day.value.cost.total - tried.value.cost.total
  const sooner = Math.round(tried.value.soonerMin)
  const slates = tried.value.slots.map((s) => s.slate).join(', ')
  const ends =
    sooner > 0
      ? `ends ${lasting(sooner)} sooner`
      : sooner < 0
        ? `ends ${lasting(-sooner)} later`
        : 'ends when it does now'
  return `${slates} ${ends}${less <= 0 ? '' : sooner > 0 ? '' : `, and costs ${lasting(less)} less`}.`
})
const parts = computed(() => {
  if (!tried.value || !day.value) return ''
  const said: string[] = []
  const by = (name: string, was: number, is: number) => {
    const less = Math.round(was - is)
    if (less) said.push(`${Math.abs(less)} min ${less > 0 ? 'less' : 'more'} ${name}`)
  }
  by('of changeovers', day.value.cost.changeoverMin, tried.value.cost.changeoverMin)
  by('of waiting for the light', day.value.cost.waitMin, tried.value.cost.waitMin)
  const sets = day.value.cost.setChanges - tried.value.cost.setChanges
  if (sets) said.push(`${Math.abs(sets)} ${sets > 0 ? 'less' : 'more'} change${Math.abs(sets) > 1 ? 's' : ''} of set`)
  return said.length ? `${said.join('; ')}.` : 'It costs the same.'
})
const could = computed(() => {
  const cost = day.value?.cost
  if (!cost || !day.value!.slots.length) return ''
  if (cost.savableMin < 1) return 'No order of these shots costs less.'
  const least = Math.round(cost.savableMin % 1000)
  return cost.savableMin >= 1000
    ? 'Another order breaks fewer needs.'
    : cost.exact
      ? `The best order of these would save ${least} min.`
      : `At most ${least} min could still be saved.`
})
</script>

<template>
  <div class="view">
    <header class="head">
      <SpineButton @click="$emit('spine')" />
      <div class="title">
        <h1>Day {{ number }}</h1>
        <p v-if="day">
          <b>{{ dateOf(day.card) }}</b><span>{{
            [day.card.unit === 'main' ? '' : day.card.unit, day.card.place].filter(Boolean).join(', ')
          }}</span>
        </p>
      </div>
      <dl v-if="day" class="cells">
        <div v-for="c in cells" :key="c.name" :class="{ wide: c.unit === 'h' }">
          <dd class="figure">
            {{ c.value }} <small v-if="c.unit">{{ c.unit }}</small>
          </dd>
          <dt>{{ c.name }}</dt>
        </div>
      </dl>
      <ConnectionState class="ml-auto" />
    </header>
    <TabRow
      class="border-b border-line pr-3.5 pl-1.5"
      :tabs="tabs"
      :here="String(number)"
      :first="[String(number)]"
      :actions="actions"
      label="Days"
    />
    <p v-if="problem && !dialog && !open" role="alert" class="px-4 pt-2">
      <WedgeMark act class="mr-1 inline" />{{ problem }}
    </p>
    <div v-if="day" class="body">
      <p v-if="!day.slots.length" class="m-auto p-8 text-center text-quiet">
        No shot is on day {{ number }} yet. Put one on, or give a shot its day in the book.
      </p>
      <template v-else>
        <DayTimeline
          :day="day"
          :tried="tried"
          :order="order"
          :editable="may"
          @try="acts.tryIt"
          @step="acts.step"
          @open="opened = $event.shotId"
          @keep="acts.keepMine"
        />
        <DayList :slots="shown" :editable="may" @step="acts.step" @open="opened = $event.shotId" />
      </template>
    </div>
    <p v-else-if="!problem" class="m-auto text-quiet" role="status">Working out the day…</p>
    <footer v-if="day?.slots.length" class="foot">
      <section>
        <template v-if="searching !== undefined">
          <p role="status">
            Looking for the order that costs least
            <progress :value="searching" max="1" class="w-full" aria-label="How far the search is" />
          </p>
          <button class="button" @click="acts.stop">Stop</button>
        </template>
        <template v-else-if="tried">
          <h2>{{ saves }}</h2>
          <p>{{ parts }}</p>
          <p v-for="b in tried.cost.broken" :key="b"><WedgeMark class="mr-1 inline" />{{ b }}.</p>
          <p class="mt-2 flex flex-wrap gap-2">
            <button v-if="may" class="button button-main" @click="acts.take">Take this order</button>
            <button class="button" @click="acts.keepMine">Keep mine</button>
          </p>
        </template>
        <template v-else>
          <h2>{{ could }}</h2>
          <p class="text-quiet">
            Minutes of changeovers and of waiting for the light, 2 for a change of set (estimate).<template v-if="may">
              Drag a shot to try<span class="touch">, or its arrows</span>.</template
            >
          </p>
          <button v-if="before" class="button mt-2" @click="acts.undo">Back to the order before</button>
        </template>
      </section>
      <section class="notices">
        <p v-for="n in day.notices" :key="n.text"><WedgeMark :act="n.act" class="mr-1.5 inline" />{{ n.text }}</p>
        <p v-if="!day.notices.length" class="text-quiet">All fits.</p>
      </section>
    </footer>
    <DayDialog
      v-if="day"
      :open="dialog === 'card'"
      :number="number"
      :card="day.card"
      :error="problem"
      @close="dialog = undefined"
      @keep="keep"
    />
    <PutOnDay
      v-if="day"
      :open="dialog === 'put'"
      :number="number"
      :production="production"
      :on="day.slots.map((s) => s.shotId)"
      :error="problem"
      @close="dialog = undefined"
      @put="acts.put([...day.slots.map((s) => s.shotId), $event])"
    />
    <DayFileDialog
      :open="dialog === 'file'"
      :production-id="productionId"
      :number="number"
      @close="dialog = undefined"
      @try="acts.tryIt"
    />
    <ShotPlanDialog
      v-if="day"
      :slot-of="open"
      :slots="day.slots"
      :editable="may"
      :error="problem"
      @close="opened = undefined"
      @keep="plan"
      @off="off"
    />
  </div>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: stretch;
  min-height: 52px;
  border-bottom: 1px solid var(--line);
  background: var(--panel);
  padding-right: 12px;
}
.title {
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 4px 16px;
}
.title h1 {
  font-size: 28px;
  font-weight: var(--font-weight-strong);
  white-space: nowrap;
}
.title p {
  display: grid;
  font-size: var(--text-small);
}
.title span {
  color: var(--quiet);
}
.cells {
  display: flex;
  flex-wrap: wrap;
}
.cells div {
  padding: 4px 14px;
  border-left: 1px solid var(--line);
}
.cells dd {
  font-size: var(--text-title);
  white-space: nowrap;
}
.cells small,
.cells dt {
  font-size: var(--text-small);
  color: var(--quiet);
}
.body {
  flex: 1;
  min-height: 0;
  overflow-y: auto;
  display: flex;
  flex-direction: column;
}
.foot {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 3fr);
  border-top: 1px solid var(--line);
  background: var(--panel);
  max-height: 40%;
  overflow-y: auto;
}
.foot section {
  padding: 10px 16px;
}
.foot section + section {
  border-left: 1px solid var(--line);
}
.foot h2 {
  font-weight: var(--font-weight-strong);
}
.notices {
  columns: 2 260px;
}
.notices p {
  break-inside: avoid;
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
  .cells .wide {
    display: none;
  }
  .foot {
    grid-template-columns: minmax(0, 1fr);
  }
  .foot section + section {
    border-left: none;
    border-top: 1px solid var(--line);
  }
}
</style>
