import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import { answer, api, onVersion, sentence } from '@/api/client'
import type { components } from '@/api/generated/schema'
import { outdate, useRead } from '@/api/reads'
import type { AtStop, Output, TeamRole } from '@/api/types'
import { useConnection } from './connection'
import { useSession } from './session'

const WHILE_FADING_MS = 400

/** What goes out on the network now, for whoever looks. */
export const useOutput = defineStore('output', () => {
  const connection = useConnection()
  const session = useSession()
  const { data: now, show } = useRead('output', () => (session.name ? {} : undefined), {
    everyMs: (output) => (output?.live && output.live.done < 1 ? WHILE_FADING_MS : false),
  })
  const problem = ref('')

  /* a fade that has ended changes what a recall would do */
  watch(
    () => now.value?.live?.done === 1,
    (done) => done && void outdate({ topics: ['OUTPUT'] }, undefined, 'output'),
  )

  /** Without a line nobody knows: what is shown then is how it was. */
  const said = computed(() => {
    const live = now.value?.live
    if (live && connection.lost)
      return `${live.slate} was live when the line was lost: the rig goes on by itself, or holds or goes black as each unit is set to`
    if (live) return `${live.slate} is live on ${now.value?.armed?.outlet}`
    if (now.value?.armed) return `armed on ${now.value.armed.outlet}, nothing is sent`
    return 'output is off'
  })

  /** Nothing waits for another here: a stop is sent whatever else is on its way. @returns whether it was done */
  async function ask(call: () => Promise<Output>): Promise<boolean> {
    try {
      show(await call())
      problem.value = ''
      void outdate({ topics: ['OUTPUT'] }, undefined, 'output')
      return true
    } catch (failure) {
      problem.value = sentence(failure)
      return false
    }
  }

  const arm = (outlet: string, confirmed: string, atStop: AtStop) =>
    ask(() => answer(api.POST('/api/output/arm', { body: { outlet, confirmed, atStop } })))
  const stop = () => ask(() => answer(api.POST('/api/output/stop')))
  const recall = (shotId: number, body: components['schemas']['RecallBody']) =>
    ask(() => answer(api.POST('/api/shots/{shotId}/recall', { params: { path: { shotId } }, body })))

  const runCue = (shotId: number, body: components['schemas']['CueBody']) =>
    ask(() => answer(api.POST('/api/shots/{shotId}/cue', { params: { path: { shotId } }, body })))

  const mayStop = computed(() => now.value?.stopping.roles.some((role) => role === session.session?.role) ?? false)
  const letStop = (stoppedBy: TeamRole) =>
    ask(() =>
      answer(
        api.PUT('/api/output/stoppers', {
          params: { header: onVersion(now.value?.stopping.version) },
          body: { stoppedBy },
        }),
      ),
    )

  return { now, problem, said, mayStop, arm, stop, recall, runCue, letStop }
})
