<script setup lang="ts">
import { computed, ref } from 'vue'
import { answer, api, asFile } from '@/api/client'
import { outdate } from '@/api/reads'
import type { Stock } from '@/api/types'
import StockDialog from '@/components/dialogs/StockDialog.vue'
import SpineButton from '@/components/layout/SpineButton.vue'
import StopsText from '@/components/marks/StopsText.vue'
import { fixed, signed } from '@/lib/print'
import { useSubmit } from '@/lib/useSubmit'
import { STOCK_KINDS } from '@/lib/words'
import { useSession } from '@/stores/session'
import { useStock } from '@/stores/stock'

/** What there is to hang and to bounce off, with what it does to light. */
defineEmits<{ spine: [] }>()
const shelf = useStock()
const session = useSession()
void shelf.fill()

const query = ref('')
const editing = ref<Stock>()
const open = ref(false)
const read = ref('')
const { error, submit } = useSubmit()
const may = computed(() => session.may('EDIT'))
const groups = computed(() =>
  STOCK_KINDS.map((kind) => ({
    ...kind,
    items: shelf.items.filter(
      (i) => i.kind === kind.key && i.name.toLowerCase().includes(query.value.trim().toLowerCase()),
    ),
  })).filter((group) => group.items.length),
)

function edit(item?: Stock) {
  editing.value = item
  open.value = true
}
function take(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  read.value = ''
  void submit(async () => {
    const { changed } = await answer(api.POST('/api/kit/stock.csv', asFile(file)))
    read.value = changed
      ? `${changed} of ${file.name} ${changed === 1 ? 'is' : 'are'} new or another now.`
      : `All of ${file.name} was here already.`
    await outdate({ topics: ['KIT'] })
  }).finally(() => (input.value = ''))
}
const share = (part: number) => `${fixed(100 * part, 0)} %`
</script>

<template>
  <div class="view">
    <header class="flex flex-wrap flex-none items-center gap-3 min-h-13 py-2 px-4 border-b border-line">
      <SpineButton @click="$emit('spine')" />
      <h1 class="text-head font-strong">Stock</h1>
      <span class="grow text-small text-quiet">nominal until you put your own figures in</span>
      <input v-model="query" class="field !w-44" placeholder="Part of a name" aria-label="Stock by name" />
      <a class="button" href="/api/kit/stock.csv">Out as CSV</a>
      <label v-if="may" class="button"
        >In from CSV<input type="file" class="sr-only" accept=".csv,text/csv" @change="take"
      /></label>
      <button v-if="may" class="button button-main" @click="edit()">New…</button>
    </header>
    <div class="min-h-0 grow overflow-y-auto px-4 pb-4">
      <p v-if="error" role="alert" class="mt-2">{{ error }}</p>
      <p v-if="read" role="status" class="mt-2">{{ read }}</p>
      <p v-if="shelf.problem" role="status" class="mt-2">{{ shelf.problem }}</p>
      <table class="w-full max-w-[900px]">
        <template v-for="group in groups" :key="group.key">
          <thead>
            <tr class="text-fine text-quiet">
              <th scope="col" class="pt-3 pb-1 text-left text-lead font-strong text-ink">{{ group.name }}</th>
              <th scope="col">stops</th>
              <th scope="col">mired</th>
              <th scope="col">Duv</th>
              <th scope="col">{{ group.items[0]!.reflectance === undefined ? 'soft' : 'comes back' }}</th>
              <th scope="col" class="w-36">{{ group.key === 'COLOUR' ? 'red, green, blue through' : '' }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="i in group.items" :key="i.name" class="border-t border-line">
              <th scope="row" class="text-left font-normal">
                <button v-if="may" class="min-h-8 text-left underline pointer-coarse:min-h-11" @click="edit(i)">
                  {{ i.name }}
                </button>
                <template v-else>{{ i.name }}</template>
                <span v-if="i.own" class="ml-2 text-fine text-quiet">ours</span>
              </th>
              <td><StopsText :text="fixed(i.stops, 2)" /></td>
              <td>{{ i.miredShift ? signed(i.miredShift, 0) : '' }}</td>
              <td>{{ i.duvShift ? signed(i.duvShift, 3) : '' }}</td>
              <td>{{ i.reflectance === undefined ? (i.softness ? share(i.softness) : '') : share(i.reflectance) }}</td>
              <td>
                {{ i.gel ? [i.gel.red, i.gel.green, i.gel.blue].map((c) => fixed(c, 2)).join(', ') : '' }}
                <template v-if="i.narrowsToDeg">leaves {{ i.narrowsToDeg }}°</template>
              </td>
            </tr>
          </tbody>
        </template>
      </table>
      <p v-if="shelf.kit && !groups.length" class="py-4 text-quiet">Nothing in the stock is called that.</p>
    </div>
    <StockDialog :open="open" :item="editing" @close="open = false" />
  </div>
</template>

<style scoped>
td,
th[scope='col']:not(:first-child) {
  padding: 2px 0 2px 12px;
  text-align: right;
  font-weight: 400;
}
td {
  font-variant-numeric: tabular-nums;
}
</style>
