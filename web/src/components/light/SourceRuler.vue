<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Light, SourceView } from '@/api/types'
import MiredRuler, { type RulerArrow, type RulerMark } from '@/components/bench/MiredRuler.vue'
import { miredGradient } from '@/lib/miredGradient'
import { signed } from '@/lib/print'
import { miredAt } from '@/lib/scales'

/** The path of one source's colour through what hangs before it, beside the camera's white and the other sources. */
const props = defineProps<{ light: Light; source?: SourceView }>()
const band = ref<{ mired: number; swatch: string }[]>([])
const camera = computed(() => props.light.camera)

const ruler = computed(() => {
  const path = props.source?.path ?? []
  const last = path.at(-1)
  const marks: RulerMark[] = []
  if (path[0]) marks.push({ key: 'dialled', name: 'dialled', kelvin: path[0].kelvin, duv: path[0].duv, as: 'dot' })
  if (last && path.length > 1)
    marks.push({ key: 'behind', name: 'behind it all', kelvin: last.kelvin, duv: last.duv, as: 'ring' })
  if (camera.value)
    marks.push({
      key: 'white',
      name: 'camera white',
      kelvin: camera.value.whiteKelvin,
      duv: camera.value.whiteDuv,
      as: 'line',
    })
  const arrows: RulerArrow[] = path.slice(1).flatMap((step, i) =>
    step.miredShift
      ? [
          {
            key: `${i}`,
            name: `${step.name} ${signed(step.miredShift, 0)}`,
            from: miredAt(path[i]!.kelvin),
            to: miredAt(step.kelvin),
          },
        ]
      : [],
  )
  for (const s of props.light.sources ?? []) {
    const end = s.path.at(-1)
    if (s.key !== props.source?.key && end && !s.out)
      marks.push({ key: s.key, name: s.name, kelvin: end.kelvin, duv: end.duv, as: 'slab' })
  }
  const all = marks.map((m) => miredAt(m.kelvin))
  return { marks, arrows, from: Math.max(40, Math.min(150, ...all) - 20), to: Math.max(400, ...all) + 20 }
})
watch(
  () => [camera.value?.whiteKelvin, camera.value?.whiteDuv, ruler.value.from, ruler.value.to].join(),
  async () => {
    if (camera.value)
      band.value = await miredGradient(
        ruler.value.from,
        ruler.value.to,
        camera.value.whiteKelvin,
        camera.value.whiteDuv,
      ).catch(() => band.value)
  },
  { immediate: true },
)
</script>

<template>
  <header class="flex items-baseline gap-3">
    <h2 class="text-lead">Mired ruler, the path of {{ source?.name ?? 'no source' }}</h2>
    <span class="ml-auto text-small text-quiet">height above the ruler: green. below: magenta</span>
  </header>
  <MiredRuler v-bind="ruler" :band="band" />
</template>
