import { ref, type Ref } from 'vue'
import { ApiError, sentence } from '@/api/client'

export interface UseSubmitReturn {
  /** Whether something is on its way. */
  busy: Ref<boolean>
  /** Why the last one was refused, in words; empty when it was not. */
  error: Ref<string>
  /**
   * Does something that the server can refuse, one at a time: a second press meanwhile does nothing.
   *
   * @returns whether it was done
   */
  submit: (job: () => Promise<unknown>) => Promise<boolean>
}

/** What a button or a form sends: once, with the sentence to show when it is refused. */
export function useSubmit(onRefused?: (refusal: ApiError) => void): UseSubmitReturn {
  const busy = ref(false)
  const error = ref('')
  return {
    busy,
    error,
    async submit(job) {
      if (busy.value) return false
      busy.value = true
      try {
        await job()
        error.value = ''
        return true
      } catch (failure) {
        error.value = sentence(failure)
        if (failure instanceof ApiError) onRefused?.(failure)
        return false
      } finally {
        busy.value = false
      }
    },
  }
}
