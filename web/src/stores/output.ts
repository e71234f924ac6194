import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { call, sentence } from '@/api/client'
import type { AtStop, Output } from '@/api/types'
import { useConnection } from './connection'

const WHILE_FADING_MS = 400

/** What goes out on the network now, for whoever looks. */
export const useOutput = defineStore('output', () => {
  const connection = useConnection()
  const now = ref<Output>()
  const problem = ref('')
  let fading: ReturnType<typeof setTimeout> | undefined

  /** Without a line nobody knows: what is shown then is how it was. */
  const said = computed(() => {
    const live = now.value?.live
    if (live && connection.lost)
      return `${live.slate} was live when the line was lost: the rig goes on by itself, or holds or goes black as each unit is set to`
    if (live) return `${live.slate} is live on ${now.value?.armed?.outlet}`
    if (now.value?.armed) return `armed on ${now.value.armed.outlet}, nothing is sent`
    return 'output is off'
  })

  function show(answer: Output) {
    now.value = answer
    problem.value = ''
    clearTimeout(fading)
    if (answer.live && answer.live.done < 1) fading = setTimeout(() => void load(), WHILE_FADING_MS)
  }

  async function load() {
    try {
      show(await call<Output>('GET', '/api/output', { now: true }))
    } catch (failure) {
      problem.value = sentence(failure)
    }
  }

  async function ask(path: string, body: object): Promise<boolean> {
    try {
      show(await call<Output>('POST', path, { body }))
      return true
    } catch (failure) {
      problem.value = sentence(failure)
      return false
    }
  }

  const arm = (outlet: string, confirmed: string, atStop: AtStop) =>
    ask('/api/output/arm', { outlet, confirmed, atStop })
  const stop = () => ask('/api/output/stop', {})
  const recall = (
    shotId: number,
    body: { fadeSeconds: number; priority: number; stateDigest: string; warned: boolean },
  ) => ask(`/api/shots/${shotId}/recall`, body)

  connection.onChanged(['OUTPUT', 'RECORD'], () => void (now.value && load()))
  connection.onReconnect(() => void load())

  return { now, problem, said, load, arm, stop, recall }
})
