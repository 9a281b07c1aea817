import eslint from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  {
    ignores: [
      'web/dist',
      'server/dist',
      'node_modules',
      'test-results',
      'playwright-report',
      '.data',
      '.data-dev',
    ],
  },
  eslint.configs.recommended,
  ...tseslint.configs.recommended,
  {
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        setTimeout: 'readonly',
        fetch: 'readonly',
        URL: 'readonly',
      },
    },
    rules: {
      'no-undef': 'off',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_' },
      ],
      eqeqeq: ['error', 'always'],
      'no-empty': ['error', { allowEmptyCatch: false }],
    },
  },
  {
    files: ['web/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: {
      ...hooks.configs.recommended.rules,
      'no-restricted-syntax': [
        'error',
        {
          selector:
            'CallExpression[callee.name="useApp"] > ArrowFunctionExpression > MemberExpression[object.name="state"]',
          message:
            'Whoever listens to all of a slice is drawn again for all of it: ask for members by useBench or useSite.',
        },
      ],
    },
  },
);
