<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { answer, api, sentence } from '@/api/client'
import type { FitPreview, Rebuild } from '@/api/types'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import ChoiceField from '@/components/dialogs/ChoiceField.vue'
import TextField from '@/components/dialogs/TextField.vue'
import { useSubmit } from '@/lib/useSubmit'
import { useBook } from '@/stores/book'
import { useSettings } from '@/stores/settings'

/** A rebuild begins: from nothing or from a shot that stands, here or in another place that is fitted by landmarks. */
const props = defineProps<{ open: boolean; sheet: Rebuild }>()
const emit = defineEmits<{ close: []; begun: [sheet: Rebuild] }>()
const book = useBook()
const settings = useSettings()

interface NamedSet {
  id: number
  name: string
}
const name = ref('')
const fromShot = ref(0)
const setId = ref(0)
const sets = ref<NamedSet[]>([])
const there = ref<string[]>([])
const pairs = ref<{ recorded: string; here: string }[]>([])
const mirrored = ref(false)
const preview = ref<FitPreview>()
const { busy, error, submit } = useSubmit()
const entry = computed(() => book.shots.get(props.sheet.shotId))
/** Landmarks of the recorded set. */
const mine = ref<string[]>([])
const from = computed(() => [
  { key: 0, name: 'nothing stands yet' },
  ...(entry.value?.scene.shots ?? [])
    .filter((s) => s.id !== props.sheet.shotId)
    .map((s) => ({ key: s.id, name: `${s.slate} stands` })),
])

watch(
  () => props.open,
  async (open) => {
    if (!open) return
    name.value = `Day ${entry.value?.production.production.days ?? 1}`
    fromShot.value = 0
    setId.value = 0
    pairs.value = []
    mirrored.value = false
    preview.value = undefined
    error.value = ''
    const productionId = entry.value?.production.production.id
    if (productionId === undefined) return
    try {
      const [all, { drawn }] = await Promise.all([
        answer(api.GET('/api/productions/{productionId}/sets', { params: { path: { productionId } } })),
        answer(api.GET('/api/shots/{shotId}/plot', { params: { path: { shotId: props.sheet.shotId } } })),
      ])
      mine.value = drawn.set.plan.landmarks.map((l) => l.name)
      sets.value = all.filter((s) => s.id !== drawn.id)
    } catch (failure) {
      error.value = sentence(failure)
    }
  },
  { immediate: true },
)
watch(setId, async (id) => {
  preview.value = undefined
  if (!id) return
  try {
    const page = await answer(api.GET('/api/sets/{setId}', { params: { path: { setId: id } } }))
    there.value = page.drawn.set.plan.landmarks.map((l) => l.name)
    const same = mine.value.filter((l) => there.value.includes(l)).slice(0, 3)
    pairs.value = [0, 1, 2].map((i) => ({ recorded: same[i] ?? '', here: same[i] ?? '' }))
  } catch (failure) {
    error.value = sentence(failure)
  }
})
const body = computed(() => ({
  name: name.value,
  fromShotId: fromShot.value || undefined,
  setId: setId.value || undefined,
  pairs: setId.value ? pairs.value.filter((p) => p.recorded && p.here) : [],
  mirrored: mirrored.value,
}))

watch(
  [pairs, mirrored, setId],
  async () => {
    preview.value = undefined
    if (!setId.value || body.value.pairs.length < 2) return
    const asked = JSON.stringify(body.value)
    try {
      const params = { path: { shotId: props.sheet.shotId } }
      const fit = await answer(api.POST('/api/shots/{shotId}/runs/fit', { params, body: body.value }))
      if (asked === JSON.stringify(body.value)) preview.value = fit
      error.value = ''
    } catch (failure) {
      error.value = sentence(failure)
    }
  },
  { deep: true },
)

function begin() {
  const params = { path: { shotId: props.sheet.shotId } }
  void submit(async () =>
    emit('begun', await answer(api.POST('/api/shots/{shotId}/runs', { params, body: body.value }))),
  )
}
</script>

<template>
  <BaseDialog :open="open" wide :title="`Rebuild ${sheet.slate}`" :error="error" @close="emit('close')">
    <form id="run-form" @submit.prevent="begin">
      <TextField v-model="name" label="What it is called" hint="a day, a place" :maxlength="120" />
      <ChoiceField
        v-model="setId"
        label="Where"
        :options="[{ key: 0, name: 'in the same place' }, ...sets.map((s) => ({ key: s.id, name: s.name }))]"
      />
      <ChoiceField v-if="!setId" v-model="fromShot" label="Start from" :options="from" />
      <fieldset v-else class="mt-2">
        <legend class="mb-1 text-small text-quiet">
          Landmarks that both places have; two give the turn, a third shows what is not the same
        </legend>
        <div v-for="(p, i) in pairs" :key="i" class="mb-1 flex items-center gap-2">
          <select v-model="p.recorded" class="field" :aria-label="`Recorded landmark ${i + 1}`">
            <option value="">none</option>
            <option v-for="l in mine" :key="l" :value="l">{{ l }}</option>
          </select>
          <span>is</span>
          <select v-model="p.here" class="field" :aria-label="`Landmark ${i + 1} there`">
            <option value="">none</option>
            <option v-for="l in there" :key="l" :value="l">{{ l }}</option>
          </select>
          <span class="figure w-28 shrink-0 text-right text-small whitespace-nowrap text-quiet">{{
            preview?.fit.pairs[i] ? `off ${settings.printed(preview.fit.pairs[i]!.miss)}` : ''
          }}</span>
        </div>
        <label class="flex min-h-[28px] items-center gap-1"
          ><input v-model="mirrored" type="checkbox" /> built the other way round: left and right change places</label
        >
        <div v-if="preview" role="status" class="mt-1">
          <p>
            The plan is turned by <span class="figure">{{ Math.round(preview.fit.turnDeg) }}°</span>.
          </p>
          <p v-if="!preview.misfits.length">All of it fits.</p>
          <ul v-else class="list-disc pl-5" aria-label="What does not fit">
            <li v-for="m in preview.misfits" :key="m.placement + m.words.metric">{{ settings.printed(m.words) }}</li>
          </ul>
        </div>
      </fieldset>
    </form>
    <template #buttons
      ><button class="button" @click="emit('close')">Cancel</button
      ><button class="button button-main" :disabled="busy" type="submit" form="run-form">Begin</button></template
    >
  </BaseDialog>
</template>
