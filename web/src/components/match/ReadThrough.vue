<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRead } from '@/api/reads'
import type { MonitorView } from '@/api/types'
import { chooseCurves } from '@/lib/monitorCurve'
import { SIGNAL_CURVES } from '@/lib/words'
import { useSubmit } from '@/lib/useSubmit'
import { useSession } from '@/stores/session'
import CurveDialog from './CurveDialog.vue'

/** Through which curve percents are read, where one is told; who may, changes it here. */
const props = defineProps<{ sceneId: number }>()
const session = useSession()
const { data: monitor } = useRead('monitor', () => ({ sceneId: props.sceneId }))
const asking = ref(false)
const before = ref<MonitorView>()
const { error, submit } = useSubmit()
const DIVIDED = SIGNAL_CURVES.find((c) => c.key === 'NONE')!.name
const label = computed(() => monitor.value?.label)

function undo() {
  void submit(async () => {
    await chooseCurves(props.sceneId, monitor.value!, before.value!)
    before.value = undefined
  })
}
</script>

<template>
  <span v-if="monitor"
    ><template v-if="label === DIVIDED">{{ DIVIDED }}</template
    ><template v-else>through {{ label }}</template
    ><template v-if="session.may('EDIT')"
      >{{ ' ' }}<button class="change" @click="asking = true">change…</button
      ><template v-if="before">{{ ' ' }}<button class="change" @click="undo">undo</button></template></template
    ><span v-if="error" role="alert"> {{ error }}</span
    ><CurveDialog :open="asking" :monitor="monitor" :scene-id="sceneId" @close="asking = false" @keep="before = $event"
  /></span>
</template>

<style scoped>
.change {
  padding: 5px 4px;
  margin: -5px 0;
  text-decoration: underline;
}
@media (pointer: coarse) {
  .change {
    min-height: 44px;
    min-width: 44px;
  }
}
</style>
