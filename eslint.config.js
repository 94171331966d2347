import globals from 'globals';
import svelte from 'eslint-plugin-svelte';
import ts from 'typescript-eslint';
import { noProse } from './commands/lint/noProse.js';
import svelteConfig from './svelte.config.js';

/** The core's folders: each may need only those before it, so that no two need each other. */
const CORE = [
  'units',
  'stats',
  'time',
  'crops',
  'supplies',
  'places',
  'growth',
  'water',
  'symptoms',
  'sowing',
  'shelf',
  'choice',
  'diagnosis',
  'harvest',
  'pantry',
  'cleaning',
  'steps',
  'away',
  'reminders',
  'costs',
  'ahead',
  'notebook',
  'calculators',
  'picture'
];
const OUTSIDE = ['node:*', '$server/*', '$ui/*', '$words/*', '$contract/*', 'svelte', '$app/*'];

export default ts.config(
  { ignores: ['node_modules/', '.svelte-kit/', 'build/', 'src/messages/compiled/'] },
  ...ts.configs.recommended,
  ...svelte.configs.recommended,
  {
    languageOptions: { globals: { ...globals.node } },
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      // Chai states many of its assertions as property reads.
      '@typescript-eslint/no-unused-expressions': 'off',
      eqeqeq: 'error'
    }
  },
  {
    files: ['**/*.svelte', '**/*.svelte.ts'],
    languageOptions: {
      globals: { ...globals.browser },
      parserOptions: { parser: ts.parser, extraFileExtensions: ['.svelte'], svelteConfig }
    },
    rules: { 'svelte/no-navigation-without-resolve': 'off' }
  },
  {
    // The core has no clock, no chance and no I/O of its own.
    files: ['src/core/**'],
    languageOptions: { globals: {} },
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'Time comes into the core as an argument.' },
        { object: 'Math', property: 'random', message: 'Chance comes into the core as a seed.' }
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "MemberExpression[object.name='Temporal'][property.name='Now']",
          message: 'Time comes into the core as an argument.'
        },
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'Time comes into the core as an argument.'
        }
      ],
      'no-restricted-imports': ['error', { patterns: OUTSIDE }]
    }
  },
  ...CORE.map((folder, index) => ({
    files: [`src/core/${folder}/**`],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            { group: OUTSIDE },
            {
              group: CORE.slice(index + 1).flatMap((later) => [`../${later}/*`, `../../${later}/*`]),
              message: `${folder} comes before that: what it needs of it comes as an argument or an interface.`
            }
          ].filter(({ group }) => group.length > 0)
        }
      ]
    }
  })),
  {
    // What was sent may lack anything: a route that says it is there has to have looked.
    files: ['src/routes/**/*.ts'],
    rules: { '@typescript-eslint/no-non-null-assertion': 'error' }
  },
  {
    // A stream or promise whose failure nobody hears ends the process, and everybody's requests with it.
    files: ['src/server/**/*.ts', 'src/routes/**/*.ts', 'src/hooks*.ts', 'commands/**/*.ts'],
    languageOptions: { parserOptions: { projectService: true } },
    rules: {
      '@typescript-eslint/no-floating-promises': ['error', { ignoreVoid: false }],
      'no-restricted-syntax': [
        'error',
        {
          selector: "CallExpression[callee.property.name='pipe']",
          message: 'Use `piped` or `pipeline`: a bare pipe lets an error of its source end the process.'
        }
      ]
    }
  },
  {
    // What people read is said in the catalogue. Left out: what is told to the log, and what a browser calls itself.
    files: ['src/**/*.ts', 'src/**/*.svelte'],
    ignores: [
      'src/core/**',
      'src/messages/**',
      'src/server/db/**',
      'src/server/demo/**',
      'src/server/notebook/**',
      'src/server/jobs/judgeOrNote.ts',
      'src/server/sessions/agent.ts'
    ],
    plugins: { brote: { rules: { 'no-prose': noProse } } },
    rules: { 'brote/no-prose': 'error' }
  },
  {
    // SQL stands in src/server alone. Data reloaded during a navigation would drop it.
    files: ['src/ui/**', 'src/routes/**'],
    ignores: ['src/ui/state/reload.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          paths: [
            'postgres',
            {
              name: '$app/forms',
              message: 'Use $ui/state/reload.ts, which waits for a navigation under way.'
            },
            {
              name: '$app/navigation',
              importNames: ['invalidate', 'invalidateAll'],
              message: 'Use $ui/state/reload.ts, which waits for a navigation under way.'
            }
          ]
        }
      ]
    }
  }
);
