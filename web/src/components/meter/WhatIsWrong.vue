<script setup lang="ts">
import { computed } from 'vue'
import { useRead } from '@/api/reads'
import WedgeMark from '@/components/marks/WedgeMark.vue'

/** What the readings of a rebuild say is wrong with it, how sure that is, and which reading would tell most. */
const props = defineProps<{ runId: number }>()
defineEmits<{ read: [line: string] }>()

const WORKING_MS = 1500
/** Rarer than this by chance it is said. */
const DOUBTFUL = 0.05
const { data: found, problem } = useRead('diagnosis', () => ({ runId: props.runId }), {
  everyMs: (now) => (now && !now.ready ? WORKING_MS : false),
})
const verdict = computed(() => {
  const now = found.value
  if (!now?.ready) return 'Working out what could be wrong and what it would read…'
  if (!now.read) return 'Nothing was read yet.'
  const read = now.read === 1 ? 'The one reading is' : `All ${now.read} readings are`
  if (now.asRecorded)
    return now.byChance < DOUBTFUL
      ? `Doubtful: a rebuild as recorded reads so far off one time in ${Math.round(1 / now.byChance)}. Read on before it is called off.`
      : `${read} as the record predicts, within what stands and meters spread.`
  return now.findings.length ? 'Not as recorded.' : 'Not as recorded, and nothing that is looked for explains it.'
})
</script>

<template>
  <section class="px-5 py-2" aria-label="What is wrong">
    <h2 class="text-lead">What the readings say</h2>
    <p v-if="problem" role="alert"><WedgeMark act class="mr-1 inline" /> {{ problem }}</p>
    <p v-else role="status">
      <WedgeMark v-if="found?.ready && !found.asRecorded" act class="mr-1 inline" /> {{ verdict }}
    </p>
    <ol v-if="found?.findings.length" class="mt-1">
      <li v-for="(f, i) in found.findings" :key="f.words.join()" class="flex gap-3 py-1 border-t border-line">
        <span class="flex-none w-24 text-quiet"
          >{{ f.likely ? 'likely' : 'possible' }} <span class="figure">{{ f.percent }} %</span></span
        >
        <span :class="{ 'font-strong': !i }">{{ f.words.join('; and ') }}.</span>
      </li>
    </ol>
    <div v-if="found?.next" class="flex flex-wrap gap-2.5 items-center mt-2">
      <p>
        <span class="text-quiet">{{ found.asRecorded ? 'Most would be told by' : 'To tell them apart read' }}</span>
        <b class="font-strong">{{ ` ${found.next}` }}</b>
      </p>
      <button v-if="found.nextLine" class="button" @click="$emit('read', found.nextLine)">Read it</button>
    </div>
    <p class="mt-1 text-small text-quiet">
      A model: one or two things wrong at a time, of those it looks for: off, level, curve, white, tint, filters,
      distance, height, aim, zoom, flags, cloths, light that nobody recorded. Shares are of what it looks for.
    </p>
  </section>
</template>
