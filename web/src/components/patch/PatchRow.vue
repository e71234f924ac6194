<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Patch, PatchedLight } from '@/api/types'
import { readFigures } from '@/lib/figures'
import { useSubmit } from '@/lib/useSubmit'
import { PATHS } from '@/lib/words'

/** One light of the patch: where it listens is typed as universe and address, `1 / 101`. */
const props = defineProps<{ light: PatchedLight; locked: boolean; marked: boolean }>()
const emit = defineEmits<{ patch: [value: Patch]; free: []; choose: [] }>()

const recorded = computed(() =>
  props.light.patch.universe ? `${props.light.patch.universe} / ${props.light.patch.address}` : '',
)
const typed = ref(recorded.value)
const { error, submit } = useSubmit()
watch(recorded, (now) => (typed.value = now))
const network = computed(() => props.light.path === 'WIRED' || props.light.path === 'WIRELESS')
const mode = computed(
  () => props.light.modes.find((m) => m.name.toLowerCase() === props.light.patch.mode?.toLowerCase())?.name ?? '',
)

function where() {
  if (typed.value === recorded.value) return
  const figures = typed.value.split(/[\s/]+/).filter(Boolean)
  void submit(async () => {
    if (figures.length !== 0 && figures.length !== 2) throw new Error('Type universe / address, such as 1 / 101.')
    const parts = figures.map((text, i) => ({ kind: 'WHOLE' as const, text, of: ['Universe', 'Address'][i] }))
    const [universe, address] = parts.length ? await readFigures(...parts) : []
    emit('patch', {
      ...props.light.patch,
      slots: mode.value ? undefined : props.light.patch.slots,
      universe,
      address,
    })
  })
}
function reach(path: string) {
  const p = props.light.patch
  if (path === 'WIRED' || path === 'WIRELESS') emit('patch', { ...p, path, group: undefined })
  else emit('patch', { mode: p.mode, path: path as Patch['path'], group: path === 'APP' ? p.group : undefined })
}
function choose(name: string) {
  emit('patch', {
    ...props.light.patch,
    mode: name || undefined,
    slots: props.light.modes.find((m) => m.name === name)?.slots,
  })
}
</script>

<template>
  <tr :class="{ marked }" @focusin="emit('choose')">
    <th scope="row">
      <button class="text-left font-strong" @click="emit('choose')">{{ light.name }}</button><span
        class="block text-small font-normal text-quiet"
        >{{ light.unit ?? light.what }}</span
      >
    </th>
    <td>
      <select
        class="field"
        :value="light.path"
        :disabled="locked"
        :aria-label="`How ${light.name} is reached`"
        @change="reach(($event.target as HTMLSelectElement).value)"
      >
        <option v-for="p in PATHS" :key="p.key" :value="p.key">{{ p.name }}</option>
      </select>
    </td>
    <td>
      <form v-if="network" class="flex gap-1" @submit.prevent="where">
        <input
          v-model="typed"
          class="field figure !w-24 shrink-0 grow"
          :disabled="locked"
          :aria-label="`Universe and address of ${light.name}`"
          :aria-invalid="!!error"
          placeholder="1 / 101"
          autocomplete="off"
          @blur="where"
        /><button
          v-if="!locked"
          type="button"
          class="button"
          :aria-label="`Next free address for ${light.name}`"
          title="The first room in its universe that is wide enough"
          @click="emit('free')"
        >
          Next free
        </button>
      </form>
      <form v-else-if="light.path === 'APP'" @submit.prevent>
        <input
          class="field"
          :value="light.patch.group ?? ''"
          :disabled="locked"
          :aria-label="`Group of ${light.name} in the app`"
          placeholder="group"
          autocomplete="off"
          @change="emit('patch', { ...light.patch, group: ($event.target as HTMLInputElement).value || undefined })"
        />
      </form>
      <p v-if="error" role="alert" class="text-small">{{ error }}</p>
    </td>
    <td>
      <select
        v-if="light.modes.length"
        class="field"
        :value="mode"
        :disabled="locked"
        :aria-label="`Mode of ${light.name}`"
        @change="choose(($event.target as HTMLSelectElement).value)"
      >
        <option value="">{{ light.patch.mode && !mode ? `${light.patch.mode}, not known` : 'none' }}</option>
        <option v-for="m in light.modes" :key="m.name" :value="m.name">{{ m.name }}, {{ m.slots }}</option>
      </select>
      <span v-else class="text-quiet">{{ light.patch.mode ?? '' }}</span>
    </td>
    <td class="text-small">
      {{ light.menu ?? ''
      }}<span v-if="light.atTheHead.length" class="block text-quiet"
        >at the head: {{ light.atTheHead.join(', ') }}</span
      >
    </td>
  </tr>
</template>

<style scoped>
th,
td {
  padding: 4px 6px;
  text-align: left;
  vertical-align: top;
  border-bottom: 1px solid var(--line);
}
th {
  padding-left: 16px;
}
.marked th {
  box-shadow: inset 3px 0 var(--accent);
}
@media (width < 800px) {
  tr {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    padding: 4px 0;
    border-bottom: 1px solid var(--line);
  }
  th,
  td {
    border: 0;
  }
  td:nth-of-type(1),
  td:nth-of-type(3) {
    padding-right: 16px;
  }
  td:last-child {
    grid-column: 1 / -1;
    padding-left: 16px;
  }
  td:nth-of-type(2) {
    padding-left: 16px;
  }
}
</style>
