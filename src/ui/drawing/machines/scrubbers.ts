import { bar, belt, box, circle, cord, layer, motor, path, station, tube, wheel, type Drawing } from '../shapes';

const blades = (x: number) =>
  station(
    'squeegee-blades',
    path('part', `M${x} 408h46v12h-46Z`),
    path('edge', `M${x + 6} 420q-4 12 2 20M${x + 38} 420q-4 12 2 20`),
  );

/** Kind 11: walked behind: two tanks over a brush deck, a squeegee trailing, a handle at chest height. */
export const walkBehind: Drawing = {
  shapes: [
    bar('M342 236L382 132Q388 120 404 122L428 126'),
    ...layer(
      'tanks-open',
      ...station('recovery-tank', path('shell', 'M120 220Q122 196 150 194H330Q356 198 356 224V292H120Z')),
      ...station('lid-gasket', path('edge', 'M126 202H350')),
      ...station('float', circle('part', 168, 232, 10), path('edge', 'M154 218v28h28v-28')),
      ...station('intake-screen', path('edge', 'M216 208h22v16h-22ZM216 212h22M216 216h22M216 220h22')),
    ),
    path('water', 'M122 268Q150 262 178 268T234 268T290 268T354 268'),
    ...station('solution-tank', path('shell', 'M112 296H360V372Q358 384 344 384H126Q112 382 112 370Z')),
    ...station('tank-screen', path('edge', 'M132 360h20v16h-20ZM132 366h20M132 371h20')),
    ...layer(
      'motor-bay',
      ...station('suction-motor', ...motor(212, 236, 44, 40)),
      ...station('contactor', path('part', 'M300 240h26v20h-26Z')),
    ),
    ...layer(
      'battery',
      ...station('batteries', box('part', 206, 314, 60, 52, 3), box('part', 272, 314, 60, 52, 3)),
      ...station('battery-cables', path('power', 'M222 312Q254 298 288 312')),
    ),
    path('shell', 'M60 392H236V424H68Q58 420 60 392Z'),
    ...layer(
      'deck',
      ...station('deck', path('part', 'M64 384H232V394H64Z')),
      ...station('brush-motor', box('part', 164, 342, 36, 44, 5), box('cut', 171, 350, 22, 26, 2)),
      ...station('belt', belt(182, 398, 9, 116, 398, 14)),
    ),
    ...layer(
      'roll-out',
      ...station(
        'brush',
        path('part', 'M78 412H212V424H78Z'),
        path(
          'edge',
          'M82 424l-3 14M98 424l-2 15M114 424l-1 15M130 424v15M146 424v15M162 424l1 15M178 424l2 15M206 424l3 14',
        ),
      ),
      ...station('brush-plate', path('edge', 'M112 404h64v8h-64Z')),
    ),
    ...station('solution-tube', tube('M142 376C120 384 110 392 110 402', 6)),
    ...station('wheels', ...wheel(288, 418, 22), ...wheel(388, 428, 11)),
    path('part', 'M336 380L392 404H356Z'),
    ...blades(370),
    ...station('hose', tube('M392 408C430 380 420 240 356 214', 11)),
    path('air', 'M392 412C430 380 420 240 356 214C300 204 260 206 234 214'),
  ],
  at: {
    brush: [146, 424],
    deck: [90, 389],
    'brush-motor': [182, 364],
    batteries: [268, 340],
    'recovery-tank': [300, 260],
    'solution-tank': [150, 330],
    'suction-motor': [234, 256],
    'squeegee-blades': [392, 424],
    hose: [418, 300],
    float: [168, 232],
    belt: [148, 392],
    'lid-gasket': [140, 202],
    'intake-screen': [227, 216],
    wheels: [288, 418],
    'tank-screen': [142, 368],
    'brush-plate': [144, 408],
  },
  screws: {
    'tanks-open': [
      [130, 294],
      [240, 294],
      [350, 294],
    ],
    deck: [
      [72, 390],
      [150, 390],
      [226, 390],
    ],
    'motor-bay': [
      [204, 214],
      [262, 214],
      [264, 276],
      [206, 276],
    ],
    head: [
      [166, 344],
      [198, 344],
      [166, 382],
      [198, 382],
    ],
    battery: [
      [222, 314],
      [288, 314],
    ],
  },
  lifts: {
    'tanks-open': [0, -60],
    deck: [-30, 40],
    'roll-out': [0, 40],
    battery: [0, -50],
    'motor-bay': [0, -60],
    head: [-20, -40],
  },
};

