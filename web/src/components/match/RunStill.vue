<script setup lang="ts">
import { computed, ref } from 'vue'
import { RouterLink } from 'vue-router'
import { useRead } from '@/api/reads'
import DotMark from '@/components/marks/DotMark.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import AddStills from '@/components/stills/AddStills.vue'

/** A frame of the rebuilt light beside the one that is recorded. */
const props = defineProps<{ runId: number; shotId: number; slate: string; editable: boolean }>()
const { data: still } = useRead('runStill', () => ({ runId: props.runId }))
const adding = ref(false)
const shown = computed(() =>
  [
    { of: still.value?.recorded, as: 'as recorded' },
    { of: still.value?.now, as: 'now' },
  ].flatMap(({ of, as }) => (of ? [{ ...of, as }] : [])),
)
</script>

<template>
  <section v-if="still" class="px-5 py-2" aria-label="The picture">
    <h2 class="text-lead">The picture, beside the recorded one</h2>
    <ul class="pair">
      <li v-for="s in shown" :key="s.id">
        <img :src="`/api/stills/${s.id}/picture`" :alt="`Frame of ${slate}, ${s.as}`" loading="lazy" />
        <span class="text-small text-quiet">{{ slate }} {{ s.as }}</span>
      </li>
    </ul>
    <p v-if="still.pair" class="flex gap-2">
      <WedgeMark v-if="still.pair.holds === false" class="mt-1" /><DotMark v-else class="mt-1.5" /><span
        >{{ still.pair.say }} {{ still.pair.white?.say }}
        <span class="text-quiet"
          >Its points are where they are in the recorded frame: look that they lie on the face.</span
        ></span
      >
    </p>
    <p v-else-if="!still.now" class="text-quiet">
      {{
        still.recorded
          ? 'Put in a frame of the rebuilt light: it is held against this one.'
          : `No frame of ${slate} is recorded: a frame of the rebuilt light stands by itself.`
      }}
    </p>
    <p class="mt-2 flex flex-wrap gap-2">
      <button v-if="editable" class="button" @click="adding = true">
        {{ still.now ? 'Another frame…' : 'Put in a frame…' }}
      </button>
      <RouterLink
        v-if="still.now"
        class="button"
        :to="{ name: 'stills', params: { id: shotId }, query: { still: still.now.id } }"
        >Points and lines</RouterLink
      >
    </p>
    <AddStills :open="adding" :shot-id="shotId" :slate="slate" :run="runId" @close="adding = false" />
  </section>
</template>

<style scoped>
.pair {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  padding: 6px 0;
}
.pair li {
  width: min(100%, 360px);
}
.pair img {
  display: block;
  width: 100%;
  aspect-ratio: 16 / 9;
  object-fit: contain;
  background: #08090a;
}
</style>
