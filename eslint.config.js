import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import vue from 'eslint-plugin-vue';
import globals from 'globals';
import ts from 'typescript-eslint';

/** Which rooms of the core each room may use. What is not named here is refused: layers without circles. */
const CORE = {
  // Quantities, places, time.
  units: [],
  time: [],
  geometry: [],
  messages: ['units'],
  testing: ['messages'],
  terrain: ['geometry', 'units'],
  // What is stored.
  model: ['geometry', 'terrain', 'time', 'units'],
  // Physics, each alone.
  payload: ['model'],
  weather: ['geometry', 'model', 'time'],
  air: ['geometry', 'model', 'units'],
  lens: ['geometry', 'model'],
  footage: ['model', 'units'],
  light: ['geometry', 'model', 'time', 'weather'],
  exposure: ['units'],
  cards: ['model', 'units'],
  clearance: ['geometry', 'terrain'],
  site: ['clearance', 'geometry', 'model', 'terrain', 'units'],
  // How it is flown.
  moves: ['air', 'footage', 'geometry', 'model', 'units'],
  pace: ['geometry', 'moves'],
  energy: ['air', 'geometry', 'model', 'moves', 'units', 'messages'],
  charge: ['energy', 'model', 'time'],
  budget: ['air', 'charge', 'energy', 'geometry', 'model', 'units'],
  aids: ['geometry', 'model', 'moves'],
  pilot: ['model'],
  starters: ['model', 'moves'],
  sticks: ['model'],
  // One shot, its location, the day.
  shot: [
    'weather',
    'air',
    'cards',
    'energy',
    'exposure',
    'footage',
    'geometry',
    'lens',
    'light',
    'messages',
    'model',
    'moves',
    'pace',
    'pilot',
    'site',
    'sticks',
    'terrain',
    'units',
  ],
  location: ['air', 'clearance', 'geometry', 'model', 'shot', 'site', 'terrain', 'messages'],
  day: [
    'air',
    'weather',
    'budget',
    'cards',
    'charge',
    'energy',
    'exposure',
    'geometry',
    'light',
    'model',
    'payload',
    'shot',
    'site',
    'time',
    'units',
  ],
  'light-timeline': [
    'weather',
    'day',
    'exposure',
    'geometry',
    'lens',
    'light',
    'model',
    'shot',
    'time',
    'units',
  ],
  'card-match': [],
  drawing: ['geometry', 'lens', 'moves', 'shot'],
  handover: [
    'cards',
    'day',
    'exposure',
    'film',
    'light-timeline',
    'footage',
    'model',
    'shot',
    'story',
    'time',
    'units',
  ],
  field: ['day', 'film', 'geometry', 'messages', 'model', 'shot', 'time'],
  scheduler: [
    'weather',
    'budget',
    'cards',
    'charge',
    'day',
    'energy',
    'geometry',
    'location',
    'model',
    'payload',
    'shot',
    'time',
    'units',
  ],
  risk: ['weather', 'budget', 'day', 'energy', 'model', 'payload', 'shot'],
  // What it says, what is wrong, what would help.
  story: ['day', 'lens', 'model', 'moves', 'shot', 'messages'],
  warnings: [
    'weather',
    'air',
    'budget',
    'cards',
    'clearance',
    'day',
    'energy',
    'exposure',
    'footage',
    'geometry',
    'lens',
    'light',
    'light-timeline',
    'location',
    'model',
    'moves',
    'pace',
    'payload',
    'pilot',
    'shot',
    'site',
    'story',
    'terrain',
    'time',
    'units',
    'messages',
  ],
  verdict: ['messages', 'warnings'],
  overview: ['day', 'film', 'model', 'verdict', 'warnings'],
  film: [
    'budget',
    'cards',
    'day',
    'energy',
    'light',
    'location',
    'model',
    'payload',
    'shot',
    'site',
    'terrain',
    'units',
    'warnings',
    'weather',
  ],
  proposals: [
    'day',
    'film',
    'geometry',
    'model',
    'moves',
    'pilot',
    'shot',
    'story',
    'units',
    'warnings',
    'messages',
  ],
  checks: [
    'air',
    'cards',
    'charge',
    'day',
    'energy',
    'film',
    'geometry',
    'light',
    'model',
    'payload',
    'shot',
    'time',
    'units',
    'warnings',
    'messages',
  ],
};
const rooms = Object.keys(CORE);

