import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { answer, api } from '@/api/client'
import { forgetRead } from '@/lib/offlineStore'
import type { Permission, Session, TeamRole } from '@/api/types'

/** Who is signed in on this device, and what that person may do. */
export const useSession = defineStore('session', () => {
  const session = ref<Session>()
  /** Whether the session ended while something was open: signing in again goes on from there. */
  const ended = ref(false)
  let waiting: (() => void)[] = []

  const name = computed(() => session.value?.name)

  function may(what: Permission): boolean {
    return session.value?.permissions.includes(what) ?? false
  }

  function take(now: Session) {
    const before = name.value
    session.value = now
    if (!now.name) return
    if (before && before !== now.name) return location.reload() // what waits was another person's
    ended.value = false
    waiting.forEach((go) => go())
    waiting = []
  }

  async function load() {
    take(await answer(api.GET('/api/session')))
  }

  async function signIn(wanted: { name: string; passphrase: string }) {
    take(await answer(api.POST('/api/session', { body: wanted })))
  }

  async function signInForDemo(role: TeamRole) {
    take(await answer(api.POST('/api/session/demo', { body: { role } })))
  }

  async function makeFirst(wanted: { name: string; passphrase: string }) {
    take(await answer(api.POST('/api/session/first', { body: wanted })))
  }

  async function join(token: string, wanted: { name: string; passphrase: string }) {
    take(await answer(api.POST('/api/invitations/{token}', { params: { path: { token } }, body: wanted })))
  }

  async function signOut(everywhere: boolean) {
    await answer(everywhere ? api.DELETE('/api/sessions') : api.DELETE('/api/session'))
    await forgetRead()
    location.assign('/')
  }

  /** A page that the browser took out of the drawer shows what somebody saw who may be gone. */
  window.addEventListener('pageshow', (event) => {
    if (!event.persisted) return
    const before = name.value
    void load().then(
      () => name.value !== before && location.reload(),
      () => undefined,
    )
  })

  /**
   * A call was answered with “not signed in”: settles once somebody has signed in again, so that it can be sent again. What this device
   * had read may not be another's to see.
   */
  function signedInAgain(): Promise<void> {
    ended.value = true
    void forgetRead()
    return new Promise((resolve) => waiting.push(resolve))
  }

  return { session, name, ended, may, load, signIn, signInForDemo, makeFirst, join, signOut, signedInAgain }
})
