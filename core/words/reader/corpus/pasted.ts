// Data: songs as people paste them, and what each must become. All words are ours.

export interface PastedSong {
  /** How it came. */
  readonly name: string;
  readonly text: string;
  readonly title: string;
  /** As sung: "V1 C V2 C". */
  readonly order: string;
  /** Each section's lines, stanzas joined, parted by "|". */
  readonly words: Readonly<Record<string, string>>;
  readonly writers?: string;
  readonly publisher?: string;
  readonly year?: string;
  readonly number?: string;
  readonly publicDomain?: boolean;
}

/** Lines that most of these songs are made of. */
const A = "When the lamps are low|and the tide is in";
const B = "When the nets are dry|and the boats are home";
const C = "Carry it down to the water|carry it home";
const D = "Hold the line, hold the light|till the morning";
const both = { V1: A, C, V2: B };
const lines = (words: string, indent = "") =>
  words
    .split("|")
    .map((line) => indent + line)
    .join("\n");
const a = lines(A);
const b = lines(B);
const c = lines(C);
const d = lines(D);

export const PASTED_SONGS: readonly PastedSong[] = [
  {
    name: "plain labels, title, authors under it",
    text: `Lamp on the Quay\nIlse Tarrow and Bram Oske\n\nVerse 1\n${a}\n\nChorus\n${c}\n\nVerse 2\n${b}\n\nChorus\n\nBridge\n${d}\n\nChorus`,
    title: "Lamp on the Quay",
    order: "V1 C V2 C B C",
    words: { ...both, B: D },
    writers: "Ilse Tarrow and Bram Oske",
  },
  {
    name: "title and words only, no labels",
    text: `Lamp on the Quay\n\n${a}\n\n${c}\n\n${b}\n\n${c}\n`,
    title: "Lamp on the Quay",
    order: "V1 C V2 C",
    words: both,
  },
  {
    name: "from a phone, small letters, labels without capitals",
    text: `lamp on the quay\n\nverse 1\n${a}\n\nchorus x2\n${c}\n\nverse 2\n${b}\n\nchorus\n`,
    title: "lamp on the quay",
    order: "V1 C C V2 C",
    words: both,
  },
  {
    name: "verse … CHORUS x2 … 2.",
    text: `hey ilse,\nhere's the song for sunday:\n\nlamp on the quay\n\nverse 1\n${a}\n\nCHORUS x2\n${c}\n\n2.\n${b}\n\nchorus\n\nSent from my phone`,
    title: "lamp on the quay",
    order: "V1 C C V2 C",
    words: both,
  },
  {
    name: "a mail whose writer signs on the line that closes it",
    text: `hey bram,\nhere's the song for sunday:\n\nlamp on the quay\n\nv1\n${a}\n\nchorus\n${c}\n\n2.\n${b}\n\nchorus x2\n\ncheers, ilse`,
    title: "lamp on the quay",
    order: "V1 C V2 C C",
    words: both,
  },
  {
    name: "numbers at the head of verses, refrain in between",
    text: `Lamp on the Quay\n\n1. ${a}\n\nRefrain:\n${c}\n\n2. ${b}\n\nRefrain\n\n3. ${d}\n\nRefrain\n`,
    title: "Lamp on the Quay",
    order: "V1 R V2 R V3 R",
    words: { V1: A, R: C, V2: B, V3: D },
  },
  {
    name: "hymn: refrain unlabelled after the first verse",
    text: `Lamp on the Quay\n\n1 ${a}\n\n${c}\n\n2 ${b}\n\n3 ${d}\n\nWords: Ilse Tarrow, 1891. Public domain.`,
    title: "Lamp on the Quay",
    order: "V1 R V2 V3",
    words: { V1: A, R: C, V2: B, V3: D },
    writers: "Words: Ilse Tarrow, 1891",
    publicDomain: true,
  },
  {
    name: "hymn: refrain typed out and indented after each verse",
    text: `1. ${a}\n\n${lines(C, "    ")}\n\n2. ${b}\n\n${lines(C, "    ")}\n`,
    title: "When the lamps are low",
    order: "V1 R V2 R",
    words: { V1: A, R: C, V2: B },
  },
  {
    name: "square brackets with who sings and how",
    text: `[Verse 1: all]\n${a}\n\n[Chorus (softly)]\n${c}\n\n[Verse 2: Ilse]\n${b}\n\n[Chorus x2]\n${c}\n`,
    title: "When the lamps are low",
    order: "V1 C V2 C C",
    words: both,
  },
  {
    name: "a web page: furniture, embed count, brackets",
    text: `Lamp on the Quay Lyrics\n\n[Verse 1]\n${a}\n\n[Chorus]\n${c}\n\nYou might also like\n\n[Verse 2]\n${b}\n\n[Chorus]\n${c}\n\n12Embed\nShare\nhttps://example.org/lamp`,
    title: "Lamp on the Quay",
    order: "V1 C V2 C",
    words: both,
  },
  {
    name: "code of a web page",
    text: `<h2>Lamp on the Quay</h2><p><b>Verse 1</b><br>When the lamps are low<br>and the tide is in</p>\n<p><b>Chorus</b><br>Carry it down to the water<br>carry it home</p>`,
    title: "Lamp on the Quay",
    order: "V1 C",
    words: { V1: A, C },
  },
  {
    name: "Markdown",
    text: `# Lamp on the Quay\n\n**Verse 1**\n${a}\n\n**Chorus**\n${c}\n\n**Verse 2**\n${b}\n\n**Chorus**\n`,
    title: "Lamp on the Quay",
    order: "V1 C V2 C",
    words: both,
  },
  {
    name: "short letters with numbers",
    text: `LAMP ON THE QUAY\n\nV1\n${a}\n\nC\n${c}\n\nV2\n${b}\n\nC\n\nB\n${d}\n\nC`,
    title: "LAMP ON THE QUAY",
    order: "V1 C V2 C B C",
    words: { ...both, B: D },
  },
  {
    name: "labels with words behind them",
    text: `V1: ${a}\n\nC: ${c}\n\nV2: ${b}\n\nC`,
    title: "When the lamps are low",
    order: "V1 C V2 C",
    words: both,
  },
  {
    name: "one long line with strokes",
    text: `When the lamps are low / and the tide is in // Carry it down to the water / carry it home // When the nets are dry / and the boats are home // Carry it down to the water / carry it home`,
    title: "When the lamps are low",
    order: "V1 C V2 C",
    words: both,
  },
  {
    name: "an order line under the title",
    text: `Lamp on the Quay\nOrder: V1, C, V2, C, B, C x2\nKey: G   Tempo: 72\n\nVerse 1\n${a}\n\nVerse 2\n${b}\n\nChorus\n${c}\n\nBridge\n${d}`,
    title: "Lamp on the Quay",
    order: "V1 C V2 C B C C",
    words: { ...both, B: D },
  },
  {
    name: "an order in words with hyphens at the end",
    text: `Verse 1\n${a}\n\nVerse 2\n${b}\n\nChorus\n${c}\n\nSequence: Verse 1 - Chorus - Verse 2 - Chorus`,
    title: "When the lamps are low",
    order: "V1 C V2 C",
    words: both,
  },
  {
    name: "repeats in words",
    text: `Lamp on the Quay\n\nVerse 1\n${a}\n\nChorus\n${c}\n\nVerse 2\n${b}\n\nRepeat chorus twice\n\nBridge\n${d}\n\n(back to verse 1)\n\n(Chorus)`,
    title: "Lamp on the Quay",
    order: "V1 C V2 C C B V1 C",
    words: { ...both, B: D },
  },
  {
    name: "chords over the words",
    text: `Lamp on the Quay\n\nVerse 1\nG            D/F#\nWhen the lamps are low\nEm7        C2\nand the tide is in\n\nChorus\nC       G         D\nCarry it down to the water\nAm7   D\ncarry it home\n\nVerse 2\nG          D/F#\nWhen the nets are dry\nEm7    C2\nand the boats are home`,
    title: "Lamp on the Quay",
    order: "V1 C V2",
    words: both,
  },
  {
    name: "chords in brackets, intro and capo",
    text: `Lamp on the Quay\nCapo 3\n\nIntro: G  C  G  D\n\nVerse 1\nWhen the [G]lamps are [D]low\n[Em]and the tide is [C]in\n\nChorus\n[C]Carry it [G]down to the [D]water\n[Am]carry it home`,
    title: "Lamp on the Quay",
    order: "V1 C",
    words: { V1: A, C },
  },
  {
    name: "German chords, German labels",
    text: `Licht am Kai\nText: Ilse Tarrow, Melodie: Bram Oske\n\n1. Strophe\nC        Fis   h\nWenn die Lampen leiser werden\na       E7    a\nund die Flut steht still\n\nRefrain\nF       B       C\nTragt es hinab zum Wasser\n\n2. Strophe\nC      G7\nWenn die Netze trocken liegen\n\nRefrain`,
    title: "Licht am Kai",
    order: "V1 R V2 R",
    words: {
      V1: "Wenn die Lampen leiser werden|und die Flut steht still",
      R: "Tragt es hinab zum Wasser",
      V2: "Wenn die Netze trocken liegen",
    },
    writers: "Text: Ilse Tarrow · Melodie: Bram Oske",
  },
  {
    name: "Spanish with chords by their names",
    text: `La lámpara del muelle\nLetra y música: Ilse Tarrow\n\nEstrofa I\nDo           Sol7\nCuando baja la lámpara\nLam        Fa\ny la marea subió\n\nCORO (bis)\nFa       Do    Sol\nLlévala hasta el agua\n\nEstrofa II\nDo       Sol\nCuando secan las redes\n\nCoro`,
    title: "La lámpara del muelle",
    order: "V1 C C V2 C",
    words: {
      V1: "Cuando baja la lámpara|y la marea subió",
      C: "Llévala hasta el agua",
      V2: "Cuando secan las redes",
    },
    writers: "Letra y música: Ilse Tarrow",
  },
  {
    name: "tablature between the verses",
    text: `Verse 1\n${a}\n\ne|--3---2---0-----|\nB|--0---3---1-----|\nG|--0---2---0-----|\nD|--0---0---2-----|\nA|--2-------3-----|\nE|--3-------------|\n\nChorus\n${c}`,
    title: "When the lamps are low",
    order: "V1 C",
    words: { V1: A, C },
  },
  {
    name: "bars of chords",
    text: `Verse 1\n${a}\n\nInstrumental\n| G / / / | D / / / | Em7 / / / | C / D / |\n\nChorus\n${c}\n| C | G D | G |`,
    title: "When the lamps are low",
    order: "V1 C",
    words: { V1: A, C },
  },
  {
    name: "a sung alphabet is no line of chords",
    text: `Letters on the Quay\n\nVerse 1\nA B C D E F G\nH I J K L M N\nletters painted on the wall\n\nChorus\n${c}`,
    title: "Letters on the Quay",
    order: "V1 C",
    words: { V1: "A B C D E F G|H I J K L M N|letters painted on the wall", C },
  },
  {
    name: "la la la is sung",
    text: `Verse 1\n${a}\n\nChorus\nLa la la la\nla la la\n\nVerse 2\n${b}\n\nChorus`,
    title: "When the lamps are low",
    order: "V1 C V2 C",
    words: { V1: A, C: "La la la la|la la la", V2: B },
  },
  {
    name: "lines sung twice",
    text: `Verse 1\n${a}\n\nChorus\nCarry it down to the water (x2)\ncarry it home (2x)`,
    title: "When the lamps are low",
    order: "V1 C",
    words: { V1: A, C: "Carry it down to the water|Carry it down to the water|carry it home|carry it home" },
  },
  {
    name: "repeat marks",
    text: `Vers 1\n${a}\n\nRefräng\n|: Carry it down to the water\ncarry it home :|`,
    title: "When the lamps are low",
    order: "V1 C",
    words: { V1: A, C: "Carry it down to the water|carry it home|Carry it down to the water|carry it home" },
  },
  {
    name: "a count alone under the chorus",
    text: `Verse 1\n${a}\n\nChorus\n${c}\n(x3)\n\nVerse 2\n${b}`,
    title: "When the lamps are low",
    order: "V1 C C C V2",
    words: both,
  },
  {
    name: "a last chorus in other words",
    text: `Verse 1\n${a}\n\nChorus\n${c}\n\nVerse 2\n${b}\n\nChorus\nCarry it down to the harbour\ncarry it home`,
    title: "When the lamps are low",
    order: "V1 C V2 C2",
    words: { ...both, C2: "Carry it down to the harbour|carry it home" },
  },
  {
    name: "a mail, quoted",
    text: `On Tue, 3 Feb 2026 at 10:12, Bram wrote:\n> Lamp on the Quay\n>\n> Verse 1\n> When the lamps are low\n> and the tide is in\n>\n> Chorus\n> Carry it down to the water\n> carry it home\n>\n> Cheers,\n> Bram\n`,
    title: "Lamp on the Quay",
    order: "V1 C",
    words: { V1: A, C },
  },
  {
    name: "bullets",
    text: `Lamp on the Quay\n\nVerse 1\n• When the lamps are low\n• and the tide is in\n\nChorus\n- Carry it down to the water\n- carry it home`,
    title: "Lamp on the Quay",
    order: "V1 C",
    words: { V1: A, C },
  },
  {
    name: "rules and page numbers",
    text: `LAMP ON THE QUAY\n=================\n\nVerse 1\n${a}\n\n-----------\nPage 1 of 2\n\nChorus\n${c}\n\n* * *\n\n- 2 -`,
    title: "LAMP ON THE QUAY",
    order: "V1 C",
    words: { V1: A, C },
  },
  {
    name: "every line a blank line apart",
    text: `When the lamps are low\n\nand the tide is in\n\n\nCarry it down to the water\n\ncarry it home\n\n\nWhen the nets are dry\n\nand the boats are home\n\n\nCarry it down to the water\n\ncarry it home`,
    title: "When the lamps are low",
    order: "V1 C V2 C",
    words: both,
  },
  {
    name: "credits in one line at the end",
    text: `Lamp on the Quay\n\nVerse 1\n${a}\n\nChorus\n${c}\n\nWords and Music by Ilse Tarrow and Bram Oske. © 1998 Net Loft Press. ABCD Song No. 40118. All rights reserved. ABCD Licence No. 99887`,
    title: "Lamp on the Quay",
    order: "V1 C",
    words: { V1: A, C },
    writers: "Words and Music by Ilse Tarrow and Bram Oske",
    publisher: "Net Loft Press",
    year: "1998",
    number: "40118",
  },
  {
    name: "credits over several lines, licence of the venue among them",
    text: `Lamp on the Quay\n\nVerse 1\n${a}\n\nChorus\n${c}\n\nABCD Song # 40118\nIlse Tarrow | Bram Oske\n© 1998 Net Loft Press\nFor use solely under the terms of the licence\nABCD License # 99887`,
    title: "Lamp on the Quay",
    order: "V1 C",
    words: { V1: A, C },
    publisher: "Net Loft Press",
    year: "1998",
    number: "40118",
    writers: "Ilse Tarrow · Bram Oske",
  },
  {
    name: "translator, traditional tune",
    text: `Lamp on the Quay\n\n1. ${a}\n\n2. ${b}\n\nText: Ilse Tarrow (1841–1902)\nTune: Traditional\nTranslation: Bram Oske\n© 2004 Net Loft Press`,
    title: "Lamp on the Quay",
    order: "V1 V2",
    words: { V1: A, V2: B },
    writers: "Text: Ilse Tarrow (1841–1902) · Tune: Traditional · Translation: Bram Oske",
    publisher: "Net Loft Press",
    year: "2004",
  },
  {
    name: "title in the text says so",
    text: `Title: Lamp on the Quay\nArtist: Merrow Quay Singers\nKey: D\n\nVerse 1:\n${a}\n\nPre-Chorus:\n${d}\n\nChorus:\n${c}`,
    title: "Lamp on the Quay",
    order: "V1 P C",
    words: { V1: A, P: D, C },
    writers: "Artist: Merrow Quay Singers",
  },
  {
    name: "title in quotes, right above the words, numbered",
    text: `“Lamp on the Quay”\n1) ${a}\n\n2) ${b}`,
    title: "Lamp on the Quay",
    order: "V1 V2",
    words: { V1: A, V2: B },
  },
  {
    name: "roman numbers",
    text: `Lamp on the Quay\n\nI.\n${a}\n\nII.\n${b}\n\nIII.\n${d}`,
    title: "Lamp on the Quay",
    order: "V1 V2 V3",
    words: { V1: A, V2: B, V3: D },
  },
  {
    name: "verses spelt out",
    text: `Verse One\n${a}\n\nChorus\n${c}\n\nVerse Two\n${b}\n\nChorus`,
    title: "When the lamps are low",
    order: "V1 C V2 C",
    words: both,
  },
  {
    name: "first and second verse",
    text: `1st Verse\n${a}\n\nChorus\n${c}\n\n2nd Verse\n${b}\n\nRepeat Chorus`,
    title: "When the lamps are low",
    order: "V1 C V2 C",
    words: both,
  },
  {
    name: "Verse without numbers",
    text: `Verse\n${a}\n\nChorus\n${c}\n\nVerse\n${b}\n\nChorus\n${c}`,
    title: "When the lamps are low",
    order: "V1 C V2 C",
    words: both,
  },
  {
    name: "labels right under the words before, no blank lines at all",
    text: `Lamp on the Quay\nVerse 1\n${a}\nChorus\n${c}\nVerse 2\n${b}\nChorus\n${c}`,
    title: "Lamp on the Quay",
    order: "V1 C V2 C",
    words: both,
  },
  {
    name: "a label, a blank line, its words",
    text: `Verse 1\n\n${a}\n\nChorus\n\n${c}\n\nVerse 2\n\n${b}\n\nChorus\n\n${c}`,
    title: "When the lamps are low",
    order: "V1 C V2 C",
    words: both,
  },
  {
    name: "French",
    text: `La lampe du quai\nParoles et musique : Ilse Tarrow\n\nCouplet 1\nQuand la lampe est basse\net que monte la mer\n\nRefrain (x2)\nPortez-la jusqu’à l’eau\n\nCouplet 2\nQuand les filets sont secs\n\nAu refrain`,
    title: "La lampe du quai",
    order: "V1 R R V2 R",
    words: {
      V1: "Quand la lampe est basse|et que monte la mer",
      R: "Portez-la jusqu’à l’eau",
      V2: "Quand les filets sont secs",
    },
    writers: "Paroles et musique : Ilse Tarrow",
  },
  {
    name: "Portuguese",
    text: `A lâmpada do cais\n\nEstrofe 1\nQuando a lâmpada desce\n\nRefrão\nLeva até a água\n\nEstrofe 2\nQuando secam as redes\n\nRefrão\n\nPonte\nSegura a luz\n\nRefrão (2x)`,
    title: "A lâmpada do cais",
    order: "V1 C V2 C B C C",
    words: {
      V1: "Quando a lâmpada desce",
      C: "Leva até a água",
      V2: "Quando secam as redes",
      B: "Segura a luz",
    },
  },
  {
    name: "Italian",
    text: `La lampada del molo\n\nStrofa 1\nQuando la lampada scende\n\nRitornello\nPortala giù fino all’acqua\n\nStrofa 2\nQuando le reti sono asciutte\n\nRit.`,
    title: "La lampada del molo",
    order: "V1 R V2 R",
    words: {
      V1: "Quando la lampada scende",
      R: "Portala giù fino all’acqua",
      V2: "Quando le reti sono asciutte",
    },
  },
  {
    name: "Dutch and Polish words for the same",
    text: `Lamp op de kade\n\nCouplet 1\nAls de lampen laag zijn\n\nRefrein\nDraag het naar het water\n\nCouplet 2\nAls de netten droog zijn\n\nRefrein`,
    title: "Lamp op de kade",
    order: "V1 C V2 C",
    words: { V1: "Als de lampen laag zijn", C: "Draag het naar het water", V2: "Als de netten droog zijn" },
  },
  {
    name: "Polish",
    text: `Lampa na nabrzeżu\n\nZwrotka 1\nGdy lampy są nisko\n\nRef.\nZanieś ją do wody\n\nZwrotka 2\nGdy sieci są suche\n\nRef. x2`,
    title: "Lampa na nabrzeżu",
    order: "V1 R V2 R R",
    words: { V1: "Gdy lampy są nisko", R: "Zanieś ją do wody", V2: "Gdy sieci są suche" },
  },
  {
    name: "Russian",
    text: `Лампа на причале\n\nКуплет 1:\nКогда огни горят слабее\nи поднялась вода\n\nПрипев: (2 раза)\nНеси её к воде\n\nКуплет 2:\nКогда просохли сети\n\nПрипев.`,
    title: "Лампа на причале",
    order: "V1 C C V2 C",
    words: { V1: "Когда огни горят слабее|и поднялась вода", C: "Неси её к воде", V2: "Когда просохли сети" },
  },
  {
    name: "Ukrainian",
    text: `Лампа на причалі\n\n1. Коли вогні горять слабо\nі прибула вода\n\nПриспів:\nНеси її до води\n\n2. Коли просохли сіті\n\nПриспів`,
    title: "Лампа на причалі",
    order: "V1 C V2 C",
    words: { V1: "Коли вогні горять слабо|і прибула вода", C: "Неси її до води", V2: "Коли просохли сіті" },
  },
  {
    name: "Hebrew",
    text: `המנורה על הרציף\n\nבית 1\nכאשר האור נמוך\n\nפזמון\nשא אותה אל המים\n\nבית 2\nכאשר הרשתות יבשות\n\nפזמון`,
    title: "המנורה על הרציף",
    order: "V1 C V2 C",
    words: { V1: "כאשר האור נמוך", C: "שא אותה אל המים", V2: "כאשר הרשתות יבשות" },
  },
  {
    name: "Arabic",
    text: `مصباح الرصيف\n\nالمقطع ١\nعندما تخفت الأضواء\n\nالقرار:\nاحمله إلى الماء\n\nالمقطع ٢\nعندما تجف الشباك\n\nالقرار`,
    title: "مصباح الرصيف",
    order: "V1 C V2 C",
    words: { V1: "عندما تخفت الأضواء", C: "احمله إلى الماء", V2: "عندما تجف الشباك" },
  },
  {
    name: "Chinese",
    text: `码头上的灯\n词：林小河 曲：林小河\n\n第一节\n当灯光渐渐暗下\n潮水慢慢涨起\n\n副歌\n把它带到水边\n\n第二节\n当渔网都已晾干\n\n副歌`,
    title: "码头上的灯",
    order: "V1 C V2 C",
    words: { V1: "当灯光渐渐暗下|潮水慢慢涨起", C: "把它带到水边", V2: "当渔网都已晾干" },
  },
  {
    name: "Korean",
    text: `부두의 등불\n\n1절\n등불이 낮아질 때\n물결이 밀려오네\n\n후렴\n물가로 가져가요\n\n2절\n그물이 마를 때면\n\n(후렴)`,
    title: "부두의 등불",
    order: "V1 C V2 C",
    words: { V1: "등불이 낮아질 때|물결이 밀려오네", C: "물가로 가져가요", V2: "그물이 마를 때면" },
  },
  {
    name: "Japanese",
    text: `波止場のあかり\n\n1番\n灯りが低くなるころ\n潮は静かに満ちてくる\n\nサビ\n水辺まで運んでゆこう\n\n2番\n網がかわくころには\n\nサビ`,
    title: "波止場のあかり",
    order: "V1 C V2 C",
    words: {
      V1: "灯りが低くなるころ|潮は静かに満ちてくる",
      C: "水辺まで運んでゆこう",
      V2: "網がかわくころには",
    },
  },
  {
    name: "a chorus sung again by how it begins",
    text: `1. ${a}\n\nChorus:\n${c}\n\n2. ${b}\n\nChorus: Carry it down …`,
    title: "When the lamps are low",
    order: "V1 C V2 C",
    words: both,
  },
  {
    name: "da capo and dal segno",
    text: `Verse 1\n${a}\n\nChorus\n${c}\n\nVerse 2\n${b}\n\nD.S. al Fine`,
    title: "When the lamps are low",
    order: "V1 C V2 C",
    words: both,
  },
  {
    name: "a section of its own name, a tag, an ending",
    text: `[Verse 1]\n${a}\n\n[Chorus]\n${c}\n\n[Lantern Call]\n${d}\n\n[Tag]\ncarry it home, carry it home\n\n[Outro]\nHome`,
    title: "When the lamps are low",
    order: "V1 C S T E",
    words: { V1: A, C, S: D, T: "carry it home, carry it home", E: "Home" },
  },
  {
    name: "who sings stands before lines and alone",
    text: `Verse 1\n(Women)\nWhen the lamps are low\n(Men)\nand the tide is in\n\nChorus\nAll: Carry it down to the water\ncarry it home`,
    title: "When the lamps are low",
    order: "V1 C",
    words: { V1: A, C },
  },
  {
    name: "echoes in brackets are sung",
    text: `Verse 1\nWhen the lamps are low (so low)\n(and the tide is in)\n\nChorus\n${c}`,
    title: "When the lamps are low (so low)",
    order: "V1 C",
    words: { V1: "When the lamps are low (so low)|(and the tide is in)", C },
  },
  {
    name: "section words that are sung",
    text: `Verse 1\nBridge over the water, carry me\nverse by verse we climb the hill\n\nChorus\nChorus of voices over the bay\nin the end we sing`,
    title: "Bridge over the water, carry me",
    order: "V1 C",
    words: {
      V1: "Bridge over the water, carry me|verse by verse we climb the hill",
      C: "Chorus of voices over the bay|in the end we sing",
    },
  },
  {
    name: "a verse of two stanzas",
    text: `Verse 1\n${a}\n\n${d}\n\nChorus\n${c}\n\nVerse 2\n${b}`,
    title: "When the lamps are low",
    order: "V1 C V2",
    words: { V1: `${A}|${D}`, C, V2: B },
  },
  {
    name: "a list of three lines, each numbered",
    text: `Lamp on the Quay\n\n1.\n${a}\n\n2.\n${b}\n\n4.\n${d}`,
    title: "Lamp on the Quay",
    order: "V1 V2 V4",
    words: { V1: A, V2: B, V4: D },
  },
  {
    name: "title with its author behind it, heading style",
    text: `Lamp on the Quay by Ilse Tarrow\n\nVERSE 1\n${a}\n\nCHORUS\n${c}`,
    title: "Lamp on the Quay",
    order: "V1 C",
    words: { V1: A, C },
    writers: "Ilse Tarrow",
  },
  {
    name: "all in capitals",
    text: `LAMP ON THE QUAY\n\nVERSE 1\nWHEN THE LAMPS ARE LOW\nAND THE TIDE IS IN\n\nCHORUS\nCARRY IT DOWN TO THE WATER`,
    title: "LAMP ON THE QUAY",
    order: "V1 C",
    words: { V1: "WHEN THE LAMPS ARE LOW|AND THE TIDE IS IN", C: "CARRY IT DOWN TO THE WATER" },
  },
];
