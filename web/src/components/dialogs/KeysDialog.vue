<script setup lang="ts">
import { useSettings } from '@/stores/settings'
import BaseDialog from './BaseDialog.vue'

defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const settings = useSettings()

const KEYS: [string, string][] = [
  ['Page down, Page up', 'next shot, shot before'],
  ['Tab, then arrows', 'to what is placed, and from one thing to the next'],
  ['Enter, Esc', 'on a thing: choose it, let it go'],
  ['Shift and click', 'choose one more; they are moved together'],
  ['/', 'to the line that takes what you call out'],
  ['Enter, Ctrl Enter, Esc', 'in that line: keep it, try it first, not that'],
  ['Arrows', 'move what is selected 5 cm; with Shift 50 cm, with Alt 1 cm'],
  ['[  ]', 'turn what is selected 5°'],
  ['+  −  0', 'zoom in, zoom out, fit the plan'],
  ['Arrows with nothing selected', 'move the plan'],
  ['Ctrl Z, Ctrl Shift Z', 'undo your last edit, do it again'],
  ['On the carry board: arrows', 'from cell to cell; with Shift over a range'],
  ['any letter or figure, Enter', 'type into the cell as if it were called out, keep it'],
  ['Delete', 'untie what is tied in the range: it carries again'],
  ['Ctrl C, Ctrl V', 'copy a cell; paste it over the range, or a table from elsewhere'],
  ['Enter, Esc', 'keep what is typed, drop it'],
  ['Arrows on a handle', 'on the Bench: move it; with Shift farther'],
  ['Enter, Backspace', 'while a wall is drawn: end it, take the last corner back'],
  ['Space', 'in Rebuild: tick the step and go on'],
  ['.', 'full stop: ends all output at once'],
  ['Arrows on a footprint', 'in Patch: move it a slot, with Shift ten; Enter keeps it, Esc does not'],
  ['?', 'this list'],
]
</script>

<template>
  <BaseDialog :open="open" wide title="Keys" @close="emit('close')">
    <label class="mb-2 flex min-h-8 items-center gap-2">
      <input v-model="settings.singleKeys" type="checkbox" true-value="on" false-value="off" />
      <span>Single signs are shortcuts: <span class="figure">/ . ?</span></span>
    </label>
    <dl class="grid grid-cols-[auto_1fr] gap-x-6 gap-y-1">
      <template v-for="[key, what] in KEYS" :key="key">
        <dt class="figure">{{ key }}</dt>
        <dd class="text-quiet">{{ what }}</dd>
      </template>
    </dl>
    <template #buttons><button class="button button-main" @click="emit('close')">Close</button></template>
  </BaseDialog>
</template>
