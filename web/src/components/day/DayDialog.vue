<script setup lang="ts">
import { ref, watch } from 'vue'
import type { DayCard } from '@/api/types'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import TextField from '@/components/dialogs/TextField.vue'
import { readFigures } from '@/lib/figures'
import { plain } from '@/lib/print'

/** When a day begins and ends, where it is, its pauses, and how its batteries are kept. */
const props = defineProps<{ open: boolean; number: number; card: DayCard; error: string }>()
const emit = defineEmits<{ close: []; keep: [card: DayCard] }>()
const date = ref('')
const unit = ref('')
const place = ref('')
const zone = ref('')
const call = ref('')
const wrap = ref('')
const least = ref('')
const pauses = ref<{ after: string; before: string; minutes: string }[]>([])
const charge = ref('')
const offBetween = ref(false)
const wrong = ref('')
watch(
  () => props.open,
  () => {
    const { card } = props
    date.value = card.date ?? ''
    unit.value = card.unit
    place.value = card.place
    zone.value = card.zone ?? ''
    call.value = card.call
    wrap.value = card.wrap
    least.value = String(card.leastMinutes)
    pauses.value = card.pauses.map((p) => ({ ...p, minutes: String(p.minutes) }))
    charge.value = card.chargeHours === undefined ? '' : plain(card.chargeHours, 2)
    offBetween.value = card.offBetween ?? false
    wrong.value = ''
  },
  { immediate: true },
)

async function keep() {
  let figures: number[]
  let hours: number[]
  try {
    hours = charge.value.trim()
      ? await readFigures({ kind: 'NUMBER', text: charge.value, of: 'Hours to charge a battery' })
      : []
    figures = await readFigures(
      ...[least.value, ...pauses.value.map((p) => p.minutes)].map((text) => ({
        kind: 'NUMBER' as const,
        text,
        of: 'Minutes',
      })),
    )
  } catch (refused) {
    wrong.value = (refused as Error).message
    return
  }
  const [leastMinutes, ...minutes] = figures
  wrong.value = ''
  emit('keep', {
    date: date.value || undefined,
    unit: unit.value,
    place: place.value,
    zone: zone.value || undefined,
    call: call.value,
    wrap: wrap.value,
    leastMinutes: leastMinutes!,
    pauses: pauses.value.map((p, i) => ({ after: p.after, before: p.before, minutes: minutes[i]! })),
    chargeHours: hours[0],
    offBetween: offBetween.value,
  })
}
</script>

<template>
  <BaseDialog :open="open" :title="`Day ${number}`" :error="wrong || error" @close="emit('close')">
    <form id="day" class="grid grid-cols-2 gap-x-3" @submit.prevent="keep">
      <TextField v-model="date" label="Date" type="date" />
      <TextField v-model="unit" label="Unit" :maxlength="80" />
      <TextField v-model="place" class="col-span-2" label="Place" :maxlength="80" />
      <TextField v-model="call" label="Call" type="time" />
      <TextField v-model="wrap" label="Wrap" hint="before the call: the next day" type="time" />
      <TextField v-model="zone" label="Clock" hint="as Etc/UTC; empty: this machine’s" />
      <TextField v-model="least" label="A changeover takes at least, min" />
      <TextField v-model="charge" label="A battery is charged in, h" hint="empty: none is that day" />
      <label class="flex items-center gap-2 pt-4">
        <input v-model="offBetween" type="checkbox" /> batteries are off between shots
      </label>
      <template v-for="(p, i) in pauses" :key="i">
        <fieldset class="col-span-2 grid grid-cols-[1fr_1fr_1fr_auto] gap-x-3 items-end">
          <TextField v-model="p.after" :label="`Pause ${i + 1}: not before`" type="time" />
          <TextField v-model="p.before" label="begun by" type="time" />
          <TextField v-model="p.minutes" label="min" />
          <button type="button" class="button mb-2" :aria-label="`No pause ${i + 1}`" @click="pauses.splice(i, 1)">
            ×
          </button>
        </fieldset>
      </template>
    </form>
    <button class="button" @click="pauses.push({ after: '12:00', before: '14:00', minutes: '45' })">
      One more pause
    </button>
    <template #buttons
      ><button class="button" @click="emit('close')">Cancel</button
      ><button class="button button-main" form="day">Keep</button></template
    >
  </BaseDialog>
</template>
