<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import type { Action } from '@/lib/actions'
import { usePhone } from '@/lib/usePhone'
import TabRow from './TabRow.vue'

/** The views of one shot; what can be done in the open one stands at the right. Book and Bench are in the spine. */
const props = defineProps<{ shotId: number; actions?: Action[] }>()

/** On a phone one walks the set, looks, rebuilds and meters. */
const ON_A_PHONE = ['walk', 'plot', 'rebuild', 'meter']
const AT_A_DESK = ['plot', 'rebuild', 'meter']
const phone = usePhone()
const VIEWS = [
  { key: 'plot', name: 'Plot' },
  { key: 'frame', name: 'Frame' },
  { key: 'light', name: 'Light' },
  { key: 'carry', name: 'Carry' },
  { key: 'meter', name: 'Meter' },
  { key: 'stills', name: 'Stills' },
  { key: 'match', name: 'Match' },
  { key: 'walk', name: 'As it stands' },
  { key: 'rebuild', name: 'Rebuild' },
  { key: 'patch', name: 'Patch' },
  { key: 'recall', name: 'Recall' },
  { key: 'power', name: 'Power' },
  { key: 'log', name: 'Log' },
]
const route = useRoute()
const tabs = computed(() => VIEWS.map((v) => ({ ...v, to: { name: v.key, params: { id: props.shotId } } })))
</script>

<template>
  <TabRow
    class="border-b border-line pr-3.5 pl-1.5"
    :tabs="tabs"
    :here="String(route.name)"
    :first="phone ? ON_A_PHONE : AT_A_DESK"
    :actions="actions"
    label="Views of this shot"
  />
</template>
