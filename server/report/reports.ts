import { setImmediate as nextTurn } from "node:timers/promises";
import { type AsRun, AsRunBook, type Shown } from "../../core/report/asRun.ts";
import { type AsRunNames, type AsRunRow, asRunRows, cueRows } from "../../core/report/asRunRow.ts";
import { type PastLength, pastLengths, sameAs } from "../../core/report/pastLengths.ts";
import type { PastState } from "../../core/report/pastState.ts";
import type { Range, Report } from "../../core/report/report.ts";
import { RUN_GAP_MS, type Run, runsOf } from "../../core/report/runs.ts";
import { type SongShown, type SongUse, songUse, within } from "../../core/report/songUse.ts";
import type { PageContent } from "../../core/rundown/content.ts";
import { findStepIndex, stepsOf } from "../../core/rundown/steps.ts";
import { type AirEvent, contentsIn, type LoggedEvent } from "../../core/show/events.ts";
import { evolve } from "../../core/show/evolve.ts";
import { contentsOf, type ShowState } from "../../core/show/state.ts";
import { type Credits, creditsSchema, joinCredits, NO_CREDITS } from "../../core/words/credits.ts";
import { parseSong } from "../../core/words/song.ts";
import type { AirLog } from "../store/airLog.ts";
import type { BesideStore } from "../store/besideStore.ts";
import type { ContentStore } from "../store/contentStore.ts";
import type { EveningStore } from "../store/eveningStore.ts";
import { pinnedBy } from "../store/pinnedBy.ts";
import type { ReportStore } from "../store/reportStore.ts";
import type { SongShownStore } from "../store/songShownStore.ts";
import type { SongStore } from "../store/songStore.ts";

/** So many lines are written in one turn. */
const ROWS_AT_ONCE = 250;
/** What is on air when a run begins may have come so long before it. */
const BEFORE_MS = 7 * 24 * 60 * 60 * 1_000;

export interface ReportsParts {
  readonly airLog: Pick<AirLog, "between" | "marks">;
  readonly contents: Pick<ContentStore, "read">;
  readonly notes: Pick<ReportStore, "notes">;
  readonly beside: Pick<BesideStore, "between" | "sinceMs">;
  readonly evenings: Pick<EveningStore, "nameOf">;
  readonly songs: Pick<SongStore, "find">;
  readonly songsShown: SongShownStore;
  /** Stands in where the log does not begin with its first event any more. */
  readonly opening: () => Extract<AirEvent, { kind: "showOpened" }>;
  readonly layerName: (id: string) => string;
  readonly outputName: (id: string) => string | undefined;
  readonly now: () => number;
}

/** What was shown, read from the log of the air, a little at a time: the air goes on meanwhile. */
export class Reports {
  readonly #parts: ReportsParts;

  constructor(parts: ReportsParts) {
    this.#parts = parts;
  }

