<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { onBeforeRouteLeave, useRouter } from 'vue-router'
import { ApiError, call, sentence } from '@/api/client'
import {
  value,
  type DrawnSet,
  type PlanPoint,
  type Restriction,
  type SetPlan,
  type StageSet,
  type Surface,
  type Underlay,
} from '@/api/types'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import PaintFields from '@/components/set/PaintFields.vue'
import NoteList from '@/components/log/NoteList.vue'
import SetEditor from '@/components/set/SetEditor.vue'
import { useHistory } from '@/lib/useHistory'
import { usePlot } from '@/stores/plot'

/** Draws the set: walls, openings, what stands in it, landmarks, what the place does not allow, a picture under it all. */
const props = defineProps<{ shotId: number }>()
defineEmits<{ spine: [] }>()
const plot = usePlot()
const router = useRouter()

type Tool = 'choose' | 'wall' | 'window' | 'door' | 'furniture' | 'landmark' | 'restriction' | 'scale'
type Listed = 'walls' | 'openings' | 'furniture' | 'landmarks' | 'restrictions'
interface Chosen {
  list: Listed
  at: number
}

const TOOLS: { key: Tool; name: string; clicks: 0 | 1 | 2 | 'many'; hint: string }[] = [
  { key: 'choose', name: 'Choose', clicks: 0, hint: 'Click a thing to change it. Drag its corners.' },
  {
    key: 'wall',
    name: 'Wall',
    clicks: 'many',
    hint: 'Click corner after corner; on the first again, or Enter, to end.',
  },
  { key: 'window', name: 'Window', clicks: 2, hint: 'Click both sides of the window on a wall.' },
  { key: 'door', name: 'Door', clicks: 2, hint: 'Click both sides of the door on a wall, hinge last.' },
  { key: 'furniture', name: 'Furniture', clicks: 'many', hint: 'Click its corners; Enter to end.' },
  { key: 'landmark', name: 'Landmark', clicks: 1, hint: 'Click a point that can be found again: a post, a corner.' },
  { key: 'restriction', name: 'Not allowed', clicks: 'many', hint: 'Click round where it holds; Enter to end.' },
]
const SCALING = { clicks: 2, hint: 'Click two points of the picture whose distance you know.' } as const
const KINDS: { key: Restriction['kind']; name: string }[] = [
  { key: 'NO_STANDS', name: 'no stands' },
  { key: 'NO_HAZE', name: 'no haze' },
  { key: 'LOAD_LIMIT', name: 'load limit' },
  { key: 'QUIET', name: 'quiet' },
  { key: 'OTHER', name: 'other' },
]
const EMPTY: StageSet = { name: '', plan: { northDeg: 0, walls: [], openings: [], furniture: [], landmarks: [] } }
const METRES_PER_PX = 0.01

const stage = ref<InstanceType<typeof SetEditor>>()
const history = useHistory<StageSet>(EMPTY)
const drawn = ref<DrawnSet>()
const scenes = ref<string[]>([])
const tool = ref<Tool>('choose')
const chosen = ref<Chosen>()
const paces = ref('')
const scaling = ref<{ first: PlanPoint; second: PlanPoint; distance: string }>()
const problem = ref('')
const conflict = ref<DrawnSet>()
const leaving = ref<string>()
const kept = ref(false)

const set = history.now
const plan = computed(() => set.value.plan)
const now = computed(() => (tool.value === 'scale' ? SCALING : TOOLS.find((t) => t.key === tool.value)!))
const standing = computed(() =>
  plot.placements.flatMap((p) =>
    p.onSet && value(p, 'PLACE') && !value(p, 'PLACE')!.outside
      ? [{ name: p.placement.name, at: value(p, 'PLACE')! }]
      : [],
  ),
)

watch(() => props.shotId, open, { immediate: true })

async function open() {
  await plot.load(props.shotId)
  const id = plot.plot?.drawn.id
  if (id === undefined) return
  try {
    const page = await call<{ drawn: DrawnSet; scenes: string[] }>('GET', `/api/sets/${id}`)
    take(page.drawn)
    scenes.value = page.scenes
  } catch (failure) {
    problem.value = sentence(failure)
  }
}

