<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRouter, type RouteLocationRaw } from 'vue-router'
import type { ScenePage, ShotCard, BookShot } from '@/api/types'
import { readFigures } from '@/lib/figures'
import { useSubmit } from '@/lib/useSubmit'
import { STAGES } from '@/lib/words'
import { useBook } from '@/stores/book'
import BaseDialog from './BaseDialog.vue'
import ChoiceField from './ChoiceField.vue'
import TextField from './TextField.vue'

/** A new shot, or the card of one that is there. */
const props = defineProps<{
  open: boolean
  scene?: ScenePage
  shot?: BookShot
  basedOn?: BookShot
  /** It comes right after the one it is based on, and the next may carry from it. */ insert?: boolean
}>()
const emit = defineEmits<{ close: [] }>()
const book = useBook()
const router = useRouter()

const slate = ref('')
const description = ref('')
const day = ref('')
const stage = ref<ShotCard['stage']>('PLANNED')
const basedOnId = ref<number>()
const { busy, error, submit } = useSubmit((refusal) => refusal.status === 409 && void book.again())
const deleting = ref(false)
const next = ref(true)

const bases = computed(() => [
  { key: undefined, name: 'nothing: start afresh' },
  ...(props.scene?.shots ?? [])
    .filter((s) => s.id !== props.shot?.id)
    .map((s) => ({ key: s.id, name: `${s.slate} ${s.description}` })),
])
const title = computed(() =>
  props.shot
    ? `Shot ${props.shot.slate}`
    : props.insert
      ? `Insert a shot after ${props.basedOn?.slate ?? ''}`
      : `New shot in scene ${props.scene?.heading.number ?? ''}`,
)

function nextSlate(): string {
  const last = props.scene?.shots.at(-1)?.slate ?? `${props.scene?.heading.number ?? ''}@`
  const letter = last.at(-1) ?? '@'
  return letter >= '@' && letter < 'Z' ? last.slice(0, -1) + String.fromCharCode(letter.charCodeAt(0) + 1) : ''
}

watch(
  () => props.open,
  (open) => {
    if (!open) return
    error.value = ''
    deleting.value = false
    slate.value = props.shot?.slate ?? nextSlate()
    description.value = props.shot?.description ?? ''
    day.value = props.shot?.day ? String(props.shot.day) : props.basedOn?.day ? String(props.basedOn.day) : ''
    stage.value = props.shot?.stage ?? 'PLANNED'
    basedOnId.value = props.shot ? props.shot.basedOnId : props.basedOn?.id
  },
  { immediate: true },
)

/** Closes before it goes on: the view behind may change with the shot. */
function attempt(action: () => Promise<RouteLocationRaw | void>) {
  return submit(async () => {
    const next = await action()
    emit('close')
    if (next) await router.push(next)
  })
}

function keep() {
  void attempt(async () => {
    const typed = day.value.trim()
    const [planned] = typed ? await readFigures({ kind: 'WHOLE', text: typed, of: 'Shooting day' }) : []
    const card: ShotCard = {
      slate: slate.value,
      description: description.value,
      stage: stage.value,
      basedOnId: basedOnId.value,
      day: planned,
    }
    if (props.shot) return book.changeShot(props.shot.id, card, props.shot.version)
    if (!props.scene) return
    const after = props.insert && props.basedOn ? { after: props.basedOn.id, next: next.value } : undefined
    const id = await book.addShot(props.scene.id, card, after)
    if (!props.insert) return { name: 'plot', params: { id } }
  })
}

function remove() {
  const { shot, scene } = props
  if (!shot) return
  void attempt(async () => {
    await book.deleteShot(shot)
    const other = scene?.shots.find((s) => s.id !== shot.id)
    return other ? { name: 'plot', params: { id: other.id } } : { name: 'book' }
  })
}
</script>

<template>
  <BaseDialog :open="open" :title="title" :error="error" @close="emit('close')">
    <form id="shot-form" @submit.prevent="keep">
      <TextField v-model="slate" label="Slate" :maxlength="12" />
      <TextField v-model="description" label="What it shows" />
      <ChoiceField
        v-model="basedOnId"
        label="Based on: every value carries from that shot until you change it here"
        :options="bases"
      />
      <TextField v-model="day" label="Shooting day" hint="a number, or empty" :maxlength="4" />
      <ChoiceField v-model="stage" label="Stage" :options="STAGES" />
      <label v-if="insert" class="flex items-center gap-2"
        ><input v-model="next" type="checkbox" /> the shot that comes next carries from this one, if it carries from
        {{ basedOn?.slate }} now</label
      >
    </form>
    <p v-if="deleting" class="mt-3">Delete {{ shot?.slate }} with everything recorded in it? This cannot be undone.</p>
    <template #buttons>
      <template v-if="shot">
        <button v-if="!deleting" class="button mr-auto" @click="deleting = true">Delete shot…</button>
        <button v-else class="button mr-auto" @click="remove">Yes, delete {{ shot.slate }}</button>
      </template>
      <button class="button" @click="emit('close')">Cancel</button>
      <button class="button button-main" :disabled="busy" form="shot-form" type="submit">
        {{ shot ? 'Keep' : 'Make shot' }}
      </button>
    </template>
  </BaseDialog>
</template>
