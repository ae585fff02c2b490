import { splitLines } from "../cleanLines.ts";
import { type Credits, NO_CREDITS } from "../credits.ts";
import { parseOrder } from "../songOrder.ts";
import { intoBlocks } from "./blocks.ts";
import type { LineKind } from "./candidate.ts";
import { readCredits } from "./creditLine.ts";
import { factsOf } from "./facts.ts";
import { likeliest } from "./likeliest.ts";
import { findOrderLine, isOrderHead } from "./orderLine.ts";
import { intoSections, type SongSection, type Variant } from "./sections.ts";
import { readTitle } from "./titleLine.ts";
import { type Told, whatWasTold } from "./told.ts";
import { typedLines } from "./typedLine.ts";

export interface Song {
  readonly title: string;
  /** As read from lines such as "Words: …" at its head or end. */
  readonly credits: Credits;
  readonly sections: readonly SongSection[];
  /** Section keys as sung; a chorus may stand in it many times. */
  readonly order: readonly string[];
}

/** One line of the typed text, and what it was taken for. */
export interface ReadLine {
  /** Line of the typed text, from 0. */
  readonly at: number;
  readonly typed: string;
  /** Its words, without bullets, bold and the like. */
  readonly text: string;
  readonly kind: LineKind;
  readonly why: string;
  /** Something else is nearly as likely. */
  readonly isDoubtful: boolean;
  /** The section that it names, sings or belongs to; undefined where it belongs to none. */
  readonly section: string | undefined;
  readonly blankBefore: boolean;
  /** The first of it that is sung, for lines that have a label or a count as well. */
  readonly index: number;
}

export interface SongReading {
  readonly song: Song;
  readonly lines: readonly ReadLine[];
  /** The order as a line of the text says it; empty when none does. */
  readonly typedOrder: string;
  readonly variants: readonly Variant[];
  readonly refrainOnce: string | undefined;
  readonly doubtful: number;
}

export const SONG_MAX_LINES = 1_000;
export const SONG_MAX_LINE_LENGTH = 400;
/** With the code of a web page, or all lines of a song in one. */
const SONG_MAX_RAW_LINE = 20_000;

export type SongProblem =
  | { readonly kind: "empty" }
  | { readonly kind: "tooManyLines"; readonly lines: number }
  | { readonly kind: "lineTooLong"; readonly line: number; readonly length: number };

export interface ReadAs {
  /** As typed in a form; empty: the text says it, or its first line does. */
  readonly title?: string;
  /** Lines that a person said are something else. */
  readonly told?: readonly Told[];
  /** BCP 47 tag that sections are named in. */
  readonly language?: string;
}

/**
 * Reads a pasted text as the likeliest song: what each line is and why, sections, the order sung, and the credits.
 * Pure; the same text is always read the same.
 */
export function readSong(
  text: string,
  { title = "", told = [], language = "en" }: ReadAs = {},
): { readonly reading: SongReading } | { readonly problem: SongProblem } {
  const endless = splitLines(text).findIndex((line) => line.length > SONG_MAX_RAW_LINE);
  if (endless >= 0)
    return {
      problem: { kind: "lineTooLong", line: endless + 1, length: splitLines(text)[endless]?.length ?? 0 },
    };
  const typed = typedLines(text);
  if (typed.length > SONG_MAX_LINES) return { problem: { kind: "tooManyLines", lines: typed.length } };
  const long = typed.find((line) => line.text.length > SONG_MAX_LINE_LENGTH);
  if (long) return { problem: { kind: "lineTooLong", line: long.at + 1, length: long.text.length } };
  const facts = factsOf(typed, title);
  const chosen = likeliest(facts, whatWasTold(facts.lines, told));
  const blocks = intoBlocks(facts, chosen);
  const made = intoSections(blocks, language);
  if (made.sections.length === 0) return { problem: { kind: "empty" } };

  const ofKind = (kind: LineKind) => facts.lines.filter((_, i) => chosen[i]?.kind === kind);
  const titleLine = ofKind("title")[0];
  const own = titleLine ? readTitle(titleLine.text) : { title: "", writers: "", order: "" };
  const creditLines = ofKind("credit").map((line) => line.text);
  const credits = creditLines.length > 0 ? readCredits(creditLines) : NO_CREDITS;
  const orderText = orderIn(ofKind("order").map(({ text: words }) => words)) || own.order;
  const order =
    orderText === ""
      ? []
      : parseOrder(orderText, made.sections).items.flatMap((item) =>
          item.kind === "section" ? [item.key] : [],
        );
  const first = made.sections[0]?.stanzas[0]?.[0] ?? "";
  const sectionAt = new Map<number, string>();
  for (const [i, block] of blocks.entries()) {
    const key = made.keyOfBlock.get(block);
    const end = blocks[i + 1]?.index ?? facts.lines.length;
    if (key) for (let at = block.index; at < end; at++) sectionAt.set(at, key);
  }
  const lines = facts.lines.map(({ at, typed: shown, text: words, index, blankBefore }, i): ReadLine => {
    const { kind, why, isDoubtful } = chosen[i] as (typeof chosen)[number];
    const belongs = kind === "words" || kind === "label" || kind === "repeat";
    return {
      at,
      typed: shown,
      text: words,
      kind,
      why,
      isDoubtful,
      index,
      blankBefore,
      section: belongs ? sectionAt.get(index) : undefined,
    };
  });
  return {
    reading: {
      song: {
        title: title || own.title || subjectOf(ofKind("note")) || first.replace(/[,;:.!?]+$/, ""),
        credits:
          own.writers !== "" && credits.writers === "" ? { ...credits, writers: own.writers } : credits,
        sections: made.sections,
        order: order.length > 0 ? order : made.order,
      },
      lines,
      typedOrder: orderText,
      variants: made.variants,
      refrainOnce: made.refrainOnce,
      doubtful: lines.filter((line) => line.isDoubtful).length,
    },
  };
}

/** The order that lines say: one of them, or a list under its head. */
function orderIn(lines: readonly string[]): string {
  const [first = "", ...names] = lines;
  return isOrderHead(first) ? names.join(", ") : (findOrderLine(first)?.order ?? first);
}

const SUBJECT =
  /^(?:subject|betreff|asunto|objet|oggetto|assunto|onderwerp|ämne|emne|temat|тема):\s*(?:(?:re|fwd?|aw|wg|tr|rv):\s*)*(.{2,80})$/iu;
/** What mails are called that bring a song and do not name it. */
const OF_NO_SONG =
  /\b(?:songs?|lyrics|words|hymns?|sunday|service|slides|rehearsal|lied(?:er)?|text|sonntag|letras?|canci(?:ón|ones)|domingo|paroles|chants?|dimanche)\b|\?|^re$/iu;

/** The subject of a mail, where it names the song that nothing else names. */
function subjectOf(notes: readonly { readonly text: string }[]): string {
  const subjects = notes.flatMap(({ text }) => SUBJECT.exec(text)?.[1]?.trim() ?? []);
  return subjects.find((subject) => !OF_NO_SONG.test(subject)) ?? "";
}
