<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import type { BoardRow, LookCard, Reason } from '@/api/types'
import BoardFilters from '@/components/carry/BoardFilters.vue'
import CarryGrid from '@/components/carry/CarryGrid.vue'
import CellFacts from '@/components/carry/CellFacts.vue'
import GapMoves from '@/components/carry/GapMoves.vue'
import LookDialogs from '@/components/carry/LookDialogs.vue'
import RebaseDialog from '@/components/dialogs/RebaseDialog.vue'
import ShotDialog from '@/components/dialogs/ShotDialog.vue'
import TakeDialog from '@/components/dialogs/TakeDialog.vue'
import ShotPage from '@/components/layout/ShotPage.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { undoing, type Action } from '@/lib/actions'
import { shownRows, type BoardFilter } from '@/lib/board'
import { useBoard, type CellEdit } from '@/stores/board'
import { useBook } from '@/stores/book'
import { usePlot } from '@/stores/plot'
import { useSession } from '@/stores/session'

/** The carry board: placements down, shots across; what moved, when and why, at a glance. */
const props = defineProps<{ shotId: number }>()
defineEmits<{ spine: [] }>()
const store = useBoard()
const book = useBook()
const plot = usePlot()
const session = useSession()
const router = useRouter()

const MANY_ROWS = 30
const GAP_WIDTH = 270
const FOLLOW_MS = 400
const at = ref({ row: 0, column: 0 })
const grid = ref<InstanceType<typeof CarryGrid>>()
const filter = ref<BoardFilter>({ text: '', department: '', role: '', changed: false, cheats: false })
const dense = ref<boolean>()
const gap = ref<{ before: number; from: string; to: string }>()
const dialog = ref<'insert' | 'rebase' | 'take'>()
const look = ref<LookCard>()
const savingLook = ref(false)

const line = computed(() => book.shots.get(props.shotId))
const sceneId = computed(() => line.value?.scene.id ?? plot.plot?.sceneId)
const board = computed(() => (store.board?.sceneId === sceneId.value ? store.board : undefined))
const rows = computed(() => (board.value ? shownRows(board.value.rows, store.based, filter.value) : []))
const compact = computed({
  get: () => dense.value ?? (board.value?.rows.length ?? 0) > MANY_ROWS,
  set: (now) => (dense.value = now),
})
const shot = computed(() => board.value?.shots[at.value.column])
const row = computed(() => rows.value[at.value.row])
const may = computed(() => session.may('EDIT'))
const editable = computed(() => may.value && shot.value?.stage !== 'SHOT')
const filtered = computed(
  () =>
    !!(
      filter.value.text ||
      filter.value.department ||
      filter.value.role ||
      filter.value.changed ||
      filter.value.cheats
    ),
)

watch(
  sceneId,
  (id) => {
    gap.value = undefined
    store.open(id)
  },
  { immediate: true },
)
/* the column of the shot that is open */
watch(
  [() => props.shotId, board],
  ([id], [before]) => {
    const column = board.value?.shots.findIndex((s) => s.id === id) ?? -1
    if (column >= 0 && (id !== before || at.value.column >= (board.value?.shots.length ?? 0)))
      at.value = { ...at.value, column }
  },
  { immediate: true },
)
watch(board, (now, before) => {
  if (now && !before) {
    const column = now.shots.findIndex((s) => s.id === props.shotId)
    at.value = {
      row: Math.max(
        0,
        now.rows.findIndex((r) => r.placement.role === 'KEY'),
      ),
      column: Math.max(0, column),
    }
    void nextTick(() => grid.value?.focus())
  }
})

/* the slate follows the column that is chosen, once one stays there: undo is of that shot */
let settling: ReturnType<typeof setTimeout> | undefined
watch(shot, (now) => {
  clearTimeout(settling)
  if (!now || now.id === props.shotId) return
  settling = setTimeout(() => {
    if (shot.value?.id === now.id && router.currentRoute.value.name === 'carry')
      void router.replace({ name: 'carry', params: { id: now.id } })
  }, FOLLOW_MS)
})
onBeforeUnmount(() => {
  clearTimeout(settling)
  store.open(undefined)
})

/** What was typed into a cell and refused is put back for mending. */
async function type(cells: { row: BoardRow; column: number; text: string }[], typed: boolean) {
  const kept = await store.edit(
    cells.map((c) => ({ shotId: board.value!.shots[c.column]!.id, placement: c.row.placement.key, text: c.text })),
  )
  if (!kept && typed) void grid.value?.retype(cells[0]!.text)
}

function paste(cells: { row: BoardRow; column: number; from: number }[]) {
  void store.edit(
    cells
      .map((c) => ({ shotId: board.value!.shots[c.column]!.id, placement: c.row.placement.key, from: c.from }))
      .filter((c) => c.from !== c.shotId),
  )
}

