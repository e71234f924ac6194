<script setup lang="ts">
import { ref } from 'vue'
import { answer, api, asFile } from '@/api/client'
import type { DrawnSet, PlanPoint } from '@/api/types'
import FigureField from '@/components/fields/FigureField.vue'
import NoteList from '@/components/log/NoteList.vue'
import { LISTED, listOf, type Listed } from '@/lib/setDrawing'
import { useSubmit } from '@/lib/useSubmit'
import type { UseSetDrawingReturn } from '@/lib/useSetDrawing'
import PaintFields from './PaintFields.vue'

/** All of the set: its room, where it stands on the earth, the picture under it, and each piece to choose. */
const props = defineProps<{ drawing: UseSetDrawingReturn; drawn?: DrawnSet }>()
const emit = defineEmits<{ fit: [] }>()
const { set, plan, tool, change, rename, choose } = props.drawing
const { error, submit } = useSubmit()
const METRES_PER_PX = 0.01

/** Latitude and longitude are one thing: half of it is kept here until the other half is typed. */
const half = ref<{ latitude?: number; longitude?: number }>({})
function site(part: { latitude?: number; longitude?: number }) {
  const { latitude, longitude } = { ...(plan.value.site ?? half.value), ...part }
  const whole = latitude !== undefined && longitude !== undefined
  half.value = whole ? {} : { latitude, longitude }
  if (whole) change({ site: { latitude, longitude } })
  else if (plan.value.site) change({ site: undefined })
}

function putPicture(event: Event, setId: number) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  void submit(async () => {
    const picture = await answer(
      api.POST('/api/sets/{setId}/pictures', { params: { path: { setId } }, ...asFile(file) }),
    )
    const corner: PlanPoint = { xM: 0, yM: 0 }
    const { id, widthPx, heightPx } = picture
    change({ underlay: { picture: id, widthPx, heightPx, metresPerPx: METRES_PER_PX, corner } })
    tool.value = 'scale'
    emit('fit')
  })
}

function nameOf(list: Listed, i: number): string {
  const piece = listOf(plan.value, list)[i]!
  return 'name' in piece ? piece.name : 'note' in piece ? piece.note : `wall ${i + 1}`
}
</script>

<template>
  <h2 class="text-lead">The set</h2>
  <label class="field-row"
    ><span>name</span
    ><input class="field" :value="set.name" @change="rename(($event.target as HTMLInputElement).value)"
  /></label>
  <div class="figure-row">
    <FigureField
      label="ceiling"
      kind="LENGTH"
      :value="plan.ceilingHeightM"
      when-empty="outdoors"
      @read="change({ ceilingHeightM: $event })"
    />
    <FigureField label="north, °" kind="NUMBER" :value="plan.northDeg" @read="change({ northDeg: $event })" />
  </div>
  <PaintFields label="ceiling" :otherwise="0.7" :surface="plan.ceiling" @change="change({ ceiling: $event })" />
  <PaintFields label="floor" :otherwise="0.2" :surface="plan.floor" @change="change({ floor: $event })" />
  <h3 class="group-title">On the earth, for the sun</h3>
  <div class="figure-row">
    <FigureField
      label="latitude, °"
      kind="NUMBER"
      :value="plan.site?.latitude ?? half.latitude"
      when-empty="not known"
      @read="site({ latitude: $event })"
    />
    <FigureField
      label="longitude, °"
      kind="NUMBER"
      :value="plan.site?.longitude ?? half.longitude"
      when-empty="not known"
      @read="site({ longitude: $event })"
    />
  </div>
  <p v-if="half.latitude !== undefined || half.longitude !== undefined" role="status" class="text-small">
    Type the {{ half.latitude === undefined ? 'latitude' : 'longitude' }} too: the place is kept once both are known.
  </p>
  <div v-if="drawn" class="border-t border-line pt-2">
    <h3 class="group-title">Picture under the plan</h3>
    <label class="mt-1 block"
      ><span class="text-small text-quiet">PNG, JPEG or SVG of the plan</span
      ><input
        type="file"
        class="field"
        accept="image/png,image/jpeg,image/svg+xml"
        @change="putPicture($event, drawn.id)"
    /></label>
    <p v-if="error" role="alert" class="text-small">{{ error }}</p>
    <div v-if="plan.underlay" class="mt-1 flex gap-2">
      <button class="button" @click="tool = 'scale'">Scale by two points</button
      ><button class="button" @click="change({ underlay: undefined })">Take it out</button>
    </div>
  </div>
  <NoteList v-if="drawn" class="border-t border-line pt-2" :about="{ setId: drawn.id }" :name="set.name" />
  <ul class="border-t border-line pt-2">
    <template v-for="list in LISTED" :key="list">
      <li v-for="(_, at) in listOf(plan, list)" :key="`${list}${at}`">
        <button class="w-full px-1 py-0.5 text-left hover:bg-raised" @click="choose({ list, at })">
          {{ nameOf(list, at) }}
        </button>
      </li>
    </template>
  </ul>
</template>
