import { defineConfigWithVueTs, vueTsConfigs } from '@vue/eslint-config-typescript'
import prettier from 'eslint-config-prettier'
import pluginVue from 'eslint-plugin-vue'
import accessibility from 'eslint-plugin-vuejs-accessibility'

export default defineConfigWithVueTs(
  { ignores: ['src/api/generated/**', 'target/**'] },
  pluginVue.configs['flat/recommended'],
  accessibility.configs['flat/recommended'],
  vueTsConfigs.recommended,
  {
    rules: {
      // A label holds its control or names it: either is one that a screen reader finds.
      'vuejs-accessibility/label-has-for': [
        'error',
        { components: [], controlComponents: ['TypedInput'], required: { some: ['nesting', 'id'] } },
      ],
    },
  },
  {
    files: ['src/**/*.{ts,vue}'],
    // Coordinates within a drawing are not printed; what is typed by a test is.
    ignores: ['src/lib/print.ts', 'src/lib/screen.ts', 'src/components/plot/FrameView.vue', 'src/test/**'],
    rules: {
      'no-restricted-properties': ['error', { property: 'toFixed', message: 'Figures are printed by lib/print.' }],
    },
  },
  prettier,
)
