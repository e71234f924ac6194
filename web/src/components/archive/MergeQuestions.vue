<script setup lang="ts">
import { computed } from 'vue'
import type { MergeQuestion, Phrase } from '@/api/types'
import { when } from '@/lib/words'
import { useSettings } from '@/stores/settings'

/** What both sides changed, each to be answered: one after the other, or all by one rule. */
const props = defineProps<{ questions: MergeQuestion[] }>()
const answers = defineModel<Record<string, 'HERE' | 'THERE'>>({ required: true })
defineEmits<{ rule: [rule: 'HERE' | 'THERE' | 'LATER'] }>()
const settings = useSettings()
const open = computed(() => props.questions.filter((q) => !answers.value[q.id]).length)
const said = (phrase?: Phrase) => phrase?.[settings.units] ?? 'taken out'
const who = (by?: string, at?: string) => [by, at && when(at)].filter(Boolean).join(', ')

const sides = (q: MergeQuestion) => [
  { key: 'HERE' as const, name: 'Here', say: said(q.here), by: who(q.hereBy, q.hereAt), later: q.later === 'HERE' },
  {
    key: 'THERE' as const,
    name: 'Archive',
    say: said(q.there),
    by: who(q.thereBy, q.thereAt),
    later: q.later === 'THERE',
  },
]
</script>

<template>
  <section aria-labelledby="both-changed">
    <div class="flex flex-wrap items-baseline gap-x-3 gap-y-1">
      <h3 id="both-changed" class="text-title font-strong">Both changed</h3>
      <span role="status" class="text-quiet">{{
        open ? `${open} of ${questions.length} to answer` : 'all answered'
      }}</span>
    </div>
    <div class="my-2 flex flex-wrap items-center gap-2">
      <span class="text-small text-quiet">All by one rule:</span>
      <button class="button" @click="$emit('rule', 'HERE')">As it is here</button>
      <button class="button" @click="$emit('rule', 'THERE')">As in the archive</button>
      <button class="button" @click="$emit('rule', 'LATER')">The later of both</button>
    </div>
    <ul>
      <li v-for="q in questions" :key="q.id" class="border-t border-line py-2">
        <fieldset>
          <legend class="mb-1">
            <span class="font-strong">{{ q.what }}</span> <span class="text-quiet">{{ q.where }}</span>
            <span v-if="q.before" class="text-small text-quiet">, it was {{ said(q.before) }}</span>
          </legend>
          <div class="grid grid-cols-2 gap-2 phone:grid-cols-1">
            <label
              v-for="side in sides(q)"
              :key="side.key"
              class="side"
              :class="{ chosen: answers[q.id] === side.key }"
            >
              <input v-model="answers[q.id]" type="radio" :name="q.id" :value="side.key" class="mt-1" />
              <span class="min-w-0">
                <span class="block wrap-anywhere">{{ side.say }}</span>
                <span class="block text-small text-quiet"
                  >{{ side.name }}<template v-if="side.by">, {{ side.by }}</template
                  ><template v-if="side.later">, the later one</template></span
                >
              </span>
            </label>
          </div>
        </fieldset>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.side {
  display: flex;
  gap: 8px;
  min-height: 44px;
  padding: 6px 10px;
  border: 1px solid var(--line);
  border-radius: 3px;
}
.side.chosen {
  border-color: var(--accent);
  background: var(--raised);
}
</style>
