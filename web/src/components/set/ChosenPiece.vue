<script setup lang="ts">
import { computed } from 'vue'
import type { PlanPoint, Restriction } from '@/api/types'
import FigureField from '@/components/fields/FigureField.vue'
import { readFigures } from '@/lib/figures'
import { listOf, withCorners } from '@/lib/setDrawing'
import { useSubmit } from '@/lib/useSubmit'
import type { UseSetDrawingReturn } from '@/lib/useSetDrawing'
import LandmarkTapes from './LandmarkTapes.vue'
import PaintFields from './PaintFields.vue'

/** The piece of the set that is chosen, to be typed. */
const props = defineProps<{ drawing: UseSetDrawingReturn }>()
const { plan, chosen, corners, replace, remove, choose } = props.drawing
const { error, submit } = useSubmit()

const HEADINGS = {
  walls: 'Wall',
  openings: 'Opening',
  furniture: 'Furniture',
  landmarks: 'Landmark',
  restrictions: 'Not allowed',
}
const KINDS: { key: Restriction['kind']; name: string }[] = [
  { key: 'NO_STANDS', name: 'no stands' },
  { key: 'NO_HAZE', name: 'no haze' },
  { key: 'LOAD_LIMIT', name: 'load limit' },
  { key: 'QUIET', name: 'quiet' },
  { key: 'OTHER', name: 'other' },
]
const list = computed(() => chosen.value?.list)
const at = computed(() => chosen.value?.at ?? -1)
const wall = computed(() => (list.value === 'walls' ? plan.value.walls[at.value] : undefined))
const opening = computed(() => (list.value === 'openings' ? plan.value.openings[at.value] : undefined))
const furniture = computed(() => (list.value === 'furniture' ? plan.value.furniture[at.value] : undefined))
const restriction = computed(() =>
  list.value === 'restrictions' ? listOf(plan.value, 'restrictions')[at.value] : undefined,
)
const landmark = computed(() => (list.value === 'landmarks' ? plan.value.landmarks[at.value] : undefined))
const named = computed(() => opening.value ?? furniture.value ?? landmark.value)
const typed = (event: Event) => (event.target as HTMLInputElement | HTMLSelectElement).value
const said = computed(() => corners.value.map((p) => `${p.xM} ${p.yM}`).join('; '))

/** Corners typed as `0 0; 6 0; 6 4`; what cannot be read leaves them as they are. */
function typedCorners(event: Event) {
  const pairs = typed(event)
    .split(/\s*;\s*/)
    .filter(Boolean)
    .map((pair) => pair.trim().split(/\s+|,\s+/))
  void submit(async () => {
    const right = pairs.every((pair) => pair.length === 2)
    const least = { openings: 2, walls: 2, landmarks: 1, furniture: 3, restrictions: 3 }[list.value!]
    if (!right || pairs.length < least)
      throw new Error('Type the corners as metres right and up, apart by semicolons: 0 0; 6 0; 6 4.5.')
    const figures = await readFigures(...pairs.flat().map((one) => ({ kind: 'LENGTH' as const, text: `${one} m` })))
    const points = pairs.map((_, i): PlanPoint => ({ xM: figures[2 * i]!, yM: figures[2 * i + 1]! }))
    replace(withCorners(list.value!, points))
  })
}
</script>

<template>
  <div class="flex items-center">
    <h2 class="grow text-lead">{{ list && HEADINGS[list] }}</h2>
    <button class="button" @click="remove">Take away</button>
  </div>
  <label v-if="named" class="field-row"
    ><span>name</span><input class="field" :value="named.name" @change="replace({ name: typed($event) })"
  /></label>
  <div v-if="landmark" class="figure-row">
    <FigureField
      label="high"
      kind="LENGTH"
      :value="landmark.heightM"
      when-empty="not said"
      @read="replace({ heightM: $event })"
    />
  </div>
  <LandmarkTapes v-if="landmark" :plan="plan" :landmark="landmark" @found="replace({ point: $event })" />
  <template v-if="wall">
    <div class="figure-row">
      <FigureField
        label="high"
        kind="LENGTH"
        :value="wall.heightM"
        when-empty="to the ceiling"
        @read="replace({ heightM: $event })"
      />
    </div>
    <PaintFields label="paint" :otherwise="0.5" :surface="wall.surface" @change="replace({ surface: $event })" />
  </template>
  <template v-if="opening">
    <label class="field-row"
      ><span>kind</span
      ><select class="field" :value="opening.kind" @change="replace({ kind: typed($event) })">
        <option value="WINDOW">window</option>
        <option value="DOOR">door</option>
      </select></label
    >
    <div class="figure-row">
      <FigureField label="sill" kind="LENGTH" :value="opening.sillM" @read="replace({ sillM: $event })" />
      <FigureField label="head" kind="LENGTH" :value="opening.headM" @read="replace({ headM: $event })" />
    </div>
  </template>
  <div v-if="furniture" class="figure-row">
    <FigureField label="high" kind="LENGTH" :value="furniture.heightM" @read="replace({ heightM: $event })" />
  </div>
  <template v-if="restriction">
    <label class="field-row"
      ><span>what</span
      ><select class="field" :value="restriction.kind" @change="replace({ kind: typed($event) })">
        <option v-for="k in KINDS" :key="k.key" :value="k.key">{{ k.name }}</option>
      </select></label
    >
    <label class="field-row"
      ><span>note</span><input class="field" :value="restriction.note" @change="replace({ note: typed($event) })"
    /></label>
  </template>
  <label class="block"
    ><span class="text-small text-quiet">Corners, metres right and up</span
    ><textarea class="field figure min-h-16 !text-small" :value="said" @change="typedCorners" />
  </label>
  <p v-if="error" role="alert" class="text-small">{{ error }}</p>
  <button class="button" @click="choose(undefined)">All of the set</button>
</template>
