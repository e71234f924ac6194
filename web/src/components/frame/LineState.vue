<script setup lang="ts">
import { computed, ref } from 'vue'
import { reasonName, when, words } from '@/lib/words'
import { useLine } from '@/stores/line'
import { useQueue, type Waiting } from '@/stores/queue'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'

/** Whether the line to the server stands, what waits to be sent, and what has to be decided. */
const line = useLine()
const queue = useQueue()
const open = ref(false)

const text = computed(() => {
  if (queue.open.length) return `${queue.open.length} to decide`
  const waits = queue.unsent.length ? `, ${queue.unsent.length} ${queue.unsent.length === 1 ? 'waits' : 'wait'}` : ''
  if (line.lost) return `no line${waits}`
  if (queue.unsent.length) return `sending ${queue.unsent.length}`
  return line.live ? 'live' : 'connecting'
})
function mine(w: Waiting) {
  return w.wish ? (w.wish.text ?? words(w.wish.value)) : w.label
}
</script>

<template>
  <button class="line" :class="{ lost: line.lost || queue.open.length }" aria-live="polite" :aria-label="`The line: ${text}`" @click="open = true">
    <WedgeMark v-if="line.lost || queue.open.length" :act="queue.open.length > 0" /><span v-else class="dot" :class="{ off: !line.live }" />{{ text }}
  </button>
  <BaseDialog :open="open" title="The line to the server" @close="open = false">
    <p class="mb-3">
      <template v-if="line.lost">There is no line. You can go on: what was open can be read, and what you record waits here and is sent, once each, when the line stands again.</template>
      <template v-else-if="line.live">The line stands. {{ line.others.length ? `Also here: ${[...new Set(line.others.map((p) => p.person))].join(', ')}.` : 'Nobody else is here.' }}</template>
      <template v-else>Connecting…</template>
    </p>
    <section v-for="w in queue.open" :key="w.once" class="mb-3 border-t border-line pt-2">
      <b class="font-[650]">{{ w.label }}</b>
      <template v-if="w.theirs">
        <p class="mb-2">Someone changed this meanwhile. Choose which holds.</p>
        <dl class="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
          <dt class="text-quiet">theirs</dt>
          <dd><span class="figure">{{ w.theirs.say }}</span> <span class="text-[12px] text-quiet">{{ [reasonName(w.theirs.reason), w.theirs.author, when(w.theirs.at)].filter(Boolean).join(', ') }}</span></dd>
          <dt class="text-quiet">yours</dt>
          <dd class="figure">{{ mine(w) }}</dd>
        </dl>
      </template>
      <p v-else>{{ w.problem }}</p>
      <div class="mt-2 flex gap-2">
        <button class="button" @click="queue.drop(w)">{{ w.theirs ? 'Take theirs' : 'Let it go' }}</button>
        <button class="button" @click="queue.putOnTop(w)">{{ w.theirs ? 'Put mine on top' : 'Send it again' }}</button>
      </div>
    </section>
    <template v-if="queue.unsent.length">
      <h3 class="group-title">Waits to be sent</h3>
      <ul><li v-for="w in queue.unsent" :key="w.once">{{ w.label }}<span v-if="w.wish" class="figure text-quiet">, {{ mine(w) }}</span></li></ul>
    </template>
    <template #buttons><button class="button button-main" @click="open = false">Close</button></template>
  </BaseDialog>
</template>

<style scoped>
.line {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  min-height: 28px;
  padding: 0 8px;
  font-size: 12px;
  white-space: nowrap;
  color: var(--quiet);
  border-radius: 3px;
}
.line:hover {
  background: var(--raised);
}
.line.lost {
  color: var(--ink);
  font-weight: 650;
}
.line :deep(svg) {
  margin-top: 0;
}
.dot {
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
