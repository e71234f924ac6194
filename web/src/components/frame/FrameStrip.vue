<script setup lang="ts">
import { computed, ref, watchEffect } from 'vue'
import { RouterLink } from 'vue-router'
import { useRead } from '@/api/reads'
import type { MatchReport } from '@/api/types'
import BustThumb from '@/components/light/BustThumb.vue'
import DotMark from '@/components/marks/DotMark.vue'
import StageTick from '@/components/marks/StageTick.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { useBook } from '@/stores/book'
import { useLight } from '@/stores/light'
import { useShotEditor } from '@/stores/shotEditor'
import FrameThumb from './FrameThumb.vue'
import TriedThumb from './TriedThumb.vue'

/** The scene's shots as pictures, and of the open one its moments and what is tried: one after the other, what changes is seen. */
const props = defineProps<{ shotId: number; /** The open picture comes first. */ waits: boolean }>()
const book = useBook()
const light = useLight()
const editor = useShotEditor()

const scene = computed(() => book.shots.get(props.shotId)?.scene)
const { data: report } = useRead('match', () => (scene.value ? { sceneId: scene.value.id } : undefined))

const seen = ref(false)
watchEffect(() => {
  if (!props.waits) seen.value = true
})

type Judged = MatchReport['shots'][number]
function figure(judged: Judged | undefined, aspect: Judged['lines'][number]['aspect']) {
  return judged?.lines.find((l) => l.aspect === aspect)?.now
}
const shots = computed(() =>
  (seen.value ? (scene.value?.shots ?? []) : []).map((shot) => {
    const judged = report.value?.shots.find((s) => s.shotId === shot.id)
    return {
      ...shot,
      lit: figure(judged, 'EXPOSURE')?.said,
      ratio: figure(judged, 'RATIO')?.said,
      reference: report.value?.referenceId === shot.id,
      holds: judged?.holds,
      title: judged?.title,
      face: judged?.mark !== undefined,
    }
  }),
)
const WORDS = { PLANNED: 'planned', LIT: 'lit', SHOT: 'shot' } as const
</script>

<template>
  <nav class="strip" aria-label="Pictures of this scene">
    <template v-for="s in shots" :key="s.id">
      <RouterLink class="tile" :class="{ here: s.id === shotId }" :to="{ name: 'frame', params: { id: s.id } }">
        <span class="head">
          <b>{{ s.slate }}</b> <StageTick :stage="s.stage" /><span class="ml-auto text-small text-quiet">{{
            WORDS[s.stage]
          }}</span>
        </span>
        <span class="pictures">
          <FrameThumb class="picture" :shot-id="s.id" :name="s.slate" />
          <BustThumb v-if="s.face" class="face" :shot-id="s.id" :name="s.slate" />
          <span v-else class="face none">no face</span>
        </span>
        <span class="figures">
          <span v-if="s.lit" class="figure">{{ s.lit }}</span><span v-if="s.ratio" class="figure ml-auto">{{
            s.ratio
          }}</span>
        </span>
        <span class="word">
          <template v-if="s.reference">reference</template>
          <template v-else-if="s.title"
            ><DotMark v-if="s.holds" class="mr-1 inline" /><WedgeMark v-else class="mr-1 inline" />{{
              s.title
            }}</template
          >
        </span>
      </RouterLink>
      <template v-if="s.id === shotId">
        <button
          v-for="(cue, i) in editor.cues"
          :key="`c${cue.placement.key}`"
          class="tile moment"
          :aria-pressed="light.moment === i + 1"
          @click="light.moment = light.moment === i + 1 ? 0 : i + 1"
        >
          <span class="head"
            ><span class="truncate text-small">after {{ cue.placement.name }}</span></span
          >
          <FrameThumb class="picture" :shot-id="s.id" :cue="i + 1" :name="`${s.slate} after ${cue.placement.name}`" />
        </button>
        <button
          v-for="(trial, i) in light.trials"
          :key="`t${trial.name}`"
          class="tile moment tried"
          :aria-pressed="light.active === i"
          @click="light.active = light.active === i ? undefined : i"
        >
          <span class="head text-small">tried {{ trial.name }}</span>
          <TriedThumb
            v-if="seen"
            class="picture"
            :shot-id="s.id"
            :name="`${s.slate}, tried ${trial.name}`"
            :changes="trial.changes"
            :holds="trial.holds"
          />
          <span class="text-small text-quiet"
            >{{ trial.changes.length }} {{ trial.changes.length === 1 ? 'change' : 'changes' }}, nothing kept</span
          >
        </button>
      </template>
    </template>
  </nav>
</template>

<style scoped>
.strip {
  display: flex;
  overflow-x: auto;
  border-top: 1px solid var(--line);
  background: var(--panel);
}
.tile {
  display: block;
  flex: none;
  width: 192px;
  padding: 8px 12px 8px;
  border-right: 1px solid var(--line);
  border-top: 2px solid transparent;
  text-align: left;
}
.tile.here {
  border-top-color: var(--accent);
  background: var(--raised);
}
.tile[aria-pressed='true'] {
  background: var(--raised);
  border-top-color: var(--accent);
}
.moment {
  width: 138px;
}
.tried {
  border-right-style: dashed;
}
.head {
  display: flex;
  align-items: center;
  gap: 6px;
  min-height: 22px;
}
.pictures {
  display: flex;
  gap: 2px;
}
.picture {
  width: 112px;
  flex: none;
}
.face {
  flex: 1;
  height: 63px;
  min-width: 0;
  background: #08090a;
}
.none {
  display: grid;
  place-items: center;
  border: 1px dashed var(--line);
  background: none;
  font-size: var(--text-fine);
  color: var(--quiet);
}
.figures {
  display: flex;
  min-height: 20px;
  margin-top: 3px;
}
.word {
  display: block;
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
  font-size: var(--text-small);
  color: var(--quiet);
}
@media (width < 800px) {
  .strip {
    flex-wrap: wrap;
    overflow: visible;
  }
  .tile,
  .moment {
    width: 100%;
    border-right: none;
    border-bottom: 1px solid var(--line);
  }
}
</style>
