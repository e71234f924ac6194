<script setup lang="ts">
import { ref } from 'vue'
import { call, sentence } from '@/api/client'
import type { KnownNode } from '@/api/types'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import TextField from '@/components/dialogs/TextField.vue'

/** The boxes that hand universes on, of the whole production. */
const props = defineProps<{ nodes: KnownNode[]; productionId: number; locked: boolean }>()
const emit = defineEmits<{ changed: [] }>()

const EMPTY = { name: '', address: '10.0.0.', mask: '255.255.255.0', gateway: '', ports: '' }
const open = ref<{ id?: number; version?: number }>()
const fields = ref({ ...EMPTY })
const error = ref('')

function edit(node?: KnownNode) {
  open.value = { id: node?.id, version: node?.version }
  error.value = ''
  fields.value = node
    ? { ...EMPTY, ...node.card, gateway: node.card.gateway ?? '', ports: node.card.ports.join(', ') }
    : { ...EMPTY }
}
async function send(method: string, path: string, body?: object) {
  try {
    await call(method, path, { body, version: open.value?.version })
    open.value = undefined
    emit('changed')
  } catch (failure) {
    error.value = sentence(failure)
    emit('changed')
  }
}
function keep() {
  const { ports, gateway, ...card } = fields.value
  const universes = ports
    .split(/[\s,;]+/)
    .filter(Boolean)
    .map(Number)
  if (universes.some((u) => !Number.isInteger(u))) {
    error.value = 'Type the universe of each port as whole numbers: 1, 2.'
    return
  }
  const body = { ...card, gateway: gateway || undefined, ports: universes }
  void (open.value?.id
    ? send('PUT', `/api/nodes/${open.value.id}`, body)
    : send('POST', `/api/productions/${props.productionId}/nodes`, body))
}
</script>

<template>
  <section aria-label="Nodes">
    <h2 class="text-[15px]">Nodes</h2>
    <p v-if="!nodes.length" class="text-quiet">
      No node is recorded. Add the boxes between the network and the lights, with the universes of their ports.
    </p>
    <ul>
      <li v-for="n in nodes" :key="n.id">
        <button class="node" :disabled="locked" @click="edit(n)">
          <b class="font-[650]">{{ n.card.name }}</b> <span class="figure">{{ n.card.address }}</span>
          <span class="block text-[12px] text-quiet"
            >mask {{ n.card.mask }}{{ n.card.gateway ? `, gateway ${n.card.gateway}` : '' }}; ports:
            {{ n.card.ports.length ? n.card.ports.join(', ') : 'none' }}</span
          >
        </button>
      </li>
    </ul>
    <button v-if="!locked" class="button mt-1" @click="edit()">Add a node</button>
    <BaseDialog :open="!!open" :title="open?.id ? 'A node' : 'Another node'" :error="error" @close="open = undefined">
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
        <button v-if="open?.id" class="button mr-auto" @click="send('DELETE', `/api/nodes/${open.id}`)">
          Take it out
        </button>
        <button class="button" @click="open = undefined">Cancel</button>
        <button class="button button-main" type="submit" form="node-form">Keep</button>
      </template>
    </BaseDialog>
  </section>
</template>

<style scoped>
.node {
  width: 100%;
  padding: 4px 0;
  text-align: left;
  border-bottom: 1px solid var(--line);
}
.node:hover:not(:disabled) {
  background: var(--raised);
}
</style>
