<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { answer, api, onVersion, sentence } from '@/api/client'
import { outdate } from '@/api/reads'
import type { BoardShot, LookCard, Preview } from '@/api/types'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import TextField from '@/components/dialogs/TextField.vue'
import { useSubmit } from '@/lib/useSubmit'
import { useSettings } from '@/stores/settings'

/** Named states of the scene: one to save, or one to look at: what it would change, and to make a shot like it. */
const props = defineProps<{ shot: BoardShot; editable: boolean }>()
const saving = defineModel<boolean>('saving', { required: true })
const chosen = defineModel<LookCard>('chosen')
const settings = useSettings()
const router = useRouter()

const name = ref('')
const { busy, error, submit } = useSubmit()
const compared = ref<Preview>()

const changes = computed(() => compared.value?.differences ?? [])
const at = computed(() => ({ shotId: props.shot.id }))

watch(chosen, async (look) => {
  compared.value = undefined
  error.value = ''
  if (!look) return
  try {
    compared.value = await answer(
      api.GET('/api/shots/{shotId}/state', { params: { path: at.value, query: { side: `look-${look.id}` } } }),
    )
  } catch (failure) {
    error.value = sentence(failure)
  }
})

async function attempt(topic: 'LOOKS' | 'RECORD', action: () => Promise<unknown>) {
  return submit(async () => {
    await action()
    await outdate({ topics: [topic] })
  })
}

async function save() {
  const body = { name: name.value, shotId: props.shot.id }
  if (!(await attempt('LOOKS', () => answer(api.POST('/api/looks', { body }))))) return
  saving.value = false
  name.value = ''
}

async function apply() {
  const look = chosen.value
  if (!look || !compared.value) return
  const { seen } = compared.value
  const body = { side: `look-${look.id}`, reason: 'LOOK', note: `as in ${look.name}`, seen } as const
  if (
    await attempt('RECORD', () => answer(api.POST('/api/shots/{shotId}/state', { params: { path: at.value }, body })))
  )
    chosen.value = undefined
}

async function remove() {
  const look = chosen.value
  if (!look) return
  const params = { path: { id: look.id }, header: onVersion(look.version) }
  if (await attempt('LOOKS', () => answer(api.DELETE('/api/looks/{id}', { params })))) chosen.value = undefined
}
</script>

<template>
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
      ><button class="button button-main" :disabled="busy" type="submit" form="look-form">Save look</button></template
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
      <ul class="max-h-80 overflow-y-auto text-small">
        <li v-for="(d, i) in changes" :key="i">
          <b class="font-strong">{{ d.name }}</b> {{ d.label }},
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
