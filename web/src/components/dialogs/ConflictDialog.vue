<script setup lang="ts">
import { computed } from 'vue'
import { reasonName, wantedWords, when } from '@/lib/words'
import { usePlot } from '@/stores/plot'
import { useSettings } from '@/stores/settings'
import { useShotEditor } from '@/stores/shotEditor'
import BaseDialog from './BaseDialog.vue'

/** Two people changed one value: both are shown, one is chosen. */
const plot = usePlot()
const settings = useSettings()
const editor = useShotEditor()
const theirs = computed(() => plot.conflict?.current)
const name = computed(
  () => editor.placements.find((p) => p.placement.key === theirs.value?.placement)?.placement.name ?? '',
)
const mine = computed(() => {
  const wanted = plot.conflict?.wanted
  return wanted ? wantedWords(wanted) : 'carried again'
})
</script>

<template>
  <BaseDialog :open="!!plot.conflict" title="Someone changed this meanwhile" @close="plot.takeTheirs">
    <template v-if="theirs">
      <p class="mb-3">The {{ theirs.label }} of {{ name }} in {{ plot.plot?.shot.slate }}. Yours is not kept yet.</p>
      <dl class="grid grid-cols-[auto_1fr] gap-x-4 gap-y-2">
        <dt class="text-quiet">theirs</dt>
        <dd>
          <span class="figure">{{ settings.printed(theirs.say) }}</span><span class="block text-small text-quiet">{{
            [reasonName(theirs.reason), theirs.author, when(theirs.at)].filter(Boolean).join(', ')
          }}</span>
        </dd>
        <dt class="text-quiet">yours</dt>
        <dd class="figure">{{ mine }}</dd>
      </dl>
    </template>
    <template #buttons>
      <button class="button" @click="plot.takeTheirs">Take theirs</button>
      <button class="button button-main" @click="plot.overwrite">Put mine on top</button>
    </template>
  </BaseDialog>
</template>
