import type { Ref } from 'vue'
import { conflictOf } from '@/api/client'
import type { Attribute, ValueEdit } from '@/api/types'
import { useShotEditor } from '@/stores/shotEditor'
import { useSubmit } from './useSubmit'

export interface UseValueEditReturn {
  /** Why it was refused, where nobody has to decide between two values. */
  error: Ref<string>
  /**
   * Records a value, or tries it.
   *
   * @param seen the revision that the person had in sight, where that may be older than what is here now
   * @returns whether it was kept
   */
  keep: (key: string, attribute: Attribute, wanted: ValueEdit, seen?: number) => Promise<boolean>
}

/** A value that is edited where it stands: what is refused is told there. */
export function useValueEdit(): UseValueEditReturn {
  const editor = useShotEditor()
  const { error, submit } = useSubmit((refusal) => {
    if (conflictOf(refusal)) error.value = ''
  })
  return { error, keep: (...edit) => submit(() => editor.edit(...edit)) }
}
