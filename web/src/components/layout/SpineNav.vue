<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import { RouterLink, useRoute, useRouter } from 'vue-router'
import type { ScenePage, BookShot } from '@/api/types'
import LogoMark from '@/components/marks/LogoMark.vue'
import InSight from './InSight.vue'
import SpineDays from './SpineDays.vue'
import SpineShot from './SpineShot.vue'
import StageTick from '@/components/marks/StageTick.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { useBook } from '@/stores/book'
import { useSafety } from '@/stores/safety'
import { useSession } from '@/stores/session'
import { useSettings } from '@/stores/settings'
import { useShortcuts } from '@/lib/useShortcuts'

defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: []; keys: []; team: []; copies: [] }>()

const book = useBook()
const session = useSession()
const safety = useSafety()
const settings = useSettings()
const route = useRoute()
const router = useRouter()

const current = computed(() => book.shots.get(Number(route.params.id)))
const production = computed(() => current.value?.production ?? book.book?.productions[0])
/** The day of the shot that is open, or the one that is looked at, or the first. */
const dayNumber = computed(() => Number(route.params.number) || current.value?.shot.day || 1)
/** Going from shot to shot one stays in the view that is open. */
const OF_A_SHOT = ['plot', 'light', 'carry', 'meter', 'match', 'rebuild', 'log']
const view = computed(() => (OF_A_SHOT.includes(String(route.name)) ? String(route.name) : 'plot'))

/** The scene that is open lists its shots; the others show them as ticks. */
function isOpen(scene: ScenePage) {
  return current.value ? current.value.scene.id === scene.id : production.value?.scenes[0]?.id === scene.id
}

/** What a scene and a shot of it take in the list, px. */
const SCENE_PX = 72
const SHOT_PX = 52

const byDay = computed(() => settings.spine === 'day')

function toShot(shot: BookShot) {
  return { name: view.value, params: { id: shot.id } }
}

function short(scene: ScenePage) {
  const [place = '', ...time] = scene.heading.heading.split(' ')
  return `${place} ${time.join(' ').split(', ').at(-1) ?? ''}`
}

function step(by: number) {
  const all = [...book.shots.keys()]
  const at = all.indexOf(Number(route.params.id))
  const next = all[at + by]
  if (at >= 0 && next) void router.push({ name: view.value, params: { id: next } })
}

watch(
  () => route.fullPath,
  () => emit('close'),
)
defineExpose({ step })

/* of a long list the scene that is open is shown */
const list = ref<HTMLElement>()
watch(
  () => current.value?.scene.id,
  (id) =>
    id !== undefined &&
    void nextTick(() => list.value?.querySelector(`[data-scene="${id}"]`)?.scrollIntoView({ block: 'nearest' })),
  { immediate: true },
)

useShortcuts((event) => {
  if (event.ctrlKey || event.metaKey) return false
  if (event.key === 'PageDown') step(1)
  else if (event.key === 'PageUp') step(-1)
  else return false
  return true
})
</script>

