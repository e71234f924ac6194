<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { answer, api, sentence } from '@/api/client'
import type { AtMark, TrialView } from '@/api/types'
import StopsText from '@/components/marks/StopsText.vue'
import { signed } from '@/lib/print'
import { ratio, tenths } from '@/lib/stops'
import { useLight, type Trial } from '@/stores/light'
import { usePlot } from '@/stores/plot'
import { useSettings } from '@/stores/settings'
import BaseDialog from './BaseDialog.vue'

/** The record and every try, side by side on one mark. */
const props = defineProps<{ open: boolean }>()
defineEmits<{ close: [] }>()
const plot = usePlot()
const light = useLight()
const settings = useSettings()

interface Column {
  name: string
  tried: TrialView
  mark?: AtMark
}
const columns = ref<Column[]>([])
const error = ref('')

watch(
  () => props.open,
  async (open) => {
    if (!open) return
    error.value = ''
    columns.value = []
    const key = light.mark?.key
    const asked: Trial[] = [
      { name: 'Record', changes: [], holds: [] },
      ...light.trials.map((t) => ({ ...t, name: `Try ${t.name}` })),
    ]
    try {
      columns.value = await Promise.all(
        asked.map(async ({ name, changes, holds }) => {
          const params = { path: { shotId: plot.plot!.shot.id } }
          const body = { changes, holds, out: [] }
          const tried = await answer(api.POST('/api/shots/{shotId}/light', { params, body }))
          return { name, tried, mark: tried.light.marks.find((m) => m.key === key) ?? tried.light.marks[0] }
        }),
      )
    } catch (failure) {
      error.value = sentence(failure)
    }
  },
)

/** How far apart the sources that count are, in the words of the hint about mixed colour. */
function mixed(c: Column) {
  const hint = c.tried.light.hints.find((h) => h.kind === 'MIXED_COLOUR' && h.placement === c.mark?.key)
  return hint ? settings.printed(hint.reason).split('. ')[0] : 'they agree'
}
function white(c: Column) {
  const camera = c.tried.light.camera
  return camera ? `${Math.round(camera.whiteKelvin)} K ${camera.whiteDuv ? signed(camera.whiteDuv, 3) : ''}` : ''
}
const rows = computed<{ name: string; of: (c: Column) => string; swatch?: (c: Column) => string | undefined }[]>(() => [
  { name: 'lit cheek, stops', of: (c) => tenths(c.mark?.lit.overStops) },
  { name: 'shadow cheek, stops', of: (c) => tenths(c.mark?.shadow.overStops) },
  { name: 'background, stops', of: (c) => (c.mark?.background ? tenths(c.mark.background.overStops) : '') },
  { name: 'lit to shadow', of: (c) => (c.mark?.litToShadow ? ratio(c.mark.litToShadow.ratio) : '') },
  {
    name: 'lit cheek, K',
    of: (c) => (c.mark?.lit.kelvin ? String(Math.round(c.mark.lit.kelvin)) : ''),
    swatch: (c) => c.mark?.lit.swatch,
  },
  { name: 'lit cheek, Duv', of: (c) => (c.mark?.lit.duv === undefined ? '' : signed(c.mark.lit.duv, 4)) },
  {
    name: 'shadow cheek, K',
    of: (c) => (c.mark?.shadow.kelvin ? String(Math.round(c.mark.shadow.kelvin)) : ''),
    swatch: (c) => c.mark?.shadow.swatch,
  },
  { name: 'shadow cheek, Duv', of: (c) => (c.mark?.shadow.duv === undefined ? '' : signed(c.mark.shadow.duv, 4)) },
  { name: 'camera white', of: white },
  { name: 'colours there', of: mixed },
])
</script>

<template>
  <BaseDialog
    :open="open"
    wide
    :title="`Compared on ${columns[0]?.mark?.name ?? 'the mark'}, predicted`"
    :error="error"
    @close="$emit('close')"
  >
    <div class="overflow-x-auto">
      <table v-if="columns.length" class="w-full">
        <thead>
          <tr>
            <th />
            <th v-for="c in columns" :key="c.name" scope="col">{{ c.name }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.name">
            <th scope="row">{{ row.name }}</th>
            <td v-for="c in columns" :key="c.name" :class="{ words: row.of === mixed }">
              <span
                v-if="row.swatch?.(c)"
                class="swatch w-5.5 h-3 mr-2"
                :style="{ background: row.swatch(c) }"
              /><StopsText :text="row.of(c)" :class="{ figure: row.of !== mixed }" />
            </td>
          </tr>
          <tr>
            <th scope="row">changes</th>
            <td v-for="c in columns" :key="c.name" class="words">
              <template v-for="(x, i) in c.tried.changes" :key="i"
                >{{ x.name }} {{ x.label }} {{ settings.printed(x.after) }}<br
              /></template>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-else-if="!error" class="text-quiet">Working out the light of each…</p>
    </div>
    <p class="mt-2 text-small text-quiet">The swatch is what the camera sees at its white.</p>
    <template #buttons><button class="button button-main" @click="$emit('close')">Close</button></template>
  </BaseDialog>
</template>

<style scoped>
th,
td {
  padding: 4px 10px;
  border-bottom: 1px solid var(--line);
  text-align: right;
  vertical-align: top;
}
th[scope='row'] {
  text-align: left;
  font-weight: 400;
  color: var(--quiet);
  white-space: nowrap;
}
.words {
  font-size: var(--text-small);
  max-width: 220px;
}
</style>
