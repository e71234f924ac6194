<script setup lang="ts">
import { computed, reactive, ref, shallowRef, watch } from 'vue'
import { answer, api } from '@/api/client'
import { value, type Placed, type StreakAsked, type StreakMade } from '@/api/types'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import ChoiceField from '@/components/dialogs/ChoiceField.vue'
import FigureField from '@/components/fields/FigureField.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { fixed, plain } from '@/lib/print'
import { tenths } from '@/lib/stops'
import { useLatest } from '@/lib/useLatest'
import { useSubmit } from '@/lib/useSubmit'
import { useLight } from '@/stores/light'
import { usePlot } from '@/stores/plot'
import { useSettings } from '@/stores/settings'
import { useShotEditor } from '@/stores/shotEditor'
import StreakSection from './StreakSection.vue'

/** A streak of sun made again: where a head stands for it, straight or by a mirror, what its shadows do, and its level. */
const props = defineProps<{ open: boolean; shotId: number; mark: Placed; at: string; bearingDeg: number }>()
const emit = defineEmits<{ close: [] }>()
const editor = useShotEditor()
const light = useLight()
const plot = usePlot()
const settings = useSettings()

const FIRST_AWAY_M = 6
const ASIDE_DEG = 120
const HEAD_HEIGHT_M = 1.5

const named = (all: Placed[]) => all.map((p) => ({ key: p.placement.key, name: p.placement.name }))
const heads = computed(() => editor.placements.filter((p) => p.placement.kind === 'HEAD' && p.placement.piece.lamp))
const mirrors = computed(() => editor.placements.filter((p) => p.placement.kind === 'MIRROR'))
const asked = reactive({
  head: '',
  mirror: '',
  awayM: FIRST_AWAY_M,
  headM: FIRST_AWAY_M,
  bearingDeg: 0,
  heightM: HEAD_HEIGHT_M,
  sunLux: undefined as number | undefined,
  beamDeg: undefined as number | undefined,
})
const by = ref<'straight' | 'mirror'>('straight')
const made = shallowRef<StreakMade>()
const refused = ref('')

watch(
  () => props.open,
  (open) => {
    if (!open) return
    const hardest = [...heads.value].sort(
      (a, b) => a.placement.piece.lamp!.optics.spotBeamDeg - b.placement.piece.lamp!.optics.spotBeamDeg,
    )[0]
    const streak = value(props.mark, 'STREAK')
    Object.assign(asked, {
      head: hardest?.placement.key ?? '',
      mirror: mirrors.value[0]?.placement.key ?? '',
      awayM: FIRST_AWAY_M,
      headM: FIRST_AWAY_M,
      bearingDeg: Math.round((props.bearingDeg + ASIDE_DEG) % 360),
      heightM: HEAD_HEIGHT_M,
      sunLux: streak?.sunLux,
      beamDeg: undefined,
    })
    by.value = 'straight'
    made.value = undefined
    refused.value = ''
  },
  { immediate: true },
)
const body = computed((): StreakAsked | undefined => {
  if (!props.open || !asked.head || (by.value === 'mirror' && !asked.mirror)) return undefined
  const mirror = {
    key: asked.mirror,
    awayM: asked.awayM,
    headM: asked.headM,
    headBearingDeg: asked.bearingDeg,
    headHeightM: asked.heightM,
  }
  return {
    mark: props.mark.placement.key,
    at: props.at,
    head: asked.head,
    awayM: asked.awayM,
    sunLux: asked.sunLux,
    beamDeg: asked.beamDeg,
    mirror: by.value === 'mirror' ? mirror : undefined,
  }
})
const latest = useLatest({
  send: (question: StreakAsked) =>
    answer(api.POST('/api/shots/{shotId}/sun/again', { params: { path: { shotId: props.shotId } }, body: question })),
  onAnswer: (now) => {
    made.value = now
    refused.value = ''
  },
  onRefused: (refusal) => {
    made.value = undefined
    refused.value = refusal.message
  },
})
watch(body, (now) => now && latest.ask(now), { immediate: true })

const from = computed(() => (made.value?.opening ? `from ${made.value.opening.name}` : 'from where it lay'))
const { busy, error, submit } = useSubmit()
function tryIt() {
  const changes = made.value?.changes
  if (!changes) return
  void submit(async () => {
    await light.wish(changes)
    plot.select(asked.head)
    emit('close')
  })
}
</script>

