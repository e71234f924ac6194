<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRead } from '@/api/reads'
import ShotPage from '@/components/layout/ShotPage.vue'
import CheatFlag from '@/components/marks/CheatFlag.vue'
import DotMark from '@/components/marks/DotMark.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import JudgeByDialog from '@/components/match/JudgeByDialog.vue'
import MatchTable from '@/components/match/MatchTable.vue'
import ReadThrough from '@/components/match/ReadThrough.vue'
import { onPaper, type Action } from '@/lib/actions'
import { useBook } from '@/stores/book'
import { useSession } from '@/stores/session'

/** Whether every shot of the scene, and every rebuilt one, is in the same light as the one it is to match. */
const props = defineProps<{ shotId: number }>()
defineEmits<{ spine: [] }>()
const book = useBook()
const session = useSession()
const asking = ref(false)
const {
  data: report,
  problem,
  show,
} = useRead('match', () => {
  const sceneId = book.sceneOf(props.shotId)
  return sceneId === undefined ? undefined : { sceneId }
})

const editable = computed(() => session.may('EDIT'))
const quiet = computed(() =>
  [...(report.value?.shots ?? []), ...(report.value?.runs ?? [])].flatMap((judged) =>
    judged.lines.flatMap((line) =>
      line.waiver && line.verdict === 'WAIVED' ? [{ judged, line, why: line.waiver }] : [],
    ),
  ),
)
const actions = computed((): Action[] =>
  report.value
    ? [
        onPaper([{ name: 'Match report', path: `/api/scenes/${report.value.sceneId}/paper/match` }]),
        ...(editable.value ? [{ name: 'Judge by…', run: () => (asking.value = true) }] : []),
      ]
    : [],
)
</script>

<template>
  <ShotPage :shot-id="shotId" :actions="actions" @spine="$emit('spine')">
    <div v-if="report" class="body flex-1 min-h-0 overflow-auto">
      <header class="head pt-3 pb-2 px-5">
        <h1 class="text-head">Match, scene {{ report.scene.number }} against {{ report.reference }}</h1>
        <p class="text-lead">{{ report.summary }}</p>
        <p class="text-small text-quiet">
          Ratio is {{ report.schoolLabel }}. What is not metered is predicted, by a model. Percents on the monitor are
          read <ReadThrough :scene-id="report.sceneId" />
        </p>
      </header>
      <p v-if="problem" role="alert" class="px-5"><WedgeMark act class="mr-1 inline" /> {{ problem }}</p>
      <MatchTable :report="report" :shot-id="shotId" :editable="editable" @changed="show" />
      <ul v-if="quiet.length" class="quiet py-2.5 px-5 border-b border-line" aria-label="Explained">
        <li v-for="q in quiet" :key="`${q.judged.slate} ${q.judged.run?.id}` + q.line.aspect">
          <CheatFlag v-if="q.why.cause === 'CHEAT'" /><DotMark v-else class="mt-1.5" />{{ ' ' }}
          <span
            ><b class="font-strong">{{ q.judged.slate }}, {{ q.line.label }}.</b> {{ q.why.reason }}
            <span class="text-quiet"
              >{{ q.why.cause === 'CHEAT' ? 'Called a cheat' : 'Right by eye' }} by {{ q.why.author }}. The check keeps
              quiet about it.</span
            ></span
          >
        </li>
      </ul>
      <JudgeByDialog :open="asking" :report="report" @close="asking = false" @kept="show" />
    </div>
    <p v-else class="m-auto text-quiet" role="status">{{ problem || 'Comparing the shots…' }}</p>
  </ShotPage>
</template>

<style scoped>
.quiet li {
  display: flex;
  gap: 8px;
  padding: 2px 0;
}
</style>
