import js from '@eslint/js';
import pluginVue from 'eslint-plugin-vue';
import tseslint from 'typescript-eslint';
import vueParser from 'vue-eslint-parser';

/** The arrows of the architecture: who may import what. Nothing imports web; core imports nothing but small pure libraries. */
const arrows = (files, ...forbidden) => ({
  files,
  rules: {
    'no-restricted-imports': ['error', { patterns: forbidden.map(([regex, message]) => ({ regex, message })) }],
  },
});
const CORE_OUTSIDE = [
  '^(?!\\.{1,2}/|zod$|papaparse$|pure-rand/|saxes$|kdbush$|geokdbush$|ts-fsrs$|ical-generator$|suncalc$)',
  'core imports nothing outside itself but small pure libraries (zod, papaparse, pure-rand, saxes, kdbush, geokdbush, ts-fsrs, ical-generator, suncalc)',
];
/** The floors of core from the ground up, in the order of the job: each knows those before it, none after it. */
const FLOORS = [
  'ground',
  'bike',
  'toolbox',
  'repairs',
  'trip',
  'kit',
  'stow',
  'crew',
  'prove',
  'road',
  'garage',
  'answer',
];

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '**/test-results/**', '.data/**', '.stryker-tmp/**'] },
  js.configs.recommended,
  ...tseslint.configs.recommended,
  ...pluginVue.configs['flat/recommended'],
  {
    files: ['**/*.vue'],
    languageOptions: { parser: vueParser, parserOptions: { parser: tseslint.parser, sourceType: 'module' } },
  },
  {
    rules: {
      'no-undef': 'off',
      'no-control-regex': 'off',
      eqeqeq: ['error', 'always'],
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      // Layout of templates is the formatter's business.
      'vue/html-indent': 'off',
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/html-self-closing': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/first-attribute-linebreak': 'off',
      'vue/attributes-order': 'off',
      'vue/require-default-prop': 'off',
      'vue/multi-word-component-names': 'off',
    },
  },
  {
    // What the program says stands in web/src/words, where it is read as a whole; a view has none of it.
    files: ['web/src/**/*.vue'],
    rules: {
      'vue/no-bare-strings-in-template': [
        'error',
        {
          allowlist: [
            ...'()·:;,.…×+−–-/=?!→←↑↓%|&[]{}<>°“”’✓✗≤≥≈*#0123456789¹²³⁰±› \u00a0',
            'A·h',
            'g',
            'h',
            'm',
            'S',
            'P',
          ],
          attributes: {
            '/.+/': [
              'title',
              'aria-label',
              'aria-placeholder',
              'aria-roledescription',
              'aria-valuetext',
              'label',
              'placeholder',
            ],
            '/^[A-Z]|^v-/': ['hint', 'empty', 'says', 'close-label', 'no-data-text'],
          },
          directives: ['v-text'],
        },
      ],
    },
  },
  arrows(['core/src/**/*.ts'], CORE_OUTSIDE),
  ...FLOORS.slice(0, -1).map((floor, i) => {
    const above = FLOORS.slice(i + 1);
    return arrows([`core/src/${floor}/**/*.ts`], CORE_OUTSIDE, [
      `^(\\.\\./)+(${above.join('|')})/`,
      `${floor} knows nothing of the floors above it: ${above.join(', ')}`,
    ]);
  }),
  arrows(['solver/src/**'], ['^@necessaire/(?!core$)', 'solver may import core only']),
  arrows(['words/src/**'], ['^@necessaire/(?!core$)', 'words may import core only']),
  arrows(['server/src/**'], ['^@necessaire/(?!core$|demo$)|(^|/)web(/|$)', 'server may import core and demo only']),
  arrows(['demo/src/**'], ['^@necessaire/(?!core$)', 'demo may import core only']),
  arrows(
    ['cli/src/**'],
    ['^@necessaire/(?!core$|solver$|words$)|(^|/)web(/|$)', 'the command line may import core, solver and words only'],
  ),
  arrows(
    ['web/src/**/*.{ts,vue}'],
    ['^@necessaire/(?!core$|solver$|words$)|(^|/)server(/|$)', 'web may import core, solver and words only'],
  ),
  {
    files: ['{core,solver,words,server,web,cli,demo}/src/**/*.{ts,vue}'],
    rules: {
      // What a list or a table must have is read through ground/numbers.ts, which says so where it has not.
      '@typescript-eslint/no-non-null-assertion': 'error',
    },
  },
  {
    files: ['web/src/**/*.vue'],
    rules: {
      // The same in templates, which that rule does not see.
      'vue/no-restricted-syntax': [
        'error',
        { selector: 'TSNonNullExpression', message: 'Read it by present(), which says so where it is not there.' },
      ],
    },
  },
  {
    files: ['core/src/**/*.ts'],
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'fetch', 'process', 'localStorage', 'setTimeout'],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'random numbers come from a seed' },
        { object: 'Date', property: 'now', message: 'the same input gives the same output' },
      ],
    },
  },
  {
    files: ['**/*.test.ts', 'core/src/testing/**', 'web/src/testing/**'],
    rules: {
      'no-restricted-imports': 'off',
      'no-restricted-globals': 'off',
      '@typescript-eslint/no-non-null-assertion': 'off',
    },
  },
);
