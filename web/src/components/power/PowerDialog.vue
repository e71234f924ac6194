<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRead } from '@/api/reads'
import type { PowerPlan } from '@/api/types'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import EarlierList from '@/components/dialogs/EarlierList.vue'
import { readFigures } from '@/lib/figures'
import { plain } from '@/lib/print'

/** What feeds a set: sources, circuits, and what draws besides the lights. Figures are typed as the labels of board and cable say. */
const props = defineProps<{ open: boolean; setId: number; plan: PowerPlan; landmarks: string[]; error: string }>()
const emit = defineEmits<{ close: []; keep: [plan: PowerPlan] }>()

type Row = Record<string, string>
const COLUMNS = {
  sources: [
    { key: 'name', name: 'Source' },
    { key: 'kind', name: 'Kind', options: { HOUSE: 'house', GENERATOR: 'generator', DISTRIBUTION: 'distribution' } },
    { key: 'volts', name: 'Volts', number: true },
    { key: 'phases', name: 'Phases', options: { 1: '1', 3: '3' } },
    { key: 'kva', name: 'kVA', number: true, free: true, of: 'GENERATOR' },
    { key: 'from', name: 'Fed from', free: true, of: 'DISTRIBUTION' },
    { key: 'phase', name: 'On', options: { '': 'all', 1: 'L1', 2: 'L2', 3: 'L3' }, of: 'DISTRIBUTION' },
    { key: 'breakerAmps', name: 'Breaker, A', number: true, free: true, of: 'DISTRIBUTION' },
    { key: 'cableM', name: 'Cable, m', number: true, free: true, of: 'DISTRIBUTION' },
    { key: 'areaMm2', name: 'mm²', number: true, free: true, of: 'DISTRIBUTION' },
  ],
  circuits: [
    { key: 'name', name: 'Circuit' },
    { key: 'source', name: 'From' },
    { key: 'breakerAmps', name: 'Breaker, A', number: true },
    { key: 'phase', name: 'Phase', options: { '': 'none', 1: 'L1', 2: 'L2', 3: 'L3' } },
    { key: 'where', name: 'Where', free: true },
    { key: 'cableM', name: 'Cable, m', number: true, free: true },
    { key: 'areaMm2', name: 'mm²', number: true, free: true },
    { key: 'landmark', name: 'By landmark', free: true, landmark: true },
  ],
  others: [
    { key: 'name', name: 'What draws besides' },
    { key: 'watts', name: 'Watts', number: true },
    { key: 'powerFactor', name: 'Factor', number: true },
    { key: 'circuit', name: 'On' },
    { key: 'when', name: 'When', options: { ALWAYS: 'always', CHANGEOVERS: 'between takes', TIMES: 'at times' } },
    { key: 'from', name: 'On at', free: true, time: true, of: 'TIMES' },
    { key: 'to', name: 'Off at', free: true, time: true, of: 'TIMES' },
  ],
} as const
type Part = keyof typeof COLUMNS
interface Column {
  key: string
  name: string
  number?: boolean
  free?: boolean
  landmark?: boolean
  time?: boolean
  /** Said of rows of this kind only. */
  of?: string
  options?: Record<string, string>
}
const PARTS: { part: Part; add: string; columns: readonly Column[]; fresh: Row }[] = [
  {
    part: 'sources',
    add: 'Another source',
    columns: COLUMNS.sources,
    fresh: {
      name: '',
      kind: 'HOUSE',
      volts: '230',
      phases: '1',
      kva: '',
      from: '',
      phase: '',
      breakerAmps: '',
      cableM: '',
      areaMm2: '',
    },
  },
  {
    part: 'circuits',
    add: 'Another circuit',
    columns: COLUMNS.circuits,
    fresh: { name: '', source: '', breakerAmps: '16', phase: '', where: '', cableM: '', areaMm2: '', landmark: '' },
  },
  {
    part: 'others',
    add: 'Another load',
    columns: COLUMNS.others,
    fresh: { name: '', watts: '', powerFactor: '1', circuit: '', when: 'ALWAYS', from: '', to: '' },
  },
]
const applies = (c: Column, row: Row) => !c.of || c.of === row.kind || c.of === row.when
const rows = ref<Record<Part, Row[]>>({ sources: [], circuits: [], others: [] })
const wrong = ref('')
const text = (value: unknown) => (typeof value === 'number' ? plain(value, 3) : typeof value === 'string' ? value : '')
function show(plan: PowerPlan) {
  for (const { part, columns } of PARTS)
    rows.value[part] = plan[part].map((one) => {
      const flat: Record<string, unknown> = { ...one, ...('feeder' in one ? one.feeder : {}) }
      return Object.fromEntries(columns.map((c) => [c.key, text(flat[c.key])]))
    })
  wrong.value = ''
}
watch(
  () => props.open,
  () => show(props.plan),
  { immediate: true },
)
const { data: earlier } = useRead('powerEarlier', () => (props.open ? { setId: props.setId } : undefined))
const versions = computed(() =>
  earlier.value?.map((v) => ({ ...v, say: v.plan.circuits.map((c) => c.name).join(', ') || 'no circuits' })),
)
function add(part: Part, fresh: Row) {
  const source = rows.value.sources[0]?.name ?? ''
  const circuit = rows.value.circuits[0]?.name ?? ''
  rows.value[part].push({ ...fresh, ...(part === 'circuits' ? { source } : part === 'others' ? { circuit } : {}) })
}

