import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import vue from 'eslint-plugin-vue';
import globals from 'globals';
import ts from 'typescript-eslint';

/** Which rooms of the core each room may use. What is not named here is refused: layers without circles. */
const CORE = {
  testing: [],
  units: [],
  lens: ['units'],
  footage: ['units'],
  kit: [],
  air: ['units'],
  light: ['units'],
  warnings: [],
  moves: ['units', 'footage', 'reach'],
  pace: ['units', 'moves'],
  exposure: ['units'],
  energy: ['units', 'air', 'kit', 'moves'],
  cards: ['units', 'kit'],
  charge: ['units', 'kit', 'energy'],
  budget: ['units', 'kit', 'air', 'energy', 'charge'],
  risk: ['units'],
  plan: ['units', 'cards'],
  story: ['lens', 'moves'],
  terrain: ['units'],
  reach: ['units', 'terrain'],
  site: ['units', 'terrain', 'reach'],
  aids: ['units', 'kit', 'moves'],
  pilot: ['kit'],
  sticks: ['kit'],
  film: [
    'units',
    'lens',
    'footage',
    'kit',
    'air',
    'light',
    'warnings',
    'moves',
    'pace',
    'exposure',
    'energy',
    'cards',
    'budget',
    'story',
    'reach',
    'terrain',
    'site',
    'aids',
    'pilot',
    'plan',
    'charge',
    'risk',
    'sticks',
  ],
  ready: ['units', 'kit', 'air', 'light', 'warnings', 'energy', 'cards', 'charge', 'film'],
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
    ignores: ['**/*.test.ts'],
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
  { files: ['web/stores/film.ts'], rules: { 'max-lines-per-function': 'off' } },
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
