import { defineStore } from 'pinia'
import { computed, watch } from 'vue'
import { useRead } from '@/api/reads'
import { dropAcknowledged } from '@/lib/offlineStore'
import { useSession } from './session'

const EACH_MS = 20_000

/** How safe the record is against the loss of the server's machine. What is held elsewhere too, this device need not keep any longer. */
export const useSafety = defineStore('safety', () => {
  const session = useSession()
  const { data: safety, again } = useRead('copies', () => (session.name ? {} : undefined), {
    keepBefore: true,
    everyMs: () => EACH_MS,
  })
  watch(
    () => safety.value?.heldElsewhere,
    (upTo) => upTo !== undefined && void dropAcknowledged(upTo),
  )
  /** Whether something would be lost with the machine. */
  const atRisk = computed(() => safety.value !== undefined && !safety.value.journal)
  return { safety, atRisk, again }
})
