import {
  bar,
  block,
  bow,
  cut,
  disc,
  edges,
  mirrored,
  type Outline,
  pathOf,
  ring,
  turned,
} from "./outline.ts";

/** Drawings of our own, in a square of 100 by 100, for pages that need a small picture and have none. */
export interface Mark {
  readonly id: string;
  readonly name: string;
  readonly group: "weather" | "arrows" | "hands" | "signs";
  /** SVG path data, filled where it winds. */
  readonly path: string;
}

const around = (count: number, ...outlines: readonly Outline[]): readonly Outline[] =>
  Array.from({ length: count }, (_, i) => turned((360 / count) * i, ...outlines)).flat();

const cloud = (dx = 0, dy = 0): readonly Outline[] => [
  disc(32 + dx, 56 + dy, 17),
  disc(54 + dx, 44 + dy, 23),
  disc(73 + dx, 57 + dy, 16),
  block(30 + dx, 52 + dy, 45, 21, 10),
];
const drop = (x: number, y: number): Outline => bar(x, y, x - 4, y + 12, 6);
const flake = (x: number, y: number): readonly Outline[] =>
  [0, 60, 120].map((degrees) => {
    const [dx, dy] = [6 * Math.cos((degrees * Math.PI) / 180), 6 * Math.sin((degrees * Math.PI) / 180)];
    return bar(x - dx, y - dy, x + dx, y + dy, 3.4);
  });
const degreesSign = ring(79, 24, 7, 5);
const thermometer = (top: number): readonly Outline[] => [
  block(38, 8, 24, 68, 12),
  disc(50, 78, 17),
  cut(block(44, 14, 12, top - 14, 4)),
];

const arrow: readonly Outline[] = [bar(14, 50, 80, 50, 12), bar(56, 24, 83, 50, 12), bar(83, 50, 56, 76, 12)];
const bent: readonly Outline[] = [
  bar(24, 84, 24, 54, 12),
  bow(46, 54, 22, 180, 270, 12),
  bar(46, 32, 76, 32, 12),
  bar(58, 12, 79, 32, 12),
  bar(79, 32, 58, 52, 12),
];

/** A hand that points: the finger to the right. */
const pointing: readonly Outline[] = [
  block(14, 38, 18, 38, 5),
  block(30, 32, 34, 44, 12),
  bar(44, 39, 86, 39, 13),
  bar(52, 53, 66, 53, 12),
  bar(50, 64, 63, 64, 11),
  bar(34, 34, 46, 24, 12),
];
const palm: readonly Outline[] = [
  block(30, 46, 42, 42, 18),
  bar(36, 52, 33, 24, 10.5),
  bar(46.5, 50, 46, 15, 10.5),
  bar(57.5, 50, 59.5, 17, 10.5),
  bar(67, 54, 72, 27, 10),
  bar(36, 70, 18, 54, 11),
];
const thumb: readonly Outline[] = [
  block(12, 46, 18, 40, 5),
  block(34, 44, 40, 42, 12),
  bar(66, 51, 82, 51, 11),
  bar(66, 62.5, 82, 62.5, 11),
  bar(66, 74, 79, 74, 11),
  bar(50, 52, 58, 20, 14),
];
const star = (points: number, outer: number, inner: number): Outline =>
  edges(
    ...Array.from({ length: points * 2 }, (_, i) => {
      const r = i % 2 === 0 ? outer : inner;
      const angle = (Math.PI * i) / points - Math.PI / 2;
      return [50 + r * Math.cos(angle), 52 + r * Math.sin(angle)] as const;
    }),
  );
const heart: readonly Outline[] = [
  disc(34, 38, 20),
  disc(66, 38, 20),
  edges([50, 32], [80.5, 51], [50, 88], [19.5, 51]),
];
const inDisc = (...cuts: readonly Outline[]): readonly Outline[] => [disc(50, 50, 42), ...cuts.map(cut)];
const person = (x: number, y: number, size: number): readonly Outline[] => [
  disc(x, y, 9 * size),
  block(x - 13 * size, y + 12 * size, 26 * size, 30 * size, 12 * size),
];

