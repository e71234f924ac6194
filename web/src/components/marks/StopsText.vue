<script setup lang="ts">
import { computed } from 'vue'

/** A figure with thirds: `−2 1/3` or `T5.6 ⅓` shows its fraction in small digits, which the figures' font lacks as one sign. */
const props = defineProps<{ text: string }>()
const parts = computed(() => /^(.*?) ?(\d+)\/(\d+)(.*)$/.exec(props.text.replace('⅓', '1/3').replace('⅔', '2/3')))
</script>

<template>
  <span v-if="parts" :aria-label="text"
    >{{ parts[1]
    }}<span aria-hidden="true" class="fraction"
      ><sup>{{ parts[2] }}</sup
      >⁄<sub>{{ parts[3] }}</sub></span
    >{{ parts[4] }}</span
  >
  <span v-else>{{ text }}</span>
</template>

<style scoped>
.fraction {
  font-size: 0.9em;
}
.fraction sup,
.fraction sub {
  font-size: 0.68em;
  line-height: 0;
}
</style>
