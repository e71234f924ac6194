<script setup lang="ts">
import { Dialog, DialogPanel } from '@headlessui/vue'
import { computed, nextTick, onMounted, ref, watch, watchEffect } from 'vue'
import { RouterView, useRoute, useRouter } from 'vue-router'
import { sentence } from './api/client'
import CopiesDialog from './components/dialogs/CopiesDialog.vue'
import KeysDialog from './components/dialogs/KeysDialog.vue'
import TeamDialog from './components/dialogs/TeamDialog.vue'
import OutputState from './components/layout/OutputState.vue'
import SignIn from './components/layout/SignIn.vue'
import SpineNav from './components/layout/SpineNav.vue'
import { useFreshReads } from './lib/useFreshReads'
import { usePrefetch } from './lib/usePrefetch'
import { useShortcuts } from './lib/useShortcuts'
import { useBook } from './stores/book'
import { useOutput } from './stores/output'
import { useSession } from './stores/session'

const book = useBook()
const session = useSession()
const output = useOutput()
const route = useRoute()
const router = useRouter()
const spineOpen = ref(false)
const keysOpen = ref(false)
const teamOpen = ref(false)
const copiesOpen = ref(false)
const error = ref('')

/** Whether the view has a slate, which says what is live. */
const hasSlate = computed(() => !!route.params.id && route.name !== 'rebuild' && route.name !== 'set')
/** The bench and an invitation are for everyone. */
const open = computed(() => route.name === 'join' || (route.name === 'bench' && !session.name))

async function load() {
  try {
    await session.load()
    error.value = ''
  } catch (failure) {
    error.value = sentence(failure)
  }
}
onMounted(load)
usePrefetch(() => (route.params.id ? Number(route.params.id) : undefined))
useFreshReads()

useShortcuts((event) => {
  if (event.key === '?') keysOpen.value = true
  else if (event.key === '.' && output.now?.armed && output.mayStop) void output.stop()
  else return false
  return true
})

/** What to know of a view that could not be read. */
const notRead = ref('')
router.onError(() => {
  notRead.value = 'This view is not on this device yet, and the server does not answer. Try again when the line stands.'
})
router.afterEach(() => {
  notRead.value = ''
})

/** Where one is, for the window's title. */
const NAMES: Record<string, string> = {
  archive: 'Archive',
  book: 'Book',
  bench: 'Bench',
  carry: 'Carry board',
  compare: 'Compare',
  day: 'Day',
  join: 'Invitation',
  light: 'Light',
  log: 'Log',
  match: 'Match',
  meter: 'Meter',
  moves: 'Moves',
  patch: 'Patch',
  plot: 'Plot',
  rebuild: 'Rebuild',
  recall: 'Recall',
  search: 'Find',
  set: 'Set',
  verdict: 'Verdict',
}
const view = ref<HTMLElement>()
watchEffect(() => {
  const slate = route.params.id && book.shots.get(Number(route.params.id))?.shot.slate
  document.title = [slate, NAMES[String(route.name)], 'Oblume'].filter(Boolean).join(', ')
})
/* Whoever came by a link goes on in what it opened, not in the link that is gone. */
watch(
  () => route.name,
  async (_, before) => {
    await nextTick()
    const at = document.activeElement
    if (before && (at === document.body || at?.matches('a'))) view.value?.focus({ preventScroll: true })
  },
)
</script>

<template>
  <main v-if="open" class="h-full overflow-y-auto"><RouterView /></main>
  <div
    v-else-if="session.name"
    class="frame grid grid-cols-[124px_minmax(0,1fr)] h-full phone:grid-cols-[minmax(0,1fr)]"
  >
    <!-- Seen when the keyboard comes to it. -->
    <a
      href="#view"
      class="skip absolute top-1.5 left-1.5 z-60 py-2 px-3 bg-accent text-on-accent"
      @click.prevent="view?.focus()"
      >To the view</a
    >
    <SpineNav
      :open="spineOpen"
      @close="spineOpen = false"
      @keys="keysOpen = true"
      @team="teamOpen = true"
      @copies="copiesOpen = true"
    />
    <main id="view" ref="view" tabindex="-1" class="min-h-0 min-w-0 outline-none">
      <RouterView :key="String(route.name)" @spine="spineOpen = true" />
      <OutputState v-if="!hasSlate" class="nowhere" />
      <p v-if="notRead" role="alert" class="not-read">{{ notRead }}</p>
    </main>
    <KeysDialog :open="keysOpen" @close="keysOpen = false" />
    <CopiesDialog :open="copiesOpen" @close="copiesOpen = false" />
    <TeamDialog :open="teamOpen" @close="teamOpen = false" />
    <Dialog
      :open="session.ended"
      class="fixed inset-0 z-50 flex overflow-y-auto bg-ground"
      aria-label="Sign in to go on"
      @close="() => undefined"
    >
      <DialogPanel class="m-auto"><SignIn /></DialogPanel>
    </Dialog>
  </div>
  <main v-else class="flex h-full overflow-y-auto">
    <p v-if="error" role="alert" class="m-auto">
      {{ error }} <button class="button ml-2" @click="load">Try again</button>
    </p>
    <SignIn v-else-if="session.session" />
    <p v-else class="m-auto text-quiet">Opening…</p>
  </main>
</template>

<style scoped>
/* Where there is no slate to say what is live. */
.frame .nowhere {
  position: fixed;
  left: 134px;
  right: auto;
  bottom: 10px;
  z-index: 30;
  margin: 0;
  background: var(--ground);
}
.not-read {
  position: fixed;
  bottom: 10px;
  left: 50%;
  z-index: 30;
  width: min(520px, calc(100% - 20px));
  padding: 8px 12px;
  transform: translateX(-50%);
  background: var(--raised);
  border: 1px solid var(--ink);
  border-radius: 3px;
}
/* Seen when the keyboard comes to it. */
.skip:not(:focus) {
  clip-path: inset(50%);
  pointer-events: none;
}
@media (width < 800px) {
  .frame .nowhere {
    top: 6px;
    bottom: auto;
    left: auto;
    right: 6px;
  }
}
</style>
