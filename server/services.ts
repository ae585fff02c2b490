import { randomUUID } from "node:crypto";
import { fileURLToPath } from "node:url";
import { sql } from "kysely";
import type { Wardrobe } from "../core/rundown/compileContext.ts";
import type { EveningEdit } from "../core/rundown/evening.ts";
import type { HouseStyle } from "../core/scene/houseStyle.ts";
import type { Template } from "../core/scene/template.ts";
import { costOf, DEAREST_TEMPLATE_MEGAPIXELS } from "../core/scene/templateCost.ts";
import { canvasOf } from "../core/screens/plan.ts";
import { outfitForShape } from "../core/screens/shape.ts";
import { pagesOn } from "../core/show/layers.ts";
import { FALLBACK_FONTS } from "../core/text/fontList.ts";
import { namingLanguage } from "../core/words/reader/labelWords.ts";
import { FIELD_SETS } from "../designs/fieldSets.ts";
import { Guesses } from "./access/guesses.ts";
import type { ReadPeer } from "./access/peer.ts";
import { DeskSessions } from "./access/sessions.ts";
import { type Aside, createAside } from "./aside/aside.ts";
import { loadShaper } from "./fonts.ts";
import { Health } from "./health/health.ts";
import type { ShowClock } from "./health/showClock.ts";
import { Stalls } from "./health/stalls.ts";
import { createEveningsEditor } from "./live/editEvenings.ts";
import { createScreensEditor } from "./live/editScreens.ts";
import { KeptJournal } from "./live/journal.ts";
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
import { LinkStore } from "./store/linkStore.ts";
import { addShippedTexts } from "./store/makeShow.ts";
import { MediaStore } from "./store/mediaStore.ts";
import { Passcode } from "./store/passcode.ts";
import { ScreenStore, type ScreensEdit } from "./store/screenStore.ts";
import type { ScriptureStore } from "./store/scriptureStore.ts";
import { ShowKeeper } from "./store/showKeeper.ts";
import {
  addTemplate,
  dropTemplate,
  findShowId,
  loadShow,
  type Show,
  saveLicence,
  savePlace,
  saveStyle,
} from "./store/showStore.ts";
import { SongStore } from "./store/songStore.ts";
import { VenueStore } from "./store/venueStore.ts";
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
  /** Name of the house. */
  readonly place: () => string;
  readonly setPlace: (place: string) => Promise<void>;
  /** The venue's licence number for this event. */
  readonly licence: () => string;
  readonly setLicence: (licence: string) => Promise<void>;
  readonly screens: ScreenStore;
  readonly pairing: Pairing;
  readonly passcode: Passcode;
  readonly venue: VenueStore;
  readonly evenings: EveningStore;
  /** Changes what evenings there are, or which is open. @returns a sentence when it cannot be done */
  readonly editEvenings: (edit: EveningEdit) => Promise<string | undefined>;
  /** Changes screens and plans; the air follows where it must. @returns a sentence when it cannot be done */
  readonly editScreens: (edit: ScreensEdit, deskId?: string) => Promise<string | undefined>;
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
  /** Takes an offered template from an outfit. @returns a sentence when it cannot be taken */
  readonly removeTemplate: (outfitId: string, name: string) => Promise<string | undefined>;
  /** Adds a font; cues are compiled anew with it. */
  readonly addFont: FontStore["add"];
  /** Takes a font out; cues are compiled anew without it. */
  readonly removeFont: FontStore["remove"];
  /** Work on files, beside the server's own thread. */
  readonly aside: Aside;
  /** Browsers on other machines that were let in. */
  readonly sessions: DeskSessions;
  readonly guesses: Guesses;
  readonly health: Health;
  readonly buildId: string;
  readonly now: () => number;
  /** Ends what runs by itself; what is not written yet is written. */
  readonly close: () => Promise<void>;
}

export interface ServiceOptions {
  /** Folder of this project. */
  readonly home: string;
  readonly buildId: string;
  readonly clock: ShowClock;
  readonly readPeer: ReadPeer;
  /** Looked after when it is said: folded, copied, its room watched. */
  readonly databaseFile?: string;
  /** Where work on files is done; in threads of their own when not said. */
  readonly aside?: Aside;
  /** Where pictures and clips are kept. */
  readonly mediaFolder: string;
  /** How long a rehearsal waits for a desk whose window was lost; ten seconds when not said. */
  readonly rehearsalWaitsMs?: number;
  /** How files of scripture are read; in a thread of its own when not said. */
  readonly readText?: ReadText;
}

