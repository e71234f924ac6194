<script setup lang="ts">
import { computed } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { useRead } from '@/api/reads'
import StandingList from '@/components/archive/StandingList.vue'
import TakeIn from '@/components/archive/TakeIn.vue'
import SpineButton from '@/components/layout/SpineButton.vue'
import { when } from '@/lib/words'
import { useBook } from '@/stores/book'
import { useSession } from '@/stores/session'

/** A production as a whole: out to a file, one in from a file, closed, deleted. */
const props = defineProps<{ /** Nothing while there is none to archive. */ productionId?: number }>()
defineEmits<{ spine: [] }>()
const book = useBook()
const session = useSession()
const router = useRouter()
const page = computed(() => book.book?.productions.find((p) => p.production.id === props.productionId))
const { data, problem } = useRead('archives', () =>
  props.productionId === undefined ? undefined : { productionId: props.productionId },
)
</script>

<template>
  <div class="flex h-full flex-col">
    <header class="flex min-h-13 flex-wrap items-center gap-x-3 border-b border-line bg-panel px-4 py-1">
      <SpineButton @click="$emit('spine')" />
      <h1 class="text-head">Archive</h1>
      <span class="text-quiet">{{ page?.production.name }}</span>
    </header>
    <div class="min-h-0 flex-1 overflow-y-auto px-6 py-5 phone:p-4">
      <p v-if="productionId && book.book && !page" role="alert">
        There is no such production any more.
        <RouterLink class="underline" :to="{ name: 'book' }">To the book</RouterLink>
      </p>
      <div v-else class="grid gap-8">
        <section v-if="page" aria-labelledby="take-along">
          <h2 id="take-along" class="text-lead font-strong">Take it along</h2>
          <p class="mb-2 max-w-prose text-quiet">
            All that is recorded of {{ page.production.name }} in one file: history and revisions, rebuilds and
            readings, photographs, days and kit, with people’s names and without their passphrases. Another Oblume takes
            it in, and what is changed there comes back by the archive that it makes.
          </p>
          <p class="flex flex-wrap items-center gap-3">
            <a
              v-if="session.may('EDIT')"
              class="button button-main"
              :href="`/api/productions/${productionId}/archive`"
              download
              >Make an archive</a
            >
            <span v-if="data?.pictures" class="text-quiet"
              ><span class="figure">{{ data.pictures }}</span> {{ data.pictures === 1 ? 'picture' : 'pictures' }}, large
              and small</span
            >
          </p>
        </section>
        <TakeIn v-if="session.may('LEAD')" />
        <p v-else class="text-quiet">A lead takes archives in.</p>
        <StandingList v-if="page && session.may('LEAD')" :page="page" @gone="router.push({ name: 'book' })" />
        <section v-if="page" aria-labelledby="archives-before">
          <h2 id="archives-before" class="text-lead font-strong">Before</h2>
          <p v-if="problem" role="alert">{{ problem }}</p>
          <p v-else-if="data && !data.points.length" class="text-quiet">No archive was made or taken in yet.</p>
          <ul class="max-w-3xl">
            <li v-for="(p, i) in data?.points" :key="i" class="border-b border-line py-1">
              {{ p.takenIn ? 'Taken in' : 'Made' }} {{ when(p.at) }} by {{ p.by }},
              <span class="text-quiet">{{ p.said }}</span>
            </li>
          </ul>
        </section>
      </div>
    </div>
  </div>
</template>
