<script setup lang="ts">
import { computed, ref } from 'vue'
import { RouterLink } from 'vue-router'
import { answer, api } from '@/api/client'
import { outdate, useRead } from '@/api/reads'
import SpineButton from '@/components/layout/SpineButton.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { openStep } from '@/lib/openStep'
import { usePullList } from '@/lib/usePullList'
import { useSubmit } from '@/lib/useSubmit'
import { useSession } from '@/stores/session'
import { useSettings } from '@/stores/settings'

/** What a label leads to: its unit, where it is, and what one stands there with it for: to hang it, to count it. */
const props = defineProps<{ tag: string }>()
defineEmits<{ spine: [] }>()
const session = useSession()
const settings = useSettings()
const { data: scanned, problem } = useRead('scanned', () => ({ tag: props.tag }))
const unit = computed(() => scanned.value?.units[0])
const { data: lists } = useRead('pullLists', () => unit.value && { productionId: unit.value.productionId })
const pull = usePullList(() => lists.value?.lists.find((l) => !l.wrappedAt)?.id)
const line = computed(() => pull.lines.value.find((l) => l.item.tag?.toLowerCase() === props.tag.toLowerCase()))
const step = openStep()
const { busy, error, submit } = useSubmit()
const hung = ref<{ right: boolean; sentence: string }>()

function hang() {
  if (!step) return
  void submit(async () => {
    const run =
      step.runId ??
      (
        await answer(
          api.POST('/api/shots/{shotId}/runs', {
            params: { path: { shotId: step.shotId } },
            body: { pairs: [], mirrored: false },
          }),
        )
      ).run!.id
    const said = await answer(
      api.PUT('/api/runs/{run}/steps/{placement}/named', {
        params: { path: { run, placement: step.placement } },
        body: { named: props.tag },
      }),
    )
    hung.value = { right: said.right, sentence: settings.printed(said.sentence) }
    await outdate({ topics: ['RUNS'] })
  })
}
</script>

<template>
  <div class="view">
    <header class="flex items-center gap-3 border-b border-line bg-panel py-2 pr-4">
      <SpineButton @click="$emit('spine')" />
      <h1 class="px-3 text-head font-strong">{{ unit?.unit.unit.name ?? tag }}</h1>
    </header>
    <div class="min-h-0 flex-1 overflow-y-auto p-4">
      <p v-if="problem" role="alert">{{ problem }}</p>
      <p v-if="scanned && !unit" class="text-lead">
        No unit bears the tag “{{ tag }}”. Look at the label again, or add the unit in the Kit.
      </p>
      <template v-if="unit">
        <p class="text-lead">{{ settings.printed(unit.unit.kind) }}</p>
        <p class="flex gap-2 text-lead"><WedgeMark v-if="!unit.unit.there" act />{{ unit.unit.where }}</p>
        <p class="text-quiet">
          {{ unit.production }}, tag <span class="figure">{{ unit.unit.unit.tag }}</span>{{
            unit.unit.unit.packedIn ? `, case ${unit.unit.unit.packedIn}` : ''
          }}
        </p>
        <p v-if="unit.unit.uses.length" class="text-quiet">
          Recorded in {{ unit.unit.uses.map((u) => `${u.slate} (${u.name})`).join(', ') }}.
        </p>
        <section v-if="step && session.may('NOTE')" class="mt-4 border border-line p-3" aria-label="Hung here">
          <p>
            Open on this phone: <b class="font-strong">{{ step.name }}</b> in {{ step.slate }}.
          </p>
          <button class="button button-main mt-2 !min-h-14 w-full" :disabled="busy" @click="hang">
            Hung at {{ step.name }}
          </button>
          <p v-if="hung" class="mt-2 flex gap-2 text-lead" role="alert">
            <WedgeMark v-if="!hung.right" act /><span>{{ hung.sentence }}</span>
          </p>
          <RouterLink
            v-if="hung"
            class="mt-2 inline-block underline"
            :to="{ name: 'rebuild', params: { id: step.shotId }, query: step.runId ? { run: step.runId } : {} }"
            >Back to the step</RouterLink
          >
          <p v-if="error" role="alert" class="mt-2">{{ error }}</p>
        </section>
        <section v-if="line && pull.list.value" class="mt-4 border border-line p-3" aria-label="Pull list">
          <p>
            On the pull list of {{ pull.list.value.title }}:
            {{ line.out ? (line.back ? 'back' : 'out') : 'not out yet' }}.
          </p>
          <div v-if="session.may('NOTE')" class="mt-2 flex gap-2">
            <button class="button !min-h-12 flex-1" :disabled="!!line.out" @click="pull.count(line, 1, 0)">
              Goes out
            </button>
            <button
              class="button !min-h-12 flex-1"
              :disabled="!line.out || !!line.back"
              @click="pull.count(line, line.out, line.out)"
            >
              Is back
            </button>
          </div>
          <p v-if="line.waits" role="status" class="mt-1 text-small text-quiet">waits to be sent</p>
        </section>
        <p class="mt-4">
          <RouterLink
            class="underline"
            :to="{
              name: 'kit',
              params: { production: unit.productionId, part: 'units' },
              query: { unit: unit.unit.id },
            }"
            >All that is known of it</RouterLink
          >
        </p>
      </template>
    </div>
  </div>
</template>
