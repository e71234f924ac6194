<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { call, sentence } from '@/api/client'
import type { Fixture, Kit, PlanPoint, PlacedAnswer, Role } from '@/api/types'
import { ROLES } from '@/lib/words'
import { usePlot } from '@/stores/plot'
import BaseDialog from './BaseDialog.vue'
import ChoiceField from './ChoiceField.vue'
import KindDialog from './KindDialog.vue'
import TextField from './TextField.vue'

/** Places one thing more, in the middle of what is in view. */
const props = defineProps<{ open: boolean; at: PlanPoint }>()
const emit = defineEmits<{ close: [] }>()
const plot = usePlot()

const kit = ref<Kit>()
const name = ref('')
const unit = ref('')
const what = ref('')
const query = ref('')
const role = ref<Role>('KEY')
const motivation = ref('')
const error = ref('')
const own = ref(false)

const fixtures = computed(() =>
  (kit.value?.fixtures ?? []).filter((f) => f.piece.what.toLowerCase().includes(query.value.trim().toLowerCase())),
)
const fixture = computed(() => kit.value?.fixtures.find((f) => f.piece.what === what.value))

watch(
  () => props.open,
  async (open) => {
    if (!open) return
    error.value = ''
    name.value = unit.value = motivation.value = query.value = what.value = ''
    try {
      kit.value ??= await call<Kit>('GET', '/api/kit')
    } catch (failure) {
      error.value = sentence(failure)
    }
  },
)

function pickFirst() {
  if (fixtures.value[0] && !fixture.value) pick(fixtures.value[0])
}

function added(f: Fixture) {
  own.value = false
  if (kit.value)
    kit.value = { ...kit.value, fixtures: [f, ...kit.value.fixtures.filter((k) => k.piece.what !== f.piece.what)] }
  query.value = f.piece.what
  pick(f)
}

function pick(f: Fixture) {
  what.value = f.piece.what
  if (f.kind === 'MARK') role.value = 'SUBJECT'
  else if (f.kind === 'CAMERA') role.value = 'CAMERA'
  else if (f.kind === 'FLAG' || f.kind === 'BOUNCE') role.value = f.kind === 'FLAG' ? 'NEGATIVE_FILL' : 'FILL'
  else if (f.kind === 'DAYLIGHT') role.value = 'AMBIENCE'
  else if (f.kind === 'PRACTICAL') role.value = 'PRACTICAL'
  else if (role.value === 'SUBJECT' || role.value === 'NEGATIVE_FILL') role.value = 'KEY'
}

async function keep() {
  if (!fixture.value || !plot.plot) {
    error.value = 'Choose what to place from the list.'
    return
  }
  try {
    const answer = await call<PlacedAnswer>('POST', `/api/shots/${plot.plot.shot.id}/placements`, {
      body: {
        name: name.value,
        kind: fixture.value.kind,
        role: role.value,
        motivation: motivation.value || undefined,
        piece: { ...fixture.value.piece, unit: unit.value || undefined },
        place: { ...props.at, outside: false },
        beamDeg: fixture.value.beamDeg,
        stack: fixture.value.stack,
        reason: plot.based ? plot.reason : undefined,
      },
    })
    plot.lay(answer.edit)
    plot.selected = answer.key
    emit('close')
  } catch (failure) {
    error.value = sentence(failure)
  }
}
</script>

<template>
  <BaseDialog :open="open" title="Place something" :error="error" @close="emit('close')">
    <form id="place-form" @submit.prevent="keep">
      <label class="mb-1 block"
        ><span class="text-[12px] text-quiet">What</span
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
        <li v-if="kit && !fixtures.length" class="px-3 py-2 text-quiet">Nothing in the kit is called that.</li>
      </ul>
      <button type="button" class="mb-2 text-[12px] text-quiet underline" @click="own = true">
        Add a kind of your own, or a measured beam…
      </button>
      <TextField v-model="name" label="What the crew calls it here" hint="Key, Back window" :maxlength="60" />
      <TextField v-model="unit" label="Which unit" hint="its tag or nickname; may stay empty" :maxlength="80" />
      <ChoiceField v-model="role" label="What it is there for" :options="ROLES" />
      <TextField v-model="motivation" label="What in the story would make this light" hint="may stay empty" />
    </form>
    <template #buttons>
      <button class="button" @click="emit('close')">Cancel</button>
      <button class="button button-main" type="submit" form="place-form">Place it</button>
    </template>
    <KindDialog :open="own" @close="own = false" @added="added" />
  </BaseDialog>
</template>

<style scoped>
.chosen {
  background: var(--raised);
  font-weight: 650;
  box-shadow: inset 3px 0 var(--accent);
}
</style>
