<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { NewPlacement, Placed, Role } from '@/api/types'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import ConditionDialog from '@/components/moments/ConditionDialog.vue'
import KindList, { type Known } from './KindList.vue'
import SizeFields from '@/components/fields/SizeFields.vue'
import { hasOwnSize, THING_ROLES } from '@/lib/words'

/** Something that stands on set and is not in the record: its kind, then what it is there for, which names it. */
const props = defineProps<{ open: boolean; things: Placed[]; busy: boolean; error?: string }>()
const emit = defineEmits<{ close: []; found: [thing: Omit<NewPlacement, 'key' | 'reason'>] }>()
/** It is nothing that stands: haze, house lights, blinds, a door. */
const ofThePlace = ref(false)
const chosen = ref<Known>()
const name = ref('')
const wide = ref('')
const high = ref('')

const roles = computed((): { key: Role; name: string }[] => {
  const kind = chosen.value?.kind
  const fits = (role: Role) =>
    kind === 'MARK'
      ? role === 'SUBJECT'
      : kind === 'CAMERA'
        ? role === 'CAMERA'
        : role !== 'SUBJECT' && role !== 'CAMERA'
  return THING_ROLES.filter((r) => fits(r.key))
})

/** `Key 2` when a key stands there already. */
function free(wanted: string): string {
  const taken = new Set(props.things.map((t) => t.placement.name.toLowerCase()))
  let now = wanted
  for (let i = 2; taken.has(now.toLowerCase()); i++) now = `${wanted} ${i}`
  return now
}
const named = (role: { name: string }) => free(role.name.charAt(0).toUpperCase() + role.name.slice(1))

function keep(role: Role, called: string) {
  const { kind, piece, beamDeg } = chosen.value!
  emit('found', {
    name: called,
    kind,
    role,
    piece,
    beamDeg,
    wide: wide.value || undefined,
    high: high.value || undefined,
  })
}
watch(
  () => props.open,
  () => {
    chosen.value = undefined
    name.value = wide.value = high.value = ''
  },
)
</script>

<template>
  <BaseDialog
    :open="open"
    :title="chosen ? `${chosen.piece.what}: what is it there for?` : 'What stands there?'"
    :error="error"
    @close="$emit('close')"
  >
    <template v-if="!chosen">
      <KindList :things="things" unknown @pick="chosen = $event" />
    </template>
    <template v-else>
      <SizeFields v-if="hasOwnSize(chosen.kind)" v-model:wide="wide" v-model:high="high" />
      <div class="grid grid-cols-2 gap-2">
        <button
          v-for="r in roles"
          :key="r.key"
          class="button min-h-13 text-lead"
          :disabled="busy"
          @click="keep(r.key, named(r))"
        >
          {{ named(r) }}
        </button>
      </div>
      <form class="mt-3 flex gap-2" @submit.prevent="keep(roles[0]!.key, free(name.trim()))">
        <input
          v-model="name"
          class="field min-h-11"
          maxlength="60"
          placeholder="Or what the crew calls it"
          aria-label="What the crew calls it"
        />
        <button class="button" :disabled="busy || !name.trim()">Keep</button>
      </form>
    </template>
    <template #buttons
      ><button v-if="chosen" class="button min-h-11" @click="chosen = undefined">Another kind</button
      ><button v-else class="button min-h-11" @click="((ofThePlace = true), $emit('close'))">
        How the place is: haze, blinds…</button
      ><button class="button min-h-11" @click="$emit('close')">Not now</button></template
    >
  </BaseDialog>
  <ConditionDialog :open="ofThePlace" @close="ofThePlace = false" />
</template>
