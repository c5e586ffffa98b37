import tseslint from 'typescript-eslint'
import reactHooks from 'eslint-plugin-react-hooks'
import a11y from 'eslint-plugin-jsx-a11y-x'

// Who may import whom. What is not listed is not allowed.
const layers = {
  quantity: [],
  api: ['quantity'],
  ui: ['quantity'],
  chart: ['quantity', 'api'],
  features: ['quantity', 'api', 'ui', 'chart', 'features'],
  app: ['quantity', 'api', 'ui', 'chart', 'features'],
}

const directions = Object.entries(layers).map(([layer, allowed]) => ({
  files: [`src/${layer}/**/*.{ts,tsx}`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: Object.keys(layers)
          .filter((other) => other !== layer && !allowed.includes(other))
          .map((other) => ({
            regex: `(^|/)\\.\\./(\\.\\./)*${other}/`,
            message: `${layer} may not import ${other}`,
          })),
      },
    ],
  },
}))

export default tseslint.config(
  { ignores: ['dist', 'target', 'coverage', 'node_modules', 'src/api/schema.d.ts'] },
  {
    files: ['**/*.{ts,tsx}'],
    extends: [...tseslint.configs.recommendedTypeChecked],
    languageOptions: {
      parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname },
    },
    rules: {
      // what is taken off an object by its rest
      '@typescript-eslint/no-unused-vars': [
        'error',
        { varsIgnorePattern: '^_', argsIgnorePattern: '^_' },
      ],
      // a handler of an event may be asynchronous: React does not look at what it answers
      '@typescript-eslint/no-misused-promises': [
        'error',
        { checksVoidReturn: { attributes: false } },
      ],
    },
  },
  reactHooks.configs.flat.recommended,
  {
    files: ['src/**/*.tsx'],
    ...a11y.configs.recommended,
    rules: {
      ...a11y.configs.recommended.rules,
      // a form that a coach has just asked for takes the focus
      'jsx-a11y-x/no-autofocus': 'off',
      // what scrolls by itself has to be reached by keys
      'jsx-a11y-x/no-noninteractive-tabindex': ['error', { tags: [], roles: ['group'] }],
    },
  },
  {
    files: ['src/**/*.{ts,tsx}'],
    ignores: ['src/**/*.test.{ts,tsx}'],
    rules: {
      // a longer component is split into a hook that holds its state and views
      'max-lines-per-function': ['error', { max: 150 }],
    },
  },
  ...directions,
)
