// Data: songs that the reader had not seen when they were written: 15 of 30 were right at first. All words are ours.

import { fromRows, type SongRow } from "./rows.ts";

const v1 =
  "There is a well at the end of the lane|Where the children drop their stones|And they listen for the answer|In the water and the bones";
const v2 =
  "There is a bell at the top of the hill|That was rung when the ships went down|And it still has a word for the living|In the streets of the sleeping town";
const ch = "Ring, ring, old bell|Ring me home again|Ring, ring, old bell|Through the wind and rain";
const br = "And I will answer, I will answer|I will answer when you call";
const L = (w: string, i = "") =>
  w
    .split("|")
    .map((l) => i + l)
    .join("\n");
const std = { V1: v1, C: ch, V2: v2 };
const T = "Old Bell";

const ROWS: readonly SongRow[] = [
  [
    "email 1",
    `Hi Bram\n\nCould you put this one in for Sunday please? Its called Old Bell\n\nVerse 1\n${L(v1)}\n\nChorus\n${L(ch)}\n\nVerse 2\n${L(v2)}\n\nChorus\n\nBridge x2\n${L(br)}\n\nChorus\n\nMany thanks\nIlse\n07700 900123`,
    T,
    "V1 C V2 C B B C",
    { ...std, B: br },
  ],
  [
    "email 2 inline title",
    `Bram - words for OLD BELL below. Sing chorus twice at end.\n\n1\n${L(v1)}\n\nCh\n${L(ch)}\n\n2\n${L(v2)}\n\nCh x 2`,
    "OLD BELL",
    "V1 C V2 C C",
    std,
  ],
  [
    "web lyrics page",
    `Home > Songs > O > Old Bell\n\nOld Bell Lyrics\nIlse Tarrow\n\n[Verse 1]\n${L(v1)}\n\n[Chorus]\n${L(ch)}\n\n[Verse 2]\n${L(v2)}\n\n[Chorus]\n\nYou might also like\nEmbed`,
    T,
    "V1 C V2 C",
    std,
  ],
  [
    "web hymn",
    `Old Bell\nAuthor: Ilse Tarrow (1891)\nTune: HILLTOP\n\n1 ${L(v1)}\n\nRefrain:\n${L(ch)} [Refrain]\n\n2 ${L(v2)} [Refrain]`,
    T,
    "V1 R V2 R",
    { V1: v1, R: ch, V2: v2 },
  ],
  [
    "old file dos caps",
    `OLD BELL\r\n========\r\n\r\nVERSE 1:\r\n${L(v1).replace(/\n/g, "\r\n")}\r\n\r\nCHORUS:\r\n${L(ch).replace(/\n/g, "\r\n")}\r\n\r\nVERSE 2:\r\n${L(v2).replace(/\n/g, "\r\n")}\r\n\r\n(CHORUS)\r\n\x1a`,
    T.toUpperCase(),
    "V1 C V2 C",
    std,
  ],
  [
    "word doc: chorus italics lost, 2 spaces indent",
    `${T}\n\n${L(v1)}\n\n  Chorus:\n  ${L(ch).replace(/\n/g, "\n  ")}\n\n${L(v2)}\n\n  Chorus`,
    T,
    "V1 C V2 C",
    std,
  ],
  [
    "chord chart w/ title key on one line",
    `Old Bell            Key: D       72bpm\nIlse Tarrow\n\nV1:\nD                G\nThere is a well at the end of the lane\nBm              A\nWhere the children drop their stones\nD             G\nAnd they listen for the answer\nBm      A      D\nIn the water and the bones\n\nCh:\nG      D\nRing, ring, old bell\nA        Bm\nRing me home again\nG      D\nRing, ring, old bell\nA            D\nThrough the wind and rain`,
    T,
    "V1 C",
    { V1: v1, C: ch },
  ],
  [
    "pdf copy: hyphens & page footer",
    `Old Bell\nIlse Tarrow\nVerse 1\n${L(v1)}\nChorus\n${L(ch)}\nCopyright © 2012 Net Loft Music. All rights reserved.\nPage 1 of 2\nOld Bell – Page 2\nVerse 2\n${L(v2)}\nChorus`,
    T,
    "V1 C V2 C",
    std,
  ],
  [
    "bullets list",
    `Old Bell\n\n• Verse 1\n${L(v1)}\n\n• Chorus\n${L(ch)}\n\n• Verse 2\n${L(v2)}\n\n• Chorus`,
    T,
    "V1 C V2 C",
    std,
  ],
  [
    "written out of a chat",
    `[20/11/2026, 19:02] Ilse: *Old Bell*\n\n_Verse 1_\n${L(v1)}\n\n_Chorus_\n${L(ch)}\n\n_Verse 2_\n${L(v2)}\n\n_Chorus_`,
    T,
    "V1 C V2 C",
    std,
  ],
  [
    "labels with key of sections (D)",
    `Old Bell\n\nVerse 1 [D]\n${L(v1)}\n\nChorus [G]\n${L(ch)}\n\nVerse 2 [D]\n${L(v2)}\n\nChorus [G]`,
    T,
    "V1 C V2 C",
    std,
  ],
  [
    "chorus: repeat sign text",
    `Old Bell\n\n1. ${L(v1)}\n\nChorus:\n${L(ch)}\n\n2. ${L(v2)}\n\nRepeat chorus\n\nRepeat verse 1\n\nChorus (twice)`,
    T,
    "V1 C V2 C V1 C C",
    std,
  ],
  [
    "numbers with dot and trailing chorus in parens text",
    `Old Bell\n\n1. ${L(v1)}\n(Chorus)\n\n2. ${L(v2)}\n(Chorus)\n\nChorus:\n${L(ch)}`,
    T,
    "V1 C V2 C",
    std,
  ],
  [
    "labels after words? section end marks",
    `Old Bell\n\nVerse 1\n${L(v1)}\n\nChorus\n${L(ch)}\n\nVerse 2\n${L(v2)}\n\nChorus\n\nTag: Through the wind and rain (x3)`,
    T,
    "V1 C V2 C T",
    { ...std, T: "Through the wind and rain|Through the wind and rain|Through the wind and rain" },
  ],
  [
    "upper-case labels w/o colon and tiny words",
    `Old Bell\n\nINTRO\n\nVERSE\n${L(v1)}\n\nCHORUS\n${L(ch)}\n\nTURN\n\nVERSE\n${L(v2)}\n\nCHORUS\n\nEND`,
    T,
    "V1 C V2 C",
    std,
  ],
  [
    "spanish mail",
    `Hola Bram,\n\nTe mando la letra para el domingo:\n\nCampana vieja\n\nEstrofa 1\nHay un pozo al final del camino\ndonde caen las piedras\n\nCoro\nSuena, suena, campana\nllévame a casa\n\nEstrofa 2\nHay una campana en la colina\nque suena todavía\n\nCoro x2\n\nUn abrazo,\nIlse`,
    "Campana vieja",
    "V1 C V2 C C",
    {
      V1: "Hay un pozo al final del camino|donde caen las piedras",
      C: "Suena, suena, campana|llévame a casa",
      V2: "Hay una campana en la colina|que suena todavía",
    },
  ],
  [
    "portuguese mail",
    `Oi pessoal,\n\nSegue a música de domingo:\n\nSino velho\n\n1. Há um poço no fim do caminho\nonde caem as pedras\n\nRefrão:\nToca, toca, velho sino\nleva-me ao lar\n\n2. Há um sino na colina\nque ainda toca\n\nRefrão (2x)\n\nAbraços,\nIlse`,
    "Sino velho",
    "V1 C V2 C C",
    {
      V1: "Há um poço no fim do caminho|onde caem as pedras",
      C: "Toca, toca, velho sino|leva-me ao lar",
      V2: "Há um sino na colina|que ainda toca",
    },
  ],
  [
    "french mail",
    `Bonjour à tous,\n\nVoici le chant pour dimanche :\n\nVieille cloche\n\nCouplet 1\nIl y a un puits au bout du chemin\nOù tombent les pierres\n\nRefrain\nSonne, sonne, vieille cloche\nRamène-moi chez moi\n\nCouplet 2\nIl y a une cloche sur la colline\nQui sonne encore\n\nRefrain\n\nBien cordialement,\nIlse`,
    "Vieille cloche",
    "V1 R V2 R",
    {
      V1: "Il y a un puits au bout du chemin|Où tombent les pierres",
      R: "Sonne, sonne, vieille cloche|Ramène-moi chez moi",
      V2: "Il y a une cloche sur la colline|Qui sonne encore",
    },
  ],
  [
    "russian mail",
    `Привет!\n\nВот песня на воскресенье:\n\nСтарый колокол\n\n1. Есть колодец в конце дороги\nГде дети бросают камни\n\nПрипев:\nЗвени, звени, колокол\nВеди меня домой\n\n2. Есть колокол на вершине\nОн всё ещё звонит\n\nПрипев\n\nСпасибо,\nИльза`,
    "Старый колокол",
    "V1 C V2 C",
    {
      V1: "Есть колодец в конце дороги|Где дети бросают камни",
      C: "Звени, звени, колокол|Веди меня домой",
      V2: "Есть колокол на вершине|Он всё ещё звонит",
    },
  ],
  [
    "korean web",
    `오래된 종 가사\n\n[Verse 1]\n길 끝에 우물이 있네\n아이들이 돌을 던지네\n\n[Chorus]\n울려라 오래된 종\n나를 집으로\n\n[Verse 2]\n언덕 위에 종이 있네\n아직도 울리네\n\n[Chorus]`,
    "오래된 종",
    "V1 C V2 C",
    {
      V1: "길 끝에 우물이 있네|아이들이 돌을 던지네",
      C: "울려라 오래된 종|나를 집으로",
      V2: "언덕 위에 종이 있네|아직도 울리네",
    },
  ],
  [
    "verse labels only on some",
    `Old Bell\n\nVerse 1\n${L(v1)}\n\nChorus\n${L(ch)}\n\nVerse 2\n${L(v2)}\n\n${L(ch)}\n\nBridge\n${L(br)}\n\n${L(ch)}`,
    T,
    "V1 C V2 C B C",
    { ...std, B: br },
  ],
  [
    "extra spaces & double blank",
    `\n\n\n   Old Bell   \n\n\n   Verse   1  \n\n   ${L(v1).replace(/\n/g, "  \n   ")}\n\n\n   Chorus   \n\n   ${L(ch).replace(/\n/g, "  \n   ")}\n\n\n   Verse   2 \n\n   ${L(v2).replace(/\n/g, "  \n   ")}\n\n\n   Chorus  \n\n`,
    T,
    "V1 C V2 C",
    std,
  ],
  [
    "title in caps with parens alt title",
    `OLD BELL (Ring Me Home)\n\n${L(v1)}\n\n${L(ch)}\n\n${L(v2)}\n\n${L(ch)}`,
    "OLD BELL (Ring Me Home)",
    "V1 C V2 C",
    std,
  ],
  [
    "all lower no labels",
    `old bell\n\n${L(v1).toLowerCase()}\n\n${L(ch).toLowerCase()}\n\n${L(v2).toLowerCase()}\n\n${L(ch).toLowerCase()}`,
    "old bell",
    "V1 C V2 C",
    { V1: v1.toLowerCase(), C: ch.toLowerCase(), V2: v2.toLowerCase() },
  ],
  [
    "no title; no labels",
    `${L(v1)}\n\n${L(ch)}\n\n${L(v2)}\n\n${L(ch)}`,
    "There is a well at the end of the lane",
    "V1 C V2 C",
    std,
  ],
  [
    "labels then dash words",
    `Old Bell\n\nV1 - There is a well at the end of the lane\nWhere the children drop their stones\nAnd they listen for the answer\nIn the water and the bones\n\nCH - Ring, ring, old bell\nRing me home again\nRing, ring, old bell\nThrough the wind and rain\n\nV2 - There is a bell at the top of the hill\nThat was rung when the ships went down\nAnd it still has a word for the living\nIn the streets of the sleeping town\n\nCH`,
    T,
    "V1 C V2 C",
    std,
  ],
  [
    "chorus 1 & chorus twice label",
    `Old Bell\n\nVerse One:\n${L(v1)}\n\nChorus: (sing twice)\n${L(ch)}\n\nVerse Two:\n${L(v2)}\n\nChorus: (sing twice)`,
    T,
    "V1 C C V2 C C",
    std,
  ],
  [
    "csv-like cell paste with quotes",
    `"Old Bell\n\nVerse 1\n${L(v1)}\n\nChorus\n${L(ch)}"`,
    T,
    "V1 C",
    { V1: v1, C: ch },
  ],
  [
    "names, copyright and terms right under the last line",
    `Old Bell\nVerse 1\n${L(v1)}\nChorus\n${L(ch)}\nIlse Tarrow | Bram Oske\n© 2012 Net Loft Music (Admin. by Quay Songs)\nFor use solely with the venue's terms. All rights reserved.\nLicence No. 123456`,
    T,
    "V1 C",
    { V1: v1, C: ch },
  ],
];

export const ROUND_FIVE = fromRows(ROWS);
