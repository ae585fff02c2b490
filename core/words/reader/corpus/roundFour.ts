// Data: songs that the reader had not seen when they were written: 17 of 34 were right at first. All words are ours.

import { fromRows, type SongRow } from "./rows.ts";

const v1 =
  "I was lost on a winter road|With the snow up to my knees|Then I saw a window burning|Through the black and bending trees";
const v2 =
  "There was bread upon the table|There was singing by the fire|And a chair they had kept empty|For a stranger from the mire";
const v3 =
  "Now I keep a lamp in my window|When the winter roads are white|And I leave a chair for the stranger|Who is walking in the night";
const ch =
  "Come in, come in from the cold|There is room for one more here|Come in, come in from the cold|Leave your trouble and your fear";
const br = "Open the door, open the door|Let the lost come home";
const L = (w: string, i = "") =>
  w
    .split("|")
    .map((l) => i + l)
    .join("\n");
const std = { V1: v1, C: ch, V2: v2 };
const T = "Room for One More";
const full = (lab: (n: string) => string, sep = "\n\n", title = T) =>
  `${title}${sep}${lab("Verse 1")}\n${L(v1)}${sep}${lab("Chorus")}\n${L(ch)}${sep}${lab("Verse 2")}\n${L(v2)}${sep}${lab("Chorus")}`;

