import { randomUUID } from "node:crypto";
import { readFileSync } from "node:fs";
import type { IncomingMessage } from "node:http";
import { join } from "node:path";
import { createContext } from "react-router";
import type { Wardrobe } from "../core/rundown/compileContext.ts";
import type { EveningEdit } from "../core/rundown/evening.ts";
import type { HouseStyle } from "../core/scene/houseStyle.ts";
import type { Template } from "../core/scene/template.ts";
import { canvasOf } from "../core/screens/plan.ts";
import { outfitForShape } from "../core/screens/shape.ts";
import { pagesOn } from "../core/show/layers.ts";
import { FALLBACK_FONTS } from "../core/text/fontList.ts";
import { FIELD_SETS } from "../designs/fieldSets.ts";
import type { Seed } from "../designs/seed.ts";
import { readScriptureFile } from "./files/readScriptureFile.ts";
import { loadShaper } from "./fonts.ts";
import { createEveningsEditor } from "./live/editEvenings.ts";
import { createScreensEditor } from "./live/editScreens.ts";
import { LiveServer } from "./live/liveServer.ts";
import { Pairing } from "./live/pairing.ts";
import { Rundown } from "./live/rundown.ts";
import { ShowHost } from "./live/showHost.ts";
import { StillPainter } from "./stills/stillPainter.ts";
import { AirLog } from "./store/airLog.ts";
import { ContentStore } from "./store/contentStore.ts";
import { CueStore } from "./store/cueStore.ts";
import type { Db } from "./store/database.ts";
import { EveningStore } from "./store/eveningStore.ts";
import { FontStore } from "./store/fontStore.ts";
import { KeyStore } from "./store/keyStore.ts";
import { LinkStore } from "./store/linkStore.ts";
import { MediaStore } from "./store/mediaStore.ts";
import { Passcode } from "./store/passcode.ts";
import { ScreenStore, type ScreensEdit } from "./store/screenStore.ts";
import { ScriptureStore } from "./store/scriptureStore.ts";
import {
  addTemplate,
  createShow,
  findShowId,
  loadShow,
  type Show,
  saveLicence,
  saveStyle,
} from "./store/showStore.ts";
import { SongStore } from "./store/songStore.ts";
import { type ReadText, readInWorker, TextImport } from "./words/textImport.ts";

/** Everything that loaders, actions and the live channel need. One per process. */
export interface Services {
  readonly show: Show;
  readonly host: ShowHost;
  readonly rundown: Rundown;
  readonly contents: ContentStore;
  readonly links: LinkStore;
  readonly scriptures: ScriptureStore;
  readonly songs: SongStore;
  /** Brings scripture texts in. */
  readonly textImport: TextImport;
  /** Compiles readings anew: other texts are here now. */
  readonly readAgain: () => void;
  /** Takes a text out; cues that read from it say so. */
  readonly removeText: (code: string) => Promise<void>;
  /** The venue's licence number for this event. */
  readonly licence: () => string;
  readonly setLicence: (licence: string) => Promise<void>;
  readonly screens: ScreenStore;
  readonly pairing: Pairing;
  readonly passcode: Passcode;
  readonly keys: KeyStore;
  readonly evenings: EveningStore;
  /** Changes what evenings there are, or which is open. @returns a sentence when it cannot be done */
  readonly editEvenings: (edit: EveningEdit) => Promise<string | undefined>;
  /** Changes screens and plans; the air follows where it must. @returns a sentence when it cannot be done */
  readonly editScreens: (edit: ScreensEdit) => Promise<string | undefined>;
  readonly live: LiveServer;
  readonly airLog: AirLog;
  readonly media: MediaStore;
  readonly fonts: FontStore;
  readonly stills: StillPainter;
  /** The house style new takes wear. */
  readonly style: () => HouseStyle;
  /** Dresses the whole show in another style; the air keeps the one it has. */
  readonly wearStyle: (style: HouseStyle) => Promise<void>;
  /** What each outfit wears and offers now. */
  readonly wardrobes: () => readonly Wardrobe[];
  /** Offers a template for an outfit. @returns a sentence when it cannot be offered */
  readonly offerTemplate: (outfitId: string, template: Template) => Promise<string | undefined>;
  /** Adds a font; cues are compiled anew with it. */
  readonly addFont: FontStore["add"];
  readonly buildId: string;
  readonly now: () => number;
}

export interface ServiceOptions {
  readonly seed: Seed;
  /** Folder of this project. */
  readonly home: string;
  readonly buildId: string;
  readonly now: () => number;
  readonly isOwnOrigin: (request: IncomingMessage) => boolean;
  /** Where pictures and clips are kept. */
  readonly mediaFolder: string;
  /** How long a rehearsal waits for a desk whose window was lost; ten seconds when not said. */
  readonly rehearsalWaitsMs?: number;
  /** How files of scripture are read; in a thread of its own when not said. */
  readonly readText?: ReadText;
}

