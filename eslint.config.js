import eslintConfigPrettier from 'eslint-config-prettier';
import regexp from 'eslint-plugin-regexp';
import vue from 'eslint-plugin-vue';
import tseslint from 'typescript-eslint';

/** Folders of core in the order of work: each may import those before it, never those after it. */
const CORE = [
  'units',
  'calendar',
  'words',
  'geometry',
  'commission',
  'sittings',
  'catalogue',
  'vessel',
  'water',
  'site',
  'livestock',
  'substrate',
  'hardscape',
  'view',
  'yard',
  'exchange',
  'edits',
  'planting',
  'survey',
  'difference',
  'gear',
  'resolved',
  'beforehand',
  'filling',
  'light',
  'flow',
  'growth',
  'findings',
  'regime',
  'visit',
  'takeoff',
  'ordering',
  'stock',
  'planted',
  'buildDay',
  'care',
  'pricing',
  'staging',
  'pipeline',
];
/** Folders of the interface in the same way; stages come after all of them and know no other stage. */
const WEB = ['words', 'units', 'design', 'workers', 'document', 'drawing', 'frame'];
const STAGES = [
  'brief',
  'vessel',
  'bench',
  'planting',
  'takeoff',
  'order',
  'buildDay',
  'handover',
  'log',
  'options',
  'commissions',
  'studio',
];

/** No imports from these, wherever they stand in a path. */
function forbid(files, groups, message, paths = []) {
  return {
    files,
    ignores: ['**/*.test.ts', 'core/testing/**'],
    rules: { 'no-restricted-imports': ['error', { patterns: [{ group: groups, message }], paths }] },
  };
}

/** What is asked of a document as it stands. Once it is resolved nobody asks it any more. */
const RAW = Object.entries({
  '../commission/schema': ['Commission'],
  '../commission/lookup': ['optionOf'],
  '../commission/origin': [
    'pieceOrigin',
    'layerOrigin',
    'plantingOrigin',
    'pieceState',
    'isMoved',
    'layerName',
    'namesOf',
    'partsOf',
    'liesInBags',
  ],
  '../catalogue/entries': ['plantOf', 'plantIn'],
  '../commission/usual': ['roomOf'],
  '../gear/gear': ['gearOf', 'gearKindOf', 'devicesOf'],
  '../livestock/known': ['speciesIn'],
  '../difference/nowSurvey': ['surveyOfNow'],
  '../difference/projected': ['beforeOf', 'optionAfter', 'rescapeAfter'],
  '../survey/layerRoles': ['layerRoles'],
  '../survey/poured': ['layerParts'],
  '../survey/soaking': ['soakingOf'],
  '../survey/stateOnBuildDay': ['stateOnBuildDay'],
}).map(([name, importNames]) => ({
  name,
  importNames,
  message: 'After the survey a stage reads what `resolve` made of the document (core/resolved/resolved.ts).',
}));
/** Folders after it that know nothing of a document, or run all of it. */
const NO_STAGES = ['light', 'flow', 'growth', 'pipeline'];
/** Folders that are given a resolved commission and nothing raw. */
const RESOLVED = CORE.slice(CORE.indexOf('resolved') + 1).filter((folder) => !NO_STAGES.includes(folder));

/** What is looked up raw knows less than what is asked for at its door. */
const DOORS = [
  {
    selector:
      "CallExpression[callee.object.property.name=/^(plants|materials|suppliers)$/][callee.object.object.property.name='catalogue'], CallExpression[callee.object.property.name=/^(plants|materials|suppliers)$/][callee.object.object.name='catalogue']",
    message:
      'Ask plantOf (core/catalogue/entries.ts), materialOf, materialOfKind or supplierOf (core/commission/lookup.ts).',
  },
  {
    selector:
      "MemberExpression[property.name='devices'][object.property.name='site'], MemberExpression[property.name='devices'][object.name='site']",
    message: 'Ask gearOf or gearThere (core/gear/gear.ts): they know what a device is.',
  },
];
/** What a thing itself says of where it comes from, how it is and when it comes is the least that is known of it. */
const FIELDS = {
  selector: ['object.name', 'object.property.name']
    .map(
      (of) =>
        `MemberExpression[property.name=/^(origin|state|laterDays|presentL|bagged|mix)$/][${of}=/^(piece|layer|planting)$/]`,
    )
    .join(', '),
  message: 'Ask pieceOf, layerOf or plantingOf (core/resolved/resolved.ts): they have it resolved.',
};

