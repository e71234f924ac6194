<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { useSettings } from '@/stores/settings'

/** What of this goes on paper or into a table; each opens in a page of its own. */
const props = defineProps<{ papers: { name: string; path: string; kinds?: string[] }[] }>()
const settings = useSettings()

function address(path: string, kind: string) {
  const [file, query] = path.split('?')
  return `${file}.${kind}?${query ? `${query}&` : ''}units=${settings.units}`
}
const links = () =>
  props.papers.flatMap((p) =>
    (p.kinds ?? ['pdf', 'csv']).map((kind) => ({
      name: `${p.name}, ${kind.toUpperCase()}`,
      href: address(p.path, kind),
    })),
  )
</script>

<template>
  <Menu as="div" class="relative">
    <MenuButton class="button">On paper</MenuButton>
    <MenuItems class="menu-list">
      <MenuItem v-for="l in links()" :key="l.href" v-slot="{ active }">
        <a :href="l.href" target="_blank" rel="noopener" class="menu-item" :class="{ 'bg-ground': active }">{{
          l.name
        }}</a>
      </MenuItem>
    </MenuItems>
  </Menu>
</template>
