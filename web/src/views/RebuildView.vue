<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import type { Rebuild } from '@/api/types'
import ViewTabs from '@/components/layout/ViewTabs.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import HungHere from '@/components/rebuild/HungHere.vue'
import DeviationDialog from '@/components/rebuild/DeviationDialog.vue'
import PhoneHead from '@/components/rebuild/PhoneHead.vue'
import RunDialog from '@/components/rebuild/RunDialog.vue'
import StepCard from '@/components/rebuild/StepCard.vue'
import StepList from '@/components/rebuild/StepList.vue'
import StepPhotographs from '@/components/rebuild/StepPhotographs.vue'
import StepNotices from '@/components/rebuild/StepNotices.vue'
import TapeDialog from '@/components/rebuild/TapeDialog.vue'
import { onPaper, type Action } from '@/lib/actions'
import { keepOpenStep } from '@/lib/openStep'
import { roleOf, useRebuild } from '@/lib/useRebuild'
import { useShortcuts } from '@/lib/useShortcuts'
import { when } from '@/lib/words'

/** The rebuild sheet: one step at a time, very large; the whole sheet beside it where there is room. */
const props = defineProps<{ shotId: number; runId?: number }>()
defineEmits<{ spine: [] }>()

const router = useRouter()
const rebuild = useRebuild(() => ({ shotId: props.shotId, run: props.runId }))
const { sheet, at, step, next, done, error, busy } = rebuild
const dialog = ref<'run' | 'otherwise' | 'tapes'>()
const body = ref<HTMLElement>()
watch(at, () => body.value?.scrollTo({ top: 0 }))
watch(
  step,
  (now) =>
    now &&
    keepOpenStep({
      shotId: props.shotId,
      runId: sheet.value?.run?.id,
      placement: now.placed.placement.key,
      name: now.placed.placement.name,
      slate: sheet.value?.slate ?? '',
    }),
)

const actions = computed((): Action[] => [
  onPaper([
    {
      name: 'Rebuild sheet',
      path: `/api/shots/${props.shotId}/paper/rebuild${sheet.value?.run ? `?run=${sheet.value.run.id}` : ''}`,
    },
    { name: 'Shot sheet', path: `/api/shots/${props.shotId}/paper/sheet` },
  ]),
  { name: 'Rebuild anew…', disabled: !sheet.value, run: () => (dialog.value = 'run') },
])

function kept(now: Rebuild) {
  rebuild.show(now)
  dialog.value = undefined
}

async function begun(now: Rebuild) {
  dialog.value = undefined
  at.value = 0
  await router.push({ name: 'rebuild', params: { id: props.shotId }, query: { run: now.run?.id } })
}

function choose(id: string) {
  void router.push({ name: 'rebuild', params: { id: props.shotId }, query: id ? { run: id } : {} })
}

useShortcuts((event) => {
  if (dialog.value || (event.target instanceof HTMLElement && event.target.matches('button, a'))) return false
  if (event.key === ' ') void rebuild.tick()
  else if (event.key === 'ArrowRight' && next.value) at.value++
  else if (event.key === 'ArrowLeft' && at.value) at.value--
  else return false
  return true
})
</script>

