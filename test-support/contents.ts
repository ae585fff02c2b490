import { beforeAll } from "vitest";
import { compileCue } from "../core/rundown/compile.ts";
import type { CompileContext, Wardrobe } from "../core/rundown/compileContext.ts";
import type { PageContent } from "../core/rundown/content.ts";
import { type CueDoc, pageCue, readingCue, type SongDoc, songCue } from "../core/rundown/cueDoc.ts";
import type { PinnedDocument } from "../core/rundown/pinnedDocument.ts";
import type { ReadyCue } from "../core/rundown/readyCue.ts";
import type { Template } from "../core/scene/template.ts";
import type { Actor } from "../core/show/actor.ts";
import type { LoggedEvent } from "../core/show/events.ts";
import { evolve } from "../core/show/evolve.ts";
import type { ShowState } from "../core/show/state.ts";
import { FALLBACK_FONTS } from "../core/text/fontList.ts";
import type { Shaper } from "../core/text/shaper.ts";
import type { Scripture } from "../core/words/scripture.ts";
import { FIELD_SETS } from "../designs/fieldSets.ts";
import { HARBOUR_LAMP } from "../designs/houseStyles.ts";
import { STARTER_OUTFITS, type StarterOutfit } from "../designs/starter.ts";
import { STARTER_LAYERS, STARTER_OUTPUTS, STARTER_PLAN } from "../designs/starterScreens.ts";
import { loadShaper } from "../server/fonts/shippedFonts.ts";
import { hashOf } from "../server/store/contentStore.ts";

export const OUTPUTS = STARTER_OUTPUTS;
export const DESK: Actor = { kind: "desk", id: "desk-under-test" };

const WEB = { code: "web", name: "World English Bible", language: "en", rights: "Public Domain" };
const VERSES = [
  [23, "Those who go down to the sea in ships,\nwho do business in great waters,"],
  [24, "these see Yahweh’s deeds,\nand his wonders in the deep."],
  [25, "For he commands, and raises the stormy wind,\nwhich lifts up its waves."],
] as const;

/** A scripture of one book that has three verses in one psalm. */
const PSALM_107: Scripture = {
  info: (code) => (code === "web" ? WEB : undefined),
  counts: (code) =>
    code === "web"
      ? new Map([["Ps", Array.from({ length: 107 }, (_, i) => (i === 106 ? 25 : 0))]])
      : undefined,
  verses: (code, { from, to }) =>
    code !== "web"
      ? []
      : VERSES.filter(([verse]) => verse >= from.verse && verse <= to.verse).map(([verse, text]) => ({
          chapter: 107,
          verse,
          text,
        })),
};

/** Everything needed to compile cues the way the server does, with three verses of a psalm. */
export interface Bench {
  readonly shaper: Shaper;
  readonly context: CompileContext;
  readonly documents: Map<string, PinnedDocument>;
}

/** Declares a `beforeAll` that fills the bench it gives back. */
export function prepareBench(outfits: readonly StarterOutfit[] = STARTER_OUTFITS): Bench {
  const bench = { documents: new Map<string, PinnedDocument>() } as {
    -readonly [K in keyof Bench]: Bench[K];
  };
  beforeAll(async () => {
    bench.shaper = await loadShaper();
    const keep = (document: PinnedDocument) => {
      const hash = hashOf(document);
      bench.documents.set(hash, document);
      return hash;
    };
    bench.context = {
      fieldSets: new Map(FIELD_SETS.map((set) => [set.id, set])),
      wardrobes: outfits.map((outfit) => ({
        outfitId: outfit.id,
        linesPerSlide: outfit.linesPerSlide,
        variants: outfit.variants ?? [],
        templates: offeredBy(outfit.templates, keep),
      })),
      style: { hash: keep(HARBOUR_LAMP), style: HARBOUR_LAMP },
      fallbackFonts: FALLBACK_FONTS,
      shaper: bench.shaper,
      findMediaByName: () => undefined,
      hasMedia: (hash: string) => bench.documents.has(hash),
      findMedia: () => undefined,
      plans: [],
      outputs: [],
      scripture: PSALM_107,
      language: "en",
      licence: "40118",
    };
  });
  return bench;
}

function offeredBy(
  templates: readonly Template[],
  keep: (template: Template) => string,
): Wardrobe["templates"] {
  const offered = new Map<string, { hash: string; template: Template }[]>();
  for (const template of templates)
    offered.set(template.fieldSet, [
      ...(offered.get(template.fieldSet) ?? []),
      { hash: keep(template), template },
    ]);
  return offered;
}

/** A page cue with these fields. */
export const page = (
  fieldSet: string,
  values: Record<string, string>,
  stayMs: number | null = null,
): CueDoc => pageCue({ fieldSet, values, stayMs });

export function compile(bench: Bench, doc: CueDoc): PageContent {
  const compiled = compileCue(doc, bench.context);
  if (!("content" in compiled)) throw new Error(`No content of a ${doc.kind}: ${JSON.stringify(compiled)}`);
  bench.documents.set(hashOf(compiled.content), compiled.content);
  return compiled.content;
}

export function readyCues(bench: Bench, docs: readonly CueDoc[]): ReadyCue[] {
  return docs.map((doc, index) => {
    const content = compile(bench, doc);
    return { cueId: `cue-${index + 1}`, index, hash: hashOf(content), content, doc };
  });
}

export const strap = (name: string, role = "", stayMs: number | null = null): CueDoc =>
  pageCue({ fieldSet: "name", values: { name, role }, stayMs });
export const song = (text: string, lines: Record<string, number> = {}, more: Partial<SongDoc> = {}): CueDoc =>
  songCue({ title: "A song", text, lines, ...more });
export const reading: CueDoc = readingCue({ reference: "Ps 107:23-25", text: "web", numbers: false });

/** The state of a show just opened. */
/** The first event of a show. */
export const OPENING: LoggedEvent = {
  seq: 1,
  atMs: 0,
  actor: null,
  actId: null,
  event: {
    kind: "showOpened",
    showId: "test",
    layers: [...STARTER_LAYERS],
    timeZone: "UTC",
    plan: STARTER_PLAN,
  },
};
export const openedState = (): ShowState => evolve(undefined, OPENING);
