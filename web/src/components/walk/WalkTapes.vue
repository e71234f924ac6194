<script setup lang="ts">
import { RouterLink } from 'vue-router'
import { before, type TapeLetter, type UseWalkEntryReturn } from '@/lib/useWalkEntry'
import type { UseWalkReturn } from '@/lib/useWalk'
import { held } from '@/api/types'
import { useSettings } from '@/stores/settings'

/** Three tapes of the thing in hand: two give its place, the third checks it. */
const props = defineProps<{ walk: UseWalkReturn; entry: UseWalkEntryReturn; based?: string; shotId: number }>()
const settings = useSettings()
const LETTERS: TapeLetter[] = ['A', 'B', 'C']

/** As it was pulled: what was typed just now, else what is recorded. */
function read(letter: TapeLetter): { figure: string; unit: string } | undefined {
  const { text, landmark } = props.entry.tapes[letter]
  if (text) return { figure: text, unit: settings.units === 'imperial' ? '' : 'm' }
  const own = props.walk.thing.value?.tapes
  // what a check should read is not told before it is pulled again
  if (!own?.own || (letter === 'C' && !props.walk.isLooked('PLACE'))) return undefined
  const tape = [own.a, own.b, ...own.checks].find((t) => t.landmark === landmark)
  return tape && settings.figure(tape.length)
}
function last(letter: TapeLetter): string {
  const length = before(props.walk, letter, props.entry.tapes[letter].landmark)
  const from = props.walk.thing.value && held(props.walk.thing.value, 'PLACE')?.from
  return length && props.entry.tapes[letter].text ? `${settings.figure(length).figure} in ${from}` : ''
}
</script>

<template>
  <div class="grid grid-cols-3 border-b border-line">
    <button
      v-for="letter in LETTERS"
      :key="letter"
      class="tape min-h-22 border-r border-line p-2.5 pl-5 text-left last:border-r-0"
      :class="{ here: entry.field.value === letter }"
      @click="entry.open(letter)"
    >
      <span class="block truncate text-small text-quiet"
        ><span class="sr-only">Tape </span><b class="mr-1 text-lead font-strong text-ink">{{ letter }}</b
        >{{ ' ' }}{{ entry.tapes[letter].landmark }}</span
      >
      <span class="figure text-slate leading-9" :class="{ 'text-quiet': !read(letter) }"
        >{{ read(letter)?.figure ?? '–'
        }}<span v-if="read(letter)?.unit" class="unit !text-title">{{ read(letter)!.unit }}</span></span
      >
      <span class="block min-h-4 text-small text-quiet">{{ letter === 'C' ? 'the check' : last(letter) }}</span>
    </button>
  </div>
  <p class="border-b border-line px-5 py-1 text-small text-quiet">
    Out of reach of a tape?
    <RouterLink class="inline-flex min-h-11 items-center underline" :to="{ name: 'survey', params: { id: shotId } }"
      >Its place by photographs</RouterLink
    >
  </p>
</template>

<style scoped>
.tape.here {
  background: var(--panel);
  box-shadow: inset 0 -3px var(--accent);
}
</style>
