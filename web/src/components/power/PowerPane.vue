<script setup lang="ts">
import type { Power } from '@/api/types'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import WhatLower from './WhatLower.vue'
import { lasting } from '@/lib/dayTime'
import { fixed } from '@/lib/print'

/** What is to be looked at, the phases and the generator, batteries, and who decides. */
defineProps<{ page: Power }>()
const lower = defineModel<number>('lower', { required: true })
</script>

<template>
  <aside class="pane" aria-label="Power of this shot">
    <section>
      <h2 class="group-title">To look at</h2>
      <p v-for="n in page.notices" :key="n.text" class="py-0.5">
        <WedgeMark :act="n.act" class="mr-1.5 inline" />{{ n.text }}
      </p>
      <p v-if="!page.notices.length" class="text-quiet">Nothing.</p>
    </section>
    <section v-for="s in page.sources" :key="s.name">
      <h2 class="group-title">{{ s.name }}</h2>
      <dl class="facts">
        <template v-if="s.phaseAmps.some((a) => a > 0)">
          <template v-for="(a, i) in s.phaseAmps" :key="i"
            ><dt>L{{ i + 1 }}</dt>
            <dd>{{ fixed(a, 1) }}<span class="unit">A</span></dd></template
          >
          <dt>unbalance</dt>
          <dd>{{ fixed(s.unbalance * 100, 0) }}<span class="unit">%</span></dd>
        </template>
        <dt>gives</dt>
        <dd>{{ fixed(s.kva, 2) }}<span class="unit">kVA</span></dd>
        <template v-if="s.share !== undefined"
          ><dt>of its rating</dt>
          <dd>{{ fixed(s.share * 100, 0) }}<span class="unit">%, rests at 80 %</span></dd></template
        >
        <template v-if="s.feederAmps !== undefined"
          ><dt>before it</dt>
          <dd>
            {{ fixed(s.feederAmps, 1) }}<span class="unit">A</span
            ><template v-if="s.feederLimitAmps !== undefined"> of {{ fixed(s.feederLimitAmps, 1) }}</template>
          </dd></template
        >
        <template v-if="s.drop"
          ><dt>its cable loses</dt>
          <dd>{{ fixed(s.drop.volts, 1) }}<span class="unit">V</span></dd></template
        >
      </dl>
    </section>
    <section v-if="page.batteries.length">
      <h2 class="group-title">On batteries</h2>
      <dl class="facts">
        <template v-for="b in page.batteries" :key="b.key">
          <dt>
            {{ b.name }}<span v-if="b.wattHours" class="text-quiet">, {{ Math.round(b.wattHours) }} Wh</span
            ><span v-if="b.tag" class="text-quiet">, {{ b.tag }}</span>
          </dt>
          <dd>
            {{ Math.round(b.watts) }}<span class="unit">W</span
            ><template v-if="b.minutes !== undefined">, {{ lasting(b.minutes) }}</template>
          </dd>
        </template>
      </dl>
      <p class="text-fine text-quiet">A full one, nine tenths of it; cold and age take from it.</p>
    </section>
    <section>
      <h2 class="group-title">What if all lights were</h2>
      <WhatLower v-model="lower" />
    </section>
    <section class="mt-auto">
      <p role="note">
        <WedgeMark class="mr-1.5 inline" /><b class="font-strong">A qualified electrician and the local code decide.</b>
      </p>
      <p class="text-small text-quiet">
        Estimates from the record (model: lights at power factor 1, no inrush). Nobody ties in, opens the board or
        resets a breaker by this page. Wet places: a residual-current breaker before them.
      </p>
    </section>
  </aside>
</template>

<style scoped>
.pane {
  display: flex;
  flex-direction: column;
  gap: 12px;
  padding: 12px 14px 20px;
  background: var(--panel);
  border-left: 1px solid var(--line);
  overflow-y: auto;
}
.pane section + section {
  border-top: 1px solid var(--line);
  padding-top: 10px;
}
.facts {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 2px 8px;
}
.facts dd {
  text-align: right;
  font: 500 var(--text-figure) var(--font-mono);
}
</style>
