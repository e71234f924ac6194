<script setup lang="ts">
import { computed, ref } from 'vue'
import type { TeamRole } from '@/api/types'
import LogoMark from '@/components/marks/LogoMark.vue'
import { useSubmit } from '@/lib/useSubmit'
import { TEAM_ROLES } from '@/lib/words'
import { useSession } from '@/stores/session'

/** Signing in; making the first account; taking up an invitation. */
const props = defineProps<{ token?: string; invitedAs?: TeamRole }>()
const emit = defineEmits<{ done: [] }>()
const session = useSession()

const name = ref('')
const passphrase = ref('')
const { busy, error, submit } = useSubmit()

const first = computed(() => session.session?.first ?? false)
const joining = computed(() => props.token !== undefined)
const title = computed(() =>
  joining.value
    ? 'You are invited'
    : first.value
      ? 'Make the lead’s account'
      : session.ended
        ? 'Sign in to go on'
        : 'Sign in',
)

function attempt(action: () => Promise<void>) {
  return submit(async () => {
    await action()
    passphrase.value = ''
    emit('done')
  })
}

function go() {
  const wanted = { name: name.value, passphrase: passphrase.value }
  void attempt(() =>
    props.token !== undefined
      ? session.join(props.token, wanted)
      : first.value
        ? session.makeFirst(wanted)
        : session.signIn(wanted),
  )
}
</script>

<template>
  <section class="w-[min(380px,100%)] m-auto py-6 px-4" aria-labelledby="sign-in-title">
    <div class="mb-6 flex items-center gap-2 text-title font-strong"><LogoMark /> Oblume</div>
    <h1 id="sign-in-title" class="mb-1 text-head">{{ title }}</h1>
    <p v-if="session.ended" class="mb-3">
      Your session on this device has ended. What you typed is still there behind this, and goes on when you are back.
    </p>
    <p v-else-if="joining" class="mb-3">
      Choose your name and a passphrase. You join as <b>{{ TEAM_ROLES.find((r) => r.key === invitedAs)?.name }}</b>:
      {{ TEAM_ROLES.find((r) => r.key === invitedAs)?.does }}.
    </p>
    <p v-else-if="first" class="mb-3">
      Nobody has an account here yet. The lead says who works on the record, and invites the others.
    </p>
    <form @submit.prevent="go">
      <label class="mb-2 block"
        ><span class="mb-0.5 block text-small text-quiet">Name</span
        ><input v-model="name" class="field" autocomplete="username" maxlength="60"
      /></label>
      <label class="mb-3 block">
        <span class="mb-0.5 flex justify-between text-small text-quiet"
          ><span>Passphrase</span><span v-if="first || joining">10 characters or more</span></span
        >
        <input
          v-model="passphrase"
          class="field"
          type="password"
          :autocomplete="first || joining ? 'new-password' : 'current-password'"
        />
      </label>
      <p v-if="error" role="alert" class="mb-3">{{ error }}</p>
      <button class="button button-main w-full" type="submit" :disabled="busy">
        {{ joining ? 'Join' : first ? 'Make account' : 'Sign in' }}
      </button>
    </form>
    <div v-if="session.session?.demo.length && !joining" class="mt-6 border-t border-line pt-3">
      <p class="mb-2 text-quiet">This is the demo: take a role with one click.</p>
      <button
        v-for="role in TEAM_ROLES.filter((r) => session.session?.demo.includes(r.key))"
        :key="role.key"
        class="role grid grid-cols-[84px_1fr] items-baseline w-full min-h-9 py-1.5 px-2 text-left border-b border-line pointer-coarse:min-h-12"
        :disabled="busy"
        :aria-label="`Go in as ${role.name}`"
        @click="attempt(() => session.signInForDemo(role.key))"
      >
        <b class="font-strong">{{ role.name }}</b><span class="text-quiet">{{ role.does }}</span>
      </button>
    </div>
  </section>
</template>

<style scoped>
.role:hover {
  background: var(--raised);
}
</style>
