import accessibility from 'eslint-plugin-vuejs-accessibility'
import withNuxt from './.nuxt/eslint.config.mjs'

/** What a file of the application is told that asks the device for the time. */
const CORRECTED_CLOCK = 'Ask timeNow() of app/sync/clock.ts, which the server puts right.'

export default withNuxt(
  {
    ignores: ['.vindex/**', 'docs/**'],
  },
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      'vue/multi-word-component-names': 'off',
      'vue/html-self-closing': 'off',
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/first-attribute-linebreak': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/html-indent': 'off',
    },
  },
  ...accessibility.configs['flat/recommended'],
  {
    rules: {
      'vuejs-accessibility/label-has-for': ['error', { required: { some: ['nesting', 'id'] } }],
      // Used in dialogs alone, which have to take the focus.
      'vuejs-accessibility/no-autofocus': 'off',
    },
  },
  {
    // A promise that nobody waits for loses its error, and what follows comes too soon.
    files: ['{app,core,server,cli,database,shared,paper,data,evaluation}/**/*.ts'],
    languageOptions: { parserOptions: { projectService: true } },
    rules: { '@typescript-eslint/no-floating-promises': 'error' },
  },
  {
    // A device's clock may be wrong: what is stamped by it beats what comes later, or disappears behind it.
    files: ['app/**/*.{ts,vue}'],
    ignores: ['app/sync/{clock,api}.ts', '**/*.test.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        { selector: "CallExpression[callee.object.name='Date'][callee.property.name='now']", message: CORRECTED_CLOCK },
        { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: CORRECTED_CLOCK },
      ],
    },
  },
)
