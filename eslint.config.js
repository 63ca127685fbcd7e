import { readdirSync } from 'node:fs';
import js from '@eslint/js';
import globals from 'globals';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** Folders of the core, lowest first: each may import only from itself and from those before it. */
const CORE_ORDER = [
  'result',
  'task',
  'units',
  'numeric',
  'geometry',
  'flow',
  'validate',
  'colour',
  'colorant',
  'mould',
  'setting',
  'timing',
  'batter',
  'supplies',
  'ways',
  'plan',
  'look',
  'ombre',
  'fill',
  'pattern',
  'cut',
  'face',
  'day',
  'batch',
  'ledger',
  'ask',
  'weigh',
  'edit',
  'clock',
  'advice',
  'computed',
  'procedure',
  'making',
  'sheet',
  'exchange',
];

// a folder without a place in the order would have no rule: that is an error, not a pass
const unlisted = readdirSync(new URL('src/core', import.meta.url), { withFileTypes: true })
  .filter((entry) => entry.isDirectory() && !CORE_ORDER.includes(entry.name))
  .map((entry) => entry.name);
if (unlisted.length > 0) throw new Error(`src/core/${unlisted.join(', ')}: give it a place in CORE_ORDER`);

const noImports = (patterns, message) => ({
  'no-restricted-imports': ['error', { patterns: [{ regex: patterns.join('|'), message }] }],
});

const coreRules = CORE_ORDER.map((folder, i) => ({
  files: [`src/core/${folder}/**`],
  rules: noImports(
    [
      ...CORE_ORDER.slice(i + 1).map((later) => `^(\\.\\./)+${later}/`),
      '/(store|app|server|cli)/',
      '^(react|dexie|express|redux|@reduxjs|node:)',
    ],
    `core/${folder} may import only from: ${CORE_ORDER.slice(0, i + 1).join(', ')}`,
  ),
}));

export default tseslint.config(
  { ignores: ['dist', 'build', 'node_modules', 'coverage'] },
  js.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    extends: [...tseslint.configs.strictTypeChecked],
    languageOptions: {
      parserOptions: {
        // one program for nearly all: the checks of types proper are the compiler's, project by project
        project: ['./tsconfig.lint.json', './tsconfig.workers.json'],
        tsconfigRootDir: import.meta.dirname,
      },
    },
    rules: {
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/no-unused-vars': ['error', { varsIgnorePattern: '^_', argsIgnorePattern: '^_' }],
      '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
      '@typescript-eslint/consistent-type-imports': 'error',
    },
  },
  {
    files: ['src/app/**'],
    plugins: { 'react-hooks': reactHooks },
    rules: reactHooks.configs.recommended.rules,
  },
  ...coreRules,
  {
    files: ['src/store/**'],
    rules: noImports(
      ['/(app|server|cli)/', '^react$'],
      'store may import only from core, and words it shares with the workers',
    ),
  },
  {
    files: ['src/workers/**'],
    rules: noImports(['/(app|store|server|cli)/', '^react'], 'workers may import only from core'),
  },
  {
    files: ['src/app/**'],
    rules: noImports(
      ['/(server|cli)/', '/store/database', '^dexie$'],
      'app may import only from store and core, and reads the database through store/ask',
    ),
  },
  {
    files: ['src/app/**'],
    ignores: ['src/app/kit/**'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: 'JSXOpeningElement[name.name="button"] Literal[value=/\\bbtn\\b/]',
          message: 'a button is one of app/kit: Button, IconButton, WordButton',
        },
        {
          selector: 'JSXOpeningElement[name.name="input"] Literal[value="checkbox"]',
          message: 'what is so or not is a Check of app/kit',
        },
      ],
    },
  },
  {
    files: ['src/app/kit/**'],
    rules: noImports(['/(parts|store|server|cli)/', '^dexie$'], 'the kit may import only from core'),
  },
  {
    files: ['src/server/**', 'src/cli/**'],
    rules: noImports(['/(app|store)/'], 'server and cli may import only from core'),
  },
  { files: ['**/*.{js,mjs}'], languageOptions: { globals: globals.node } },
  {
    files: ['test/**'],
    rules: {
      '@typescript-eslint/no-unused-expressions': 'off',
      '@typescript-eslint/no-non-null-assertion': 'off',
    },
  },
);
