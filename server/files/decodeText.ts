import chardet from "chardet";

export interface DecodedText {
  readonly text: string;
  /** What it was read as where the file does not say, and it is not UTF-8; null otherwise. */
  readonly guessed: string | null;
}

/** A byte order mark says what follows it. */
const MARKS: readonly (readonly [bytes: readonly number[], encoding: string])[] = [
  [[0xef, 0xbb, 0xbf], "utf-8"],
  [[0xff, 0xfe], "utf-16le"],
  [[0xfe, 0xff], "utf-16be"],
];
/** How files of text say their encoding, in their first lines. */
const DECLARED = /(?:(?:coding|charset|encoding)\s*[:=]\s*["']?|\\ide\s+)([\w.:-]{3,30})/i;
const FIRST_BYTES = 400;

/** Text in whatever encoding its mark or its first lines say; else UTF-8, and where it is not that, the likeliest. */
export function decodeText(bytes: Uint8Array): DecodedText {
  const marked = MARKS.find(([mark]) => mark.every((byte, i) => bytes[i] === byte));
  if (marked) return { text: decode(bytes, marked[1]) ?? "", guessed: null };
  const head = new TextDecoder("latin1").decode(bytes.subarray(0, FIRST_BYTES));
  const declared = DECLARED.exec(head)?.[1];
  const asDeclared = declared && decode(bytes, declared, true);
  if (asDeclared) return { text: asDeclared, guessed: null };
  const asUtf8 = decode(bytes, "utf-8", true);
  if (asUtf8 !== undefined) return { text: asUtf8, guessed: null };
  for (const likely of chardet.analyse(bytes)) {
    const text = decode(bytes, likely.name, true);
    if (text !== undefined) return { text, guessed: likely.name };
  }
  return { text: decode(bytes, "windows-1252") ?? "", guessed: "windows-1252" };
}

/** Undefined when nobody knows the encoding, or it is not that. */
function decode(bytes: Uint8Array, encoding: string, fatal = false): string | undefined {
  try {
    return new TextDecoder(encoding, { fatal }).decode(bytes);
  } catch {
    return undefined;
  }
}
