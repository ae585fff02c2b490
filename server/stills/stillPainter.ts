import { type ChildProcess, fork } from "node:child_process";
import { createHash } from "node:crypto";
import { t } from "../../core/language/t.ts";
import type { PinnedDocument } from "../../core/rundown/pinnedDocument.ts";
import { canvasOf } from "../../core/venue/plan.ts";
import type { ShownSource } from "../../painters/program/shownSource.ts";
import { log } from "../log/log.ts";
import type { AddedFont } from "../store/fontStore.ts";
import { afterRunning } from "../time/afterRunning.ts";
import { fileOfMedia, fileOfSource } from "./programFrame.ts";
import { stillDocuments } from "./stillDocuments.ts";
import type { Still, StillJob, StillResult } from "./stillJob.ts";

/** Stills kept in memory, by what they show. */
const KEPT_BYTES = 64 * 1024 * 1024;
const MOST_WAITING = 400;
/** A painter that takes longer is stuck: it is ended, and another does the next. */
const GIVES_UP_MS = 20_000;
/** A painter that holds more than this is replaced before the next still. */
const MOST_MEMORY_BYTES = 900 * 1024 * 1024;
/** The largest output in use, at its full size: 7 680 × 4 320. */
export const MOST_STILL_PIXELS = 7_680 * 4_320;

type Wanted = Omit<StillJob, "id" | "documents" | "files" | "fonts" | "nowMs" | "program">;

export type StillAnswer =
  | Still
  | { readonly refused: "tooLarge" | "tooMany" | "unknown" | "failed"; readonly sentence: string };

const REFUSALS = {
  tooLarge: t`That is more pixels than a still may have (33 million). Ask for a smaller one.`,
  tooMany: t`Too many stills are asked for at once. Ask again in a moment; nothing else is touched.`,
  unknown: t`That page is not known here.`,
  failed: t`The still could not be painted. Nothing else is touched; ask again.`,
} as const;

const refused = (why: keyof typeof REFUSALS): StillAnswer => ({ refused: why, sentence: REFUSALS[why] });

/** Who asks, and how many stills may be waited for from there. */
export interface Asker {
  readonly name: string;
  readonly mostOpen: number;
  /** Whoever asked does not wait any more. */
  readonly signal?: AbortSignal;
}

export interface StillParts {
  readonly findDocument: (hash: string) => PinnedDocument | undefined;
  readonly findFile: (file: string) => string | undefined;
  readonly listFonts: () => readonly AddedFont[];
  /** What is on program now. */
  readonly program: () => readonly ShownSource[];
  /** Server time. */
  readonly now: () => number;
  /** Started as a process of its own. */
  readonly workerFile: string;
}

interface Job {
  readonly name: string;
  readonly wanted: Wanted;
  /** How many still wait for it: a job that nobody waits for is not done. */
  waiting: number;
  readonly settle: (answer: StillAnswer) => void;
  readonly answer: Promise<StillAnswer>;
}

/**
 * Paints stills in a process of its own, one at a time, and keeps them: the same page at the same size is painted once, but for what
 * shows the time. The process
 * is replaced when it holds too much memory, hangs or dies.
 */
export class StillPainter {
  readonly #parts: StillParts;
  readonly #kept = new Map<string, Still>();
  /** Jobs that are waited for, in the order they were asked for. */
  readonly #jobs = new Map<string, Job>();
  readonly #openOf = new Map<string, number>();
  #process: ChildProcess | undefined;
  #current: { readonly job: Job; readonly id: number; readonly stopWaiting: () => void } | undefined;
  #lastId = 0;
  #bytes = 0;
  #isClosed = false;

  constructor(parts: StillParts) {
    this.#parts = parts;
  }

  /** A name for a still that changes with all it shows: for the browser's own cache. */
  nameOf(wanted: Wanted): string {
    return createHash("sha256").update(JSON.stringify(wanted)).digest("base64url").slice(0, 24);
  }

