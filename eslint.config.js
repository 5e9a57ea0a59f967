import importX from 'eslint-plugin-import-x';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** Imports run one way: views → ui, workers → schemas → core; pages → server, store, schemas, formats, core; core imports nothing of ours outside core. */
const LAYERS = {
  core: ['core'],
  schemas: ['schemas', 'core'],
  formats: ['formats', 'schemas', 'core'],
  store: ['store', 'schemas', 'formats', 'core'],
  server: ['server', 'store', 'schemas', 'formats', 'core'],
  workers: ['workers', 'core'],
  ui: ['ui', 'workers', 'schemas', 'core'],
  views: ['views', 'ui', 'workers', 'schemas', 'core'],
};
const FOLDERS = [...Object.keys(LAYERS), 'pages'];

const zones = Object.entries(LAYERS).flatMap(([folder, allowed]) =>
  FOLDERS.filter((other) => !allowed.includes(other)).map((other) => ({
    target: `./src/${folder}`,
    from: `./src/${other}`,
    message: `src/${folder} may import only from ${allowed.map((name) => `src/${name}`).join(', ')}.`,
  })),
);

export default tseslint.config(
  { ignores: ['dist', 'node_modules', '.astro', 'data', 'test-results'] },
  ...tseslint.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    plugins: { 'import-x': importX, 'react-hooks': reactHooks },
    settings: { 'import-x/resolver': { node: { extensions: ['.ts', '.tsx', '.js'] } } },
    rules: {
      'react-hooks/rules-of-hooks': 'error',
      'react-hooks/exhaustive-deps': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/consistent-type-imports': 'error',
      eqeqeq: 'error',
      'no-console': ['error', { allow: ['error'] }],
    },
  },
  {
    files: ['src/**/*.{ts,tsx}'],
    rules: { 'import-x/no-restricted-paths': ['error', { zones }] },
  },
  {
    // A longer one needs its reason beside the comment that lets it pass.
    files: ['src/**/*.ts'],
    rules: { 'max-lines-per-function': ['error', { max: 80, skipComments: true, skipBlankLines: true }] },
  },
  {
    files: ['src/**/*.tsx'],
    rules: { 'max-lines-per-function': ['error', { max: 200, skipComments: true, skipBlankLines: true }] },
  },
  {
    // The core is pure: no clock, no chance, no browser, no Node.
    files: ['src/core/**/*.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'process',
        'fetch',
        'localStorage',
        'performance',
        'setTimeout',
        'setInterval',
      ],
      'no-restricted-properties': ['error', { object: 'Math', property: 'random' }, { object: 'Date', property: 'now' }],
      'no-restricted-syntax': [
        'error',
        { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'Time is an argument of the core.' },
      ],
      'no-restricted-imports': ['error', { patterns: ['node:*', 'react*', 'astro*', 'better-sqlite3'] }],
    },
  },
  {
    // Pages hand records to the screens: their types may be named there, nothing of the store runs in a browser.
    files: ['src/views/**/*.{ts,tsx}'],
    rules: {
      'import-x/no-restricted-paths': 'off',
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['**/store/*', '**/server/*'],
              allowTypeImports: true,
              message: 'Views name the types of records; they do not run the store.',
            },
            { group: ['**/pages/*'], message: 'Views do not import pages.' },
          ],
        },
      ],
    },
  },
  { files: ['scripts/**', 'tests/**'], rules: { 'no-console': 'off' } },
);
