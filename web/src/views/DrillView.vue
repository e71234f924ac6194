<script setup lang="ts">
import { computed, nextTick, onScopeDispose, ref, shallowRef } from 'vue'
import { answer, api } from '@/api/client'
import type { Drill, NewDrill } from '@/api/types'
import ShotPage from '@/components/layout/ShotPage.vue'
import StopsText from '@/components/marks/StopsText.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { signed } from '@/lib/print'
import { useSubmit } from '@/lib/useSubmit'
import { useSettings } from '@/stores/settings'

/** Something is wrong in a rebuild that is not there: it is found with the meter, against the clock. Nothing of it is kept. */
const props = defineProps<{ shotId: number }>()
defineEmits<{ spine: [] }>()
const settings = useSettings()
const { busy, error, submit } = useSubmit()
const drill = shallowRef<Drill>()
const difficulty = ref<NewDrill['difficulty']>('PLAIN')
const said = ref<string[]>([])
const now = ref(Date.now())
const startAt = ref(0)
const verdict = ref<HTMLElement>()
const ticking = setInterval(() => (now.value = Date.now()), 1000)
onScopeDispose(() => clearInterval(ticking))

const LEVELS: { value: NewDrill['difficulty']; label: string }[] = [
  { value: 'PLAIN', label: 'One thing, plain to see' },
  { value: 'ONE', label: 'One thing, small or large' },
  { value: 'TWO', label: 'Two things at once' },
]
const clock = computed(() => {
  const seconds = drill.value?.answered?.seconds ?? Math.max(0, Math.floor((now.value - startAt.value) / 1000))
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
})
const groups = computed(() => {
  const each = (drill.value?.readable ?? []).map((what, index) => ({ ...what, index }))
  return [
    { name: 'All lights', of: each.filter((r) => !r.light) },
    { name: 'One light alone', of: each.filter((r) => r.light) },
  ]
})
const made = computed(() => new Set(drill.value?.readings.map((r) => name(r.what))))
const name = (what: { light?: string; place: string }) =>
  what.light ? `${what.light} alone, ${what.place}` : `all lights, ${what.place}`

function begin(seed?: number) {
  void submit(async () => {
    drill.value = await answer(
      api.POST('/api/shots/{shotId}/drills', {
        params: { path: { shotId: props.shotId } },
        body: { difficulty: difficulty.value, seed },
      }),
    )
    said.value = []
    startAt.value = Date.now()
  })
}
function read(reading: number) {
  const { id } = drill.value!
  void submit(async () => {
    drill.value = await answer(api.POST('/api/drills/{id}/readings', { params: { path: { id } }, body: { reading } }))
  })
}
function say() {
  const { id } = drill.value!
  void submit(async () => {
    drill.value = await answer(
      api.POST('/api/drills/{id}/answer', { params: { path: { id } }, body: { things: said.value } }),
    )
    await nextTick()
    verdict.value?.focus()
  })
}
</script>

