<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { useRead } from '@/api/reads'
import type { FoundElsewhere } from '@/api/types'
import FrameThumb from '@/components/frame/FrameThumb.vue'
import SpineButton from '@/components/layout/SpineButton.vue'
import StageTick from '@/components/marks/StageTick.vue'
import AlikeShots from '@/components/search/AlikeShots.vue'
import FoundText from '@/components/search/FoundText.vue'

/** Finds shots by whatever is recorded of them, and says why; or shots that were lit like one. */
const props = defineProps<{ q: string; /** A shot. */ alike?: number }>()
defineEmits<{ spine: [] }>()
const router = useRouter()
const text = ref(props.q)
const field = ref<HTMLInputElement>()
const WAIT_MS = 150
let waiting: ReturnType<typeof setTimeout> | undefined
/** What this page asked for last: what is typed meanwhile is not put back to it. */
let asked = props.q
watch(text, (typed) => {
  clearTimeout(waiting)
  waiting = setTimeout(() => {
    asked = typed.trim()
    void router.replace({ name: 'search', query: asked ? { q: asked } : {} })
  }, WAIT_MS)
})
watch(
  () => props.q,
  (q) => q !== asked && (text.value = asked = q),
)
onBeforeUnmount(() => clearTimeout(waiting))
onMounted(() => props.alike || field.value?.focus())

const { data, problem } = useRead('found', () => (props.q.trim() ? { q: props.q } : undefined))
const found = computed(() => (props.q.trim() ? data.value : undefined))
const scenes = computed(() => {
  const all = new Map<string, NonNullable<typeof found.value>['shots']>()
  for (const shot of found.value?.shots ?? []) {
    const key = `${shot.production}: Sc. ${shot.scene}, ${shot.heading}`
    all.set(key, [...(all.get(key) ?? []), shot])
  }
  return [...all]
})
const KINDS = { UNIT: 'unit', COUNTED: 'stock', SET: 'set', LOOK: 'look' }
function to(other: FoundElsewhere) {
  if (other.what === 'UNIT')
    return { name: 'kit', params: { production: other.productionId }, query: { unit: other.id } }
  if (other.what === 'COUNTED') return { name: 'kit', params: { production: other.productionId, part: 'flat' } }
  return other.what === 'LOOK' ? { name: 'carry', params: { id: other.id } } : { path: `/sets/${other.id}` }
}
</script>

<template>
  <div class="flex h-full flex-col">
    <header class="flex min-h-13 items-center gap-x-3 border-b border-line bg-panel px-4">
      <SpineButton @click="$emit('spine')" />
      <h1 class="text-head">{{ alike ? 'Lit like this' : 'Find' }}</h1>
      <input
        v-if="!alike"
        ref="field"
        v-model="text"
        type="search"
        class="field max-w-xl grow"
        placeholder="a light, a unit, a gel, a note, a name, a day"
        aria-label="Words to look for"
      />
    </header>
    <div class="min-h-0 flex-1 overflow-y-auto px-6 py-4 phone:p-4">
      <AlikeShots v-if="alike" :shot-id="alike" />
      <template v-else>
        <p v-if="problem" role="alert">{{ problem }}</p>
        <p v-else-if="!q.trim()" class="max-w-prose text-quiet">
          Every word has to be somewhere in a shot: in what stands in it and hangs before it, its units and patch, its
          cues and notes, its day, or who recorded it.
        </p>
        <p v-else role="status" class="mb-3 text-quiet">
          <template v-if="found"
            >{{ found.shots.length + found.more }} {{ found.shots.length + found.more === 1 ? 'shot' : 'shots'
            }}<template v-if="found.more"
              >, the first {{ found.shots.length }} of them here: one word more finds fewer</template
            ></template
          ><template v-else>Looking…</template>
        </p>
        <section v-if="found?.others.length" class="mb-4" aria-label="Of no shot">
          <ul>
            <li v-for="o in found.others" :key="`${o.what}${o.id}`">
              <RouterLink :to="to(o)" class="row"
                ><span class="w-12 flex-none text-small text-quiet">{{ KINDS[o.what] }}</span
                ><FoundText :text="o.text" :words="found.words"
              /></RouterLink>
            </li>
          </ul>
        </section>
        <section v-for="[scene, shots] in scenes" :key="scene" class="mb-4">
          <h2 class="mb-1 font-strong">{{ scene }}</h2>
          <ul>
            <li v-for="shot in shots" :key="shot.id">
              <RouterLink :to="{ name: 'plot', params: { id: shot.id } }" class="row">
                <FrameThumb class="w-20 flex-none self-start" :shot-id="shot.id" :name="shot.slate" />
                <span class="flex min-w-0 gap-x-2.5 phone:flex-col">
                  <span class="flex flex-none gap-x-2.5">
                    <StageTick :stage="shot.stage" class="mt-1 flex-none" />
                    <span class="w-12 flex-none text-lead font-bold">{{ shot.slate }}</span>
                  </span>
                  <span class="min-w-0">
                    <span v-for="(why, i) in shot.why" :key="i" class="block wrap-anywhere"
                      ><FoundText :text="why.text" :words="found!.words"
                    /></span>
                  </span>
                </span>
              </RouterLink>
            </li>
          </ul>
        </section>
      </template>
    </div>
  </div>
</template>

<style scoped>
.row {
  display: flex;
  gap: 10px;
  min-height: 44px;
  padding: 5px 6px;
  border-bottom: 1px solid var(--line);
}
.row:hover {
  background: var(--raised);
}
</style>
