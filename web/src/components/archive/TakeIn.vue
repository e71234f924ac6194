<script setup lang="ts">
import { computed, ref } from 'vue'
import { RouterLink } from 'vue-router'
import TextField from '@/components/dialogs/TextField.vue'
import DotMark from '@/components/marks/DotMark.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { plain } from '@/lib/print'
import { useArchive } from '@/lib/useArchive'
import { when } from '@/lib/words'
import MergeQuestions from './MergeQuestions.vue'

/** An archive from another Oblume: what it would do is said first, then it is taken in whole or not at all. */
const { report, done, answers, share, busy, error, look, byRule, takeIn, drop } = useArchive()
const name = ref('')
const open = computed(() => report.value?.questions.filter((q) => !answers.value[q.id]).length ?? 0)
const nothing = computed(() => !report.value?.brings.length && !report.value?.questions.length)

function pick(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  name.value = ''
  if (file) look(file)
}
function counts(b: { added: number; changed: number; takenOut: number }): string {
  return [b.added && `${b.added} new`, b.changed && `${b.changed} changed`, b.takenOut && `${b.takenOut} taken out`]
    .filter(Boolean)
    .join(', ')
}
</script>

<template>
  <section aria-labelledby="take-in">
    <h2 id="take-in" class="text-lead font-strong">Take one in</h2>
    <p class="mb-2 max-w-prose text-quiet">
      An archive of a production that is here is merged with it: what only one of both changed is kept, what both
      changed is asked. One of another production is put beside it. Nothing is changed before you have seen what it
      would do.
    </p>
    <label v-if="!report" class="block max-w-md"
      ><span class="text-small text-quiet">Archive, .oblume.zip</span
      ><input type="file" accept=".zip,application/zip" class="field" :disabled="busy" @change="pick"
    /></label>
    <p v-if="busy" role="status" class="mt-2 flex items-center gap-3">
      <progress v-if="share !== undefined" :value="share" max="1" class="w-48" aria-label="How far it is" />
      {{ report ? 'Taking it in…' : share === undefined || share === 1 ? 'Looking at it…' : 'Sending it…' }}
    </p>
    <p v-if="error" role="alert" class="mt-2 flex gap-2"><WedgeMark act />{{ error }}</p>
    <div v-if="report" class="mt-3 border border-line p-4">
      <h3 class="text-title font-strong">{{ report.production }}</h3>
      <p class="mb-2 text-quiet">
        made by {{ report.by }}, {{ when(report.madeAt) }}.
        <template v-if="report.productionId"
          >It is merged with the one that is here;
          {{
            report.commonSince
              ? `both were one on ${when(report.commonSince)}.`
              : 'when both were one is not known here, so all that differs is asked.'
          }}</template
        ><template v-else>No such production is here yet.</template>
      </p>
      <TextField
        v-if="report.nameTaken"
        v-model="name"
        label="Another name for it here"
        :hint="`there is a ${report.production} already`"
        :maxlength="120"
        class="max-w-md"
      />
      <p v-if="nothing" class="flex gap-2"><DotMark />It brings nothing that is not here.</p>
      <dl v-else class="facts">
        <template v-for="b in report.brings" :key="b.what">
          <dt>{{ b.what }}</dt>
          <dd class="figure">{{ counts(b) }}</dd>
        </template>
        <dt>pictures in it</dt>
        <dd class="figure">{{ plain(report.pictureBytes / 1e6, 1) }}<span class="unit">MB</span></dd>
      </dl>
      <ul v-if="report.renamed.length" class="my-2">
        <li v-for="r in report.renamed" :key="r" class="flex gap-2"><WedgeMark />{{ r }}</li>
      </ul>
      <MergeQuestions
        v-if="report.questions.length"
        v-model="answers"
        class="mt-3"
        :questions="report.questions"
        @rule="byRule"
      />
      <div class="mt-3 flex flex-wrap items-center gap-2 border-t border-line pt-3">
        <button class="button button-main" :disabled="busy || open > 0" @click="takeIn(name)">
          {{ report.productionId ? 'Merge' : 'Take it in' }}
        </button>
        <button class="button" :disabled="busy" @click="drop">Leave it</button>
        <span v-if="open" class="text-quiet">{{ open }} to answer first</span>
      </div>
    </div>
    <div v-if="done" role="status" class="mt-3 border-l-2 border-accent pl-3">
      <p class="font-strong">{{ done.production }} is in.</p>
      <ul v-if="done.told.length">
        <li v-for="t in done.told" :key="t">{{ t }}</li>
      </ul>
      <RouterLink class="underline" :to="{ name: 'book' }">To the book</RouterLink>
    </div>
  </section>
</template>

<style scoped>
.facts {
  display: grid;
  grid-template-columns: max-content minmax(0, 1fr);
  column-gap: 16px;
  row-gap: 2px;
}
.facts dt {
  color: var(--quiet);
}
</style>
