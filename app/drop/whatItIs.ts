import { isRundownFile } from "../prepare/rundownText/readRundownFile.ts";
import { isPicture } from "../prepare/slides/slideFile.ts";

/** What a file that somebody drops can be taken for. */
export const TAKEN_FOR = [
  "slides",
  "rundown",
  "songs",
  "library",
  "design",
  "scripture",
  "feed",
  "show",
] as const;
export type TakenFor = (typeof TAKEN_FOR)[number];

interface Named {
  readonly name: string;
}

/** A file that more than one view could take, and whose name does not say more, is for the one that is open. */
const OF_THE_VIEW: Readonly<Record<string, readonly [endings: RegExp, TakenFor]>> = {
  songs: [/\.(txt|cho|crd|chopro|chordpro|pro|zip)$/i, "songs"],
  texts: [/\.(xml|osis|usfm|sfm|ptx|txt|zip|gz)$/i, "scripture"],
  feeds: [/\.(csv|tsv|xlsx|xlsm|json|xml|txt)$/i, "feed"],
  design: [/\.(json|zip)$/i, "design"],
  carry: [/\.zip$/i, "show"],
};

const IS_SHOW = /\.vesko\.zip$/i;
const IS_SLIDES = /\.(pdf|pp[st][xm]|zip)$/i;
const IS_LIBRARY = /\.(webm|mp4|m4v|mov|mp3|m4a|wav|flac|ogg|opus|ttf|otf|woff2)$/i;
const IS_DESIGN = /\.(template|style)\.json$/i;
const IS_SCRIPTURE = /\.(osis|usfm|sfm|ptx)$/i;
const IS_FEED = /\.(xlsx|xlsm|json|xml)$/i;

/**
 * What files are most likely, by their names and by where they were dropped.
 * @param view the view of the desk that was open
 * @returns undefined when nothing here takes such a file
 */
export function whatItIs(files: readonly Named[], view: string): TakenFor | undefined {
  const [first] = files;
  if (!first) return undefined;
  if (IS_SHOW.test(first.name)) return "show";
  if (IS_DESIGN.test(first.name)) return "design";
  const own = OF_THE_VIEW[view];
  if (own?.[0].test(first.name)) return own[1];
  const some = (endings: RegExp) => files.some(({ name }) => endings.test(name));
  if (some(IS_SLIDES)) return "slides";
  if (some(IS_LIBRARY)) return "library";
  if (files.some(({ name }) => isPicture(name))) return view === "library" ? "library" : "slides";
  if (some(IS_SCRIPTURE)) return "scripture";
  if (some(IS_FEED)) return "feed";
  return isRundownFile(first.name) ? "rundown" : undefined;
}
