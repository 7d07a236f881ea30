import { readdirSync } from 'node:fs';
import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

/**
 * The floor plan of the screens, lowest floor first: a room uses what stands below it, neither its neighbours nor what is above. Tests
 * may use anything.
 */
const FLOORS = [
  ['look', 'shared'],
  ['draw', 'entry', 'paper'],
  ['door'],
  ['keeping'],
  ['frame'],
  ['chain', 'engine', 'photograph', 'reassembly', 'sheet', 'tried'],
  [
    'before',
    'bench',
    'cause',
    'clearances',
    'compare',
    'library',
    'motion',
    'print',
    'queue',
    'quick',
    'remedy',
    'report',
    'schedule',
    'story',
    'teardown',
  ],
];

const rooms = readdirSync(new URL('./web/src', import.meta.url), { withFileTypes: true }).filter((one) => one.isDirectory());
for (const { name } of rooms)
  if (name !== 'testing' && !FLOORS.flat().includes(name)) throw new Error(`${name} stands on no floor: see FLOORS.`);

const floors = FLOORS.flatMap((rooms, number) =>
  rooms.map((room) => {
    const outOfReach = FLOORS.slice(number)
      .flat()
      .concat('testing')
      .filter((other) => other !== room);
    return {
      files: [`web/src/${room}/**/*.{ts,tsx}`],
      ignores: ['**/*.test.{ts,tsx}'],
      rules: {
        'no-restricted-imports': [
          'error',
          {
            patterns: [
              { group: outOfReach.map((other) => `**/${other}/**`), message: `${room} stands below it, or beside it: see FLOORS.` },
              { group: ['**/App', '**/main'], message: 'Nothing uses the roof.' },
            ],
          },
        ],
      },
    };
  }),
);

export default ts.config(
  { ignores: ['web/src/shared/api-types.ts', 'public/build', 'vendor', 'var', 'node_modules'] },
  js.configs.recommended,
  ...ts.configs.strictTypeChecked,
  {
    languageOptions: {
      parserOptions: { projectService: { allowDefaultProject: ['eslint.config.js'] }, tsconfigRootDir: import.meta.dirname },
    },
    plugins: { 'react-hooks': hooks },
    rules: {
      // The two rules about hooks; the others of the plugin are about a compiler that is not used here.
      'react-hooks/rules-of-hooks': 'error',
      'react-hooks/exhaustive-deps': 'error',
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
    },
  },
  ...floors,
);
