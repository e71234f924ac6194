<script setup lang="ts">
import { computed } from 'vue'
import type { BoardRow, BoardShot, Reason } from '@/api/types'
import CheatFlag from '@/components/marks/CheatFlag.vue'
import KnotMark from '@/components/marks/KnotMark.vue'
import { cellAt } from '@/lib/board'
import { ATTRIBUTES, REASONS, reasonName, when } from '@/lib/words'
import { useBoard } from '@/stores/board'
import { useSettings } from '@/stores/settings'

/** What is known of the cell that is chosen: every knot with what it was, who tied it, when and why. */
const props = defineProps<{ row: BoardRow; shot: BoardShot; column: number; editable: boolean }>()
const emit = defineEmits<{ change: []; untie: []; call: [reason: Reason]; history: [] }>()
const store = useBoard()
const settings = useSettings()

const MANY = 4
const cell = computed(() => cellAt(props.row, props.column))
const knots = computed(() => cell.value?.knots ?? [])
const carries = computed(() =>
  props.shot.basedOn ? `everything carries from ${props.shot.basedOn}` : 'nothing recorded',
)
const COUNT = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine']
const summary = computed(() => {
  if (!knots.value.length) return carries.value
  const n = knots.value.length
  return `${COUNT[n] ?? n} ${n === 1 ? 'knot' : 'knots'}${props.shot.basedOn ? '; the rest carries' : ', where it begins'}`
})
</script>

<template>
  <footer
    class="facts grid grid-cols-[336px_176px_minmax(0,1fr)] gap-4 min-h-25.5 py-2.25 px-3.5 bg-panel border-t border-line upright:grid-cols-[minmax(0,1fr)_minmax(0,1fr)] phone:grid-cols-[minmax(0,1fr)] phone:gap-1.5 phone:py-1.5 phone:px-3.5"
  >
    <div class="min-w-0">
      <h2 class="truncate text-title">{{ row.placement.name }} in {{ shot.slate }}</h2>
      <p class="mb-1.5 truncate text-small text-quiet">
        {{ shot.stage === 'SHOT' ? 'shot, and locked; ' : '' }}{{ summary }}
      </p>
      <div class="flex flex-wrap gap-2">
        <button class="button" :disabled="!editable" @click="emit('change')">Change</button>
        <button class="button" :disabled="!editable || !knots.length || !shot.basedOn" @click="emit('untie')">
          Untie
        </button>
        <button
          v-if="knots.every((k) => k.reason !== 'CHEAT')"
          class="button"
          :disabled="!editable || !knots.length || !shot.basedOn"
          @click="emit('call', 'CHEAT')"
        >
          Call it a cheat
        </button>
        <button v-else class="button" :disabled="!editable" @click="emit('call', 'MATCH')">Call it a match</button>
        <button class="button" @click="emit('history')">History</button>
      </div>
    </div>
    <div class="why min-w-0 phone:flex phone:gap-2">
      <label class="flex items-center gap-2"
        ><span class="shrink-0 text-small text-quiet">next is a</span>
        <select v-model="store.reason" class="field !w-24" aria-label="Why the next change is made">
          <option v-for="r in REASONS" :key="r.key" :value="r.key">{{ r.name }}</option>
        </select>
      </label>
      <input
        v-model="store.note"
        class="field mt-1"
        maxlength="500"
        placeholder="why, in your words"
        aria-label="Note kept with the next change"
      />
    </div>
    <ul class="knots min-w-0 text-small upright:col-span-full upright:max-h-22 upright:overflow-y-auto phone:max-h-11">
      <li v-for="k in knots.slice(0, MANY + (knots.length === MANY + 1 ? 1 : 0))" :key="k.attribute">
        <CheatFlag v-if="k.reason === 'CHEAT'" class="!h-[14px]" /><KnotMark v-else />
        <b class="truncate font-strong">{{ ATTRIBUTES[k.attribute] }}</b>
        <span class="figure truncate">{{ settings.printed(k.words) }}</span>
        <span class="text-quiet">{{ reasonName(k.reason) }}</span>
        <span class="truncate text-quiet">{{ k.author }} {{ when(k.at) }}</span>
        <span class="truncate text-quiet" :title="k.note">{{ k.note }}</span>
      </li>
      <li v-if="knots.length > MANY + 1" class="text-quiet">and {{ knots.length - MANY }} more, in its history</li>
    </ul>
  </footer>
</template>

<style scoped>
.knots li {
  display: grid;
  grid-template-columns: 18px 74px minmax(110px, 1.2fr) 44px 150px minmax(0, 1.5fr);
  align-items: center;
  gap: 8px;
  min-height: 20px;
}
.knots li:last-child:not(:has(b)) {
  display: block;
}
@media (width < 800px) {
  .knots li {
    grid-template-columns: 18px 70px minmax(0, 1fr) 44px;
  }
  .knots li span:nth-of-type(n + 3) {
    display: none;
  }
}
</style>
