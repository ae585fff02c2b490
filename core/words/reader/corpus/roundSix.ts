// Data: songs that the reader had not seen when they were written: 10 of 20 were right at first. All words are ours.

import { fromRows, type SongRow } from "./rows.ts";

const v1 =
  "Leave a light on for the late ones|For the ones who lost their way|For the tired and the broken|At the ending of the day";
const v2 =
  "Leave a seat free by the window|Leave a cup beside the fire|There are feet upon the gravel|There is mud and there is mire";
const ch =
  "Oh, leave a light on|Leave a light on tonight|Somebody out there is walking|Walking home by its light";
const br = "Hallelujah, hallelujah|Hallelujah, come on home";
const L = (w: string, i = "") =>
  w
    .split("|")
    .map((l) => i + l)
    .join("\n");
const std = { V1: v1, C: ch, V2: v2 };
const T = "Leave a Light On";

const ROWS: readonly SongRow[] = [
  [
    "in a hurry, with what comes after the last chorus",
    `hey can u put this in pls, its called Leave a Light On\n\nvs 1\n${L(v1)}\n\nchours\n${L(ch)}\n\nvs 2\n${L(v2)}\n\nchorus x2 then end\n\nta, ilse`,
    T,
    "V1 C V2 C C",
    std,
  ],
  [
    "a message with a bell behind a label in italics, chords behind short labels",
    `[20/11/2026, 19:02] Ilse: *Leave a Light On*\n\n_Verse 1_ 🔔\n${L(v1)}\n\nCh: G  C  D\n${L(ch)}\n\nV2: G  C  D\n${L(v2)}\n\nEnd on chorus`,
    T,
    "V1 C V2 C",
    std,
  ],
  [
    "mail: title bold caps later",
    `Dear Bram,\n\nI hope you are well. Please find below the words of the song we talked about.\n\nLEAVE A LIGHT ON\n\nVerse 1\n${L(v1)}\n\nChorus\n${L(ch)}\n\nVerse 2\n${L(v2)}\n\nChorus\n\nBest wishes\nIlse Tarrow\nNet Loft Music\nilse@example.org | www.example.org`,
    "LEAVE A LIGHT ON",
    "V1 C V2 C",
    std,
  ],
  [
    "mail: numbered list of songs w/ one song",
    `Song 1: Leave a Light On\n\nVerse 1\n${L(v1)}\n\nChorus\n${L(ch)}`,
    T,
    "V1 C",
    { V1: v1, C: ch },
  ],
  [
    "heading with artist & album",
    `Leave a Light On\nby Ilse Tarrow\nfrom the album Late Ones\n\nVerse 1\n${L(v1)}\n\nChorus\n${L(ch)}`,
    T,
    "V1 C",
    { V1: v1, C: ch },
  ],
  [
    "chorus given as (C)",
    `Leave a Light On\n\n(V1)\n${L(v1)}\n\n(C)\n${L(ch)}\n\n(V2)\n${L(v2)}\n\n(C)`,
    T,
    "V1 C V2 C",
    std,
  ],
  [
    "verse/chorus with colon same line first words",
    `Leave a Light On\n\nVerse 1: Leave a light on for the late ones\nFor the ones who lost their way\nFor the tired and the broken\nAt the ending of the day\n\nChorus: Oh, leave a light on\nLeave a light on tonight\nSomebody out there is walking\nWalking home by its light\n\nVerse 2: Leave a seat free by the window\nLeave a cup beside the fire\nThere are feet upon the gravel\nThere is mud and there is mire\n\nChorus:`,
    T,
    "V1 C V2 C",
    std,
  ],
  [
    "hymn refrain italic underscore",
    `*Leave a Light On*\n\n1. ${L(v1)}\n\n_${L(ch)}_\n\n2. ${L(v2)}\n\n_${L(ch)}_`,
    T,
    "V1 R V2 R",
    { V1: v1, R: ch, V2: v2 },
  ],
  [
    "V1/C/V2/C slash line header",
    `Leave a Light On (V1/C/V2/C/B/C)\n\nV1\n${L(v1)}\n\nC\n${L(ch)}\n\nV2\n${L(v2)}\n\nB\n${L(br)}`,
    T,
    "V1 C V2 C B C",
    { ...std, B: br },
  ],
  [
    "time sig & key in brackets line",
    `Leave a Light On\n[Key of E] [6/8] [Capo 2]\n\nVerse 1\n${L(v1)}\n\nChorus\n${L(ch)}`,
    T,
    "V1 C",
    { V1: v1, C: ch },
  ],
  [
    "repeat 4x bridge text hallelujah",
    `Leave a Light On\n\nVerse 1\n${L(v1)}\n\nChorus\n${L(ch)}\n\nBridge (repeat 4x)\n${L(br)}\n\nChorus (repeat)`,
    T,
    "V1 C B B B B C",
    { V1: v1, C: ch, B: br },
  ],
  [
    "indent verses, flush chorus label 'CHORUS-'",
    `Leave a Light On\n\n    ${L(v1).replace(/\n/g, "\n    ")}\n\nCHORUS-\n${L(ch)}\n\n    ${L(v2).replace(/\n/g, "\n    ")}\n\nCHORUS-`,
    T,
    "V1 C V2 C",
    std,
  ],
  [
    "german chords & Vers",
    `Lass ein Licht an\nText und Musik: Ilse Tarrow 2014\n\nVers 1\nG        D\nLass ein Licht an für die Späten\nem       C\nfür die ohne Weg\n\nRefrain\nC        G\nOh, lass ein Licht an\nH7       em\nlass ein Licht an heut Nacht\n\nVers 2\nLass den Stuhl frei an dem Fenster\nstell die Tasse ans Feuer\n\nRefrain 2x`,
    "Lass ein Licht an",
    "V1 R V2 R R",
    {
      V1: "Lass ein Licht an für die Späten|für die ohne Weg",
      R: "Oh, lass ein Licht an|lass ein Licht an heut Nacht",
      V2: "Lass den Stuhl frei an dem Fenster|stell die Tasse ans Feuer",
    },
  ],
  [
    "polish web",
    `Zostaw światło - tekst piosenki\n\n[Zwrotka 1]\nZostaw światło dla spóźnionych\nDla tych, co zgubili drogę\n\n[Refren]\nO, zostaw światło\nZostaw światło tej nocy\n\n[Zwrotka 2]\nZostaw miejsce przy oknie\nI kubek obok ognia\n\n[Refren] x2`,
    "Zostaw światło",
    "V1 C V2 C C",
    {
      V1: "Zostaw światło dla spóźnionych|Dla tych, co zgubili drogę",
      C: "O, zostaw światło|Zostaw światło tej nocy",
      V2: "Zostaw miejsce przy oknie|I kubek obok ognia",
    },
  ],
  [
    "italian mail",
    `Ciao Bram,\n\necco il canto per domenica:\n\nLascia una luce\n\nStrofa 1\nLascia una luce per chi tarda\nper chi ha perso la via\n\nRit.\nOh, lascia una luce\nlascia una luce stasera\n\nStrofa 2\nLascia un posto alla finestra\nuna tazza accanto al fuoco\n\nRit.\n\nUn abbraccio,\nIlse`,
    "Lascia una luce",
    "V1 R V2 R",
    {
      V1: "Lascia una luce per chi tarda|per chi ha perso la via",
      R: "Oh, lascia una luce|lascia una luce stasera",
      V2: "Lascia un posto alla finestra|una tazza accanto al fuoco",
    },
  ],
  [
    "hebrew web",
    `השאירו אור מילים\n\nבית 1:\nהשאירו אור למאחרים\nלאלה שאבדו בדרך\n\nפזמון:\nהשאירו אור\nהשאירו אור הלילה\n\nבית 2:\nהשאירו כיסא ליד החלון\nוכוס ליד האש\n\nפזמון`,
    "השאירו אור",
    "V1 C V2 C",
    {
      V1: "השאירו אור למאחרים|לאלה שאבדו בדרך",
      C: "השאירו אור|השאירו אור הלילה",
      V2: "השאירו כיסא ליד החלון|וכוס ליד האש",
    },
  ],
  [
    "chinese trad w/ numbers",
    `留一盞燈\n\n1.\n為晚歸的人留一盞燈\n為迷路的人\n\n副歌\n留一盞燈\n今晚留一盞燈\n\n2.\n在窗邊留一個座位\n在火邊留一杯茶\n\n副歌`,
    "留一盞燈",
    "V1 C V2 C",
    {
      V1: "為晚歸的人留一盞燈|為迷路的人",
      C: "留一盞燈|今晚留一盞燈",
      V2: "在窗邊留一個座位|在火邊留一杯茶",
    },
  ],
  [
    "scripture ref under title",
    `Leave a Light On\n(Matthew 5:14-16)\n\nVerse 1\n${L(v1)}\n\nChorus\n${L(ch)}`,
    T,
    "V1 C",
    { V1: v1, C: ch },
  ],
  [
    "verse heading w/ 'Verse 1:' and chord names inline uppercase no brackets? ",
    `Leave a Light On\n\nVerse 1: (quietly)\n${L(v1)}\n\nChorus: (everyone!)\n${L(ch)}\n\nVerse 2: (girls)\n${L(v2)}\n\nChorus: (x2)`,
    T,
    "V1 C V2 C C",
    std,
  ],
  [
    "ending 'Fine' / 'End on chorus'",
    `Leave a Light On\n\nVerse 1\n${L(v1)}\n\nChorus\n${L(ch)}\n\nVerse 2\n${L(v2)}\n\nEnd on chorus`,
    T,
    "V1 C V2 C",
    std,
  ],
  [
    "back to chorus then bridge",
    `Leave a Light On\n\nV1\n${L(v1)}\n\nC\n${L(ch)}\n\nV2\n${L(v2)}\n\nBack to Chorus\n\nB\n${L(br)}\n\nBack to chorus x2`,
    T,
    "V1 C V2 C B C C",
    { ...std, B: br },
  ],
  [
    "verse 1 & 2 share chorus with 'Chorus after each verse'",
    `Leave a Light On\n\n1. ${L(v1)}\n\n2. ${L(v2)}\n\nChorus (after each verse):\n${L(ch)}`,
    T,
    "V1 C V2 C",
    std,
  ],
];

export const ROUND_SIX = fromRows(ROWS);
