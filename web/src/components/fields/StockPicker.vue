<script setup lang="ts">
import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/vue'
import { computed, ref } from 'vue'
import type { Stock } from '@/api/types'
import { fixed } from '@/lib/print'
import { useStock } from '@/stores/stock'

/** Picks something of the stock that is hung before a lamp, by typing part of its name: `half cto`. */
const props = withDefaults(
  defineProps<{
    /** Which items are offered. */ only?: (item: Stock) => boolean
    /** The list opens downwards. */ down?: boolean
    label?: string
  }>(),
  {
    only: () => true,
    label: 'Add a filter or a cloth from the stock',
  },
)
const emit = defineEmits<{ pick: [item: Stock] }>()

const MOST_SHOWN = 8
const shelf = useStock()
const query = ref('')
const found = computed(() => shelf.filters.filter((m) => props.only(m) && matches(m.name)).slice(0, MOST_SHOWN))

/** Every word typed has to be in the name: `cto half` finds Half CTO. */
function matches(name: string) {
  return query.value
    .trim()
    .toLowerCase()
    .split(/\s+/)
    .every((word) => name.toLowerCase().includes(word))
}

function pick(item: Stock | null) {
  query.value = ''
  if (item) emit('pick', item)
}
</script>

<template>
  <div>
    <Combobox :model-value="null" nullable as="div" class="relative" @update:model-value="pick">
      <ComboboxInput
        class="field"
        :value="query"
        placeholder="Add from the stock: half cto"
        :aria-label="label"
        autocomplete="off"
        @change="query = $event.target.value"
        @focus="shelf.fill"
      />
      <ComboboxOptions
        v-if="query"
        class="options absolute z-20 bg-raised border border-quiet rounded-mark"
        :class="down ? 'down' : 'up'"
      >
        <ComboboxOption v-for="m in found" :key="m.name" v-slot="{ active }" :value="m">
          <div class="flex cursor-pointer gap-2 px-3 py-1.5" :class="{ 'bg-ground': active }" :title="m.heat">
            <span class="grow">{{ m.name }}</span><span class="figure text-quiet">−{{ fixed(m.stops, 1) }}</span>
          </div>
        </ComboboxOption>
        <p v-if="!found.length" class="px-3 py-2 text-quiet">Nothing in the stock is called that.</p>
      </ComboboxOptions>
    </Combobox>
    <p v-if="shelf.problem" role="status" class="mt-1 text-small">{{ shelf.problem }}</p>
  </div>
</template>

<style scoped>
.up {
  inset: auto 0 100% 0;
}
.down {
  inset: 100% 0 auto 0;
}
</style>
