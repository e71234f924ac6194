<script setup lang="ts">
import type { HangingLoad } from '@/api/types'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { fixed } from '@/lib/print'

/** What hangs from each beam, pipe or wall, with its bond; estimates. */
defineProps<{ loads: HangingLoad[] }>()
</script>

<template>
  <ul>
    <li v-for="l in loads" :key="l.from" class="py-0.5">
      <WedgeMark
        v-if="l.over || l.unbonded.length || l.unweighed.length"
        :act="l.over || !!l.unbonded.length"
        class="mr-1 inline"
      /><b class="font-strong">{{ l.from }}</b
      >: {{ fixed(l.massKg, 1) }} kg{{
        l.limitKg ? ` of ${l.limitKg} kg${l.over ? ', too much with the factor 1.5' : ''}` : ', no limit said'
      }}<template v-if="l.pullN">, pulled with {{ Math.round(l.pullN) }} N</template>.
      <span class="text-quiet"
        >{{ l.things.join(', ')
        }}<template v-if="l.unbonded.length">; no bond recorded: {{ l.unbonded.join(', ') }}</template
        ><template v-if="l.unweighed.length">; not weighed: {{ l.unweighed.join(', ') }}</template></span
      >
    </li>
  </ul>
</template>
