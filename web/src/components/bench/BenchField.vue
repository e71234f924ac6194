<script setup lang="ts">
import { computed, useId } from 'vue'

/** A value of a bench, typed as one says it; what it needs is told below it. */
defineProps<{ label: string; unit?: string; problem?: string }>()
const model = defineModel<string>({ required: true })
const id = useId()
/** A unit that was typed is not said twice. */
const bare = computed(() => !/[a-z′'"″°%]$/i.test(model.value.trim()))
</script>

<template>
  <div class="mb-1">
    <div class="flex min-h-8 items-center gap-2">
      <label :for="id" class="grow">{{ label }}</label>
      <input
        :id="id"
        v-model="model"
        class="field figure !w-[118px] text-right text-figure"
        :aria-invalid="!!problem"
        :aria-describedby="problem ? `${id}-p` : undefined"
        autocomplete="off"
        spellcheck="false"
        @focus="($event.target as HTMLInputElement).select()"
      />
      <span class="w-8 text-small text-quiet">{{ bare ? unit : '' }}</span>
    </div>
    <p v-if="problem" :id="`${id}-p`" role="alert" class="mb-1 text-small">{{ problem }}</p>
  </div>
</template>