function take(d: DrawnSet) {
  drawn.value = d
  history.reset(d.set)
  chosen.value = undefined
  conflict.value = undefined
}

function takeTheirs(theirs: DrawnSet) {
  take(theirs)
  problem.value = ''
}

function chooseInList(list: Listed, at: number) {
  tool.value = 'choose'
  chosen.value = { list, at }
}

function change(part: Partial<SetPlan>) {
  kept.value = false
  history.set({ ...set.value, plan: { ...plan.value, ...part } })
}

function list<L extends Listed>(name: L): NonNullable<SetPlan[L]> {
  return (plan.value[name] ?? []) as NonNullable<SetPlan[L]>
}

function put(name: Listed, item: object) {
  change({ [name]: [...list(name), item] })
  chosen.value = { list: name, at: list(name).length - 1 }
}

function replace(name: Listed, at: number, part: object) {
  change({ [name]: list(name).map((item, i) => (i === at ? { ...item, ...part } : item)) })
}

function remove(c: Chosen) {
  chosen.value = undefined
  change({ [c.list]: list(c.list).filter((_, i) => i !== c.at) })
}

function done(points: PlanPoint[]) {
  const [first, second] = points
  const count = (kind: string) => plan.value.openings.filter((o) => o.kind === kind).length
  if (tool.value === 'wall' && points.length > 1) put('walls', { points })
  if (tool.value === 'window' && first && second)
    put('openings', {
      name: `window ${count('WINDOW') + 1}`,
      kind: 'WINDOW',
      from: first,
      to: second,
      sillM: 0.9,
      headM: 2.2,
    })
  if (tool.value === 'door' && first && second)
    put('openings', { name: `door ${count('DOOR') + 1}`, kind: 'DOOR', from: first, to: second, sillM: 0, headM: 2.05 })
  if (tool.value === 'furniture' && points.length > 2)
    put('furniture', { name: `piece ${plan.value.furniture.length + 1}`, outline: unclosed(points), heightM: 0.8 })
  if (tool.value === 'landmark' && first)
    put('landmarks', { name: `landmark ${plan.value.landmarks.length + 1}`, point: first })
  if (tool.value === 'restriction' && points.length > 2)
    put('restrictions', { kind: 'NO_STANDS', note: 'no stands here', outline: unclosed(points) })
  if (tool.value === 'scale' && first && second) scaling.value = { first, second, distance: '' }
  if (tool.value !== 'wall' && tool.value !== 'landmark') tool.value = 'choose'
}

/** Corners without the first again at the end. */
function unclosed(points: PlanPoint[]) {
  return points.length > 3 && points[0] === points.at(-1) ? points.slice(0, -1) : points
}

/* ---- choosing and dragging */
const corners = computed<PlanPoint[]>(() => {
  const c = chosen.value
  if (!c) return []
  const item = list(c.list)[c.at] as
    { points?: PlanPoint[]; outline?: PlanPoint[]; from?: PlanPoint; to?: PlanPoint; point?: PlanPoint } | undefined
  if (!item) return []
  return item.points ?? item.outline ?? (item.point ? [item.point] : item.from && item.to ? [item.from, item.to] : [])
})

let before: StageSet | undefined
function corner(i: number, at: PlanPoint, end: boolean) {
  const c = chosen.value
  if (!c) return
  before ??= set.value
  const moved = corners.value.map((p, n) => (n === i || (c.list === 'walls' && same(p, corners.value[i]!)) ? at : p))
  const part = {
    walls: { points: moved },
    furniture: { outline: moved },
    restrictions: { outline: moved },
    landmarks: { point: moved[0] },
    openings: { from: moved[0], to: moved[1] },
  }[c.list]
  // one drag is one step back
  history.now.value = {
    ...set.value,
    plan: { ...plan.value, [c.list]: list(c.list).map((item, n) => (n === c.at ? { ...item, ...part } : item)) },
  }
  if (!end) return
  const after = set.value
  history.now.value = before
  history.set(after)
  before = undefined
  kept.value = false
}

function same(a: PlanPoint, b: PlanPoint) {
  return a.xM === b.xM && a.yM === b.yM
}

