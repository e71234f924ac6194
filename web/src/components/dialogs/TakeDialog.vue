<script setup lang="ts">
import { ref, watch } from 'vue'
import { call, sentence } from '@/api/client'
import type { BoardShot, DifferenceView, Preview, Reason } from '@/api/types'
import { REASONS } from '@/lib/words'
import { useSettings } from '@/stores/settings'
import BaseDialog from './BaseDialog.vue'
import SidePicker from './SidePicker.vue'

/** Makes a shot like another state, as knots: all of it, or of the things that are chosen. */
const props = defineProps<{ open: boolean; shot: BoardShot }>()
const emit = defineEmits<{ close: []; kept: [] }>()
const settings = useSettings()
const side = ref('')
const reason = ref<Reason>('MATCH')
const compared = ref<Preview>()
const things = ref<{ key: string; name: string; changes: DifferenceView[]; wanted: boolean }[]>([])
const error = ref('')

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
    const answer = await call<Preview>('GET', `/api/shots/${props.shot.id}/state?side=${now}`)
    const changes = answer.differences
    things.value = [...new Set(changes.map((d) => d.from!))].map((key) => ({
      key,
      name: changes.find((d) => d.from === key)!.name,
      changes: changes.filter((d) => d.from === key),
      wanted: true,
    }))
    compared.value = answer
  } catch (failure) {
    error.value = sentence(failure)
  }
})

async function keep() {
  try {
    await call('POST', `/api/shots/${props.shot.id}/state`, {
      body: {
        side: side.value,
        placements: things.value.filter((t) => t.wanted).map((t) => t.key),
        reason: reason.value,
        note: `as in ${compared.value!.name}`,
        seen: compared.value!.seen,
      },
    })
    emit('kept')
    emit('close')
  } catch (failure) {
    error.value = sentence(failure)
  }
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
              ><b class="font-[650]">{{ t.name }}</b
              >{{ ' ' }}
              <span v-for="(c, i) in t.changes" :key="i" class="text-[12px]"
                >{{ i ? '; ' : '' }}{{ c.label }} <span class="figure">{{ settings.printed(c.words) }}</span></span
              ></span
            ></label
          >
        </li>
      </ul>
    </template>
    <template #buttons>
      <label class="mr-auto flex items-center gap-2"
        ><span class="text-[12px] text-quiet">as a</span
        ><select v-model="reason" class="field !w-24" aria-label="Why it is copied">
          <option v-for="r in REASONS" :key="r.key" :value="r.key">{{ r.name }}</option>
        </select></label
      >
      <button class="button" @click="emit('close')">Cancel</button>
      <button class="button button-main" :disabled="!things.some((t) => t.wanted) || !compared" @click="keep">
        Copy it in
      </button>
    </template>
  </BaseDialog>
</template>
