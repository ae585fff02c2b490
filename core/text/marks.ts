/** How a stretch of words differs from the rest of its text. */
export interface WordStyle {
  readonly bold: boolean;
  readonly italic: boolean;
  /** Raised and small: verse numbers. */
  readonly raised: boolean;
  /** A colour token of the house style. */
  readonly color: string | null;
}

export const PLAIN: WordStyle = { bold: false, italic: false, raised: false, color: null };

export interface StyledStretch {
  /** In UTF-16 units of the words. */
  readonly start: number;
  readonly end: number;
  readonly style: WordStyle;
}

/** Words without their marks, and the stretches that the marks style, in order and without gaps. */
export interface MarkedText {
  readonly words: string;
  readonly stretches: readonly StyledStretch[];
}

const OPENING = /\*\*|\*|\^|\[([a-z]{1,20})\||\]|\\[*^[\]\\]/gu;

/**
 * Reads our marks: `*italic*`, `**bold**`, `^raised^`, `[lamp|words in a colour token]`; a backslash takes a mark
 * as a letter. A mark that is never closed is a letter, so that no words are ever lost.
 */
export function readMarks(typed: string): MarkedText {
  if (!/[*^[\\]/.test(typed)) return plainText(typed);
  const tokens = tokenise(typed);
  const paired = pairUp(tokens);
  let words = "";
  const stretches: StyledStretch[] = [];
  const open: (keyof typeof KIND_STYLE | "color")[] = [];
  const colors: string[] = [];
  const push = (text: string) => {
    if (text === "") return;
    const style: WordStyle = {
      bold: open.includes("bold"),
      italic: open.includes("italic"),
      raised: open.includes("raised"),
      color: colors.at(-1) ?? null,
    };
    const last = stretches.at(-1);
    if (last && sameStyle(last.style, style))
      stretches[stretches.length - 1] = { ...last, end: last.end + text.length };
    else stretches.push({ start: words.length, end: words.length + text.length, style });
    words += text;
  };
  for (const [index, token] of tokens.entries()) {
    if (token.kind === "words") push(token.text);
    else if (!paired.has(index)) push(token.text);
    else if (token.kind === "color") {
      open.push("color");
      colors.push(token.color);
    } else if (token.kind === "colorEnd") {
      open.splice(open.lastIndexOf("color"), 1);
      colors.pop();
    } else if (open.includes(token.kind)) open.splice(open.lastIndexOf(token.kind), 1);
    else open.push(token.kind);
  }
  return { words, stretches: stretches.length > 0 ? stretches : plainText("").stretches };
}

export function plainText(words: string): MarkedText {
  return { words, stretches: [{ start: 0, end: words.length, style: PLAIN }] };
}

export const sameStyle = (a: WordStyle, b: WordStyle): boolean =>
  a.bold === b.bold && a.italic === b.italic && a.raised === b.raised && a.color === b.color;

/** A part of a marked text as one of its own. */
export function sliceMarked({ words, stretches }: MarkedText, from: number, to: number): MarkedText {
  const kept = stretches
    .filter(({ start, end }) => start < to && end > from)
    .map(({ start, end, style }) => ({
      start: Math.max(start, from) - from,
      end: Math.min(end, to) - from,
      style,
    }));
  return { words: words.slice(from, to), stretches: kept.length > 0 ? kept : plainText("").stretches };
}

const KIND_STYLE = { bold: "**", italic: "*", raised: "^" } as const;
type Token =
  | { readonly kind: "words"; readonly text: string }
  | { readonly kind: keyof typeof KIND_STYLE; readonly text: string }
  | { readonly kind: "color"; readonly text: string; readonly color: string }
  | { readonly kind: "colorEnd"; readonly text: string };

function tokenise(typed: string): Token[] {
  const tokens: Token[] = [];
  let from = 0;
  for (const match of typed.matchAll(OPENING)) {
    const [text, color] = match;
    if (match.index > from) tokens.push({ kind: "words", text: typed.slice(from, match.index) });
    from = match.index + text.length;
    if (text.startsWith("\\")) tokens.push({ kind: "words", text: text.slice(1) });
    else if (color !== undefined) tokens.push({ kind: "color", text, color });
    else if (text === "]") tokens.push({ kind: "colorEnd", text });
    else tokens.push({ kind: text === "**" ? "bold" : text === "*" ? "italic" : "raised", text });
  }
  if (from < typed.length) tokens.push({ kind: "words", text: typed.slice(from) });
  return tokens;
}

/** The marks that have a partner: those of one kind pair up in turn, colours with the next free bracket. */
function pairUp(tokens: readonly Token[]): Set<number> {
  const paired = new Set<number>();
  const waiting = new Map<string, number>();
  const colors: number[] = [];
  for (const [index, token] of tokens.entries()) {
    if (token.kind === "words") continue;
    if (token.kind === "color") colors.push(index);
    else if (token.kind === "colorEnd") {
      const opened = colors.pop();
      if (opened !== undefined) paired.add(opened).add(index);
    } else {
      const opened = waiting.get(token.kind);
      if (opened === undefined) waiting.set(token.kind, index);
      else {
        paired.add(opened).add(index);
        waiting.delete(token.kind);
      }
    }
  }
  return paired;
}
