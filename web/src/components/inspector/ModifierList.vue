<script setup lang="ts">
import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/vue'
import { computed, ref } from 'vue'
import { call, sentence } from '@/api/client'
import { held, value, type Kit, type Modifier, type Placed } from '@/api/types'
import StopsText from '@/components/marks/StopsText.vue'
import { usePlot } from '@/stores/plot'
import CarryThread from './CarryThread.vue'

/** What a light goes through, in order from the lens out: add from the stock, put on a frame, move, take off. */
const props = defineProps<{ placed: Placed }>()
const plot = usePlot()

const MOST_SHOWN = 8
const USUAL_FRAME = { frameWidthM: 1.2, frameDistanceM: 0.7 }

const now = computed(() => held(props.placed, 'MODIFIERS'))
const items = computed(() => value(props.placed, 'MODIFIERS')?.items ?? [])
const stock = ref<Modifier[]>([])
const query = ref('')
const error = ref('')
const open = ref<number>()
const found = computed(() => stock.value.filter((m) => m.name.toLowerCase().includes(query.value.trim().toLowerCase())).slice(0, MOST_SHOWN))

async function fill() {
  if (!stock.value.length) stock.value = await call<Kit>('GET', '/api/kit').then((kit) => kit.stock, () => [])
}

async function keep(changed: Modifier[]) {
  try {
    await plot.edit(props.placed.placement.key, 'MODIFIERS', { value: { items: changed } })
    error.value = ''
  } catch (failure) {
    error.value = plot.conflict ? '' : sentence(failure)
  }
}

function add(item: Modifier | null) {
  query.value = ''
  if (item) void keep([...items.value, item])
}

function swap(i: number, by: number) {
  const changed = [...items.value]
  const [item] = changed.splice(i, 1)
  if (item) changed.splice(i + by, 0, item)
  open.value = undefined
  void keep(changed)
}

function remove(i: number) {
  open.value = undefined
  void keep(items.value.filter((_, at) => at !== i))
}

function change(i: number, part: Partial<Modifier>) {
  void keep(items.value.map((m, at) => (at === i ? { ...m, ...part } : m)))
}

function toggleFrame(i: number, on: boolean) {
  change(i, on ? USUAL_FRAME : { frameWidthM: undefined, frameDistanceM: undefined })
}

function metres(event: Event) {
  return Number((event.target as HTMLInputElement).value.replace(',', '.'))
}
</script>

<template>
  <section class="flex" data-attribute="MODIFIERS">
    <CarryThread :held="now" :based="plot.based" :locked="plot.locked" label="Modifiers" @untie="plot.drop(placed.placement.key, 'MODIFIERS', null)" />
    <div class="min-w-0 grow pl-1">
      <div class="flex items-baseline text-[11px] text-quiet">
        <h3 class="group-title grow text-ink">Through, in order</h3>
        <span class="w-12 text-right">stops</span><span class="w-12 text-right">mired</span>
      </div>
      <ol>
        <li v-for="(m, i) in items" :key="`${i}${m.name}`">
          <div class="item" :class="{ 'text-quiet': !now?.tiedHere && plot.based }">
            <button class="min-w-0 grow truncate text-left" :disabled="plot.locked" :aria-expanded="open === i" @click="open = open === i ? undefined : i">
              {{ m.name }}<template v-if="m.frameWidthM"> on frame {{ m.frameWidthM }} m</template>
            </button>
            <span class="figure w-12 text-right text-[14px]">−<StopsText :text="placed.light?.stack[i]?.stopsText ?? ''" /></span>
            <span class="figure w-12 text-right text-[14px]">{{ placed.light?.stack[i]?.miredText }}</span>
          </div>
          <div v-if="open === i" class="mb-2 grid gap-1 border-l border-line pl-2 text-[12px]">
            <label class="flex items-center gap-2"><input type="checkbox" :checked="!!m.frameWidthM" @change="toggleFrame(i, !m.frameWidthM)" />on a frame of its own</label>
            <template v-if="m.frameWidthM">
              <label class="flex items-center gap-2"><span class="grow">frame, wide</span><input class="field figure !w-20 text-right" :value="m.frameWidthM" inputmode="decimal" @change="change(i, { frameWidthM: metres($event) })" /> m</label>
              <label class="flex items-center gap-2"><span class="grow">from the lens</span><input class="field figure !w-20 text-right" :value="m.frameDistanceM" inputmode="decimal" @change="change(i, { frameDistanceM: metres($event) })" /> m</label>
            </template>
            <div class="flex gap-1">
              <button class="button !px-2" :disabled="i === 0" @click="swap(i, -1)">Nearer the lens</button>
              <button class="button !px-2" :disabled="i === items.length - 1" @click="swap(i, 1)">Farther</button>
              <button class="button !px-2" @click="remove(i)">Take off</button>
            </div>
          </div>
        </li>
      </ol>
      <div class="item border-t border-line text-quiet">
        <span class="grow">{{ items.length ? 'all of it' : 'nothing: bare lamp' }}</span>
        <template v-if="items.length">
          <span class="figure w-12 text-right text-[14px]">−<StopsText :text="placed.light?.stackStopsText ?? ''" /></span>
          <span class="figure w-12 text-right text-[14px]">{{ placed.light?.stackMiredText }}</span>
        </template>
      </div>
      <Combobox v-if="!plot.locked" :model-value="null" nullable as="div" class="relative mt-1" @update:model-value="add">
        <ComboboxInput class="field" :value="query" placeholder="Add from the stock: half cto" aria-label="Add a filter or a cloth from the stock" autocomplete="off" @change="query = $event.target.value" @focus="fill" />
        <ComboboxOptions v-if="query" class="options">
          <ComboboxOption v-for="m in found" :key="m.name" v-slot="{ active }" :value="m">
            <div class="flex cursor-pointer gap-2 px-3 py-1.5" :class="{ 'bg-ground': active }">
              <span class="grow">{{ m.name }}</span><span class="figure text-quiet">−{{ m.stops.toFixed(1) }}</span>
            </div>
          </ComboboxOption>
          <p v-if="!found.length" class="px-3 py-2 text-quiet">Nothing in the stock is called that.</p>
        </ComboboxOptions>
      </Combobox>
      <p v-if="error" role="alert" class="mt-1 text-[12px]">{{ error }}</p>
      <p class="mt-1 text-[11px] text-quiet">Nominal figures of the stock.</p>
    </div>
  </section>
</template>

<style scoped>
.item {
  display: flex;
  align-items: center;
  min-height: 25px;
}
.options {
  position: absolute;
  z-index: 20;
  inset: auto 0 100% 0;
  background: var(--raised);
  border: 1px solid var(--quiet);
  border-radius: 3px;
}
@media (pointer: coarse) {
  .item {
    min-height: 44px;
  }
}
</style>
