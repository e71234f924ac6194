<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Fixture, NewPlacement, Placed, Role } from '@/api/types'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import { KIND_NOT_SAID, ROLES } from '@/lib/words'
import { useStock } from '@/stores/stock'

/** Something that stands on set and is not in the record: its kind, then what it is there for, which names it. */
const props = defineProps<{ open: boolean; things: Placed[]; busy: boolean; error?: string }>()
const emit = defineEmits<{ close: []; found: [thing: Omit<NewPlacement, 'key' | 'reason'>] }>()
const shelf = useStock()
void shelf.fill()

type Chosen = Pick<Fixture, 'kind' | 'piece' | 'beamDeg'>
const MOST_SHOWN = 80
const NOT_SAID: Chosen = {
  kind: 'HEAD',
  piece: { what: KIND_NOT_SAID, widthM: 0.3, watts: 0, mount: 'STAND' },
  beamDeg: 36,
}
const query = ref('')
const chosen = ref<Chosen>()
const name = ref('')

/** What stands here already comes first: sets are lit with more of the same. */
const kinds = computed((): Chosen[] => {
  const words = query.value.trim().toLowerCase().split(/\s+/)
  const here = new Set(props.things.map((t) => t.placement.piece.what))
  const all = (shelf.kit?.fixtures ?? []).filter((f) => words.every((w) => f.piece.what.toLowerCase().includes(w)))
  return [...all.filter((f) => here.has(f.piece.what)), ...all.filter((f) => !here.has(f.piece.what))].slice(
    0,
    MOST_SHOWN,
  )
})
const roles = computed((): { key: Role; name: string }[] => {
  const { kind } = chosen.value ?? NOT_SAID
  const fits = (role: Role) =>
    kind === 'MARK'
      ? role === 'SUBJECT'
      : kind === 'CAMERA'
        ? role === 'CAMERA'
        : role !== 'SUBJECT' && role !== 'CAMERA'
  return ROLES.filter((r) => fits(r.key))
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
  emit('found', { name: called, kind, role, piece, beamDeg })
}
watch(
  () => props.open,
  () => {
    chosen.value = undefined
    query.value = name.value = ''
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
      <ul class="max-h-[52vh] overflow-y-auto">
        <li v-for="k in kinds" :key="k.piece.what">
          <button class="kind" @click="chosen = k">{{ k.piece.what }}</button>
        </li>
        <li><button class="kind text-quiet" @click="chosen = NOT_SAID">A light, I do not know which</button></li>
      </ul>
      <input
        v-model="query"
        class="field mt-2 min-h-11"
        placeholder="Part of its name: panel 60"
        aria-label="Kinds by name"
      />
    </template>
    <template v-else>
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
      ><button class="button min-h-11" @click="$emit('close')">Not now</button></template
    >
  </BaseDialog>
</template>

<style scoped>
.kind {
  display: block;
  width: 100%;
  min-height: 44px;
  padding: 4px 8px;
  border-bottom: 1px solid var(--line);
  text-align: left;
  font-size: var(--text-lead);
}
</style>