/** Templates an outfit may offer for one field set. */
const MOST_LOOKS = 40;

const SHIPPED_TEXTS = [
  { code: "web", name: "World English Bible", file: "web.osis.xml.gz" },
  { code: "rv1909", name: "Reina-Valera 1909", file: "rv1909.osis.xml.gz" },
];

/** What of screens and plans decides which steps cues have: the outfit each screen is seen in, by its shape. */
function outfitsSeen({ plans, outputs }: ScreenStore, wardrobes: readonly Wardrobe[]): string {
  const canvasOfOutfit = (id: string) =>
    wardrobes.find(({ outfitId }) => outfitId === id)?.templates.get("words")?.[0]?.template.canvas;
  return JSON.stringify(
    plans.map((plan) => [
      plan.id,
      outputs.map((output) => {
        const outfitId = plan.outputs[output.id]?.outfitId;
        const variants = wardrobes.find((wardrobe) => wardrobe.outfitId === outfitId)?.variants ?? [];
        return [output.id, outfitId && outfitForShape(outfitId, variants, canvasOf(output), canvasOfOutfit)];
      }),
    ]),
  );
}

export async function openServices(db: Db, options: ServiceOptions): Promise<Services> {
  const { now, home, seed } = options;
  const contents = new ContentStore(db);
  const scriptures = await loadScriptures(db, home);
  const shaper = await loadShaper();
  let showId = await findShowId(db);
  const isNew = showId === undefined;
  if (showId === undefined) {
    await createShow(db, contents, seed.show, Math.round(now()));
    showId = seed.show.id;
  }
  const show = await loadShow(db, contents, showId);
  const media = new MediaStore(db, contents, showId, options.mediaFolder);
  await media.load();
  if (isNew) await seedMedia(media, seed, home, now());
  const songs = new SongStore(db);
  await songs.load();
  if (isNew) await songs.addAll(seed.songs, "seed-of-show", Math.round(now()));
  const fonts = new FontStore(db, showId, media, shaper);
  await fonts.load();
  const fallbackFonts = () => [...FALLBACK_FONTS, ...fonts.list().map(({ id }) => id)];
  const findMedia = (id: string) => media.find(id)?.hash;
  const screens = new ScreenStore(db, showId);
  await screens.load();
  const evenings = new EveningStore(db, showId);
  await evenings.load();
  const cueStore = new CueStore(db, showId);
  await cueStore.open(evenings.open.id);
  const rundown = new Rundown(cueStore, contents, {
    fieldSets: new Map(FIELD_SETS.map((fieldSet) => [fieldSet.id, fieldSet])),
    wardrobes: show.wardrobes,
    style: show.style,
    fallbackFonts: fallbackFonts(),
    shaper,
    findMedia,
    plans: screens.plans,
    outputs: screens.outputs,
    scripture: scriptures,
    licence: show.licence,
  });
  media.onChange(() => rundown.setContext({ findMedia }, ({ kind }) => kind === "page"));
  let seen = outfitsSeen(screens, show.wardrobes);
  screens.onChange(() => {
    const now = outfitsSeen(screens, show.wardrobes);
    if (now === seen) return;
    seen = now;
    rundown.setContext({ plans: screens.plans, outputs: screens.outputs });
  });
  let { licence } = show;
  let style = show.style.style;
  const wearStyle = async (wanted: HouseStyle) => {
    const hash = await saveStyle(db, contents, show.id, wanted);
    style = wanted;
    rundown.setContext({ style: { hash, style: wanted } });
  };
  if (isNew) {
    let afterId: string | null = null;
    for (const [index, doc] of seed.cues.entries()) {
      const cueId: string = `cue-${String(index + 1).padStart(4, "0")}`;
      await rundown.edit("seed-of-show", { kind: "addCue", cueId, doc, afterId }, Math.round(now()));
      afterId = cueId;
    }
  }
  rundown.compileAll();
  const passcode = new Passcode(db, showId);
  await passcode.load();
  const keys = new KeyStore(db, showId);
  await keys.load();
  const readAgain = () => rundown.setContext({ scripture: scriptures }, ({ kind }) => kind === "reading");
  const airLog = new AirLog(db, contents, showId);
  const host = await ShowHost.open(
    airLog,
    contents,
    rundown,
    screens,
    { kind: "showOpened", showId, layers: [...show.layers], timeZone: show.timeZone, plan: show.plan },
    now,
  );
  // Cues whose edits go on air as they are saved.
  rundown.onChange(({ changed }) => {
    const live = new Set(changed.flatMap(({ cueId, doc }) => (doc.isLive ? [cueId] : [])));
    for (const { id } of host.state.layers)
      if ([...pagesOn(host.state, id, now()).values()].some((page) => page && live.has(page.cueId)))
        void host.submit({ kind: "send", id: randomUUID(), layerId: id }, { kind: "timer" });
  });
  const links = new LinkStore(db, showId);
  await links.load(screens.outputs.map(({ id }) => id));
  const live = new LiveServer({ host, rundown, evenings, keys, contents, links, screens, ...options });
  const editScreens = createScreensEditor(screens, links, host, show.outfits[0]?.id ?? "");
  let wardrobes = show.wardrobes;
  const offerTemplate = async (outfitId: string, template: Template) => {
    const wardrobe = wardrobes.find((candidate) => candidate.outfitId === outfitId);
    if (!wardrobe) return "No outfit has that name. Nothing was changed.";
    if (!FIELD_SETS.some(({ id }) => id === template.fieldSet))
      return `The template is for fields called “${template.fieldSet}”, which no page has. Nothing was changed.`;
    const offered = wardrobe.templates.get(template.fieldSet) ?? [];
    if (offered.some((other) => other.template.name === template.name))
      return `The outfit has a template called “${template.name}” already. Give this one another name; nothing was changed.`;
    if (offered.length >= MOST_LOOKS)
      return `The outfit offers ${MOST_LOOKS} templates for these fields, which is the most. Nothing was changed.`;
    await addTemplate(db, contents, show.id, outfitId, template);
    wardrobes = (await loadShow(db, contents, show.id)).wardrobes;
    rundown.setContext({ wardrobes });
    return undefined;
  };
  const stills = new StillPainter(
    (hash) => contents.find(hash),
    (file) => media.readFile(file),
    () => fonts.list(),
    workerFile("stills/stillWorker"),
  );
  return {
    show,
    host,
    rundown,
    contents,
    links,
    scriptures,
    songs,
    textImport: new TextImport(scriptures, options.readText ?? readInWorker(workerFile("files/textWorker"))),
    readAgain,
    removeText: async (code) => {
      await scriptures.remove(code);
      readAgain();
    },
    licence: () => licence,
    setLicence: async (wanted) => {
      await saveLicence(db, show.id, wanted);
      licence = wanted;
      rundown.setContext({ licence }, ({ kind }) => kind === "song");
    },
    screens,
    editScreens,
    pairing: new Pairing(now),
    passcode,
    keys,
    evenings,
    editEvenings: createEveningsEditor(evenings, rundown, () => live.hosts(), now),
    live,
    airLog,
    media,
    fonts,
    stills,
    style: () => style,
    wearStyle,
    wardrobes: () => wardrobes,
    offerTemplate,
    addFont: async (id, name, bytes) => {
      const added = await fonts.add(id, name, bytes);
      if ("font" in added) rundown.setContext({ fallbackFonts: fallbackFonts() });
      return added;
    },
    buildId: options.buildId,
    now,
  };
}

