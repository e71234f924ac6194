<script setup lang="ts">
import { computed } from 'vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import type { Tappable, UseSurveyReturn } from '@/lib/useSurvey'
import { useSettings } from '@/stores/settings'
import SurveyTell from './SurveyTell.vue'

/** The things of the shot: to be tapped, with what they point at, and what the photographs say of each. */
const props = defineProps<{ survey: UseSurveyReturn }>()
const { survey, things, aims, chosen, isChosen, tapOf, takeOut } = props.survey
const settings = useSettings()
const rows = computed(() =>
  things.value.map((thing) => ({
    thing,
    said: survey.value!.things.find((t) => t.key === thing.key)!,
    aim: aims.value.find((a) => a.key === thing.key),
  })),
)
const tick = (of: Tappable | undefined) => (of && tapOf(of) ? ' ✓' : '')
</script>

<template>
  <section class="px-4 py-2" aria-label="Things">
    <h2 class="text-lead">Things</h2>
    <div v-for="{ thing, said, aim } in rows" :key="thing.key" class="border-t border-line py-1">
      <div class="flex items-center gap-2">
        <button class="name min-w-0 grow text-left" :aria-pressed="isChosen(thing)" @click="chosen = thing">
          <b class="font-strong" :class="{ underline: isChosen(thing) }">{{ thing.name }}</b>{{ tick(thing) }}
          <SurveyTell :point="said.found" :is-elsewhere="said.isElsewhere"
            ><template v-if="said.off"
              >; <span class="figure">{{ settings.printed(said.off) }}</span> from the record</template
            ></SurveyTell
          >
        </button>
        <button
          v-if="aim && tapOf(thing)"
          class="button"
          :class="{ 'button-main': isChosen(aim) }"
          :aria-pressed="isChosen(aim)"
          :aria-label="`Tap what ${thing.name} points at`"
          @click="chosen = aim"
        >
          Aim{{ tick(aim) }}
        </button>
        <button
          v-if="tapOf(thing)"
          class="button"
          :aria-label="`Take the tap of ${thing.name} out`"
          @click="takeOut(thing)"
        >
          Take out
        </button>
      </div>
      <p v-if="said.aim?.said" class="text-small">
        <WedgeMark v-if="said.aim.isElsewhere" act class="mr-1 inline" />points
        <span class="figure">{{ said.aim.said }}</span>, within
        <span class="figure">{{ said.aim.within }}</span><template v-if="said.aim.isElsewhere"
          >; the record says another bearing</template
        >
      </p>
      <p v-else-if="said.aim?.problem" class="text-small text-quiet">{{ said.aim.problem }}</p>
    </div>
  </section>
</template>

<style scoped>
.name {
  min-height: var(--touch, 28px);
}
</style>
