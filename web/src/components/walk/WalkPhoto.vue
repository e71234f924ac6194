<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { outdate, useRead } from '@/api/reads'
import { useSubmit } from '@/lib/useSubmit'
import { useOutbox } from '@/stores/outbox'

/** The photograph of the thing in hand: taken with the phone, kept with the shot, sent once the line stands. */
const props = defineProps<{ shotId: number; slate: string; thing: { key: string; name: string } }>()
const outbox = useOutbox()
const LARGEST_MB = 15
const input = ref<HTMLInputElement>()
const { busy, error, submit } = useSubmit()
const { data } = useRead('notes', () => ({ shotId: props.shotId }))
const newest = computed(() => data.value?.notes.find((n) => n.photo && n.placement === props.thing.name))
const waits = computed(() =>
  outbox.waiting.some(
    ({ intent }) =>
      intent.kind === 'photo' && 'placement' in intent.about && intent.about.placement === props.thing.key,
  ),
)
/** What was taken just now, until it is read again. */
const taken = ref<string>()
watch(
  () => props.thing.key,
  () => forget(),
)
function forget() {
  if (taken.value) URL.revokeObjectURL(taken.value)
  taken.value = undefined
  error.value = ''
}

async function keep() {
  const photo = input.value?.files?.[0]
  if (!photo) return
  if (photo.size > LARGEST_MB * 1024 * 1024) {
    error.value = `This picture is larger than ${LARGEST_MB} MB: take it smaller. Nothing was kept.`
    return
  }
  const { key, name } = props.thing
  await submit(async () => {
    await outbox.send(
      { kind: 'photo', about: { shotId: props.shotId, placement: key } },
      `photograph of ${name} in ${props.slate}`,
      photo,
    )
    forget()
    taken.value = URL.createObjectURL(photo)
    await outdate({ topics: ['NOTES'] })
  })
  if (input.value) input.value.value = ''
}
</script>

<template>
  <div class="flex min-w-0 flex-col border-l border-line">
    <img
      v-if="taken ?? newest"
      class="min-h-0 w-full flex-1 object-cover"
      :src="taken ?? newest!.photo"
      :alt="`Photograph of ${thing.name}`"
    />
    <p v-else class="flex-1 p-3 text-small text-quiet">No photograph yet.</p>
    <p v-if="error" role="alert" class="p-2 text-small">{{ error }}</p>
    <label class="photo button m-1.5 min-h-11" :class="{ 'opacity-60': busy }"
      >{{ taken || newest ? 'Photograph again' : 'Photograph'
      }}<input
        ref="input"
        type="file"
        accept="image/png,image/jpeg"
        capture="environment"
        class="sr-only"
        :disabled="busy"
        @change="keep"
    /></label>
    <p v-if="waits" role="status" class="px-2 pb-1 text-fine text-quiet">waits to be sent</p>
  </div>
</template>

<style scoped>
.photo:focus-within {
  outline: 2px solid var(--accent);
}
</style>
