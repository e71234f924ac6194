<script setup lang="ts">
import { computed, ref } from 'vue'
import { value, type Placed, type SetPlan, type Side } from '@/api/types'
import FrameMark from '@/components/plot/FrameMark.vue'
import HeadMark from '@/components/plot/HeadMark.vue'
import OtherMark from '@/components/plot/OtherMark.vue'
import SetLayer from '@/components/plot/SetLayer.vue'
import TapeLine from '@/components/plot/TapeLine.vue'
import { toPx } from '@/lib/screen'
import { wallPoints } from '@/lib/set'
import { useViewport } from '@/lib/useViewport'

/** The part of the plan that one step needs: the stand and its two landmarks, A and B. */
const props = defineProps<{
  set: SetPlan
  placed: Placed
  /** Shows tapes that the crew pulled, and no others. */ pulledOnly?: boolean
  /** Two landmarks of which somebody has to say on which side it stands, by a tap. */ of?: [string, string]
}>()
const emit = defineEmits<{ side: [side: Side] }>()
const element = ref<SVGSVGElement>()
const place = computed(() => value(props.placed, 'PLACE'))
const tapes = computed(() => props.placed.tapes)
const { view } = useViewport({
  element,
  margin: 46,
  points: () => [
    ...(place.value ? [place.value] : []),
    ...(tapes.value
      ? [tapes.value.a.from, tapes.value.b.from, ...tapes.value.checks.map((c) => c.from)]
      : wallPoints(props.set)),
  ],
})
const at = computed(() => (place.value ? toPx(view.value, place.value) : undefined))
const bearing = computed(() => props.placed.aim?.bearingDeg ?? 0)

function tapped(event: MouseEvent) {
  const [a, b] = (props.of ?? []).map((name) => props.set.landmarks.find((l) => l.name === name)?.point)
  if (!a || !b || !element.value) return
  const box = element.value.getBoundingClientRect()
  const [from, to] = [toPx(view.value, a), toPx(view.value, b)]
  const turn =
    (to.x - from.x) * (event.clientY - box.top - from.y) - (to.y - from.y) * (event.clientX - box.left - from.x)
  emit('side', turn < 0 ? 'LEFT' : 'RIGHT') // the screen's y goes down
}
</script>

<template>
  <!-- The two buttons beside it say the side too. -->
  <!-- eslint-disable-next-line vuejs-accessibility/click-events-have-key-events, vuejs-accessibility/no-static-element-interactions -->
  <svg
    ref="element"
    class="plan block w-full h-full"
    role="img"
    :aria-label="`Where ${placed.placement.name} stands`"
    @click="tapped"
  >
    <SetLayer :set="set" :view="view" :named="of ?? (tapes ? [tapes.a.landmark, tapes.b.landmark] : [])" />
    <template v-if="at && tapes && (tapes.own || !pulledOnly)">
      <TapeLine :tape="tapes.a" :to="at" :view="view" letter="A" />
      <TapeLine :tape="tapes.b" :to="at" :view="view" letter="B" />
      <TapeLine v-for="c in tapes.checks.slice(0, 1)" :key="c.landmark" :tape="c" :to="at" :view="view" letter="C" />
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
