<script setup lang="ts">
import { computed, ref } from 'vue'
import { held, value, type Placed } from '@/api/types'
import { useLight } from '@/stores/light'
import { usePlot } from '@/stores/plot'
import { useSettings } from '@/stores/settings'
import { useShotEditor } from '@/stores/shotEditor'
import ConditionDialog from './ConditionDialog.vue'
import CueDialog from './CueDialog.vue'

/** What stands nowhere and belongs to the shot: how the place is, and what changes within it. */
const plot = usePlot()
const editor = useShotEditor()
const light = useLight()
const settings = useSettings()
const adding = ref<'condition' | 'cue'>()

const conditions = computed(() => editor.placements.filter((p) => p.onSet && p.placement.kind === 'CONDITION'))
const nextOrder = computed(() => Math.max(0, ...editor.cues.map((c) => value(c, 'CUE')?.order ?? 0)) + 1)
const say = (placed: Placed) => {
  const now = held(placed, placed.placement.kind === 'CUE' ? 'CUE' : 'CONDITION')
  return now ? settings.printed(now.say) : ''
}
</script>

<template>
  <section aria-label="The place in this shot">
    <h3 class="group-title">The place in this shot</h3>
    <ul>
      <li v-for="c in conditions" :key="c.placement.key">
        <button class="line" @click="plot.selected = c.placement.key">
          <b class="font-strong">{{ c.placement.name }}</b> {{ say(c) }}
        </button>
      </li>
    </ul>
    <p v-if="!conditions.length" class="text-small text-quiet">
      Haze, house lights, blinds, doors, dressing: nothing is said of them.
    </p>
    <button v-if="!plot.locked" class="button mt-1" @click="adding = 'condition'">Add a condition…</button>
  </section>
  <section aria-label="Cues">
    <h3 class="group-title">Within the shot</h3>
    <ul>
      <li v-for="(c, i) in editor.cues" :key="c.placement.key" class="flex items-start gap-1">
        <button class="line grow" @click="plot.selected = c.placement.key">
          <b class="font-strong">{{ c.placement.name }}</b> {{ say(c) }}
        </button>
        <button
          class="button flex-none"
          :aria-pressed="light.moment === i + 1"
          @click="light.moment = light.moment === i + 1 ? 0 : i + 1"
        >
          {{ light.moment === i + 1 ? 'At the start' : 'Light after it' }}
        </button>
      </li>
    </ul>
    <p v-if="!editor.cues.length" class="text-small text-quiet">Nothing changes from start to end.</p>
    <button v-if="!plot.locked" class="button mt-1" @click="adding = 'cue'">Add a cue…</button>
  </section>
  <ConditionDialog :open="adding === 'condition'" @close="adding = undefined" />
  <CueDialog :open="adding === 'cue'" :next="nextOrder" @close="adding = undefined" />
</template>

<style scoped>
.line {
  width: 100%;
  min-height: 29px;
  padding: 2px 4px;
  text-align: left;
}
.line:hover {
  background: var(--raised);
}
@media (pointer: coarse) {
  .line {
    min-height: 44px;
  }
}
</style>