  async paint(wanted: Wanted, asker: Asker): Promise<StillAnswer> {
    const name = this.nameOf(wanted);
    const kept = this.#kept.get(name);
    if (kept) {
      this.#kept.delete(name);
      this.#kept.set(name, kept);
      return kept;
    }
    if (pixelsOf(wanted) > MOST_STILL_PIXELS) return refused("tooLarge");
    const open = this.#openOf.get(asker.name) ?? 0;
    const known = this.#jobs.get(name);
    if (open >= asker.mostOpen || (!known && this.#jobs.size >= MOST_WAITING)) return refused("tooMany");
    const job = known ?? this.#addJob(name, wanted);
    job.waiting++;
    this.#openOf.set(asker.name, open + 1);
    const leave = () => {
      job.waiting--;
      if (job.waiting === 0 && this.#current?.job !== job) {
        this.#jobs.delete(name);
        job.settle(refused("failed"));
      }
    };
    asker.signal?.addEventListener("abort", leave, { once: true });
    try {
      return await job.answer;
    } finally {
      asker.signal?.removeEventListener("abort", leave);
      const left = (this.#openOf.get(asker.name) ?? 1) - 1;
      if (left > 0) this.#openOf.set(asker.name, left);
      else this.#openOf.delete(asker.name);
    }
  }

  /** Stills that are asked for and not painted yet. */
  get waiting(): number {
    return this.#jobs.size;
  }

  close(): void {
    this.#isClosed = true;
    this.#replace("closed");
  }

  #addJob(name: string, wanted: Wanted): Job {
    let settle: (answer: StillAnswer) => void = () => {};
    const answer = new Promise<StillAnswer>((resolve) => {
      settle = resolve;
    });
    const job: Job = { name, wanted, waiting: 0, settle, answer };
    this.#jobs.set(name, job);
    queueMicrotask(() => this.#next());
    return job;
  }

  #next(): void {
    if (this.#current || this.#isClosed) return;
    const [job] = this.#jobs.values();
    if (!job) return;
    const documents = this.#documentsOf(job.wanted);
    if (!documents) {
      this.#finish(job, refused("unknown"));
      return;
    }
    const program = this.#parts.program();
    const shown = [
      ...documents.flatMap(([, document]) => (document.kind === "media" ? fileOfMedia(document) : [])),
      ...program.map(fileOfSource),
    ];
    const files = shown.flatMap((file) => {
      const path = file === null ? undefined : this.#parts.findFile(file);
      return file !== null && path ? [[file, path] as const] : [];
    });
    const fonts = this.#parts.listFonts().flatMap(({ id, file }) => {
      const path = this.#parts.findFile(file);
      return path ? [[id, path] as const] : [];
    });
    const id = ++this.#lastId;
    const stopWaiting = afterRunning(GIVES_UP_MS, () => {
      log.warn(`A still took longer than ${GIVES_UP_MS / 1_000} s and was given up`);
      this.#replace("late");
    });
    this.#current = { job, id, stopWaiting };
    this.#getProcess().send({
      ...job.wanted,
      id,
      documents,
      files,
      fonts,
      program,
      nowMs: this.#parts.now(),
    } satisfies StillJob);
  }

  /** What all of its pages are painted from; undefined where one of them is not known. */
  #documentsOf({ pages, outfitId }: Wanted): readonly (readonly [string, PinnedDocument])[] | undefined {
    const documents = new Map<string, PinnedDocument>();
    for (const { page } of pages) {
      const own = stillDocuments(page, outfitId, this.#parts.findDocument);
      if (!own) return undefined;
      for (const [hash, document] of own) documents.set(hash, document);
    }
    return [...documents];
  }

  #finish(job: Job, answer: StillAnswer): void {
    if (this.#current?.job === job) {
      this.#current.stopWaiting();
      this.#current = undefined;
    }
    this.#jobs.delete(job.name);
    if ("png" in answer && !answer.showsTime) this.#keep(job.name, answer);
    job.settle(answer);
    this.#next();
  }

  #keep(name: string, still: Still): void {
    this.#kept.set(name, still);
    this.#bytes += still.png.byteLength;
    for (const [oldest, { png }] of this.#kept) {
      if (this.#bytes <= KEPT_BYTES) break;
      this.#kept.delete(oldest);
      this.#bytes -= png.byteLength;
    }
  }

  /** Ends the process; what it was painting has failed. */
  #replace(why: string): void {
    const child = this.#process;
    this.#process = undefined;
    child?.removeAllListeners();
    child?.on("error", () => {});
    child?.kill("SIGKILL");
    const current = this.#current;
    if (current) this.#finish(current.job, refused("failed"));
    if (why !== "closed" && child) log.info(`The painter of stills was replaced (${why})`);
  }

  #getProcess(): ChildProcess {
    if (this.#process) return this.#process;
    const { workerFile } = this.#parts;
    const child = fork(workerFile, [], {
      serialization: "advanced",
      // From source, the TypeScript loader comes first.
      execArgv: workerFile.endsWith(".ts") ? ["--import", "tsx"] : [],
      stdio: ["ignore", "inherit", "inherit", "ipc"],
    });
    child.on("message", (result: StillResult) => {
      const current = this.#current;
      if (!current || current.id !== result.id) return;
      const isFull = result.memoryBytes > MOST_MEMORY_BYTES;
      if ("failed" in result) log.warn(`A still could not be painted: ${result.failed}`);
      // It is replaced before the next one is sent to it.
      if (isFull) {
        current.stopWaiting();
        this.#current = undefined;
        this.#replace("memory");
      }
      this.#finish(
        current.job,
        "png" in result ? { png: result.png, showsTime: result.showsTime } : refused("failed"),
      );
    });
    const gone = (why: unknown) => {
      if (this.#process !== child) return;
      log.warn(`The painter of stills ended by itself (${String(why)})`);
      this.#replace("died");
    };
    child.on("exit", (code, signal) => gone(signal ?? code));
    child.on("error", gone);
    // The channel alone keeps no server from ending.
    child.unref();
    child.channel?.unref();
    this.#process = child;
    return child;
  }
}

function pixelsOf({ output, isWholeWall, widthPx }: Wanted): number {
  const shown = isWholeWall ? canvasOf(output) : output;
  return widthPx * Math.round((widthPx / shown.widthPx) * shown.heightPx);
}
