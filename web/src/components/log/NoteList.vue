<script setup lang="ts">
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { call, sentence } from '@/api/client'
import type { Note } from '@/api/types'
import { when } from '@/lib/words'
import { useConnection } from '@/stores/connection'
import { useOutbox } from '@/stores/outbox'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { useSession } from '@/stores/session'

/** Notes and photographs of a shot, of a thing in it, or of a set. */
const props = defineProps<{
  /** Address of what they are of: `/api/shots/3`. */ base: string
  name: string
  things?: { key: string; name: string }[]
  /** Key of the thing that is looked at. */ chosen?: string
}>()
const session = useSession()
const outbox = useOutbox()
const connection = useConnection()
const LARGEST_MB = 15
const all = ref<Note[]>([])
const error = ref('')
const text = ref('')
const of = ref('')
const busy = ref(false)
const file = ref<HTMLInputElement>()
const may = computed(() => session.may('NOTE'))
const waiting = computed(() => outbox.waiting.filter((w) => w.path.startsWith(`${props.base}/notes`)))
const chosenName = computed(() => props.things?.find((t) => t.key === props.chosen)?.name)
const notes = computed(() => (chosenName.value ? all.value.filter((n) => n.placement === chosenName.value) : all.value))

async function load() {
  const base = props.base
  try {
    const answer = await call<{ notes: Note[] }>('GET', `${base}/notes`)
    if (base === props.base) all.value = answer.notes
  } catch (failure) {
    error.value = sentence(failure)
  }
}
watch([() => props.base, () => outbox.sent], load, { immediate: true })
watch(
  () => props.chosen,
  (key) => (of.value = key ?? ''),
  { immediate: true },
)
onBeforeUnmount(connection.onChanged(['NOTES'], () => void load()))
onBeforeUnmount(connection.onReconnect(() => void load()))

async function attempt(action: () => Promise<unknown>) {
  if (busy.value) return
  busy.value = true
  try {
    await action()
    error.value = ''
    await load()
  } catch (failure) {
    error.value = sentence(failure)
  } finally {
    busy.value = false
  }
}
const query = () => (of.value ? `?placement=${of.value}` : '')
const add = () =>
  attempt(async () => {
    await outbox.send({
      method: 'POST',
      path: `${props.base}/notes${query()}`,
      body: { text: text.value },
      label: `note in ${props.name}: ${text.value}`,
    })
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
    await call('POST', `${props.base}/photos${query()}${query() ? '&' : '?'}text=${encodeURIComponent(text.value)}`, {
      body: photo,
    })
    text.value = ''
  }).finally(() => file.value && (file.value.value = ''))
}
const remove = (note: Note) => attempt(() => call('DELETE', `/api/notes/${note.id}`))
</script>

<template>
  <section aria-label="Notes and photographs">
    <h2 class="mb-1 text-[15px]">Notes and photographs</h2>
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
    <p v-if="error" role="alert" class="mb-2 flex gap-2"><WedgeMark act />{{ error }}</p>
    <p v-for="w in waiting" :key="w.idempotencyKey" class="text-[12px]">
      waits to be sent: {{ (w.body as { text: string }).text }}
    </p>
    <p v-if="!notes.length && !waiting.length" class="text-quiet">No note yet.</p>
    <ul>
      <li v-for="n in notes" :key="n.id" class="note">
        <a v-if="n.photo" :href="n.photo" target="_blank" rel="noopener"
          ><img :src="n.photo" :alt="n.text || `Photograph by ${n.author}`" loading="lazy"
        /></a>
        <p v-if="n.text" class="whitespace-pre-wrap">{{ n.text }}</p>
        <p class="flex items-baseline text-[11px] text-quiet">
          <span class="grow">{{
            [n.placement ? `of ${n.placement}` : '', n.author, when(n.at)].filter(Boolean).join(', ')
          }}</span><button
            v-if="n.author === session.name"
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
.note {
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
.note img {
  max-width: 100%;
  max-height: 220px;
  margin-bottom: 4px;
}
</style>
