<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRead, type AnswerOf } from '@/api/reads'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { useSession } from '@/stores/session'
import { useSettings } from '@/stores/settings'
import SpreadDialog from './SpreadDialog.vue'

/** What the readings of a rebuild say is wrong with it, how sure that is, and which reading would tell most. */
const props = defineProps<{ runId: number; kept?: AnswerOf<'diagnosis'> }>()
defineEmits<{ read: [line: string] }>()

const WORKING_MS = 1500
const session = useSession()
const settings = useSettings()
const changing = ref(false)
const { data, problem } = useRead('diagnosis', () => (props.kept ? undefined : { runId: props.runId }), {
  everyMs: (now) => (now && !now.ready ? WORKING_MS : false),
})
const found = computed(() => props.kept ?? data.value)
</script>

<template>
  <section class="px-5 py-2" aria-label="What is wrong">
    <h2 class="text-lead">What the readings say</h2>
    <p v-if="problem" role="alert"><WedgeMark act class="mr-1 inline" /> {{ problem }}</p>
    <p v-else role="status">
      <WedgeMark v-if="found?.ready && !found.asRecorded" act class="mr-1 inline" /> {{ found?.said ?? 'Looking…' }}
    </p>
    <ol v-if="found?.findings.length" class="mt-1">
      <li v-for="(f, i) in found.findings" :key="f.words.join()" class="flex gap-3 py-1 border-t border-line">
        <span class="flex-none w-24 text-quiet"
          >{{ f.likely ? 'likely' : 'possible' }} <span class="figure">{{ f.percent }} %</span></span
        >
        <span
          ><span :class="{ 'font-strong': !i }">{{ f.words.join('; and ') }}.</span
          ><span v-if="!kept && found.nextLine && f.nextWouldRead" class="block text-quiet"
            >{{ found.nextLine.trim() }} would read
            <span class="figure">{{ settings.printed(f.nextWouldRead) }}</span></span
          ></span
        >
      </li>
    </ol>
    <div v-if="!kept && found?.next" class="flex flex-wrap gap-2.5 items-center mt-2">
      <p>
        <span class="text-quiet">{{ found.asRecorded ? 'Most would be told by' : 'To tell them apart read' }}</span>
        <b class="font-strong">{{ ` ${found.next}` }}</b>
      </p>
      <button v-if="found.nextLine" class="button" @click="$emit('read', found.nextLine)">Read it</button>
    </div>
    <p class="mt-1 text-small text-quiet">
      A model: one or two things wrong at a time, of those it looks for: off, level, curve, white, tint, filters,
      distance, height, aim, zoom, flags, cloths, light that nobody recorded. Shares are of what it looks for.
      <template v-if="found"
        >A light that is put back strays {{ found.spread.light.stops }} stop, {{ found.spread.light.mired }} mired; one
        that was never metered alone {{ found.spread.unmetered.stops }} stop more; a meter
        {{ found.spread.meter.stops }} stop, {{ found.spread.meter.mired }} mired.
        <button v-if="!kept && session.may('EDIT')" class="underline" @click="changing = true">
          Change how far…
        </button></template
      >
    </p>
    <SpreadDialog
      v-if="found && changing"
      open
      :spread="found.spread"
      :production-id="found.productionId"
      @close="changing = false"
    />
  </section>
</template>
