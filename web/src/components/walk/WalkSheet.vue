<script setup lang="ts">
import { computed } from 'vue'
import { held, value, type Attribute, type Placed, type ValueEdit } from '@/api/types'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import ModifierList from '@/components/inspector/ModifierList.vue'
import PatchForm from '@/components/inspector/PatchForm.vue'

/** What is chosen, not typed in figures: what light goes through, how the light is told what to do. */
const props = defineProps<{ thing: Placed; attribute?: Attribute }>()
const emit = defineEmits<{
  close: []
  choose: [attribute: Attribute, wanted: NonNullable<ValueEdit>]
  stands: [Attribute]
}>()
const through = computed(() => props.attribute === 'MODIFIERS')
const open = computed(() => props.attribute === 'MODIFIERS' || props.attribute === 'PATCH')
const items = computed(() => value(props.thing, 'MODIFIERS')?.items ?? [])
const bare = computed(() => through.value && props.thing.records.includes('LEVEL'))
const byHand = computed(() => props.attribute === 'PATCH' && !value(props.thing, 'PATCH')?.universe)
</script>

<template>
  <BaseDialog
    :open="open"
    :title="`${thing.placement.name}: ${through ? 'through' : 'control'}`"
    @close="emit('close')"
  >
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
