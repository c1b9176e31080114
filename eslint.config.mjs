import next from '@next/eslint-plugin-next';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  {
    ignores: [
      '.next/**',
      'public/**',
      'node_modules/**',
      'coverage/**',
      'test-results/**',
      'playwright-report/**',
      'next-env.d.ts',
    ],
  },
  ...tseslint.configs.strict,
  {
    files: ['src/**/*.{ts,tsx}', 'tests/**/*.ts'],
    ignores: ['src/offline/**'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      // A promise that nobody awaits fails in silence.
      '@typescript-eslint/no-floating-promises': ['error', { ignoreVoid: false }],
      '@typescript-eslint/no-misused-promises': 'error',
    },
  },
  {
    files: ['src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks, '@next/next': next },
    rules: {
      ...hooks.configs.recommended.rules,
      ...next.configs.recommended.rules,
      '@next/next/no-html-link-for-pages': 'off',
    },
  },
  {
    files: ['src/**/*.{ts,tsx}'],
    ignores: ['**/*.test.ts'],
    rules: {
      // Data spread into a call overflows the stack once there is enough of it: leastOf, mostOf and append take any amount.
      'no-restricted-syntax': [
        'error',
        {
          selector: 'CallExpression[callee.object.name="Math"] > SpreadElement',
          message: 'leastOf and mostOf take any number of values',
        },
        {
          selector: 'CallExpression[callee.property.name=/^(push|unshift)$/] > SpreadElement',
          message: 'append takes any number of items',
        },
      ],
    },
  },
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-non-null-assertion': 'off',
      'no-console': ['error', { allow: ['warn', 'error'] }],
      eqeqeq: 'error',
    },
  },
  {
    files: ['scripts/**', 'src/cli/**', '**/*.cjs', '**/*.mjs', 'tests/**'],
    rules: { 'no-console': 'off', '@typescript-eslint/no-require-imports': 'off' },
  },
);