/** Inside a room files import each other; of another room only its front door. */
const coreRules = rooms.map((room) => {
  const closed = rooms.filter((other) => other !== room && !CORE[room].includes(other));
  const patterns = [
    {
      regex: '^@(core|contract|demo)',
      message: 'The core imports by relative paths and knows nobody outside it.',
    },
    { regex: '^(\\.\\./)+(contract|server|web|demo|e2e|scripts)(/|$)', message: 'The core imports nobody.' },
    { regex: '^node:', message: 'The core runs anywhere: no Node built-ins.' },
    { regex: `^(\\.\\./)+(${rooms.join('|')})/.+`, message: 'Import a room by its front door.' },
    ...(closed.length > 0
      ? [{ regex: `^(\\.\\./)+(${closed.join('|')})$`, message: `The room ${room} may not use that room.` }]
      : []),
  ];
  return {
    files: [`core/${room}/**/*.ts`],
    ignores: ['**/*.test.ts', '**/*fixtures.ts'],
    rules: {
      'no-restricted-imports': ['error', { patterns }],
      'no-restricted-globals': [
        'error',
        ...['window', 'document', 'fetch', 'process', 'localStorage', 'performance'].map((name) => ({
          name,
          message: 'The core is pure.',
        })),
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Randomness comes in from outside, seeded.' },
        { object: 'Date', property: 'now', message: 'The time comes in from outside.' },
      ],
      'no-restricted-syntax': [
        'error',
        { selector: 'ExportAllDeclaration', message: 'A front door names what it gives out.' },
        {
          selector: 'NewExpression[callee.name="Date"][arguments.length=0]',
          message: 'The time comes in from outside.',
        },
      ],
    },
  };
});

const oneWay = (files, rooms, extra = []) => ({
  files,
  ignores: ['**/*.test.ts'],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          {
            regex: `^((\\.\\./)+|@)(${rooms.join('|')})(/|$)`,
            message: 'Imports run one way: web and server → contract → core.',
          },
          ...extra,
        ],
      },
    ],
  },
});
const frontDoors = { regex: '^@core/[^/]+/.+', message: 'Import a room by its front door.' };

export default ts.config(
  { ignores: ['node_modules', 'dist', 'data', '.cache', 'test-results', 'playwright-report'] },
  js.configs.recommended,
  ...ts.configs.strict,
  ...ts.configs.stylistic,
  ...vue.configs['flat/recommended'],
  {
    languageOptions: {
      globals: { ...globals.browser, ...globals.node },
      parserOptions: { parser: ts.parser, extraFileExtensions: ['.vue'] },
    },
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-non-null-assertion': 'error',
      '@typescript-eslint/no-invalid-void-type': 'off',
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      'no-console': 'error',
      complexity: ['error', 16],
      'max-lines-per-function': ['error', { max: 80, skipBlankLines: true, skipComments: true }],
      'vue/multi-word-component-names': 'off',
      'vue/require-default-prop': 'off',
      'vue/attributes-order': 'off',
      'vue/no-v-html': 'error',
    },
  },
  prettier,
  ...coreRules,
  oneWay(['contract/**/*.ts'], ['server', 'web', 'demo', 'e2e', 'scripts']),
  oneWay(['server/**/*.ts'], ['web', 'e2e', 'scripts'], [frontDoors]),
  oneWay(['web/**/*.{ts,vue}'], ['server', 'demo', 'e2e', 'scripts'], [frontDoors]),
  oneWay(['demo/**/*.ts'], ['server', 'web', 'e2e', 'scripts'], [frontDoors]),
  {
    // A setup function is a scope that small functions share, not a procedure: it may be longer than a screen.
    files: ['web/stores/*.ts', 'web/**/use*.ts', 'server/routes/*.ts', 'demo/*.ts', 'core/story/coverage.ts'],
    rules: { 'max-lines-per-function': ['error', { max: 150, skipBlankLines: true, skipComments: true }] },
  },
  {
    files: ['**/*.vue'],
    rules: { 'no-undef': 'off' },
  },
  {
    files: ['**/*.test.ts', 'e2e/**', 'server/testing.ts'],
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      'max-lines-per-function': 'off',
      'no-restricted-imports': 'off',
    },
  },
  { files: ['scripts/**'], rules: { 'no-console': 'off', 'max-lines-per-function': 'off' } },
);
