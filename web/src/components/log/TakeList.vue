<script setup lang="ts">
import { computed, ref } from 'vue'
import { answer, api, onVersion } from '@/api/client'
import { outdate } from '@/api/reads'
import type { Take } from '@/api/types'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { useSubmit } from '@/lib/useSubmit'
import { when } from '@/lib/words'
import { useOutbox } from '@/stores/outbox'
import { useSession } from '@/stores/session'

/** The takes of a shot: number, time, a note, circled or not. */
const props = defineProps<{ shotId: number; takes: Take[] }>()
const session = useSession()
const outbox = useOutbox()
const note = ref('')
const { busy, error, submit } = useSubmit()
const may = computed(() => session.may('NOTE'))
const next = computed(() => 1 + Math.max(0, ...props.takes.map((t) => t.number)))
const waiting = computed(
  () => outbox.waiting.filter(({ intent }) => intent.kind === 'take' && intent.shotId === props.shotId).length,
)

function attempt(action: () => Promise<unknown>) {
  return submit(async () => {
    await action()
    await outdate({ topics: ['TAKES'] })
  })
}
const add = () =>
  attempt(async () => {
    const body = { note: note.value || undefined, circled: false }
    await outbox.send({ kind: 'take', shotId: props.shotId, body }, `take ${next.value}`)
    note.value = ''
  })
const at = ({ id, version }: Take) => ({ path: { id }, header: onVersion(version) })
const change = (take: Take, to: Partial<Take>) => {
  const body = { number: take.number, note: take.note, circled: take.circled, ...to }
  return attempt(() => answer(api.PUT('/api/takes/{id}', { params: at(take), body })))
}
const remove = (take: Take) => attempt(() => answer(api.DELETE('/api/takes/{id}', { params: at(take) })))
</script>

<template>
  <section class="mb-6" aria-label="Takes">
    <h2 class="mb-1 text-lead">Takes</h2>
    <p v-if="error" role="alert" class="mb-2 flex gap-2"><WedgeMark act />{{ error }}</p>
    <p v-if="!takes.length" class="text-quiet">No take yet.</p>
    <ol>
      <li v-for="t in takes" :key="t.id" class="take flex items-center gap-2.5 min-h-11 border-b border-line">
        <button
          class="number"
          :class="{ circled: t.circled }"
          :disabled="!may"
          :aria-pressed="t.circled"
          :aria-label="`Take ${t.number}, ${t.circled ? 'circled' : 'not circled'}`"
          :title="t.circled ? 'Not circled after all' : 'Circle it'"
          @click="change(t, { circled: !t.circled })"
        >
          {{ t.number }}
        </button>
        <span class="min-w-0 grow"
          ><input
            class="note w-full bg-transparent"
            :value="t.note"
            :disabled="!may"
            maxlength="500"
            placeholder="note"
            :aria-label="`Note of take ${t.number}`"
            @change="change(t, { note: ($event.target as HTMLInputElement).value })"
          /><span class="block text-fine text-quiet">{{ t.author }}, {{ when(t.at) }}</span></span
        >
        <button v-if="may" class="x w-7 h-7 text-quiet" :aria-label="`Delete take ${t.number}`" @click="remove(t)">
          ×
        </button>
      </li>
    </ol>
    <p v-if="waiting" class="text-small">{{ waiting }} {{ waiting === 1 ? 'take waits' : 'takes wait' }} to be sent.</p>
    <form v-if="may" class="mt-2 flex gap-2" @submit.prevent="add">
      <input
        v-model="note"
        class="field"
        maxlength="500"
        placeholder="note, if any"
        aria-label="Note of the next take"
      />
      <button class="button" type="submit" :disabled="busy">Take {{ next }}</button>
    </form>
  </section>
</template>

<style scoped>
.number {
  flex: none;
  width: 32px;
  height: 32px;
  border-radius: 50%;
  border: 1.6px solid transparent;
  font: 500 var(--text-title) var(--font-mono);
}
.number:hover:not(:disabled) {
  border-color: var(--line);
}
.number.circled {
  border-color: var(--ink);
}
</style>
