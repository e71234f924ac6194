<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { RecallPreview } from '@/api/types'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { fixed } from '@/lib/print'
import { useShortcuts } from '@/lib/useShortcuts'
import { useConnection } from '@/stores/connection'
import { useOutput } from '@/stores/output'
import { useSession } from '@/stores/session'

/** What changes within the shot, one key a moment: its own number runs it, 0 goes back to the start. */
const props = defineProps<{ shotId: number; cues: RecallPreview['cues'] }>()
const output = useOutput()
const session = useSession()
const connection = useConnection()
const warned = ref(false)
const problem = ref('')

const live = computed(() => (output.now?.live?.shotId === props.shotId ? output.now.live : undefined))
const done = computed(() => live.value?.cue ?? 0)
const may = computed(() => !!live.value && session.may('PATCH') && !connection.lost)
const next = computed(() => props.cues[done.value])
const byHand = computed(() => props.cues[done.value - 1]?.byHand ?? [])
const flashes = computed(() => props.cues.some((c) => c.caution))
watch(
  () => props.shotId,
  () => (warned.value = false),
)

/** Keys that come while a cue is on its way: each is judged when the ones before it are done, and none is lost. */
let before: Promise<void> = Promise.resolve()

function run(number: number) {
  before = before.then(() => runNow(number))
}

async function runNow(number: number) {
  if (!may.value || number > props.cues.length) return
  const due = done.value + 1
  problem.value =
    number > due
      ? `${props.cues[number - 1]?.name} is cue ${number}: cue ${due}, ${next.value?.name}, comes first.`
      : ''
  if (problem.value) return
  if (!(await output.runCue(props.shotId, { number, warned: warned.value }))) problem.value = output.problem
}

useShortcuts((event) => {
  if (event.ctrlKey || event.metaKey || event.altKey || !/^[0-9]$/.test(event.key) || !may.value) return false
  run(Number(event.key))
  return true
})
</script>

<template>
  <section class="border-b border-line px-4 py-2.5" aria-label="Cues">
    <div class="flex flex-wrap items-stretch gap-2">
      <button class="button cue" :disabled="!may || !done" @click="run(done - 1)">
        <span class="block font-strong">Back</span
        ><span class="block text-fine text-quiet">{{
          done > 1 ? `to after ${cues[done - 2]?.name}` : 'to the start'
        }}</span>
      </button>
      <button
        v-for="c in cues"
        :key="c.key"
        class="button cue"
        :class="{ 'button-main': c === next, past: c.number <= done }"
        :disabled="!may || c.number > done + 1"
        :aria-current="c.number === done ? 'step' : undefined"
        @click="run(c.number)"
      >
        <span class="block font-strong"
          ><kbd class="mr-1">{{ c.number }}</kbd
          >{{ c.name }}</span
        >
        <span class="block text-fine">{{ c.moment }}, {{ fixed(c.lastsS, 1) }} s</span>
        <span v-for="s in c.steps" :key="s" class="block text-fine">{{ s }}</span>
        <span v-for="s in c.byHand" :key="s" class="block text-fine">by hand: {{ s }}</span>
      </button>
    </div>
    <p v-if="!live" class="mt-1 text-quiet">Recall the shot; then its cues run, each by its own number key.</p>
    <p v-else-if="byHand.length" role="status" class="mt-1">
      <WedgeMark act /> At the head, now: {{ byHand.join('; ') }}.
    </p>
    <template v-for="c in cues" :key="c.key">
      <p v-if="c.caution" class="mt-1 flex gap-2"><WedgeMark act /> {{ c.name }}: {{ c.caution }}</p>
    </template>
    <label v-if="flashes" class="flex min-h-8 items-center gap-2"
      ><input v-model="warned" type="checkbox" /> Cast and crew are warned of the cues that flash</label
    >
    <p v-if="problem" role="alert" class="mt-1 flex gap-2"><WedgeMark act /> {{ problem }}</p>
  </section>
</template>

<style scoped>
.button.cue {
  display: grid;
  justify-items: start;
  align-content: start;
  height: auto;
  min-height: 52px;
  max-width: 280px;
  padding: 6px 12px;
  text-align: left;
  white-space: normal;
}
.button.past {
  color: var(--quiet);
}
</style>
