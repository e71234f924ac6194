import { onScopeDispose, readonly, ref, type Ref } from 'vue'

/** Whether the page is as narrow as a phone, as the layouts have it. */
export function usePhone(): Readonly<Ref<boolean>> {
  const query = matchMedia('(width < 800px)')
  const phone = ref(query.matches)
  const tell = () => (phone.value = query.matches)
  query.addEventListener('change', tell)
  onScopeDispose(() => query.removeEventListener('change', tell))
  return readonly(phone)
}
