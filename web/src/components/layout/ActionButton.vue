<script setup lang="ts">
import { Menu, MenuButton, MenuItems } from '@headlessui/vue'
import type { Action } from '@/lib/actions'
import ActionEntries from './ActionEntries.vue'

/** Something to do: a button, a link to a page of its own, or a menu of these. */
defineProps<{ action: Action }>()
</script>

<template>
  <Menu v-if="action.menu" as="div" class="relative">
    <MenuButton class="button" :disabled="action.disabled" :title="action.title">{{ action.name }}</MenuButton>
    <MenuItems class="menu-list"><ActionEntries :actions="action.menu" /></MenuItems>
  </Menu>
  <a v-else-if="action.href" :href="action.href" target="_blank" rel="noopener" class="button">{{ action.name }}</a>
  <button v-else class="button" :disabled="action.disabled" :title="action.title" @click="action.run?.()">
    {{ action.name }}
  </button>
</template>
