import { defineConfigWithVueTs, vueTsConfigs } from '@vue/eslint-config-typescript'
import pluginVue from 'eslint-plugin-vue'

export default defineConfigWithVueTs(
  { ignores: ['src/api/generated/**', 'target/**'] },
  pluginVue.configs['flat/essential'],
  vueTsConfigs.recommended,
)
