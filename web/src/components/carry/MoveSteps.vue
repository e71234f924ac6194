<script setup lang="ts">
import { computed } from 'vue'
import type { MoveStep, Moves } from '@/api/types'
import { plain } from '@/lib/print'
import { DEPARTMENTS } from '@/lib/words'
import { useMoves } from '@/stores/moves'
import { useSession } from '@/stores/session'
import { useSettings } from '@/stores/settings'

/** The moves by who does them, in the order in which they are begun, to be ticked off. */
const props = defineProps<{ moves: Moves; /** Fewer words, for the gap on the board. */ brief?: boolean }>()
const store = useMoves()
const settings = useSettings()
const session = useSession()

const groups = computed(() =>
  DEPARTMENTS.flatMap((d) => {
    const steps = props.moves.moves.filter((m) => m.department === d.key)
    const spent = props.moves.departments.find((s) => s.department === d.key)
    return steps.length ? [{ ...d, steps, work: spent?.work ?? 0 }] : []
  }),
)

function name(d: string) {
  return d.charAt(0).toUpperCase() + d.slice(1)
}
/** Which other departments a move waits for: one's own list is in order anyway. */
function waits(step: MoveStep) {
  const others = props.moves.moves.filter((m) => step.after.includes(m.key) && m.department !== step.department)
  return [...new Set(others.map((m) => DEPARTMENTS.find((d) => d.key === m.department)?.name))].join(', ')
}
</script>

<template>
  <p v-if="!moves.moves.length" class="text-quiet">Nothing to do: the two are lit alike.</p>
  <section v-for="g in groups" :key="g.key" class="group mt-2">
    <h3 class="flex justify-between border-t border-quiet pt-1">
      <span class="font-strong">{{ name(g.name) }}</span><span
        ><span class="figure">{{ plain(g.work, 1) }}</span
        ><span class="unit">min</span></span
      >
    </h3>
    <ul>
      <li v-for="m in g.steps" :key="m.key">
        <label
          class="step flex gap-2 py-0.75 cursor-pointer text-small leading-[16px]"
          :class="{ done: store.isDone(m) }"
        >
          <input type="checkbox" :checked="store.isDone(m)" :disabled="!session.may('NOTE')" @change="store.tick(m)" />
          <span class="min-w-0 grow">
            {{ settings.printed(m.words) }}
            <span v-if="store.waiting.has(m.key)" class="block text-fine">waits to be sent</span>
            <span v-else-if="m.done" class="block text-fine text-quiet"
              >{{ m.done.changedSince ? 'reads differently since it was ticked by' : 'done by' }}
              {{ m.done.author }}</span
            >
            <span v-if="!brief && waits(m)" class="block text-fine text-quiet">after {{ waits(m) }}</span>
            <template v-if="!brief"
              ><span v-for="c in m.cautions" :key="c" class="block text-fine">{{ c }}</span></template
            >
            <span v-else-if="m.cautions.some((c) => c.startsWith('The way'))" class="block text-fine">{{
              m.cautions.find((c) => c.startsWith('The way'))
            }}</span>
          </span>
          <span class="shrink-0 text-quiet"
            ><span class="figure">{{ plain(m.minutes, 1) }}</span
            ><span class="unit">min</span></span
          >
        </label>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.step input {
  margin-top: 2px;
  flex: none;
}
.step.done {
  color: var(--quiet);
  text-decoration: line-through;
}
.big .step {
  min-height: 48px;
  padding: 10px 0;
  font-size: var(--text-lead);
  line-height: 20px;
  border-bottom: 1px solid var(--line);
}
.big .step input {
  width: 24px;
  height: 24px;
}
</style>
