<script setup lang="ts">
import { ref, watch } from 'vue'
import { answer, api, sentence } from '@/api/client'
import { outdate } from '@/api/reads'
import type { BoardShot, DifferenceView, Preview, Reason } from '@/api/types'
import { useSubmit } from '@/lib/useSubmit'
import { REASONS } from '@/lib/words'
import { useSettings } from '@/stores/settings'
import BaseDialog from './BaseDialog.vue'
import SidePicker from './SidePicker.vue'

/** Makes a shot like another state, as knots: all of it, or of the things that are chosen. */
const props = defineProps<{ open: boolean; shot: BoardShot }>()
const emit = defineEmits<{ close: [] }>()
const settings = useSettings()
const side = ref('')
const reason = ref<Reason>('MATCH')
const compared = ref<Preview>()
const things = ref<{ key: string; name: string; changes: DifferenceView[]; wanted: boolean }[]>([])
const { busy, error, submit } = useSubmit()

watch(
  () => props.open,
  (open) => {
    if (open) side.value = ''
    compared.value = undefined
    error.value = ''
  },
)
watch(side, async (now) => {
  compared.value = undefined
  error.value = ''
  if (!now) return
  try {
    const params = { path: { shotId: props.shot.id }, query: { side: now } }
    const found = await answer(api.GET('/api/shots/{shotId}/state', { params }))
    const changes = found.differences
    things.value = [...new Set(changes.map((d) => d.from!))].map((key) => ({
      key,
      name: changes.find((d) => d.from === key)!.name,
      changes: changes.filter((d) => d.from === key),
      wanted: true,
    }))
    compared.value = found
  } catch (failure) {
    error.value = sentence(failure)
  }
})

function keep() {
  const { name, seen } = compared.value!
  const body = {
    side: side.value,
    placements: things.value.filter((t) => t.wanted).map((t) => t.key),
    reason: reason.value,
    note: `as in ${name}`,
    seen,
  }
  void submit(async () => {
    await answer(api.POST('/api/shots/{shotId}/state', { params: { path: { shotId: props.shot.id } }, body }))
    await outdate({ topics: ['RECORD'] })
    emit('close')
  })
}
</script>

<template>
  <BaseDialog :open="open" wide :title="`Copy a state into ${shot.slate}`" :error="error" @close="emit('close')">
    <SidePicker v-model="side" label="Copy from" />
    <template v-if="compared">
      <p class="mt-3">
        {{
          things.length
            ? 'These would be tied as knots. Untick what stays as it is.'
            : `${shot.slate} is like it already.`
        }}
      </p>
      <ul class="max-h-72 overflow-y-auto">
        <li v-for="t in things" :key="t.key">
          <label class="flex gap-2 py-1"
            ><input v-model="t.wanted" type="checkbox" /><span
              ><b class="font-strong">{{ t.name }}</b
              >{{ ' ' }}
              <span v-for="(c, i) in t.changes" :key="i" class="text-small"
                >{{ i ? '; ' : '' }}{{ c.label }} <span class="figure">{{ settings.printed(c.words) }}</span></span
              ></span
            ></label
          >
        </li>
      </ul>
    </template>
    <template #buttons>
      <label class="mr-auto flex items-center gap-2"
        ><span class="text-small text-quiet">as a</span
        ><select v-model="reason" class="field !w-24" aria-label="Why it is copied">
          <option v-for="r in REASONS" :key="r.key" :value="r.key">{{ r.name }}</option>
        </select></label
      >
      <button class="button" @click="emit('close')">Cancel</button>
      <button class="button button-main" :disabled="busy || !things.some((t) => t.wanted) || !compared" @click="keep">
        Copy it in
      </button>
    </template>
  </BaseDialog>
</template>
