<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { computed, nextTick, onMounted, ref } from 'vue'
import { RouterLink, type RouteLocationRaw } from 'vue-router'
import { useFitting } from '@/lib/useFitting'

/** Views beside each other; those that do not fit go into one menu, the one that is open never. */
const props = defineProps<{
  tabs: { key: string; name: string; to: RouteLocationRaw }[]
  /** Key of the one that is open. */
  here: string
  label: string
  /** Keys of those that stay longest, first to last. */
  first?: string[]
}>()

const MORE_PX = 76
const row = ref<HTMLElement>()
const measured = ref<HTMLElement>()
const widthOf = ref<Record<string, number>>({})
onMounted(async () => {
  await nextTick()
  await document.fonts?.ready
  for (const tab of measured.value?.querySelectorAll<HTMLElement>('[data-key]') ?? [])
    widthOf.value[tab.dataset.key!] = tab.offsetWidth
})

const byRank = computed(() => {
  const first = props.first ?? []
  const rank = (key: string) => (key === props.here ? -1 : first.includes(key) ? first.indexOf(key) : first.length)
  return [...props.tabs].sort((a, b) => rank(a.key) - rank(b.key))
})
const widths = computed(() => byRank.value.map((t) => widthOf.value[t.key] ?? 0))
const count = useFitting(row, widths, ref(MORE_PX))
const kept = computed(() => new Set(byRank.value.slice(0, count.value).map((t) => t.key)))
const shown = computed(() => props.tabs.filter((t) => kept.value.has(t.key)))
const rest = computed(() => props.tabs.filter((t) => !kept.value.has(t.key)))
</script>

<template>
  <nav ref="row" :aria-label="label" class="row">
    <RouterLink
      v-for="t in shown"
      :key="t.key"
      :to="t.to"
      class="tab"
      :class="{ here: t.key === here }"
      :aria-current="t.key === here ? 'page' : undefined"
      >{{ t.name }}</RouterLink
    >
    <Menu v-if="rest.length" as="div" class="relative flex">
      <MenuButton class="tab"
        >More<span class="sr-only">: {{ label }}</span></MenuButton
      >
      <MenuItems class="menu-list">
        <MenuItem v-for="t in rest" :key="t.key" v-slot="{ active, close }">
          <RouterLink :to="t.to" class="menu-item" :class="{ 'bg-ground': active }" @click="close">{{
            t.name
          }}</RouterLink>
        </MenuItem>
      </MenuItems>
    </Menu>
    <span ref="measured" class="measured" aria-hidden="true"
      ><span v-for="t in tabs" :key="t.key" class="flex" :data-key="t.key"
        ><span class="tab here">{{ t.name }}</span></span
      ></span
    >
  </nav>
</template>

<style scoped>
.row {
  position: relative;
  display: flex;
  min-height: 39px;
}
/* As wide as each would be; not seen, not read, in nobody's way. */
.measured {
  position: absolute;
  left: 0;
  display: flex;
  height: 0;
  overflow: hidden;
  visibility: hidden;
}
@media (pointer: coarse), (width < 800px) {
  .row {
    min-height: 44px;
  }
}
</style>
