import { t } from "../language/t.ts";
import type { Passage, VerseCounts } from "./reference/passage.ts";
import type { ReferenceProblem } from "./reference/problem.ts";
import { explainReferenceProblem, formatPassages, parseReference } from "./reference/reference.ts";
import { halfOf } from "./sense.ts";
import { type NumberedText, PRINTED_ELSEWHERE } from "./versification.ts";

/** A scripture text as it is known by name. */
export interface ScriptureInfo {
  /** Such as "web". */
  readonly code: string;
  readonly name: string;
  /** BCP 47 tag. */
  readonly language: string;
  /** What its owner wants said. */
  readonly rights: string;
}

export interface Verse {
  readonly chapter: number;
  readonly verse: number;
  /** Lines of poetry are parted by line feeds. */
  readonly text: string;
}

/** The texts there are. */
export interface Scripture {
  readonly info: (textCode: string) => ScriptureInfo | undefined;
  readonly counts: (textCode: string) => VerseCounts | undefined;
  /** The verses of a passage that the text has, whole and in order. */
  readonly verses: (textCode: string, passage: Passage) => readonly Verse[];
}

export interface ReadPassage {
  readonly passage: Passage;
  readonly verses: readonly Verse[];
}

export type ReadResult =
  | {
      readonly info: ScriptureInfo;
      readonly passages: readonly ReadPassage[];
      /** As it is written so that it can mean nothing else. */
      readonly reference: string;
      /** What it could mean as well, written so. */
      readonly others: readonly string[];
      /** A book that was spelt otherwise. */
      readonly isSpeltOtherwise: boolean;
    }
  | { readonly problem: string; readonly why: ReferenceProblem["kind"] | "noText" };

/** The verses of a passage, the first and the last cut where only half of them was asked for. */
export function versesOf(scripture: Scripture, textCode: string, passage: Passage): Verse[] {
  const verses = [...scripture.verses(textCode, passage)];
  // A verse that is printed together with those before it begins with their words.
  if (verses[0]?.text === "") {
    const before = scripture
      .verses(textCode, { from: { ...passage.from, verse: 1 }, to: passage.from })
      .findLast(({ text }) => text !== "");
    if (before) verses[0] = before;
  }
  const cut = (at: number, part: "a" | "b") => {
    const verse = verses[at];
    if (verse) verses[at] = { ...verse, text: halfOf(verse.text, part) };
  };
  if (passage.toPart === "a") cut(verses.length - 1, "a");
  if (passage.fromPart === "b") cut(0, "b");
  return verses.filter(({ text }) => text !== "");
}

/** A text as far as its numbers go; one that is not there has no verses. */
export const numberedText = (scripture: Scripture, code: string): NumberedText => ({
  code,
  counts: scripture.counts(code) ?? NO_VERSES,
});
const NO_VERSES: VerseCounts = new Map();

/** What a typed reference brings from a text; or a sentence. */
export function readReference(scripture: Scripture, textCode: string, reference: string): ReadResult {
  const info = scripture.info(textCode);
  const counts = scripture.counts(textCode);
  if (!info || !counts)
    return {
      problem: t`The text “${textCode}” is not installed here. Choose one that is; the words on air are as they were.`,
      why: "noText",
    };
  const parsed = parseReference(reference, counts, baseLanguage(info.language));
  if ("problem" in parsed)
    return {
      problem: explainReferenceProblem(parsed.problem) + elsewhere(parsed.problem, info),
      why: parsed.problem.kind,
    };
  const language = baseLanguage(info.language);
  return {
    info,
    reference: formatPassages(parsed.passages, language),
    others: parsed.others.map((passages) => formatPassages(passages, language)),
    isSpeltOtherwise: parsed.spelt !== null,
    passages: parsed.passages.map((passage) => ({
      passage,
      verses: versesOf(scripture, textCode, passage),
    })),
  };
}

/** "pt-BR" is read as Portuguese. */
export const baseLanguage = (tag: string): string => tag.split("-")[0]?.toLowerCase() ?? "";

function elsewhere(problem: ReferenceProblem, info: ScriptureInfo): string {
  if (problem.kind !== "noSuchVerse") return "";
  const found = PRINTED_ELSEWHERE.find(
    ({ text, from, to }) =>
      text === info.code &&
      from.book === problem.book &&
      from.chapter === problem.chapter &&
      problem.verse >= from.verse &&
      problem.verse <= to.verse,
  );
  if (!found) return "";
  return t` ${info.name} prints these words at the end of ${found.at.chapter}:${found.at.verse}.`;
}
