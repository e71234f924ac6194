<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { answer, api } from '@/api/client'
import type { Fixture, PlanPoint, Role } from '@/api/types'
import { useSubmit } from '@/lib/useSubmit'
import SizeFields from '@/components/fields/SizeFields.vue'
import { hasOwnSize, THING_ROLES } from '@/lib/words'
import { usePlot } from '@/stores/plot'
import { useStock } from '@/stores/stock'
import BaseDialog from './BaseDialog.vue'
import ChoiceField from './ChoiceField.vue'
import KindDialog from './KindDialog.vue'
import TextField from './TextField.vue'

/** Places one thing more, in the middle of what is in view. */
const props = defineProps<{ open: boolean; at: PlanPoint }>()
const emit = defineEmits<{ close: [] }>()
const plot = usePlot()

const shelf = useStock()
const name = ref('')
const unit = ref('')
const what = ref('')
const query = ref('')
const role = ref<Role>('KEY')
const motivation = ref('')
const { busy, error, submit } = useSubmit()
const own = ref(false)
const wide = ref('')
const high = ref('')
const opening = ref<string>()
/** Where the set has openings, daylight comes through one of them. */
const openings = computed(() => [
  { key: undefined, name: 'where I put it' },
  ...(plot.set?.openings ?? []).map((o) => ({ key: o.name, name: o.name })),
])

const fixtures = computed(() =>
  (shelf.kit?.fixtures ?? []).filter((f) => f.piece.what.toLowerCase().includes(query.value.trim().toLowerCase())),
)
const fixture = computed(() => shelf.kit?.fixtures.find((f) => f.piece.what === what.value))

watch(
  () => props.open,
  (open) => {
    if (!open) return
    error.value = ''
    name.value = unit.value = motivation.value = query.value = what.value = wide.value = high.value = ''
    opening.value = undefined
    void shelf.fill()
  },
  { immediate: true },
)

function pickFirst() {
  if (fixtures.value[0] && !fixture.value) pick(fixtures.value[0])
}

function added(f: Fixture) {
  own.value = false
  query.value = f.piece.what
  pick(f)
}

function pick(f: Fixture) {
  what.value = f.piece.what
  if (f.usualRole) role.value = f.usualRole
  else if (role.value === 'SUBJECT' || role.value === 'NEGATIVE_FILL') role.value = 'KEY'
}

function keep() {
  const kind = fixture.value
  if (!kind || !plot.plot) {
    error.value = 'Choose what to place from the list.'
    return
  }
  const params = { path: { shotId: plot.plot.shot.id } }
  const body = {
    name: name.value,
    kind: kind.kind,
    role: role.value,
    motivation: motivation.value || undefined,
    piece: { ...kind.piece, unit: unit.value || undefined },
    wide: opening.value ? undefined : wide.value || undefined,
    high: opening.value ? undefined : high.value || undefined,
    opening: opening.value,
    place: opening.value ? undefined : { ...props.at, outside: false },
    beamDeg: kind.beamDeg,
    stack: kind.stack,
    reason: plot.based ? plot.reason : undefined,
  }
  void submit(async () => {
    const { edit, key } = await answer(api.POST('/api/shots/{shotId}/placements', { params, body }))
    plot.lay(edit)
    plot.selected = key
    emit('close')
  })
}
</script>

<template>
  <BaseDialog :open="open" title="Place something" :error="error || shelf.problem" @close="emit('close')">
    <form id="place-form" @submit.prevent="keep">
      <label class="mb-1 block"
        ><span class="text-small text-quiet">What</span
        ><input
          v-model="query"
          class="field"
          placeholder="Type to find: panel, net, mirror"
          autocomplete="off"
          @keydown.enter.prevent="pickFirst"
      /></label>
      <ul class="mb-2 h-32 overflow-y-auto border border-line" aria-label="Kit">
        <li v-for="f in fixtures" :key="f.piece.what">
          <button
            type="button"
            class="menu-item"
            :class="{ chosen: f.piece.what === what }"
            :aria-pressed="f.piece.what === what"
            @click="pick(f)"
          >
            {{ f.piece.what }}<span v-if="f.own" class="text-quiet"> the crew’s own</span>
          </button>
        </li>
        <li v-if="shelf.kit && !fixtures.length" class="px-3 py-2 text-quiet">Nothing in the kit is called that.</li>
      </ul>
      <button type="button" class="mb-2 text-small text-quiet underline" @click="own = true">
        Add a kind of your own, or a measured beam…
      </button>
      <TextField v-model="name" label="What the crew calls it here" hint="Key, Back window" :maxlength="60" />
      <TextField v-model="unit" label="Which unit" hint="its tag or nickname; may stay empty" :maxlength="80" />
      <ChoiceField
        v-if="fixture?.kind === 'DAYLIGHT' && openings.length > 1"
        v-model="opening"
        label="Through which opening of the set"
        :options="openings"
      />
      <SizeFields v-if="fixture && hasOwnSize(fixture.kind) && !opening" v-model:wide="wide" v-model:high="high" />
      <ChoiceField v-model="role" label="What it is there for" :options="THING_ROLES" />
      <TextField v-model="motivation" label="What in the story would make this light" hint="may stay empty" />
    </form>
    <template #buttons>
      <button class="button" @click="emit('close')">Cancel</button>
      <button class="button button-main" :disabled="busy" type="submit" form="place-form">Place it</button>
    </template>
    <KindDialog :open="own" @close="own = false" @added="added" />
  </BaseDialog>
</template>

<style scoped>
.chosen {
  background: var(--raised);
  font-weight: var(--font-weight-strong);
  box-shadow: inset 3px 0 var(--accent);
}
</style>
