import next from 'eslint-config-next/core-web-vitals';
import tseslint from 'typescript-eslint';

const withComponents = ['src/{app,features,ui}/**/*.{ts,tsx}'];

const config = [
  {
    ignores: [
      '.next/**',
      '.ohmmeter/**',
      'dist/**',
      'next-env.d.ts',
      'src/core/*/generated/**',
      'test-results/**',
    ],
  },
  // What is asked of components and hooks is asked where they are: nothing else imports React, and the compiler's own rules go
  // through a file as the compiler does.
  ...next.map((each) => (each.name === 'next' ? { ...each, files: withComponents } : each)),
  ...next
    .filter((each) => each.name === 'next')
    .map(({ languageOptions, settings }) => ({ languageOptions, settings })),
  ...tseslint.configs.strict.map((each) => ({ ...each, files: ['**/*.{ts,tsx}'] })),
  {
    files: ['**/*.{ts,tsx}'],
    rules: {
      // Indexing is checked by the compiler (noUncheckedIndexedAccess); `!` marks where a loop bound proves it.
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', ignoreRestSiblings: true },
      ],
      '@typescript-eslint/no-explicit-any': 'error',
    },
  },
  {
    files: ['src/core/**/*.ts'],
    rules: {
      // Core has no clock and no random: both are passed in.
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Pass a Random in.' },
        { object: 'Date', property: 'now', message: 'Pass the time in.' },
      ],
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'fetch'],
    },
  },
  {
    files: ['src/app/**/*.{ts,tsx}', 'src/features/**/*.{ts,tsx}'],
    ignores: ['**/*.test.*'],
    rules: {
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          paths: [
            {
              name: '@/core/job-diagnosis',
              importNames: [
                'benchAnswer',
                'diagnoseJob',
                'expectCheck',
                'openDiagnosis',
                'packTables',
                'reportAnswer',
              ],
              message: 'It takes up to seconds: ask for it in a thread (server/heavy, workers).',
            },
          ],
        },
      ],
    },
  },
];

export default config;
