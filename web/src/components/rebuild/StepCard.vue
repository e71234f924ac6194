<script setup lang="ts">
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import { held, value, type Attribute, type SetPlan, type Step } from '@/api/types'
import StopsText from '@/components/marks/StopsText.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { apart, tilt } from '@/lib/words'
import { useSettings } from '@/stores/settings'
import RebuildPlan from './RebuildPlan.vue'

/** One step, large enough to read at arm's length: where, how high, which way, through what, how bright. */
const props = defineProps<{ step: Step; set: SetPlan; shotId: number }>()
const settings = useSettings()

const placed = computed(() => props.step.placed)
const piece = computed(() => placed.value.placement.piece)
const tapes = computed(() => placed.value.tapes)
const light = computed(() => placed.value.light)
function said(attribute: Attribute): string | undefined {
  const now = held(placed.value, attribute)
  return now && settings.printed(now.say)
}
const height = computed(() => apart(said('HEIGHT') ?? 'not recorded'))
const what: Record<string, string> = { HEAD: 'lamp', PRACTICAL: 'lamp', FLAG: 'middle', CAMERA: 'lens', MARK: 'eyes' }
const title = computed(
  () =>
    `${placed.value.placement.name}${piece.value.mount === 'STAND' && placed.value.placement.kind !== 'CAMERA' ? ' stand' : ''}`,
)
const patch = computed(() => value(placed.value, 'PATCH'))
const menu = computed(() => said('MENU'))
const items = computed(() => value(placed.value, 'MODIFIERS')?.items ?? [])
const gel = computed(() => items.value.find((m) => m.gel))
const off = computed(() => value(placed.value, 'STANDING')?.state === 'OFF')
const camera = computed(() =>
  placed.value.placement.kind === 'CAMERA'
    ? (['LENS', 'STOP', 'SPEED', 'SHUTTER', 'WHITE'] as const).flatMap((a) => said(a) ?? [])
    : [],
)
</script>

