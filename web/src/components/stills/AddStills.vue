<script setup lang="ts">
import { computed, ref } from 'vue'
import { outdate } from '@/api/reads'
import type { StillKind } from '@/api/types'
import ChoiceField from '@/components/dialogs/ChoiceField.vue'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import TextField from '@/components/dialogs/TextField.vue'
import { sentence } from '@/api/client'
import { STILL_KINDS } from '@/lib/stills'
import { useOutbox } from '@/stores/outbox'

/** Pictures are put among the stills of a shot, as many as one likes; without a line they wait on this device. */
const props = defineProps<{
  open: boolean
  shotId: number
  slate: string
  /** The rebuild that they are of. */
  run?: number
}>()
const emit = defineEmits<{ close: [] }>()
const outbox = useOutbox()
const LARGEST_MB = 15
const kind = ref<StillKind>('FRAME')
const text = ref('')
const files = ref<File[]>([])
const sent = ref(0)
const sending = ref(false)
const refused = ref<string[]>([])
const waits = computed(() =>
  outbox.waiting.filter((w) => w.intent.kind === 'still' && w.intent.shotId === props.shotId),
)

function take(event: Event) {
  files.value = [...((event.target as HTMLInputElement).files ?? [])]
  refused.value = []
}

async function send() {
  sending.value = true
  sent.value = 0
  refused.value = []
  const left: File[] = []
  for (const file of files.value) {
    try {
      if (file.size > LARGEST_MB * 1024 * 1024) throw new Error(`larger than ${LARGEST_MB} MB: save it smaller.`)
      await outbox.send(
        { kind: 'still', shotId: props.shotId, still: kind.value, text: text.value || undefined, run: props.run },
        `still in ${props.slate}: ${file.name}`,
        file,
      )
    } catch (failure) {
      left.push(file)
      refused.value.push(`${file.name}: ${sentence(failure)}`)
    }
    sent.value++
  }
  files.value = left
  sending.value = false
  await outdate({ topics: ['NOTES'] })
  if (!left.length) emit('close')
}
</script>

<template>
  <BaseDialog :open="open" :title="`Stills of ${slate}`" :error="refused.join(' ')" @close="emit('close')">
    <label class="block"
      ><span class="mb-0.5 block text-small text-quiet">Pictures: JPEG, PNG or TIFF, as many as you like</span
      ><input type="file" multiple class="field h-auto py-2" accept="image/jpeg,image/png,image/tiff" @change="take"
    /></label>
    <div class="mt-3">
      <ChoiceField v-model="kind" label="What they are" :options="STILL_KINDS" />
      <TextField v-model="text" label="Said of them, such as take 3" />
    </div>
    <p class="text-small text-quiet">
      Of a frame of the camera that shoots, the signal counts. A phone grades what it takes: such a picture is for the
      eye. Where and with what it was taken is stripped.
    </p>
    <p v-if="sending" role="status" class="mt-2">
      {{ sent }} of {{ files.length }}
      <progress :value="sent" :max="files.length" class="w-full" aria-label="Pictures that are sent" />
    </p>
    <p v-if="waits.length" class="mt-2" role="status">
      {{ waits.length }} {{ waits.length === 1 ? 'waits' : 'wait' }} on this device for a line.
    </p>
    <template #buttons
      ><button class="button" @click="emit('close')">Cancel</button
      ><button class="button button-main" :disabled="sending || !files.length" @click="send">Put in</button></template
    >
  </BaseDialog>
</template>
