<script setup lang="ts">
import { computed, ref } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { answer, api } from '@/api/client'
import { outdate, useRead } from '@/api/reads'
import type { PullSubject, ProductionPage } from '@/api/types'
import ChoiceField from '@/components/dialogs/ChoiceField.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { useSubmit } from '@/lib/useSubmit'
import { byWhom } from '@/lib/words'

/** The pull lists of a production, and a new one for a day, a scene or a set. */
const props = defineProps<{
  productionId: number
  production?: ProductionPage
  days: number[]
  day?: number
  editable: boolean
}>()
const router = useRouter()
const { data: lists } = useRead('pullLists', () => ({ productionId: props.productionId }))
const { data: sets } = useRead('sets', () => ({ productionId: props.productionId }))
const { busy, error, submit } = useSubmit()
const subject = ref('')
const subjects = computed(() => [
  ...props.days.map((d) => ({ key: `day ${d}`, name: `Day ${d}`, of: { day: d } as PullSubject })),
  ...(props.production?.scenes ?? []).map((s) => ({
    key: `scene ${s.id}`,
    name: `Sc. ${s.heading.number}, ${s.heading.location.toLowerCase()}`,
    of: { sceneId: s.id } as PullSubject,
  })),
  ...(sets.value ?? []).map((s) => ({ key: `set ${s.id}`, name: s.name, of: { setId: s.id } as PullSubject })),
])
const chosen = computed({
  get: () => subject.value || (props.day ? `day ${props.day}` : (subjects.value.at(0)?.key ?? '')),
  set: (key: string) => (subject.value = key),
})
function make(of: PullSubject | undefined = subjects.value.find((s) => s.key === chosen.value)?.of) {
  if (!of) return
  void submit(async () => {
    const params = { path: { productionId: props.productionId } }
    const made = await answer(api.POST('/api/productions/{productionId}/pull-lists', { params, body: of }))
    await outdate({ topics: ['PULLS'] })
    await router.push({ name: 'pull', params: { list: made.id } })
  })
}
defineExpose({ make })
</script>

<template>
  <section aria-label="Pull lists">
    <header class="border-b border-line py-2 pl-4 pr-3">
      <h2 class="text-lead font-strong">Pull and count back</h2>
    </header>
    <ul>
      <li v-for="l in lists?.lists" :key="l.id" class="border-b border-line">
        <RouterLink :to="{ name: 'pull', params: { list: l.id } }" class="block min-h-11 py-1.5 pl-4 pr-3">
          <b class="font-strong underline">{{ l.title }}</b>{{ ' ' }}
          <span class="text-small text-quiet">{{ byWhom({ author: l.madeBy, at: l.madeAt }) }}</span>
          <span class="flex gap-2 text-small"
            ><WedgeMark v-if="l.wrappedAt && l.missing" act />{{
              l.wrappedAt
                ? l.missing
                  ? `wrapped, ${l.missing} missing`
                  : 'wrapped, all is back'
                : l.toTake
                  ? `${l.toTake} still to count out`
                  : l.missing
                    ? `all is out, ${l.missing} to count back`
                    : 'all is back'
            }}</span
          >
        </RouterLink>
      </li>
    </ul>
    <p v-if="lists && !lists.lists.length" class="px-4 py-2 text-quiet">No pull list yet.</p>
    <p v-if="error" role="alert" class="px-4 py-2">{{ error }}</p>
    <form v-if="editable" class="flex items-end gap-2 px-4 py-2" @submit.prevent="make()">
      <div class="min-w-0 flex-1"><ChoiceField v-model="chosen" label="For" :options="subjects" /></div>
      <button class="button button-main mb-2" type="submit" :disabled="busy">
        {{ busy ? 'Drawing it up…' : 'Make a pull list' }}
      </button>
    </form>
  </section>
</template>
