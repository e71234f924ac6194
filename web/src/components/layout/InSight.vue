<script setup lang="ts">
import { onBeforeUnmount, onMounted, ref } from 'vue'

/** What is in it is drawn only where it can be seen, or nearly: a list of hundreds stays a small page. */
const props = defineProps<{ /** How tall it is taken for until it was drawn, px. */ height: number }>()
const MARGIN = '600px'
const box = ref<HTMLElement>()
const near = ref(false)
const tall = ref(props.height)
let watcher: IntersectionObserver | undefined

onMounted(() => {
  watcher = new IntersectionObserver(
    (entries) => {
      const seen = entries.at(-1)!.isIntersecting
      const inUse = box.value!.contains(document.activeElement)
      if (near.value && !seen) tall.value = box.value!.offsetHeight
      near.value = seen || inUse
    },
    { rootMargin: MARGIN, scrollMargin: MARGIN } as IntersectionObserverInit,
  )
  watcher.observe(box.value!)
})
onBeforeUnmount(() => watcher?.disconnect())
</script>

<template>
  <div ref="box" :style="near ? undefined : { height: `${tall}px` }"><slot v-if="near" /></div>
</template>