<template>
  <div v-if="open" class="shade" aria-hidden="true" @click="emit('close')" />
  <nav class="spine" :class="{ open }" aria-label="Scenes and shots">
    <RouterLink
      :to="{ name: 'book' }"
      class="flex items-center gap-1.5 h-13 px-3.5 border-b border-line text-title font-strong"
      aria-label="Oblume, to the book"
    >
      <LogoMark /><span>Oblume</span>
    </RouterLink>
    <div v-if="production" class="border-b border-line px-4 py-2">
      <div class="font-semibold">{{ production.production.name }}</div>
      <div class="text-xs text-quiet">
        {{
          current?.shot.day
            ? `day ${current.shot.day} of ${production.production.days}`
            : `${production.production.days} days`
        }}
      </div>
    </div>
    <div ref="list" class="relative flex-1 min-h-0 overflow-y-auto py-3">
      <button class="foot-button mx-3 mb-1 min-h-7 min-w-14 px-1" @click="settings.spine = byDay ? 'scene' : 'day'">
        {{ byDay ? 'By scene' : 'By day' }}
      </button>
      <SpineDays v-if="byDay && production" :production="production" :here="current?.shot.id" :view="view" />
      <section
        v-for="scene in byDay ? [] : (production?.scenes ?? [])"
        :key="scene.id"
        class="scene relative pb-5"
        :data-scene="scene.id"
        :aria-label="`Scene ${scene.heading.number}`"
      >
        <InSight :height="isOpen(scene) ? scene.shots.length * SHOT_PX : SCENE_PX">
          <RouterLink v-if="scene.shots[0]" :to="toShot(scene.shots[0])" class="flex gap-2.5 py-0.5 pr-1 pl-4 relative">
            <span class="flex-none w-2 h-2 mt-1.75 border-[1.4px] border-quiet bg-panel" />
            <span class="min-w-0">
              <span class="block truncate text-fine text-quiet"
                ><b class="mr-1 text-lead font-strong text-ink">{{ scene.heading.number }}</b
                >{{ short(scene) }}</span
              >
              <span class="block truncate text-fine text-quiet lowercase">{{ scene.heading.location }}</span>
            </span>
          </RouterLink>
          <ul v-if="isOpen(scene)">
            <li v-for="shot in scene.shots" :key="shot.id">
              <SpineShot :shot="shot" :view="view" :here="shot.id === current?.shot.id" />
            </li>
          </ul>
          <div v-else class="ticks pt-0.5 pr-1 pl-8.5">
            <StageTick v-for="shot in scene.shots" :key="shot.id" :stage="shot.stage" />
            <span class="block text-fine text-quiet"
              >{{ scene.shots.length }} {{ scene.shots.length === 1 ? 'shot' : 'shots' }}</span
            >
          </div>
        </InSight>
      </section>
    </div>
    <div class="border-t border-line py-2 px-3 grid gap-0.5">
      <RouterLink
        v-if="production"
        :to="{ name: 'day', params: { production: production.production.id, number: dayNumber } }"
        class="foot-button"
        active-class="!text-ink font-semibold"
        >Day</RouterLink
      >
      <RouterLink
        v-if="production"
        :to="{ name: 'kit', params: { production: production.production.id } }"
        class="foot-button"
        active-class="!text-ink font-semibold"
        >Kit</RouterLink
      >
      <RouterLink :to="{ name: 'search' }" class="foot-button" active-class="!text-ink font-semibold">Find</RouterLink>
      <RouterLink :to="{ name: 'bench' }" class="foot-button" active-class="!text-ink font-semibold">Bench</RouterLink>
      <RouterLink :to="{ name: 'stock' }" class="foot-button" active-class="!text-ink font-semibold">Stock</RouterLink>
      <button class="foot-button" title="Who works here" @click="emit('team')">
        <span class="block text-fine">working here</span><span class="block truncate text-ink">{{ session.name }}</span>
      </button>
      <button class="foot-button flex gap-1 whitespace-nowrap" title="Copies of the record" @click="emit('copies')">
        <span>Copies</span
        ><template v-if="safety.atRisk"><WedgeMark /><span class="text-fine">here only</span></template>
      </button>
      <button class="foot-button" @click="settings.theme = settings.theme === 'dark' ? 'daylight' : 'dark'">
        {{ settings.theme === 'dark' ? 'Daylight' : 'Dark set' }}
      </button>
      <button class="foot-button" @click="settings.units = settings.units === 'metric' ? 'imperial' : 'metric'">
        {{ settings.units === 'metric' ? 'Feet, inches' : 'Metres' }}
      </button>
      <button class="foot-button" @click="emit('keys')">Keys ?</button>
    </div>
  </nav>
</template>

<style scoped>
.spine {
  display: flex;
  flex-direction: column;
  min-height: 0;
  background: var(--panel);
  border-right: 1px solid var(--line);
}
.scene::before {
  content: '';
  position: absolute;
  left: 19.3px;
  top: 10px;
  bottom: -10px;
  width: 1.4px;
  background: var(--set);
}
.scene:last-child::before {
  bottom: 0;
}
.ticks svg {
  display: inline-block;
}
.foot-button {
  text-align: left;
  padding: 3px 0;
  font-size: var(--text-small);
  color: var(--quiet);
}
.foot-button:hover {
  color: var(--ink);
}
.shade {
  position: fixed;
  inset: 0;
  z-index: 30;
  background: rgb(0 0 0 / 50%);
}
@media (width < 800px) {
  .spine {
    position: fixed;
    inset: 0 auto 0 0;
    z-index: 31;
    width: 260px;
    visibility: hidden;
    transform: translateX(-100%);
  }
  .spine.open {
    visibility: visible;
    transform: none;
  }
  .foot-button {
    min-height: 40px;
  }
}
</style>
