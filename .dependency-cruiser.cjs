/** The order of core's rooms: a room imports only rooms to its left. */
const rooms = [
  'units',
  'geometry',
  'facts',
  'job',
  'artwork',
  'blanks',
  'fit',
  'cut',
  'tape',
  'finish',
  'techniques',
  'words',
  'gather',
  'schedule',
  'calendars',
  'cost',
  'logbook',
  'learning',
  'plan',
  'jobFile',
  'stockList',
  'practice',
];
const later = rooms.slice(0, -1).map((room, i) => ({
  name: `room-order-${room}`,
  severity: 'error',
  comment: `core/src/${room} may import only earlier rooms; its tests may look at later ones`,
  from: { path: `^core/src/${room}/`, pathNot: '\\.test\\.ts$' },
  to: { path: `^core/src/(${rooms.slice(i + 1).join('|')})/` },
}));
/** The order of web's rooms: what runs in the page is put together above, what its parts share lies below. */
const webRooms = ['ui', 'drawing', 'storage', 'workers', 'frame', 'stations', 'pages', 'app'];
const above = webRooms.slice(0, -1).map((room, i) => ({
  name: `web-order-${room}`,
  severity: 'error',
  comment: `web/src/${room} may import only rooms below it; its tests may look at those above`,
  from: { path: `^web/src/${room}/`, pathNot: '\\.test\\.tsx?$' },
  to: { path: `^web/src/(${webRooms.slice(i + 1).join('|')})/` },
}));
module.exports = {
  forbidden: [
    ...later,
    ...above,
    {
      name: 'stations-stand-apart',
      severity: 'error',
      comment: 'a station imports no other station: what they share lies in web/src/frame',
      from: { path: '^web/src/stations/([^/]+)/' },
      to: { path: '^web/src/stations/[^/]+/', pathNot: '^web/src/stations/$1/' },
    },
    { name: 'no-circular', severity: 'error', from: {}, to: { circular: true } },
    { name: 'core-is-alone', severity: 'error', from: { path: '^core/' }, to: { path: '^(web|server|e2e)/' } },
    {
      name: 'one-door-to-the-polygon-library',
      severity: 'error',
      from: { path: '^core/', pathNot: '^core/src/geometry/clipper\\.ts$' },
      to: { path: 'clipper2-ts' },
    },
    {
      name: 'shapes-only-as-types',
      severity: 'error',
      comment: 'the shapes are there when Kolleta is built; the browser gets their types and the validators made from them',
      from: { path: '^(core|web|server)/src/', pathNot: '^core/src/(job/shapes/|jobFile/fileShapes\\.ts$)' },
      to: { path: '^core/src/(job/shapes/|jobFile/fileShapes\\.ts$)', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'web-uses-room-indexes',
      severity: 'error',
      from: { path: '^web/' },
      to: { path: '^core/src/', pathNot: '^core/src/[a-zA-Z]+/index\\.ts$' },
    },
    {
      name: 'not-to-unresolvable',
      severity: 'error',
      from: {},
      to: { couldNotResolve: true, pathNot: '(generated|\\.woff|\\?url|virtual:)' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      extensions: ['.ts', '.tsx', '.mjs', '.js', '.json'],
      exportsFields: ['exports'],
      conditionNames: ['import', 'default', 'types'],
    },
  },
};
