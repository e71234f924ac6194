<script setup lang="ts">
import { ref } from 'vue'
import { answer, api, onVersion } from '@/api/client'
import { outdate } from '@/api/reads'
import type { KnownNode } from '@/api/types'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import TextField from '@/components/dialogs/TextField.vue'
import { readFigures } from '@/lib/figures'
import { useSubmit } from '@/lib/useSubmit'

/** The boxes that hand universes on, of the whole production. */
const props = defineProps<{ nodes: KnownNode[]; productionId: number; locked: boolean }>()

const EMPTY = { name: '', address: '10.0.0.', mask: '255.255.255.0', gateway: '', ports: '' }
const open = ref<{ node?: KnownNode }>()
const fields = ref({ ...EMPTY })
const { busy, error, submit } = useSubmit(() => void outdate({ topics: ['NODES'] }))

function edit(node?: KnownNode) {
  open.value = { node }
  error.value = ''
  fields.value = node
    ? { ...EMPTY, ...node.card, gateway: node.card.gateway ?? '', ports: node.card.ports.join(', ') }
    : { ...EMPTY }
}
function send(job: () => Promise<unknown>) {
  return submit(async () => {
    await job()
    open.value = undefined
    await outdate({ topics: ['NODES'] })
  })
}
const at = ({ id, version }: KnownNode) => ({ path: { id }, header: onVersion(version) })
function remove(node: KnownNode) {
  void send(() => answer(api.DELETE('/api/nodes/{id}', { params: at(node) })))
}
function keep() {
  const { ports, gateway, ...card } = fields.value
  const typed = ports.split(/[\s,;]+/).filter(Boolean)
  const node = open.value?.node
  const { productionId } = props
  void send(async () => {
    const universes = await readFigures(
      ...typed.map((text, i) => ({ kind: 'WHOLE' as const, text, of: `Universe of port ${i + 1}` })),
    )
    const body = { ...card, gateway: gateway || undefined, ports: universes }
    return node
      ? answer(api.PUT('/api/nodes/{id}', { params: at(node), body }))
      : answer(api.POST('/api/productions/{productionId}/nodes', { params: { path: { productionId } }, body }))
  })
}
</script>

<template>
  <section aria-label="Nodes">
    <h2 class="text-lead">Nodes</h2>
    <p v-if="!nodes.length" class="text-quiet">
      No node is recorded. Add the boxes between the network and the lights, with the universes of their ports.
    </p>
    <ul>
      <li v-for="n in nodes" :key="n.id">
        <button class="node w-full py-1 text-left border-b border-line" :disabled="locked" @click="edit(n)">
          <b class="font-strong">{{ n.card.name }}</b> <span class="figure">{{ n.card.address }}</span>
          <span class="block text-small text-quiet"
            >mask {{ n.card.mask }}{{ n.card.gateway ? `, gateway ${n.card.gateway}` : '' }}; ports:
            {{ n.card.ports.length ? n.card.ports.join(', ') : 'none' }}</span
          >
        </button>
      </li>
    </ul>
    <button v-if="!locked" class="button mt-1" @click="edit()">Add a node</button>
    <BaseDialog :open="!!open" :title="open?.node ? 'A node' : 'Another node'" :error="error" @close="open = undefined">
      <form id="node-form" @submit.prevent="keep">
        <TextField v-model="fields.name" label="What the crew calls it" :maxlength="60" />
        <div class="grid grid-cols-2 gap-x-2">
          <TextField v-model="fields.address" label="Address" /><TextField v-model="fields.mask" label="Mask" />
          <TextField v-model="fields.gateway" label="Gateway" hint="may stay empty" /><TextField
            v-model="fields.ports"
            label="Universe of each port"
            hint="1, 2"
          />
        </div>
      </form>
      <template #buttons>
        <button v-if="open?.node" class="button mr-auto" :disabled="busy" @click="remove(open.node)">
          Take it out
        </button>
        <button class="button" @click="open = undefined">Cancel</button>
        <button class="button button-main" type="submit" form="node-form">Keep</button>
      </template>
    </BaseDialog>
  </section>
</template>

<style scoped>
.node:hover:not(:disabled) {
  background: var(--raised);
}
</style>