function pick(at: PlanPoint, reach: number) {
  const near = (p: PlanPoint) => Math.hypot(p.xM - at.xM, p.yM - at.yM) < 2 * reach
  const onLine = (a: PlanPoint, b: PlanPoint) => {
    const long = Math.hypot(b.xM - a.xM, b.yM - a.yM) || 1
    const along = ((at.xM - a.xM) * (b.xM - a.xM) + (at.yM - a.yM) * (b.yM - a.yM)) / long
    const off = Math.abs((at.xM - a.xM) * (b.yM - a.yM) - (at.yM - a.yM) * (b.xM - a.xM)) / long
    return along > -reach && along < long + reach && off < 1.5 * reach
  }
  const round = (points: PlanPoint[]) => points.some((p, i) => onLine(p, points[(i + 1) % points.length]!))
  const find = (name: Listed, hit: (i: number) => boolean): Chosen | undefined => {
    const i = (list(name) as unknown[]).findIndex((_, n) => hit(n))
    return i < 0 ? undefined : { list: name, at: i }
  }
  chosen.value =
    find('landmarks', (i) => near(plan.value.landmarks[i]!.point)) ??
    find('openings', (i) => onLine(plan.value.openings[i]!.from, plan.value.openings[i]!.to)) ??
    find('furniture', (i) => round(plan.value.furniture[i]!.outline)) ??
    find('walls', (i) =>
      plan.value.walls[i]!.points.slice(1).some((p, n) => onLine(plan.value.walls[i]!.points[n]!, p)),
    ) ??
    find('restrictions', (i) => round(list('restrictions')[i]!.outline))
}

/* ---- typed */
async function pace() {
  try {
    const last = plan.value.walls.at(-1)?.points.at(-1)
    const closed = last && plan.value.walls.at(-1)?.points[0] && same(last, plan.value.walls.at(-1)!.points[0]!)
    const start = last && !closed ? last : { xM: 0, yM: 0 }
    const { points } = await call<{ points: PlanPoint[] }>('POST', '/api/sets/paces', {
      body: { start, text: paces.value },
    })
    put('walls', { points })
    paces.value = ''
    problem.value = ''
    stage.value?.fit()
  } catch (failure) {
    problem.value = sentence(failure)
  }
}

function metres(event: Event): number | undefined {
  const text = (event.target as HTMLInputElement).value.trim().replace(',', '.')
  const number = Number(text)
  return text === '' || Number.isNaN(number) ? undefined : number
}
function say(points: PlanPoint[]) {
  return points.map((p) => `${p.xM} ${p.yM}`).join('; ')
}
/** Corners typed as `0 0; 6 0; 6 4`; what cannot be read leaves them as they are. */
function typedCorners(event: Event) {
  const c = chosen.value
  const points = (event.target as HTMLInputElement).value
    .split(/\s*;\s*/)
    .filter(Boolean)
    .map((pair) => {
      const [x, y] = pair.split(/[\s]+|,\s*/).map(Number)
      return { xM: x ?? NaN, yM: y ?? NaN }
    })
  if (
    !c ||
    points.some((p) => !Number.isFinite(p.xM) || !Number.isFinite(p.yM)) ||
    (points.length < corners.value.length && c.list === 'openings')
  ) {
    problem.value = 'Type the corners as metres right and up, apart by semicolons: 0 0; 6 0; 6 4.5.'
    return
  }
  problem.value = ''
  replace(
    c.list,
    c.at,
    {
      walls: { points },
      furniture: { outline: points },
      restrictions: { outline: points },
      landmarks: { point: points[0] },
      openings: { from: points[0], to: points[1] },
    }[c.list],
  )
}

/* ---- picture */
async function putPicture(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file || !drawn.value) return
  try {
    const picture = await call<{ id: number; widthPx: number; heightPx: number }>(
      'POST',
      `/api/sets/${drawn.value!.id}/pictures`,
      { body: file },
    )
    change({
      underlay: {
        picture: picture.id,
        widthPx: picture.widthPx,
        heightPx: picture.heightPx,
        metresPerPx: METRES_PER_PX,
        corner: { xM: 0, yM: 0 },
      },
    })
    tool.value = 'scale'
    problem.value = ''
    stage.value?.fit()
  } catch (failure) {
    problem.value = sentence(failure)
  }
}
async function scale() {
  if (!scaling.value || !plan.value.underlay) return
  try {
    change({
      underlay: await call<Underlay>('POST', '/api/sets/underlay', {
        body: { underlay: plan.value.underlay, ...scaling.value },
      }),
    })
    scaling.value = undefined
    problem.value = ''
    stage.value?.fit()
  } catch (failure) {
    problem.value = sentence(failure)
  }
}

