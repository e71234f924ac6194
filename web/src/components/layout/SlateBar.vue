<script setup lang="ts">
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import { held, type Attribute, type Placed, type Plot } from '@/api/types'
import SpineButton from './SpineButton.vue'
import ConnectionState from './ConnectionState.vue'
import OutputState from './OutputState.vue'
import KnotMark from '@/components/marks/KnotMark.vue'
import StopsText from '@/components/marks/StopsText.vue'
import { couldBeRebuilt } from '@/lib/recordCount'
import { apart, when } from '@/lib/words'
import { useBook } from '@/stores/book'
import { useConnection } from '@/stores/connection'
import { useSettings } from '@/stores/settings'

/** What is on the slate now: scene, shot, and the camera. A camera figure opens the camera in the inspector. */
const props = defineProps<{ plot: Plot; camera?: Placed }>()
const emit = defineEmits<{ camera: []; edit: []; spine: [] }>()

const book = useBook()
const connection = useConnection()
const settings = useSettings()
/** The last that there is to tell of it: shot, lit, or only touched. */
const said = computed(() => {
  const { shot } = props.plot
  const touch = book.shots.get(shot.id)?.shot.lastTouch
  if (shot.stage === 'SHOT' && shot.shot)
    return { what: shot.revision > 1 ? `revision ${shot.revision}, shot` : 'shot', by: shot.shot }
  if (shot.stage === 'LIT' && shot.lit)
    return { what: shot.revision > 1 ? `revision ${shot.revision}, lit` : 'lit', by: shot.lit }
  return touch ? { what: 'changed', by: touch } : undefined
})

/** What stands, and what of it a stranger could put back. */
const standing = computed(() => props.plot.placements.filter((p) => p.toBuild))
const whole = computed(() => couldBeRebuilt(standing.value))

const FIGURES: { attribute: Attribute; name: string }[] = [
  { attribute: 'STOP', name: 'stop' },
  { attribute: 'SPEED', name: 'speed' },
  { attribute: 'SHUTTER', name: 'shutter' },
  { attribute: 'WHITE', name: 'white' },
  { attribute: 'LENS', name: 'lens' },
]
const figures = computed(() =>
  FIGURES.flatMap((figure) => {
    const now = props.camera && held(props.camera, figure.attribute)
    if (!now) return []
    // a tint stands behind the white, in words
    const [main = '', ...more] = settings.printed(now.say).split(', ')
    const { before, figure: text, unit } = apart(main)
    return [
      { ...figure, before, text, unit: [unit, ...more].join(', '), here: now.tiedHere && !!props.plot.shot.basedOn },
    ]
  }),
)
</script>

<template>
  <header class="slate flex items-center h-13 pl-4 bg-panel border-b border-line">
    <SpineButton @click="emit('spine')" />
    <h1 class="text-slate leading-none font-bold">{{ plot.shot.slate }}</h1>
    <button class="head" title="Change the shot’s card" @click="emit('edit')">
      <span class="block truncate text-small"
        ><b class="font-strong">Sc. {{ plot.scene.number }}</b> {{ plot.scene.heading }}</span
      >
      <span class="block truncate text-small text-quiet">
        {{ plot.shot.description }}<template v-if="plot.shot.basedOn">, based on {{ plot.shot.basedOn }}</template>
      </span>
    </button>
    <button v-for="f in figures" :key="f.attribute" class="cell" :title="`Camera ${f.name}`" @click="emit('camera')">
      <span class="flex items-center gap-1">
        <span class="text-fine text-quiet">{{ f.before }}</span>
        <span class="figure text-large leading-6"
          ><StopsText v-if="f.attribute === 'STOP'" :text="f.text" /><template v-else>{{ f.text }}</template></span
        >
        <span class="text-fine text-quiet">{{ f.unit }}</span>
        <KnotMark v-if="f.here" />
      </span>
      <span class="block text-fine text-quiet">{{ f.name }}</span>
    </button>
    <RouterLink
      v-if="standing.length"
      class="cell whitespace-nowrap phone:!hidden"
      :title="`${whole} of ${standing.length} could be rebuilt. What is missing`"
      :to="{ name: 'walk', params: { id: plot.shot.id } }"
    >
      <span class="block"
        ><span class="figure text-large leading-6">{{ whole }}</span
        ><span class="text-fine text-quiet"> of {{ standing.length }}</span></span
      >
      <span class="block text-fine text-quiet">to rebuild</span>
    </RouterLink>
    <div
      v-if="connection.here.length"
      class="here min-w-0 max-w-32.5 px-3 text-small border-l border-line"
      :title="`Also looking at ${plot.shot.slate}: ${connection.here.join(', ')}`"
    >
      <span class="text-quiet">also here</span><span class="block truncate">{{ connection.here.join(', ') }}</span>
    </div>
    <div class="last ml-auto px-3.5 text-small text-right border-l border-line whitespace-nowrap upright:hidden">
      <template v-if="said"
        ><span class="block">{{ said.what }} {{ when(said.by.at) }}</span
        ><span class="block text-quiet">by {{ said.by.author }}</span></template
      >
    </div>
    <OutputState />
    <ConnectionState class="mr-2" />
  </header>
</template>

<style scoped>
.head {
  margin: 0 16px 0 12px;
  text-align: left;
  flex: 0 1 280px;
  min-width: 120px;
}
.head:hover span {
  color: var(--ink);
}
.cell {
  height: 100%;
  padding: 4px 14px 0;
  border-left: 1px solid var(--line);
  text-align: left;
}
.cell:hover {
  background: var(--raised);
}
.last + * {
  flex: none;
}
@media (width < 1100px) {
  .head {
    flex-shrink: 1;
    min-width: 60px;
    margin-right: 8px;
  }
  .cell {
    flex: none;
    padding: 4px 9px 0;
  }
}
@media (width < 800px) {
  .cell {
    display: none;
  }
}
</style>
