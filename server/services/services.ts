import { fileURLToPath } from "node:url";
import { sql } from "kysely";
import { t } from "../../core/language/t.ts";
import { setAsideSentence } from "../../core/report/health.ts";
import type { EveningEdit } from "../../core/rundown/evening.ts";
import { shownSources } from "../../painters/program/shownSource.ts";
import { Guesses } from "../access/guesses.ts";
import { Pairing } from "../access/pairing.ts";
import type { ReadPeer } from "../access/peer.ts";
import { type Aside, createAside } from "../aside/aside.ts";
import { createKeptThread } from "../aside/keptThread.ts";
import { processFile, workerFile } from "../aside/workerFile.ts";
import type { Carry } from "../carry/carry.ts";
import { CommentHost } from "../comments/commentHost.ts";
import { BroughtPictures } from "../feeds/broughtPictures.ts";
import { FeedHost } from "../feeds/feedHost.ts";
import { LiveBindings } from "../feeds/liveBindings.ts";
import { VenueTables } from "../feeds/venueTables.ts";
import { WatchedFolder } from "../feeds/watchedFolder.ts";
import { SlideConverter } from "../files/slideConverter.ts";
import { ClipHost } from "../follow/clipHost.ts";
import {
  type DeviceOptions,
  type FollowedDevices,
  followDevices,
  NO_DEVICES,
} from "../follow/followDevices.ts";
import { FollowHost } from "../follow/followHost.ts";
import { nowNextOf } from "../follow/nowNextHost.ts";
import { Health } from "../health/health.ts";
import type { ShowClock } from "../health/showClock.ts";
import { Stalls } from "../health/stalls.ts";
import { Compaction } from "../host/compaction.ts";
import { createEveningsEditor } from "../host/editEvenings.ts";
import { createLibraryEditor, type LibraryEditor } from "../host/editLibrary.ts";
import { createScreensEditor } from "../host/editScreens.ts";
import { createTemplatesEditor, type TemplatesEditor } from "../host/editTemplates.ts";
import { KeptJournal } from "../host/journal.ts";
import { sendSavedCues } from "../host/sendSavedCues.ts";
import { ShowHost } from "../host/showHost.ts";
import { ValueHost } from "../host/valueHost.ts";
import { LiveServer } from "../live/liveServer.ts";
import { programVersion } from "../programVersion.ts";
import { BesideLog, titlesByTable } from "../report/besideLog.ts";
import { Reports } from "../report/reports.ts";
import { contextStamp } from "../rundown/contextStamp.ts";
import type { KeptContents } from "../rundown/keptContents.ts";
import type { Rundown } from "../rundown/rundown.ts";
import { keepSecond, whoLeads } from "../second/knownSecond.ts";
import { SecondMachine } from "../second/secondMachine.ts";
import { StillPainter } from "../stills/stillPainter.ts";
import { type Db, onWritten } from "../store/database.ts";
import type { ScreensEdit } from "../store/screenStore.ts";
import { ShowKeeper } from "../store/showKeeper.ts";
import { type ReadText, readInWorker, TextImport } from "../words/textImport.ts";
import { type Ingredients, openRundown } from "./openRundown.ts";
import { openStores, type Stores } from "./openStores.ts";
import { startQuickly } from "./quickStart.ts";

