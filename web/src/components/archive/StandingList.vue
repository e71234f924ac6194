<script setup lang="ts">
import { computed, ref } from 'vue'
import { answer, api } from '@/api/client'
import { outdate, useRead } from '@/api/reads'
import type { ProductionPage } from '@/api/types'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { useSubmit } from '@/lib/useSubmit'
import { when } from '@/lib/words'

/** Closes, deletes and brings back the production and its scenes. */
const props = defineProps<{ page: ProductionPage }>()
const emit = defineEmits<{ gone: [] }>()
const { data: deleted } = useRead('deleted', () => ({}))
const { busy, error, submit } = useSubmit()
type Standing = 'OPEN' | 'CLOSED' | 'DELETED'
interface Whole {
  scene: boolean
  id: number
  name: string
  says: string
  closedAt?: string
}
const asked = ref<Whole>()

const wholes = computed<Whole[]>(() => [
  {
    scene: false,
    id: props.page.production.id,
    name: props.page.production.name,
    says: 'the production',
    closedAt: props.page.production.closedAt,
  },
  ...props.page.scenes.map((s) => ({
    scene: true,
    id: s.id,
    name: `Sc. ${s.heading.number}`,
    says: s.heading.heading,
    closedAt: s.closedAt,
  })),
])

function put(scene: boolean, id: number, standing: Standing) {
  return submit(async () => {
    await answer(
      scene
        ? api.PUT('/api/scenes/{sceneId}/standing', { params: { path: { sceneId: id } }, body: { standing } })
        : api.PUT('/api/productions/{productionId}/standing', {
            params: { path: { productionId: id } },
            body: { standing },
          }),
    )
    await outdate({ topics: ['BOOK', 'DAYS', 'RECORD'] })
  })
}
async function remove() {
  const whole = asked.value!
  if (!(await put(whole.scene, whole.id, 'DELETED'))) return
  asked.value = undefined
  if (!whole.scene) emit('gone')
}
</script>

<template>
  <section aria-labelledby="standing">
    <h2 id="standing" class="text-lead font-strong">Close and delete</h2>
    <p class="mb-2 max-w-prose text-quiet">
      What is closed can be read, and takes no edits. What was deleted can be brought back for thirty days.
    </p>
    <p v-if="error" role="alert" class="mb-2 flex gap-2"><WedgeMark act />{{ error }}</p>
    <ul class="max-w-3xl">
      <li
        v-for="w in wholes"
        :key="`${w.scene}${w.id}`"
        class="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-line py-1"
      >
        <span class="min-w-0 grow"
          ><span class="font-strong">{{ w.name }}</span> <span class="text-quiet">{{ w.says }}</span></span
        >
        <span v-if="w.closedAt" class="text-small text-quiet">closed {{ when(w.closedAt) }}</span>
        <span class="ml-auto flex flex-none gap-3">
          <button
            class="button"
            :disabled="busy"
            :aria-label="`${w.closedAt ? 'Open again' : 'Close'} ${w.name}`"
            @click="put(w.scene, w.id, w.closedAt ? 'OPEN' : 'CLOSED')"
          >
            {{ w.closedAt ? 'Open again' : 'Close' }}
          </button>
          <button class="button" :disabled="busy" :aria-label="`Delete ${w.name}…`" @click="asked = w">Delete…</button>
        </span>
      </li>
    </ul>
    <template v-if="deleted?.length">
      <h3 class="mt-4 font-strong">Deleted</h3>
      <ul class="max-w-3xl">
        <li
          v-for="d in deleted"
          :key="`${d.what}${d.id}`"
          class="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-line py-1"
        >
          <span class="min-w-0 grow">{{ d.name }}</span>
          <span class="text-small text-quiet">by {{ d.by }}, {{ when(d.at) }}; kept until {{ when(d.until) }}</span>
          <button
            class="button"
            :disabled="busy"
            :aria-label="`Bring back ${d.name}`"
            @click="put(d.what === 'SCENE', d.id, 'OPEN')"
          >
            Bring back
          </button>
        </li>
      </ul>
    </template>
    <BaseDialog :open="!!asked" :title="`Delete ${asked?.name}?`" :error="error" @close="asked = undefined">
      <p>
        {{ asked?.scene ? 'Its shots, with all that is recorded in them,' : 'Its scenes, days, kit and photographs' }}
        are in no list any more, for nobody. A lead can bring it back within thirty days; after that it is gone.
      </p>
      <template #buttons>
        <button class="button" @click="asked = undefined">Keep it</button>
        <button class="button button-main" :disabled="busy" @click="remove">Delete {{ asked?.name }}</button>
      </template>
    </BaseDialog>
  </section>
</template>
