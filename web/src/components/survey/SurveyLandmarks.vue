<script setup lang="ts">
import { computed, ref } from 'vue'
import type { UseSurveyReturn } from '@/lib/useSurvey'
import { useSession } from '@/stores/session'
import SurveyTell from './SurveyTell.vue'

/** The landmarks: tapped first, for they tell where a photograph was taken from; others are found by them and can be kept. */
const props = defineProps<{ survey: UseSurveyReturn }>()
const { survey, landmarks, chosen, isChosen, tapOf, takeOut, name, keepLandmarks, busy } = props.survey
const session = useSession()
const typed = ref('')
const told = computed(() => survey.value!.landmarks.filter((l) => l.found?.at || l.found?.problem))
const worth = computed(() => told.value.filter((l) => l.isWorthKeeping).map((l) => l.name))
function add() {
  const landmark = typed.value.trim()
  if (landmark) name(landmark)
  typed.value = ''
}
</script>

<template>
  <section class="border-line px-4 py-2" aria-label="Landmarks">
    <h2 class="text-lead">Next tap</h2>
    <p class="text-small text-quiet">
      {{ chosen ? `Tap ${chosen.name} in the photograph.` : 'Choose what to tap.' }} A dashed mark is where it should
      be.
    </p>
    <div class="mt-1 flex flex-wrap gap-1.5">
      <button
        v-for="l in landmarks"
        :key="l.key"
        class="button"
        :class="{ 'button-main': isChosen(l) }"
        :aria-pressed="isChosen(l)"
        @click="chosen = l"
      >
        {{ l.name + (tapOf(l) ? ' ✓' : '') + (l.lacks && `, ${l.lacks}`) }}
      </button>
      <button v-if="chosen && tapOf(chosen)" class="button" @click="takeOut(chosen)">Take the tap out</button>
    </div>
    <form class="mt-1.5 flex gap-1.5" @submit.prevent="add">
      <input
        v-model="typed"
        class="field min-w-0 grow"
        aria-label="Name of another landmark"
        placeholder="another landmark"
        maxlength="60"
      />
      <button class="button" :disabled="!typed.trim()">Find it</button>
    </form>
    <p v-for="l in told" :key="l.name" class="mt-1 text-small">
      <b class="font-strong">{{ l.name }}</b>
      <SurveyTell :point="l.found" />
    </p>
    <button
      v-if="worth.length && session.may('EDIT')"
      class="button mt-1"
      :disabled="busy"
      @click="keepLandmarks(worth)"
    >
      Keep {{ worth.join(', ') }} in the set
    </button>
  </section>
</template>
