<script setup lang="ts">
import { computed } from 'vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import type { CountedLine } from '@/lib/usePullList'
import { useSettings } from '@/stores/settings'

/** The lines of a pull list by case: one tap counts all of a line, the signs beside it one more or less. */
const props = defineProps<{ lines: CountedLine[]; back: boolean; editable: boolean }>()
const emit = defineEmits<{
  count: [line: CountedLine, out: number, back: number]
  settle: [line: CountedLine, mine: boolean]
}>()
const settings = useSettings()
const groups = computed(() => {
  const by = new Map<string, CountedLine[]>()
  for (const l of props.lines) by.set(l.item.packedIn ?? '', [...(by.get(l.item.packedIn ?? '') ?? []), l])
  return [...by].map(([name, lines]) => ({ name, lines }))
})
const of = (l: CountedLine) => (props.back ? l.out : l.wanted)
const now = (l: CountedLine) => (props.back ? l.back : l.out)
const called = (l: CountedLine) => [l.item.unit, settings.printed(l.item.what)].filter(Boolean).join(', ')
function to(line: CountedLine, number: number) {
  const n = Math.max(0, number)
  if (props.back) emit('count', line, line.out, Math.min(n, line.out))
  else emit('count', line, n, Math.min(line.back, n))
}
const all = (l: CountedLine) => to(l, now(l) >= of(l) ? 0 : of(l))
</script>

<template>
  <section v-for="g in groups" :key="g.name" :aria-label="g.name || 'In no case'">
    <h2 class="border-b border-line bg-panel px-4 py-1 text-small text-quiet">{{ g.name || 'in no case' }}</h2>
    <ul>
      <li v-for="l in g.lines" :key="l.id" class="border-b border-line" :data-line="called(l)">
        <div class="flex items-stretch">
          <button
            class="row"
            :disabled="!editable || (back && !l.out)"
            :aria-pressed="of(l) > 0 && now(l) >= of(l)"
            :aria-label="`${called(l)}: ${now(l)} of ${of(l)} ${back ? 'back' : 'out'}`"
            @click="all(l)"
          >
            <svg width="26" height="26" viewBox="0 0 26 26" aria-hidden="true" class="flex-none">
              <rect x="1" y="1" width="24" height="24" :class="{ full: of(l) > 0 && now(l) >= of(l) }" />
              <rect v-if="now(l) > 0 && now(l) < of(l)" x="1" y="13" width="24" height="12" class="full" />
              <path v-if="of(l) > 0 && now(l) >= of(l)" d="M6 13L11 18L20 8" />
            </svg>
            <span class="min-w-0 flex-1 text-left"
              ><b class="text-lead font-strong">{{ l.item.unit ?? settings.printed(l.item.what) }}</b>
              <span v-if="l.item.tag" class="figure ml-2 text-small text-quiet">{{ l.item.tag }}</span><span
                class="block truncate text-small text-quiet"
                >{{ l.item.unit ? `${settings.printed(l.item.what)}. ` : '' }}{{ l.item.forWhat }}</span
              ></span
            >
            <span class="figure text-title"
              >{{ now(l) }}<span class="unit">of {{ of(l) }}</span></span
            >
          </button>
          <span v-if="l.wanted > 1 || l.out > 1" class="flex flex-none">
            <button
              class="step"
              :disabled="!editable || now(l) === 0"
              :aria-label="`One ${called(l)} less`"
              @click="to(l, now(l) - 1)"
            >
              −
            </button>
            <button
              class="step"
              :disabled="!editable || (back && now(l) >= l.out)"
              :aria-label="`One ${called(l)} more`"
              @click="to(l, now(l) + 1)"
            >
              +
            </button>
          </span>
        </div>
        <p v-if="l.clash" class="flex flex-wrap items-center gap-2 px-4 pb-2" role="alert">
          <WedgeMark act /><span class="min-w-0 flex-1">{{ l.clash.problem }}</span>
          <button class="button" @click="$emit('settle', l, false)">Theirs holds</button>
          <button class="button" @click="$emit('settle', l, true)">Mine holds</button>
        </p>
        <p v-else-if="l.waits" class="px-4 pb-1 text-small text-quiet" role="status">waits to be sent</p>
        <p v-else-if="back && l.missing" class="px-4 pb-1 text-small text-quiet">{{ l.missing }} not back</p>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.row {
  display: flex;
  align-items: center;
  gap: 12px;
  flex: 1;
  min-width: 0;
  min-height: 56px;
  padding: 6px 12px 6px 16px;
}
.row:disabled {
  opacity: 0.6;
}
.step {
  width: 48px;
  border-left: 1px solid var(--line);
  font-size: var(--text-head);
}
.step:disabled {
  color: var(--quiet);
}
rect {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.4;
}
rect.full {
  fill: var(--ink);
}
path {
  fill: none;
  stroke: var(--ground);
  stroke-width: 2.4;
}
</style>
