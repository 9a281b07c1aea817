import eslint from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';
import { documented } from './scripts/lint/documented.mjs';
import { noRecordOfDocuments } from './scripts/lint/no-record-of-documents.mjs';

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
      // Made by scripts, not written by anybody.
      'core/locale/data',
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
    // What only types tell: promises left alone, cases missed, `Documents` read as a record.
    files: ['**/*.{ts,tsx}'],
    plugins: {
      sormet: { rules: { documented, 'no-record-of-documents': noRecordOfDocuments } },
    },
    languageOptions: {
      parserOptions: { project: './tsconfig.json', tsconfigRootDir: import.meta.dirname },
    },
    rules: {
      'sormet/no-record-of-documents': 'error',
      '@typescript-eslint/await-thenable': 'error',
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-for-in-array': 'error',
      // To ask it of each member of each object costs more than all other rules together, and finds what is rare.
      '@typescript-eslint/no-misused-promises': [
        'error',
        { checksVoidReturn: { properties: false } },
      ],
      '@typescript-eslint/no-misused-spread': ['error', { allow: ['string'] }],
      '@typescript-eslint/only-throw-error': 'error',
      '@typescript-eslint/prefer-promise-reject-errors': 'error',
      // What is told is a code until words are made of it: written into a text it would be “[object Object]”.
      '@typescript-eslint/no-base-to-string': 'error',
      '@typescript-eslint/restrict-plus-operands': 'error',
      '@typescript-eslint/restrict-template-expressions': [
        'error',
        {
          allowNumber: true,
          allowBoolean: true,
          allowNullish: true,
          allowNever: true,
          allowArray: true,
        },
      ],
      '@typescript-eslint/switch-exhaustiveness-check': [
        'error',
        { considerDefaultExhaustiveForUnions: true },
      ],
      '@typescript-eslint/unbound-method': 'error',
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
  {
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts', 'core/test/**'],
    rules: { 'sormet/documented': 'error' },
  },
);
