<script setup lang="ts">
import { onBeforeUnmount, onMounted, ref } from 'vue'
import { RouterView, useRoute } from 'vue-router'
import KeysDialog from './components/dialogs/KeysDialog.vue'
import SpineNav from './components/frame/SpineNav.vue'
import { useBook } from './stores/book'

const book = useBook()
const route = useRoute()
const spineOpen = ref(false)
const keysOpen = ref(false)

onMounted(book.load)

function onKey(event: KeyboardEvent) {
  const typing = event.target instanceof HTMLElement && event.target.matches('input, textarea, select')
  if (event.key === '?' && !typing) keysOpen.value = true
}
/* on the window: before anything is chosen, the focus is outside the frame */
onMounted(() => window.addEventListener('keydown', onKey))
onBeforeUnmount(() => window.removeEventListener('keydown', onKey))
</script>

<template>
  <div class="frame">
    <SpineNav :open="spineOpen" @close="spineOpen = false" @keys="keysOpen = true" />
    <main class="min-h-0 min-w-0">
      <RouterView :key="String(route.name)" @spine="spineOpen = true" />
    </main>
    <KeysDialog :open="keysOpen" @close="keysOpen = false" />
  </div>
</template>

<style scoped>
.frame {
  display: grid;
  grid-template-columns: 124px minmax(0, 1fr);
  height: 100%;
}
@media (width < 800px) {
  .frame {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
