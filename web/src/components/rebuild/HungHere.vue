<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { answer, api, onVersion } from '@/api/client'
import type { components } from '@/api/generated/schema'
import { value, type Rebuild, type Step } from '@/api/types'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { useSubmit } from '@/lib/useSubmit'
import { useSettings } from '@/stores/settings'

/** What is about to be hung, by its tag or its name: the wrong one is said before it is up. */
const props = defineProps<{ step: Step; runId?: number; begin: () => Promise<number | undefined>; closed: boolean }>()
const emit = defineEmits<{ kept: [sheet: Rebuild]; named: [] }>()
const settings = useSettings()
const named = ref('')
const said = ref<components['schemas']['NamedAnswer']>()
const { busy, error, submit } = useSubmit()
const placed = computed(() => props.step.placed)
const key = computed(() => placed.value.placement.key)
const wanted = computed(() => [
  ...(placed.value.placement.piece.unit ? [placed.value.placement.piece.unit] : []),
  ...(value(placed.value, 'MODIFIERS')?.items ?? []).map((m) => m.name),
])
watch(key, () => {
  named.value = ''
  said.value = undefined
  error.value = ''
})

function check() {
  void submit(async () => {
    const run = props.runId ?? (await props.begin())
    if (run === undefined) return
    const params = { path: { run, placement: key.value } }
    said.value = await answer(
      api.PUT('/api/runs/{run}/steps/{placement}/named', { params, body: { named: named.value } }),
    )
    emit('named')
  })
}
function allTheSame() {
  const answered = said.value!
  void submit(async () => {
    const id = props.runId ?? (await props.begin())
    if (id === undefined) return
    const now = await answer(
      api.PUT('/api/runs/{id}/steps/{placement}/otherwise', {
        params: { path: { id, placement: key.value }, header: onVersion(props.step.version) },
        body: {
          done: false,
          values: answered.instead.map((s) => ({ attribute: s.attribute, value: s.value })),
          why: `hung: ${answered.called}`,
        },
      }),
    )
    said.value = undefined
    emit('kept', now)
  })
}
</script>

<template>
  <section v-if="wanted.length" class="border-b border-line px-5 py-2" aria-label="What hangs here">
    <p v-if="step.hung" class="text-quiet">Named here: {{ step.hung }}; it was as recorded then.</p>
    <form v-if="!closed" class="flex items-end gap-2" @submit.prevent="check">
      <label class="min-w-0 flex-1"
        ><span class="block text-small text-quiet">Before it goes up: its tag, or what is written on it</span
        ><input v-model="named" class="field" maxlength="80" autocomplete="off" :placeholder="wanted.join(', ')"
      /></label>
      <button class="button" type="submit" :disabled="busy || !named.trim()">Is it right?</button>
    </form>
    <p v-if="said" class="flex gap-2 pt-1" role="alert">
      <WedgeMark v-if="!said.right" act /><span class="text-lead">{{ settings.printed(said.sentence) }}</span>
    </p>
    <button v-if="said && !said.right && said.instead.length" class="button mt-1" :disabled="busy" @click="allTheSame">
      It hangs all the same: record it
    </button>
    <p v-if="error" role="alert" class="pt-1">{{ error }}</p>
  </section>
</template>