/** Kind 12: a seat over batteries, tanks around it, a deck with two rollers, a wide squeegee behind. */
export const rideOn: Drawing = {
  shapes: [
    ...station('recovery-tank', path('shell', 'M262 236Q266 206 300 204H388Q418 208 418 240V344H262Z')),
    ...station('lid-gasket', path('edge', 'M268 214H412')),
    ...layer(
      'tanks-open',
      ...station(
        'vac-filter',
        path('part', 'M352 220h44v30h-44Z'),
        path('edge', 'M360 220v30M370 220v30M380 220v30M390 220v30'),
      ),
    ),
    path('water', 'M264 316Q290 310 316 316T368 316T416 316'),
    ...station('solution-tank', path('shell', 'M58 300Q62 282 84 280H150V366H58Z')),
    path('shell', 'M52 366H424V390H52Z'),
    ...layer(
      'battery',
      ...station(
        'seat-switch',
        path('shell', 'M172 268H258Q266 268 266 258V206Q266 194 254 194L246 250H172Q162 252 162 260Q162 268 172 268Z'),
      ),
      ...station('batteries', box('part', 164, 286, 46, 72, 3), box('part', 214, 286, 46, 72, 3)),
      ...station('battery-cables', path('power', 'M178 284Q200 272 236 284')),
    ),
    path('part', 'M98 280L122 184H134L112 280Z'),
    ...station('hour-meter', circle('part', 134, 176, 15), path('edge', 'M126 176h16M126 180h16')),
    path('edge', 'M144 190a22 22 0 1 0 -4 -34'),
    ...layer(
      'motor-bay',
      ...station('suction-motor', ...motor(288, 244, 40, 40)),
      ...station('contactor', path('part', 'M64 310h30v20h-30Z')),
    ),
    ...layer(
      'deck',
      ...station('deck', path('shell', 'M120 392H256V414H120Z')),
      ...station('deck-motor', box('part', 178, 372, 30, 22, 4)),
      ...station('belt-front', belt(192, 392, 6, 148, 418, 10)),
      ...station('belt-rear', belt(192, 392, 6, 232, 418, 10)),
    ),
    ...layer(
      'roll-out',
      ...station(
        'brush-front',
        circle('part', 148, 420, 15),
        path('edge', 'M148 401V440M129 420H167M135 407L161 433M161 407L135 433'),
      ),
      ...station(
        'brush-rear',
        circle('part', 232, 420, 15),
        path('edge', 'M232 401V440M213 420H251M219 407L245 433M245 407L219 433'),
      ),
    ),
    ...station('solution-tube', tube('M150 356C168 364 176 380 188 404', 6)),
    ...station('wheels', ...wheel(82, 416, 24), ...wheel(318, 416, 24)),
    ...blades(392),
    ...station('hose', tube('M416 408C452 380 446 260 418 236', 11)),
    path('air', 'M416 412C452 380 446 260 418 236C396 222 340 216 310 222'),
  ],
  at: {
    'brush-front': [148, 420],
    'brush-rear': [232, 420],
    'deck-motor': [193, 383],
    batteries: [212, 322],
    'recovery-tank': [360, 290],
    'solution-tank': [96, 340],
    'suction-motor': [308, 264],
    'squeegee-blades': [414, 424],
    hose: [444, 320],
    'hour-meter': [134, 176],
    'vac-filter': [374, 235],
    deck: [136, 402],
    'belt-front': [168, 404],
    'lid-gasket': [280, 214],
    wheels: [318, 416],
    'seat-switch': [210, 258],
  },
  screws: {
    deck: [
      [126, 402],
      [160, 402],
      [220, 402],
      [250, 402],
    ],
    'motor-bay': [
      [284, 238],
      [332, 238],
      [332, 288],
      [284, 288],
    ],
    head: [
      [180, 374],
      [206, 374],
      [180, 392],
      [206, 392],
    ],
    battery: [
      [178, 288],
      [236, 288],
    ],
    'tanks-open': [
      [70, 298],
      [140, 298],
    ],
  },
  lifts: {
    battery: [0, -52],
    'tanks-open': [10, -48],
    deck: [0, 40],
    'roll-out': [0, 46],
    'motor-bay': [10, -70],
    head: [-10, -40],
  },
};

