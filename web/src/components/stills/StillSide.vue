<script setup lang="ts">
import { computed } from 'vue'
import type { StillSeen } from '@/api/types'
import TouchPicture from '@/components/frame/TouchPicture.vue'
import { isRead, kindName } from '@/lib/stills'
import { when } from '@/lib/words'
import StillParts from './StillParts.vue'
import StillReeds from './StillReeds.vue'

/** One of two stills that are laid side by side: its picture with lines and points, and the signal across it. */
const props = defineProps<{
  still: StillSeen
  /** Lines of equal exposure: each so many stops, or none. */
  every: number
  against?: number[]
  chosen?: number
  touchable: boolean
}>()
const emit = defineEmits<{ touch: [x: number, y: number]; choose: [index: number] }>()
const head = computed(() => props.still.head)
const lines = computed(() =>
  props.every && isRead(head.value.kind) ? props.still.lines.filter((l) => l.stops % props.every === 0) : [],
)
const label = computed(
  () =>
    `${kindName(head.value.kind)} of ${head.value.slate}.${props.touchable ? ' Arrow keys move a cross, Enter marks a point.' : ''}`,
)
function touch(x: number, y: number) {
  if (props.touchable) emit('touch', x, y)
}
</script>

<template>
  <section :aria-label="`Still of ${head.slate}`">
    <h2 class="title">
      <b>{{ head.slate }}</b>
      <span class="what">{{
        head.reference ? 'the reference' : head.kind === 'FRAME' ? '' : kindName(head.kind)
      }}</span>
      <span class="said text-small text-quiet">{{
        [head.thing, head.text, when(head.at)].filter(Boolean).join(', ')
      }}</span>
    </h2>
    <div class="pl-8">
      <TouchPicture
        :src="`/api/stills/${head.id}/picture`"
        :width="still.linesWide"
        :height="still.linesHigh"
        :lines="lines"
        :label="label"
        :points="still.points.map((p) => ({ x: p.x, y: p.y, swapped: p.name === 'shadow cheek' }))"
        :chosen="chosen"
        @touch="touch"
        @choose="$emit('choose', $event)"
      >
        <template #under="{ scale }"
          ><StillParts v-if="isRead(head.kind)" :parts="still.parts" :scale="scale"
        /></template>
      </TouchPicture>
    </div>
    <StillReeds v-if="isRead(head.kind)" :still="still" :against="against" />
  </section>
</template>

<style scoped>
.title {
  display: flex;
  align-items: baseline;
  gap: 8px;
  min-height: 26px;
  font-size: var(--text-base);
}
.what {
  white-space: nowrap;
}
.said {
  margin-left: auto;
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
  font-weight: normal;
}
.title b {
  font-size: var(--text-title);
}
</style>