/** Everything that loaders, actions and the live channel need. One per process. */
export interface Services
  extends Omit<
      Stores,
      "cues" | "shaper" | "setAside" | "valueLog" | "feedStore" | "commentStore" | "followStore"
    >,
    Ingredients {
  readonly host: ShowHost;
  readonly rundown: Rundown;
  /** Brings scripture texts in. */
  readonly textImport: TextImport;
  readonly pairing: Pairing;
  /** Changes what evenings there are, or which is open. @returns a sentence when it cannot be done */
  readonly editEvenings: (edit: EveningEdit) => Promise<string | undefined>;
  /** Changes screens and plans; the air follows where it must. @returns a sentence when it cannot be done */
  readonly editScreens: (edit: ScreensEdit, deskId?: string) => Promise<string | undefined>;
  readonly live: LiveServer;
  readonly stills: StillPainter;
  /** What each outfit wears and offers. */
  readonly templates: TemplatesEditor;
  readonly library: LibraryEditor;
  /** Work on files, beside the server's own thread. */
  readonly aside: Aside;
  readonly guesses: Guesses;
  readonly health: Health;
  readonly stalls: Stalls;
  /** Values that change often, beside the air. */
  readonly values: ValueHost;
  /** Tables that fill pages. */
  readonly feeds: FeedHost;
  /** Those of them that are edited here. */
  readonly tables: VenueTables;
  /** What people wrote, and what of it was picked. */
  readonly comments: CommentHost;
  readonly bindings: LiveBindings;
  /** Sources and triggers. */
  readonly follow: FollowHost;
  readonly clips: ClipHost;
  readonly devices: FollowedDevices;
  /** Lets go of what is old. */
  readonly compaction: Compaction;
  /** What was shown. */
  readonly reports: Reports;
  /** Show files and copies; it outlives these services. */
  readonly carry: Carry;
  /** What follows this machine and could take over; undefined where the show is in no file. */
  readonly second: SecondMachine | undefined;
  /** Ends leading, for a second machine that is ready. @returns whether there is one */
  readonly giveOver: () => Promise<boolean>;
  /** Makes PDF of presentations; undefined where no program was named. */
  readonly slideConverter: SlideConverter | undefined;
  /** Folder of this project. */
  readonly home: string;
  readonly buildId: string;
  /** By which it can be reached, the nearest first. */
  readonly addresses: readonly string[];
  readonly now: () => number;
  /**
   * Ends what runs by itself; what is not written yet is written.
   * @param whenWritten is done before the second machine is let go
   */
  readonly close: (whenWritten?: () => Promise<void>) => Promise<void>;
}

/** Reading one feed once may take so long. */
const READ_FEED_WITHIN_MS = 10_000;
/** Times that move with the clock are told to the minute. */
const RUNNING_EVERY_MS = 1_000;
/** Links that end by themselves. */
const LOOK_FOR_ENDED_MS = 2_000;
/** Shorter ones nobody sees. */
const STALL_TOLD_MS = 500;

export interface ServiceOptions {
  /** Folder of this project. */
  readonly home: string;
  readonly buildId: string;
  readonly clock: ShowClock;
  readonly readPeer: ReadPeer;
  /** Looked after when it is said: folded, copied, its room watched. */
  readonly databaseFile?: string;
  /** What cues were made to the last time; all are made at the start when not said. */
  readonly keptContents?: KeptContents | undefined;
  /** Where copies of it go to as well. */
  readonly backupFolder?: string | undefined;
  /** Where work on files is done; in threads of their own when not said. */
  readonly aside?: Aside;
  /** Where pictures and clips are kept. */
  readonly mediaFolder: string;
  /** Show files and copies; for the demo's tests that have none, whatever is asked of it is refused. */
  readonly carry: Carry;
  /** Gives over to the second machine; never when not said. */
  readonly giveOver?: () => Promise<boolean>;
  /** The second machine leads, and this one was not there to give over. */
  readonly onOtherLeads?: (address: string) => void;
  /** By which the server can be reached, the nearest first. */
  readonly addresses?: readonly string[];
  /** The command that makes PDF of presentations; none when not said. */
  readonly slideCommand?: string | undefined;
  /** A folder whose files feeds may read; none when not said. */
  readonly feedFolder?: string;
  /** Hosts that feeds may ask, each a name or a name and a port. */
  readonly feedHosts?: readonly string[];
  /** Doors for other devices; none when not said. */
  readonly devices?: DeviceOptions;
  /** How long a rehearsal waits for a desk whose window was lost; ten seconds when not said. */
  readonly rehearsalWaitsMs?: number;
  /** How files of scripture are read; in a thread of its own when not said. */
  readonly readText?: ReadText;
}

