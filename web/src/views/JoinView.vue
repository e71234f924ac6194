<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { answer, api, sentence } from '@/api/client'
import type { TeamRole } from '@/api/types'
import SignIn from '@/components/layout/SignIn.vue'

/** Where the link of an invitation leads. */
const props = defineProps<{ token: string }>()
const router = useRouter()
const role = ref<TeamRole>()
const error = ref('')

onMounted(async () => {
  try {
    role.value = (await answer(api.GET('/api/invitations/{token}', { params: { path: { token: props.token } } }))).role
  } catch (failure) {
    error.value = sentence(failure)
  }
})
</script>

<template>
  <SignIn v-if="role" :token="token" :invited-as="role" @done="router.replace({ name: 'book' })" />
  <p v-else class="m-auto max-w-sm p-6" :role="error ? 'alert' : undefined">
    {{ error || 'Looking up the invitation…' }}
  </p>
</template>