const OUTSIDE_CORE = [
  '**/server/**',
  '**/web/**',
  '**/cli/**',
  '**/demo/**',
  '**/e2e/**',
  'node:*',
  'vue',
  'vue-*',
  'express',
  'd3-*',
  '!d3-polygon',
];

export default tseslint.config(
  { ignores: ['node_modules', 'dist', 'data', 'server/store/migrations'] },
  ...tseslint.configs.recommended,
  ...vue.configs['flat/recommended'],
  { files: ['**/*.vue'], languageOptions: { parserOptions: { parser: tseslint.parser } } },
  eslintConfigPrettier,
  {
    rules: {
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_', ignoreRestSiblings: true },
      ],
      '@typescript-eslint/no-non-null-assertion': 'off',
      'vue/multi-word-component-names': 'error',
      'vue/require-default-prop': 'off',
      'vue/no-v-html': 'error',
    },
  },
  {
    // A pattern over what somebody else wrote must take time in proportion to it.
    files: ['core/**', 'server/**', 'cli/**', 'web/**', 'demo/**'],
    ignores: ['**/*.test.ts'],
    plugins: { regexp },
    rules: {
      'regexp/no-super-linear-backtracking': ['error', { report: 'potential' }],
      'regexp/no-super-linear-move': ['error', { report: 'potential' }],
      'regexp/no-misleading-capturing-group': 'error',
    },
  },
  {
    files: ['**/*.test.ts', 'core/testing/**', 'e2e/**', 'endure/**'],
    rules: { '@typescript-eslint/no-explicit-any': 'off' },
  },
  { files: ['web/App.vue'], rules: { 'vue/multi-word-component-names': 'off' } },
  ...CORE.map((folder, i) =>
    forbid(
      [`core/${folder}/**/*.ts`],
      [...OUTSIDE_CORE, ...CORE.slice(i + 1).map((later) => `../${later}/*`)],
      `core/${folder} imports only folders of core before it in the order of work.`,
      RESOLVED.includes(folder) ? RAW : [],
    ),
  ),
  {
    files: ['core/**/*.ts', 'cli/**/*.ts'],
    ignores: [
      '**/*.test.ts',
      'core/testing/**',
      'core/commission/**',
      'core/catalogue/**',
      // Edits change what is there, and look nothing up.
      'core/edits/**',
      'core/gear/gear.ts',
    ],
    rules: {
      'no-restricted-syntax': ['error', ...DOORS],
    },
  },
  {
    files: RESOLVED.map((folder) => `core/${folder}/**/*.ts`),
    ignores: ['**/*.test.ts'],
    rules: { 'no-restricted-syntax': ['error', ...DOORS, FIELDS] },
  },
  forbid(['server/**/*.ts'], ['**/web/**', '**/cli/**', '**/demo/**'], 'The server imports core.'),
  forbid(['cli/**/*.ts'], ['**/web/**', '**/server/**'], 'The terminal imports core.'),
  ...WEB.map((folder, i) =>
    forbid(
      [`web/${folder}/**`],
      [
        '**/server/**',
        '**/cli/**',
        '**/demo/**',
        '**/stages/**',
        ...WEB.slice(i + 1).map((later) => `../${later}/*`),
      ],
      `web/${folder} imports core and folders of web before it: ${WEB.slice(0, i).join(', ')}. It knows no stage.`,
    ),
  ),
  ...STAGES.map((stage) =>
    forbid(
      [`web/stages/${stage}/**`],
      [
        '**/server/**',
        '**/cli/**',
        '**/demo/**',
        ...STAGES.filter((s) => s !== stage).map((s) => `../${s}/*`),
      ],
      'A stage imports the folders of web and core, never another stage.',
    ),
  ),
);
