<script setup lang="ts">
import { computed, ref } from 'vue'
import { held, value, type Modifier, type Placed, type Stock } from '@/api/types'
import StopsText from '@/components/marks/StopsText.vue'
import StockPicker from '@/components/fields/StockPicker.vue'
import { worn } from '@/lib/stock'
import { useValueEdit } from '@/lib/useValueEdit'
import { usePlot } from '@/stores/plot'
import { useShotEditor } from '@/stores/shotEditor'
import { useStock } from '@/stores/stock'
import CarryThread from './CarryThread.vue'
import ModifierItem from './ModifierItem.vue'

/** What a light goes through, in order from the lens out: add from the stock, put on a frame, move, take off. */
const props = defineProps<{ placed: Placed }>()
const plot = usePlot()
const editor = useShotEditor()
const shelf = useStock()
void shelf.fill()

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

/** Half of the front, or so much of it as is said. */
function part({ covers, share }: Modifier) {
  if (!covers) return ''
  return `, ${covers.toLowerCase()} ${share === undefined ? 'half' : `${Math.round(100 * share)} %`}`
}

function putOn(name: string) {
  const gear = shelf.kit?.front.find((f) => f.name === name)
  if (gear) void keep([...items.value, ...gear.items])
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
              {{ m.name }}<template v-if="m.frameWidthM"> on frame {{ m.frameWidthM }} m</template>{{ part(m) }}
            </button>
            <span class="figure w-12 text-right text-figure"
              >−<StopsText :text="placed.light?.stack[i]?.stopsText ?? ''"
            /></span>
            <span class="figure w-12 text-right text-figure">{{ placed.light?.stack[i]?.miredText }}</span>
          </div>
          <ModifierItem
            v-if="open === i"
            :item="m"
            :first="i === 0"
            :last="i === items.length - 1"
            @change="change(i, $event)"
            @swap="swap(i, $event)"
            @remove="remove(i)"
          />
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
      <select
        v-if="!plot.locked && placed.records.includes('LEVEL')"
        class="field mt-1"
        aria-label="Put front gear on"
        :value="''"
        @change="putOn(($event.target as HTMLSelectElement).value)"
      >
        <option value="">Front gear: softbox, snoot, doors…</option>
        <option v-for="f in shelf.kit?.front" :key="f.name" :value="f.name">{{ f.name }}</option>
      </select>
      <p v-if="error" role="alert" class="mt-1 text-small">{{ error }}</p>
      <p class="mt-1 text-fine text-quiet">Nominal figures of the stock; front gear is a model.</p>
    </div>
  </section>
</template>
