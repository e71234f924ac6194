<script setup lang="ts">
import { computed, ref } from 'vue'
import { RouterLink } from 'vue-router'
import { answer, api } from '@/api/client'
import type { ProductionPage, ScenePage } from '@/api/types'
import BookDay from '@/components/book/BookDay.vue'
import BookShot from '@/components/book/BookShot.vue'
import InSight from '@/components/layout/InSight.vue'
import SpineButton from '@/components/layout/SpineButton.vue'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import ImportDialog from '@/components/dialogs/ImportDialog.vue'
import SceneDialog from '@/components/dialogs/SceneDialog.vue'
import SetsDialog from '@/components/dialogs/SetsDialog.vue'
import ShotDialog from '@/components/dialogs/ShotDialog.vue'
import TextField from '@/components/dialogs/TextField.vue'
import { readFigures } from '@/lib/figures'
import { useSubmit } from '@/lib/useSubmit'
import { byDay } from '@/lib/byDay'
import { stageName } from '@/lib/words'
import { useBook } from '@/stores/book'
import { useSettings } from '@/stores/settings'

defineEmits<{ spine: [] }>()
const book = useBook()
const settings = useSettings()
const dialog = ref<'scene' | 'sets' | 'shot' | 'import' | 'production'>()
const scene = ref<ScenePage>()
const productionId = ref<number>()
const query = ref('')
const name = ref('')
const days = ref('1')
const { busy, error, submit } = useSubmit()
/** What a shot takes in the list, px. */
const SHOT_PX = 54

const wanted = computed(() => query.value.trim().toLowerCase())
const productions = computed(() => book.book?.productions ?? [])

function found(page: ScenePage): ScenePage['shots'] {
  const own = [page.heading.number, page.heading.heading, page.heading.location]
    .join(' ')
    .toLowerCase()
    .includes(wanted.value)
  return own
    ? page.shots
    : page.shots.filter((s) => `${s.slate} ${s.description} ${stageName(s.stage)}`.toLowerCase().includes(wanted.value))
}

const daysOf = (page: ProductionPage) => byDay(page, found).filter((d) => d.shots.length || (d.number && !wanted.value))

function newScene(id: number) {
  productionId.value = id
  dialog.value = 'scene'
}

function openSets(id: number) {
  productionId.value = id
  dialog.value = 'sets'
}

function newShot(page: ScenePage) {
  scene.value = page
  dialog.value = 'shot'
}

function startProduction() {
  void submit(async () => {
    const [shootingDays] = await readFigures({ kind: 'WHOLE', text: days.value, of: 'Shooting days' })
    await answer(api.POST('/api/productions', { body: { name: name.value, days: shootingDays! } }))
    await book.changed()
    dialog.value = undefined
    name.value = ''
  })
}
</script>