async function read(part: Part, columns: readonly Column[]): Promise<Record<string, unknown>[]> {
  return Promise.all(
    rows.value[part].map(async (row) => {
      const said = columns.filter((c) => applies(c, row))
      const numbers = said.filter((c) => c.number && row[c.key]!.trim())
      const figures = await readFigures(
        ...numbers.map((c) => ({
          kind: 'NUMBER' as const,
          text: row[c.key]!,
          of: `${row.name || 'A row without a name'}, ${c.name}`,
        })),
      )
      const typed: Record<string, unknown> = {}
      for (const c of said) {
        const value = row[c.key]!.trim()
        if (c.number) {
          if (value) typed[c.key] = figures[numbers.indexOf(c)]
          else if (!c.free) throw new Error(`${row.name || 'A row without a name'}: say its ${c.name.toLowerCase()}.`)
        } else if (c.free && !value && c.key !== 'where') continue
        else if (c.key === 'phases' || c.key === 'phase') typed[c.key] = value ? Number(value) : undefined
        else typed[c.key] = value
      }
      const { from, phase, breakerAmps, cableM, areaMm2, ...source } = typed
      return typed.kind === 'DISTRIBUTION'
        ? { ...source, feeder: { from, phase, breakerAmps, cableM, areaMm2 } }
        : typed
    }),
  )
}
async function keep() {
  try {
    const [sources, circuits, others] = await Promise.all(PARTS.map((p) => read(p.part, p.columns)))
    wrong.value = ''
    emit('keep', { sources, circuits, others } as unknown as PowerPlan)
  } catch (refused) {
    wrong.value = (refused as Error).message
  }
}
</script>

<template>
  <BaseDialog :open="open" title="What feeds this set" :error="wrong || error" wide @close="emit('close')">
    <datalist id="power-landmarks">
      <option v-for="l in landmarks" :key="l" :value="l" />
    </datalist>
    <form id="power-form" @submit.prevent="keep">
      <section v-for="p in PARTS" :key="p.part" class="mb-4">
        <div class="overflow-x-auto">
          <table v-if="rows[p.part].length" class="w-full">
            <thead>
              <tr>
                <th v-for="c in p.columns" :key="c.key" class="pr-1 text-left text-small font-normal text-quiet">
                  {{ c.name }}
                </th>
                <th class="sr-only">Take out</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="(row, i) in rows[p.part]" :key="i">
                <td v-for="c in p.columns" :key="c.key" class="pr-1 pb-1">
                  <select
                    v-if="c.options"
                    v-model="row[c.key]"
                    class="field"
                    :class="{ 'min-w-32': c.key === 'kind' || c.key === 'when' }"
                    :disabled="!applies(c, row)"
                    :aria-label="`${c.name} of ${row.name || `row ${i + 1}`}`"
                  >
                    <option v-for="(name, key) in c.options" :key="key" :value="String(key)">{{ name }}</option>
                  </select>
                  <input
                    v-else
                    v-model="row[c.key]"
                    class="field"
                    :class="{ figure: c.number }"
                    :type="c.time ? 'time' : 'text'"
                    :disabled="!applies(c, row)"
                    :list="c.landmark ? 'power-landmarks' : undefined"
                    autocomplete="off"
                    :aria-label="`${c.name} of ${row.name || `row ${i + 1}`}`"
                  />
                </td>
                <td class="pb-1">
                  <button
                    type="button"
                    class="button !px-2"
                    :aria-label="`Take out ${row.name || `row ${i + 1}`}`"
                    @click="rows[p.part].splice(i, 1)"
                  >
                    ×
                  </button>
                </td>
              </tr>
            </tbody>
          </table>
        </div>
        <button type="button" class="button" @click="add(p.part, p.fresh)">{{ p.add }}</button>
      </section>
    </form>
    <p class="text-fine text-quiet">
      Figures are those of the board’s and the cable’s labels. The residual-current breaker, the tie-in and every figure
      here are a qualified electrician’s to decide.
    </p>
    <EarlierList :versions="versions" @back="show(earlier![$event]!.plan)" />
    <template #buttons>
      <button class="button" @click="emit('close')">Cancel</button>
      <button class="button button-main" type="submit" form="power-form">Keep</button>
    </template>
  </BaseDialog>
</template>