const DRAWN: readonly (readonly [Mark["group"], id: string, name: string, readonly Outline[]])[] = [
  ["weather", "sun", "Sun", [disc(50, 50, 21), ...around(8, bar(50, 10, 50, 20, 8))]],
  [
    "weather",
    "moon",
    "Moon",
    [
      [
        { x: 62, y: 86, along: { r: 44, isLarge: false, isClockwise: false } },
        { x: 62, y: 14, along: { r: 37, isLarge: true, isClockwise: true } },
      ],
    ],
  ],
  ["weather", "cloud", "Cloud", cloud()],
  [
    "weather",
    "sun-and-cloud",
    "Sun and cloud",
    [
      disc(66, 32, 15),
      ...[270, 315, 0, 45, 225].map((degrees) => {
        const [cos, sin] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
        return bar(66 + 21 * cos, 34 + 21 * sin, 66 + 27 * cos, 34 + 27 * sin, 6);
      }),
      ...cloud(-8, 10),
    ],
  ],
  ["weather", "rain", "Rain", [...cloud(0, -14), drop(36, 70), drop(54, 70), drop(72, 70)]],
  [
    "weather",
    "heavy-rain",
    "Heavy rain",
    [...cloud(0, -16), ...[32, 47, 62, 77].map((x) => drop(x, 66)), ...[39, 54, 69].map((x) => drop(x, 82))],
  ],
  [
    "weather",
    "snow",
    "Snow",
    [
      ...cloud(0, -14),
      ...flake(34, 72),
      ...flake(54, 72),
      ...flake(74, 72),
      ...flake(44, 88),
      ...flake(64, 88),
    ],
  ],
  [
    "weather",
    "thunder",
    "Thunder",
    [...cloud(0, -14), edges([54, 64], [64, 64], [57, 76], [66, 76], [46, 96], [52, 81], [44, 81])],
  ],
  [
    "weather",
    "wind",
    "Wind",
    [
      bar(12, 38, 60, 38, 8),
      bow(60, 26, 12, 180, 450, 8),
      bar(12, 54, 76, 54, 8),
      bow(76, 66, 12, 270, 540, 8),
      bar(12, 70, 46, 70, 8),
      bow(46, 80, 10, 270, 490, 8),
    ],
  ],
  ["weather", "fog", "Fog", [30, 46, 62, 78].map((y, i) => bar(i % 2 ? 26 : 14, y, i % 2 ? 86 : 74, y, 8))],
  [
    "weather",
    "frost",
    "Frost",
    around(6, bar(50, 50, 50, 12, 7), bar(50, 26, 40, 17, 6), bar(50, 26, 60, 17, 6)),
  ],
  ["weather", "warm", "Warm", [...thermometer(28), ...degreesSign]],
  ["weather", "cold", "Cold", [...thermometer(60), ...degreesSign]],
  [
    "weather",
    "umbrella",
    "Umbrella",
    [
      [
        { x: 10, y: 52 },
        { x: 90, y: 52, along: { r: 40, isLarge: false, isClockwise: true } },
      ],
      bar(50, 50, 50, 80, 7),
      bow(41, 80, 9, 0, 180, 7),
      bar(50, 8, 50, 16, 7),
    ],
  ],

  ["arrows", "right", "Right", arrow],
  ["arrows", "down", "Down", turned(90, ...arrow)],
  ["arrows", "left", "Left", turned(180, ...arrow)],
  ["arrows", "up", "Up", turned(270, ...arrow)],
  ["arrows", "up-right", "Up and right", turned(315, ...arrow)],
  ["arrows", "down-right", "Down and right", turned(45, ...arrow)],
  ["arrows", "down-left", "Down and left", turned(135, ...arrow)],
  ["arrows", "up-left", "Up and left", turned(225, ...arrow)],
  ["arrows", "turn-right", "Turn right", bent],
  ["arrows", "turn-left", "Turn left", mirrored(...bent)],
  [
    "arrows",
    "both-ways",
    "Both ways",
    [
      bar(16, 50, 84, 50, 12),
      bar(34, 30, 14, 50, 12),
      bar(14, 50, 34, 70, 12),
      bar(66, 30, 86, 50, 12),
      bar(86, 50, 66, 70, 12),
    ],
  ],
  [
    "arrows",
    "again",
    "Again",
    [bow(50, 52, 30, 300, 590, 11), bar(65, 26, 51, 12, 10), bar(65, 26, 50, 38, 10)],
  ],
  [
    "arrows",
    "stairs-up",
    "Stairs up",
    [
      edges(
        [10, 88],
        [10, 72],
        [30, 72],
        [30, 56],
        [50, 56],
        [50, 40],
        [70, 40],
        [70, 24],
        [90, 24],
        [90, 88],
      ),
    ],
  ],

  ["hands", "point-right", "Pointing right", pointing],
  ["hands", "point-left", "Pointing left", mirrored(...pointing)],
  ["hands", "point-up", "Pointing up", turned(270, ...pointing)],
  ["hands", "point-down", "Pointing down", turned(90, ...pointing)],
  ["hands", "open-hand", "Open hand", palm],
  ["hands", "thumb-up", "Thumb up", thumb],
  ["hands", "thumb-down", "Thumb down", turned(180, ...mirrored(...thumb))],
  [
    "hands",
    "wave",
    "Waving",
    [...turned(18, ...palm), bow(50, 52, 44, 318, 342, 6), bow(50, 52, 44, 200, 218, 6)],
  ],

  ["signs", "yes", "Yes", [bar(18, 54, 40, 76, 14), bar(40, 76, 82, 26, 14)]],
  ["signs", "no", "No", [bar(24, 24, 76, 76, 14), bar(76, 24, 24, 76, 14)]],
  ["signs", "plus", "Plus", [bar(50, 18, 50, 82, 14), bar(18, 50, 82, 50, 14)]],
  ["signs", "information", "Information", inDisc(disc(50, 29, 7), bar(50, 46, 50, 72, 12))],
  [
    "signs",
    "attention",
    "Attention",
    [
      bar(50, 18, 14, 80, 12),
      bar(14, 80, 86, 80, 12),
      bar(86, 80, 50, 18, 12),
      edges([50, 18], [86, 80], [14, 80]),
      cut(bar(50, 38, 50, 54, 8)),
      cut(disc(50, 67, 5)),
    ],
  ],
  [
    "signs",
    "question",
    "Question",
    [...inDisc(), cut(bow(50, 40, 13, 180, 405, 9)), cut(bar(50, 58, 50, 61, 9)), cut(disc(50, 75, 6))],
  ],
  ["signs", "no-entry", "No entry", inDisc(bar(29, 50, 71, 50, 14))],
  ["signs", "star", "Star", [star(5, 44, 18)]],
  ["signs", "heart", "Heart", heart],
  ["signs", "clock", "Clock", inDisc(bar(50, 52, 50, 24, 8), bar(58, 56.5, 68, 63, 8))],
  ["signs", "place", "Place", [disc(50, 38, 28), edges([76, 49], [50, 94], [24, 49]), cut(disc(50, 38, 11))]],
  ["signs", "flag", "Flag", [bar(24, 12, 24, 90, 8), edges([24, 14], [84, 30], [24, 52])]],
  [
    "signs",
    "music",
    "Music",
    [
      disc(30, 76, 13),
      disc(70, 68, 13),
      bar(39, 76, 39, 24, 8),
      bar(79, 68, 79, 16, 8),
      edges([35, 20], [83, 12], [83, 30], [35, 38]),
    ],
  ],
  [
    "signs",
    "microphone",
    "Microphone",
    [block(37, 8, 26, 50, 13), bow(50, 48, 26, 0, 180, 8), bar(50, 76, 50, 90, 8), bar(34, 92, 66, 92, 8)],
  ],
  [
    "signs",
    "bell",
    "Bell",
    [
      disc(50, 44, 25),
      edges([25, 44], [75, 44], [82, 74], [18, 74]),
      bar(16, 74, 84, 74, 8),
      disc(50, 86, 9),
      disc(50, 16, 7),
    ],
  ],
  [
    "signs",
    "cup",
    "Cup",
    [
      block(18, 32, 50, 46, 12),
      ...ring(70, 50, 12, 8),
      bar(14, 88, 74, 88, 7),
      bar(34, 12, 34, 22, 6),
      bar(52, 12, 52, 22, 6),
    ],
  ],
  [
    "signs",
    "meal",
    "Meal",
    [
      bar(30, 14, 30, 88, 9),
      bar(18, 14, 18, 32, 7),
      bar(42, 14, 42, 32, 7),
      bow(30, 32, 12, 0, 180, 7),
      bar(70, 52, 70, 88, 9),
      block(63, 12, 18, 46, 9),
    ],
  ],
  ["signs", "people", "People", [...person(50, 26, 1.1), ...person(20, 36, 0.8), ...person(80, 36, 0.8)]],
  [
    "signs",
    "letter",
    "Letter",
    [block(10, 22, 80, 56, 8), cut(edges([17, 28], [50, 51], [83, 28], [83, 35], [50, 58], [17, 35]))],
  ],
  ["signs", "phone", "Phone", [block(28, 6, 44, 88, 9), cut(block(34, 16, 32, 60, 3)), cut(disc(50, 85, 4))]],
  [
    "signs",
    "bus",
    "Bus",
    [
      block(12, 18, 76, 58, 10),
      cut(block(20, 28, 26, 20, 4)),
      cut(block(54, 28, 26, 20, 4)),
      disc(30, 78, 10),
      disc(70, 78, 10),
    ],
  ],
  [
    "signs",
    "bicycle",
    "Bicycle",
    [
      ...ring(24, 64, 17, 6),
      ...ring(76, 64, 17, 6),
      bar(24, 64, 40, 38, 6),
      bar(40, 38, 66, 38, 6),
      bar(66, 38, 48, 64, 6),
      bar(48, 64, 24, 64, 6),
      bar(48, 64, 38, 32, 6),
      bar(76, 64, 64, 28, 6),
      bar(30, 30, 44, 30, 6),
      bar(64, 28, 74, 26, 6),
    ],
  ],
  [
    "signs",
    "lamp",
    "Lamp",
    [
      bow(50, 22, 12, 180, 360, 6),
      block(34, 26, 32, 9, 3),
      edges([34, 38], [66, 38], [72, 76], [28, 76]),
      block(26, 79, 48, 11, 4),
      cut([
        { x: 50, y: 43 },
        { x: 57, y: 56 },
        { x: 43, y: 56, along: { r: 9, isLarge: true, isClockwise: true } },
      ]),
    ],
  ],
];

export const MARKS: readonly Mark[] = DRAWN.map(([group, id, name, outlines]) => ({
  id,
  name,
  group,
  path: pathOf(outlines),
}));
