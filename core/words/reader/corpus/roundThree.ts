// Data: songs that the reader had not seen when they were written: 25 of 36 were right at first. All words are ours.

import { fromRows, type SongRow } from "./rows.ts";

const v1 =
  "Morning comes over the harbour wall|And the gulls are loud in the sky|I have mended my nets, I have sung my song|And the boats go sailing by";
const v2 =
  "Evening falls on the harbour wall|And the lamps are lit one by one|I have carried my load, I have told my tale|And the work of the day is done";
const ch =
  "So sing it out, sing it out|Over the water and stone|Sing it out, sing it out|Till everyone comes home";
const br = "Nobody walks alone tonight|Nobody walks alone";
const L = (w: string, i = "") =>
  w
    .split("|")
    .map((l) => i + l)
    .join("\n");
const one = (w: string, s = " ") => w.split("|").join(s);
const std = { V1: v1, C: ch, V2: v2 };
const T = "Harbour Wall";

const ROWS: readonly SongRow[] = [
  [
    "verse paren numbers",
    `${T}\n(Ilse Tarrow, 2014)\n\n(1)\n${L(v1)}\n\n(Chorus)\n${L(ch)}\n\n(2)\n${L(v2)}\n\n(Chorus)\n\n(Bridge x4)\n${L(br)}\n\n(Chorus)`,
    T,
    "V1 C V2 C B B B B C",
    { ...std, B: br },
  ],
  [
    "title w/ quotes in a sentence",
    `Morning all\n\nFirst song is "Harbour Wall":\n\n${L(v1)}\n\n${L(ch)}\n\n${L(v2)}\n\n${L(ch)}\n\nThanks!\nBram`,
    T,
    "V1 C V2 C",
    std,
  ],
  [
    "verses in prose paragraphs, 1 line each",
    `${T}\n\n1. ${one(v1, ", ")}.\n\nChorus: ${one(ch, ", ")}.\n\n2. ${one(v2, ", ")}.\n\nChorus.`,
    T,
    "V1 C V2 C",
    { V1: `${one(v1, ", ")}.`, C: `${one(ch, ", ")}.`, V2: `${one(v2, ", ")}.` },
  ],
  [
    "v1 ch with colon own line, small",
    `harbour wall\n\nv1:\n${L(v1)}\nch:\n${L(ch)}\nv2:\n${L(v2)}\nch:\nbr:\n${L(br)}\nch x2:`,
    "harbour wall",
    "V1 C V2 C B C C",
    { ...std, B: br },
  ],
  [
    "indented chorus no label",
    `${T}\n\n${L(v1)}\n\n   ${L(ch).replace(/\n/g, "\n   ")}\n\n${L(v2)}\n\n   ${L(ch).replace(/\n/g, "\n   ")}`,
    T,
    "V1 C V2 C",
    std,
  ],
  [
    "chorus in italics markdown",
    `# ${T}\n\n${L(v1)}\n\n*${L(ch).replace(/\n/g, "*\n*")}*\n\n${L(v2)}\n\n*${L(ch).replace(/\n/g, "*\n*")}*`,
    T,
    "V1 C V2 C",
    std,
  ],
  [
    "chorus all caps",
    `${T}\n\n${L(v1)}\n\n${L(ch).toUpperCase()}\n\n${L(v2)}\n\n${L(ch).toUpperCase()}`,
    T,
    "V1 C V2 C",
    { V1: v1, C: ch.toUpperCase(), V2: v2 },
  ],
  [
    "the description of a video",
    `${T} (Official Lyric Video)\nBy Ilse Tarrow\nListen now: https://example.org/x\n\nLYRICS:\n\nVerse 1\n${L(v1)}\n\nChorus\n${L(ch)}\n\nVerse 2\n${L(v2)}\n\nChorus\n\n#harbour #live\nSubscribe for more!`,
    T,
    "V1 C V2 C",
    std,
  ],
  [
    "dutch",
    `${T}\n\ncouplet 1\n${L(v1)}\n\nrefrein (2x)\n${L(ch)}\n\ncouplet 2\n${L(v2)}\n\nrefrein`,
    T,
    "V1 C C V2 C",
    std,
  ],
  [
    "portuguese",
    `${T}\n\nEstrofe 1:\n${L(v1)}\n\nRefrão:\n${L(ch)}\n\nEstrofe 2:\n${L(v2)}\n\n(Repete o refrão 2x)\n\nPonte:\n${L(br)}\n\n(Refrão)`,
    T,
    "V1 C V2 C C B C",
    { ...std, B: br },
  ],
  [
    "polish",
    `${T}\n\nZwr. 1\n${L(v1)}\n\nRef. (x2)\n${L(ch)}\n\nZwr. 2\n${L(v2)}\n\nRef. (x2)`,
    T,
    "V1 R R V2 R R",
    { V1: v1, R: ch, V2: v2 },
  ],
  [
    "swedish",
    `${T}\nText och musik: Ilse Tarrow\n\nVers 1\n${L(v1)}\n\nRefr.\n${L(ch)}\n\nVers 2\n${L(v2)}\n\nRefr.`,
    T,
    "V1 R V2 R",
    { V1: v1, R: ch, V2: v2 },
  ],
  [
    "chords by the number of their step",
    `${T}\n\nVerse 1\n1             4\nMorning comes over the harbour wall\n6m            5\nAnd the gulls are loud in the sky\n1             4\nI have mended my nets, I have sung my song\n6m     5      1\nAnd the boats go sailing by\n\nChorus\n4         1\nSo sing it out, sing it out\n6m        5\nOver the water and stone\n4         1\nSing it out, sing it out\n6m   5   1\nTill everyone comes home`,
    T,
    "V1 C",
    { V1: v1, C: ch },
  ],
  [
    "word doc with tabs after labels",
    `${T}\n\nVerse 1\tMorning comes over the harbour wall\n\tAnd the gulls are loud in the sky\n\tI have mended my nets, I have sung my song\n\tAnd the boats go sailing by\n\nChorus\tSo sing it out, sing it out\n\tOver the water and stone\n\tSing it out, sing it out\n\tTill everyone comes home\n\nVerse 2\tEvening falls on the harbour wall\n\tAnd the lamps are lit one by one\n\tI have carried my load, I have told my tale\n\tAnd the work of the day is done\n\nChorus`,
    T,
    "V1 C V2 C",
    std,
  ],
  [
    "every line starts capital numbers 1a 1b",
    `${T}\n\nVerse 1a\nMorning comes over the harbour wall\nAnd the gulls are loud in the sky\n\nVerse 1b\nI have mended my nets, I have sung my song\nAnd the boats go sailing by\n\nChorus\n${L(ch)}`,
    T,
    "V1a V1b C",
    {
      V1a: "Morning comes over the harbour wall|And the gulls are loud in the sky",
      V1b: "I have mended my nets, I have sung my song|And the boats go sailing by",
      C: ch,
    },
  ],
  [
    "hebrew style RTL marks",
    `\u200fחומת הנמל\n\n\u200fבית א'\n\u200fבוקר עולה על חומת הנמל\n\u200fוהשחפים רועשים\n\n\u200fפזמון:\n\u200fשירו בקול\n\u200fעד שכולם ישובו\n\n\u200fבית ב'\n\u200fערב יורד על חומת הנמל\n\u200fוהמנורות דולקות\n\n\u200fפזמון (x2)`,
    "חומת הנמל",
    "V1 C V2 C C",
    {
      V1: "בוקר עולה על חומת הנמל|והשחפים רועשים",
      C: "שירו בקול|עד שכולם ישובו",
      V2: "ערב יורד על חומת הנמל|והמנורות דולקות",
    },
  ],
  [
    "japanese",
    `港の壁\n\n【1番】\n朝が港の壁を越え\nカモメが鳴いている\n\n【サビ】\n歌え 歌え\n水を越えて\n\n【2番】\n夕べが港に降りて\n灯りがともる\n\n【サビ】×2`,
    "港の壁",
    "V1 C V2 C C",
    {
      V1: "朝が港の壁を越え|カモメが鳴いている",
      C: "歌え 歌え|水を越えて",
      V2: "夕べが港に降りて|灯りがともる",
    },
  ],
  [
    "chinese",
    `港口的墙\n词曲：林小雨\n\n主歌1：\n清晨越过港口的墙\n海鸥在天上叫\n\n副歌：\n唱出来 唱出来\n直到人人回家\n\n主歌2：\n黄昏落在港口的墙\n灯一盏盏亮起\n\n（副歌）`,
    "港口的墙",
    "V1 C V2 C",
    {
      V1: "清晨越过港口的墙|海鸥在天上叫",
      C: "唱出来 唱出来|直到人人回家",
      V2: "黄昏落在港口的墙|灯一盏盏亮起",
    },
  ],
  [
    "arabic",
    `جدار الميناء\n\n١- الصبح يأتي فوق الجدار\nوالنوارس في السماء\n\nالقرار:\nغنوا غنوا\nحتى نعود\n\n٢- المساء يأتي فوق الجدار\nوالمصابيح مضاءة\n\nالقرار`,
    "جدار الميناء",
    "V1 C V2 C",
    {
      V1: "الصبح يأتي فوق الجدار|والنوارس في السماء",
      C: "غنوا غنوا|حتى نعود",
      V2: "المساء يأتي فوق الجدار|والمصابيح مضاءة",
    },
  ],
  [
    "set list order in parentheses under title",
    `${T}\n(V1, V2, Ch, Br x2, Ch)\n\nV1\n${L(v1)}\n\nV2\n${L(v2)}\n\nCh\n${L(ch)}\n\nBr\n${L(br)}`,
    T,
    "V1 V2 C B B C",
    { ...std, B: br },
  ],
  [
    "repeats inline arrows",
    `${T}\n\nVerse 1\n${L(v1)}\n\n-> Chorus\n${L(ch)}\n\nVerse 2\n${L(v2)}\n\n-> Chorus\n-> Bridge\n${L(br)}\n-> Chorus x2`,
    T,
    "V1 C V2 C B C C",
    { ...std, B: br },
  ],
  [
    "to chorus",
    `${T}\n\nVerse 1\n${L(v1)}\n(to Chorus)\n\nVerse 2\n${L(v2)}\n(to Chorus)\n\nChorus\n${L(ch)}`,
    T,
    "V1 C V2 C",
    std,
  ],
  [
    "copyright footer",
    `${T}\n\nVerse 1\n${L(v1)}\n\nChorus\n${L(ch)}\n\nWords and Music by Ilse Tarrow & Bram Oske\n© 2014 Net Loft Music (Admin. by Quay Songs)\nSong # 1234567\nUsed by permission. Licence No. 998877\nAll rights reserved.`,
    T,
    "V1 C",
    { V1: v1, C: ch },
  ],
  [
    "leading key & numbering list of songs",
    `3. Harbour Wall (G)\n\nVerse 1\n${L(v1)}\n\nChorus\n${L(ch)}\n\nVerse 2\n${L(v2)}\n\nChorus`,
    T,
    "V1 C V2 C",
    std,
  ],
  [
    "verse w/ blank in between two couplets",
    `${T}\n\nVerse 1\nMorning comes over the harbour wall\nAnd the gulls are loud in the sky\n\nI have mended my nets, I have sung my song\nAnd the boats go sailing by\n\nChorus\n${L(ch)}\n\nVerse 2\nEvening falls on the harbour wall\nAnd the lamps are lit one by one\n\nI have carried my load, I have told my tale\nAnd the work of the day is done\n\nChorus`,
    T,
    "V1 C V2 C",
    std,
  ],
  [
    "chorus with different last line",
    `${T}\n\nV1\n${L(v1)}\n\nChorus\n${L(ch)}\n\nV2\n${L(v2)}\n\nChorus\nSo sing it out, sing it out\nOver the water and stone\nSing it out, sing it out\nTill the last of us comes home`,
    T,
    "V1 C V2 C2",
    {
      ...std,
      C2: "So sing it out, sing it out|Over the water and stone|Sing it out, sing it out|Till the last of us comes home",
    },
  ],
  [
    "no title at all, labels",
    `Verse 1\n${L(v1)}\n\nChorus\n${L(ch)}`,
    "Morning comes over the harbour wall",
    "V1 C",
    { V1: v1, C: ch },
  ],
  [
    "two blank lines between, trailing punctuation labels",
    `${T}:\n\n\nVerse one.\n${L(v1)}\n\n\nChorus.\n${L(ch)}\n\n\nVerse two.\n${L(v2)}\n\n\nChorus again.`,
    T,
    "V1 C V2 C",
    std,
  ],
  [
    "leader/all",
    `${T}\n\nVerse 1\nLeader: Morning comes over the harbour wall\nAll: And the gulls are loud in the sky\nLeader: I have mended my nets, I have sung my song\nAll: And the boats go sailing by\n\nChorus (All)\n${L(ch)}`,
    T,
    "V1 C",
    { V1: v1, C: ch },
  ],
  [
    "spoken & oh-oh",
    `${T}\n\nIntro\nOh oh oh\n\nVerse 1\n${L(v1)}\n\nChorus\n${L(ch)}\n\n[Spoken]\nThis is for the harbour\n\nOutro\nOh oh oh (fade)`,
    T,
    "I V1 C S E",
    { I: "Oh oh oh", V1: v1, C: ch, S: "This is for the harbour", E: "Oh oh oh" },
  ],
  [
    "mail reply quote header",
    `On Fri, Nov 20, 2026 at 7:02 PM Ilse wrote:\n> Harbour Wall\n>\n> 1. Morning comes over the harbour wall\n> And the gulls are loud in the sky\n>\n> Ref: So sing it out, sing it out\n> Over the water and stone\n>\n> 2. Evening falls on the harbour wall\n> And the lamps are lit one by one\n>\n> Ref:`,
    T,
    "V1 R V2 R",
    {
      V1: "Morning comes over the harbour wall|And the gulls are loud in the sky",
      R: "So sing it out, sing it out|Over the water and stone",
      V2: "Evening falls on the harbour wall|And the lamps are lit one by one",
    },
  ],
  [
    "hyphen syllables",
    `${T}\n\nVerse 1\nMor - ning comes o - ver the har - bour wall\nAnd the gulls are loud in the sky`,
    T,
    "V1",
    { V1: "Mor - ning comes o - ver the har - bour wall|And the gulls are loud in the sky" },
  ],
  [
    "german mail",
    `Hallo zusammen,\n\nhier der Text für Sonntag:\n\nHafenmauer\n\n1. Morgen kommt über die Mauer\nund die Möwen sind laut\n\nRefr.: Singt es hinaus\nbis alle zu Hause sind\n\n2. Abend fällt auf die Mauer\nund die Lampen gehn an\n\nRefr.\n\nLiebe Grüße\nIlse`,
    "Hafenmauer",
    "V1 R V2 R",
    {
      V1: "Morgen kommt über die Mauer|und die Möwen sind laut",
      R: "Singt es hinaus|bis alle zu Hause sind",
      V2: "Abend fällt auf die Mauer|und die Lampen gehn an",
    },
  ],
  [
    "spanish chords in text",
    `MURO DEL PUERTO\nAutor: Ilse Tarrow\nTono: Sol\n\nEstrofa I\nSOL            DO\nLlega el alba sobre el muro\nRE           SOL\ny las gaviotas gritan\n\nCORO\nDO         SOL\nCántalo, cántalo\nRE            SOL\nhasta que todos vuelvan\n\nEstrofa II\nCae la tarde sobre el muro\ny se encienden las luces\n\nCORO (bis)`,
    "MURO DEL PUERTO",
    "V1 C V2 C C",
    {
      V1: "Llega el alba sobre el muro|y las gaviotas gritan",
      C: "Cántalo, cántalo|hasta que todos vuelvan",
      V2: "Cae la tarde sobre el muro|y se encienden las luces",
    },
  ],
];

export const ROUND_THREE = fromRows(ROWS);
