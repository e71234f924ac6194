<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { answer, api } from '@/api/client'
import { outdate, useRead } from '@/api/reads'
import type { CountedView, UnitView } from '@/api/types'
import CountedDialog from '@/components/kit/CountedDialog.vue'
import CountedRows from '@/components/kit/CountedRows.vue'
import KitHead from '@/components/kit/KitHead.vue'
import KitFileDialog from '@/components/kit/KitFileDialog.vue'
import LabelDialog from '@/components/kit/LabelDialog.vue'
import NeedOf from '@/components/kit/NeedOf.vue'
import NeedPane from '@/components/kit/NeedPane.vue'
import PullHeads from '@/components/kit/PullHeads.vue'
import UnitDialog from '@/components/kit/UnitDialog.vue'
import UnitOpen from '@/components/kit/UnitOpen.vue'
import UnitRows from '@/components/kit/UnitRows.vue'
import TabRow from '@/components/layout/TabRow.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { onPaper, type Action } from '@/lib/actions'
import { fixed } from '@/lib/print'
import { useSubmit } from '@/lib/useSubmit'
import { useBook } from '@/stores/book'
import { useSession } from '@/stores/session'

/** What there is, where each unit is, what a day asks of it, and what is pulled from the store and counted back. */
const props = defineProps<{ productionId: number; part: string; unitId?: number }>()
defineEmits<{ spine: [] }>()
const router = useRouter()
const book = useBook()
const session = useSession()
const { data: kit, problem } = useRead('inventory', () => ({ productionId: props.productionId }))
const { data: days } = useRead('days', () => ({ productionId: props.productionId }))
const { data: ahead } = useRead('kitAhead', () => ({ productionId: props.productionId }))
const { busy, error, submit } = useSubmit()
const may = computed(() => session.may('EDIT'))
const production = computed(() => book.book?.productions.find((p) => p.production.id === props.productionId))
const query = ref('')
const dialog = ref<'unit' | 'counted' | 'file' | 'labels'>()
const editedUnit = ref<UnitView>()
const editedCounted = ref<CountedView>()
const short = ref<string[]>([])
const shortOn = ref(0)

const found = (...texts: (string | undefined)[]) =>
  texts.some((t) => t?.toLowerCase().includes(query.value.trim().toLowerCase()))
const units = computed(() =>
  (kit.value?.units ?? []).filter((u) =>
    found(u.unit.name, u.unit.tag, u.unit.what, u.unit.packedIn, u.where, ...u.uses.map((x) => x.slate)),
  ),
)
const counted = computed(() => (kit.value?.counted ?? []).filter((c) => found(c.item.what, c.item.packedIn)))
const isFlat = ({ item }: CountedView) => ['SHEET', 'ROLL', 'CLOTH'].includes(item.form)
const flat = computed(() => counted.value.filter(isFlat))
const grip = computed(() => counted.value.filter((c) => !isFlat(c)))
const shows = (part: string) => props.part === 'all' || props.part === part
const tabs = computed(() =>
  [
    ['all', 'All'],
    ['units', 'Units'],
    ['flat', 'Gels and cloth'],
    ['grip', 'Grip and power'],
    ['lists', 'Pull lists'],
  ].map(([key, name]) => ({
    key: key!,
    name: name!,
    to: { name: 'kit', params: { production: props.productionId, part: key === 'all' ? '' : key } },
  })),
)
const path = computed(() => `/api/productions/${props.productionId}`)
const actions = computed((): Action[] => [
  ...(may.value
    ? [
        { name: 'Add a unit…', run: () => edit(undefined) },
        { name: 'Count something…', run: () => recount(undefined) },
        { name: 'In from CSV…', run: () => (dialog.value = 'file') },
      ]
    : []),
  { name: 'Out as CSV', href: `${path.value}/kit.csv` },
  { name: 'Labels…', run: () => (dialog.value = 'labels') },
  onPaper(
    (days.value?.days ?? []).map((d) => ({
      name: `Cut list, day ${d.number}`,
      path: `${path.value}/days/${d.number}/paper/cut`,
    })),
  ),
])
const worn = computed(() => ahead.value?.filters.filter((f) => f.worn) ?? [])

function edit(unit?: UnitView) {
  editedUnit.value = unit
  dialog.value = 'unit'
}
function recount(item?: CountedView) {
  editedCounted.value = item
  dialog.value = 'counted'
}
function open(id?: number) {
  void router.replace({ query: id && id !== props.unitId ? { unit: id } : {} })
}
function takeUp() {
  void submit(async () => {
    const params = { path: { productionId: props.productionId } }
    await answer(api.POST('/api/productions/{productionId}/kit/named', { params }))
    await outdate({ topics: ['INVENTORY'] })
  })
}
function onShort(names: string[], day: number) {
  short.value = names
  shortOn.value = day
}
</script>