const ROWS: readonly SongRow[] = [
  ["curly labels", full((l) => `{${l}}`), T, "V1 C V2 C", std],
  ["underlined title", full((l) => `${l}:`, "\n\n", `${T}\n=================`), T, "V1 C V2 C", std],
  ["labels underlined", full((l) => `${l}\n--------`), T, "V1 C V2 C", std],
  [
    "label with tempo",
    `${T}\n\nVerse 1 (75 bpm)\n${L(v1)}\n\nChorus (full band, build)\n${L(ch)}\n\nVerse 2 (drop out, keys only)\n${L(v2)}\n\nChorus (2x, last time a cappella)`,
    T,
    "V1 C V2 C C",
    std,
  ],
  [
    "time stamps video",
    `${T}\n0:12 Verse 1\n${L(v1)}\n0:45 Chorus\n${L(ch)}\n1:20 Verse 2\n${L(v2)}\n1:50 Chorus`,
    T,
    "V1 C V2 C",
    std,
  ],
  [
    "subtitle srt",
    `1\n00:00:12,300 --> 00:00:16,000\nI was lost on a winter road\nWith the snow up to my knees\n\n2\n00:00:16,100 --> 00:00:20,000\nThen I saw a window burning\nThrough the black and bending trees`,
    "I was lost on a winter road",
    "V1 V2",
    {
      V1: "I was lost on a winter road|With the snow up to my knees",
      V2: "Then I saw a window burning|Through the black and bending trees",
    },
  ],
  [
    "numbered V + unlabelled chorus repeated",
    `${T}\n\n1.\n${L(v1)}\n\n${L(ch)}\n\n2.\n${L(v2)}\n\n${L(ch)}\n\n3.\n${L(v3)}\n\n${L(ch)}`,
    T,
    "V1 R V2 R V3 R",
    { V1: v1, R: ch, V2: v2, V3: v3 },
  ],
  [
    "CHORUS first",
    `${T}\n\nChorus\n${L(ch)}\n\n1 I was lost on a winter road\nWith the snow up to my knees\nThen I saw a window burning\nThrough the black and bending trees\n\n2 There was bread upon the table\nThere was singing by the fire\nAnd a chair they had kept empty\nFor a stranger from the mire`,
    T,
    "C V1 V2",
    std,
  ],
  [
    "no blank lines at all, numbers",
    `${T}\n1 I was lost on a winter road\nWith the snow up to my knees\nThen I saw a window burning\nThrough the black and bending trees\nChorus Come in, come in from the cold\nThere is room for one more here\nCome in, come in from the cold\nLeave your trouble and your fear\n2 There was bread upon the table\nThere was singing by the fire\nAnd a chair they had kept empty\nFor a stranger from the mire\nChorus`,
    T,
    "V1 C V2 C",
    std,
  ],
  [
    "bracketed repeats ||: :||",
    `${T}\n\nVerse 1\n${L(v1)}\n\nBridge\n||: Open the door, open the door\nLet the lost come home :||\n\nChorus\n${L(ch)}`,
    T,
    "V1 B C",
    { V1: v1, B: `${br}|${br}`, C: ch },
  ],
  [
    "(x3) alone below",
    `${T}\n\nVerse 1\n${L(v1)}\n\nBridge\n${L(br)}\n(x3)\n\nChorus\n${L(ch)}`,
    T,
    "V1 B B B C",
    { V1: v1, B: br, C: ch },
  ],
  [
    "(3x) in label before colon",
    `${T}\n\nVerse 1:\n${L(v1)}\n\nBridge (3x):\n${L(br)}\n\nChorus:\n${L(ch)}`,
    T,
    "V1 B B B C",
    { V1: v1, B: br, C: ch },
  ],
  [
    "PRE CHORUS, CHORUS 1, CHORUS 2",
    `${T}\n\nVERSE 1\n${L(v1)}\n\nPRE CHORUS\n${L(br)}\n\nCHORUS 1\n${L(ch)}\n\nVERSE 2\n${L(v2)}\n\nPRE CHORUS\n\nCHORUS 2\n${L(v3)}`,
    T,
    "V1 P C1 V2 P C2",
    { V1: v1, P: br, C1: ch, V2: v2, C2: v3 },
  ],
  [
    "copyright first",
    `© 2014 Net Loft Music. Words: Ilse Tarrow\n\n${T}\n\nVerse 1\n${L(v1)}\n\nChorus\n${L(ch)}`,
    T,
    "V1 C",
    { V1: v1, C: ch },
  ],
  [
    "english + spanish stanzas",
    `${T}\n\nVerse 1\n${L(v1)}\n\nVerso 1\nIba yo por el camino\nCon la nieve hasta el pie\n\nChorus\n${L(ch)}`,
    T,
    "V1 V2 C",
    { V1: v1, V2: "Iba yo por el camino|Con la nieve hasta el pie", C: ch },
  ],
  [
    "french list",
    `${T}\nParoles: Ilse Tarrow\n\nCouplet 1 :\n${L(v1)}\n\nRefrain :\n${L(ch)}\n\nCouplet 2 :\n${L(v2)}\n\nRefrain (bis)`,
    T,
    "V1 R V2 R R",
    { V1: v1, R: ch, V2: v2 },
  ],
  [
    "danish",
    `${T}\n\n1. vers\n${L(v1)}\n\nOmkvæd\n${L(ch)}\n\n2. vers\n${L(v2)}\n\nOmkvæd x2`,
    T,
    "V1 C V2 C C",
    std,
  ],
  [
    "ukrainian inline",
    `${T}\n\n1. Я загубився взимку\nСніг по коліна ліг\n\nПриспів:\nЗаходь, заходь із холоду\nТут місце є для всіх\n\n2. Був хліб на столі\nІ пісня край вогню\n\nПриспів: (2)`,
    T,
    "V1 C V2 C C",
    {
      V1: "Я загубився взимку|Сніг по коліна ліг",
      C: "Заходь, заходь із холоду|Тут місце є для всіх",
      V2: "Був хліб на столі|І пісня край вогню",
    },
  ],
  [
    "korean numbered",
    `${T}\n작사 김하늘\n\n1. 눈 덮인 길에서\n길을 잃었네\n\n(후렴)\n들어와 들어와\n추운 데서 들어와\n\n2. 식탁에 빵이 있고\n노래가 있네`,
    T,
    "V1 C V2",
    {
      V1: "눈 덮인 길에서|길을 잃었네",
      C: "들어와 들어와|추운 데서 들어와",
      V2: "식탁에 빵이 있고|노래가 있네",
    },
  ],
  [
    "chords with section in same line",
    `${T}\n\nVerse 1: G  C  D  G\n${L(v1)}\n\nChorus: C  G  D  G\n${L(ch)}`,
    T,
    "V1 C",
    { V1: v1, C: ch },
  ],
  [
    "order with arrows under heading",
    `${T}\nV1 > C > V2 > C > B > C\n\n[V1]\n${L(v1)}\n\n[C]\n${L(ch)}\n\n[V2]\n${L(v2)}\n\n[B]\n${L(br)}`,
    T,
    "V1 C V2 C B C",
    { ...std, B: br },
  ],
  [
    "order as list",
    `${T}\n\nOrder:\nVerse 1\nChorus\nVerse 2\nChorus x2\n\nVerse 1\n${L(v1)}\n\nChorus\n${L(ch)}\n\nVerse 2\n${L(v2)}`,
    T,
    "V1 C V2 C C",
    std,
  ],
  [
    "stage directions",
    `${T}\n\n(Band starts, 4 bars)\n\nVerse 1 - Ilse solo\n${L(v1)}\n\nChorus - everyone\n${L(ch)}\n\n(Guitar solo)\n\nVerse 2 - Bram\n${L(v2)}\n\nChorus - everyone\n\n(Key change up to A)\n\nChorus - everyone`,
    T,
    "V1 C V2 C C",
    std,
  ],
  [
    "line numbers",
    `${T}\n\n 1 I was lost on a winter road\n 2 With the snow up to my knees\n 3 Then I saw a window burning\n 4 Through the black and bending trees\n\n 5 Come in, come in from the cold\n 6 There is room for one more here\n 7 Come in, come in from the cold\n 8 Leave your trouble and your fear`,
    T,
    "V1 V2",
    { V1: v1, V2: ch },
  ],
  [
    "smart quotes each verse",
    `“${T}”\n\n“${L(v1)}”\n\nRefrain:\n“${L(ch)}”\n\n“${L(v2)}”\n\nRefrain`,
    T,
    "V1 R V2 R",
    { V1: `“${v1}”`, R: `“${ch}”`, V2: `“${v2}”` },
  ],
  [
    "tag lines",
    `${T}\n\nVerse\n${L(v1)}\n\nChorus\n${L(ch)}\n\nVerse\n${L(v2)}\n\nChorus\n\nChorus tag\nLeave your trouble and your fear`,
    T,
    "V1 C V2 C T",
    { ...std, T: "Leave your trouble and your fear" },
  ],
  [
    "ends w/ amen",
    `${T}\n\n1. ${L(v1)}\n\n2. ${L(v2)}\n\n3. ${L(v3)}\n\nAmen.`,
    T,
    "V1 V2 V3",
    { V1: v1, V2: v2, V3: `${v3}|Amen.` },
  ],
  [
    "Greek label",
    `${T}\n\nΣτροφή 1\n${L(v1)}\n\nΡεφρέν\n${L(ch)}\n\nΣτροφή 2\n${L(v2)}\n\nΡεφρέν`,
    T,
    "V1 C V2 C",
    std,
  ],
  [
    "romanian",
    `${T}\n\nStrofa 1\n${L(v1)}\n\nRefren\n${L(ch)}\n\nStrofa 2\n${L(v2)}\n\nRefren`,
    T,
    "V1 C V2 C",
    std,
  ],
];

export const ROUND_FOUR = fromRows(ROWS);
