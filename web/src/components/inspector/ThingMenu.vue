<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { computed, ref } from 'vue'
import { answer, api, sentence } from '@/api/client'
import { value, type Order, type Placed, type PlacementCard } from '@/api/types'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import ChoiceField from '@/components/dialogs/ChoiceField.vue'
import TextField from '@/components/dialogs/TextField.vue'
import { useSubmit } from '@/lib/useSubmit'
import { isThing, THING_ROLES } from '@/lib/words'
import ExchangeDialog from './ExchangeDialog.vue'
import { usePlot } from '@/stores/plot'
import { useShotEditor } from '@/stores/shotEditor'

/** What can be done with what is chosen, besides typing its values. */
const props = defineProps<{ placed: Placed }>()
const plot = usePlot()
const editor = useShotEditor()

const ORDERS: { key: Order; name: string }[] = [
  { key: 'WALL', name: 'To the nearest wall' },
  { key: 'LANDMARK', name: 'To the nearest landmark' },
  { key: 'MIRROR', name: 'Across the camera’s axis' },
  { key: 'ROW', name: 'Into a row, first to last' },
]
const dialog = ref<'card' | 'copy' | 'exchange'>()
const card = ref<PlacementCard>({ name: '', role: 'KEY' })
const copyName = ref('')
const { busy, error, submit } = useSubmit()
const many = computed(() => plot.chosenKeys.length > 1)
const placement = computed(() => props.placed.placement)
/** A condition of the place or a cue is only called otherwise. */
const stands = computed(() => isThing(placement.value.kind))
const APART_M = 0.6

async function order(key: Order) {
  try {
    const params = { path: { shotId: plot.plot!.shot.id } }
    const body = { order: key, placements: plot.chosenKeys }
    const { changes } = await answer(api.POST('/api/shots/{shotId}/arrange', { params, body }))
    await editor.putAll(changes)
  } catch (failure) {
    plot.problem = { sentence: sentence(failure) }
  }
}

async function describeAll(change: Partial<PlacementCard>) {
  try {
    for (const key of plot.chosenKeys) await plot.describe(key, change)
  } catch (failure) {
    plot.problem = { sentence: sentence(failure) }
  }
}

function openCard() {
  const { name, role, motivation, group } = placement.value
  card.value = { name, role, motivation: motivation ?? '', group: group ?? '' }
  error.value = ''
  dialog.value = 'card'
}

function keepCard() {
  void submit(async () => {
    await plot.describe(placement.value.key, card.value)
    dialog.value = undefined
  })
}

function openCopy() {
  copyName.value = `${placement.value.name} 2`
  error.value = ''
  dialog.value = 'copy'
}

function keepCopy() {
  const place = value(props.placed, 'PLACE')
  if (!place || !plot.plot) return
  const params = { path: { shotId: plot.plot.shot.id, placement: placement.value.key } }
  const body = {
    name: copyName.value,
    place: { ...place, xM: place.xM + APART_M },
    reason: plot.based ? plot.reason : undefined,
  }
  void submit(async () => {
    const { edit, key } = await answer(api.POST('/api/shots/{shotId}/placements/{placement}/copies', { params, body }))
    plot.lay(edit)
    plot.selected = key
    dialog.value = undefined
  })
}
</script>

<template>
  <Menu as="div" class="relative ml-auto">
    <MenuButton class="button">Do…</MenuButton>
    <MenuItems class="menu-list min-w-[200px]">
      <template v-if="!many">
        <MenuItem v-slot="{ active }"
          ><button class="menu-item" :class="{ 'bg-ground': active }" @click="openCard">
            Name, role, group…
          </button></MenuItem
        >
        <MenuItem v-if="stands" v-slot="{ active }" :disabled="plot.locked"
          ><button class="menu-item" :class="{ 'bg-ground': active }" @click="dialog = 'exchange'">
            Unit, tag, size…
          </button></MenuItem
        >
        <MenuItem v-if="stands" v-slot="{ active }" :disabled="plot.locked"
          ><button class="menu-item" :class="{ 'bg-ground': active }" @click="openCopy">Duplicate…</button></MenuItem
        >
      </template>
      <MenuItem
        v-for="o in stands ? ORDERS : []"
        :key="o.key"
        v-slot="{ active }"
        :disabled="plot.locked || (o.key === 'ROW' && !many)"
      >
        <button
          class="menu-item"
          :class="{ 'bg-ground': active, 'text-quiet': plot.locked || (o.key === 'ROW' && !many) }"
          @click="order(o.key)"
        >
          {{ o.name }}
        </button>
      </MenuItem>
      <MenuItem v-if="stands" v-slot="{ active }"
        ><button class="menu-item" :class="{ 'bg-ground': active }" @click="describeAll({ locked: !placement.locked })">
          {{ placement.locked ? 'Unlock' : 'Lock where it stands' }}
        </button></MenuItem
      >
      <MenuItem v-if="many" v-slot="{ active }"
        ><button class="menu-item" :class="{ 'bg-ground': active }" @click="describeAll({ group: placement.name })">
          Group these {{ plot.chosenKeys.length }}
        </button></MenuItem
      >
      <MenuItem v-if="placement.group" v-slot="{ active }"
        ><button class="menu-item" :class="{ 'bg-ground': active }" @click="describeAll({ group: '' })">
          Out of “{{ placement.group }}”
        </button></MenuItem
      >
    </MenuItems>
  </Menu>
  <BaseDialog :open="dialog === 'card'" :title="placement.name" :error="error" @close="dialog = undefined">
    <form id="card-form" @submit.prevent="keepCard">
      <TextField v-model="card.name" label="What the crew calls it here" :maxlength="60" />
      <ChoiceField v-if="stands" v-model="card.role" label="What it is there for" :options="THING_ROLES" />
      <TextField
        v-model="card.motivation as string"
        label="What in the story would make this light"
        hint="may stay empty"
      />
      <TextField
        v-model="card.group as string"
        label="Group, moved and switched together"
        hint="may stay empty"
        :maxlength="60"
      />
    </form>
    <template #buttons
      ><button class="button" @click="dialog = undefined">Cancel</button
      ><button class="button button-main" :disabled="busy" type="submit" form="card-form">Keep</button></template
    >
  </BaseDialog>
  <ExchangeDialog :placed="placed" :open="dialog === 'exchange'" @close="dialog = undefined" />
  <BaseDialog
    :open="dialog === 'copy'"
    :title="`Another like ${placement.name}`"
    :error="error"
    @close="dialog = undefined"
  >
    <form id="copy-form" @submit.prevent="keepCopy">
      <TextField v-model="copyName" label="What the crew calls it here" :maxlength="60" />
      <p class="text-small text-quiet">
        It takes all values of this shot, stands {{ APART_M }} m to the right, and has no control address yet.
      </p>
    </form>
    <template #buttons
      ><button class="button" @click="dialog = undefined">Cancel</button
      ><button class="button button-main" :disabled="busy" type="submit" form="copy-form">Place it</button></template
    >
  </BaseDialog>
</template>
