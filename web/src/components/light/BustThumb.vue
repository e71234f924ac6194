<script setup lang="ts">
import { useRead } from '@/api/reads'
import { saidOfBust } from '@/lib/bust'
import BustFacets from './BustFacets.vue'

/** A small bust at the first mark of a shot as it is recorded, or of a state that is compared; nothing where there is no mark. */
const props = defineProps<{ name: string; shotId?: number; side?: string }>()
const { data: seen } = useRead('bust', () =>
  props.side === undefined ? { shotId: props.shotId! } : { side: props.side },
)
</script>

<template>
  <BustFacets v-if="seen" :seen="seen" :label="`The light on a head in ${name}. ${saidOfBust(seen)}`" titled />
  <span v-else class="empty" />
</template>

<style scoped>
.empty {
  display: block;
  background: #08090a;
}
</style>
