import next from 'eslint-config-next';
import tseslint from 'typescript-eslint';

/** Arrows point one way: app → features → kitchen → (ui, data, workers) → core → content. */
const layer = (files, forbidden, extra = []) => ({
  files,
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          ...forbidden.map((name) => ({
            group: [`@/${name}/*`, `@/${name}`, `**/${name}/**`],
            message: `this layer does not know ${name}/`,
          })),
          ...extra,
        ],
      },
    ],
  },
});
const VIEWING = ['react', 'react-dom', 'next', 'next/*', 'dexie', 'dexie-react-hooks', 'node:*'];

const config = [
  ...next,
  ...tseslint.configs.strict.map((c) => ({ ...c, files: ['**/*.ts', '**/*.tsx'] })),
  {
    files: ['**/*.ts', '**/*.tsx'],
    rules: {
      '@typescript-eslint/consistent-type-imports': [
        'error',
        { fixStyle: 'inline-type-imports', prefer: 'type-imports', disallowTypeAnnotations: false },
      ],
      // { rev: _, ...rest }: taken off, not used
      '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true }],
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-non-null-assertion': 'error',
      'no-console': 'error',
    },
  },
  layer(
    ['src/core/**/*.ts'],
    ['app', 'features', 'kitchen', 'ui', 'data', 'workers', 'server'],
    [{ group: VIEWING, message: 'the core is plain TypeScript: no React, DOM, Dexie or Node' }],
  ),
  layer(['src/data/**/*.ts'], ['app', 'features', 'kitchen', 'ui', 'workers', 'server']),
  layer(['src/workers/**/*.ts'], ['app', 'features', 'kitchen', 'ui', 'data', 'server']),
  layer(['src/server/**/*.ts'], ['app', 'features', 'kitchen', 'ui', 'data', 'workers']),
  layer(['src/ui/**/*.ts', 'src/ui/**/*.tsx'], ['app', 'features', 'kitchen', 'data', 'workers', 'server']),
  layer(['src/kitchen/**/*.ts', 'src/kitchen/**/*.tsx'], ['app', 'features', 'server']),
  layer(
    ['src/features/*/*.ts', 'src/features/*/*.tsx'],
    ['app', 'features', 'server'],
    [{ group: ['../*'], message: 'no feature knows another: what several share is in kitchen/' }],
  ),
  layer(
    ['src/features/*/*/*.ts', 'src/features/*/*/*.tsx'],
    ['app', 'features', 'server'],
    [{ group: ['../../*'], message: 'no feature knows another: what several share is in kitchen/' }],
  ),
  layer(['src/app/**/*.ts', 'src/app/**/*.tsx'], ['data', 'workers']),
  {
    // tests stand beside their source and may read fixtures and packages
    files: ['**/*.test.ts', '**/*.test.tsx'],
    rules: { 'no-restricted-imports': 'off' },
  },
  { files: ['scripts/**', 'cli/**', 'e2e/**'], rules: { 'no-console': 'off' } },
  {
    ignores: [
      '.shots/**',
      '.next/**',
      'dist/**',
      'node_modules/**',
      'content/compiled/**',
      'next-env.d.ts',
      'test-results/**',
      'public/**',
    ],
  },
];
export default config;
