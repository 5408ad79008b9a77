import next from 'eslint-config-next/core-web-vitals';
import nextTypescript from 'eslint-config-next/typescript';

const config = [
  { ignores: ['.next/**', '.gritkeeper/**', 'next-env.d.ts', 'node_modules/**', 'test-results/**'] },
  ...next,
  ...nextTypescript,
  {
    settings: { react: { version: '19' } },
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      eqeqeq: ['error', 'always'],
      'no-console': 'error',
      // Signing in and out load a whole new page, so that nothing of a session stays in memory.
      '@next/next/no-location-assign-relative-destination': 'off',
    },
  },
  { files: ['scripts/**', 'e2e/**', 'faults/**'], rules: { 'no-console': 'off' } },
];

export default config;
