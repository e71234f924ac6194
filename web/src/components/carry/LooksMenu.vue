<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { call, sentence } from '@/api/client'
import type { BoardShot, LookCard, Preview } from '@/api/types'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import TextField from '@/components/dialogs/TextField.vue'
import { when } from '@/lib/words'
import { useBoard } from '@/stores/board'
import { useSettings } from '@/stores/settings'

/** Named states of the scene: save one, see what it would change, make a shot like it. */
const props = defineProps<{ shot: BoardShot; editable: boolean }>()
const store = useBoard()
const settings = useSettings()
const router = useRouter()

const saving = ref(false)
const name = ref('')
const error = ref('')
const chosen = ref<LookCard>()
const compared = ref<Preview>()
const looks = computed(() => store.board?.looks.map((l) => l.card) ?? [])

const changes = computed(() => compared.value?.differences ?? [])

watch(chosen, async (look) => {
  compared.value = undefined
  error.value = ''
  if (!look) return
  try {
    compared.value = await call<Preview>('GET', `/api/shots/${props.shot.id}/state?side=look-${look.id}`)
  } catch (failure) {
    error.value = sentence(failure)
  }
})

async function attempt(action: () => Promise<unknown>) {
  try {
    await action()
    await store.refresh()
    error.value = ''
    return true
  } catch (failure) {
    error.value = sentence(failure)
    return false
  }
}

async function save() {
  if (await attempt(() => call('POST', '/api/looks', { body: { name: name.value, shotId: props.shot.id } }))) {
    saving.value = false
    name.value = ''
  }
}

async function apply() {
  const look = chosen.value
  if (!look || !compared.value) return
  const { seen } = compared.value
  if (
    await attempt(() =>
      call('POST', `/api/shots/${props.shot.id}/state`, {
        body: { side: `look-${look.id}`, reason: 'LOOK', note: `as in ${look.name}`, seen },
      }),
    )
  )
    chosen.value = undefined
}

async function remove() {
  const look = chosen.value
  if (look && (await attempt(() => call('DELETE', `/api/looks/${look.id}`, { version: look.version }))))
    chosen.value = undefined
}
</script>

<template>
  <Menu as="div" class="relative">
    <MenuButton class="button">Looks</MenuButton>
    <MenuItems class="menu-list w-[230px]">
      <MenuItem v-for="look in looks" :key="look.id" v-slot="{ active }">
        <button class="menu-item" :class="{ 'bg-ground': active }" @click="chosen = look">
          {{ look.name }}<span class="block text-[11px] text-quiet">{{ look.author }}, {{ when(look.at) }}</span>
        </button>
      </MenuItem>
      <p v-if="!looks.length" class="px-3 py-2 text-[12px] text-quiet">
        No look is saved yet: day, dusk, night of one room with the same units.
      </p>
      <MenuItem v-if="editable" v-slot="{ active }"
        ><button class="menu-item border-t border-line" :class="{ 'bg-ground': active }" @click="saving = true">
          Save {{ shot.slate }} as a look…
        </button></MenuItem
      >
    </MenuItems>
  </Menu>
  <BaseDialog :open="saving" :title="`Save ${shot.slate} as a look`" :error="error" @close="saving = false">
    <p class="mb-3 text-quiet">
      What every light and piece of grip has in {{ shot.slate }}, and the camera’s white, under a name. It stands beside
      the shots on the board.
    </p>
    <form id="look-form" @submit.prevent="save">
      <TextField v-model="name" label="Name of the look" hint="such as dusk" :maxlength="60" />
    </form>
    <template #buttons
      ><button class="button" @click="saving = false">Cancel</button
      ><button class="button button-main" type="submit" form="look-form">Save look</button></template
    >
  </BaseDialog>
  <BaseDialog
    :open="!!chosen"
    wide
    :title="chosen ? `${chosen.name}, for ${shot.slate}` : ''"
    :error="error"
    @close="chosen = undefined"
  >
    <template v-if="compared">
      <p class="mb-2">
        {{
          changes.length ? `Making ${shot.slate} like it ties these knots:` : `${shot.slate} is lit like it already.`
        }}
      </p>
      <ul class="max-h-80 overflow-y-auto text-[12px]">
        <li v-for="(d, i) in changes" :key="i">
          <b class="font-[650]">{{ d.name }}</b> {{ d.label }},
          <span class="figure">{{ settings.printed(d.words) }}</span>
        </li>
      </ul>
    </template>
    <p v-else-if="!error" class="text-quiet">Comparing…</p>
    <template #buttons>
      <button v-if="editable" class="button mr-auto" @click="remove">Delete look</button>
      <button
        class="button"
        @click="router.push({ name: 'compare', params: { from: `shot-${shot.id}`, to: `look-${chosen!.id}` } })"
      >
        Compare
      </button>
      <button
        class="button button-main"
        :disabled="!editable || !changes.length || shot.stage === 'SHOT'"
        @click="apply"
      >
        Make {{ shot.slate }} like it
      </button>
    </template>
  </BaseDialog>
</template>
