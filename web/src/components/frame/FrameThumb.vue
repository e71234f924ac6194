<script setup lang="ts">
import { onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { useRead } from '@/api/reads'

/** A small predicted picture of a shot as it is recorded, or of a state that is compared. It is asked for when it comes into view. */
const props = defineProps<{
  name: string
  shotId?: number
  /** How many cues have run. */ cue?: number
  side?: string
}>()

const WIDE = 160
const box = ref<HTMLElement>()
const near = ref(false)
let watcher: IntersectionObserver | undefined
onMounted(() => {
  watcher = new IntersectionObserver(
    (entries) => {
      if (!entries.some((e) => e.isIntersecting)) return
      near.value = true
      watcher?.disconnect()
    },
    { rootMargin: '120px' },
  )
  watcher.observe(box.value!)
})

const { data, problem } = useRead('frame', () => {
  if (!near.value) return undefined
  return props.side === undefined ? { shotId: props.shotId!, width: WIDE, cue: props.cue } : { side: props.side }
})
const url = ref('')
function show(blob: Blob | undefined) {
  if (url.value) URL.revokeObjectURL(url.value)
  url.value = blob ? URL.createObjectURL(blob) : ''
}
watch(data, show, { immediate: true })
onBeforeUnmount(() => {
  watcher?.disconnect()
  show(undefined)
})
</script>

<template>
  <span ref="box" class="thumb" :title="problem || undefined">
    <img v-if="url" :src="url" :alt="`Predicted picture of ${name}`" draggable="false" />
    <span v-else-if="problem" class="none">no picture</span>
  </span>
</template>

<style scoped>
.thumb {
  display: block;
  aspect-ratio: 16 / 9;
  background: #08090a;
  overflow: hidden;
}
img {
  display: block;
  width: 100%;
  height: 100%;
}
.none {
  display: grid;
  place-items: center;
  height: 100%;
  font-size: var(--text-fine);
  color: #8d938f;
}
</style>
