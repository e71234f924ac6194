<script setup lang="ts">
import { MenuItem } from '@headlessui/vue'
import { computed } from 'vue'
import type { Action } from '@/lib/actions'

/** Things to do, as entries of a menu; what is a menu itself stands in it entry by entry. */
const props = defineProps<{ actions: Action[] }>()
const entries = computed(() => props.actions.flatMap((a) => a.menu ?? a))
</script>

<template>
  <MenuItem v-for="a in entries" :key="a.name" v-slot="{ active }" :disabled="a.disabled">
    <a v-if="a.href" :href="a.href" target="_blank" rel="noopener" class="menu-item" :class="{ 'bg-ground': active }">{{
      a.name
    }}</a>
    <button v-else class="menu-item" :class="{ 'bg-ground': active }" :disabled="a.disabled" @click="a.run?.()">
      {{ a.name }}
    </button>
  </MenuItem>
</template>
