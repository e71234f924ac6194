<script setup lang="ts">
import { computed } from 'vue'
import { useBoard } from '@/stores/board'
import { useBook } from '@/stores/book'

/** A shot of any scene, or a saved look of the scene that is open. */
defineProps<{ label: string }>()
const model = defineModel<string>({ required: true })
const book = useBook()
const board = useBoard()
const scenes = computed(() =>
  (book.book?.productions ?? []).flatMap((p) => p.scenes.map((scene) => ({ scene, production: p.production.name }))),
)
const many = computed(() => (book.book?.productions.length ?? 0) > 1)
const looks = computed(() => board.board?.looks ?? [])
</script>

<template>
  <select v-model="model" class="field" :aria-label="label">
    <optgroup
      v-for="s in scenes"
      :key="s.scene.id"
      :label="`${many ? `${s.production}, ` : ''}Sc. ${s.scene.heading.number} ${s.scene.heading.heading}`"
    >
      <option v-for="shot in s.scene.shots" :key="shot.id" :value="`shot-${shot.id}`">
        {{ shot.slate }} {{ shot.description }}
      </option>
      <template v-if="s.scene.id === board.board?.sceneId"
        ><option v-for="l in looks" :key="l.card.id" :value="`look-${l.card.id}`">
          look: {{ l.card.name }}
        </option></template
      >
    </optgroup>
  </select>
</template>