  /** The runs of the show, the latest first. */
  async runs(): Promise<Run[]> {
    return runsOf(await this.#parts.airLog.marks());
  }

  async read(range: Range): Promise<Report> {
    const { asRun, names } = await this.#follow(range);
    const shown: AsRunRow[] = [];
    for (let at = 0; at < asRun.shown.length; at += ROWS_AT_ONCE) {
      shown.push(...asRunRows(asRun.shown.slice(at, at + ROWS_AT_ONCE), names));
      await nextTurn();
    }
    const cues = cueRows(asRun, names, Math.min(range.untilMs, this.#parts.now()));
    const seqs = [...shown, ...cues].map(({ seq }) => seq);
    const notes =
      seqs.length > 0 ? await this.#parts.notes.notes(least(seqs), -least(seqs.map((seq) => -seq))) : [];
    const evening = await this.#parts.evenings.nameOf([...new Set(shown.map(({ cueId }) => cueId))]);
    return {
      ...{ evening: evening ?? null, shown, cues, notes },
      beside: await this.#parts.beside.between(range),
      hasBeside: ((await this.#parts.beside.sinceMs()) ?? Number.POSITIVE_INFINITY) <= range.fromMs,
    };
  }

  /** Which songs were shown, and how: from what is kept of them where the log was let go, and from the log. */
  async songs(range: Range): Promise<SongUse[]> {
    const { songs, songsShown } = this.#parts;
    const kept = await songsShown.between(range);
    const inLog = await this.#songsInLog({
      fromMs: Math.max(range.fromMs, await songsShown.untilMs()),
      untilMs: range.untilMs,
    });
    const shown = [...kept, ...inLog].flatMap((each) => within(each, range) ?? []);
    // What is said in the library since fills what nobody had said.
    const library = new Map<string, Credits>();
    for (const songId of new Set(shown.map((each) => each.songId))) {
      const found = songId === null ? undefined : await songs.find(songId);
      const parsed = found && parseSong(found.song.text, found.song.title);
      if (found && parsed && songId !== null)
        library.set(
          songId,
          joinCredits(found.song.credits, "song" in parsed ? parsed.song.credits : NO_CREDITS),
        );
    }
    return songUse(
      shown.map((each) => {
        const known = library.get(each.songId ?? "");
        return known ? { ...each, credits: joinCredits(each.credits ?? NO_CREDITS, known) } : each;
      }),
    );
  }

  /** Keeps which songs were shown up to a time, before the log up to then is let go. */
  async keepSongs(untilMs: number): Promise<void> {
    const { songsShown } = this.#parts;
    await songsShown.add(await this.#songsInLog({ fromMs: await songsShown.untilMs(), untilMs }));
  }

  async #songsInLog(range: Range): Promise<SongShown[]> {
    if (range.fromMs >= range.untilMs) return [];
    const { asRun, names } = await this.#follow(range);
    return asRun.shown.flatMap((each): SongShown[] => {
      const content = names.findContent(each.page.content);
      if (content?.cueKind !== "song" || !isWords(content, each)) return [];
      const { songId = null, ...credits } = content.song ?? {};
      const shown: SongShown = {
        ...{ cueId: each.page.cueId, songId, title: content.title },
        ...(content.song && { credits: creditsSchema.parse(credits) }),
        fromMs: each.fromMs,
        untilMs: each.untilMs ?? this.#parts.now(),
        screens: each.outputIds.map(names.outputName),
      };
      const inside = within(shown, range);
      return inside ? [inside] : [];
    });
  }

  /** How long these cues took in the runs before the present one. */
  async pastLengths(
    cues: readonly { readonly cueId: string; readonly content: PageContent }[],
  ): Promise<{ cueId: string; past: PastLength }[]> {
    const [latest] = await this.runs();
    if (!latest) return [];
    // The run that goes on is not past.
    const goesOn = this.#parts.now() - latest.untilMs < RUN_GAP_MS;
    const { asRun, names } = await this.#follow({
      fromMs: 0,
      untilMs: goesOn ? latest.fromMs - 1 : latest.untilMs,
    });
    const past = pastLengths(
      asRun.visits.flatMap(({ content: hash, fromMs, untilMs }) => {
        const content = names.findContent(hash);
        return content && untilMs !== null ? [{ content, fromMs, untilMs }] : [];
      }),
    );
    return cues.flatMap(({ cueId, content }) => {
      const found = past.get(sameAs(content));
      return found ? [{ cueId, past: found }] : [];
    });
  }

  /** The air as it was at a time, and the documents to draw it with; undefined before anything is known of it. */
  async stateAt(atMs: number): Promise<PastState | undefined> {
    let state: ShowState | undefined;
    for await (const logged of this.#events({ fromMs: atMs, untilMs: atMs }))
      state = evolve(state && { ...state, seq: logged.seq - 1 }, logged);
    if (!state) return undefined;
    const { contents } = this.#parts;
    const documents = await contents.read(contentsOf(state));
    const worn = await contents.read([...documents.values()].flatMap((document) => pinnedBy(document)));
    const media = await contents.read([...worn.values()].flatMap((document) => pinnedBy(document)));
    return { state, documents: Object.fromEntries([...documents, ...worn, ...media]) };
  }

  async #follow(range: Range): Promise<{ asRun: AsRun; names: AsRunNames }> {
    const { contents, layerName, outputName, now } = this.#parts;
    const book = new AsRunBook();
    const hashes = new Set<string>();
    const gone = new Map<string, string>();
    for await (const logged of this.#events(range)) {
      book.hear(logged);
      for (const hash of contentsIn(logged.event)) hashes.add(hash);
      const { event } = logged;
      if (event.kind === "screenChanged" && event.before) gone.set(event.outputId, event.before.name);
    }
    const known = await contents.read(hashes);
    const findContent = (hash: string): PageContent | undefined => {
      const found = known.get(hash);
      return found?.kind === "page" ? found : undefined;
    };
    const { shown, visits } = await inTurns(book.readInSteps(findContent, Math.min(now(), range.untilMs)));
    const isIn = ({ fromMs, untilMs }: { readonly fromMs: number; readonly untilMs: number | null }) =>
      fromMs <= range.untilMs && (untilMs === null || untilMs > range.fromMs);
    return {
      asRun: { shown: shown.filter(isIn), visits: visits.filter(isIn) },
      names: { findContent, layerName, outputName: (id) => outputName(id) ?? gone.get(id) ?? id },
    };
  }

  /** The events up to the end of a range, from long enough before it; the first of them opens the show. */
  async *#events({ fromMs, untilMs }: Range): AsyncGenerator<LoggedEvent> {
    let isOpen = false;
    for await (const logged of this.#parts.airLog.between(fromMs - BEFORE_MS, untilMs)) {
      const isOpening = logged.event.kind === "showOpened";
      if (!isOpen && !isOpening)
        yield { ...logged, seq: logged.seq - 1, actor: null, event: this.#parts.opening() };
      if (!isOpen || !isOpening) yield logged;
      isOpen = true;
    }
  }
}

/** Goes through something a little at a time: other work comes in between. */
async function inTurns<T>(steps: Generator<void, T>): Promise<T> {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
    await nextTurn();
  }
}

const least = (numbers: readonly number[]): number =>
  numbers.reduce((a, b) => Math.min(a, b), Number.POSITIVE_INFINITY);

/** Whether a step of a song shows words of it. */
const isWords = (content: PageContent, { page }: Shown): boolean =>
  stepsOf(content)[findStepIndex(content, page.step)]?.kind === "words";
