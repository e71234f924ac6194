<script setup lang="ts">
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { useRead } from '@/api/reads'
import type { DifferenceView } from '@/api/types'
import SpineButton from '@/components/layout/SpineButton.vue'
import ComparePlan from '@/components/carry/ComparePlan.vue'
import SidePicker from '@/components/dialogs/SidePicker.vue'
import ConnectionState from '@/components/layout/ConnectionState.vue'
import BustThumb from '@/components/light/BustThumb.vue'
import FrameThumb from '@/components/frame/FrameThumb.vue'
import RosePair from '@/components/light/RosePair.vue'
import { useBoard } from '@/stores/board'
import { useSettings } from '@/stores/settings'

/** Two states of the light: in words, on the plan, and rose over rose. */
const props = defineProps<{ from: string; to: string }>()
defineEmits<{ spine: [] }>()
const settings = useSettings()
const board = useBoard()
const router = useRouter()
const {
  data: compared,
  problem: error,
  again,
} = useRead('compare', () => ({ from: props.from, to: props.to }), {
  keepBefore: true,
})
const chosen = ref<string>()

const groups = computed(() => {
  const by = new Map<string, DifferenceView[]>()
  for (const d of compared.value?.differences ?? []) by.set(d.name, [...(by.get(d.name) ?? []), d])
  return [...by].map(([name, changes]) => ({ name, changes }))
})
const mark = computed(() => compared.value?.lightTo.marks[0])
const other = computed(() => {
  const there = compared.value?.lightFrom.marks
  const found = there?.find((m) => m.name === mark.value?.name) ?? there?.[0]
  return found && compared.value
    ? { slate: compared.value.from.name, mark: found, light: compared.value.lightFrom }
    : undefined
})

const pictured = computed(() => (compared.value ? [compared.value.from, compared.value.to] : []))

watch(
  () => compared.value?.to.sceneId,
  (id) => board.open(id),
  { immediate: true },
)
onBeforeUnmount(() => board.open(undefined))

function go(from: string, to: string) {
  void router.replace({ name: 'compare', params: { from, to } })
}
</script>

<template>
  <div class="view">
    <header
      class="head flex flex-wrap flex-none items-center gap-2 min-h-13 py-1.5 px-3.5 bg-panel border-b border-line"
    >
      <SpineButton @click="$emit('spine')" />
      <h1 class="text-head">Compare</h1>
      <SidePicker
        :model-value="from"
        label="From"
        class="w-60 upright:w-[calc(50%_-_30px)]"
        @update:model-value="(id: string) => go(id, to)"
      />
      <span class="text-quiet">with</span>
      <SidePicker
        :model-value="to"
        label="To"
        class="w-60 upright:w-[calc(50%_-_30px)]"
        @update:model-value="(id: string) => go(from, id)"
      />
      <button class="button" @click="go(to, from)">Swap</button>
      <RouterLink class="button ml-auto" :to="{ name: 'moves', params: { from, to } }">What to do</RouterLink>
      <RouterLink v-if="compared?.to.shotId" class="button" :to="{ name: 'carry', params: { id: compared.to.shotId } }"
        >Carry board</RouterLink
      >
      <ConnectionState />
    </header>
    <p v-if="error" role="alert" class="p-4">
      {{ error }} <button class="button ml-2" @click="again">Try again</button>
    </p>
    <div
      v-else-if="compared"
      class="body flex-1 min-h-0 grid grid-cols-[330px_minmax(0,1fr)_300px] upright:grid-cols-[minmax(0,1fr)] upright:auto-rows-[min-content] upright:overflow-y-auto"
    >
      <section
        class="words min-h-0 overflow-y-auto py-3 px-3.5 bg-panel border-r border-line upright:overflow-visible upright:border-0"
        aria-label="In words"
      >
        <p class="mb-2 text-quiet">
          {{
            compared.differences.length
              ? `${compared.differences.length} ${compared.differences.length === 1 ? 'value is' : 'values are'} another in ${compared.to.name} than in ${compared.from.name}.`
              : `${compared.from.name} and ${compared.to.name} are recorded alike.`
          }}
        </p>
        <div
          v-for="g in groups"
          :key="g.name"
          class="thing py-1.25 pl-2 border-t border-line"
          :class="{ chosen: g.name === chosen }"
        >
          <button class="w-full text-left font-strong" @click="chosen = chosen === g.name ? undefined : g.name">
            {{ g.name }}
          </button>
          <dl>
            <template v-for="(d, i) in g.changes" :key="i"
              ><dt>{{ d.label }}</dt>
              <dd class="figure">{{ settings.printed(d.words) }}</dd></template
            >
          </dl>
        </div>
      </section>
      <section class="plan flex min-h-0 upright:h-80" aria-label="On the plan">
        <ComparePlan
          v-if="compared.sameSet"
          :compared="compared"
          :chosen="chosen"
          @choose="(name) => (chosen = name)"
        />
        <p v-else class="m-auto max-w-sm p-6 text-center text-quiet">
          The two stand in different sets, so they cannot be drawn on one plan. Words and roses compare them all the
          same.
        </p>
      </section>
      <section
        class="min-h-0 overflow-y-auto py-3 px-3.5 bg-panel flex flex-col border-l border-line upright:overflow-visible upright:border-0"
        aria-label="Where the light comes from"
      >
        <div v-if="pictured.length" class="pictured" aria-label="What the camera sees">
          <figure v-for="side in pictured" :key="side.id">
            <FrameThumb :side="side.id" :name="side.name" />
            <BustThumb class="bust" :side="side.id" :name="side.name" />
            <figcaption class="text-small text-quiet">{{ side.name }}</figcaption>
          </figure>
        </div>
        <template v-if="mark">
          <h2 class="group-title">
            {{ mark.name }} in {{ compared.to.name
            }}<template v-if="other">, dashed: {{ compared.from.name }}</template>
          </h2>
          <RosePair
            :mark="mark"
            :light="compared.lightTo"
            :other="other"
            @select="(key) => (chosen = compared?.lightTo.sources.find((s) => s.key === key)?.name)"
          />
        </template>
        <p v-else class="text-quiet">There is no mark on set in {{ compared.to.name }}.</p>
      </section>
    </div>
    <p v-else class="m-auto text-quiet">Comparing…</p>
  </div>
</template>

<style scoped>
.pictured {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 8px;
  margin-bottom: 10px;
}

.pictured figure {
  margin: 0;
}
.pictured .bust {
  width: 100%;
  height: 150px;
  margin-top: 2px;
}
.thing.chosen {
  box-shadow: inset 2px 0 var(--accent);
}
dl {
  display: grid;
  grid-template-columns: 92px 1fr;
  gap: 1px 8px;
  font-size: var(--text-small);
}
dt {
  color: var(--quiet);
}
</style>
