<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { value, type Placed, type Values } from '@/api/types'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import ChoiceField from '@/components/dialogs/ChoiceField.vue'
import TextField from '@/components/dialogs/TextField.vue'
import { useSubmit } from '@/lib/useSubmit'
import { CONDITIONS } from '@/lib/words'
import { usePlot } from '@/stores/plot'
import { useShotEditor } from '@/stores/shotEditor'

/** How the place is: a new condition, or one as it is from this shot on. */
const props = defineProps<{ open: boolean; placed?: Placed }>()
const emit = defineEmits<{ close: [] }>()
const plot = usePlot()
const editor = useShotEditor()

type Sort = Values['CONDITION']['sort']
const sort = ref<Sort>('HAZE')
const name = ref('')
const state = ref('')
const who = ref('')
const { busy, error, submit } = useSubmit()
const kind = computed(() => CONDITIONS.find((c) => c.key === sort.value)!)

watch(
  () => props.open,
  () => {
    const now = props.placed && value(props.placed, 'CONDITION')
    error.value = ''
    sort.value = now?.sort ?? 'HAZE'
    name.value = props.placed?.placement.name ?? ''
    state.value = now?.state ?? ''
    who.value = now?.who ?? ''
  },
  { immediate: true },
)

function keep() {
  const condition = { sort: sort.value, state: state.value, who: who.value || undefined }
  const { placed } = props
  void submit(async () => {
    if (placed) await editor.edit(placed.placement.key, 'CONDITION', { value: condition })
    else {
      const what = kind.value.name
      await plot.placeSaid({ name: name.value || what, kind: 'CONDITION', role: 'CONDITION', what, condition })
    }
    emit('close')
  })
}
</script>

<template>
  <BaseDialog
    :open="open"
    :title="placed ? placed.placement.name : 'A condition of the place'"
    :error="error"
    @close="emit('close')"
  >
    <form id="condition-form" @submit.prevent="keep">
      <ChoiceField v-model="sort" label="What it is" :options="CONDITIONS" />
      <TextField
        v-if="!placed"
        v-model="name"
        label="What the crew calls it"
        :hint="`${kind.name}, if it stays empty`"
        :maxlength="60"
      />
      <TextField v-model="state" label="How it is in this shot" hint="light haze, off, half shut" :maxlength="120" />
      <TextField v-model="who" :label="kind.asks" hint="may stay empty" :maxlength="120" />
    </form>
    <template #buttons>
      <button class="button" @click="emit('close')">Cancel</button>
      <button class="button button-main" :disabled="busy" type="submit" form="condition-form">Keep</button>
    </template>
  </BaseDialog>
</template>
