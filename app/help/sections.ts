/** In the order in which somebody new would read them. */
export const GUIDE_IDS = [
  "first-evening",
  "design",
  "feeds",
  "triggers",
  "kiosk",
  "backup",
  "second-machine",
  "protocols",
  "trouble",
] as const;
export type GuideId = (typeof GUIDE_IDS)[number];

/** A guide as it stands in the documents. */
export interface Guide {
  readonly id: GuideId;
  readonly name: string;
  readonly text: string;
}

/** A part of a guide under a heading of its own. */
export interface Section {
  readonly guide: GuideId;
  readonly guideName: string;
  /** In the address, after "#". */
  readonly id: string;
  readonly title: string;
  /** Its words without signs of Markdown. */
  readonly words: string;
}

/** The place of a heading in an address: its letters and digits, joined. */
export const idOfHeading = (title: string): string =>
  title
    .toLowerCase()
    .replace(/[^\p{Letter}\p{Number}]+/gu, "-")
    .replace(/^-|-$/g, "");

/** Its first heading. */
export const nameOfGuide = (text: string): string => /^# (.+)$/m.exec(text)?.[1] ?? "";

/** The sections of a guide, in order; what stands before the first heading of the second rank is one too. */
export function sectionsOf({ id, name, text }: Guide): Section[] {
  return text.split(/^## /m).flatMap((part, i) => {
    const [first = "", ...rest] = part.split("\n");
    const title = i === 0 ? name : first.trim();
    const words = plainWords(rest.join("\n"));
    return words === ""
      ? []
      : [{ guide: id, guideName: name, id: i === 0 ? "" : idOfHeading(title), title, words }];
  });
}

function plainWords(markdown: string): string {
  return markdown
    .replace(/!\[[^\]]*\]\([^)]*\)/g, "")
    .replace(/\[([^\]]*)\]\([^)]*\)/g, "$1")
    .replace(/^\|[-| ]+\|$/gm, "")
    .replace(/\|\s*$|^\s*\|/gm, " ")
    .replace(/\s*\|\s*/g, " · ")
    .replace(/[*`#]/g, "")
    .replace(/\s+/g, " ")
    .trim();
}