/* ---- keeping */
async function keep(version = drawn.value?.version) {
  if (!drawn.value) return
  try {
    take(await call<DrawnSet>('PUT', `/api/sets/${drawn.value.id}`, { body: set.value, version }))
    problem.value = ''
    kept.value = true
    await plot.load(props.shotId)
  } catch (failure) {
    if (failure instanceof ApiError && failure.conflict) conflict.value = failure.conflict as unknown as DrawnSet
    problem.value = sentence(failure)
  }
}
onBeforeRouteLeave((to) => {
  if (!history.canUndo.value) return true
  leaving.value = to.fullPath
  return false
})
async function leave() {
  const to = leaving.value
  history.reset(set.value)
  leaving.value = undefined
  if (to) await router.push(to)
}
const heading = computed(() =>
  chosen.value
    ? {
        walls: 'Wall',
        openings: 'Opening',
        furniture: 'Furniture',
        landmarks: 'Landmark',
        restrictions: 'Not allowed',
      }[chosen.value.list]
    : 'The set',
)
</script>

<template>
  <div class="view">
    <header class="bar">
      <RouterLink class="button" :to="{ name: 'plot', params: { id: shotId } }"
        >Back to {{ plot.plot?.shot.slate ?? 'the plot' }}</RouterLink
      >
      <h1 class="text-[15px]">{{ set.name }}</h1>
      <span v-if="scenes.length > 1" class="text-quiet">for scenes {{ scenes.join(', ') }}: all of them change</span>
      <span class="grow" />
      <span v-if="kept" role="status" class="text-quiet">Kept.</span>
      <button class="button" :disabled="!history.canUndo.value" @click="history.undo">Undo</button>
      <button class="button button-main" :disabled="!history.canUndo.value" @click="keep()">Keep the set</button>
    </header>
    <nav class="tools" aria-label="What to draw">
      <button
        v-for="t in TOOLS"
        :key="t.key"
        class="tab"
        :class="{ here: tool === t.key }"
        :aria-pressed="tool === t.key"
        @click="tool = t.key"
      >
        {{ t.name }}
      </button>
      <form class="paces" @submit.prevent="pace">
        <input
          v-model="paces"
          class="field"
          placeholder="Or pace walls out: 6 right, 4.5 up, 6 left, close"
          aria-label="Walls, paced out"
        />
        <button class="button" :disabled="!paces.trim()">Put them</button>
      </form>
    </nav>
    <p v-if="problem" role="alert" class="problem">
      <WedgeMark act /><span class="grow">{{ problem }}</span>
      <template v-if="conflict"
        ><button class="button" @click="takeTheirs(conflict)">Take theirs</button
        ><button class="button" @click="keep(conflict.version)">Put mine on top</button></template
      >
      <button v-else class="button" @click="problem = ''">Leave it</button>
    </p>
    <div class="body">
      <SetEditor
        ref="stage"
        :plan="plan"
        :clicks="now.clicks"
        :hint="now.hint"
        :corners="tool === 'choose' ? corners : []"
        :standing="standing"
        @done="done"
        @corner="corner"
        @pick="pick"
      />
      <aside class="pane" aria-label="What is chosen">
        <form v-if="scaling" class="grid gap-2" @submit.prevent="scale">
          <h2 class="text-[15px]">How far apart are they?</h2>
          <input
            v-model="scaling.distance"
            class="field"
            placeholder="3.4 m, or 11'2&quot;"
            aria-label="Distance between both points"
          />
          <div class="flex gap-2">
            <button class="button button-main">Scale the picture</button
            ><button type="button" class="button" @click="scaling = undefined">Not now</button>
          </div>
        </form>
        <template v-else-if="chosen">
          <div class="flex items-center">
            <h2 class="grow text-[15px]">{{ heading }}</h2>
            <button class="button" @click="remove(chosen)">Take away</button>
          </div>
          <template v-if="chosen.list === 'walls' && plan.walls[chosen.at]">
            <label class="row"
              ><span>high, m</span
              ><input
                class="field figure"
                :value="plan.walls[chosen.at]!.heightM ?? ''"
                placeholder="to the ceiling"
                @change="replace('walls', chosen!.at, { heightM: metres($event) })"
            /></label>
            <PaintFields
              label="paint"
              :otherwise="0.5"
              :surface="plan.walls[chosen.at]!.surface"
              @change="(s: Surface | undefined) => replace('walls', chosen!.at, { surface: s })"
            />
          </template>
          <template v-if="chosen.list === 'openings' && plan.openings[chosen.at]">
            <label class="row"
              ><span>name</span
              ><input
                class="field"
                :value="plan.openings[chosen.at]!.name"
                @change="replace('openings', chosen!.at, { name: ($event.target as HTMLInputElement).value })"
            /></label>
            <label class="row"
              ><span>kind</span
              ><select
                class="field"
                :value="plan.openings[chosen.at]!.kind"
                @change="replace('openings', chosen!.at, { kind: ($event.target as HTMLSelectElement).value })"
              >
                <option value="WINDOW">window</option>
                <option value="DOOR">door</option>
              </select></label
            >
            <label class="row"
              ><span>sill, m</span
              ><input
                class="field figure"
                :value="plan.openings[chosen.at]!.sillM"
                @change="replace('openings', chosen!.at, { sillM: metres($event) ?? 0 })"
            /></label>
            <label class="row"
              ><span>head, m</span
              ><input
                class="field figure"
                :value="plan.openings[chosen.at]!.headM"
                @change="replace('openings', chosen!.at, { headM: metres($event) ?? 2 })"
            /></label>
          </template>
          <template v-if="chosen.list === 'furniture' && plan.furniture[chosen.at]">
            <label class="row"
              ><span>name</span
              ><input
                class="field"
                :value="plan.furniture[chosen.at]!.name"
                @change="replace('furniture', chosen!.at, { name: ($event.target as HTMLInputElement).value })"
            /></label>
            <label class="row"
              ><span>high, m</span
              ><input
                class="field figure"
                :value="plan.furniture[chosen.at]!.heightM"
                @change="replace('furniture', chosen!.at, { heightM: metres($event) ?? 0.8 })"
            /></label>
          </template>
          <label v-if="chosen.list === 'landmarks' && plan.landmarks[chosen.at]" class="row"
            ><span>name</span
            ><input
              class="field"
              :value="plan.landmarks[chosen.at]!.name"
              @change="replace('landmarks', chosen!.at, { name: ($event.target as HTMLInputElement).value })"
          /></label>
          <template v-if="chosen.list === 'restrictions' && list('restrictions')[chosen.at]">
            <label class="row"
              ><span>what</span
              ><select
                class="field"
                :value="list('restrictions')[chosen.at]!.kind"
                @change="replace('restrictions', chosen!.at, { kind: ($event.target as HTMLSelectElement).value })"
              >
                <option v-for="k in KINDS" :key="k.key" :value="k.key">{{ k.name }}</option>
              </select></label
            >
            <label class="row"
              ><span>note</span
              ><input
                class="field"
                :value="list('restrictions')[chosen.at]!.note"
                @change="replace('restrictions', chosen!.at, { note: ($event.target as HTMLInputElement).value })"
            /></label>
          </template>
          <label class="block"
            ><span class="text-[12px] text-quiet">Corners, metres right and up</span
            ><textarea class="field figure min-h-16 !text-[12px]" :value="say(corners)" @change="typedCorners" />
          </label>
          <button class="button" @click="chosen = undefined">All of the set</button>
        </template>
        <template v-else>
          <h2 class="text-[15px]">The set</h2>
          <label class="row"
            ><span>name</span
            ><input
              class="field"
              :value="set.name"
              @change="history.set({ ...set, name: ($event.target as HTMLInputElement).value })"
          /></label>
          <label class="row"
            ><span>ceiling, m</span
            ><input
              class="field figure"
              :value="plan.ceilingHeightM ?? ''"
              placeholder="outdoors"
              @change="change({ ceilingHeightM: metres($event) })"
          /></label>
          <label class="row"
            ><span>north, °</span
            ><input class="field figure" :value="plan.northDeg" @change="change({ northDeg: metres($event) ?? 0 })"
          /></label>
          <PaintFields
            label="ceiling"
            :otherwise="0.7"
            :surface="plan.ceiling"
            @change="(s: Surface | undefined) => change({ ceiling: s })"
          />
          <PaintFields
            label="floor"
            :otherwise="0.2"
            :surface="plan.floor"
            @change="(s: Surface | undefined) => change({ floor: s })"
          />
          <div class="row">
            <span>on earth</span>
            <div class="grid grid-cols-2 gap-1">
              <input
                class="field figure"
                aria-label="Latitude, degrees"
                placeholder="latitude"
                :value="plan.site?.latitude ?? ''"
                @change="
                  change({
                    site:
                      metres($event) === undefined
                        ? undefined
                        : { latitude: metres($event)!, longitude: plan.site?.longitude ?? 0 },
                  })
                "
              />
              <input
                class="field figure"
                aria-label="Longitude, degrees"
                placeholder="longitude"
                :value="plan.site?.longitude ?? ''"
                @change="
                  change({
                    site:
                      metres($event) === undefined
                        ? undefined
                        : { latitude: plan.site?.latitude ?? 0, longitude: metres($event)! },
                  })
                "
              />
            </div>
          </div>
          <div class="border-t border-line pt-2">
            <h3 class="group-title">Picture under the plan</h3>
            <label class="mt-1 block"
              ><span class="text-[12px] text-quiet">PNG, JPEG or SVG of the plan</span
              ><input type="file" class="field" accept="image/png,image/jpeg,image/svg+xml" @change="putPicture"
            /></label>
            <div v-if="plan.underlay" class="mt-1 flex gap-2">
              <button class="button" @click="tool = 'scale'">Scale by two points</button
              ><button class="button" @click="change({ underlay: undefined })">Take it out</button>
            </div>
          </div>
          <NoteList v-if="drawn" class="border-t border-line pt-2" :base="`/api/sets/${drawn.id}`" :name="set.name" />
          <ul class="border-t border-line pt-2">
            <template
              v-for="name in ['walls', 'openings', 'furniture', 'landmarks', 'restrictions'] as Listed[]"
              :key="name"
            >
              <li v-for="(item, i) in list(name)" :key="`${name}${i}`">
                <button class="listed" @click="chooseInList(name, i)">
                  {{ 'name' in item ? item.name : 'note' in item ? item.note : `wall ${i + 1}` }}
                </button>
              </li>
            </template>
          </ul>
        </template>
      </aside>
    </div>
    <BaseDialog :open="!!leaving" title="The set is not kept yet" @close="leaving = undefined">
      <p>What you drew since you kept it last would be lost.</p>
      <template #buttons
        ><button class="button" @click="leave">Throw it away</button
        ><button class="button button-main" @click="leaving = undefined">Go on drawing</button></template
      >
    </BaseDialog>
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  gap: 12px;
  align-items: center;
  min-height: 52px;
  padding: 4px 14px;
  background: var(--panel);
  border-bottom: 1px solid var(--line);
}
.tools {
  display: flex;
  flex-wrap: wrap;
  min-height: 40px;
  padding: 0 14px 0 6px;
  border-bottom: 1px solid var(--line);
}
.paces {
  display: flex;
  flex: 1;
  gap: 8px;
  align-items: center;
  min-width: 260px;
  margin-left: 12px;
}
.problem {
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 6px 14px;
  border-bottom: 1px solid var(--line);
}
.body {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 302px;
}
.pane {
  min-height: 0;
  overflow-y: auto;
  display: grid;
  align-content: start;
  gap: 8px;
  padding: 12px;
  background: var(--panel);
  border-left: 1px solid var(--line);
}
.row {
  display: grid;
  grid-template-columns: 84px 1fr;
  gap: 8px;
  align-items: center;
}
.listed {
  width: 100%;
  padding: 3px 4px;
  text-align: left;
}
.listed:hover {
  background: var(--raised);
}
@media (width < 800px) {
  .body {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: minmax(0, 1fr) 42%;
  }
}
</style>