/** A thread's file: beside the bundle, or the source, for which the thread needs the TypeScript loader first. */
function workerFile(source: string): URL {
  if (!import.meta.url.endsWith(".ts")) return new URL(`./${source.split("/").at(-1)}.js`, import.meta.url);
  const loader = import.meta.resolve("tsx/esm/api");
  const file = new URL(`./${source}.ts`, import.meta.url).href;
  const start = `import { register } from ${JSON.stringify(loader)}; register(); await import(${JSON.stringify(file)});`;
  return new URL(`data:text/javascript,${encodeURIComponent(start)}`);
}

async function seedMedia(media: MediaStore, seed: Seed, home: string, atMs: number): Promise<void> {
  for (const { id, name, file, poster, key } of seed.media) {
    const added = await media.add(
      {
        id,
        name,
        bytes: readFileSync(join(home, file)),
        poster: poster === null ? null : readFileSync(join(home, poster)),
        durationMs: null,
        key,
      },
      atMs,
    );
    if ("problem" in added) throw new Error(`The demo's ${file} was not taken in: ${added.problem}`);
  }
}

async function loadScriptures(db: Db, home: string): Promise<ScriptureStore> {
  const store = new ScriptureStore(db);
  await store.load();
  const have = new Set(store.list().map(({ code }) => code));
  for (const { code, name, file } of SHIPPED_TEXTS) {
    if (have.has(code)) continue;
    const { verses, language, rights } = readScriptureFile(readFileSync(join(home, "texts/scripture", file)));
    // Nothing else waits yet: all at once is quickest.
    await store.add({ code, name, language, rights }, [verses], undefined, verses.length);
  }
  return store;
}

/** The key under which loaders find the services. The server and the route build hold two copies of this module. */
const KEY = Symbol.for("vesko.servicesContext");
type ServicesContext = ReturnType<typeof createContext<Services>>;
const registry = globalThis as unknown as Record<symbol, ServicesContext | undefined>;

export function servicesContext(): ServicesContext {
  registry[KEY] ??= createContext<Services>();
  return registry[KEY];
}
