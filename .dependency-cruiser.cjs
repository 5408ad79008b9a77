/** Arrows run one way (CONTRIBUTING.md, "Where things go"). */
const only = (name, from, to, comment) => ({
  name,
  comment,
  severity: 'error',
  from: { path: `^src/${from}/`, pathNot: '\\.(test|fixture)\\.tsx?$' },
  to: { path: '^src/', pathNot: to },
});
module.exports = {
  forbidden: [
    only('core-is-alone', 'core', '^src/core/', 'core imports nothing of ours but core'),
    only('knowledge-on-core', 'knowledge', '^src/(core|knowledge)/', 'knowledge imports core types only'),
    only('data-is-alone', 'data', '^src/(data/|environment\\.ts$)', 'data imports nothing else of ours'),
    only(
      'shop-meets',
      'shop',
      '^src/((shop|core|knowledge|data)/|environment\\.ts$)',
      'shop is where core, knowledge and data meet',
    ),
    only(
      'ui-on-core',
      'ui',
      '^src/(ui|core|knowledge)/|^src/shop/([^/]+/dto|readDto|problem)\\.ts$',
      'ui takes core, knowledge, DTO files and what judges a body by them: the same on both sides',
    ),
    only(
      'workers-on-core',
      'workers',
      '^src/(workers|core|knowledge|shop/papers)/|^src/shop/photographs/madeSmaller\\.ts$',
      'workers are a few lines around core, papers or the decoding of photographs',
    ),
    only(
      'door-stands-before',
      'door',
      '^src/(door/|environment\\.ts$|shop/(doors/(bodyLimits|pageFaults)|live/closing|access/(admit|guard|securityHeaders))\\.ts$)',
      'the door knows who may enter, and nothing of what stands behind it',
    ),
    only('demo-on-shop', 'demo', '^src/(demo|shop|core|knowledge|data)/', 'the demonstration shop is made from below'),
    {
      name: 'dto-imports-nothing-of-ours',
      severity: 'error',
      from: { path: '^src/shop/[^/]+/dto\\.ts$' },
      to: { path: '^src/', pathNot: '^src/(shop/nested|shop/[^/]+/dto\\.ts|core/|knowledge/)' },
    },
    {
      name: 'core-without-frameworks',
      severity: 'error',
      from: { path: '^src/(core|knowledge)/', pathNot: '\\.test\\.tsx?$' },
      to: { path: 'node_modules/(react|next|@mui|knex|pg|class-validator|class-transformer|echarts)' },
    },
    {
      // What every page carries, and the one that is opened first, wake without the component library.
      name: 'frame-without-components',
      severity: 'error',
      from: {
        path: '^src/ui/((shell|bench|live|find|board)/|parts/(Trouble|NotHere)\\.|lock/(ScreenLock|Cover)\\.|jobScreen/(JobScreen|MachinePast|JobGauges|TakenIn)\\.|job/(CautionGate|Complaints|FoundPictures)\\.|gauges/(of/|places/|OneGauge|GaugeScreen|GaugeForm|RowsGrid|AboutGauge|KeepUsual))',
        pathNot: '\\.test\\.tsx?$|/MoveMenu\\.tsx$',
      },
      to: { path: 'node_modules/(@mui/material/(?!styles|useAutocomplete)|@mui/x-|react-hook-form)' },
    },
    {
      // The counter too, but for the form that judges while it is typed.
      name: 'counter-without-components',
      severity: 'error',
      from: { path: '^src/ui/takeIn/', pathNot: '\\.test\\.tsx?$|/NewModel\\.tsx$' },
      to: { path: 'node_modules/(@mui/material/(?!styles|useAutocomplete)|@mui/x-)' },
    },
    {
      // All that is known of machines is fetched when one is known.
      name: 'counter-before-the-machine',
      severity: 'error',
      from: { path: '^src/ui/takeIn/', pathNot: '\\.test\\.tsx?$|/NewModel\\.tsx$' },
      to: {
        path: '^src/(knowledge/(index|kinds/index|atTheCounter)\\.ts|ui/(job/labels|parts/DayField))',
        dependencyTypesNot: ['dynamic-import', 'type-only'],
      },
    },
    {
      // A page of one machine is told of its kind; what is known of all the others would be the larger half of it.
      name: 'one-machine-one-kind',
      severity: 'error',
      from: {
        path: '^src/ui/(job|jobScreen|find|board|drawing|machines)/|^src/ui/strip/wayIn',
        pathNot: '\\.(test|fixture)\\.tsx?$|/everyKind\\.ts$',
      },
      to: {
        path: '^src/(knowledge/(index|kinds/index|repairWork|tradeBook|ownersIdea|atTheCounter)\\.ts|core/gauges/catalogue)',
        dependencyTypesNot: ['dynamic-import', 'type-only'],
      },
    },
    {
      // A gauge's page carries one; all of them are ten times that.
      name: 'one-gauge',
      severity: 'error',
      from: { path: '^src/ui/gauges/', pathNot: '\\.test\\.tsx?$|/GaugeList\\.tsx$' },
      to: { path: '^src/core/gauges/catalogue', dependencyTypesNot: ['type-only'] },
    },
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'tests-are-leaves',
      severity: 'error',
      from: { pathNot: '\\.test\\.tsx?$' },
      to: { path: '\\.test\\.tsx?$' },
    },
    { name: 'no-unresolvable', severity: 'error', from: {}, to: { couldNotResolve: true, pathNot: '\\.css$' } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    exclude: { path: '^\\.next' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
