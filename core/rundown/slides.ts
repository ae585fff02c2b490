import { type PageDoc, pageCue } from "./cueDoc.ts";

/** The template that shows a picture as it was made, on screens that offer it; others show it as they show pictures. */
export const SLIDE_TEMPLATE = "Slide, edge to edge";

/** Where slides lie in the library: in a folder for each talk. */
export const SLIDES_FOLDER = "Slides/";

/** A speaker's slide. */
export interface Slide {
  /** Of the library. */
  readonly mediaId: string;
  /** What it is called in the script. */
  readonly title: string;
  /** The words on it, as far as its file says them; for Find, and for whoever reads the script. */
  readonly words: string;
  /** What the speaker wrote beside it. */
  readonly notes: string;
}

const LONGEST_TITLE = 160;
const LONGEST_NOTE = 2_000;

/** A slide as a cue: its picture, and what Find finds it by. */
export function slideCue({ mediaId, title, words, notes }: Slide): PageDoc {
  const note = [notes.trim(), words.replace(/\s+/g, " ").trim()].filter((text) => text !== "").join("\n");
  return pageCue({
    fieldSet: "picture",
    values: { picture: mediaId, caption: title.slice(0, LONGEST_TITLE) },
    template: SLIDE_TEMPLATE,
    note: note.slice(0, LONGEST_NOTE),
  });
}

/** Pixels across at which a page of this shape is sharp on every screen that shows all of it. */
export function sharpWidthPx(
  page: { readonly width: number; readonly height: number },
  screens: readonly { readonly widthPx: number; readonly heightPx: number }[],
  mostPx: number,
): number {
  const widths = screens.map(({ widthPx, heightPx }) =>
    Math.min(widthPx, (heightPx * page.width) / page.height),
  );
  return Math.min(mostPx, Math.ceil(Math.max(640, ...widths)));
}

/** The words of a slide of a presentation as a page of ours; undefined: it has none. */
export function wordsOfSlide(title: string, points: readonly string[], notes: string): PageDoc | undefined {
  const note = notes.slice(0, LONGEST_NOTE);
  if (points.length > 0)
    return pageCue({
      fieldSet: "points",
      values: { heading: title.slice(0, LONGEST_TITLE), points: points.join("\n").slice(0, LONGEST_NOTE) },
      note,
    });
  return title === ""
    ? undefined
    : pageCue({ fieldSet: "title", values: { title: title.slice(0, LONGEST_TITLE) }, note });
}
