<script setup lang="ts">
import { computed } from 'vue'
import { held, value, type Attribute, type Placed, type ValueEdit } from '@/api/types'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import ModifierList from '@/components/inspector/ModifierList.vue'
import PatchForm from '@/components/inspector/PatchForm.vue'
import WalkFeed from './WalkFeed.vue'

/** What is chosen, not typed in figures: what light goes through, how the light is told what to do, what feeds it. */
const props = defineProps<{ shotId: number; thing: Placed; attribute?: Attribute }>()
const emit = defineEmits<{
  close: []
  choose: [attribute: Attribute, wanted: NonNullable<ValueEdit>]
  stands: [Attribute]
}>()
const through = computed(() => props.attribute === 'MODIFIERS')
const NAMES: Partial<Record<Attribute, string>> = { MODIFIERS: 'through', PATCH: 'control', FEED: 'fed by' }
const fed = computed(() => props.attribute === 'FEED')
const open = computed(() => !!props.attribute && props.attribute in NAMES)
const items = computed(() => value(props.thing, 'MODIFIERS')?.items ?? [])
const bare = computed(() => through.value && props.thing.records.includes('LEVEL'))
const byHand = computed(() => props.attribute === 'PATCH' && !value(props.thing, 'PATCH')?.universe)
</script>

<template>
  <BaseDialog :open="open" :title="`${thing.placement.name}: ${NAMES[attribute!] ?? ''}`" @close="emit('close')">
    <button
      v-if="bare && !items.length"
      class="button button-main mb-3 min-h-16 w-full text-large"
      @click="emit('choose', 'MODIFIERS', { value: { items: [] } })"
    >
      Nothing, bare lamp
    </button>
    <button
      v-if="byHand"
      class="button button-main mb-3 min-h-16 w-full text-large"
      @click="emit('choose', 'PATCH', { value: {} as never })"
    >
      By hand, at the head
    </button>
    <ModifierList v-if="through" :placed="thing" />
    <WalkFeed v-else-if="fed" :shot-id="shotId" :thing="thing" @choose="emit('choose', 'FEED', $event)" />
    <PatchForm v-else-if="open" :placed="thing" />
    <template #buttons
      ><button class="button min-h-11" @click="emit('close')">Not now</button
      ><button
        class="button min-h-11"
        :class="{ 'button-main': items.length || !bare }"
        :disabled="!attribute || !held(thing, attribute)"
        @click="emit('stands', attribute!)"
      >
        It stands so
      </button></template
    >
  </BaseDialog>
</template>
