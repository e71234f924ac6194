<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRead } from '@/api/reads'
import type { ProductionPage } from '@/api/types'
import ChoiceField from '@/components/dialogs/ChoiceField.vue'
import NeedRow from './NeedRow.vue'

/** What one scene or one shot needs of the kit, whichever day it is shot on. */
const props = defineProps<{ production?: ProductionPage }>()
const of = ref('')
const options = computed(() => [
  { key: '', name: 'a day only' },
  ...(props.production?.scenes ?? []).flatMap((s) => [
    { key: `scene ${s.id}`, name: `Sc. ${s.heading.number}, all of its shots` },
    ...s.shots.map((shot) => ({ key: `shot ${shot.id}`, name: shot.slate })),
  ]),
])
const id = (kind: string) => (of.value.startsWith(kind) ? Number(of.value.split(' ')[1]) : undefined)
const { data: scene } = useRead('sceneKit', () => {
  const sceneId = id('scene')
  return sceneId === undefined ? undefined : { sceneId }
})
const { data: shot } = useRead('shotKit', () => {
  const shotId = id('shot')
  return shotId === undefined ? undefined : { shotId }
})
const lines = computed(() => (id('scene') ? scene.value?.lines : id('shot') ? shot.value?.lines : undefined))
</script>

<template>
  <section class="border-t border-line" aria-label="What a scene or a shot needs">
    <div class="px-4 pt-2"><ChoiceField v-model="of" label="Needs of" :options="options" /></div>
    <ul v-if="lines">
      <NeedRow v-for="l in lines" :key="l.sort + l.item.metric" :line="l" :instead="[]" />
    </ul>
  </section>
</template>
