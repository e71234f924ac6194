import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import { api, device } from '@/api/client'
import type { RecordChanged } from '@/api/types'
import { useSession } from './session'

/** Someone who has Oblume open. */
interface Present {
  person: string
  device: string
  shotId?: number
}

const SILENT_MS = 25_000
const LOOK_MS = 2_000

/** The line to the server: whether it stands, who else is there, and what others change. */
export const useConnection = defineStore('connection', () => {
  const session = useSession()
  const live = ref(false)
  const present = ref<Present[]>([])
  const shotId = ref<number>()
  const heard = ref(0)
  const listeners = new Set<(changed: RecordChanged) => void>()
  const again = new Set<() => void>()
  let stream: EventSource | undefined
  /** The shot that the server knows is looked at. */
  let told: number | undefined

  /** Whether it failed since it last stood. */
  const failed = ref(false)
  const lost = computed(() => failed.value && !live.value)
  const others = computed(() => present.value.filter((p) => p.device !== device))
  /** Names of who else looks at this shot, each once. */
  const here = computed(() => [
    ...new Set(others.value.filter((p) => p.shotId !== undefined && p.shotId === shotId.value).map((p) => p.person)),
  ])

  function open() {
    stream?.close()
    told = shotId.value
    stream = new EventSource(`/api/live?device=${device}${shotId.value ? `&shot=${shotId.value}` : ''}`)
    stream.addEventListener('presence', (e) =>
      received(() => (present.value = (JSON.parse(e.data) as { present: Present[] }).present)),
    )
    stream.addEventListener('beat', () => received())
    stream.addEventListener('changed', (e) => {
      received()
      const changed = JSON.parse(e.data) as RecordChanged
      if (changed.device !== device) listeners.forEach((tell) => tell(changed))
    })
    stream.onerror = fail
  }

  /** An event arrived. Events received while the browser reports offline are ignored. */
  function received(then?: () => void) {
    if (!navigator.onLine) return
    heard.value = Date.now()
    then?.()
    if (live.value) return
    if (told !== shotId.value) tell()
    const cameBack = failed.value
    live.value = true
    failed.value = false
    if (cameBack) again.forEach((tell) => tell())
  }

  function fail() {
    live.value = false
    failed.value = true
  }

  /** A stream that was refused, or from which nothing is heard any more, is opened anew. */
  function look() {
    if (!session.name || session.ended) return
    if (live.value && Date.now() - heard.value > SILENT_MS) fail()
    if (
      stream?.readyState === EventSource.CLOSED ||
      (!live.value && navigator.onLine && stream?.readyState !== EventSource.CONNECTING)
    ) {
      void session.load().then(
        () => session.name && open(),
        () => undefined,
      )
    }
  }

  watch(
    () => session.name,
    (name) => {
      if (name) open()
      else stream?.close()
    },
    { immediate: true },
  )
  window.addEventListener('offline', fail)
  window.addEventListener('pageshow', (event) => event.persisted && session.name && open())
  window.addEventListener('online', () => session.name && open())
  window.addEventListener('pagehide', () => stream?.close())
  setInterval(look, LOOK_MS)

  /** Says which shot is looked at. */
  function viewShot(shot: number | undefined) {
    if (shotId.value === shot) return
    shotId.value = shot
    if (live.value) tell()
  }
  function tell() {
    told = shotId.value
    void api.PUT('/api/live/{device}', { params: { path: { device } }, body: { shotId: told } }).catch(() => undefined)
  }

  /** Calls back for each change that another device made. @returns how to stop */
  function onChanged(tell: (changed: RecordChanged) => void): () => void {
    listeners.add(tell)
    return () => listeners.delete(tell)
  }

  /** Calls back when the line stands again after it was lost. @returns how to stop */
  function onReconnect(tell: () => void): () => void {
    again.add(tell)
    return () => again.delete(tell)
  }

  return { live, lost, others, here, viewShot, onChanged, onReconnect }
})
