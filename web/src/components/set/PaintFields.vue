<script setup lang="ts">
import { computed } from 'vue'
import type { Surface } from '@/api/types'
import FigureField from '@/components/fields/FigureField.vue'

/** What a surface sends back: chosen as one would name the paint, or typed. */
const props = defineProps<{ label: string; otherwise: number; surface?: Surface }>()
const emit = defineEmits<{ change: [surface: Surface | undefined] }>()

const PAINTS: { name: string; surface: Surface }[] = [
  { name: 'white', surface: { reflectance: 0.8, miredShift: 0, duvShift: 0 } },
  { name: 'cream', surface: { reflectance: 0.7, miredShift: 15, duvShift: 0 } },
  { name: 'mid grey', surface: { reflectance: 0.3, miredShift: 0, duvShift: 0 } },
  { name: 'dark', surface: { reflectance: 0.12, miredShift: 0, duvShift: 0 } },
  { name: 'black', surface: { reflectance: 0.04, miredShift: 0, duvShift: 0 } },
  { name: 'pine, varnished', surface: { reflectance: 0.4, miredShift: 45, duvShift: 0 } },
  { name: 'brick', surface: { reflectance: 0.25, miredShift: 70, duvShift: -0.004 } },
  { name: 'pale blue', surface: { reflectance: 0.55, miredShift: -30, duvShift: 0 } },
  { name: 'pale green', surface: { reflectance: 0.55, miredShift: 0, duvShift: 0.006 } },
]
const now = computed(() => (props.surface ? JSON.stringify(props.surface) : ''))
const named = computed(() => PAINTS.some((p) => JSON.stringify(p.surface) === now.value))

function part(name: keyof Surface, value: number | undefined) {
  const now = props.surface ?? { reflectance: props.otherwise, miredShift: 0, duvShift: 0 }
  emit('change', { ...now, [name]: value })
}
</script>

<template>
  <div class="grid gap-1">
    <label class="field-row"
      ><span>{{ label }}</span>
      <select
        class="field"
        :value="now"
        @change="
          emit(
            'change',
            ($event.target as HTMLSelectElement).value
              ? JSON.parse(($event.target as HTMLSelectElement).value)
              : undefined,
          )
        "
      >
        <option value="">not known: {{ Math.round(otherwise * 100) }} % comes back</option>
        <option v-for="p in PAINTS" :key="p.name" :value="JSON.stringify(p.surface)">
          {{ p.name }}, {{ Math.round(p.surface.reflectance * 100) }} %
        </option>
        <option v-if="surface && !named" :value="now">measured</option>
      </select>
    </label>
    <div v-if="surface" class="figure-row">
      <FigureField label="comes back" kind="NUMBER" :value="surface.reflectance" @read="part('reflectance', $event)" />
      <FigureField label="mired" kind="NUMBER" :value="surface.miredShift" @read="part('miredShift', $event)" />
      <FigureField label="Duv" kind="NUMBER" :value="surface.duvShift" @read="part('duvShift', $event)" />
    </div>
  </div>
</template>
