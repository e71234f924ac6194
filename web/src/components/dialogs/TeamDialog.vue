<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { answer, api, onVersion } from '@/api/client'
import type { Address, Link, Member, Team, TeamRole } from '@/api/types'
import { useSubmit } from '@/lib/useSubmit'
import { TEAM_ROLES, when } from '@/lib/words'
import { useSession } from '@/stores/session'
import AddressCode from './AddressCode.vue'
import BaseDialog from './BaseDialog.vue'
import TextField from './TextField.vue'

/** One's own account; for a lead, everyone's, and inviting more. */
const props = defineProps<{ open: boolean }>()
defineEmits<{ close: [] }>()
const session = useSession()

const team = ref<Team>()
const { error, submit } = useSubmit()
const role = ref<TeamRole>('CREW')
const address = ref<Address>()
const link = ref<Link>()
const linked = computed(() => link.value?.address ?? location.origin + link.value?.path)
const now = ref('')
const next = ref('')
const changed = ref(false)

function attempt(action: () => Promise<unknown>) {
  return submit(async () => {
    await action()
    if (session.may('LEAD')) team.value = await answer(api.GET('/api/team'))
  })
}

watch(
  () => props.open,
  (open) => {
    link.value = undefined
    changed.value = false
    if (open) void attempt(async () => (address.value = await answer(api.GET('/api/address'))))
  },
)

const invite = () =>
  attempt(async () => {
    link.value = await answer(api.POST('/api/team/invitations', { body: { role: role.value } }))
  })
const at = ({ id, version }: Member) => ({ path: { id }, header: onVersion(version) })
const changeRole = (member: Member, to: TeamRole) =>
  attempt(() => answer(api.PUT('/api/team/{id}', { params: at(member), body: { role: to } })))
const remove = (member: Member) => attempt(() => answer(api.DELETE('/api/team/{id}', { params: at(member) })))
const withdraw = (id: number) =>
  attempt(() => answer(api.DELETE('/api/team/invitations/{id}', { params: { path: { id } } })))
const changePassphrase = () =>
  attempt(async () => {
    await answer(api.PUT('/api/session/passphrase', { body: { now: now.value, next: next.value } }))
    now.value = ''
    next.value = ''
    changed.value = true
  })
</script>

<template>
  <BaseDialog :open="open" wide title="Who works here" :error="error" @close="$emit('close')">
    <p class="mb-3">
      You are <b>{{ session.name }}</b>, {{ TEAM_ROLES.find((r) => r.key === session.session?.role)?.name }}:
      {{ TEAM_ROLES.find((r) => r.key === session.session?.role)?.does }}.
    </p>
    <section v-if="address" class="mb-4" aria-label="On another device">
      <div v-if="address.typed && address.code" class="flex flex-wrap items-center gap-3">
        <AddressCode :code="address.code" label="The address as a code" />
        <div class="min-w-60 flex-1">
          <p class="text-small text-quiet">On another device of this network, scan the code or type</p>
          <p class="figure text-head wrap-anywhere">{{ address.typed }}</p>
          <p v-if="address.trustFirst" class="text-small text-quiet">
            It shows how the device comes to trust this server, and leads on.
          </p>
        </div>
      </div>
      <p v-else class="text-quiet">
        No other device can open this: it was started for this machine alone. Start it with
        <code class="figure">--lan</code> for the others on the network.
      </p>
    </section>
    <template v-if="team">
      <table class="mb-3 w-full">
        <tbody>
          <tr v-for="m in team.members" :key="m.id">
            <th scope="row" class="py-1 text-left font-normal">{{ m.name }}</th>
            <td class="w-36">
              <select
                class="field"
                :aria-label="`Role of ${m.name}`"
                :value="m.role"
                @change="changeRole(m, ($event.target as HTMLSelectElement).value as TeamRole)"
              >
                <option v-for="r in TEAM_ROLES" :key="r.key" :value="r.key">{{ r.name }}</option>
              </select>
            </td>
            <td class="w-24 pl-2">
              <button v-if="m.name !== session.name" class="button" :aria-label="`Remove ${m.name}`" @click="remove(m)">
                Remove
              </button>
            </td>
          </tr>
          <tr v-for="i in team.invitations" :key="`i${i.id}`" class="text-quiet">
            <th scope="row" class="py-1 text-left font-normal">
              invited by {{ i.madeBy }}, open until {{ when(i.expiresAt) }}
            </th>
            <td>{{ TEAM_ROLES.find((r) => r.key === i.role)?.name }}</td>
            <td class="pl-2"><button class="button" @click="withdraw(i.id)">Withdraw</button></td>
          </tr>
        </tbody>
      </table>
      <form class="mb-4 flex flex-wrap items-center gap-2" @submit.prevent="invite">
        <select v-model="role" class="field !w-36" aria-label="Role of the invited">
          <option v-for="r in TEAM_ROLES" :key="r.key" :value="r.key">{{ r.name }}</option>
        </select>
        <button class="button" type="submit">Make an invitation link</button>
        <div v-if="link" class="flex w-full flex-wrap items-start gap-3">
          <AddressCode v-if="link.code" :code="link.code" label="Invitation to be scanned" />
          <label class="min-w-60 flex-1 text-small text-quiet"
            >{{ link.code ? 'Let one person scan this, or send the link' : 'Send this link to one person' }}; it works
            once, for three days, and is not shown again{{ link.code ? '' : '. It opens on this machine only' }}
            <input
              class="field figure mt-1"
              readonly
              :value="linked"
              aria-label="Invitation link"
              @focus="($event.target as HTMLInputElement).select()"
            />
          </label>
        </div>
      </form>
    </template>
    <details class="mb-2">
      <summary class="cursor-pointer py-1">Change your passphrase</summary>
      <form class="mt-2" @submit.prevent="changePassphrase">
        <TextField v-model="now" type="password" label="Passphrase now" />
        <TextField v-model="next" type="password" label="New passphrase" hint="10 characters or more" />
        <button class="button" type="submit">Change it</button>
        <span v-if="changed" role="status" class="ml-2">Changed.</span>
      </form>
    </details>
    <template #buttons>
      <button class="button mr-auto" @click="session.signOut(true)">Sign out everywhere</button>
      <button class="button" @click="session.signOut(false)">Sign out</button>
      <button class="button button-main" @click="$emit('close')">Close</button>
    </template>
  </BaseDialog>
</template>
