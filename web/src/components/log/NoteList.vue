<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { answer, api } from '@/api/client'
import type { NoteSubject } from '@/api/intents'
import { outdate, useRead } from '@/api/reads'
import type { Note } from '@/api/types'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { useSubmit } from '@/lib/useSubmit'
import { when } from '@/lib/words'
import { useOutbox } from '@/stores/outbox'
import { useSession } from '@/stores/session'

/** Notes and photographs of a shot, of a thing in it, or of a set. */
const props = defineProps<{
  about: { shotId: number } | { setId: number }
  name: string
  things?: { key: string; name: string }[]
  /** Key of the thing that is looked at. */ chosen?: string
}>()
const session = useSession()
const outbox = useOutbox()
const LARGEST_MB = 15
const { data: all, problem } = useRead('notes', () => props.about)
const { busy, error, submit } = useSubmit()
const text = ref('')
const of = ref('')
const file = ref<HTMLInputElement>()
const may = computed(() => session.may('NOTE'))
const waiting = computed(() =>
  outbox.waiting.flatMap(({ intent, ...w }) =>
    (intent.kind === 'note' || intent.kind === 'photo') && isSame(intent.about)
      ? [{ ...w, text: intent.text || 'a photograph' }]
      : [],
  ),
)
const chosenName = computed(() => props.things?.find((t) => t.key === props.chosen)?.name)
const notes = computed(() =>
  (all.value?.notes ?? []).filter((n) => !chosenName.value || n.placement === chosenName.value),
)

function isSame(about: NoteSubject) {
  if ('setId' in props.about) return 'setId' in about && about.setId === props.about.setId
  return 'shotId' in about && about.shotId === props.about.shotId
}

watch(
  () => props.chosen,
  (key) => (of.value = key ?? ''),
  { immediate: true },
)

function attempt(action: () => Promise<unknown>) {
  return submit(async () => {
    await action()
    await outdate({ topics: ['NOTES'] })
  })
}
const add = () =>
  attempt(async () => {
    const about = 'setId' in props.about ? props.about : { ...props.about, placement: of.value || undefined }
    await outbox.send({ kind: 'note', about, text: text.value }, `note in ${props.name}: ${text.value}`)
    text.value = ''
  })
function addPhoto() {
  const photo = file.value?.files?.[0]
  if (!photo) return
  if (photo.size > LARGEST_MB * 1024 * 1024) {
    error.value = `${photo.name} is larger than ${LARGEST_MB} MB: save it smaller. Nothing was kept.`
    return
  }
  void attempt(async () => {
    const about = 'setId' in props.about ? props.about : { ...props.about, placement: of.value || undefined }
    const said = text.value || undefined
    await outbox.send({ kind: 'photo', about, text: said }, `photograph in ${props.name}: ${said ?? photo.name}`, photo)
    text.value = ''
  }).finally(() => file.value && (file.value.value = ''))
}
const remove = ({ id }: Note) => attempt(() => answer(api.DELETE('/api/notes/{id}', { params: { path: { id } } })))
</script>

<template>
  <section aria-label="Notes and photographs">
    <h2 class="mb-1 text-lead">Notes and photographs</h2>
    <form v-if="may" class="mb-3 grid gap-2" @submit.prevent="add">
      <textarea
        v-model="text"
        class="field"
        rows="2"
        maxlength="2000"
        placeholder="What the next crew should know"
        aria-label="New note"
      />
      <div class="flex flex-wrap gap-2">
        <select v-if="things" v-model="of" class="field !w-40" aria-label="The note is of">
          <option value="">of {{ name }}</option>
          <option v-for="t in things" :key="t.key" :value="t.key">of {{ t.name }}</option>
        </select>
        <button class="button" type="submit" :disabled="busy || !text.trim()">Add note</button>
        <button class="button" type="button" :disabled="busy" @click="file?.click()">
          {{ busy ? 'Keeping…' : 'Add photo…' }}
        </button>
        <input
          ref="file"
          type="file"
          accept="image/png,image/jpeg"
          class="hidden"
          aria-label="Photo, PNG or JPEG"
          @change="addPhoto"
        />
      </div>
    </form>
    <p v-if="error || problem" role="alert" class="mb-2 flex gap-2"><WedgeMark act />{{ error || problem }}</p>
    <p v-for="w in waiting" :key="w.idempotencyKey" class="text-small">waits to be sent: {{ w.text }}</p>
    <p v-if="!notes.length && !waiting.length" class="text-quiet">No note yet.</p>
    <ul>
      <li v-for="n in notes" :key="n.id" class="note py-2 border-t border-line">
        <a v-if="n.photo" :href="n.photo" target="_blank" rel="noopener"
          ><img :src="n.photo" :alt="n.text || `Photograph by ${n.author}`" loading="lazy"
        /></a>
        <p v-if="n.text" class="whitespace-pre-wrap">{{ n.text }}</p>
        <p class="flex items-baseline text-fine text-quiet">
          <span class="grow">{{
            [n.placement ? `of ${n.placement}` : '', n.author, when(n.at)].filter(Boolean).join(', ')
          }}</span><button
            v-if="n.author === session.name || session.may('LEAD')"
            class="underline"
            :aria-label="`Delete the note: ${n.text}`"
            @click="remove(n)"
          >
            delete
          </button>
        </p>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.note img {
  max-width: 100%;
  max-height: 220px;
  margin-bottom: 4px;
}
</style>
