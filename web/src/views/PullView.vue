<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { answer, api } from '@/api/client'
import { outdate, useRead } from '@/api/reads'
import PullLines from '@/components/kit/PullLines.vue'
import ConnectionState from '@/components/layout/ConnectionState.vue'
import SpineButton from '@/components/layout/SpineButton.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { onPaper } from '@/lib/actions'
import ActionButton from '@/components/layout/ActionButton.vue'
import { usePullList } from '@/lib/usePullList'
import { byWhom } from '@/lib/words'
import { useSession } from '@/stores/session'
import { useSettings } from '@/stores/settings'

/** A pull list on a phone: counted out of the store and back into it, by several people at once, without a network too. */
const props = defineProps<{ listId: number }>()
defineEmits<{ spine: [] }>()
const session = useSession()
const settings = useSettings()
const router = useRouter()
const { list, lines, toTake, missing, problem, busy, count, settle, change } = usePullList(() => props.listId)
const { data: since } = useRead('pullSince', () => ({ id: props.listId }))
const back = ref(false)
const query = ref('')
const adding = ref({ what: '', wanted: '1' })
/* a list of which all went out is counted back */
watch(
  () => list.value?.id,
  (id) => id !== undefined && (back.value = toTake.value === 0),
  { immediate: true },
)
const may = computed(() => session.may('NOTE') && !list.value?.wrappedAt)
const shown = computed(() => {
  const q = query.value.trim().toLowerCase()
  return lines.value.filter((l) =>
    [l.item.unit, l.item.tag, l.item.what.metric, l.item.packedIn].some((t) => t?.toLowerCase().includes(q)),
  )
})
const gone = computed(() => lines.value.filter((l) => l.missing > 0))
const paper = computed(() => onPaper([{ name: 'Pull list', path: `/api/pull-lists/${props.listId}/paper/pull` }]))
const at = () => ({ params: { path: { id: props.listId } } })

function wrap() {
  void change(() =>
    answer(
      list.value?.wrappedAt
        ? api.DELETE('/api/pull-lists/{id}/wrap', at())
        : api.POST('/api/pull-lists/{id}/wrap', at()),
    ),
  )
}
async function add() {
  const wanted = Number(adding.value.wanted)
  const done = await change(() =>
    answer(
      api.POST('/api/pull-lists/{id}/lines', {
        ...at(),
        body: { what: adding.value.what, wanted: Number.isInteger(wanted) ? wanted : 0 },
      }),
    ),
  )
  if (done) adding.value = { what: '', wanted: '1' }
}
async function remove() {
  const production = list.value!.productionId
  const done = await change(async () => {
    const before = list.value!
    await answer(api.DELETE('/api/pull-lists/{id}', at()))
    return before
  })
  if (!done) return
  await router.push({ name: 'kit', params: { production, part: 'lists' } })
  await outdate({ topics: ['PULLS'] })
}
</script>

<template>
  <div class="view">
    <header class="flex flex-wrap items-center gap-x-3 border-b border-line bg-panel py-1 pr-3">
      <SpineButton @click="$emit('spine')" />
      <div class="min-w-0 px-3">
        <h1 class="text-head font-strong">{{ list ? `Pull list: ${list.title}` : 'Pull list' }}</h1>
        <p v-if="list" class="text-small text-quiet">
          <RouterLink class="underline" :to="{ name: 'kit', params: { production: list.productionId, part: 'lists' } }"
            >Kit</RouterLink
          >, made by {{ byWhom({ author: list.madeBy, at: list.madeAt }) }}
        </p>
      </div>
      <ActionButton class="ml-auto" :action="paper" />
      <ConnectionState />
    </header>
    <div v-if="list" class="flex flex-wrap items-center gap-2 border-b border-line px-4 py-2">
      <span class="flex gap-1" role="group" aria-label="Way">
        <button class="button" :aria-pressed="!back" @click="back = false">Out</button>
        <button class="button" :aria-pressed="back" @click="back = true">Back</button>
      </span>
      <p role="status" class="min-w-0 flex-1">
        {{
          list.wrappedAt
            ? `Wrapped by ${list.wrappedBy}`
            : back
              ? missing
                ? `${missing} to count back`
                : toTake
                  ? 'Nothing is out'
                  : 'All is back'
              : toTake
                ? `${toTake} to count out`
                : 'All is out'
        }}
      </p>
      <input v-model="query" class="field !w-36" placeholder="Tag or name" aria-label="Find on the list" />
    </div>
    <p v-if="problem" role="alert" class="flex gap-2 px-4 py-2"><WedgeMark act />{{ problem }}</p>
    <div class="min-h-0 flex-1 overflow-y-auto">
      <template v-if="list">
        <p v-for="n in since?.notThere" :key="n.metric" class="flex gap-2 border-b border-line px-4 py-1">
          <WedgeMark act /><span>Not there to be pulled: {{ settings.printed(n) }}</span>
        </p>
        <div v-if="since?.since.length" class="flex flex-wrap items-center gap-2 border-b border-line px-4 py-2">
          <WedgeMark /><span class="min-w-0 flex-1"
            >Wanted since it was made: {{ since.since.map((s) => settings.printed(s)).join('; ') }}.</span
          >
          <button
            v-if="may"
            class="button"
            :disabled="busy"
            @click="change(() => answer(api.POST('/api/pull-lists/{id}/since', at())))"
          >
            Put it on
          </button>
        </div>
        <PullLines :lines="shown" :back="back" :editable="may" @count="count" @settle="settle" />
        <form v-if="may" class="flex flex-wrap items-end gap-2 px-4 py-3" @submit.prevent="add">
          <label class="min-w-40 flex-1"
            ><span class="block text-small text-quiet">Something else</span
            ><input v-model="adding.what" class="field" maxlength="120"
          /></label>
          <label
            ><span class="block text-small text-quiet">How many</span
            ><input v-model="adding.wanted" class="field !w-20" inputmode="numeric" maxlength="6"
          /></label>
          <button class="button" type="submit" :disabled="busy || !adding.what.trim()">Put on the list</button>
        </form>
      </template>
    </div>
    <footer v-if="list" class="border-t border-line bg-panel px-4 py-3">
      <p v-if="gone.length && (back || list.wrappedAt)" class="flex gap-2 pb-2" role="status">
        <WedgeMark act /><span
          >{{ list.wrappedAt ? 'Missing at wrap' : 'Not back' }}:
          {{
            gone
              .map((l) => `${l.missing} × ${l.item.unit ?? settings.printed(l.item.what)} (${l.item.forWhat})`)
              .join('; ')
          }}.</span
        >
      </p>
      <div class="flex flex-wrap gap-2">
        <button
          v-if="session.may('NOTE')"
          class="button"
          :class="{ 'button-main': back }"
          :disabled="busy"
          @click="wrap"
        >
          {{ list.wrappedAt ? 'Open it again' : 'Wrap this list' }}
        </button>
        <button v-if="may && !missing" class="button" :disabled="busy" @click="remove">Throw the list away</button>
      </div>
    </footer>
  </div>
</template>
