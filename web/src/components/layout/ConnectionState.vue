<script setup lang="ts">
import { computed, ref } from 'vue'
import { reasonName, wantedWords, when } from '@/lib/words'
import { useConnection } from '@/stores/connection'
import { useOutbox, type OutboxItem } from '@/stores/outbox'
import { useSettings } from '@/stores/settings'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'

/** Whether the line to the server stands, what waits to be sent, and what has to be decided. */
const connection = useConnection()
const outbox = useOutbox()
const settings = useSettings()
const open = ref(false)

const text = computed(() => {
  if (outbox.conflicts.length) return `${outbox.conflicts.length} to decide`
  const waits = outbox.unsent.length ? `, ${outbox.unsent.length} ${outbox.unsent.length === 1 ? 'waits' : 'wait'}` : ''
  if (outbox.unkept && connection.lost) return `no line, device full${waits}`
  if (connection.lost) return `no line${waits}`
  if (outbox.unsent.length) return `sending ${outbox.unsent.length}`
  return connection.live ? 'live' : 'connecting'
})
function mine({ intent, label }: OutboxItem) {
  if (intent.kind !== 'value') return label
  const { wanted } = intent
  if (!wanted) return 'carried again'
  return wantedWords(wanted)
}
</script>

<template>
  <button
    class="line inline-flex items-center gap-1.5 min-h-7 px-2 text-small whitespace-nowrap text-quiet rounded-mark pointer-coarse:min-h-11"
    :class="{ lost: connection.lost || outbox.conflicts.length }"
    aria-live="polite"
    :aria-label="`The line: ${text}`"
    @click="open = true"
  >
    <WedgeMark v-if="connection.lost || outbox.conflicts.length" :act="outbox.conflicts.length > 0" /><span
      v-else
      class="dot"
      :class="{ off: !connection.live }"
    />{{ text }}
  </button>
  <BaseDialog :open="open" title="The line to the server" @close="open = false">
    <p class="mb-3">
      <template v-if="connection.lost"
        >There is no line. You can go on: what was open can be read, and what you record waits here and is sent, once
        each, when the line stands again.</template
      >
      <template v-else-if="connection.live"
        >The line stands.
        {{
          connection.others.length
            ? `Also here: ${[...new Set(connection.others.map((p) => p.person))].join(', ')}.`
            : 'Nobody else is here.'
        }}</template
      >
      <template v-else>Connecting…</template>
    </p>
    <p v-if="outbox.unkept" role="alert" class="mb-3 flex gap-2">
      <WedgeMark act class="mt-1 flex-none" />This device has no room: {{ outbox.unkept }} of what waits
      {{ outbox.unkept === 1 ? 'is' : 'are' }} in this page alone. Do not close it before the line stands; take fewer
      photographs, or make room on the device.
    </p>
    <section v-for="w in outbox.conflicts" :key="w.idempotencyKey" class="mb-3 border-t border-line pt-2">
      <b class="font-strong">{{ w.label }}</b>
      <template v-if="w.current">
        <p class="mb-2">Someone changed this meanwhile. Choose which holds.</p>
        <dl class="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
          <dt class="text-quiet">theirs</dt>
          <dd>
            <span class="figure">{{ settings.printed(w.current.say) }}</span>{{ ' ' }}
            <span class="text-small text-quiet">{{
              [reasonName(w.current.reason), w.current.author, when(w.current.at)].filter(Boolean).join(', ')
            }}</span>
          </dd>
          <dt class="text-quiet">yours</dt>
          <dd class="figure">{{ mine(w) }}</dd>
        </dl>
      </template>
      <p v-else>{{ w.problem }}</p>
      <div class="mt-2 flex gap-2">
        <button class="button" @click="outbox.drop(w)">{{ w.current ? 'Take theirs' : 'Let it go' }}</button>
        <button class="button" @click="outbox.overwrite(w)">
          {{ w.current ? 'Put mine on top' : 'Send it again' }}
        </button>
      </div>
    </section>
    <template v-if="outbox.unsent.length">
      <h3 class="group-title">Waits to be sent</h3>
      <ul>
        <li v-for="w in outbox.unsent" :key="w.idempotencyKey">
          {{ w.label }}<span v-if="w.intent.kind === 'value'" class="figure text-quiet">, {{ mine(w) }}</span>
        </li>
      </ul>
    </template>
    <template #buttons><button class="button button-main" @click="open = false">Close</button></template>
  </BaseDialog>
</template>

<style scoped>
.line:hover {
  background: var(--raised);
}
.line.lost {
  color: var(--ink);
  font-weight: var(--font-weight-strong);
}
.line :deep(svg) {
  margin-top: 0;
}
.dot {
  flex: none;
  width: 6px;
  height: 6px;
  border-radius: 50%;
  background: currentColor;
}
.dot.off {
  background: none;
  border: 1px solid currentColor;
}
</style>
