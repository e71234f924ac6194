<script setup lang="ts" generic="T extends string | number | undefined">
import { Listbox, ListboxButton, ListboxLabel, ListboxOption, ListboxOptions } from '@headlessui/vue'

/** One of a few. */
defineProps<{ label: string; options: { key: T; name: string }[] }>()
const model = defineModel<T>({ required: true })
</script>

<template>
  <Listbox v-model="model" as="div" class="relative mb-2">
    <ListboxLabel class="mb-0.5 block text-small text-quiet">{{ label }}</ListboxLabel>
    <ListboxButton class="field flex items-center justify-between text-left">
      <span class="truncate">{{ options.find((o) => o.key === model)?.name }}</span>
      <svg width="8" height="5" aria-hidden="true"><path d="M0 0L4 5L8 0" fill="currentColor" /></svg>
    </ListboxButton>
    <ListboxOptions
      class="options absolute z-20 left-0 right-0 max-h-60 overflow-y-auto bg-raised border border-quiet rounded-mark"
    >
      <ListboxOption v-for="o in options" :key="String(o.key)" v-slot="{ active, selected }" :value="o.key">
        <div class="menu-item cursor-pointer" :class="{ 'bg-ground': active, 'font-semibold': selected }">
          {{ o.name }}
        </div>
      </ListboxOption>
    </ListboxOptions>
  </Listbox>
</template>