<template>
  <BaseDialog
    :open="open"
    :title="`The sun on ${mark.placement.name}, made again`"
    :error="error || refused"
    wide
    @close="emit('close')"
  >
    <div class="halves">
      <div>
        <StreakSection :made="made" :mark-name="mark.placement.name" />
        <dl v-if="made" class="facts" aria-live="polite">
          <dt>the sun stood at</dt>
          <dd>
            {{ Math.round(made.bearingDeg) }}°<span class="unit">{{ fixed(made.upDeg, 0) }}° up</span>
          </dd>
          <dt>head stands at</dt>
          <dd>{{ settings.printed(made.head.place) }}</dd>
          <dt>and so high</dt>
          <dd>{{ settings.printed(made.head.height) }}</dd>
          <template v-if="made.mirror">
            <dt>mirror stands at</dt>
            <dd>{{ settings.printed(made.mirror.stands.place) }}</dd>
            <dt>and so high</dt>
            <dd>{{ settings.printed(made.mirror.stands.height) }}</dd>
            <template v-if="made.mirror.wide && made.mirror.tall">
              <dt>mirror that fills the opening</dt>
              <dd>
                {{ settings.printed(made.mirror.wide) }}<span class="unit">×</span>
                {{ settings.printed(made.mirror.tall) }}
              </dd>
            </template>
          </template>
          <template v-if="made.opening">
            <dt>fan through {{ made.opening.name }}, {{ settings.printed(made.opening.wide) }} wide</dt>
            <dd>
              {{ fixed(made.opening.fanDeg, 1) }}°<span class="unit">{{
                made.opening.parallel ? 'reads as parallel' : 'shadows spread'
              }}</span>
            </dd>
            <dt>edge of a bar, {{ settings.printed(made.opening.toStreak) }} behind it</dt>
            <dd>{{ settings.printed(made.opening.edge) }}</dd>
          </template>
          <dt>light’s way</dt>
          <dd>{{ settings.printed(made.way) }}</dd>
          <dt>beam</dt>
          <dd>{{ plain(made.beamDeg, 1) }}°</dd>
          <dt>level</dt>
          <dd v-if="made.level">
            {{ plain(made.level.levelPercent, 1) }}<span class="unit">%</span>
            <span v-if="made.level.shortStops > 0" class="unit">{{ tenths(made.level.shortStops) }} stops short</span>
          </dd>
          <dd v-else class="text-quiet">stays</dd>
        </dl>
      </div>
      <div class="form">
        <ChoiceField v-model="asked.head" label="Head" :options="named(heads)" />
        <fieldset class="mb-2 flex gap-1">
          <legend class="mb-0.5 text-small text-quiet">Light comes</legend>
          <button class="button" :aria-pressed="by === 'straight'" @click="by = 'straight'">straight</button>
          <button class="button" :aria-pressed="by === 'mirror'" :disabled="!mirrors.length" @click="by = 'mirror'">
            by a mirror
          </button>
        </fieldset>
        <p v-if="!mirrors.length" class="mb-2 text-fine text-quiet">
          For the way by a mirror place one in this scene first.
        </p>
        <div class="figures">
          <template v-if="by === 'mirror'">
            <div class="col-span-2">
              <ChoiceField v-model="asked.mirror" label="Mirror" :options="named(mirrors)" />
            </div>
            <FigureField :label="`mirror ${from}`" kind="LENGTH" :value="asked.awayM" @read="asked.awayM = $event!" />
            <FigureField
              label="head from the mirror"
              kind="LENGTH"
              :value="asked.headM"
              @read="asked.headM = $event!"
            />
            <FigureField
              label="head bears, seen from it"
              kind="NUMBER"
              :value="asked.bearingDeg"
              @read="asked.bearingDeg = $event!"
            />
            <FigureField label="head so high" kind="LENGTH" :value="asked.heightM" @read="asked.heightM = $event!" />
          </template>
          <FigureField
            v-else
            :label="`head ${from}`"
            kind="LENGTH"
            :value="asked.awayM"
            @read="asked.awayM = $event!"
          />
          <FigureField
            label="beam, degrees"
            kind="NUMBER"
            :value="asked.beamDeg"
            when-empty="fills it"
            @read="asked.beamDeg = $event"
          />
          <FigureField
            label="sun had"
            kind="LIGHT"
            :value="asked.sunLux"
            when-empty="not metered"
            @read="asked.sunLux = $event"
          />
        </div>
        <p v-for="c in made?.cautions ?? []" :key="c" class="mt-2 text-small" role="note">
          <WedgeMark act class="mr-1 inline" />{{ c }}
        </p>
        <p v-if="made?.mirror && !made.mirror.fills" class="mt-2 text-small" role="note">
          <WedgeMark class="mr-1 inline" />The mirror is smaller than the opening needs: its edge will show.
        </p>
        <p v-if="made?.level?.shortStops" class="mt-2 text-small">
          {{ Math.round(made.level.fullLux) }} of {{ Math.round(made.level.sunLux) }} lux at full: nearer, a narrower
          beam or a stronger head.
        </p>
        <p class="mt-2 text-fine text-quiet">
          Distances go along the light. Whatever hangs above people is safety-bonded and weighed by who is licensed for
          it; a head outside needs a stand that holds in wind.
        </p>
      </div>
    </div>
    <template #buttons>
      <button class="button" @click="emit('close')">Close</button>
      <button class="button button-main" :disabled="!made || busy" @click="tryIt">Try it on the plan</button>
    </template>
  </BaseDialog>
</template>

<style scoped>
.halves {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  gap: 20px;
}
.figures {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 108px;
  gap: 4px 8px;
  align-items: center;
}
.figures :deep(label) {
  font-size: var(--text-small);
  color: var(--quiet);
}
.figures :deep(.col-span-2) {
  grid-column: span 2;
}
.facts {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 2px 10px;
  margin-top: 8px;
}
.facts dt {
  color: var(--quiet);
}
.facts dd {
  text-align: right;
  font: 500 var(--text-figure) var(--font-mono);
  letter-spacing: -0.02em;
}
@media (width < 800px) {
  .halves {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
