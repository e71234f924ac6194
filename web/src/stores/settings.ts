import { defineStore } from 'pinia'
import { ref, watch } from 'vue'
import type { LengthView } from '@/api/types'
import { fixed } from '@/lib/print'

type Theme = 'dark' | 'daylight'
type Units = 'metric' | 'imperial'
type Switch = 'on' | 'off'
type Spine = 'scene' | 'day'

function kept<T extends string>(key: string, fallback: T) {
  const value = ref((localStorage.getItem(key) as T | null) ?? fallback)
  watch(value, (now) => localStorage.setItem(key, now))
  return value
}

/** What this device remembers: the theme, the units, whether a single sign is a shortcut, what the spine goes by. */
export const useSettings = defineStore('settings', () => {
  const theme = kept<Theme>('oblume.theme', 'dark')
  const units = kept<Units>('oblume.units', 'metric')
  const spine = kept<Spine>('oblume.spine', 'scene')
  const singleKeys = kept<Switch>('oblume.single-keys', 'on')
  watch(theme, (now) => (document.documentElement.dataset.theme = now), { immediate: true })

  /** A length as figure and unit: `2.14` and `m`, or `7′ 0 1/4″` and nothing. */
  function figure(length: LengthView): { figure: string; unit: string } {
    return units.value === 'imperial'
      ? { figure: length.imperial, unit: '' }
      : { figure: fixed(length.m, 2), unit: 'm' }
  }

  /** What the server printed, in the units that the crew works in. */
  function printed(both: { metric: string; imperial: string }): string {
    return both[units.value]
  }

  return { theme, units, singleKeys, spine, figure, printed }
})
