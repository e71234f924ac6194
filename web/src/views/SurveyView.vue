<script setup lang="ts">
import { computed, ref } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { outdate } from '@/api/reads'
import ShotPage from '@/components/layout/ShotPage.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import SurveyLandmarks from '@/components/survey/SurveyLandmarks.vue'
import SurveyOutcome from '@/components/survey/SurveyOutcome.vue'
import SurveyPicture from '@/components/survey/SurveyPicture.vue'
import SurveyPlan from '@/components/survey/SurveyPlan.vue'
import SurveyThings from '@/components/survey/SurveyThings.vue'
import { useShortcuts } from '@/lib/useShortcuts'
import { useSubmit } from '@/lib/useSubmit'
import { useSurvey } from '@/lib/useSurvey'
import { when } from '@/lib/words'
import { useOutbox } from '@/stores/outbox'
import { usePlot } from '@/stores/plot'
import { useSession } from '@/stores/session'

/** Places by photographs: landmarks are tapped, then the heads; where each photograph was taken from follows, and where they stand. */
const props = defineProps<{ shotId: number; round?: string }>()
defineEmits<{ spine: [] }>()
const LARGEST_MB = 15
const MS = 1000
const CHECK = 'check-'
const RUN = 'run-'
const router = useRouter()
const plot = usePlot()
const session = useSession()
const outbox = useOutbox()
const tapping = useSurvey(() => ({ shotId: props.shotId, round: props.round }))
const { survey, problem, photo, at, waits, undo, canUndo, stoodAtOther, takenFor } = tapping
const { error, submit } = useSubmit()
const input = ref<HTMLInputElement>()
const set = computed(() => plot.plot?.drawn.set.plan)
const run = computed(() => (props.round?.startsWith(RUN) ? props.round.slice(RUN.length) : undefined))
/** Those that have photographs, and the one that is begun. */
const rounds = computed(() => {
  const there = survey.value?.rounds ?? []
  const all = there.some((r) => r.id === props.round) ? there : [...there, { id: props.round, photographs: 0 }]
  return all.map(({ id, photographs, ...r }) => {
    const began = 'began' in r && r.began ? r.began : checkBegan(id)
    const name =
      'run' in r && r.run ? `rebuild ${r.run}` : began ? `check, ${when(began)}` : id ? 'this rebuild' : 'the record'
    return { id: id ?? '', name: `${name} (${photographs})` }
  })
})

function checkBegan(id: string | undefined) {
  return id?.startsWith(CHECK) ? new Date(Number(id.slice(CHECK.length)) * MS).toISOString() : undefined
}
function open(round: string) {
  void router.push({ name: 'survey', params: { id: props.shotId }, query: round ? { round } : {} })
}

useShortcuts((event) => {
  const undoes = event.key === 'z' && (event.ctrlKey || event.metaKey) && canUndo.value
  if (undoes) undo()
  return undoes
})

function add() {
  const file = input.value?.files?.[0]
  if (!file) return
  if (file.size > LARGEST_MB * 1024 * 1024) {
    error.value = `This picture is larger than ${LARGEST_MB} MB: take it smaller. Nothing was kept.`
    return
  }
  void submit(async () => {
    const name = file.name.replace(/\.\w+$/, '')
    const note = await outbox.send(
      { kind: 'photo', about: { shotId: props.shotId }, text: name },
      `photograph ${name}`,
      file,
    )
    if (note && props.round) {
      const body = { taps: [], round: props.round }
      await outbox.send(
        { kind: 'photoTaps', shotId: props.shotId, photoId: note.id, revision: 0, body },
        `photograph ${name}`,
      )
    }
    await outdate({ topics: ['NOTES'] })
    if (survey.value) at.value = Math.max(0, survey.value.photos.length - 1)
  })
  if (input.value) input.value.value = ''
}
</script>

