<script setup lang="ts">
import { ref } from 'vue'

/** An order of the day, said: it is tried, and taken by a press. */
const props = defineProps<{ say: (text: string) => Promise<boolean> }>()
const text = ref('')
async function go() {
  if (text.value.trim() && (await props.say(text.value))) text.value = ''
}
</script>

<template>
  <form class="flex items-center gap-2 border-t border-line px-4 py-1.5" @submit.prevent="go">
    <label class="whitespace-nowrap text-quiet" for="day-say">Say it</label>
    <input
      id="day-say"
      v-model="text"
      class="field min-w-0 grow"
      autocomplete="off"
      maxlength="300"
      placeholder="4D after lunch, 11B first, swap 4C and 4E"
    />
    <button class="button" :disabled="!text.trim()">Try</button>
  </form>
</template>
