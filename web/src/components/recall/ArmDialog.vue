<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import BaseDialog from '@/components/dialogs/BaseDialog.vue'
import TextField from '@/components/dialogs/TextField.vue'
import type { AtStop } from '@/api/types'
import { useOutput } from '@/stores/output'

/** Turns output on for this run of the server. Anything but the loopback is confirmed by typing its name. */
const props = defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const output = useOutput()

const WAYS: { value: AtStop; label: string; what: string }[] = [
  { value: 'FIXTURES_DECIDE', label: 'The fixtures decide:', what: 'each holds or goes black, as its menu is set' },
  { value: 'GO_DARK', label: 'Go dark:', what: 'all slots to zero, then the stream ends' },
]
const outlet = ref('loopback')
const atStop = ref<AtStop>('FIXTURES_DECIDE')
const confirmed = ref('')
const error = ref('')
const outlets = computed(() => output.now?.interfaces ?? [])
const leaves = computed(() => !outlets.value.find((o) => o.name === outlet.value)?.loopback)
watch(
  () => props.open,
  () => {
    outlet.value = 'loopback'
    confirmed.value = ''
    atStop.value = 'FIXTURES_DECIDE'
    error.value = ''
  },
)

async function arm() {
  if (await output.arm(outlet.value, confirmed.value, atStop.value)) emit('close')
  else error.value = output.problem
}
</script>

<template>
  <BaseDialog :open="open" title="Arm output" :error="error" @close="emit('close')">
    <form id="arm-form" @submit.prevent="arm">
      <fieldset>
        <legend class="mb-1 text-small text-quiet">Where it goes</legend>
        <label v-for="o in outlets" :key="o.name" class="flex min-h-8 items-center gap-2">
          <input v-model="outlet" type="radio" name="outlet" :value="o.name" />
          <span
            >{{
              o.loopback ? 'loopback: this machine only, the simulated rig' : `${o.name}: real lights on this network`
            }}
            <span class="figure text-quiet">{{ o.address }}</span></span
          >
        </label>
      </fieldset>
      <template v-if="leaves">
        <p class="mt-2">
          This sends multicast sACN to every light that listens there. Nobody may be at a hot lamp, on a ladder or
          before a flash.
        </p>
        <TextField v-model="confirmed" :label="`Type ${outlet} to confirm it`" class="mt-2" />
      </template>
      <fieldset class="mt-2">
        <legend class="mb-1 text-small text-quiet">When output stops, by hand or with the server</legend>
        <label v-for="way in WAYS" :key="way.value" class="flex min-h-8 items-center gap-2">
          <input v-model="atStop" type="radio" name="at-stop" :value="way.value" />
          <span
            ><b>{{ way.label }}</b> <span class="text-quiet">{{ way.what }}</span></span
          >
        </label>
      </fieldset>
      <p class="mt-2 text-quiet">
        Nothing is sent until a shot is recalled. Output turns off when the server stops, and with
        <b class="figure">.</b> or “Stop all” at any time.
      </p>
    </form>
    <template #buttons>
      <button class="button" @click="emit('close')">Cancel</button>
      <button class="button button-main" type="submit" form="arm-form">Arm output</button>
    </template>
  </BaseDialog>
</template>
