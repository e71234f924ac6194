<script setup lang="ts">
import { computed, ref } from 'vue'
import { held, value, type Modifier, type Placed, type Stock } from '@/api/types'
import StopsText from '@/components/marks/StopsText.vue'
import FigureField from '@/components/fields/FigureField.vue'
import StockPicker from '@/components/fields/StockPicker.vue'
import { worn } from '@/lib/stock'
import { useValueEdit } from '@/lib/useValueEdit'
import { usePlot } from '@/stores/plot'
import { useShotEditor } from '@/stores/shotEditor'
import CarryThread from './CarryThread.vue'

/** What a light goes through, in order from the lens out: add from the stock, put on a frame, move, take off. */
const props = defineProps<{ placed: Placed }>()
const plot = usePlot()
const editor = useShotEditor()

const USUAL_FRAME = { frameWidthM: 1.2, frameDistanceM: 0.8 }

const now = computed(() => held(props.placed, 'MODIFIERS'))
const items = computed(() => value(props.placed, 'MODIFIERS')?.items ?? [])
const { error, keep: record } = useValueEdit()
const open = ref<number>()

function keep(changed: Modifier[]) {
  return record(props.placed.placement.key, 'MODIFIERS', { value: { items: changed } })
}

function add(item: Stock) {
  void keep([...items.value, worn(item)])
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
</script>

<template>
  <section class="flex" data-attribute="MODIFIERS">
    <CarryThread
      :held="now"
      :based="plot.based"
      :locked="plot.locked"
      label="Modifiers"
      @untie="editor.put(placed.placement.key, 'MODIFIERS', null)"
    />
    <div class="min-w-0 grow pl-1">
      <div class="flex items-baseline text-fine text-quiet">
        <h3 class="group-title grow text-ink">Through, in order</h3>
        <span class="w-12 text-right">stops</span><span class="w-12 text-right">mired</span>
      </div>
      <ol>
        <li v-for="(m, i) in items" :key="`${i}${m.name}`">
          <div
            class="flex items-center min-h-6.25 pointer-coarse:min-h-11"
            :class="{ 'text-quiet': !now?.tiedHere && plot.based }"
          >
            <button
              class="min-w-0 grow truncate text-left"
              :disabled="plot.locked"
              :aria-expanded="open === i"
              @click="open = open === i ? undefined : i"
            >
              {{ m.name }}<template v-if="m.frameWidthM"> on frame {{ m.frameWidthM }} m</template
              ><template v-if="m.covers">, {{ m.covers.toLowerCase() }} half</template>
            </button>
            <span class="figure w-12 text-right text-figure"
              >−<StopsText :text="placed.light?.stack[i]?.stopsText ?? ''"
            /></span>
            <span class="figure w-12 text-right text-figure">{{ placed.light?.stack[i]?.miredText }}</span>
          </div>
          <div v-if="open === i" class="mb-2 grid gap-1 border-l border-line pl-2 text-small">
            <label class="flex items-center gap-2"
              ><input type="checkbox" :checked="!!m.frameWidthM" @change="toggleFrame(i, !m.frameWidthM)" />on a frame
              of its own</label
            >
            <template v-if="m.frameWidthM">
              <div class="figure-row">
                <FigureField
                  label="frame, wide"
                  kind="LENGTH"
                  :value="m.frameWidthM"
                  @read="change(i, { frameWidthM: $event })"
                />
                <FigureField
                  label="from the lens"
                  kind="LENGTH"
                  :value="m.frameDistanceM"
                  @read="change(i, { frameDistanceM: $event })"
                />
              </div>
            </template>
            <label class="flex items-center gap-2"
              ><span class="grow">over</span>
              <select
                class="field !w-36"
                :value="m.covers ?? ''"
                @change="
                  change(i, { covers: (($event.target as HTMLSelectElement).value || undefined) as Modifier['covers'] })
                "
              >
                <option value="">all of the beam</option>
                <option value="LOWER">its lower half</option>
                <option value="UPPER">its upper half</option>
                <option value="LEFT">its left half</option>
                <option value="RIGHT">its right half</option>
              </select>
            </label>
            <p v-if="m.narrowsToDeg" class="text-quiet">Leaves a beam of {{ m.narrowsToDeg }}°.</p>
            <div class="flex gap-1">
              <button class="button !px-2" :disabled="i === 0" @click="swap(i, -1)">Nearer the lens</button>
              <button class="button !px-2" :disabled="i === items.length - 1" @click="swap(i, 1)">Farther</button>
              <button class="button !px-2" @click="remove(i)">Take off</button>
            </div>
          </div>
        </li>
      </ol>
      <div class="flex items-center min-h-6.25 pointer-coarse:min-h-11 border-t border-line text-quiet">
        <span class="grow">{{
          items.length ? 'all of it' : placed.records.includes('LEVEL') ? 'nothing: bare lamp' : 'nothing hangs on it'
        }}</span>
        <template v-if="items.length">
          <span class="figure w-12 text-right text-figure"
            >−<StopsText :text="placed.light?.stackStopsText ?? ''"
          /></span>
          <span class="figure w-12 text-right text-figure">{{ placed.light?.stackMiredText }}</span>
        </template>
      </div>
      <StockPicker v-if="!plot.locked" class="mt-1" @pick="add" />
      <p v-if="error" role="alert" class="mt-1 text-small">{{ error }}</p>
      <p class="mt-1 text-fine text-quiet">Nominal figures of the stock.</p>
    </div>
  </section>
</template>
