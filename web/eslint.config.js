import tseslint from 'typescript-eslint'
import reactHooks from 'eslint-plugin-react-hooks'

// Who may import whom. What is not listed is not allowed.
const layers = {
  quantity: [],
  api: [],
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
  { ignores: ['dist', 'target', 'node_modules', 'src/api/schema.d.ts'] },
  ...tseslint.configs.recommended,
  reactHooks.configs.flat.recommended,
  {
    rules: {
      '@typescript-eslint/no-unused-vars': [
        'error',
        { varsIgnorePattern: '^_', argsIgnorePattern: '^_' },
      ],
    },
  }, // what is taken off an object by its rest
  ...directions,
)