<template>
  <ShotPage :shot-id="shotId" :actions="[]" @spine="$emit('spine')">
    <div class="panes [--side:372px]">
      <div class="main px-4 py-3 upright:overflow-x-auto">
        <h1 class="text-title font-strong">Drill</h1>
        <p class="text-quiet max-w-160">
          This shot, rebuilt with something wrong. Find at which light, with the meter. It is made up by the light
          model: nothing of it is kept, and no reading of it counts anywhere.
        </p>
        <p v-if="error" role="alert" class="pt-2"><WedgeMark act class="mr-1 inline" /> {{ error }}</p>
        <table v-if="drill?.readings.length" class="log mt-3 w-full">
          <caption class="sr-only">
            Readings made
          </caption>
          <thead>
            <tr>
              <th>Read</th>
              <th>Reads</th>
              <th>As recorded</th>
              <th>Against the record</th>
              <th v-if="drill.answered">What it told</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(r, i) in drill.readings" :key="i">
              <th scope="row">{{ name(r.what) }}</th>
              <td class="figure"><StopsText :text="settings.printed(r.read)" /></td>
              <td class="figure text-quiet">
                <span class="recorded">recorded </span><StopsText :text="settings.printed(r.recorded)" />
              </td>
              <td class="figure whitespace-nowrap">
                <span v-if="r.stops !== undefined">{{ signed(r.stops, 1) }}<span class="unit">stop</span></span>
                <span v-if="r.mired !== undefined" class="ml-2"
                  >{{ signed(r.mired, 0) }}<span class="unit">mired</span></span
                >
                <span v-if="r.duv !== undefined" class="ml-2">{{ signed(r.duv, 4) }}</span>
              </td>
              <td v-if="drill.answered">
                <template v-if="drill.answered.told[i]?.words.length"
                  >{{ drill.answered.told[i]!.words.join('; and ') }},
                  <span class="figure">{{ drill.answered.told[i]!.percent }} %</span></template
                ><span v-else class="text-quiet">nothing yet: all as recorded</span>
              </td>
            </tr>
          </tbody>
        </table>
        <p v-else-if="drill" class="mt-3 text-quiet">
          Nothing is read yet. All lights first, then the one that you doubt.
        </p>
      </div>
      <aside class="side">
        <section v-if="drill?.answered" ref="verdict" tabindex="-1" aria-label="What it was">
          <p>
            <WedgeMark v-if="!drill.answered.right" act class="mr-1 inline" />
            <b class="font-strong">{{ drill.answered.right ? 'Found' : 'Not found' }}</b> in
            <span class="figure">{{ clock }}</span> with {{ drill.readings.length }}
            {{ drill.readings.length === 1 ? 'reading' : 'readings' }}.
          </p>
          <ul class="list-disc pl-5">
            <li v-for="h in drill.answered.hidden" :key="h">{{ h }}</li>
          </ul>
        </section>
        <section aria-label="The drill">
          <template v-if="drill && !drill.answered">
            <p>
              <b class="figure text-title mr-2" role="timer">{{ clock }}</b><span class="text-quiet">{{
                drill.things === 1 ? 'one thing is wrong' : 'two things are wrong'
              }}</span>
            </p>
          </template>
          <template v-else>
            <fieldset>
              <legend class="text-lead">{{ drill ? 'Another one' : 'Begin' }}</legend>
              <label v-for="l in LEVELS" :key="l.value" class="flex items-center gap-2 min-h-8 pointer-coarse:min-h-11"
                ><input v-model="difficulty" type="radio" name="difficulty" :value="l.value" />{{ l.label }}</label
              >
            </fieldset>
            <div class="flex gap-2 mt-2">
              <button class="button button-main" :disabled="busy" @click="begin()">
                {{ busy ? 'Hiding something…' : 'Hide something' }}
              </button>
              <button v-if="drill" class="button" :disabled="busy" @click="begin(drill.seed)">The same again</button>
            </div>
          </template>
        </section>
        <template v-if="drill && !drill.answered">
          <section v-for="g in groups" :key="g.name" :aria-label="g.name">
            <h2 class="text-lead">{{ g.name }}</h2>
            <ul class="flex flex-wrap gap-1.5 mt-1">
              <li v-for="r in g.of" :key="r.index">
                <button
                  class="button"
                  :disabled="busy"
                  :aria-label="`Read ${name(r)}${made.has(name(r)) ? ', once more' : ''}`"
                  @click="read(r.index)"
                >
                  {{ r.light ? `${r.light}${r.place.replace('turned to it', '')}` : r.place }}
                </button>
              </li>
            </ul>
          </section>
          <section aria-label="What is wrong">
            <fieldset>
              <legend class="text-lead">It is at</legend>
              <label
                v-for="l in drill.lights"
                :key="l.key"
                class="flex items-center gap-2 min-h-7 pointer-coarse:min-h-11"
                ><input v-model="said" type="checkbox" :value="l.key" />{{ l.name }}</label
              >
            </fieldset>
            <button class="button button-main mt-2" :disabled="busy || said.length !== drill.things" @click="say">
              That is it
            </button>
          </section>
        </template>
      </aside>
    </div>
  </ShotPage>
</template>

<style scoped>
.log th,
.log td {
  padding: 6px 10px 6px 0;
  text-align: left;
  vertical-align: top;
  border-bottom: 1px solid var(--line);
}
thead th {
  font-weight: 400;
  color: var(--quiet);
}
.recorded {
  display: none;
}
@media (width < 800px) {
  .log thead {
    display: none;
  }
  .log tr {
    display: grid;
    padding: 6px 0;
    border-bottom: 1px solid var(--line);
  }
  .log th,
  .log td {
    padding: 1px 0;
    border: 0;
  }
  .recorded {
    display: inline;
  }
}
</style>
