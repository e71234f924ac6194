<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { RouterLink } from 'vue-router'
import { useRead } from '@/api/reads'
import type { DaySlot, ShotPlan } from '@/api/types'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import ChoiceField from '@/components/dialogs/ChoiceField.vue'
import EarlierList from '@/components/dialogs/EarlierList.vue'
import TextField from '@/components/dialogs/TextField.vue'
import { needName } from '@/lib/dayTime'
import { readFigures } from '@/lib/figures'
import { LIGHT_NEEDS } from '@/lib/words'

/** What a shot takes and needs of its day. */
const props = defineProps<{ slotOf?: DaySlot; slots: DaySlot[]; editable: boolean; error: string }>()
const emit = defineEmits<{ close: []; keep: [slot: DaySlot, plan: ShotPlan]; off: [shot: number] }>()
const minutes = ref('')
const need = ref<ShotPlan['need']>('ANY')
const first = ref(false)
const after = ref<number>()
const doneBy = ref('')
const who = ref('')
const wrong = ref('')
function show(plan: ShotPlan) {
  minutes.value = plan.shootMinutes === undefined ? '' : String(plan.shootMinutes)
  need.value = plan.need
  first.value = plan.first
  after.value = plan.afterId
  doneBy.value = plan.doneBy ?? ''
  who.value = plan.who ?? ''
  wrong.value = ''
}
watch(
  () => props.slotOf?.shotId,
  () => props.slotOf && show(props.slotOf.plan),
  { immediate: true },
)
const { data: earlier } = useRead('planEarlier', () => props.slotOf && { shotId: props.slotOf.shotId })
const versions = computed(() =>
  earlier.value?.map((v) => ({
    ...v,
    say: [v.plan.shootMinutes === undefined ? '' : `${v.plan.shootMinutes} min`, needName(v.plan.need)]
      .filter(Boolean)
      .join(', '),
  })),
)
const others = computed(() => [
  { key: undefined as number | undefined, name: 'any' },
  ...props.slots
    .filter((s) => s.shotId !== props.slotOf?.shotId)
    .map((s) => ({ key: s.shotId as number | undefined, name: s.slate as string })),
])
async function keep() {
  let figures: number[] = []
  try {
    if (minutes.value.trim()) figures = await readFigures({ kind: 'NUMBER', text: minutes.value, of: 'Minutes' })
  } catch (refused) {
    wrong.value = (refused as Error).message
    return
  }
  wrong.value = ''
  emit('keep', props.slotOf!, {
    shootMinutes: figures[0],
    need: need.value,
    first: first.value,
    afterId: after.value,
    doneBy: doneBy.value || undefined,
    who: who.value.trim() || undefined,
  })
}
</script>

<template>
  <BaseDialog
    :open="!!slotOf"
    :title="`${slotOf?.slate ?? ''}: what it takes and needs`"
    :error="wrong || error"
    @close="emit('close')"
  >
    <p class="mb-3 text-quiet">
      {{ slotOf?.description }}
      <RouterLink
        v-if="slotOf"
        class="underline"
        :to="{ name: slotOf.again ? 'rebuild' : 'plot', params: { id: slotOf.shotId } }"
        >{{ slotOf.again ? 'To its rebuild' : 'To its plot' }}</RouterLink
      >
    </p>
    <fieldset :disabled="!editable">
      <TextField v-model="minutes" label="Minutes of its takes" hint="empty: nobody said" />
      <ChoiceField v-model="need" label="Its light" :options="LIGHT_NEEDS" />
      <ChoiceField v-model="after" label="Comes after" :options="others" />
      <div class="grid grid-cols-[auto_minmax(0,1fr)] gap-2">
        <label class="block"
          ><span class="mb-0.5 block text-small text-quiet">Over by</span
          ><input v-model="doneBy" class="field" type="time"
        /></label>
        <TextField v-model="who" label="Who leaves then" :maxlength="60" />
      </div>
      <label class="flex min-h-8 items-center gap-2"
        ><input v-model="first" type="checkbox" class="size-6" /> comes before the other shots of its scene: the
        wide</label
      >
      <EarlierList :versions="versions" @back="show(earlier![$event]!.plan)" />
    </fieldset>
    <template #buttons
      ><button v-if="editable && slotOf && !slotOf.begun" class="button mr-auto" @click="emit('off', slotOf.shotId)">
        Take off the day</button
      ><button class="button" @click="emit('close')">Cancel</button
      ><button v-if="editable" class="button button-main" @click="keep">Keep</button></template
    >
  </BaseDialog>
</template>