/** Kind 16: clean water in, dirty water out: tank over tank, a pump, jets before the brush, a flat shoe. */
export const extractor: Drawing = {
  shapes: [
    bar('M286 120L318 46Q322 36 336 38L358 42'),
    ...cord('M356 40Q320 32 316 52L286 120M322 352Q360 368 366 440'),
    path('shell', 'M196 344Q196 330 212 328H300Q322 330 324 350V404Q322 420 304 422H214Q196 420 196 402Z'),
    ...layer(
      'tanks-open',
      ...station('solution-tank', path('shell', 'M210 116Q214 98 236 98H286Q306 102 306 122V206H204Z')),
      ...station('recovery-tank', path('shell', 'M202 210H308L316 322H196Z')),
      ...station('tank-gasket', path('edge', 'M204 208H306')),
      ...station('float', circle('part', 226, 240, 9)),
    ),
    path('water', 'M208 140Q230 134 252 140T304 140M200 292Q226 286 252 292T312 292'),
    ...layer('filter-bay', ...station('intake-screen', path('edge', 'M262 224h28v18h-28ZM262 230h28M262 236h28'))),
    ...layer(
      'motor-bay',
      ...station('suction-motor', ...motor(256, 364, 46, 42)),
      ...station('pump', circle('part', 226, 384, 15), path('edge', 'M216 384h20M226 374v20')),
    ),
    path('shell', 'M40 434Q26 430 32 410L62 372Q70 364 90 364H182Q200 366 202 390V434Z'),
    ...layer('sole-plate', ...station('head-mouth', path('part', 'M34 434L48 400H62L58 434Z'))),
    ...layer(
      'deck',
      path('part', 'M92 370H180V384H92Z'),
      ...station('brush-motor', box('part', 150, 386, 36, 26, 5), box('cut', 157, 391, 22, 16, 2)),
      ...station('belt', belt(158, 404, 6, 108, 414, 11)),
    ),
    ...layer(
      'roll-out',
      ...station(
        'brush',
        circle('part', 108, 414, 14),
        path('edge', 'M108 394V434M88 414H128M94 400L122 428M122 400L94 428'),
      ),
    ),
    ...station('spray-jets', path('water', 'M78 400l-10 30M78 400l0 32M78 400l10 30'), circle('solid', 78, 398, 4)),
    ...station('valve', path('part', 'M232 206h18v10h-18Z')),
    ...station('wheels', ...wheel(262, 424, 16), ...wheel(176, 434, 6)),
    ...station('hose', tube('M50 398C70 340 150 330 196 312', 12)),
    path('air', 'M48 430C56 360 150 330 196 312C230 292 240 250 262 236M276 224C320 240 330 320 290 342'),
  ],
  at: {
    brush: [108, 414],
    'spray-jets': [78, 400],
    'brush-motor': [168, 399],
    pump: [226, 384],
    'suction-motor': [279, 385],
    'solution-tank': [256, 160],
    'recovery-tank': [256, 270],
    hose: [130, 338],
    float: [226, 240],
    belt: [134, 402],
    'head-mouth': [48, 418],
    'intake-screen': [276, 233],
    wheels: [262, 424],
    'tank-gasket': [220, 208],
    cord: [366, 420],
    fan: [279, 353],
  },
  screws: {
    'sole-plate': [
      [44, 430],
      [54, 404],
    ],
    deck: [
      [98, 377],
      [136, 377],
      [174, 377],
    ],
    'motor-bay': [
      [200, 346],
      [318, 346],
      [318, 400],
      [202, 400],
    ],
    head: [
      [154, 390],
      [182, 390],
      [168, 412],
    ],
  },
  lifts: {
    'tanks-open': [0, -44],
    'filter-bay': [60, -10],
    'sole-plate': [-18, 10],
    deck: [0, -50],
    'roll-out': [0, 40],
    head: [10, -56],
    'motor-bay': [70, 0],
    'hose-off': [-30, -30],
  },
};
