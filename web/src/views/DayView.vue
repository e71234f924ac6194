<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRead } from '@/api/reads'
import type { DayCard, DaySlot, ShotPlan } from '@/api/types'
import DayDialog from '@/components/day/DayDialog.vue'
import DayFileDialog from '@/components/day/DayFileDialog.vue'
import DayFeedsSaid from '@/components/day/DayFeedsSaid.vue'
import DayFoot from '@/components/day/DayFoot.vue'
import DayList from '@/components/day/DayList.vue'
import DaySay from '@/components/day/DaySay.vue'
import DayTimeline from '@/components/day/DayTimeline.vue'
import EarlierDays from '@/components/day/EarlierDays.vue'
import PutOnDay from '@/components/day/PutOnDay.vue'
import ShotPlanDialog from '@/components/day/ShotPlanDialog.vue'
import ConnectionState from '@/components/layout/ConnectionState.vue'
import SpineButton from '@/components/layout/SpineButton.vue'
import TabRow from '@/components/layout/TabRow.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { onPaper, type Action } from '@/lib/actions'
import { clock } from '@/lib/dayTime'
import { fixed } from '@/lib/print'
import { useDay } from '@/lib/useDay'
import { useDayFeeds } from '@/lib/useDayFeeds'
import { useBook } from '@/stores/book'
import { useSession } from '@/stores/session'

/** A shooting day: what is next, whether it can be ready, what runs out, what the sun does, and which order costs least. */
const props = defineProps<{ productionId: number; number: number }>()
defineEmits<{ spine: [] }>()
const book = useBook()
const session = useSession()
const { data: days } = useRead('days', () => ({ productionId: props.productionId }))
const { day, tried, searching, problem, order, before, ...acts } = useDay(() => ({ ...props }))
const { feeds, lower, mains, onMains } = useDayFeeds(
  () => ({ productionId: props.productionId, number: props.number }),
  () => tried.value?.shots,
)
const may = computed(() => session.may('EDIT'))
const dialog = ref<'card' | 'put' | 'file' | 'earlier'>()
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
  { name: 'As it was…', run: () => (dialog.value = 'earlier') },
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
function tryEarlier(shots: number[]) {
  dialog.value = undefined
  acts.tryIt(shots)
}
function off(shot: number) {
  opened.value = undefined
  acts.put(order.value.filter((id) => id !== shot))
}
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
      :first="tabs.map((t) => t.key)"
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
          :feeds="feeds"
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
    <DaySay v-if="(day?.slots.length ?? 0) > 1" :say="acts.say" />
    <DayFoot
      v-if="day?.slots.length"
      :day="day"
      :tried="tried"
      :feeds="feeds"
      :searching="searching"
      :editable="may"
      :undoable="!!before"
      @stop="acts.stop"
      @take="acts.take"
      @keep="acts.keepMine"
      @undo="acts.undo"
    >
      <DayFeedsSaid
        v-if="feeds && (feeds.batteries.length || feeds.sets.length || feeds.unsaid.length)"
        v-model:lower="lower"
        :feeds="feeds"
        :mains="mains"
        @mains="onMains"
      />
    </DayFoot>
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
    <EarlierDays
      v-if="day"
      :open="dialog === 'earlier'"
      :production-id="productionId"
      :number="number"
      :now="day.card"
      :editable="may"
      :error="problem"
      @close="dialog = undefined"
      @try="tryEarlier"
      @keep="keep"
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
  font-size: var(--text-slate);
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
@media (width < 800px) {
  .cells .wide {
    display: none;
  }
}
</style>
