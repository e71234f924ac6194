<script setup lang="ts">
import { computed, nextTick, ref, useId } from 'vue'
import { held, revisionOf, type Attribute, type Placed } from '@/api/types'
import { useValueEdit } from '@/lib/useValueEdit'
import { apart, ATTRIBUTES } from '@/lib/words'
import { usePlot } from '@/stores/plot'
import { useShotEditor } from '@/stores/shotEditor'
import { useSettings } from '@/stores/settings'
import CarryThread from './CarryThread.vue'

/** One recorded value: read at a glance, typed over in place. A refused value stays as it was typed, with the reason. */
const props = defineProps<{
  placed: Placed
  attribute: Attribute
  label?: string
  hint?: string
  /** Said elsewhere, and left out here. */ without?: string
}>()
const plot = usePlot()
const editor = useShotEditor()
const settings = useSettings()
const id = useId()

const now = computed(() => held(props.placed, props.attribute))
const name = computed(() => props.label ?? ATTRIBUTES[props.attribute])
const said = computed(() => (now.value ? settings.printed(now.value.say) : 'not recorded'))
const parts = computed(() => apart(said.value.replace(props.without ?? '', '')))
/** What stands in the field at first. */
const before = computed(() => (now.value ? settings.printed(now.value.typed) : ''))
const waits = computed(() =>
  editor.waiting.some((w) => w.placement === props.placed.placement.key && w.attribute === props.attribute),
)
const changed = computed(() => now.value?.tiedHere || !plot.based)

const editing = ref(false)
/** What someone else keeps while one types is not written over unseen. */
let seen = 0
const text = ref('')
const { error, keep: record } = useValueEdit()
const input = ref<HTMLInputElement>()

async function start() {
  if (plot.locked) return
  text.value = before.value
  error.value = ''
  seen = revisionOf(props.placed, props.attribute)
  editing.value = true
  await nextTick()
  input.value?.select()
}

async function keep() {
  if (!editing.value) return
  if (text.value.trim() === before.value) return cancel()
  const done = await record(props.placed.placement.key, props.attribute, { text: text.value }, seen)
  if (done || plot.conflict) cancel()
}

function cancel() {
  editing.value = false
  error.value = ''
}

function untie() {
  void editor.put(props.placed.placement.key, props.attribute, null)
}
</script>

<template>
  <div class="flex items-center gap-1 min-h-6.25 pointer-coarse:min-h-11" :data-attribute="attribute">
    <CarryThread :held="now" :based="plot.based" :locked="plot.locked" :label="name" @untie="untie" />
    <label :for="id" class="name flex-none" :class="{ 'text-quiet': !changed }">{{ name }}</label>
    <template v-if="editing">
      <input
        :id="id"
        ref="input"
        v-model="text"
        class="field figure edit flex-1 min-w-0 min-h-6 px-1.5 text-right"
        :aria-invalid="!!error"
        :aria-describedby="error ? `${id}-e` : undefined"
        autocomplete="off"
        @keydown.enter="keep"
        @keydown.esc.stop="cancel"
        @blur="keep"
      />
    </template>
    <button
      v-else
      :id="id"
      class="value flex-1 min-w-0 min-h-6 px-1 rounded-mark text-right text-figure border border-transparent pointer-coarse:min-h-11"
      :class="{ carried: !changed }"
      :disabled="plot.locked"
      :title="plot.locked ? 'Not to be edited here' : (hint ?? 'Type a new value')"
      @click="start"
    >
      <span class="figure">{{ `${parts.before} ${parts.figure}`.trim() }}</span><span v-if="parts.unit" class="unit">{{
        parts.unit
      }}</span
      ><span v-if="waits" class="unit">waits to be sent</span>
    </button>
  </div>
  <p v-if="error" :id="`${id}-e`" role="alert" class="mb-1 ml-5 text-small">{{ error }}</p>
</template>

<style scoped>
.value:hover:not(:disabled) {
  background: var(--raised);
  border-color: var(--line);
}
.value.carried .figure {
  color: var(--quiet);
}
</style>
