import { createHash, randomUUID } from "node:crypto";
import {
  appendFileSync,
  copyFileSync,
  existsSync,
  linkSync,
  mkdirSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
} from "node:fs";
import { open } from "node:fs/promises";
import { dirname, join } from "node:path";
import type {
  CarryJobView,
  CarryWanted,
  CopyCounts,
  CopyView,
  Looked,
  LookedView,
} from "../../core/carry/carryView.ts";
import type { Choices } from "../../core/carry/merge.ts";
import { SHOW_FILE_ENDING } from "../../core/carry/showFile.ts";
import { t } from "../../core/language/t.ts";
import { log } from "../log/log.ts";
import { backupFolder, listBackups, partsOf } from "../store/backupFiles.ts";
import { syncFolder } from "../store/syncFolder.ts";
import type { CarryJob, ShowPlaces } from "./carrySteps.ts";
import { CarryCancelled, CarryProblem, type RunCarryJob } from "./carryThread.ts";

/** What may be done while nobody has the show open. @returns how it is undone, should the show not open afterwards */
export type WhileClosed = () => Promise<() => void>;

export interface CarryParts {
  readonly places: ShowPlaces;
  readonly program: string;
  readonly now: () => number;
  readonly run: RunCarryJob;
  /** Closes the show, does something, and opens it again. Screens keep their picture meanwhile. */
  readonly reopen: (work: WhileClosed, empties: boolean) => Promise<void>;
}

interface Job {
  view: CarryJobView;
  readonly folder: string;
  readonly stop: AbortController;
  archive?: string;
  copy?: string;
  looked?: Looked;
}

/** At once: each has a thread, and reads and writes a lot. */
const MOST_RUNNING = 3;
/** What is done with is listed for so long; the latest come first. */
const MOST_LISTED = 20;
const LARGEST_ARCHIVE_BYTES = 16 * 1024 * 1024 * 1024;
/** What was sent in part and not gone on with is let go after this. */
const SENT_KEPT_MS = 2 * 24 * 3_600_000;

export type Started = { readonly id: string } | { readonly problem: string };

/** Show files out and in, and copies back: jobs that every desk sees. It outlives the show that is open. */
export class Carry {
  readonly #parts: CarryParts;
  readonly #jobs = new Map<string, Job>();
  readonly #counts = new Map<string, CopyCounts>();
  readonly #root: string;
  /** Pieces of one file are written one after the other. */
  readonly #writing = new Set<string>();