export async function openServices(db: Db, options: ServiceOptions): Promise<Services> {
  const { clock, home, mediaFolder, readPeer, buildId, rehearsalWaitsMs } = options;
  const { now } = clock;
  const startedAtMs = now();
  const aside = options.aside ?? createAside(workerFile("aside/asideWorker"));
  const { cues, shaper, setAside, valueLog, feedStore, commentStore, followStore, ...stores } =
    await openStores(db, {
      home,
      mediaFolder,
      aside,
      now,
    });
  const {
    show,
    airLog,
    contents,
    designs,
    scriptures,
    media,
    fonts,
    screens,
    evenings,
    venue,
    links,
    sessions,
  } = stores;
  const { rundown, ingredients } = openRundown({
    ...stores,
    cues,
    shaper,
    setAside,
    valueLog,
    feedStore,
    commentStore,
    followStore,
  });
  clock.notBefore((await airLog.lastAtMs()) ?? 0);
  const journal = new KeptJournal(airLog, now);
  const layerName = (id: string) => show.layers.find((layer) => layer.id === id)?.name ?? id;
  const devices = options.devices ?? NO_DEVICES;
  let deviceLinks: FollowedDevices | undefined;
  const follow: FollowHost = new FollowHost({
    store: followStore,
    cues: () => rundown.ready(),
    names: {
      layer: layerName,
      plan: (id) => screens.plans.find((plan) => plan.id === id)?.name ?? t`a plan that is gone`,
      feed: (id) => feeds.find(id)?.doc.name ?? t`a feed that is gone`,
    },
    clips: () => clips,
    findMedia: (id) => media.find(id)?.info,
    isOnProgram: (id) => host.state.sources.program.includes(id),
    links: () => deviceLinks,
    allowed: devices.allowed,
  });
  const clips = new ClipHost({
    store: followStore,
    findMedia: (id) => media.find(id)?.info,
    usedBy: (clipId) => follow.usesOfClip(clipId),
    onChange: () => follow.clipsChanged(),
  });
  const opening = {
    ...{ kind: "showOpened" as const, showId: show.id, timeZone: show.timeZone },
    ...{ layers: [...show.layers], plan: show.plan },
  };
  const host = await ShowHost.open(
    airLog,
    journal,
    contents,
    rundown,
    screens,
    {
      triggers: () => follow.triggers(),
      names: follow.names,
      mostActsPerSecond: () => follow.settings.mostActsPerSecond,
      clips: () => clips.ready(),
      evening: () => evenings.open,
    },
    opening,
    now,
  );
  host.onEvent(({ event }) => {
    if (event.kind === "sourcesChanged") follow.programChanged();
  });
  const values = new ValueHost(await valueLog.restore(), valueLog, now);
  const thread = createKeptThread(workerFile("aside/asideWorker"), READ_FEED_WITHIN_MS);
  const library = createLibraryEditor({ media, designs, aside, now });
  const pictures = new BroughtPictures({ media, library, now });
  const feeds = await FeedHost.open({
    store: feedStore,
    pictures,
    thread: options.aside ?? thread,
    folder: options.feedFolder === undefined ? undefined : new WatchedFolder(options.feedFolder),
    hosts: options.feedHosts ?? [],
    running: () => nowNextOf({ host, rundown, evenings, store: followStore, clips, now }),
    now,
  });
  const tables = new VenueTables({ feeds, store: feedStore, links, now });
  const comments = await CommentHost.open({ store: commentStore, feeds, tables, pictures, media, now });
  const bindings = new LiveBindings({
    feeds,
    values,
    rundown,
    contents,
    hosts: () => live.hosts(),
    language: () => venue.settings.language,
  });
  const outputName = (id: string) => screens.outputs.find((output) => output.id === id)?.name ?? id;
  const reports = new Reports({
    airLog,
    contents,
    notes: stores.reportNotes,
    beside: stores.besideStore,
    evenings,
    songs: stores.songs,
    songsShown: stores.songsShown,
    opening: () => ({ ...opening, layers: [...show.layers], plan: host.state.plan }),
    layerName,
    outputName: (id) => screens.outputs.find((output) => output.id === id)?.name,
    now,
  });
  const compaction = new Compaction({
    airLog,
    contents,
    host,
    kept: () => venue.settings.kept,
    layerName,
    sourceName: follow.names.source,
    outputName,
    keepSongs: (untilMs) => reports.keepSongs(untilMs),
    now,
  });
  const stalls = new Stalls();
  const beside = new BesideLog({
    store: stores.besideStore,
    screens: () => live.screens(),
    outputName,
    titleOfTable: (tableId) => titlesByTable(rundown.ready()).get(tableId),
    now,
  });
  stalls.onStall((ms) => {
    if (ms > STALL_TOLD_MS) beside.add("stall", "", ms, `The server stood still for ${Math.round(ms)} ms.`);
  });
  feeds.onNews((sentence) => beside.add("feed", "", null, sentence));
  values.onChange((changes) => beside.values(changes));
  const { databaseFile } = options;
  const keeper =
    databaseFile === undefined
      ? undefined
      : new ShowKeeper({
          file: databaseFile,
          workerFile: workerFile("store/keeperWorker"),
          otherFolder: options.backupFolder,
          now,
          isQuiet: () => host.isQuiet,
          changeCount: async () =>
            (await sql<{ count: number }>`select total_changes() as count`.execute(db)).rows[0]?.count ?? 0,
        });
  const stills = new StillPainter({
    findDocument: (hash) => contents.find(hash),
    findFile: (file) => media.findFile(file),
    listFonts: () => fonts.list(),
    program: () => shownSources(host.state, follow.sources, follow.media),
    now,
    workerFile: fileURLToPath(processFile("stills/stillWorker")),
  });
  const second =
    databaseFile === undefined || keeper === undefined
      ? undefined
      : new SecondMachine({
          databaseFile,
          mediaFolder,
          show: () => show.name,
          program: programVersion(home),
          copyPages: (to) => keeper.copyPages(to),
          onWritten: (listener) => onWritten(db, listener),
          whoLeads: async () => {
            const other = await whoLeads(databaseFile);
            return other?.answers ? other.address : undefined;
          },
          onOtherLeads: (address) => options.onOtherLeads?.(address),
          now,
        });
  const health: Health = new Health({
    journal,
    keeper,
    stalls,
    clock,
    screens: () => live.screens(),
    stillsWaiting: () => stills.waiting,
    setAside: () => setAside.rows,
    second: () => second?.view ?? { kind: "none" },
    startedAtMs,
  });
  const live: LiveServer = new LiveServer({
    host,
    rundown,
    evenings,
    venue,
    fonts,
    designs,
    contents,
    links,
    sessions,
    screens,
    values,
    feeds,
    bindings,
    follow,
    media,
    stalls,
    beside,
    health,
    now,
    readPeer,
    buildId,
    onNews: (listener) => clock.onJump(listener),
    greeting: () => setAsideSentence(setAside.rows),
    second: () => second?.address ?? null,
    ...(rehearsalWaitsMs !== undefined && { rehearsalWaitsMs }),
  });
  deviceLinks = await followDevices({
    devices,
    follow,
    clips,
    keys: () => venue.settings.keys,
    host,
    hosts: () => live.hosts(),
    feeds,
    rundown,
    bindings,
    now,
    onNews: (sentence) => live.tellNews(sentence),
  });
  second?.onChange(() => {
    live.tellSecond();
    if (databaseFile !== undefined && second.address !== null)
      keepSecond(databaseFile, { address: second.address, token: links.secondToken });
  });
  second?.onNews((sentence) => live.tellNews(sentence));
  const endedTimer = setInterval(() => links.lookForEnded(), LOOK_FOR_ENDED_MS);
  links.onRevoked(() => second?.closeUnless(links.secondToken));
  media.onChange(() => {
    feeds.followNames();
    bindings.refill();
  });
  venue.onChange(() => bindings.refill());
  // After what is on air is known: a cue that is the same has its very content.
  const keepContents = options.keptContents
    ? startQuickly({
        rundown,
        kept: options.keptContents,
        stamp: () => contextStamp(rundown.context, media, scriptures),
        fromId: host.state.arm?.target.cueId ?? null,
      })
    : undefined;
  if (!keepContents) rundown.compileAll();
  // Before it is compiled nothing would be now, and pages that say what is would be empty for a moment.
  const followRunning = () => feeds.followRunning();
  host.onEvent(followRunning);
  rundown.onChange(followRunning);
  follow.onChange(followRunning);
  // The script's times move with the clock.
  const runningTimer = setInterval(followRunning, RUNNING_EVERY_MS);
  followRunning();
  sendSavedCues(rundown, () => live.hosts());
  const guesses = new Guesses(now);
  const readText = options.readText ?? readInWorker(workerFile("files/textWorker"));
  return {
    ...stores,
    ...ingredients,
    host,
    rundown,
    live,
    stills,
    values,
    feeds,
    tables,
    comments,
    bindings,
    follow,
    clips,
    devices: deviceLinks,
    compaction,
    reports,
    health,
    stalls,
    aside,
    guesses,
    pairing: new Pairing(now, guesses),
    textImport: new TextImport(scriptures, media.incoming, readText),
    templates: createTemplatesEditor(designs, media, now),
    library,
    editScreens: createScreensEditor(screens, links, host, designs.list("outfit")[0]?.id ?? ""),
    editEvenings: createEveningsEditor(evenings, rundown, designs, () => live.hosts(), now),
    carry: options.carry,
    second,
    giveOver: options.giveOver ?? (async () => false),
    slideConverter: options.slideCommand === undefined ? undefined : new SlideConverter(options.slideCommand),
    home,
    buildId,
    addresses: options.addresses ?? [],
    now,
    close: async (whenWritten) => {
      clearInterval(runningTimer);
      clearInterval(endedTimer);
      deviceLinks?.close();
      live.close();
      stills.close();
      stalls.close();
      await beside.close();
      compaction.close();
      await keepContents?.();
      await feeds.close();
      thread.close();
      await values.close();
      await journal.flush();
      journal.close();
      await whenWritten?.();
      second?.close();
      await keeper?.close();
    },
  };
}
