<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { computed, nextTick, ref, watch } from 'vue'
import { RouterLink, type RouteLocationRaw } from 'vue-router'
import type { Action } from '@/lib/actions'
import { useFitting } from '@/lib/useFitting'
import ActionButton from './ActionButton.vue'
import ActionEntries from './ActionEntries.vue'

/** Views beside each other, and what can be done in the one that is open; what does not fit goes into one menu, the open view never. */
const props = withDefaults(
  defineProps<{
    tabs: { key: string; name: string; to: RouteLocationRaw }[]
    /** Key of the one that is open. */
    here: string
    label: string
    /** Keys of those that stay longest, first to last. */
    first?: string[]
    actions?: Action[]
  }>(),
  { first: () => [], actions: () => [] },
)

const MORE_PX = 80
const GAP_PX = 8
const row = ref<HTMLElement>()
const measured = ref<HTMLElement>()
const widthOf = ref<Record<string, number>>({})
watch(
  () => [props.tabs, props.actions].flatMap((list) => list.map((one) => one.name)).join(),
  async () => {
    await nextTick()
    await document.fonts?.ready
    for (const one of measured.value?.querySelectorAll<HTMLElement>('[data-key]') ?? [])
      widthOf.value[one.dataset.key!] = one.offsetWidth
  },
  { immediate: true, flush: 'post' },
)

/** Actions stay longer than the views that are not first. */
const byRank = computed(() => {
  const { first, here, tabs, actions } = props
  const rank = (key: string) => (key === here ? -1 : first.includes(key) ? first.indexOf(key) : first.length + 1)
  return [
    ...tabs.map(({ key }) => ({ key, rank: rank(key) })),
    ...actions.map(({ name }) => ({ key: name, rank: first.length })),
  ].sort((a, b) => a.rank - b.rank)
})
const widths = computed(() => byRank.value.map(({ key }) => widthOf.value[key] ?? 0))
const count = useFitting(row, widths, ref(MORE_PX))
const kept = computed(() => new Set(byRank.value.slice(0, count.value).map(({ key }) => key)))
const shown = computed(() => props.tabs.filter((t) => kept.value.has(t.key)))
const rest = computed(() => props.tabs.filter((t) => !kept.value.has(t.key)))
const shownActions = computed(() => props.actions.filter((a) => kept.value.has(a.name)))
const restActions = computed(() => props.actions.filter((a) => !kept.value.has(a.name)))
</script>

<template>
  <div ref="row" class="relative flex items-stretch min-h-[39px] phone:min-h-11 pointer-coarse:min-h-11">
    <nav :aria-label="label" class="flex">
      <RouterLink
        v-for="t in shown"
        :key="t.key"
        :to="t.to"
        class="tab"
        :class="{ here: t.key === here }"
        :aria-current="t.key === here ? 'page' : undefined"
        >{{ t.name }}</RouterLink
      >
    </nav>
    <Menu v-if="rest.length || restActions.length" as="div" class="relative flex">
      <MenuButton class="tab"
        >More<span class="sr-only">: {{ label }}</span></MenuButton
      >
      <MenuItems class="menu-list">
        <MenuItem v-for="t in rest" :key="t.key" v-slot="{ active, close }">
          <RouterLink :to="t.to" class="menu-item" :class="{ 'bg-ground': active }" @click="close">{{
            t.name
          }}</RouterLink>
        </MenuItem>
        <hr v-if="rest.length && restActions.length" class="my-1 border-line" />
        <ActionEntries :actions="restActions" />
      </MenuItems>
    </Menu>
    <div v-if="shownActions.length" class="flex items-center gap-2 ml-auto py-0.75">
      <ActionButton v-for="a in shownActions" :key="a.name" :action="a" />
    </div>
    <!-- As wide as each would be; not seen, not read, in nobody's way. -->
    <span ref="measured" class="absolute left-0 flex h-0 overflow-hidden invisible" aria-hidden="true"
      ><span v-for="t in tabs" :key="t.key" class="flex" :data-key="t.key"
        ><span class="tab here">{{ t.name }}</span></span
      ><span v-for="a in actions" :key="a.name" class="flex" :style="{ paddingLeft: `${GAP_PX}px` }" :data-key="a.name"
        ><span class="button">{{ a.name }}</span></span
      ></span
    >
  </div>
</template>
