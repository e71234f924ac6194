<script setup lang="ts">
import type { CableWay } from '@/api/types'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { useSettings } from '@/stores/settings'

/** Cables of a shot in words: how long each would lie, and where people walk over it. */
defineProps<{ cables: CableWay[]; set: string }>()
const settings = useSettings()
</script>

<template>
  <section aria-label="Cables">
    <div class="overflow-y-auto h-full px-4 py-2">
      <h2 class="group-title">Cables <small class="font-normal text-quiet">estimate</small></h2>
      <p v-if="!cables.length" class="text-quiet">
        None is known here: say in Power what feeds {{ set }}, by which landmark its sockets are, and what each light
        hangs on.
      </p>
      <ul class="list">
        <li v-for="c in cables" :key="c.key">
          <b class="font-strong">{{ c.name }}</b> from {{ c.circuit }}
          <span class="figure">{{ settings.printed(c.length) }}</span><template v-if="c.said"
            >, {{ settings.printed(c.said) }} said</template
          >
          <template v-if="c.tooShort"><WedgeMark act class="mx-1 inline" />too short for this way</template>
          <template v-if="c.crosses.length"
            ><WedgeMark act class="mx-1 inline" />crosses {{ c.crosses.join(', ') }}: cover it, or go round</template
          >
        </li>
      </ul>
      <p class="text-fine text-quiet">
        Model: along the wall where that is no more than twice the straight way; on the floor, nothing added for heights
        and loops.
      </p>
    </div>
  </section>
</template>

<style scoped>
.list {
  columns: 2 300px;
}
li {
  break-inside: avoid;
}
</style>