<template>
  <div class="view">
    <ViewTabs :shot-id="shotId" :actions="actions" class="phone:hidden" />
    <div v-if="sheet && !sheet.steps.length" class="m-auto max-w-sm p-6 text-center">
      <template v-if="sheet.run && sheet.stands.length">
        <p class="text-lead">
          All of {{ sheet.slate }} stands already, as it did in {{ sheet.run.from }}.<template v-if="sheet.out.length">
            Take out: {{ sheet.out.join(', ') }}.</template
          >
          Now the meter.
        </p>
        <RouterLink class="button mt-3" :to="{ name: 'verdict', params: { run: sheet.run.id } }"
          >Meter and verdict</RouterLink
        >
      </template>
      <template v-else>
        <p class="text-lead">
          Nothing stands in {{ sheet.slate }} yet. Place something on its plot, then come back for the steps.
        </p>
        <RouterLink class="button mt-3" :to="{ name: 'plot', params: { id: shotId } }">To the plot</RouterLink>
      </template>
    </div>
    <div
      v-else-if="sheet && step"
      class="body flex-1 min-h-0 grid grid-cols-[320px_minmax(0,1fr)] phone:grid-cols-[minmax(0,1fr)]"
    >
      <StepList
        v-model:at="at"
        :sheet="sheet"
        :rebuild="{ isDone: rebuild.isDone, done }"
        :shot-id="shotId"
        @choose="choose"
      />
      <section class="flex flex-col min-h-0">
        <PhoneHead
          :sheet="sheet"
          :rebuild="rebuild"
          :shot-id="shotId"
          :at="at"
          @choose="choose"
          @anew="dialog = 'run'"
          @spine="$emit('spine')"
        />
        <div ref="body" class="scroll flex-1 min-h-0 overflow-y-auto">
          <StepNotices :sheet="sheet" :step="step" :shot-id="shotId" @decide="rebuild.decide" />
          <p class="px-5 pt-3 text-small text-quiet">
            {{ roleOf(step)
            }}<template v-if="step.placed.placement.motivation">: {{ step.placed.placement.motivation }}</template>
          </p>
          <StepCard :step="step" :set="sheet.set" :shot-id="shotId" />
          <HungHere
            :step="step"
            :run-id="sheet.run?.id"
            :begin="rebuild.begin"
            :closed="!!sheet.run?.signed"
            @kept="rebuild.show"
            @named="rebuild.again"
          />
          <p v-if="step.placed.tapes" class="px-5 pb-3">
            <button class="button" @click="dialog = 'tapes'">Check the tapes…</button>
          </p>
          <StepPhotographs
            v-if="sheet.run && !sheet.run.signed"
            :shot-id="shotId"
            :run-id="sheet.run.id"
            :thing="step.placed.placement.key"
          />
        </div>
        <footer class="py-3 px-5 border-t border-line">
          <p v-if="error" role="alert" class="mb-2 flex gap-2"><WedgeMark act />{{ error }}</p>
          <p v-if="rebuild.waits(step)" class="mb-2" role="status">
            {{ rebuild.isDone(step) ? 'Done' : 'Not done after all' }}; waits to be sent.
          </p>
          <p v-else-if="step.done" class="mb-2 flex gap-2" role="status">
            <template v-if="step.done.changedSince"
              ><WedgeMark act />Changed since {{ step.done.author }} ticked it, {{ when(step.done.at) }}: look
              again.</template
            >
            <template v-else>Done: {{ step.done.author }}, {{ when(step.done.at) }}</template>
          </p>
          <div class="flex gap-2.5">
            <button
              v-if="!rebuild.isDone(step)"
              class="button button-main main"
              :disabled="busy || !!sheet.run?.signed"
              @click="rebuild.tick"
            >
              Done
            </button>
            <button v-else class="button main" :disabled="busy || !!sheet.run?.signed" @click="rebuild.untick">
              Not done after all
            </button>
            <button class="button main second" :disabled="!!sheet.run?.signed" @click="dialog = 'otherwise'">
              {{ step.instead ? 'Otherwise…' : 'Not as recorded' }}
            </button>
          </div>
          <div class="mt-2 flex items-center gap-3">
            <button class="button" :disabled="at === 0" aria-label="Back to the step before" @click="at--">Back</button>
            <p class="min-w-0 grow text-quiet">
              <template v-if="next"
                >next: <b class="font-strong text-ink">{{ next.placed.placement.name }}</b>,
                {{ roleOf(next) }}</template
              >
              <template v-else-if="done === sheet.steps.length"
                >All {{ done }} steps are done. Now
                <RouterLink v-if="sheet.run" class="underline" :to="{ name: 'verdict', params: { run: sheet.run.id } }"
                  >the meter</RouterLink
                ><template v-else>the meter</template>.</template
              >
              <template v-else>The last step; {{ sheet.steps.length - done }} still to do.</template>
            </p>
            <button
              class="button"
              :disabled="!next"
              :aria-label="`${rebuild.isDone(step) ? 'Next' : 'Skip'} step`"
              @click="at++"
            >
              {{ rebuild.isDone(step) ? 'Next' : 'Skip' }}
            </button>
          </div>
        </footer>
      </section>
      <DeviationDialog
        :open="dialog === 'otherwise'"
        :step="step"
        :run-id="sheet.run?.id"
        :begin="rebuild.begin"
        @close="dialog = undefined"
        @kept="kept"
      />
      <TapeDialog
        :open="dialog === 'tapes'"
        :step="step"
        :run-id="sheet.run?.id"
        :begin="rebuild.begin"
        @close="dialog = undefined"
      />
      <RunDialog v-if="dialog === 'run'" open :sheet="sheet" @close="dialog = undefined" @begun="begun" />
    </div>
    <div v-else class="m-auto max-w-sm p-6 text-center">
      <template v-if="error">
        <p role="alert" class="mb-3">{{ error }}</p>
        <button class="button" @click="rebuild.again">Try again</button>
        <RouterLink class="button ml-2" :to="{ name: 'book' }">To the book</RouterLink>
      </template>
      <p v-else class="text-quiet">Opening the sheet…</p>
    </div>
  </div>
</template>

<style scoped>
.main {
  flex: 1;
  min-height: 68px;
  font-size: var(--text-large);
}
.main.second {
  font-size: var(--text-title);
}
</style>
