<script setup lang="ts">
import { computed } from 'vue'
import type { StillPair, StillSeen } from '@/api/types'
import FrameThumb from '@/components/frame/FrameThumb.vue'
import DotMark from '@/components/marks/DotMark.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import ReadThrough from '@/components/match/ReadThrough.vue'
import { fixed } from '@/lib/print'
import { isRead } from '@/lib/stills'
import { tenths } from '@/lib/stops'

/** What a still tells beside what was predicted, and lit to shadow by both schools. */
const props = defineProps<{ still: StillSeen; other?: StillSeen; pair?: StillPair; sceneId: number }>()
const schools = computed(() =>
  props.still.ratios.map((r, i) => ({
    through: i ? 'Percent divided' : `Through ${r.through}`,
    what: i ? 'display, not light' : 'light',
    rows: [props.other, props.still].flatMap((s) =>
      s?.ratios[i] ? [{ slate: s.head.slate, id: s.head.id, ...s.ratios[i] }] : [],
    ),
    apart: props.pair?.ratioApart[i],
  })),
)
/** Where they lie, the largest first. */
function partsOf(clipped: boolean) {
  const all = props.still.parts.filter((p) => p.clipped === clipped)
  return all.length ? `, ${[...new Set(all.map((p) => p.where))].join(', ')}` : ''
}
const share = (part: number) => (part > 0 && part < 0.001 ? 'under 0.1 %' : `${fixed(100 * part, 1)} %`)
</script>

<template>
  <aside class="pane" aria-label="Read off the still">
    <template v-if="isRead(still.head.kind)">
      <section>
        <h2 class="text-lead">{{ still.head.slate }} predicted</h2>
        <FrameThumb class="predicted" :shot-id="still.head.shotId" :name="still.head.slate" />
        <table v-if="still.predicted.length" class="w-full">
          <thead>
            <tr class="text-small text-quiet">
              <th scope="col" class="text-left font-normal">still less predicted</th>
              <th scope="col" class="font-normal">pred.</th>
              <th scope="col" class="font-normal">stops</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="p in still.predicted" :key="p.name">
              <th scope="row" class="text-left font-normal">
                <b>{{ still.points.findIndex((of) => of.name === p.name) + 1 }}</b> {{ p.name }}
              </th>
              <td class="figure">{{ p.percent === undefined ? 'dark' : `${fixed(p.percent, 0)} %` }}</td>
              <td class="figure">{{ p.apart === undefined ? '' : tenths(p.apart) }}</td>
            </tr>
          </tbody>
        </table>
        <p v-if="still.head.kind !== 'FRAME'" class="text-small text-quiet">
          As seen: whatever took it has graded it. Only a frame of the camera that shoots is a reading.
        </p>
      </section>
      <section>
        <h2 class="text-lead">Lit to shadow</h2>
        <div v-for="(school, i) in schools" :key="school.through" class="school" :class="{ judges: !i }">
          <p class="flex">
            <b class="grow">{{ school.through }}</b><span class="text-small text-quiet">{{
              i ? school.what : 'this scene judges by it'
            }}</span>
          </p>
          <p v-for="r in school.rows" :key="r.id" class="flex items-baseline gap-2">
            <span class="w-8 text-quiet">{{ r.slate }}</span><span class="figure text-title"
              >{{ fixed(r.ratio, 1) }}:1</span
            ><span class="figure grow">{{ fixed(r.stops, 1) }} stops</span
            ><span v-if="r.id === still.head.id && school.apart !== undefined" class="figure">{{
              tenths(school.apart)
            }}</span>
          </p>
        </div>
        <p v-if="!schools.length" class="text-quiet">
          Mark the lit cheek and the shadow cheek: the ratio is told here.
        </p>
        <p class="text-small text-quiet">Percents are read <ReadThrough :scene-id="sceneId" /></p>
      </section>
    </template>
    <section>
      <p v-if="!isRead(still.head.kind)" class="text-quiet">
        For the eye: lay it beside {{ other ? 'the one before' : 'another of its kind' }} and flick. Nothing is read off
        it.
      </p>
      <p v-else-if="pair" class="flex gap-2">
        <WedgeMark v-if="pair.holds === false" class="mt-1" /><DotMark v-else class="mt-1.5" /><span>{{
          pair.say
        }}</span>
      </p>
      <p v-if="pair?.white" class="flex gap-2">
        <DotMark v-if="pair.white.holds" class="mt-1.5" /><WedgeMark v-else class="mt-1" /><span
          >{{ pair.white.say }}
          <span class="text-small text-quiet"
            >From each camera’s white, as it codes colours (model); a look on the picture counts as light.</span
          ></span
        >
      </p>
      <p v-if="still.shape" class="flex gap-2"><WedgeMark class="mt-1" />{{ still.shape }}</p>
      <p v-if="still.hottest && still.darkest" class="text-small text-quiet">
        Clipped (hatched): {{ share(still.clippedShare) }} of the picture{{ partsOf(true) }}. Near black (dotted):
        {{ share(still.blackShare) }}{{ partsOf(false) }}. Hottest {{ fixed(still.hottest.percent, 0) }} %, darkest
        {{ fixed(still.darkest.percent, 0) }} %.
      </p>
      <slot />
    </section>
  </aside>
</template>

<style scoped>
.pane {
  overflow-y: auto;
  border-left: 1px solid var(--line);
  background: var(--panel);
}
.pane section {
  display: grid;
  gap: 6px;
  padding: 10px 16px;
  border-bottom: 1px solid var(--line);
}
.predicted {
  width: 236px;
}
td,
th:not(:first-child) {
  text-align: right;
}
.school {
  padding: 4px 0 4px 10px;
  margin-left: -12px;
  border-left: 2px solid transparent;
}
.judges {
  border-color: var(--accent);
  background: var(--raised);
}
</style>
