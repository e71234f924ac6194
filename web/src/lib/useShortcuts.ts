import { onBeforeUnmount, onMounted } from 'vue'
import { useSettings } from '@/stores/settings'

/** What takes what is typed, and so no shortcuts. */
const TYPED_INTO = 'input, textarea, select, [contenteditable], [role=textbox]'

/**
 * Keys that work wherever one is, while the component is on the page: not in what is typed into, and those of a single sign only
 * while they are switched on.
 *
 * @param onKey whether the key was for it; the browser does nothing more with it then
 */
export function useShortcuts(onKey: (event: KeyboardEvent) => boolean) {
  const settings = useSettings()
  function listen(event: KeyboardEvent) {
    if (event.target instanceof HTMLElement && event.target.matches(TYPED_INTO)) return
    const single = event.key.length === 1 && event.key !== ' ' && !event.ctrlKey && !event.metaKey
    if (single && settings.singleKeys === 'off') return
    if (onKey(event)) event.preventDefault()
  }
  /* on the window: before anything is chosen, the focus is outside the frame */
  onMounted(() => window.addEventListener('keydown', listen))
  onBeforeUnmount(() => window.removeEventListener('keydown', listen))
}
