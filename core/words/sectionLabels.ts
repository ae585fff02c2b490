/** What a section of a song is, and the words that people put above one in several languages. */
export interface SectionKind {
  readonly letter: string;
  readonly name: string;
  readonly words: readonly string[];
}

/** English, Spanish, Portuguese, French, German, Italian, Dutch, Swedish, Danish/Norwegian, Polish. */
const TABLE = `
V|Verse|verse v stanza strophe estrofa verso v couplet strophe strofa vers zwrotka estrofe
C|Chorus|chorus c ch coro cor choeur chœur chor chorus coro refrão refräng omkvæd
R|Refrain|refrain ref estribillo refrán kehrvers ritornello refrein refrao refren
P|Pre-chorus|pre-chorus prechorus pre-coro precoro pré-refrain pré-refrão pré-refrein vor-refrain prerefrain
B|Bridge|bridge br puente pont brücke bruecke ponte brug stick brygga bro mostek
I|Intro|intro introduction introducción introdução einleitung introduzione inledning wstęp
N|Interlude|interlude interludio interlúdio zwischenspiel tussenspel mellanspel mellemspil instrumental
T|Tag|tag coda etiqueta
E|Ending|ending end outro final schluss schluß fin fim finale slot slut avslutning zakończenie
`;
/** Names of more than one word. */
const LONGER: Readonly<Record<string, readonly string[]>> = {
  P: ["pre chorus", "pre coro"],
  B: ["middle eight"],
};

export const SECTION_KINDS: readonly SectionKind[] = TABLE.trim()
  .split("\n")
  .map((row) => {
    const [letter, name, words] = row.split("|") as [string, string, string];
    return { letter, name, words: [...new Set([...words.split(" "), ...(LONGER[letter] ?? [])])] };
  });

const KIND_BY_WORD = new Map(
  SECTION_KINDS.flatMap((kind) => kind.words.map((word) => [word, kind] as const)),
);

const LABEL =
  /^([\p{L}][\p{L}\- ]*?)\s*[.#]?\s*(\d{1,3})?\s*(?:[x×]\s*(\d)|\((?:[x×]\s*)?(\d)\s*[x×]?\))?\s*:?$/u;

export interface Label {
  readonly kind: SectionKind;
  readonly number: string;
  readonly times: number;
}

/** Reads "Verse 1", "[Puente]", "Chorus (x2):" and the like; undefined when the line is words to sing. */
export function findLabel(line: string): Label | undefined {
  const trimmed = line.trim();
  const bracketed = /^\[(.+)\]$|^\((.+)\)$|^\{(.+)\}$/.exec(trimmed);
  const inner = (bracketed?.[1] ?? bracketed?.[2] ?? bracketed?.[3] ?? trimmed).trim();
  const match = LABEL.exec(inner);
  const kind = match && KIND_BY_WORD.get((match[1] ?? "").toLowerCase());
  if (!match || !kind) return undefined;
  // One bare letter is a label only with a number, a colon or brackets: a line may well be "C".
  if ((match[1] ?? "").length === 1 && !match[2] && !bracketed && !trimmed.endsWith(":")) return undefined;
  // Short words are sung as well ("fin", "bro", "cor"): without more about them they need a capital letter.
  if (inner.length <= 4 && inner === inner.toLowerCase() && !match[2] && !bracketed && !trimmed.endsWith(":"))
    return undefined;
  return { kind, number: match[2] ?? "", times: Math.max(1, Number(match[3] ?? match[4] ?? 1)) };
}