function here(change: Partial<CellEdit>, why?: Reason) {
  if (row.value && shot.value)
    void store.edit([{ shotId: shot.value.id, placement: row.value.placement.key, ...change }], why)
}

function openGap(before: number) {
  const shots = board.value!.shots
  gap.value =
    gap.value?.before === before
      ? undefined
      : { before, from: `shot-${shots[before - 1]!.id}`, to: `shot-${shots[before]!.id}` }
}

function openShot(id: number) {
  void router.push({ name: 'carry', params: { id } })
}

function compare() {
  const shots = board.value!.shots
  const to = shot.value ?? shots.at(-1)!
  const from = shots.find((s) => s.slate === to.basedOn) ?? shots[0]!
  void router.push({ name: 'compare', params: { from: `shot-${from.id}`, to: `shot-${to.id}` } })
}

function looks(): Action[] {
  const saved = board.value?.looks.map(({ card }) => ({ name: card.name, run: () => (look.value = card) })) ?? []
  const save = { name: `Save ${shot.value?.slate} as a look…`, run: () => (savingLook.value = true) }
  const none = { name: 'No look is saved yet: day, dusk, night of one room', disabled: true }
  return [...(saved.length ? saved : [none]), ...(may.value ? [save] : [])]
}

const actions = computed((): Action[] => {
  const { value: now } = shot
  if (!now) return undoing()
  return [
    ...undoing(),
    { name: 'Looks', menu: looks() },
    {
      name: `${now.slate}…`,
      menu: [
        { name: `Insert a shot after ${now.slate}…`, disabled: !may.value, run: () => (dialog.value = 'insert') },
        {
          name: `Base ${now.slate} on another shot…`,
          disabled: !editable.value,
          run: () => (dialog.value = 'rebase'),
        },
        { name: `Copy a state into ${now.slate}…`, disabled: !editable.value, run: () => (dialog.value = 'take') },
      ],
    },
    { name: 'Compare two shots', run: compare },
  ]
})
</script>

<template>
  <ShotPage
    :shot-id="shotId"
    :actions="actions"
    @camera="router.push({ name: 'plot', params: { id: shotId } })"
    @spine="$emit('spine')"
  >
    <template v-if="board">
      <BoardFilters v-model:filter="filter" v-model:compact="compact" :rows="board.rows" />
      <div v-if="store.problem" class="flex items-start gap-2 py-2 px-3.5 bg-raised border-b border-ink" role="alert">
        <WedgeMark act /><span class="grow">{{ store.problem }}</span
        ><button class="button" @click="store.dismiss">Leave it</button>
      </div>
      <div class="flex-1 min-h-0">
        <CarryGrid
          v-if="rows.length"
          ref="grid"
          v-model:at="at"
          :board="board"
          :based="store.based"
          :rows="rows"
          :compact="compact"
          :shot-id="shotId"
          :gap="gap && !compact ? { before: gap.before, width: GAP_WIDTH } : undefined"
          :readonly="!may"
          @type="type"
          @paste="paste"
          @gap="openGap"
          @shot="openShot"
        >
          <template #gap
            ><GapMoves
              v-if="gap"
              :from="gap.from"
              :to="gap.to"
              :production-id="board.productionId"
              @close="gap = undefined"
          /></template>
        </CarryGrid>
        <p v-else class="p-6 text-lead">
          {{
            filtered
              ? 'Nothing on the board is like that: loosen the filter.'
              : 'Nothing is placed in this scene yet. Place something on the plot, then come back to see what carries.'
          }}
        </p>
      </div>
      <CellFacts
        v-if="row && shot"
        :row="row"
        :shot="shot"
        :column="at.column"
        :editable="editable"
        @change="grid?.edit()"
        @untie="here({ text: '' })"
        @call="(reason) => here({}, reason)"
        @history="router.push({ name: 'log', params: { id: shot.id }, query: { of: row.placement.key } })"
      />
      <template v-if="shot">
        <ShotDialog
          :open="dialog === 'insert'"
          :scene="line?.scene"
          :based-on="book.shots.get(shot.id)?.shot"
          insert
          @close="dialog = undefined"
        />
        <LookDialogs v-model:saving="savingLook" v-model:chosen="look" :shot="shot" :editable="may" />
        <RebaseDialog :open="dialog === 'rebase'" :shot="shot" :shots="board.shots" @close="dialog = undefined" />
        <TakeDialog :open="dialog === 'take'" :shot="shot" @close="dialog = undefined" />
      </template>
    </template>
    <p v-else class="m-auto text-quiet" :role="store.problem ? 'alert' : undefined">
      {{ store.problem || 'Opening the carry board…' }}
    </p>
  </ShotPage>
</template>
