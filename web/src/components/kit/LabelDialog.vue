<script setup lang="ts">
import { ref, watch } from 'vue'
import { answer, api } from '@/api/client'
import { outdate } from '@/api/reads'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import TextField from '@/components/dialogs/TextField.vue'
import { useSubmit } from '@/lib/useSubmit'
import { useSettings } from '@/stores/settings'

/** What the codes of all labels lead to, said once; then the labels. */
const props = defineProps<{ open: boolean; productionId: number; said?: string; editable: boolean }>()
const emit = defineEmits<{ close: [] }>()
const settings = useSettings()
const { busy, error, submit } = useSubmit()
const address = ref('')
watch(
  () => props.open,
  () => {
    error.value = ''
    address.value = props.said ?? location.origin
  },
  { immediate: true },
)
function keep() {
  void submit(async () => {
    const params = { path: { productionId: props.productionId } }
    await answer(api.PUT('/api/productions/{productionId}/kit/address', { params, body: { address: address.value } }))
    await outdate({ topics: ['INVENTORY'] })
  })
}
</script>

<template>
  <BaseDialog :open="open" title="Labels" :error="error" @close="emit('close')">
    <p class="mb-2">
      A label’s code opens the page of its unit on any phone that reaches this address. Say it once: printed labels keep
      it.
    </p>
    <form id="label-form" @submit.prevent="keep">
      <TextField v-model="address" label="Address of Oblume for phones" :maxlength="120" />
    </form>
    <p v-if="said" class="text-small text-quiet">Codes lead to {{ said }}/u/ and the tag.</p>
    <template #buttons>
      <a
        v-if="said"
        class="button mr-auto"
        target="_blank"
        :href="`/api/productions/${productionId}/kit/paper/labels.pdf?units=${settings.units}`"
        >All labels, PDF</a
      >
      <button class="button" @click="emit('close')">Close</button>
      <button v-if="editable" class="button button-main" type="submit" form="label-form" :disabled="busy">
        Keep the address
      </button>
    </template>
  </BaseDialog>
</template>
