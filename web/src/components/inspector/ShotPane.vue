<script setup lang="ts">
import { computed, ref } from 'vue'
import { RouterLink } from 'vue-router'
import { held, type Attribute, type Placed, type ValueView } from '@/api/types'
import ReviseDialog from '@/components/dialogs/ReviseDialog.vue'
import CheatFlag from '@/components/marks/CheatFlag.vue'
import KnotMark from '@/components/marks/KnotMark.vue'
import { ATTRIBUTES, reasonName, stageName, byWhom } from '@/lib/words'
import { useLight } from '@/stores/light'
import { usePlot } from '@/stores/plot'
import { useShotEditor } from '@/stores/shotEditor'
import { useSession } from '@/stores/session'
import { useSettings } from '@/stores/settings'
import SaidList from '@/components/moments/SaidList.vue'
import ShotKit from '@/components/kit/ShotKit.vue'
import HintList from './HintList.vue'

/** Nothing is selected: the shot itself, what it changed, and all that is placed. */
const plot = usePlot()
const editor = useShotEditor()
const light = useLight()
const MOST_HINTS = 6
const query = ref('')
const revising = ref(false)
const session = useSession()
const settings = useSettings()
function said(placed: Placed, attribute: Attribute): string {
  const now = held(placed, attribute)
  return now ? settings.printed(now.say) : ''
}
const hints = computed(() => light.light?.hints.filter((h) => !h.onPurpose) ?? [])
const judged = computed(() => light.light?.hints.filter((h) => h.onPurpose) ?? [])
const restrictions = computed(() => plot.set?.restrictions ?? [])

const changes = computed(() =>
  plot.based
    ? editor.placements.flatMap((p) =>
        Object.entries(p.values as Record<string, ValueView>)
          .filter(([, h]) => h.tiedHere)
          .map(([attribute, h]) => ({
            key: p.placement.key,
            name: p.placement.name,
            what: ATTRIBUTES[attribute as Attribute],
            attribute,
            held: h,
          })),
      )
    : [],
)
const listed = computed(() => {
  const wanted = query.value.trim().toLowerCase()
  return editor.placements.filter((p) =>
    [p.placement.name, p.placement.role.replace('_', ' '), p.placement.piece.unit, p.placement.piece.what].some(
      (word) => word?.toLowerCase().includes(wanted),
    ),
  )
})
</script>

<template>
  <div v-if="plot.plot" class="grid grid-cols-[minmax(0,1fr)] gap-3">
    <header class="border-b border-line pb-2">
      <h2 class="text-head leading-7">{{ plot.plot.shot.slate }}</h2>
      <p class="text-quiet">
        {{ stageName(plot.plot.shot.stage) }}<template v-if="plot.based">, based on {{ plot.based }}</template
        ><template v-else>, based on no other shot</template>
        <template v-if="plot.plot.shot.neededBy.length"
          >; {{ plot.plot.shot.neededBy.join(', ') }}
          {{ plot.plot.shot.neededBy.length === 1 ? 'carries' : 'carry' }} from it</template
        >
      </p>
      <div v-if="plot.plot.shot.asOf" class="mt-1">
        <p>This is an older revision, to read.</p>
        <RouterLink class="button mt-1" :to="{ name: 'plot', params: { id: plot.plot.shot.id } }"
          >Back to the record now</RouterLink
        >
      </div>
      <div v-else-if="plot.plot.shot.stage === 'SHOT'" class="mt-1">
        <p>Shot, and locked. Record a change in a new shot based on it, or open a revision and say why.</p>
        <button v-if="session.may('EDIT')" class="button mt-1" @click="revising = true">Open a revision…</button>
      </div>
      <p v-else-if="!session.may('EDIT')" class="mt-1">You see everything here; editing is for the crew.</p>
      <ReviseDialog
        :open="revising"
        :shot-id="plot.plot.shot.id"
        :slate="plot.plot.shot.slate"
        @close="revising = false"
      />
    </header>
    <section v-if="plot.based">
      <h3 class="group-title">
        {{ changes.length ? `Changed from ${plot.based}` : `Nothing changed from ${plot.based} yet` }}
      </h3>
      <p v-if="!changes.length" class="text-small text-quiet">
        Everything carries. Choose a head on the plan and move it, or type over one of its values.
      </p>
      <ul>
        <li v-for="c in changes" :key="c.key + c.attribute">
          <button
            class="line flex w-full min-h-7.25 items-center gap-2 py-0.5 px-1 pointer-coarse:min-h-11"
            @click="plot.selected = c.key"
          >
            <CheatFlag v-if="c.held.reason === 'CHEAT'" /><KnotMark v-else upright />
            <span class="min-w-0 grow text-left">
              <span class="block truncate"
                ><b class="font-strong">{{ c.name }}</b> {{ c.what }}, {{ settings.printed(c.held.say) }}</span
              >
              <span class="block truncate text-fine text-quiet"
                >{{ reasonName(c.held.reason) }}, {{ byWhom(c.held)
                }}<template v-if="c.held.note">: {{ c.held.note }}</template></span
              >
            </span>
          </button>
        </li>
      </ul>
    </section>
    <ShotKit :shot-id="plot.plot.shot.id" />
    <SaidList />
    <section v-if="light.light">
      <h3 class="group-title">{{ hints.length ? 'Worth a look' : 'Nothing worth a second look' }}</h3>
      <HintList :hints="hints.slice(0, MOST_HINTS)" named />
      <details v-if="hints.length > MOST_HINTS" class="mt-1">
        <summary class="text-small">And {{ hints.length - MOST_HINTS }} more</summary>
        <HintList :hints="hints.slice(MOST_HINTS)" named />
      </details>
      <details v-if="judged.length" class="mt-1">
        <summary class="text-small text-quiet">On purpose: {{ judged.length }}</summary>
        <HintList :hints="judged" named />
      </details>
    </section>
    <section v-if="restrictions.length">
      <h3 class="group-title">The place does not allow</h3>
      <ul class="text-small">
        <li v-for="(r, i) in restrictions" :key="i">{{ r.note }}</li>
      </ul>
    </section>
    <section>
      <h3 class="group-title mb-1">Placed in this scene</h3>
      <input
        v-model="query"
        class="field mb-1"
        placeholder="Find by name, role or kind"
        aria-label="Find what is placed"
      />
      <ul>
        <li v-for="p in listed" :key="p.placement.key">
          <button
            class="line flex w-full min-h-7.25 items-center gap-2 py-0.5 px-1 pointer-coarse:min-h-11"
            :class="{ 'text-quiet': !p.onSet }"
            @click="plot.selected = p.placement.key"
          >
            <span
              class="swatch"
              :style="{
                background: p.light?.swatch ?? 'transparent',
                borderColor: p.light?.swatch ? 'var(--set)' : 'transparent',
              }"
            />
            <span class="min-w-0 grow truncate text-left"
              ><b class="font-strong">{{ p.placement.name }}</b
              >{{ ' ' }} <span class="text-quiet">{{ p.placement.piece.unit ?? p.placement.piece.what }}</span></span
            >
            <span class="figure text-figure">{{ p.onSet ? said(p, 'LEVEL') : 'struck' }}</span>
          </button>
        </li>
      </ul>
      <p v-if="!listed.length" class="text-quiet">Nothing here is called that.</p>
    </section>
  </div>
</template>

<style scoped>
.line:hover {
  background: var(--raised);
}
</style>
