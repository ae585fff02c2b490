import { z } from "zod";
import type { PinnedDocument } from "../rundown/pinnedDocument.ts";
import type { Part } from "./part.ts";
import { type CarriedDesign, fieldSetPart, outfitPart, stylePart, templatePart } from "./parts/designs.ts";
import { type CarriedDocument, documentSchema } from "./parts/document.ts";
import { type CarriedEvening, eveningPart } from "./parts/evening.ts";
import { type CarriedFeed, feedPart } from "./parts/feed.ts";
import {
  type CarriedClip,
  type CarriedMapping,
  type CarriedSource,
  type CarriedTrigger,
  clipPart,
  mappingPart,
  sourcePart,
  triggerPart,
} from "./parts/follow.ts";
import { type CarriedFont, fontPart } from "./parts/font.ts";
import { type CarriedHouse, housePart } from "./parts/house.ts";
import { type CarriedMedia, mediaPart } from "./parts/media.ts";
import { type CarriedOutput, type CarriedPlan, outputPart, planPart } from "./parts/screens.ts";
import { type CarriedSong, songPart } from "./parts/song.ts";
import { type CarriedText, textPart } from "./parts/text.ts";

/** What a show consists of, as people know it. */
export interface Things {
  readonly evening: CarriedEvening;
  readonly song: CarriedSong;
  readonly text: CarriedText;
  readonly media: CarriedMedia;
  readonly font: CarriedFont;
  readonly template: CarriedDesign;
  readonly style: CarriedDesign;
  readonly outfit: CarriedDesign;
  readonly fieldSet: CarriedDesign;
  readonly output: CarriedOutput;
  readonly plan: CarriedPlan;
  readonly feed: CarriedFeed;
  readonly source: CarriedSource;
  readonly trigger: CarriedTrigger;
  readonly clip: CarriedClip;
  readonly mapping: CarriedMapping;
  readonly house: CarriedHouse;
}
export type PartName = keyof Things;

/** Every kind of it, in the order in which people are asked about it. Another is a file in `parts/` and a line here. */
export const PARTS: { readonly [P in PartName]: Part<Things[P]> } = {
  evening: eveningPart,
  song: songPart,
  text: textPart,
  media: mediaPart,
  font: fontPart,
  template: templatePart,
  style: stylePart,
  outfit: outfitPart,
  fieldSet: fieldSetPart,
  output: outputPart,
  plan: planPart,
  feed: feedPart,
  source: sourcePart,
  trigger: triggerPart,
  clip: clipPart,
  mapping: mappingPart,
  house: housePart,
};
export const PART_NAMES = Object.keys(PARTS) as PartName[];

/** A part, for whoever treats all alike. */
export const partOf = <P extends PartName>(name: P) => PARTS[name] as unknown as Part<Things[P]>;

/** A show with all that belongs to it but its files and its log; or an evening of it with what that needs. */
export type CarriedShow = { readonly [P in PartName]: readonly Things[P][] } & {
  /** What its things name by hash. */
  readonly documents: readonly CarriedDocument[];
};

/** All of one kind in a show. */
export const thingsOf = <P extends PartName>(show: CarriedShow, name: P) =>
  show[name] as unknown as readonly Things[P][];

export const NO_SHOW: CarriedShow = {
  ...(Object.fromEntries(PART_NAMES.map((name) => [name, []])) as unknown as {
    [P in PartName]: never[];
  }),
  documents: [],
};

/** Things of one kind in one file. */
const MOST_THINGS = 60_000;

/** What stands in the file of each part, by its name; documents have one too. */
export const fileSchemaOf = (name: PartName | "documents"): z.ZodType<readonly unknown[]> =>
  z.array(name === "documents" ? documentSchema : (PARTS[name].schema as z.ZodType)).max(MOST_THINGS);

/** Looks up what is pinned in a show. */
export function documentsOf({ documents }: CarriedShow): (hash: string) => PinnedDocument | undefined {
  const byHash = new Map(documents.map(({ id, doc }) => [id, doc as PinnedDocument]));
  return (hash) => byHash.get(hash);
}

/** Hashes of the files that a show needs: pictures, clips and their stills, fonts, what was brought for feeds. */
export function filesOf(show: CarriedShow): readonly string[] {
  const files = new Set<string>();
  for (const { doc } of show.documents)
    if (doc.kind === "media") for (const file of [doc.file, doc.poster]) if (file !== null) files.add(file);
  for (const { file } of show.font) files.add(file);
  for (const { file } of show.feed) if (file !== null) files.add(file);
  for (const { doc } of show.output) if (doc.standBy.show === "picture") files.add(doc.standBy.file);
  return [...files];
}
