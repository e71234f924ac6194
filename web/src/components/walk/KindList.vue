<script lang="ts">
import type { Fixture } from '@/api/types'

/** A kind of thing, as far as it is placed. */
export type Known = Pick<Fixture, 'kind' | 'piece' | 'beamDeg'>
</script>

<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Placed, PlacementKind } from '@/api/types'
import { KIND_NOT_SAID } from '@/lib/words'
import { useStock } from '@/stores/stock'

/** The kinds of the kit; what stands here already comes first: sets are lit with more of the same. */
const props = defineProps<{
  things: Placed[]
  /** Only kinds of such a thing. */ of?: PlacementKind
  /** Offers, too, that nobody knows which it is. */ unknown?: boolean
}>()
defineEmits<{ pick: [kind: Known] }>()
const shelf = useStock()
void shelf.fill()

const NOT_SAID: Known = {
  kind: 'HEAD',
  piece: { what: KIND_NOT_SAID, widthM: 0.3, watts: 0, mount: 'STAND' },
  beamDeg: 36,
}
const query = ref('')
const kinds = computed((): Known[] => {
  const words = query.value.trim().toLowerCase().split(/\s+/)
  const here = new Set(props.things.map((t) => t.placement.piece.what))
  const all = (shelf.kit?.fixtures ?? []).filter(
    (f) => (!props.of || f.kind === props.of) && words.every((w) => f.piece.what.toLowerCase().includes(w)),
  )
  return [...all.filter((f) => here.has(f.piece.what)), ...all.filter((f) => !here.has(f.piece.what))]
})
</script>

<template>
  <ul class="max-h-[52vh] overflow-y-auto">
    <li v-for="k in kinds" :key="k.piece.what">
      <button class="kind" @click="$emit('pick', k)">{{ k.piece.what }}</button>
    </li>
    <li v-if="unknown">
      <button class="kind text-quiet" @click="$emit('pick', NOT_SAID)">A light, I do not know which</button>
    </li>
  </ul>
  <p v-if="shelf.problem" role="status" class="mt-2">{{ shelf.problem }}</p>
  <input
    v-model="query"
    class="field mt-2 min-h-11"
    placeholder="Part of its name: panel 60"
    aria-label="Kinds by name"
  />
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