<template>
  <div class="view">
    <KitHead
      :name="production?.production.name"
      :units="kit?.units ?? []"
      :short="short.length"
      :day="shortOn"
      @spine="$emit('spine')"
    />
    <TabRow
      class="border-b border-line pr-3.5 pl-1.5"
      :tabs="tabs"
      :here="part"
      :first="tabs.map((t) => t.key)"
      :actions="actions"
      label="Parts of the kit"
    />
    <p v-if="problem || error" role="alert" class="px-4 py-2">
      <WedgeMark act class="mr-1 inline" />{{ problem || error }}
    </p>
    <p v-if="kit?.unknown.length" class="flex flex-wrap items-center gap-3 border-b border-line px-4 py-2">
      <span class="min-w-0 flex-1"
        >Shots name {{ kit.unknown.map((u) => u.name).join(', ') }}, and the kit does not know
        {{ kit.unknown.length === 1 ? 'it' : 'them' }}.</span
      >
      <button v-if="may" class="button" :disabled="busy" @click="takeUp">Take them up</button>
    </p>
    <div v-if="kit" class="body" :data-part="part">
      <div v-if="shows('units') || shows('flat') || shows('grip')" class="stock">
        <div class="flex items-center border-b border-line px-4 py-1.5">
          <input
            v-model="query"
            class="field"
            placeholder="Find a unit, a tag, a gel, a shot"
            aria-label="Find in the kit"
          />
        </div>
        <div class="columns">
          <section v-if="shows('units')" aria-label="Units">
            <h2 class="title">Units <span>filled on set, hollow in, dashed away, slashed to mend</span></h2>
            <UnitRows :units="units" :chosen="unitId" @open="open" />
            <p v-if="!kit.units.length" class="px-4 py-2 text-quiet">
              No unit has a tag yet. Add one, read a table, or take up those that shots name.
            </p>
          </section>
          <section v-if="shows('flat') || shows('grip')" aria-label="Counted stock">
            <template v-if="shows('flat')">
              <h2 class="title">Gels and cloth <span>bar: as long as it is</span></h2>
              <CountedRows :counted="flat" :editable="may" :short="short" @edit="recount" />
              <ul v-if="worn.length" class="px-4 py-2">
                <li v-for="w in worn" :key="w.what + w.by + w.scene" class="flex gap-2">
                  <WedgeMark act />{{ w.what }} before {{ w.by }} in Sc. {{ w.scene }}: {{ fixed(w.hours, 1) }} h of
                  takes. Cut another.
                </li>
              </ul>
            </template>
            <template v-if="shows('grip')">
              <h2 class="title">Grip and power <span>counted</span></h2>
              <CountedRows :counted="grip" :editable="may" :short="short" @edit="recount" />
            </template>
          </section>
        </div>
        <UnitOpen
          v-if="unitId && shows('units')"
          :production-id="productionId"
          :unit-id="unitId"
          :editable="may"
          @edit="edit(kit.units.find((u) => u.id === unitId))"
          @close="open()"
        />
      </div>
      <aside class="side">
        <NeedPane
          v-if="days && part !== 'lists'"
          :production-id="productionId"
          :days="days.days"
          :today="kit.today"
          :short-days="ahead?.days.filter((d) => d.missing.length).map((d) => d.day) ?? []"
          :whole="part === 'flat' || part === 'grip'"
          @short="onShort"
        >
          <NeedOf :production="production" />
        </NeedPane>
        <PullHeads
          v-if="part === 'all' || part === 'lists'"
          :production-id="productionId"
          :production="production"
          :days="days?.days.map((d) => d.number) ?? []"
          :day="shortOn || undefined"
          :editable="session.may('NOTE')"
        />
      </aside>
    </div>
    <UnitDialog
      :open="dialog === 'unit'"
      :production-id="productionId"
      :unit="editedUnit"
      @close="dialog = undefined"
    />
    <CountedDialog
      :open="dialog === 'counted'"
      :production-id="productionId"
      :item="editedCounted"
      @close="dialog = undefined"
    />
    <KitFileDialog :open="dialog === 'file'" :production-id="productionId" @close="dialog = undefined" />
    <LabelDialog
      :open="dialog === 'labels'"
      :production-id="productionId"
      :said="kit?.address"
      :editable="may"
      @close="dialog = undefined"
    />
  </div>
</template>

<style scoped>
.body {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 400px;
}
.body[data-part='lists'] {
  grid-template-columns: minmax(0, 640px);
}
.stock {
  display: flex;
  flex-direction: column;
  min-height: 0;
}
.side {
  border-left: 1px solid var(--line);
  min-height: 0;
  overflow-y: auto;
}
.columns {
  flex: 1;
  min-height: 0;
  overflow-y: auto;
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(330px, 1fr));
  align-items: start;
}
.columns > section + section {
  border-left: 1px solid var(--line);
  align-self: stretch;
}
.title {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  padding: 8px 12px 6px 16px;
  border-bottom: 1px solid var(--line);
  font-size: var(--text-lead);
  font-weight: var(--font-weight-strong);
}
.title span {
  font-weight: 400;
  font-size: var(--text-small);
  color: var(--quiet);
}
@media (width < 1100px) {
  .body,
  .body[data-part='lists'] {
    display: flex;
    flex-direction: column;
    overflow-y: auto;
  }
  .stock,
  .side,
  .columns {
    flex: none;
    overflow: visible;
    border-left: 0;
  }
  /* What is short tomorrow comes first where there is no room beside. */
  .side {
    order: -1;
    border-bottom: 1px solid var(--line);
  }
}
</style>
