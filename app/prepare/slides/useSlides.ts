import { useRef, useState } from "react";
import { t } from "../../../core/language/t.ts";
import type { CueDoc } from "../../../core/rundown/cueDoc.ts";
import { SLIDES_FOLDER, slideCue, wordsOfSlide } from "../../../core/rundown/slides.ts";
import { useDesk, useDeskStore } from "../../desk/deskContext.ts";
import { useDeskData } from "../../desk/useDeskData.ts";
import { bringIn } from "../../library/bringIn.ts";
import { convertSlides } from "./convertSlides.ts";
import { readPdf } from "./readPdf.ts";
import { type PresentationSlide, readPresentation } from "./readPresentation.ts";
import { readZip } from "./readZip.ts";
import {
  isPicture,
  type NamedPicture,
  picturesAsSlides,
  type ReadSlide,
  type SlideFile,
  withoutEnding,
} from "./slideFile.ts";

/** How far it is with bringing slides in. */
export interface SlidesComing {
  readonly name: string;
  readonly done: number;
  readonly count: number;
}

/**
 * Makes cues of what a speaker brings: a PDF, pictures, or a ZIP of them. Each slide becomes a picture of the library, and all of
 * them cues in one act; one that cannot be read is left out and named.
 */
export function useSlides(addAll: (docs: readonly CueDoc[]) => Promise<boolean>) {
  const store = useDeskStore();
  const { outputs } = useDesk("outputs");
  const [coming, setComing] = useState<SlidesComing | null>(null);
  const isStopped = useRef(false);
  const { makesSlides } = useDeskData();
  /** The slides as they were made, where this server has a program for it. @returns an empty sentence where that was never to be expected */
  const asMade = async (file: File): Promise<{ readonly pdf: File } | { readonly problem: string }> => {
    if (!makesSlides) return { problem: "" };
    if (/m$/i.test(file.name))
      return { problem: t`It may have macros, so it was given to no other program.` };
    return convertSlides(file);
  };
  const bring = async (files: readonly File[]) => {
    const [first] = files;
    if (!first || coming) return;
    isStopped.current = false;
    setComing({ name: first.name, done: 0, count: 0 });
    let given = files;
    /** Of a presentation; its PDF has none. */
    let notes: readonly string[] = [];
    try {
      if (/\.pp[st][xm]$/i.test(first.name)) {
        const read = await readPresentation(first);
        if ("problem" in read) return store.say("trouble", read.problem);
        const made = await asMade(first);
        if ("problem" in made) return await bringPresentation(first.name, read, made.problem);
        notes = read.map(({ notes }) => notes);
        given = [made.pdf];
      }
      const opened = await openFiles(given, outputs);
      if ("problem" in opened) return store.say("trouble", opened.problem);
      const { slides, titleOf } = opened;
      const docs: CueDoc[] = [];
      const folder = folderOf(first.name);
      const missing: string[] = [];
      for (let index = 0; index < slides.count && !isStopped.current; index++) {
        setComing({ name: first.name, done: index, count: slides.count });
        const title = titleOf(index);
        const read = await slides.read(index);
        const made =
          "problem" in read
            ? read
            : await bringSlide(
                // A slide that is not shown is in no PDF: then whose notes they are is not known.
                notes.length === slides.count ? { ...read, notes: notes[index] ?? "" } : read,
                title,
                title,
                folder,
              );
        if ("doc" in made) docs.push(made.doc);
        else missing.push(`${title} (${made.problem})`);
      }
      slides.close();
      if (isStopped.current)
        return store.say(
          "word",
          t`Called off: no cue was added. ${docs.length} ${docs.length === 1 ? t`picture is` : t`pictures are`} in the library.`,
        );
      if (docs.length > 0 && !(await addAll(docs))) return;
      if (missing.length > 0)
        store.say(
          "trouble",
          t`${missing.length === 1 ? "1 slide" : t`${missing.length} slides`} could not be brought in: ${missing.slice(0, 3).join(", ")}. The others are in the rundown.`,
        );
      else if (slides.told) store.say("trouble", slides.told);
    } finally {
      setComing(null);
    }
  };
  /** Of a presentation the words and pictures are taken: how it looks, only the program knows that made it. */
  const bringPresentation = async (name: string, slides: readonly PresentationSlide[], why: string) => {
    const docs: CueDoc[] = [];
    const folder = folderOf(name);
    for (const [index, { title, points, notes, pictures }] of slides.entries()) {
      if (isStopped.current) return store.say("word", t`Called off: no cue was added.`);
      setComing({ name, done: index, count: slides.length });
      const words = wordsOfSlide(title, points, notes);
      if (words) docs.push(words);
      for (const [at, { picture }] of pictures.entries()) {
        const called = `${withoutEnding(name)} ${index + 1}${pictures.length > 1 ? `.${at + 1}` : ""}`;
        const made = await bringSlide(
          { picture, words: "", notes: words ? "" : notes },
          title || called,
          called,
          folder,
        );
        if ("doc" in made) docs.push(made.doc);
      }
    }
    if (docs.length === 0)
      return store.say(
        "trouble",
        t`“${name}” has neither words nor pictures that could be taken. Save it as PDF, and bring that.`,
      );
    if (await addAll(docs))
      store.say(
        "trouble",
        t`${why === "" ? "" : `${why} `}The words and pictures of ${slides.length} slides are in the rundown, in your own look. For the slides as they were made, save it as PDF where it comes from and bring that.`,
      );
  };
  return {
    coming,
    bring,
    stop: () => {
      isStopped.current = true;
    },
  };
}

async function bringSlide(
  { picture, words, notes }: ReadSlide,
  title: string,
  fileName: string,
  folder: string,
): Promise<{ readonly doc: CueDoc } | { readonly problem: string }> {
  const type = picture.type === "" ? "image/png" : picture.type;
  const brought = await bringIn(new File([picture], `${fileName}.png`, { type }), () => {}, { folder });
  if ("problem" in brought) return { problem: brought.problem.sentence };
  const mediaId = brought.value.item?.id;
  return mediaId === undefined
    ? { problem: t`the library did not take it` }
    : { doc: slideCue({ mediaId, title, words, notes }) };
}

const folderOf = (fileName: string): string =>
  `${SLIDES_FOLDER}${withoutEnding(fileName).replaceAll("/", " ")}`;

type Opened = { readonly slides: SlideFile; readonly titleOf: (index: number) => string };

/** What the files are: the first says it, unless several pictures came. */
async function openFiles(
  files: readonly File[],
  screens: readonly { readonly widthPx: number; readonly heightPx: number }[],
): Promise<Opened | { readonly problem: string }> {
  const [first] = files as readonly [File];
  if (/\.pdf$/i.test(first.name) || first.type === "application/pdf") {
    const slides = await readPdf(first, screens);
    if ("problem" in slides) return slides;
    const name = withoutEnding(first.name);
    const digits = String(slides.count).length;
    return { slides, titleOf: (index) => `${name} ${String(index + 1).padStart(digits, "0")}` };
  }
  const pictures: readonly NamedPicture[] | { readonly problem: string } = /\.zip$/i.test(first.name)
    ? await readZip(first)
    : files.filter(({ name }) => isPicture(name)).map((file) => ({ name: file.name, picture: file }));
  if ("problem" in pictures) return pictures;
  if (pictures.length === 0)
    return {
      problem: t`“${first.name}” was not taken for slides: it is no PDF and has no pictures. From a presentation, save it as PDF first; nothing was added.`,
    };
  const slides = picturesAsSlides(pictures);
  return { slides, titleOf: (index) => slides.names[index] ?? t`Slide ${index + 1}` };
}