/** Templates an outfit may offer for one field set. */
const MOST_LOOKS = 40;

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
  const { clock, home } = options;
  const { now } = clock;
  const startedAtMs = now();
  const contents = new ContentStore(db);
  const scriptures = await addShippedTexts(db, home);
  const shaper = await loadShaper();
  const showId = await findShowId(db);
  if (showId === undefined) throw new Error("There is no show in the database");
  const aside = options.aside ?? createAside(workerFile("aside/asideWorker"));
  const show = await loadShow(db, contents, showId);
  const media = new MediaStore(db, contents, showId, options.mediaFolder, aside);
  await media.load();
  const songs = new SongStore(db);
  await songs.load();
  const fonts = new FontStore(db, showId, media, shaper, aside);
  await fonts.load();
  const fallbackFonts = () => [...FALLBACK_FONTS, ...fonts.list().map(({ id }) => id)];
  const findMedia = (id: string) => media.find(id)?.hash;
  const screens = new ScreenStore(db, showId);
  await screens.load();
  const evenings = new EveningStore(db, showId);
  await evenings.load();
  const cueStore = new CueStore(db, showId);
  await cueStore.open(evenings.open.id);
  const venue = new VenueStore(db, showId);
  await venue.load();
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
    language: namingLanguage(venue.settings.language),
    licence: show.licence,
  });
  let language = namingLanguage(venue.settings.language);
  venue.onChange((settings) => {
    // Sections that are called as before need not be made anew.
    const named = namingLanguage(settings.language);
    if (named === language) return;
    language = named;
    rundown.setContext({ language }, ({ kind }) => kind === "song");
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
  let { place } = show;
  let style = show.style.style;
  const wearStyle = async (wanted: HouseStyle) => {
    const hash = await saveStyle(db, contents, show.id, wanted);
    style = wanted;
    rundown.setContext({ style: { hash, style: wanted } });
  };
  rundown.compileAll();
  const passcode = new Passcode(db, showId);
  await passcode.load();
  const readAgain = () => rundown.setContext({ scripture: scriptures }, ({ kind }) => kind === "reading");
  const airLog = new AirLog(db, contents, showId);
  clock.notBefore((await airLog.lastAtMs()) ?? 0);
  const journal = new KeptJournal(airLog, now);
  const host = await ShowHost.open(
    airLog,
    journal,
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
  const sessions = new DeskSessions(db, showId, now);
  await sessions.load();
  const guesses = new Guesses(now);
  const stalls = new Stalls();
  const keeper =
    options.databaseFile === undefined
      ? undefined
      : new ShowKeeper({
          file: options.databaseFile,
          workerFile: workerFile("store/keeperWorker"),
          now,
          isQuiet: () => host.isQuiet,
          changeCount: async () =>
            (await sql<{ count: number }>`select total_changes() as count`.execute(db)).rows[0]?.count ?? 0,
        });
  const health: Health = new Health({
    journal,
    keeper,
    stalls,
    clock,
    screens: () => live.screens(),
    stillsWaiting: () => stills.waiting,
    startedAtMs,
  });
  const live: LiveServer = new LiveServer({
    host,
    rundown,
    evenings,
    venue,
    fonts,
    contents,
    links,
    sessions,
    screens,
    stalls,
    now,
    readPeer: options.readPeer,
    buildId: options.buildId,
    storage: () => health.storage(),
    onStorage: (listener) => {
      let said = "";
      const look = () => {
        const saying = JSON.stringify(health.storage());
        if (saying === said) return;
        said = saying;
        listener();
      };
      journal.onChange(look);
      keeper?.onChange(look);
    },
    onNews: (listener) => clock.onJump(listener),
    ...(options.rehearsalWaitsMs !== undefined && { rehearsalWaitsMs: options.rehearsalWaitsMs }),
  });
  const editScreens = createScreensEditor(screens, links, host, show.outfits[0]?.id ?? "");
  let wardrobes = show.wardrobes;
  const offerTemplate = async (outfitId: string, template: Template) => {
    const wardrobe = wardrobes.find((candidate) => candidate.outfitId === outfitId);
    if (!wardrobe) return "No outfit has that name. Nothing was changed.";
    if (!FIELD_SETS.some(({ id }) => id === template.fieldSet))
      return `The template is for fields called “${template.fieldSet}”, which no page has. Nothing was changed.`;
    const { megapixels, dearest } = costOf(template);
    if (megapixels > DEAREST_TEMPLATE_MEGAPIXELS)
      return `The template would take ${Math.round(megapixels)} million pixels to draw, most of them for “${dearest?.id}” (${Math.round(dearest?.megapixels ?? 0)} million); at most ${DEAREST_TEMPLATE_MEGAPIXELS} million are taken. Make its boxes, blurs and shadows smaller; nothing was changed.`;
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
  const removeTemplate = async (outfitId: string, name: string) => {
    const wardrobe = wardrobes.find((candidate) => candidate.outfitId === outfitId);
    const found = [...(wardrobe?.templates ?? [])].find(([, offered]) =>
      offered.some(({ template }) => template.name === name),
    );
    if (!found) return "No outfit has that template any more.";
    const [fieldSet, offered] = found;
    if (offered[0]?.template.name === name)
      return `“${name}” is what the outfit wears, so it stays. Nothing was changed.`;
    const hash = offered.find(({ template }) => template.name === name)?.hash ?? "";
    await dropTemplate(db, show.id, outfitId, fieldSet, hash);
    wardrobes = (await loadShow(db, contents, show.id)).wardrobes;
    rundown.setContext({ wardrobes });
    return undefined;
  };
  const stills: StillPainter = new StillPainter({
    findDocument: (hash) => contents.find(hash),
    findFile: (file) => media.findFile(file),
    listFonts: () => fonts.list(),
    workerFile: fileURLToPath(processFile("stills/stillWorker")),
  });
  return {
    show,
    host,
    rundown,
    contents,
    links,
    scriptures,
    songs,
    aside,
    sessions,
    guesses,
    health,
    textImport: new TextImport(
      scriptures,
      media.incoming,
      options.readText ?? readInWorker(workerFile("files/textWorker")),
    ),
    readAgain,
    removeText: async (code) => {
      await scriptures.remove(code);
      readAgain();
    },
    place: () => place,
    setPlace: async (wanted) => {
      await savePlace(db, show.id, wanted);
      place = wanted;
    },
    licence: () => licence,
    setLicence: async (wanted) => {
      await saveLicence(db, show.id, wanted);
      licence = wanted;
      rundown.setContext({ licence }, ({ kind }) => kind === "song");
    },
    screens,
    editScreens,
    pairing: new Pairing(now, guesses),
    passcode,
    venue,
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
    removeTemplate,
    addFont: async (id, name, file, signal) => {
      const added = await fonts.add(id, name, file, signal);
      if ("font" in added) rundown.setContext({ fallbackFonts: fallbackFonts() });
      return added;
    },
    removeFont: async (id) => {
      const removed = await fonts.remove(id);
      if (removed) rundown.setContext({ fallbackFonts: fallbackFonts() });
      return removed;
    },
    buildId: options.buildId,
    now,
    close: async () => {
      live.close();
      stills.close();
      stalls.close();
      await journal.flush();
      journal.close();
      await keeper?.close();
    },
  };
}

/** A file that is started as a process of its own. */
function processFile(source: string): string {
  return import.meta.url.endsWith(".ts")
    ? new URL(`./${source}.ts`, import.meta.url).href
    : new URL(`./${source.split("/").at(-1)}.js`, import.meta.url).href;
}

/** A thread's file: beside the bundle, or the source, for which the thread needs the TypeScript loader first. */
function workerFile(source: string): URL {
  if (!import.meta.url.endsWith(".ts")) return new URL(`./${source.split("/").at(-1)}.js`, import.meta.url);
  const loader = import.meta.resolve("tsx/esm/api");
  const file = new URL(`./${source}.ts`, import.meta.url).href;
  const start = `import { register } from ${JSON.stringify(loader)}; register(); await import(${JSON.stringify(file)});`;
  return new URL(`data:text/javascript,${encodeURIComponent(start)}`);
}
