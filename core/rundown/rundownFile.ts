import type { PageContent } from "./content.ts";
import { stepsOf } from "./steps.ts";

/** One cue of the rundown, as lists of it have it. */
export interface RundownLine {
  readonly number: number;
  /** As the venue writes times; empty: not said. */
  readonly at: string;
  readonly title: string;
  readonly kind: string;
  readonly lengthMs: number | null;
  readonly byItself: string;
  readonly note: string;
  readonly isOff: boolean;
  /** It heads a part of the evening. */
  readonly isHeading: boolean;
}

export const RUNDOWN_COLUMNS = [
  "No.",
  "At",
  "Cue",
  "Kind",
  "Seconds",
  "By itself",
  "Note",
  "Left out",
] as const;

/** The cells of a line, in the order of the columns. */
export const cellsOf = (line: RundownLine): (string | number)[] => [
  ...[line.number, line.at, line.title, line.kind],
  line.lengthMs === null ? "" : Math.round(line.lengthMs / 1_000),
  ...[line.byItself, line.note, line.isOff ? "yes" : ""],
];

/** A rundown as Markdown: headings for the parts of the evening, a table for what is in each. Source: GitHub Flavored Markdown, "Tables". */
export function rundownMarkdown(name: string, day: string, lines: readonly RundownLine[]): string {
  const out = [`# ${plain(name)}`, ...(day === "" ? [] : ["", day])];
  let isInTable = false;
  for (const line of lines) {
    if (line.isHeading) {
      out.push("", `## ${plain(line.title)}`);
      isInTable = false;
      continue;
    }
    if (!isInTable)
      out.push(
        "",
        "| No. | At | Cue | Kind | Length | Note |",
        "| ---: | :--- | :--- | :--- | ---: | :--- |",
      );
    isInTable = true;
    const title = line.isOff ? `~~${plain(line.title)}~~` : plain(line.title);
    const cells = [line.number, line.at, title, plain(line.kind), lengthOf(line.lengthMs), plain(line.note)];
    out.push(`| ${cells.join(" | ")} |`);
  }
  return `${out.join("\n")}\n`;
}

const lengthOf = (ms: number | null): string => {
  if (ms === null) return "";
  const seconds = Math.round(ms / 1_000);
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, "0")}`;
};

/** In one line, with what Markdown would take for marks of its own written out. */
const plain = (text: string): string =>
  text.replace(/\s*\n\s*/g, " · ").replace(/[\\`*_[\]<>|#~]/g, (mark) => `\\${mark}`);

/** The words of songs and readings, for those who sing along: sections with their names, who wrote them at the end. */
export function lyricsSheet(name: string, contents: readonly PageContent[]): string {
  const parts = contents
    .filter(({ cueKind }) => cueKind === "song" || cueKind === "reading")
    .map((content) => {
      const lines = [content.title, "=".repeat(Math.min(60, [...content.title].length))];
      for (const { kind, label, words } of stepsOf(content)) {
        if (kind === "leave" || kind === "blank") continue;
        if (label !== "" && content.cueKind === "song") lines.push("", `[${label}]`);
        lines.push(words);
      }
      return lines.join("\n");
    });
  return `${[name, ...parts].join("\n\n\n")}\n`;
}
