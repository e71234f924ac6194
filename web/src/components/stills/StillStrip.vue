<script setup lang="ts">
import { computed, ref } from 'vue'
import type { StillHead, StillKind } from '@/api/types'
import { kindName, STILL_KINDS } from '@/lib/stills'

/** The stills of a scene, small, by shot: one is shown, another it is held against. */
const props = defineProps<{ stills: StillHead[]; shown?: number; against?: number }>()
defineEmits<{ show: [id: number]; hold: [id: number] }>()
const only = ref<StillKind>()
const kinds = computed(() => STILL_KINDS.filter((k) => props.stills.some((s) => s.kind === k.key)))
const shots = computed(() => {
  const by = new Map<string, StillHead[]>()
  for (const s of props.stills.filter((s) => !only.value || s.kind === only.value))
    by.set(s.slate, [...(by.get(s.slate) ?? []), s])
  return [...by].map(([slate, stills]) => ({ slate, stills }))
})
</script>

<template>
  <nav class="strip" aria-label="Stills of this scene">
    <select
      v-if="kinds.length > 1"
      v-model="only"
      class="field !w-auto self-start mt-2 shrink-0"
      aria-label="Which stills"
    >
      <option :value="undefined">all</option>
      <option v-for="k in kinds" :key="k.key" :value="k.key">{{ k.name }}</option>
    </select>
    <section v-for="shot in shots" :key="shot.slate">
      <h3>{{ shot.slate }}</h3>
      <ul>
        <li v-for="s in shot.stills" :key="s.id" :class="{ here: s.id === shown }">
          <button
            :aria-pressed="s.id === shown"
            :aria-label="`${kindName(s.kind)} of ${s.slate}${s.text ? `, ${s.text}` : ''}`"
            @click="$emit('show', s.id)"
          >
            <img :src="`/api/stills/${s.id}/picture?wide=200`" alt="" loading="lazy" draggable="false" />
          </button>
          <span v-if="s.run" class="of">of a rebuild</span>
          <span v-if="s.id === against" class="word">held against</span>
          <button v-else-if="s.id !== shown" class="word" @click="$emit('hold', s.id)">hold against</button>
          <span v-else class="word">shown</span>
        </li>
      </ul>
    </section>
  </nav>
</template>

<style scoped>
.strip {
  display: flex;
  gap: 14px;
  padding: 4px 16px;
  overflow-x: auto;
  border-top: 1px solid var(--line);
  background: var(--panel);
}
h3 {
  font-weight: var(--font-weight-strong);
}
ul {
  display: flex;
  gap: 4px;
}
li {
  position: relative;
  width: 88px;
  border-top: 2px solid transparent;
}
.here {
  border-color: var(--accent);
}
img {
  display: block;
  width: 88px;
  height: 50px;
  object-fit: contain;
  background: #08090a;
}
.of {
  position: absolute;
  inset: 34px 0 auto;
  padding: 0 3px;
  font-size: var(--text-fine);
  color: #fff;
  background: rgb(8 9 10 / 70%);
}
.word {
  display: block;
  min-height: 24px;
  font-size: var(--text-fine);
  color: var(--quiet);
}
button.word {
  text-decoration: underline;
}
@media (width < 800px) {
  .strip,
  ul {
    flex-wrap: wrap;
  }
}
@media (pointer: coarse) {
  .word {
    min-height: 44px;
  }
}
</style>