  constructor(parts: CarryParts) {
    this.#parts = parts;
    this.#root = `${parts.places.databaseFile}.carry`;
    // What earlier runs of the server left behind: their jobs are over, and what was sent may be gone on with.
    rmSync(this.#jobsFolder, { recursive: true, force: true });
    rmSync(nextOf(parts.places.databaseFile), { force: true });
    if (existsSync(this.#sentFolder))
      for (const name of readdirSync(this.#sentFolder)) {
        const path = join(this.#sentFolder, name);
        if (Date.now() - statSync(path).mtimeMs > SENT_KEPT_MS) rmSync(path, { force: true });
      }
  }

  get #jobsFolder(): string {
    return join(this.#root, "jobs");
  }
  get #sentFolder(): string {
    return join(this.#root, "sent");
  }

  /** The newest first. */
  list(): readonly CarryJobView[] {
    return [...this.#jobs.values()].map(({ view }) => view).reverse();
  }

  start(wanted: CarryWanted): Started {
    if ([...this.#jobs.values()].filter(({ view }) => view.state.kind === "running").length >= MOST_RUNNING)
      return {
        problem: t`Several files are being read or written already. Nothing was begun; wait until one is through.`,
      };
    const job = this.#add(wanted.kind, titleOf(wanted));
    const common = { ...this.#parts.places, folder: job.folder, atMs: this.#parts.now() };
    switch (wanted.kind) {
      case "save": {
        const target = join(job.folder, `show${SHOW_FILE_ENDING}`);
        const { holds } = wanted;
        const { program } = this.#parts;
        void this.#settle(job, async () => {
          const saved = await this.#inThread(job, { ...common, kind: "save", holds, program, target });
          job.archive = target;
          return { kind: "saved", saved, fileName: `${fileName(wanted)}${SHOW_FILE_ENDING}` };
        });
        break;
      }
      case "look": {
        const archive = this.#sentFile(wanted.sentId);
        void this.#settle(job, async () => {
          try {
            job.looked = await this.#inThread(job, { ...common, kind: "look", archive });
          } catch (error) {
            // What is broken is sent anew when it comes again; what was called off is still good.
            if (!(error instanceof CarryCancelled)) rmSync(archive, { force: true });
            throw error;
          }
          rmSync(archive, { force: true });
          return { kind: "looked" };
        });
        break;
      }
      case "lookAtCopy": {
        const copy = this.#findCopy(wanted.copy);
        if (copy === undefined) return this.#giveUp(job, t`That copy is not there any more. Choose another.`);
        job.copy = copy.path;
        void this.#settle(job, async () => {
          const looked = await this.#inThread(job, { ...common, kind: "lookAtCopy", copy: copy.path });
          job.looked = { ...looked, madeAtMs: copy.atMs };
          return { kind: "looked" };
        });
        break;
      }
    }
    return { id: job.view.id };
  }

  /** What was looked at comes beside what is here. */
  bring(lookedId: string, choices: Choices, actor: string): Started {
    const looked = this.#looked(lookedId);
    if (!looked) return GONE;
    const { databaseFile } = this.#parts.places;
    const job = this.#add("bring", looked.view.title, looked.folder);
    const work = () =>
      this.#inThread(job, {
        ...{ ...this.#parts.places, folder: looked.folder, atMs: this.#parts.now() },
        ...{ kind: "bring", choices, actor },
      });
    void this.#settle(job, async () => {
      let things = 0;
      await this.#parts.reopen(async () => {
        const brought = await work();
        things = brought.things;
        return () => putBack(databaseFile, brought.copy);
      }, false);
      return { kind: "brought", things };
    });
    return { id: job.view.id };
  }

  /** What was looked at takes the place of the whole show, which is set aside. */
  open(lookedId: string, actor: string): Started {
    const looked = this.#looked(lookedId);
    if (!looked) return GONE;
    const { databaseFile } = this.#parts.places;
    const job = this.#add("open", looked.view.title, looked.folder);
    const target = nextOf(databaseFile);
    const common = { ...this.#parts.places, folder: looked.folder, atMs: this.#parts.now(), target };
    void this.#settle(job, async () => {
      if (looked.copy === undefined) await this.#inThread(job, { ...common, kind: "makeNew", actor });
      else await this.#inThread(job, { ...common, kind: "makeFromCopy", copy: looked.copy });
      await this.#parts.reopen(async () => swap(databaseFile, target, this.#parts.now()), true);
      return { kind: "opened" };
    });
    return { id: job.view.id };
  }

  /** What was found by looking; undefined where nothing was looked at. */
  looked(id: string): LookedView | undefined {
    const job = this.#looked(id);
    if (!job?.looked) return undefined;
    const met = job.looked.met.filter(({ state }) => state !== "same");
    return {
      ...job.looked,
      met,
      same: job.looked.met.length - met.length,
      isCopy: job.copy !== undefined,
    };
  }

  /** Nothing comes of it; what was changed so far is as it was. */
  cancel(id: string): void {
    this.#jobs.get(id)?.stop.abort();
  }

  /** Takes a job off the list, with all that lies in its folder. */
  forget(id: string): void {
    const job = this.#jobs.get(id);
    if (!job || job.view.state.kind === "running") return;
    this.#jobs.delete(id);
    if (![...this.#jobs.values()].some(({ folder }) => folder === job.folder))
      rmSync(job.folder, { recursive: true, force: true });
  }

  /** Where a saved file lies, and what it is called for people. */
  findSaved(id: string): { readonly path: string; readonly fileName: string } | undefined {
    const job = this.#jobs.get(id);
    return job?.archive !== undefined && job.view.state.kind === "saved"
      ? { path: job.archive, fileName: job.view.state.fileName }
      : undefined;
  }

  /** A file that is to come, and how much of it is here from before; a sentence when it cannot come. */
  expect(file: {
    readonly name: string;
    readonly bytes: number;
    readonly changedAtMs: number;
  }): { readonly id: string; readonly have: number } | { readonly problem: string } {
    if (file.bytes > LARGEST_ARCHIVE_BYTES)
      return { problem: t`The file is larger than 16 GB, more than a show file may be. Nothing was opened.` };
    const id = createHash("sha256")
      .update(JSON.stringify([file.name, file.bytes, file.changedAtMs]))
      .digest("hex");
    return { id, have: this.have(id) };
  }

  /** How much of a file is here. */
  have(sentId: string): number {
    return statSync(this.#sentFile(sentId), { throwIfNoEntry: false })?.size ?? 0;
  }

  /**
   * Writes a piece of a file behind what is here of it.
   * @param at where it belongs; elsewhere nothing is written
   * @returns how much is here then; a sentence when it cannot be taken
   */
  async append(
    sentId: string,
    at: number,
    pieces: AsyncIterable<Buffer>,
  ): Promise<{ readonly have: number } | { readonly problem: string }> {
    if (at > LARGEST_ARCHIVE_BYTES)
      return { problem: t`The file is larger than 16 GB, more than a show file may be. Nothing was opened.` };
    if (this.#writing.has(sentId) || this.have(sentId) !== at) return { have: this.have(sentId) };
    this.#writing.add(sentId);
    try {
      mkdirSync(this.#sentFolder, { recursive: true, mode: 0o700 });
      const path = this.#sentFile(sentId);
      for await (const piece of pieces) appendFileSync(path, piece, { mode: 0o600 });
      const file = await open(path, "a");
      await file.sync().finally(() => file.close());
      return { have: this.have(sentId) };
    } finally {
      this.#writing.delete(sentId);
    }
  }

  /** The copies that the server made by itself, the newest first, with what they hold. */
  async copies(): Promise<readonly CopyView[]> {
    const { places, now, run } = this.#parts;
    const copies = listBackups(places.databaseFile);
    const folder = backupFolder(places.databaseFile);
    const unknown = copies
      .filter(({ name }) => !this.#counts.has(name))
      .map(({ name }) => join(folder, name));
    if (unknown.length > 0) {
      const job = {
        ...places,
        folder: join(this.#jobsFolder, "counts"),
        atMs: now(),
        kind: "countCopies" as const,
      };
      try {
        const counts = await run({ ...job, copies: unknown }, () => {}, new AbortController().signal);
        for (const each of counts) this.#counts.set(each.name, each);
      } catch (error) {
        log.warn("What is in the copies cannot be told", error);
      }
    }
    return copies.map(({ name, atMs, bytes, isBeforeMigration }) => ({
      ...(this.#counts.get(name) ?? { name }),
      ...{ atMs, bytes, isBeforeUpdate: isBeforeMigration },
    }));
  }

  #findCopy(name: string): { readonly path: string; readonly atMs: number } | undefined {
    const { databaseFile } = this.#parts.places;
    const copy = listBackups(databaseFile).find((each) => each.name === name);
    return copy && { path: join(backupFolder(databaseFile), copy.name), atMs: copy.atMs };
  }

  #sentFile(sentId: string): string {
    if (!/^[0-9a-f]{64}$/.test(sentId)) throw new Error(`"${sentId}" names no file that is sent`);
    return join(this.#sentFolder, sentId);
  }

  #looked(id: string): Job | undefined {
    const job = this.#jobs.get(id);
    return job?.view.state.kind === "looked" ? job : undefined;
  }

  #add(kind: CarryJobView["kind"], title: string, folder?: string): Job {
    const id = randomUUID();
    const job: Job = {
      view: { id, kind, title, state: { kind: "running", share: 0 } },
      folder: folder ?? join(this.#jobsFolder, id),
      stop: new AbortController(),
    };
    this.#jobs.set(id, job);
    for (const [old, { view }] of this.#jobs)
      if (this.#jobs.size > MOST_LISTED && view.state.kind !== "running") this.forget(old);
    return job;
  }

  #giveUp(job: Job, sentence: string): Started {
    this.#jobs.delete(job.view.id);
    return { problem: sentence };
  }

  #inThread<K extends CarryJob["kind"]>(job: Job, wanted: Extract<CarryJob, { kind: K }>) {
    const onProgress = (share: number) => {
      job.view = { ...job.view, state: { kind: "running", share } };
    };
    return this.#parts.run<K>(wanted, onProgress, job.stop.signal);
  }

  async #settle(job: Job, work: () => Promise<CarryJobView["state"]>): Promise<void> {
    const end = (state: CarryJobView["state"]) => {
      job.view = { ...job.view, state };
    };
    try {
      end(await work());
    } catch (error) {
      if (error instanceof CarryCancelled) end({ kind: "cancelled" });
      else if (error instanceof CarryProblem) end({ kind: "failed", sentence: error.message });
      else {
        log.error("A job with show files failed", error);
        end({ kind: "failed", sentence: FAILED });
      }
    }
  }
}

const GONE = {
  problem: t`What was looked at is not here any more: the server was started again since. Nothing was changed; look at it again.`,
};
const FAILED = t`That failed for a fault of ours, which is in the server’s log. The show is as it was; try again.`;

function titleOf(wanted: CarryWanted): string {
  switch (wanted.kind) {
    case "save":
      return wanted.holds.kind === "all" ? t`All of the show` : wanted.holds.name;
    case "look":
      return wanted.fileName;
    case "lookAtCopy":
      return t`A copy of the show`;
  }
}

/** A show that was made and is not open yet. */
const nextOf = (databaseFile: string): string => `${databaseFile}.next`;

const fileName = (wanted: Extract<CarryWanted, { kind: "save" }>): string =>
  (wanted.holds.kind === "all" ? "show" : wanted.holds.name)
    .normalize("NFC")
    .replace(/[^\p{L}\p{N}]+/gu, "-")
    .toLowerCase()
    .slice(0, 80) || "show";

/**
 * Puts a show that was made in the place of the one there. At every moment the name is that of one of them, whole.
 * @returns how it is undone
 */
function swap(file: string, made: string, atMs: number): () => void {
  const aside = `${file}.before-open-${new Date(atMs).toISOString().replace(/[:.]/g, "-")}`;
  keepAs(file, aside);
  for (const part of partsOf(file).slice(1)) rmSync(part, { force: true });
  renameSync(made, file);
  syncFolder(dirname(file));
  log.info(`Another show is open now; the one before is kept as ${aside}`);
  return () => putBack(file, aside);
}

/** The same file under another name as well; where the disk has no such thing, a copy of it. */
function keepAs(file: string, name: string): void {
  try {
    linkSync(file, name);
  } catch {
    copyFileSync(file, name);
    syncFolder(name);
  }
}

/** A show that did not open is as it was before. */
function putBack(file: string, before: string): void {
  for (const part of partsOf(file)) rmSync(part, { force: true });
  copyFileSync(before, file);
  syncFolder(file);
  syncFolder(dirname(file));
}
