<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import type { ValueView } from '@/api/types'
import CheatFlag from '@/components/marks/CheatFlag.vue'
import KnotMark from '@/components/marks/KnotMark.vue'
import { reasonName, byWhom } from '@/lib/words'

/** The thread down a row: a knot where this shot changed the value, a plain line where it carries. */
defineProps<{ held?: ValueView; based?: string; locked: boolean; label: string }>()
defineEmits<{ untie: [] }>()
</script>

<template>
  <Menu as="div" class="thread relative self-stretch w-5 flex-none">
    <MenuButton
      v-if="held?.tiedHere && based"
      class="knot relative flex items-center justify-center w-5 min-h-6"
      :aria-label="`${label}: changed here, ${reasonName(held.reason)}. Who and why`"
    >
      <CheatFlag v-if="held.reason === 'CHEAT'" />
      <KnotMark v-else upright />
    </MenuButton>
    <MenuItems v-if="held" class="absolute z-20 left-4.5 top-0 w-57.5 bg-raised border border-quiet rounded-mark">
      <div class="px-3 py-2 text-small">
        <b class="font-strong">{{ reasonName(held.reason) }}</b>, {{ byWhom(held) }}
        <p v-if="held.note" class="mt-1 text-quiet">{{ held.note }}</p>
      </div>
      <MenuItem v-slot="{ active }" :disabled="locked">
        <button class="menu-item" :class="{ 'bg-raised': active }" @click="$emit('untie')">
          Untie: carry from {{ based }} again
        </button>
      </MenuItem>
    </MenuItems>
  </Menu>
</template>

<style scoped>
.thread::before {
  content: '';
  position: absolute;
  left: 9.4px;
  top: 0;
  bottom: 0;
  width: 1.2px;
  background: var(--set);
}
.knot::before {
  content: '';
  position: absolute;
  inset: 2px 6px;
  background: var(--panel);
}
.knot :deep(svg) {
  position: relative;
}
</style>
