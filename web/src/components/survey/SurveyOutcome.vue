<script setup lang="ts">
import { computed } from 'vue'
import ReasonPicker from '@/components/inspector/ReasonPicker.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { useOutcome } from '@/lib/useOutcome'
import type { UseSurveyReturn } from '@/lib/useSurvey'
import { usePlot } from '@/stores/plot'
import { useSession } from '@/stores/session'
import { useSettings } from '@/stores/settings'

/** What comes of it: what stands as recorded and what does not, and the places that are worth keeping. */
const props = defineProps<{ survey: UseSurveyReturn; ofRebuild: boolean }>()
const { survey, keep, busy } = props.survey
const plot = usePlot()
const session = useSession()
const settings = useSettings()
const { stands, elsewhere, turned, unsure, untold } = useOutcome(() => survey.value!)
const places = computed(() => survey.value!.things.filter((t) => t.isWorthKeeping).map((t) => t.key))
const aims = computed(() => survey.value!.things.filter((t) => t.aim?.isWorthKeeping).map((t) => t.key))
const names = (things: { name: string }[]) => things.map((t) => t.name).join(', ')
const counted = (count: number, one: string) => (count ? `${count} ${one}${count === 1 ? '' : 's'}` : '')
const kept = computed(() => [counted(places.value.length, 'place'), counted(aims.value.length, 'aim')].filter(Boolean))
</script>

<template>
  <section class="px-4 py-2" aria-label="What comes of it">
    <p v-if="stands.length">{{ names(stands) }}: as recorded.</p>
    <p v-for="t in elsewhere" :key="t.key">
      <WedgeMark act class="mr-1 inline" />{{ t.name }} stands
      <span class="figure">{{ settings.printed(t.off!) }}</span> from the record, more than three standard deviations.
    </p>
    <p v-for="t in turned" :key="t.key">
      <WedgeMark act class="mr-1 inline" />{{ t.name }} points another way than the record says.
    </p>
    <p v-if="unsure.length" class="text-quiet">
      Agree with the record, but too poorly known to be sure: {{ names(unsure) }}.
    </p>
    <p v-if="untold.length" class="text-small text-quiet">Not looked at: {{ names(untold) }}.</p>
    <p v-if="ofRebuild" class="mt-2 text-small text-quiet">
      A rebuild leaves the record as it is: put back what stands elsewhere, or say in its step that it stands otherwise.
    </p>
    <template v-else>
      <ReasonPicker v-if="kept.length" />
      <button
        v-if="session.may('EDIT')"
        class="button button-main mt-2"
        :disabled="busy || !kept.length"
        @click="keep(places, aims, plot.based ? plot.reason : undefined)"
      >
        {{ kept.length ? `Keep ${kept.join(' and ')}` : 'Keep no places' }}
      </button>
    </template>
    <p class="mt-2 text-small text-quiet">
      A model: a pinhole whose middle is the picture’s, without distortion; a tap strays by 0.4 % of the longer side,
      what was put on its mark by 3 cm. What was measured and stands as recorded is left as it is.
    </p>
  </section>
</template>
