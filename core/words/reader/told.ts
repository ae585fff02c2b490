import { z } from "zod";
import type { LineKind } from "./candidate.ts";
import type { PlacedLine } from "./facts.ts";

/** What a person can say a line is. */
export const TOLD_KINDS = ["words", "label", "title", "credit", "chords", "nothing"] as const;
export type ToldKind = (typeof TOLD_KINDS)[number];

/** A line that a person said is something else than it was taken for; held by its words, so that edits about it do no harm. */
export const toldSchema = z.strictObject({
  line: z.string().max(400),
  /** Which of the lines with the same words, from 0. */
  nth: z.number().int().min(0).max(1_000),
  kind: z.enum(TOLD_KINDS),
});
export type Told = z.infer<typeof toldSchema>;
export const MOST_TOLD = 400;

const KIND_OF: Readonly<Record<ToldKind, LineKind>> = {
  words: "words",
  label: "label",
  title: "title",
  credit: "credit",
  chords: "chords",
  nothing: "note",
};

/** What was told, by the index of the line; where fewer lines have these words now, the last of them. */
export function whatWasTold(lines: readonly PlacedLine[], told: readonly Told[]): Map<number, LineKind> {
  const found = new Map<number, LineKind>();
  for (const { line, nth, kind } of told) {
    const alike = lines.filter(({ text }) => text === line);
    const own = alike[Math.min(nth, alike.length - 1)];
    if (own) found.set(own.index, KIND_OF[kind]);
  }
  return found;
}

/** What is told of one line, over what was told before. */
export function tellLine(
  told: readonly Told[],
  lines: readonly { readonly text: string; readonly index: number }[],
  index: number,
  kind: ToldKind,
): Told[] {
  const line = lines[index];
  if (!line) throw new Error(`There is no line ${index} of ${lines.length}`);
  const nth = lines.filter((other) => other.index < index && other.text === line.text).length;
  return [
    ...told.filter((other) => other.line !== line.text || other.nth !== nth),
    { line: line.text, nth, kind },
  ].slice(-MOST_TOLD);
}
