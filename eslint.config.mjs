import eslint from '@eslint/js';
import angular from 'angular-eslint';
import ngrx from '@ngrx/eslint-plugin/v9';
import tseslint from 'typescript-eslint';

/**
 * The rooms of the house, from the ground up. Each may import what stands in `uses`, and nothing
 * else of ours; its neighbours come in by their one door, the alias.
 */
export const rooms = [
  { room: 'src/core', uses: [] },
  { room: 'src/records', uses: ['model', 'units'] },
  { room: 'src/migrations', uses: ['model', 'units', 'records'] },
  { room: 'src/exchange', uses: ['core', 'records', 'migrations'] },
  { room: 'src/messages', uses: ['core', 'exchange'] },
  { room: 'src/worker', uses: ['core', 'demo'] },
  { room: 'src/store', uses: ['model', 'units', 'records', 'migrations'] },
  { room: 'src/transfer', uses: ['core', 'records', 'exchange', 'store'] },
  { room: 'src/papers', uses: [] },
  { room: 'src/demo', uses: ['core'] },
  { room: 'src/cli', uses: ['core', 'exchange', 'messages', 'demo'] },
  { room: 'src/app/theme', uses: [] },
  {
    room: 'src/app/state',
    uses: [
      'core',
      'records',
      'migrations',
      'exchange',
      'messages',
      'frame',
      'kept',
      'store',
      'transfer',
      'worker',
      'demo',
    ],
  },
  { room: 'src/app/ui', uses: ['core', 'records', 'exchange', 'messages', 'papers'] },
  { room: 'src/app/measuring', uses: ['core', 'records', 'messages'] },
  {
    room: 'src/app/features',
    uses: ['core', 'records', 'exchange', 'messages', 'papers', 'store', 'transfer', 'worker'],
  },
  { room: 'src/app/shell', uses: ['core', 'records', 'messages', 'frame', 'kept', 'store', 'worker'] },
  { room: 'server', uses: ['core', 'exchange'] },
  { room: 'e2e', uses: [] },
];

/** What a job and its parts are made of, and its units, are known wherever the core is. */
const ground = ['model', 'units'];
const doors = [
  ...ground,
  'core',
  'records',
  'migrations',
  'exchange',
  'transfer',
  'messages',
  'frame',
  'papers',
  'worker',
  'kept',
  'store',
  'demo',
];

/** Ways into parts of the application that stand above a room. */
const above = {
  'src/app/state': ['**/ui/**', '**/features/**', '**/shell/**'],
  'src/app/ui': ['**/state/**', '**/features/**', '**/shell/**'],
  'src/app/measuring': ['**/features/**', '**/shell/**'],
  'src/app/features': ['**/shell/**'],
};

const frameworks = ['@angular/*', '@ngrx/*', 'primeng/*', 'rxjs', 'express', 'idb', 'd3-*', '!d3-random'];
const withoutFrameworks = ['src/core', 'src/exchange', 'src/messages', 'src/papers', 'src/demo', 'src/cli'];

const importRule = ({ room, uses }, files = `${room}/**/*.ts`) => ({
  files: [files],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          {
            group: doors
              .filter((door) => !uses.includes(door) && !(ground.includes(door) && uses.includes('core')))
              .map((door) => `@esmero/${door}`)
              .concat('@esmero/*/**'),
            message: `${room} does not know that room.`,
          },
          {
            group: ['**/src/**', ...doors.map((door) => `**/../${door}`), ...doors.map((door) => `**/../${door}/**`)]
              // Within the core, folders have such names too, and see each other.
              .filter((pattern) => room !== 'src/core' || pattern === '**/src/**'),
            message: 'Other rooms are entered by their alias, @esmero/….',
          },
          ...(['src/app/features', 'src/app/measuring'].includes(room) && !files.includes('spec')
            ? [
                {
                  group: ['**/state/ports', '**/state/weather'],
                  message: 'Store, worker and weather are the state’s: ask one of its desks.',
                },
              ]
            : []),
          ...(room === 'src/app/features'
            ? [{ regex: '^\\.\\./(?!\\.\\./)', message: 'A feature does not know another feature.' }]
            : []),
          ...(above[room] ? [{ group: above[room], message: `${room} does not know what stands above it.` }] : []),
          ...(withoutFrameworks.includes(room) ? [{ group: frameworks, message: `${room} is plain TypeScript.` }] : []),
        ],
      },
    ],
  },
});

export default tseslint.config(
  { ignores: ['dist/', '.angular/', '.cache/', 'coverage/', 'node_modules/', 'test-results/', 'playwright-report/'] },
  eslint.configs.recommended,
  {
    files: ['**/*.ts'],
    extends: [...tseslint.configs.strict, ...tseslint.configs.stylistic],
    rules: {
      // Numbers that an array is known to hold are asserted where the type cannot say so.
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-extraneous-class': 'off',
      '@typescript-eslint/no-empty-function': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
    },
  },
  {
    files: ['src/app/**/*.ts'],
    extends: [...angular.configs.tsRecommended, ...ngrx.configs.store, ...ngrx.configs.effects],
    processor: angular.processInlineTemplates,
    rules: {
      '@angular-eslint/component-class-suffix': 'off',
      // An effect that is one pipe reads best as one expression.
      '@ngrx/prefer-effect-callback-in-block-statement': 'off',
      '@angular-eslint/component-selector': [
        'error',
        [
          { type: 'element', prefix: 'esm', style: 'kebab-case' },
          { type: 'attribute', prefix: 'esm', style: 'camelCase' },
        ],
      ],
    },
  },
  {
    files: ['src/app/**/*.html'],
    extends: [...angular.configs.templateRecommended, ...angular.configs.templateAccessibility],
  },
  ...rooms.map((one) => importRule(one)),
  // Tests may play in the demo's town, and take broken files apart without types.
  ...rooms
    .filter(({ room }) => room !== 'src/core' && room !== 'e2e')
    .map(({ room, uses }) =>
      importRule({ room, uses: [...uses, 'core', 'demo', 'exchange', 'records'] }, `${room}/**/*.spec.ts`),
    ),
  { files: ['**/*.spec.ts'], rules: { '@typescript-eslint/no-explicit-any': 'off' } },
  {
    files: ['**/*.mjs'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        URL: 'readonly',
        performance: 'readonly',
        setTimeout: 'readonly',
        setInterval: 'readonly',
        clearInterval: 'readonly',
        fetch: 'readonly',
        structuredClone: 'readonly',
        document: 'readonly',
        Buffer: 'readonly',
      },
    },
  },
);