<template>
  <ShotPage :shot-id="shotId" @spine="$emit('spine')">
    <div v-if="survey" class="body survey min-h-0 flex-1 overflow-auto">
      <section class="flex min-h-0 min-w-0 flex-col p-3" aria-label="Photographs">
        <div class="mb-2 flex flex-wrap items-center gap-2">
          <h1 class="text-head mr-2">By photographs</h1>
          <select
            class="field round"
            aria-label="Photographs of"
            :value="round ?? ''"
            @change="open(($event.target as HTMLSelectElement).value)"
          >
            <option v-for="r in rounds" :key="r.id" :value="r.id">{{ r.name }}</option>
          </select>
          <RouterLink v-if="run" class="button" :to="{ name: 'rebuild', params: { id: shotId }, query: { run } }"
            >To the steps</RouterLink
          >
          <button
            v-else-if="session.may('EDIT')"
            class="button"
            @click="open(`${CHECK}${Math.round(Date.now() / MS)}`)"
          >
            New check
          </button>
        </div>
        <div class="mb-2 flex flex-wrap items-center gap-2" role="group" aria-label="Which photograph">
          <button
            v-for="(p, i) in survey.photos"
            :key="p.id"
            class="button"
            :class="{ 'button-main': i === at }"
            :aria-pressed="i === at"
            @click="at = i"
          >
            {{ i + 1 }}<WedgeMark v-if="p.problem" act class="ml-1.5 inline" />
          </button>
          <label v-if="session.may('NOTE')" class="photo button"
            >Add a photograph<input ref="input" type="file" accept="image/png,image/jpeg" class="sr-only" @change="add"
          /></label>
        </div>
        <p v-if="problem || error" role="alert" class="mb-2">
          <WedgeMark act class="mr-1 inline" />{{ problem || error }}
        </p>
        <p v-if="waits" class="mb-2" role="status">
          <WedgeMark class="mr-1 inline" />What you tapped waits on this device; what it tells follows once it is sent.
        </p>
        <p v-if="!survey.photos.length" class="m-auto max-w-md text-center text-quiet">
          <template v-if="round"
            >A check needs one photograph of what stands now, with four landmarks or more in it; two from different
            sides tell more. Add them here, then tap the landmarks and the heads.</template
          >
          <template v-else
            >Take two photographs of the lit set from different sides, each with four landmarks or more in it, and add
            them here. Then tap the landmarks and the heads in both.</template
          >
        </p>
        <template v-if="photo">
          <p class="mb-2" role="status">
            <template v-if="photo.pose"
              >Taken from the place marked {{ at + 1 }} on the plan; landmarks miss by
              <span class="figure">{{ photo.pose.missPercent.toFixed(1) }} %</span>.<template v-if="photo.other">
                <WedgeMark act class="mx-1 inline" />{{
                  photo.stood
                    ? 'So you said; the other place that fits is dashed.'
                    : 'Another place fits as well, dashed on the plan: tap one more landmark off the others, or say where you stood.'
                }}
                <button v-if="session.may('EDIT')" class="button" @click="stoodAtOther">
                  I stood at the dashed place
                </button></template
              ></template
            >
            <template v-else>{{ photo.problem }}</template>
          </p>
          <SurveyPicture :key="photo.id" :survey="tapping" class="flex-1">
            <label v-if="session.may('EDIT') && rounds.length > 1" class="ml-auto flex items-center gap-2 text-quiet"
              >taken for
              <select
                class="field round"
                :value="round ?? ''"
                @change="takenFor(photo.id, ($event.target as HTMLSelectElement).value || undefined)"
              >
                <option v-for="r in rounds" :key="r.id" :value="r.id">{{ r.name }}</option>
              </select></label
            >
            <button class="button" :class="{ 'ml-auto': rounds.length < 2 }" :disabled="!canUndo" @click="undo">
              Undo tap
            </button>
          </SurveyPicture>
          <p v-if="photo.tappedBy" class="text-small text-quiet">Last tapped by {{ photo.tappedBy }}.</p>
        </template>
      </section>
      <aside class="side min-h-0 border-l border-line">
        <div class="plan h-64 border-line">
          <SurveyPlan v-if="set" :set="set" :survey="survey" :at="at" />
        </div>
        <SurveyLandmarks v-if="photo" :survey="tapping" class="next" />
        <SurveyThings v-if="photo" :survey="tapping" />
        <SurveyOutcome v-if="photo" :survey="tapping" :of-rebuild="!!run" />
      </aside>
    </div>
    <p v-else class="m-auto text-quiet" role="status">{{ problem || 'Opening the photographs…' }}</p>
  </ShotPage>
</template>

<style scoped>
.survey {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 360px;
}
.side {
  display: flex;
  flex-direction: column;
  overflow-y: auto;
}
.plan {
  flex: none;
  border-bottom-width: 1px;
}
.round {
  width: 220px;
}
.photo:focus-within {
  outline: 2px solid var(--accent);
}
@media (width < 800px) {
  .survey {
    display: block;
  }
  .next {
    order: -1;
  }
}
</style>
