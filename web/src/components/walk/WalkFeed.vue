<script setup lang="ts">
import { ref } from 'vue'
import { useRead } from '@/api/reads'
import { value, type Placed, type ValueEdit } from '@/api/types'
import TextField from '@/components/dialogs/TextField.vue'
import { feedOn } from '@/lib/feeds'

/** What feeds a light: a circuit of the set in one tap, a battery, or as it is said. */
const props = defineProps<{ shotId: number; thing: Placed }>()
const emit = defineEmits<{ choose: [wanted: NonNullable<ValueEdit>] }>()
const said = ref('')
const { data: page } = useRead('power', () => ({ shotId: props.shotId, lower: 0 }))
const now = () => value(props.thing, 'FEED')
const isOn = (circuit?: string) => (circuit ? now()?.name === circuit : now()?.from === 'BATTERY')
</script>

<template>
  <p v-if="page?.circuits.length === 0" class="pb-2 text-quiet">
    Nobody said yet which circuits feed {{ page.set }}: say it as it is, B1 or battery.
  </p>
  <div class="grid grid-cols-2 gap-2">
    <button
      v-for="c in page?.circuits"
      :key="c.name"
      class="button min-h-16"
      :aria-pressed="isOn(c.name)"
      @click="emit('choose', { value: feedOn(now(), c.name) })"
    >
      <b class="text-large">{{ c.name }}</b><span v-if="c.where" class="ml-2 text-quiet">{{ c.where }}</span>
    </button>
    <button class="button min-h-16" :aria-pressed="isOn()" @click="emit('choose', { value: feedOn(now()) })">
      on a battery
    </button>
  </div>
  <form class="flex items-end gap-2 pt-3" @submit.prevent="said.trim() && emit('choose', { text: said })">
    <TextField v-model="said" class="flex-1" label="As it is said" hint="B1, 25 m of 2.5; battery 98 Wh; own on B3" />
    <button class="button mb-2 min-h-11" :disabled="!said.trim()">Keep</button>
  </form>
</template>
