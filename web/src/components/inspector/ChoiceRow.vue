<script setup lang="ts" generic="T extends string">
import { Listbox, ListboxButton, ListboxLabel, ListboxOption, ListboxOptions } from '@headlessui/vue'
import { computed } from 'vue'
import { held, type Attribute, type Placed } from '@/api/types'
import { usePlot } from '@/stores/plot'
import { useShotEditor } from '@/stores/shotEditor'
import CarryThread from './CarryThread.vue'

/** One recorded value that is chosen from a few. */
const props = defineProps<{
  placed: Placed
  attribute: Attribute
  label: string
  options: { key: T; name: string }[]
  chosen: T
}>()
const emit = defineEmits<{ choose: [key: T] }>()
const plot = usePlot()
const editor = useShotEditor()
const now = computed(() => held(props.placed, props.attribute))
</script>

<template>
  <Listbox
    :data-attribute="attribute"
    :model-value="chosen"
    :disabled="plot.locked"
    as="div"
    class="relative flex min-h-[25px] items-center gap-1"
    @update:model-value="(key: T) => key !== chosen && emit('choose', key)"
  >
    <CarryThread
      :held="now"
      :based="plot.based"
      :locked="plot.locked"
      :label="label"
      @untie="editor.put(placed.placement.key, attribute, null)"
    />
    <ListboxLabel :class="{ 'text-quiet': !now?.tiedHere && plot.based }">{{ label }}</ListboxLabel>
    <ListboxButton class="button ml-auto !min-h-6 !px-2"
      >{{ options.find((o) => o.key === chosen)?.name
      }}<svg width="8" height="5" aria-hidden="true"><path d="M0 0L4 5L8 0" fill="currentColor" /></svg
    ></ListboxButton>
    <ListboxOptions class="options absolute z-20 right-0 top-full min-w-35 bg-raised border border-quiet rounded-mark">
      <ListboxOption v-for="o in options" :key="o.key" v-slot="{ active, selected }" :value="o.key">
        <div class="menu-item cursor-pointer" :class="{ 'bg-ground': active, 'font-semibold': selected }">
          {{ o.name }}
        </div>
      </ListboxOption>
    </ListboxOptions>
  </Listbox>
</template>
