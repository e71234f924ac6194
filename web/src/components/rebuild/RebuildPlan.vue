<script setup lang="ts">
import { computed, ref } from 'vue'
import { value, type Placed, type SetPlan } from '@/api/types'
import FrameMark from '@/components/plot/FrameMark.vue'
import HeadMark from '@/components/plot/HeadMark.vue'
import OtherMark from '@/components/plot/OtherMark.vue'
import SetLayer from '@/components/plot/SetLayer.vue'
import TapeLine from '@/components/plot/TapeLine.vue'
import { toPx } from '@/lib/screen'
import { wallPoints } from '@/lib/set'
import { useViewport } from '@/lib/useViewport'

/** The part of the plan that one step needs: the stand and its two landmarks, A and B. */
const props = defineProps<{ set: SetPlan; placed: Placed }>()
const element = ref<SVGSVGElement>()
const place = computed(() => value(props.placed, 'PLACE'))
const tapes = computed(() => props.placed.tapes)
const { view } = useViewport({
  element,
  margin: 46,
  points: () => [
    ...(place.value ? [place.value] : []),
    ...(tapes.value ? [tapes.value.a.from, tapes.value.b.from] : wallPoints(props.set)),
  ],
})
const at = computed(() => (place.value ? toPx(view.value, place.value) : undefined))
const bearing = computed(() => props.placed.aim?.bearingDeg ?? 0)
</script>

<template>
  <svg ref="element" class="plan block w-full h-full" role="img" :aria-label="`Where ${placed.placement.name} stands`">
    <SetLayer :set="set" :view="view" :named="tapes ? [tapes.a.landmark, tapes.b.landmark] : []" />
    <template v-if="at && tapes">
      <TapeLine :tape="tapes.a" :to="at" :view="view" letter="A" />
      <TapeLine :tape="tapes.b" :to="at" :view="view" letter="B" />
    </template>
    <template v-if="at">
      <FrameMark :placed="placed" :at="at" :bearing="bearing" :scale="view.scale" />
      <g :transform="`translate(${at.x} ${at.y})`">
        <HeadMark v-if="placed.light" :placed="placed" :scale="view.scale" :bearing="bearing" />
        <OtherMark v-else :placed="placed" :scale="view.scale" :bearing="bearing" />
      </g>
    </template>
  </svg>
</template>
