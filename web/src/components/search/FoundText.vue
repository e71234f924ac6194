<script setup lang="ts">
import { computed } from 'vue'
import { marked } from '@/lib/found'

/** A text with the words in it that were looked for. */
const props = defineProps<{ text: string; /** Folded, as the server compared them. */ words: string[] }>()
const parts = computed(() => marked(props.text, props.words))
</script>

<template>
  <span
    ><template v-for="(part, i) in parts" :key="i"
      ><mark v-if="part.found">{{ part.text }}</mark
      ><template v-else>{{ part.text }}</template></template
    ></span
  >
</template>

<style scoped>
mark {
  color: inherit;
  background: none;
  text-decoration: underline;
  text-decoration-thickness: 2px;
  text-underline-offset: 2px;
  font-weight: 650;
}
</style>