<template>
  <article>
    <header class="px-5 pb-3">
      <h2 class="text-huge leading-10 font-bold">{{ title }}</h2>
      <p class="text-lead text-quiet">{{ [piece.unit, piece.what].filter(Boolean).join(', ') }}</p>
    </header>
    <div class="plan"><RebuildPlan :key="placed.placement.key" :set="set" :placed="placed" /></div>
    <div class="grid grid-cols-2">
      <template v-if="tapes">
        <div v-for="(tape, i) in [tapes.a, tapes.b]" :key="tape.landmark" class="cell" :data-tape="tape.landmark">
          <span class="what"
            ><b class="mr-1 text-title font-strong text-ink">{{ i ? 'B' : 'A' }}</b> from {{ tape.landmark }}</span
          >
          <span class="big" :class="{ imperial: settings.units === 'imperial' }"
            >{{ settings.figure(tape.length).figure
            }}<span class="unit">{{ settings.figure(tape.length).unit }}</span></span
          >
        </div>
      </template>
      <p v-else class="cell col-span-2">
        No two landmarks are in sight of it: place it by eye from the plan{{
          value(placed, 'PLACE') ? `, ${said('PLACE')}` : ''
        }}.
      </p>
      <div class="cell">
        <span class="what">height to {{ what[placed.placement.kind] }}</span>
        <span class="big" :class="{ imperial: settings.units === 'imperial' }"
          >{{ height.figure }}<span class="unit">{{ height.unit }}</span></span
        >
      </div>
      <div v-if="placed.aim" class="cell">
        <span class="what"
          >{{
            placed.placement.kind === 'MARK' ? 'faces' : placed.aim.markName ? `aim at ${placed.aim.markName}` : 'aim'
          }}, {{ tilt(placed.aim.tiltDeg) }}</span
        >
        <span class="big">{{ placed.aim.bearing }}</span>
      </div>
    </div>
    <p v-if="tapes" class="px-5 pt-3 text-lead font-strong">
      Walking A to B, {{ piece.mount === 'STAND' ? 'the stand' : 'it' }} is on your {{ tapes.side.toLowerCase() }}.
      <span v-if="tapes.own" class="font-normal text-quiet">As the crew pulled them. </span>
      <span v-if="tapes.crossing !== 'GOOD'" class="font-normal text-quiet"
        >The tapes cross at {{ Math.round(tapes.crossingDeg) }}°: pull them twice.</span
      >
    </p>
    <p v-if="placed.measured && !tapes?.own" class="px-5 pt-2 text-lead">
      As it was measured: {{ settings.printed(placed.measured) }}.
    </p>
    <p v-if="step.instead" class="py-2 px-5 border-b border-line">
      <WedgeMark act class="mr-1 inline" /> <b class="font-strong">Not as recorded:</b>
      {{
        [
          step.instead.piece,
          ...step.instead.values.map(
            (v) =>
              `${v.label} ${settings.printed(v.now)}${v.recorded ? ` (recorded ${settings.printed(v.recorded)})` : ''}`,
          ),
        ]
          .filter(Boolean)
          .join('; ')
      }}.
      <span class="text-quiet">{{ step.instead.why }} ({{ step.instead.author }})</span>
    </p>
    <dl class="facts grid grid-cols-[64px_1fr] gap-y-1 gap-x-2 py-2.5 px-5 text-lead">
      <template v-if="light">
        <dt>through</dt>
        <dd>
          <span v-if="!items.length">nothing, bare lamp</span>
          <ol v-else>
            <li v-for="(m, i) in items" :key="i">
              <span class="figure text-quiet">{{ i + 1 }}</span> {{ m.name
              }}<template v-if="m.frameWidthM">
                on frame {{ m.frameWidthM }} m, {{ m.frameDistanceM }} m from the lens</template
              >
              <span class="text-quiet"> −<StopsText :text="light.stack[i]?.stopsText ?? ''" /></span>
            </li>
          </ol>
        </dd>
        <dt>level</dt>
        <dd>
          <template v-if="off">off</template>
          <span v-else class="figure strong"
            >{{ value(placed, 'LEVEL')?.percent ?? '–' }}<span class="unit">%</span></span
          >
        </dd>
        <dt>dialled</dt>
        <dd>
          <span class="figure strong">{{ value(placed, 'CCT')?.kelvin ?? '–' }}<span class="unit">K</span></span
          >, tint <span class="figure strong">{{ said('TINT') ?? '–' }}</span><template
            v-if="value(placed, 'COLOUR')?.saturationPercent"
            >, <span class="figure strong">{{ said('COLOUR') }}</span></template
          >
          <span v-if="light.swatch" class="block text-quiet"
            ><span class="swatch" :style="{ background: light.swatch }" />
            {{ gel ? `${gel.name}, seen by the camera` : `${Math.round(light.kelvin ?? 0)} K at the mark` }}</span
          >
        </dd>
        <dt>address</dt>
        <dd>
          <template v-if="patch?.universe"
            ><span class="figure strong">{{ patch.universe }} / {{ patch.address }}</span
            ><template v-if="patch.mode">, {{ patch.mode }}</template
            ><template v-if="patch.slots">, {{ patch.slots }} slots</template
            ><template v-if="patch.path === 'WIRELESS'">, wireless</template></template
          >
          <template v-else>{{ patch?.path ? said('PATCH') : 'by hand at the head' }}</template>
        </dd>
        <template v-if="piece.watts"
          ><dt>power</dt>
          <dd>
            <span class="figure">{{ Math.round(piece.watts) }}<span class="unit">W</span></span
            >{{ piece.lamp?.upkeep.batteryWh ? `, or a battery of ${Math.round(piece.lamp.upkeep.batteryWh)} Wh` : '' }}
          </dd></template
        >
        <template v-if="said('FEED')"
          ><dt>fed from</dt>
          <dd>{{ said('FEED') }}</dd></template
        >
        <template v-if="menu || piece.lamp?.upkeep.menu"
          ><dt>menu</dt>
          <dd>{{ menu ?? `check ${piece.lamp?.upkeep.menu}` }}</dd></template
        >
        <template v-if="value(placed, 'EFFECT')"
          ><dt>effect</dt>
          <dd>
            {{ said('EFFECT') }}
          </dd></template
        >
        <dt>beam</dt>
        <dd class="figure">{{ said('BEAM') ?? 'not recorded' }}</dd>
      </template>
      <template v-if="said('RIG')"
        ><dt>hangs from</dt>
        <dd>{{ said('RIG') }}</dd></template
      >
      <template v-if="said('CONDITION')"
        ><dt>is</dt>
        <dd>{{ said('CONDITION') }}</dd></template
      >
      <template v-if="camera.length"
        ><dt>camera</dt>
        <dd class="figure">{{ camera.join(', ') }}</dd></template
      >
      <template v-if="placed.placement.kind === 'FLAG'"
        ><dt>flag</dt>
        <dd>{{ piece.widthM }} m wide</dd></template
      >
    </dl>
    <p class="px-5 pt-1">
      <RouterLink
        class="text-quiet underline"
        :to="{ name: 'log', params: { id: shotId }, query: { of: placed.placement.key } }"
        >Notes and photographs of it</RouterLink
      >
    </p>
    <ul class="px-5 pt-1">
      <li v-for="c in step.cautions" :key="c" class="flex gap-2 py-0.5">
        <WedgeMark /><span>{{ c }}</span>
      </li>
    </ul>
  </article>
</template>

<style scoped>
.plan {
  height: clamp(150px, 28vh, 320px);
  border: solid var(--line);
  border-width: 1px 0;
  overflow: hidden;
}
.cell {
  padding: 8px 8px 4px 20px;
  border-bottom: 1px solid var(--line);
}
.cell:nth-child(odd) {
  border-right: 1px solid var(--line);
}
.what {
  display: block;
  color: var(--quiet);
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.big {
  display: block;
  font: 500 46px/52px var(--font-mono);
  letter-spacing: -0.02em;
  font-variant-numeric: tabular-nums;
  white-space: nowrap;
}
.big.imperial {
  font-size: var(--text-slate);
}
.big .unit {
  font-size: var(--text-head);
}
.facts dt {
  color: var(--quiet);
}
.strong {
  font-size: var(--text-title);
}
@media (width < 800px) {
  .plan {
    height: 168px;
  }
}
</style>
