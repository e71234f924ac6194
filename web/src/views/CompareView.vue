<script setup lang="ts">
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { useRead } from '@/api/reads'
import type { DifferenceView } from '@/api/types'
import SpineButton from '@/components/layout/SpineButton.vue'
import ComparePlan from '@/components/carry/ComparePlan.vue'
import SidePicker from '@/components/dialogs/SidePicker.vue'
import ConnectionState from '@/components/layout/ConnectionState.vue'
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
    <header class="head">
      <SpineButton @click="$emit('spine')" />
      <h1 class="text-head">Compare</h1>
      <SidePicker :model-value="from" label="From" class="pick" @update:model-value="(id: string) => go(id, to)" />
      <span class="text-quiet">with</span>
      <SidePicker :model-value="to" label="To" class="pick" @update:model-value="(id: string) => go(from, id)" />
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
    <div v-else-if="compared" class="body">
      <section class="words" aria-label="In words">
        <p class="mb-2 text-quiet">
          {{
            compared.differences.length
              ? `${compared.differences.length} ${compared.differences.length === 1 ? 'value is' : 'values are'} another in ${compared.to.name} than in ${compared.from.name}.`
              : `${compared.from.name} and ${compared.to.name} are recorded alike.`
          }}
        </p>
        <div v-for="g in groups" :key="g.name" class="thing" :class="{ chosen: g.name === chosen }">
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
      <section class="plan" aria-label="On the plan">
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
      <section class="roses" aria-label="Where the light comes from">
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
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  min-height: 52px;
  padding: 6px 14px;
  background: var(--panel);
  border-bottom: 1px solid var(--line);
}
.pick {
  width: 240px;
}
.body {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: 330px minmax(0, 1fr) 300px;
}
.words,
.roses {
  min-height: 0;
  overflow-y: auto;
  padding: 12px 14px;
  background: var(--panel);
}
.words {
  border-right: 1px solid var(--line);
}
.roses {
  display: flex;
  flex-direction: column;
  border-left: 1px solid var(--line);
}
.plan {
  display: flex;
  min-height: 0;
}
.thing {
  padding: 5px 0 5px 8px;
  border-top: 1px solid var(--line);
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
@media (width < 1100px) {
  .body {
    grid-template-columns: minmax(0, 1fr);
    grid-auto-rows: min-content;
    overflow-y: auto;
  }
  .words,
  .roses {
    overflow: visible;
    border: 0;
  }
  .plan {
    height: 320px;
  }
  .pick {
    width: calc(50% - 30px);
  }
}
</style>