<template>
  <div class="book flex flex-col h-full">
    <header class="flex h-[52px] items-center gap-2 border-b border-line bg-panel px-4">
      <SpineButton @click="$emit('spine')" />
      <h1 class="text-head">Book</h1>
      <input
        v-model="query"
        class="field find"
        placeholder="Find a scene or a shot"
        aria-label="Find a scene or a shot"
        @keydown.enter="$router.push({ name: 'search', query: { q: query } })"
      />
      <button
        class="button ml-auto"
        :aria-pressed="settings.spine === 'day'"
        @click="settings.spine = settings.spine === 'day' ? 'scene' : 'day'"
      >
        By day
      </button>
      <button class="button" @click="dialog = 'import'">Import scene…</button>
      <button class="button" @click="dialog = 'production'">New production…</button>
    </header>
    <div class="flex-1 min-h-0 overflow-y-auto py-5 px-6 phone:p-4">
      <div v-if="book.error" role="alert">
        {{ book.error }} <button class="button ml-2" @click="book.again">Try again</button>
      </div>
      <p v-else-if="!book.book" class="text-quiet">Opening the book…</p>
      <p v-else-if="!productions.length" class="max-w-md text-lead">
        The book is empty. Start a production, then its first scene; or import a scene that another Oblume exported, or
        <RouterLink class="underline" :to="{ name: 'archive' }">take in an archive</RouterLink> of a whole production.
      </p>
      <section v-for="page in productions" :key="page.production.id" class="mb-8">
        <div class="mb-2 flex flex-wrap items-baseline gap-x-3 gap-y-1">
          <h2 class="text-head">{{ page.production.name }}</h2>
          <span class="text-quiet"
            >{{ page.production.days }} shooting days, {{ page.scenes.length }}
            {{ page.scenes.length === 1 ? 'scene' : 'scenes' }}</span
          >
          <span v-if="page.production.closedAt" class="text-quiet">closed</span>
          <RouterLink class="button ml-auto" :to="{ name: 'archive', params: { production: page.production.id } }"
            >Archive</RouterLink
          >
          <button class="button" @click="openSets(page.production.id)">Sets…</button>
          <button class="button" @click="newScene(page.production.id)">New scene…</button>
        </div>
        <p v-if="!page.scenes.length" class="text-quiet">No scene yet. Start one from a bare room, or import one.</p>
        <template v-if="settings.spine === 'day'">
          <BookDay
            v-for="d in daysOf(page)"
            :key="d.number ?? 0"
            :production-id="page.production.id"
            :number="d.number"
            :shots="d.shots"
          />
        </template>
        <template v-else>
          <article v-for="s in page.scenes" v-show="found(s).length" :key="s.id" class="scene relative pb-4.5">
            <div class="scene-head flex items-center gap-3 pb-1">
              <span class="relative flex-none w-2.5 h-2.5 border-[1.4px] border-ink bg-ground" />
              <h3 class="min-w-8.5 text-head">{{ s.heading.number }}</h3>
              <div class="min-w-0 grow">
                <span class="block truncate font-strong">{{ s.heading.heading }}</span><span
                  class="text-small text-quiet"
                  >{{ s.heading.location }}{{ s.closedAt ? ', closed' : '' }}</span
                >
              </div>
              <a
                class="button"
                :href="`/api/scenes/${s.id}/export`"
                download
                :aria-label="`Export scene ${s.heading.number}`"
                >Export</a
              >
              <button class="button" @click="newShot(s)">New shot…</button>
            </div>
            <InSight :height="found(s).length * SHOT_PX">
              <ul>
                <li v-for="shot in found(s)" :key="shot.id">
                  <BookShot :shot="shot" />
                </li>
              </ul>
            </InSight>
          </article>
        </template>
      </section>
    </div>
    <ImportDialog :open="dialog === 'import'" @close="dialog = undefined" />
    <SceneDialog :open="dialog === 'scene'" :production-id="productionId" @close="dialog = undefined" />
    <SetsDialog :open="dialog === 'sets'" :production-id="productionId" @close="dialog = undefined" />
    <ShotDialog :open="dialog === 'shot'" :scene="scene" :based-on="scene?.shots.at(-1)" @close="dialog = undefined" />
    <BaseDialog :open="dialog === 'production'" title="New production" :error="error" @close="dialog = undefined">
      <form id="production-form" @submit.prevent="startProduction">
        <TextField v-model="name" label="Name" :maxlength="120" />
        <TextField v-model="days" label="Shooting days" :maxlength="4" />
      </form>
      <template #buttons>
        <button class="button" @click="dialog = undefined">Cancel</button>
        <button class="button button-main" :disabled="busy" type="submit" form="production-form">
          Start production
        </button>
      </template>
    </BaseDialog>
  </div>
</template>

<style scoped>
.find {
  max-width: 260px;
  margin-left: 16px;
}
.scene::before {
  content: '';
  position: absolute;
  left: 4.3px;
  top: 14px;
  bottom: -14px;
  width: 1.4px;
  background: var(--set);
}
.scene:last-child::before {
  bottom: 26px;
}
@media (width < 800px) {
  .find,
  .book header h1 ~ .button {
    display: none;
  }
  .scene-head .button {
    padding: 2px 8px;
  }
}
</style>
