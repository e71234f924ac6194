<script setup lang="ts">
import { computed } from 'vue'
import { answer, api } from '@/api/client'
import DotMark from '@/components/marks/DotMark.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { useSubmit } from '@/lib/useSubmit'
import { when } from '@/lib/words'
import { useSafety } from '@/stores/safety'
import { useSession } from '@/stores/session'
import BaseDialog from './BaseDialog.vue'

/** Where the record is kept beside the server's own file, and what would be lost with that machine. */
defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const store = useSafety()
const session = useSession()
const { busy, error, submit } = useSubmit()

const rows = computed(() => {
  const now = store.safety
  if (!now) return []
  return [
    { name: 'Newest copy on the server’s machine', at: now.newest ? when(now.newest) : 'none yet' },
    {
      name: 'Newest copy in the second folder',
      at: now.newestElsewhere ? when(now.newestElsewhere) : now.secondFolder ? 'none yet' : 'no folder is named',
    },
    { name: 'Each edit goes there too', at: now.journal ? 'yes, before it counts as kept' : 'no' },
    ...(now.secondFolder ? [{ name: 'The second folder', at: now.secondFolder }] : []),
  ]
})
const copy = () =>
  submit(async () => {
    await answer(api.POST('/api/copies'))
    await store.again()
  })
</script>

<template>
  <BaseDialog :open="open" title="Copies of the record" @close="emit('close')">
    <template v-if="store.safety">
      <p class="mb-3 flex gap-2"><WedgeMark v-if="store.atRisk" /><DotMark v-else />{{ store.safety.couldBeLost }}</p>
      <dl class="grid grid-cols-[auto_minmax(0,1fr)] gap-x-4 gap-y-1 phone:grid-cols-1">
        <template v-for="row in rows" :key="row.name">
          <dt class="text-quiet">{{ row.name }}</dt>
          <dd class="wrap-anywhere phone:mb-1">{{ row.at }}</dd>
        </template>
      </dl>
      <p v-if="store.safety.problem" role="alert" class="mt-3 flex gap-2">
        <WedgeMark act />{{ store.safety.problem }}
      </p>
      <p class="mt-3 text-small text-quiet">
        A copy is made each quarter of an hour in which something changed. Until an edit or a photograph is in the
        second folder, the device that made it keeps it too, and sends it again should the record have to be brought
        back.
      </p>
    </template>
    <p v-else class="text-quiet">Asking the server…</p>
    <p v-if="error" role="alert" class="mt-2 flex gap-2"><WedgeMark act />{{ error }}</p>
    <template #buttons>
      <button v-if="session.may('LEAD')" class="button" :disabled="busy" @click="copy">
        {{ busy ? 'Copying…' : 'Copy now' }}
      </button>
      <button class="button button-main" @click="emit('close')">Close</button>
    </template>
  </BaseDialog>
</template>
