<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { value, type Placed } from '@/api/types'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import TextField from '@/components/dialogs/TextField.vue'
import { cueSteps, typedSteps, type TypedStep } from '@/lib/cues'
import { readFigures } from '@/lib/figures'
import { useSubmit } from '@/lib/useSubmit'
import { usePlot } from '@/stores/plot'
import { useShotEditor } from '@/stores/shotEditor'
import CueStepFields from './CueStepFields.vue'

/** A moment within the shot, and what each light does then. */
const props = defineProps<{ open: boolean; placed?: Placed; next?: number }>()
const emit = defineEmits<{ close: [] }>()
const plot = usePlot()
const editor = useShotEditor()

const name = ref('')
const order = ref('')
const moment = ref('')
const wait = ref('')
const steps = ref<TypedStep[]>([])
const { busy, error, submit } = useSubmit()
const lights = computed(() => editor.placements.filter((p) => p.onSet && p.records.includes('LEVEL')))

watch(
  () => props.open,
  () => {
    const cue = props.placed && value(props.placed, 'CUE')
    error.value = ''
    name.value = props.placed?.placement.name ?? ''
    order.value = String(cue?.order ?? props.next)
    moment.value = cue?.when ?? ''
    wait.value = String(cue?.afterS ?? 0)
    steps.value = cue ? typedSteps(cue.changes) : []
    if (!cue) add()
  },
  { immediate: true },
)

function add() {
  const free = lights.value.find((l) => !steps.value.some((s) => s.placement === l.placement.key))
  if (free)
    steps.value.push({
      placement: free.placement.key,
      level: '',
      white: '',
      fade: '0',
      standing: '',
      effect: '',
      rate: '',
      hue: '',
      saturation: '',
    })
}

function keep() {
  const { placed } = props
  void submit(async () => {
    const [place, afterS] = (await readFigures(
      { kind: 'WHOLE', text: order.value, of: 'Which it is' },
      { kind: 'NUMBER', text: wait.value || '0', of: 'Seconds later' },
    )) as [number, number]
    const cue = { order: place, when: moment.value, afterS, changes: await cueSteps(steps.value) }
    if (placed) await editor.edit(placed.placement.key, 'CUE', { value: cue })
    else
      await plot.placeSaid({
        name: name.value || moment.value.slice(0, 60),
        kind: 'CUE',
        role: 'CUE',
        what: 'cue',
        cue,
      })
    emit('close')
  })
}
</script>

<template>
  <BaseDialog
    :open="open"
    wide
    :title="placed ? placed.placement.name : 'A cue within the shot'"
    :error="error"
    @close="emit('close')"
  >
    <form id="cue-form" @submit.prevent="keep">
      <div class="grid gap-x-2 sm:grid-cols-[5rem_minmax(0,1fr)_8rem]">
        <TextField v-model="order" label="Which it is" />
        <TextField v-model="moment" label="When" hint="the hatch shuts; on “good night”; 0:12" :maxlength="120" />
        <TextField v-model="wait" label="Seconds later" />
      </div>
      <TextField
        v-if="!placed"
        v-model="name"
        label="What it is called"
        hint="stands on the key; the moment, if it stays empty"
        :maxlength="60"
      />
      <ul>
        <li v-for="(_, i) in steps" :key="i">
          <CueStepFields v-model="steps[i]!" :lights="lights" @remove="steps.splice(i, 1)" />
        </li>
      </ul>
      <button type="button" class="button mt-2" :disabled="steps.length >= lights.length" @click="add">
        Another light
      </button>
      <p class="mt-2 text-small text-quiet">
        What stays empty does not change. A light that the network does not reach is done by hand at the head.
      </p>
    </form>
    <template #buttons>
      <button class="button" @click="emit('close')">Cancel</button>
      <button class="button button-main" :disabled="busy" type="submit" form="cue-form">Keep</button>
    </template>
  </BaseDialog>
</template>
