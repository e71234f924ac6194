<script setup lang="ts">
import { computed, ref } from 'vue'
import { outdate } from '@/api/reads'
import ReasonPicker from '@/components/inspector/ReasonPicker.vue'
import ShotPage from '@/components/layout/ShotPage.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import SurveyPicture from '@/components/survey/SurveyPicture.vue'
import SurveyPlan from '@/components/survey/SurveyPlan.vue'
import { useShortcuts } from '@/lib/useShortcuts'
import { useSubmit } from '@/lib/useSubmit'
import { useSurvey } from '@/lib/useSurvey'
import { useOutbox } from '@/stores/outbox'
import { usePlot } from '@/stores/plot'
import { useSession } from '@/stores/session'
import { useSettings } from '@/stores/settings'

/** Places by photographs: landmarks are tapped, then the heads; where each photograph was taken from follows, and where they stand. */
const props = defineProps<{ shotId: number }>()
defineEmits<{ spine: [] }>()
const LARGEST_MB = 15
const plot = usePlot()
const session = useSession()
const settings = useSettings()
const outbox = useOutbox()
const tapping = useSurvey(() => props.shotId)
const { survey, problem, photo, at, landmarks, things, chosen, tapOf, takeOut, undo, canUndo, keep, busy } = tapping
const { error, submit } = useSubmit()
const input = ref<HTMLInputElement>()
const set = computed(() => plot.plot?.drawn.set.plan)
const found = computed(() => survey.value?.things.filter((t) => t.found) ?? [])
const changed = computed(() => found.value.filter((t) => t.quality !== 'POOR' && (!t.recorded || t.isElsewhere)))
const elsewhere = computed(() => found.value.filter((t) => t.isElsewhere))
const said = (key: string) => survey.value?.things.find((t) => t.key === key)

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
    await outbox.send({ kind: 'photo', about: { shotId: props.shotId }, text: name }, `photograph ${name}`, file)
    await outdate({ topics: ['NOTES'] })
    if (survey.value) at.value = survey.value.photos.length - 1
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
        <p v-if="!survey.photos.length" class="m-auto max-w-md text-center text-quiet">
          Take two photographs of the lit set from different sides, each with four landmarks or more in it, and add them
          here. Then tap the landmarks and the heads in both.
        </p>
        <template v-if="photo">
          <p class="mb-2" role="status">
            <template v-if="photo.pose"
              >Taken from the place marked {{ at + 1 }} on the plan; landmarks miss by
              <span class="figure">{{ photo.pose.missPercent.toFixed(1) }} %</span>.<template v-if="photo.other">
                <WedgeMark act class="mx-1 inline" />It could as well have been taken from
                {{ photo.other.at.xM.toFixed(1) }} m right, {{ photo.other.at.yM.toFixed(1) }} m up the plan: tap one
                more landmark off the others.</template
              ></template
            >
            <template v-else>{{ photo.problem }}</template>
          </p>
          <SurveyPicture :key="photo.id" :survey="tapping" class="flex-1">
            <button class="button ml-auto" :disabled="!canUndo" @click="undo">Undo tap</button>
          </SurveyPicture>
        </template>
      </section>
      <aside class="side min-h-0 border-l border-line">
        <div class="plan h-64 border-line">
          <SurveyPlan v-if="set" :set="set" :survey="survey" :at="at" />
        </div>
        <section v-if="photo" class="next border-line px-4 py-2" aria-label="Landmarks">
          <h2 class="text-lead">Next tap</h2>
          <p class="text-small text-quiet">
            {{ chosen ? `Tap ${chosen.name} in the photograph.` : 'Choose what to tap.' }} A dashed mark is where it
            should be.
          </p>
          <div class="mt-1 flex flex-wrap gap-1.5">
            <button
              v-for="l in landmarks"
              :key="l.key"
              class="button"
              :class="{ 'button-main': chosen?.kind === 'landmark' && chosen.key === l.key }"
              :aria-pressed="chosen?.kind === 'landmark' && chosen.key === l.key"
              :disabled="!!l.lacks"
              :title="l.lacks"
              @click="chosen = l"
            >
              {{ l.name }}<template v-if="tapOf(l)"> ✓</template
              ><span v-if="l.lacks" class="text-quiet">, {{ l.lacks }}</span>
            </button>
          </div>
        </section>
        <section v-if="photo" class="px-4 py-2" aria-label="Things">
          <h2 class="text-lead">Things</h2>
          <div v-for="t in things" :key="t.key" class="flex items-center gap-2 border-t border-line py-1">
            <button
              class="min-w-0 grow text-left"
              :aria-pressed="chosen?.kind === 'placement' && chosen.key === t.key"
              @click="chosen = t"
            >
              <b class="font-strong" :class="{ underline: chosen?.kind === 'placement' && chosen.key === t.key }">{{
                t.name
              }}</b><template v-if="tapOf(t)"> ✓</template>
              <span v-if="said(t.key)?.found" class="block text-small">
                <WedgeMark v-if="said(t.key)!.quality === 'POOR' || said(t.key)!.isElsewhere" act class="mr-1 inline" />
                within <span class="figure">{{ settings.printed(said(t.key)!.within!) }}</span><template
                  v-if="said(t.key)!.quality === 'POOR'"
                  >: poor, {{ said(t.key)!.help }}</template
                ><template v-if="said(t.key)!.off"
                  >; <span class="figure">{{ settings.printed(said(t.key)!.off!) }}</span> from the record</template
                >
              </span>
              <span v-else-if="said(t.key)?.problem" class="block text-small text-quiet">{{
                said(t.key)!.problem
              }}</span>
            </button>
            <button v-if="tapOf(t)" class="button" :aria-label="`Take the tap of ${t.name} out`" @click="takeOut(t)">
              Take out
            </button>
          </div>
        </section>
        <section class="px-4 py-2" aria-label="Keep">
          <p v-if="elsewhere.length">
            <WedgeMark act class="mr-1 inline" />{{ elsewhere.map((t) => t.name).join(', ') }}
            {{ elsewhere.length === 1 ? 'stands' : 'stand' }} more than three standard deviations from the record.
          </p>
          <ReasonPicker v-if="changed.length" />
          <button
            v-if="session.may('EDIT')"
            class="button button-main mt-2"
            :disabled="busy || !changed.length"
            @click="
              keep(
                changed.map((t) => t.key),
                plot.based ? plot.reason : undefined,
              )
            "
          >
            Keep {{ changed.length || 'no' }} {{ changed.length === 1 ? 'place' : 'places' }}
          </button>
          <p class="mt-2 text-small text-quiet">
            A model: a pinhole whose middle is the picture’s, without distortion; a tap strays by 0.4 % of the longer
            side. What stands as recorded is left as it is.
          </p>
        </section>
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
