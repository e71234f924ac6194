import { nextTick, ref, watch, type Ref } from 'vue'

/**
 * Words for a live region, said when something about the same thing has changed; coming to another thing says nothing.
 *
 * @param told the thing, and each of the sentences about it
 */
export function useAnnounced(told: () => { key: string; sentences: string[] } | undefined): Ref<string> {
  const words = ref('')
  watch(told, async (now, before) => {
    const changed = now?.key === before?.key && now?.sentences.find((s, i) => s !== before?.sentences[i])
    if (!changed) return
    words.value = ''
    await nextTick() // the same words again are said again
    words.value = changed
  })
  return words
}
