<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { value, type MeasuredBody, type Placed, type Side } from '@/api/types'
import ChoiceField from '@/components/dialogs/ChoiceField.vue'
import TextField from '@/components/dialogs/TextField.vue'
import { useSubmit } from '@/lib/useSubmit'
import { usePlot } from '@/stores/plot'
import { useSettings } from '@/stores/settings'
import { useShotEditor } from '@/stores/shotEditor'

/** Where a thing stands, as it was measured on set: by tapes, from a mark, along a wall, on a landmark. */
const props = defineProps<{ placed: Placed }>()
const emit = defineEmits<{ close: [] }>()
const plot = usePlot()
const editor = useShotEditor()
const settings = useSettings()
const { busy, error, submit } = useSubmit()

const WAYS = [
  { key: 'TAPES', name: 'by tapes' },
  { key: 'POLAR', name: 'from a mark, off the camera' },
  { key: 'WALL', name: 'along a wall' },
  { key: 'LANDMARK', name: 'on a landmark' },
]
const HANDS: { key: Side | ''; name: string }[] = [
  { key: '', name: 'told by a third tape, or by the walls' },
  { key: 'LEFT', name: 'on the left, walking from the first to the second' },
  { key: 'RIGHT', name: 'on the right, walking from the first to the second' },
]
const CAMERA_SIDES: { key: Side; name: string }[] = [
  { key: 'LEFT', name: 'camera left' },
  { key: 'RIGHT', name: 'camera right' },
]
const MOST_TAPES = 4
const landmarks = computed(() => (plot.set?.landmarks ?? []).map((l) => ({ key: l.name, name: l.name })))
const marks = computed(() =>
  editor.placements
    .filter((p) => p.placement.kind === 'MARK' && p.placement.key !== props.placed.placement.key)
    .map((p) => ({ key: p.placement.key, name: p.placement.name })),
)
const own = props.placed.tapes
/** The landmarks that were used, then the others; lengths only where they were pulled. */
const named = [own?.a, own?.b, ...(own?.checks ?? [])].flatMap((t) => (t ? [t.landmark] : []))
const order = [...new Set([...named, ...landmarks.value.map((l) => l.key)])]
const pulled = [own?.a, own?.b, ...(own?.checks ?? [])]
const length = (i: number) => (own?.own && pulled[i] ? settings.printed(pulled[i]!.length) : '')
const tapes = reactive(
  [0, 1, 2].slice(0, Math.min(3, order.length)).map((i) => ({ landmark: order[i]!, length: length(i) })),
)
const way = ref('TAPES')
/** Its light comes through an opening. */
const outside = ref(value(props.placed, 'PLACE')?.outside ?? false)
const hand = ref<Side | ''>(own?.own ? own.side : '')
const polar = reactive({ mark: marks.value[0]?.key ?? '', distance: '', offDeg: '', side: 'LEFT' as Side })
const wall = reactive({ from: order[0] ?? '', towards: order[1] ?? '', along: '', out: '' })
const landmark = ref(order[0] ?? '')

function body(): MeasuredBody {
  const side = hand.value || undefined
  if (way.value === 'POLAR')
    return { polar: { ...polar, offDeg: Number(polar.offDeg.replace(/[°\s]/g, '') || Number.NaN) } }
  if (way.value === 'WALL') return { alongWall: { ...wall, side } }
  if (way.value === 'LANDMARK') return { onLandmark: landmark.value }
  return { tapes: tapes.filter((t) => t.length.trim()), side }
}
function keep() {
  void submit(async () => {
    const measured: MeasuredBody = { ...body(), outside: outside.value }
    if (measured.polar && !Number.isFinite(measured.polar.offDeg))
      throw new Error('Type the degrees off the way to the camera as a number, such as 45.')
    await plot.record(props.placed.placement.key, 'PLACE', { measured })
    emit('close')
  })
}
</script>

<template>
  <form class="grid gap-2 border-l border-line py-1 pl-3" aria-label="As it was measured" @submit.prevent="keep">
    <ChoiceField v-model="way" label="Measured" :options="WAYS" />
    <template v-if="way === 'TAPES'">
      <div v-for="(tape, i) in tapes" :key="i" class="grid grid-cols-[minmax(0,1fr)_92px] gap-2">
        <select v-model="tape.landmark" class="field" :aria-label="`Landmark ${'ABCD'[i]}`">
          <option v-for="l in landmarks" :key="l.key" :value="l.key">{{ l.name }}</option>
        </select>
        <input
          v-model="tape.length"
          class="field figure text-right"
          autocomplete="off"
          :placeholder="i > 1 ? 'check' : ''"
          :aria-label="`Tape ${'ABCD'[i]}`"
        />
      </div>
      <button
        v-if="tapes.length < Math.min(MOST_TAPES, landmarks.length)"
        type="button"
        class="button justify-self-start"
        @click="tapes.push({ landmark: order[tapes.length]!, length: '' })"
      >
        One more tape
      </button>
      <p v-if="landmarks.length < 2" class="text-small">Two tapes need two landmarks: put them on the set first.</p>
    </template>
    <template v-else-if="way === 'POLAR'">
      <ChoiceField v-model="polar.mark" label="From" :options="marks" />
      <TextField v-model="polar.distance" label="Along the floor" :maxlength="20" />
      <TextField v-model="polar.offDeg" label="Degrees off the way from there to the camera" :maxlength="6" />
      <ChoiceField v-model="polar.side" label="As one looks through the camera" :options="CAMERA_SIDES" />
    </template>
    <template v-else-if="way === 'WALL'">
      <ChoiceField v-model="wall.from" label="From" :options="landmarks" />
      <ChoiceField v-model="wall.towards" label="Towards" :options="landmarks" />
      <TextField v-model="wall.along" label="Along the wall" :maxlength="20" />
      <TextField v-model="wall.out" label="Out into the room" :maxlength="20" />
    </template>
    <ChoiceField v-else v-model="landmark" label="On" :options="landmarks" />
    <ChoiceField v-if="way === 'TAPES' || way === 'WALL'" v-model="hand" label="It stands" :options="HANDS" />
    <label v-if="plot.set?.walls.length" class="flex items-center gap-2"
      ><input v-model="outside" type="checkbox" />outside the walls, on purpose</label
    >
    <p v-if="error" role="alert">{{ error }}</p>
    <div class="flex gap-2">
      <button class="button button-main" :disabled="busy">Keep</button
      ><button type="button" class="button" @click="emit('close')">Not now</button>
    </div>
  </form>
</template>
