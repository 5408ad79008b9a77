import { bar, box, cord, foam, layer, path, station, type Drawing } from '../shapes';

/** Kind 10: an old small machine in the hand: motor lengthwise, fan at the front, bag behind. */
export const handheld: Drawing = {
  shapes: [
    ...layer(
      'filter-bay',
      ...station(
        'bag',
        path('shell', 'M352 260C420 238 458 280 452 336C446 386 396 402 350 372C330 356 330 276 352 260Z'),
      ),
      path('hidden', 'M366 276C412 262 438 292 434 334C430 366 396 380 362 358'),
    ),
    path('shell', 'M176 240Q182 226 200 226H332Q352 228 354 250V356Q350 376 332 378H196Q178 376 176 362Z'),
    ...layer(
      'motor-bay',
      path('part', 'M192 236H336V250H192Z'),
      ...station('main-switch', path('part', 'M262 206h26v14h-26Z')),
      ...station('carbon-brushes', path('part', 'M318 268h14v16h-14ZM318 324h14v16h-14Z')),
      ...station('rubber-mounts', path('solid', 'M190 262h9v12h-9ZM190 332h9v12h-9Z')),
    ),
    ...station(
      'field',
      box('part', 216, 258, 90, 92, 8),
      box('cut', 226, 264, 70, 14, 2),
      box('cut', 226, 330, 70, 14, 2),
    ),
    ...layer(
      'motor-out',
      ...station('armature', box('part', 232, 284, 56, 40, 5)),
      ...station('commutator', path('part', 'M292 290h24v28h-24Z'), path('edge', 'M292 297h24M292 304h24M292 311h24')),
      ...station('end-shims', path('edge', 'M206 296v16M209 296v16M320 296v16M323 296v16')),
      ...station('bushes', path('solid', 'M196 296h8v16h-8ZM326 296h8v16h-8Z')),
    ),
    path('part', 'M150 300H206V308H150Z'),
    path('shell', 'M120 224H172V384H120Q108 382 108 370V238Q108 226 120 224Z'),
    ...station(
      'fan',
      path('part', 'M130 244h22v120h-22Z'),
      path('edge', 'M134 260h14M134 280h14M134 300h14M134 320h14M134 340h14'),
    ),
    ...layer(
      'sole-plate',
      ...station('head-mouth', path('shell', 'M108 342L40 416Q28 428 44 432H120V376Z')),
      ...station('bristles', path('edge', 'M48 432v8M60 432v8M72 432v8M84 432v8M96 432v8M108 432v8')),
    ),
    ...foam('pre-filter', 340, 290, 10, 44),
    bar('M188 226C190 150 330 146 338 226'),
    ...cord('M336 222Q356 150 402 160Q448 176 456 440'),
    path('air', 'M74 430C96 396 112 372 124 340M152 300C176 240 320 400 362 320'),
  ],
  at: {
    bag: [404, 320],
    field: [261, 268],
    armature: [260, 304],
    commutator: [304, 304],
    fan: [141, 304],
    'carbon-brushes': [325, 276],
    'main-switch': [275, 213],
    bristles: [78, 436],
    'head-mouth': [80, 404],
    'end-shims': [208, 304],
    bushes: [330, 304],
    'rubber-mounts': [194, 268],
    cord: [456, 420],
    'pre-filter': [345, 312],
  },
  screws: {
    'motor-bay': [
      [200, 232],
      [264, 200],
      [328, 232],
      [325, 262],
      [325, 346],
    ],
    'motor-out': [
      [214, 262],
      [308, 262],
      [214, 346],
      [308, 346],
    ],
  },
  lifts: { 'filter-bay': [40, 20], 'motor-bay': [0, -70], 'motor-out': [10, 96], 'sole-plate': [-16, 20] },
};
