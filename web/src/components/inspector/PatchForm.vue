<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { sentence } from '@/api/client'
import { held, value, type Patch, type Placed } from '@/api/types'
import { readFigures } from '@/lib/figures'
import { PATHS } from '@/lib/words'
import { useValueEdit } from '@/lib/useValueEdit'
import { usePlot } from '@/stores/plot'
import { useShotEditor } from '@/stores/shotEditor'
import CarryThread from './CarryThread.vue'

/** Where a light listens on the control network. Its parts are one value: kept when one leaves them or presses Enter. */
const props = defineProps<{ placed: Placed }>()
const plot = usePlot()
const editor = useShotEditor()

type Typed = Record<keyof Patch, string>
const PARTS: { key: 'universe' | 'address' | 'slots' | 'mode'; name: string; wide?: boolean }[] = [
  { key: 'universe', name: 'universe' },
  { key: 'address', name: 'address' },
  { key: 'slots', name: 'slots' },
  { key: 'mode', name: 'mode', wide: true },
]

const now = computed(() => held(props.placed, 'PATCH'))
const recorded = computed<Typed>(() => {
  const patch = value(props.placed, 'PATCH')
  return {
    universe: text(patch?.universe),
    address: text(patch?.address),
    slots: text(patch?.slots),
    mode: text(patch?.mode),
    path: patch?.path ?? (patch?.universe ? 'WIRED' : 'BY_HAND'),
    group: text(patch?.group),
  }
})
const fields = ref<Typed>({ ...recorded.value })
const { error, keep: record } = useValueEdit()
const parts = computed(() =>
  PARTS.filter((p) => p.wide || fields.value.path === 'WIRED' || fields.value.path === 'WIRELESS'),
)
const modes = computed(() => props.placed.light?.modes ?? [])
watch(recorded, (fresh, old) => {
  if (JSON.stringify(fresh) !== JSON.stringify(old)) fields.value = { ...fresh }
})

function text(part: string | number | undefined) {
  return part === undefined ? '' : String(part)
}

function leave(event: FocusEvent) {
  if (!(event.currentTarget as HTMLElement).contains(event.relatedTarget as Node | null)) void keep()
}

async function keep() {
  if (JSON.stringify(fields.value) === JSON.stringify(recorded.value)) return
  const { universe, address, slots, mode, path, group } = fields.value
  const byWire = path === 'WIRED' || path === 'WIRELESS'
  const figures = { ...(byWire && { universe, address }), slots }
  const typed = Object.entries(figures).filter(([, text]) => text.trim())
  const read = await readFigures(...typed.map(([of, text]) => ({ kind: 'WHOLE' as const, text, of }))).catch(
    (failure) => void (error.value = sentence(failure)),
  )
  if (!read) return
  const kept = await record(props.placed.placement.key, 'PATCH', {
    value: {
      ...Object.fromEntries(typed.map(([of], i) => [of, read[i]])),
      mode: mode.trim() || undefined,
      path: path as Patch['path'],
      group: (path === 'APP' && group.trim()) || undefined,
    },
  })
  if (!kept && plot.conflict) fields.value = { ...recorded.value }
}
</script>

<template>
  <section class="flex" data-attribute="PATCH">
    <CarryThread
      :held="now"
      :based="plot.based"
      :locked="plot.patchLocked"
      label="Control"
      @untie="editor.put(placed.placement.key, 'PATCH', null)"
    />
    <form class="min-w-0 grow pl-1" @submit.prevent="keep" @focusout="leave">
      <h3 class="group-title">Control</h3>
      <label class="block">
        <span class="text-fine text-quiet">reached</span>
        <select v-model="fields.path" class="field" :disabled="plot.patchLocked">
          <option v-for="p in PATHS" :key="p.key" :value="p.key">{{ p.name }}</option>
        </select>
      </label>
      <label v-if="fields.path === 'APP'" class="block">
        <span class="text-fine text-quiet">group in the app</span>
        <input v-model="fields.group" class="field" :disabled="plot.patchLocked" autocomplete="off" />
      </label>
      <div class="grid grid-cols-3 gap-x-2">
        <label v-for="part in parts" :key="part.key" class="block" :class="{ 'col-span-3': part.wide }">
          <span class="text-fine text-quiet">{{ part.name }}</span>
          <input
            v-model="fields[part.key]"
            :list="part.wide ? `modes-of-${placed.placement.key}` : undefined"
            class="field"
            :class="{ 'figure text-right': !part.wide, 'text-quiet': !now?.tiedHere && plot.based }"
            :inputmode="part.wide ? 'text' : 'numeric'"
            :disabled="plot.patchLocked"
            :aria-invalid="!!error"
            autocomplete="off"
          />
        </label>
      </div>
      <datalist :id="`modes-of-${placed.placement.key}`"><option v-for="m in modes" :key="m" :value="m" /></datalist>
      <button type="submit" class="hidden">Keep</button>
      <p v-if="error" role="alert" class="mt-1 text-small">{{ error }}</p>
      <p v-else-if="fields.path === 'BY_HAND'" class="mt-1 text-fine text-quiet">
        No address: set by hand at the head.
      </p>
    </form>
  </section>
</template>
