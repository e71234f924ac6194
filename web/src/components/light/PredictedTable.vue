<script setup lang="ts">
import { computed } from 'vue'
import type { AtMark, Meter, ReadingView } from '@/api/types'
import StopsText from '@/components/marks/StopsText.vue'
import { signed } from '@/lib/print'
import { ratio, tenths } from '@/lib/stops'
import { when } from '@/lib/words'
import { useSettings } from '@/stores/settings'

/** What is predicted at a mark, and what a meter said there. */
const props = defineProps<{ mark: AtMark; meter?: Meter; /** The newest of all lights there. */ read?: ReadingView }>()
const settings = useSettings()

const calibrated = computed(() => (props.meter?.lights ?? []).filter((l) => l.kStops !== undefined))
const table = computed(() => {
  const m = props.mark
  return [
    { name: 'Lit cheek', figure: tenths(m.lit.overStops) },
    { name: 'Shadow cheek', figure: tenths(m.shadow.overStops) },
    ...(m.litToShadow
      ? [{ name: 'Lit to shadow', figure: `${ratio(m.litToShadow.ratio)}  ${tenths(m.litToShadow.stops)}` }]
      : []),
    ...(m.keyToFill
      ? [{ name: 'Key to fill, alone', figure: `${ratio(m.keyToFill.ratio)}  ${tenths(m.keyToFill.stops)}` }]
      : []),
    ...(m.background ? [{ name: 'Background', figure: tenths(m.background.overStops) }] : []),
    ...(m.stop ? [{ name: 'A meter at the lit cheek', figure: m.stop }] : []),
    { name: 'Light there', figure: settings.printed(m.litLight) },
    ...(m.lit.kelvin ? [{ name: 'White, lit', figure: `${Math.round(m.lit.kelvin)} K`, swatch: m.lit.swatch }] : []),
    ...(m.lit.swatch && !m.lit.kelvin ? [{ name: 'A colour, lit', figure: 'no white', swatch: m.lit.swatch }] : []),
    ...(m.lit.duv === undefined ? [] : [{ name: 'Tint, lit', figure: `${signed(m.lit.duv, 3)}` }]),
    ...(m.shadow.kelvin
      ? [{ name: 'White, shadow', figure: `${Math.round(m.shadow.kelvin)} K`, swatch: m.shadow.swatch }]
      : []),
  ]
})
</script>

<template>
  <h2 class="text-lead">Predicted</h2>
  <table class="w-full">
    <tbody>
      <tr v-for="row in table" :key="row.name">
        <th scope="row">{{ row.name }}</th>
        <td class="figure">
          <span v-if="row.swatch" class="swatch mr-1.5" :style="{ background: row.swatch }" /><StopsText
            :text="row.figure"
          />
        </td>
      </tr>
    </tbody>
  </table>
  <div v-if="read || calibrated.length" class="mt-2 text-small">
    <h3 class="text-base">Metered</h3>
    <p v-if="read">
      <StopsText :text="settings.printed(read.words)" />{{ ' ' }}
      <span class="text-quiet">{{ read.author }}, {{ when(read.at) }}</span
      ><template v-for="b in read.beside" :key="b.what"
        >; {{ b.what }} <span class="figure">{{ signed(b.stops, 1) }}</span></template
      >
    </p>
    <p v-for="l in calibrated" :key="l.key">
      {{ l.name }} <span class="figure">{{ signed(l.kStops!, 1) }}</span> against its figures; predictions follow the
      meter.
    </p>
  </div>
  <p class="mt-2 text-fine text-quiet">By nominal figures, every way and all bounces (model). A meter decides.</p>
</template>

<style scoped>
th {
  padding: 3px 0;
  font-weight: 400;
  text-align: left;
}
td {
  text-align: right;
  font-size: var(--text-figure);
}
tr {
  border-bottom: 1px solid var(--line);
}
</style>
