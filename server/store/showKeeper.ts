import { statfs } from "node:fs/promises";
import { dirname } from "node:path";
import { Worker } from "node:worker_threads";
import { t } from "../../core/language/t.ts";
import type { KeeperStatus } from "../../core/report/health.ts";
import { log } from "../log/log.ts";
import { SerialQueue } from "../queue/serialQueue.ts";
import { listBackups } from "./backupFiles.ts";
import type { KeeperAnswer, KeeperJob } from "./keeperWorker.ts";

const LOOK_EVERY_MS = 5_000;
/** The log is folded into the file at least this often; sooner in a quiet moment. */
const CHECKPOINT_EVERY_MS = 15_000;
const QUIET_CHECKPOINT_EVERY_MS = 10_000;
const BACKUP_EVERY_MS = 10 * 60_000;
const GIVES_UP_MS = 120_000;

/** Room on the disk at which people are told, in bytes. */
const LITTLE_ROOM_BYTES = 1024 * 1024 * 1024;
const NO_ROOM_BYTES = 100 * 1024 * 1024;

export interface KeeperParts {
  readonly file: string;
  readonly workerFile: URL;
  /** Where copies go to as well; undefined: nowhere else. */
  readonly otherFolder?: string | undefined;
  readonly now: () => number;
  /** Whether no command has come for a while. */
  readonly isQuiet: () => boolean;
  /** Grows with every row that is written. */
  readonly changeCount: () => Promise<number>;
}

/** Looks after the file of a show in a thread of its own: folds its log in, copies it, watches the room there is. */
export class ShowKeeper {
  readonly #parts: KeeperParts;
  readonly #timer: ReturnType<typeof setInterval>;
  readonly #listeners = new Set<(status: KeeperStatus) => void>();
  #worker: Worker | undefined;
  readonly #queue = new SerialQueue();
  #isBusy = false;
  #copiedAtCount = -1;
  #triedAtMs: number;
  #status: KeeperStatus = {
    lastCheckpointAtMs: null,
    lastBackupAtMs: null,
    copies: [],
    backupFailed: null,
    freeBytes: null,
    room: "enough",
  };

  constructor(parts: KeeperParts) {
    this.#parts = parts;
    this.#triedAtMs = Number.NEGATIVE_INFINITY;
    this.#timer = setInterval(() => void this.look(), LOOK_EVERY_MS);
    this.#timer.unref();
    void this.look();
  }

  get status(): KeeperStatus {
    return this.#status;
  }

  onChange(listener: (status: KeeperStatus) => void): void {
    this.#listeners.add(listener);
  }

  /** Does what is due. */
  async look(): Promise<void> {
    if (this.#isBusy) return;
    this.#isBusy = true;
    try {
      const nowMs = this.#parts.now();
      await this.#measureRoom();
      const everyMs = this.#parts.isQuiet() ? QUIET_CHECKPOINT_EVERY_MS : CHECKPOINT_EVERY_MS;
      if (nowMs - (this.#status.lastCheckpointAtMs ?? 0) > everyMs) await this.checkpoint();
      const hasChanged = (await this.#parts.changeCount()) !== this.#copiedAtCount;
      if (hasChanged && nowMs - this.#triedAtMs >= BACKUP_EVERY_MS) await this.backUp();
    } finally {
      this.#isBusy = false;
    }
  }

  async checkpoint(): Promise<void> {
    const { file, now } = this.#parts;
    const answer = await this.#ask({ kind: "checkpoint", file });
    if ("done" in answer) this.#set({ lastCheckpointAtMs: now() });
    else log.warn(`The log of the show could not be folded into its file: ${answer.failed}`);
  }

  /** Copies the show now. @returns whether it was done */
  async backUp(): Promise<boolean> {
    const { file, now, changeCount } = this.#parts;
    const atMs = now();
    this.#triedAtMs = atMs;
    const count = await changeCount();
    const answer = await this.#ask({ kind: "backUp", file, atMs });
    if ("failed" in answer) {
      log.warn(`The show could not be copied: ${answer.failed}`);
      this.#set({ backupFailed: answer.failed });
      return false;
    }
    this.#copiedAtCount = count;
    const copies = listBackups(file).map(({ atMs, bytes }) => ({ atMs, bytes }));
    this.#set({ lastBackupAtMs: atMs, copies, backupFailed: await this.#putElsewhere(answer.done, atMs) });
    return true;
  }

  /** All pages as they are at one moment. @throws when that cannot be */
  async copyPages(to: string): Promise<void> {
    const answer = await this.#ask({ kind: "copyPages", file: this.#parts.file, to });
    if ("failed" in answer) throw new Error(answer.failed);
  }

  /** @returns why it could not be; null when it is there, or need not be */
  async #putElsewhere(copy: string, atMs: number): Promise<string | null> {
    const { otherFolder: folder } = this.#parts;
    if (folder === undefined) return null;
    const answer = await this.#ask({ kind: "copyTo", copy, folder, atMs });
    if ("done" in answer) return null;
    log.warn(`The copy could not be put into ${folder}: ${answer.failed}`);
    return t`It could not be put into ${folder} as well: ${answer.failed}`;
  }

  async close(): Promise<void> {
    clearInterval(this.#timer);
    await this.#queue.idle();
    await this.#worker?.terminate();
  }

  async #measureRoom(): Promise<void> {
    try {
      const { bavail, bsize } = await statfs(dirname(this.#parts.file));
      const freeBytes = bavail * bsize;
      const room = freeBytes < NO_ROOM_BYTES ? "none" : freeBytes < LITTLE_ROOM_BYTES ? "little" : "enough";
      if (room !== this.#status.room && room !== "enough")
        log.warn(`There are ${Math.round(freeBytes / 1024 / 1024)} MB of room left for the show`);
      this.#set({ freeBytes, room });
    } catch (error) {
      log.warn("The room on the disk cannot be told", error);
    }
  }

  #set(change: Partial<KeeperStatus>): void {
    this.#status = { ...this.#status, ...change };
    for (const listener of this.#listeners) listener(this.#status);
  }

  #ask(job: KeeperJob): Promise<KeeperAnswer> {
    return this.#queue.run(
      () =>
        new Promise<KeeperAnswer>((resolve) => {
          const worker = this.#getWorker();
          const settle = (answer: KeeperAnswer) => {
            clearTimeout(timer);
            worker.off("message", settle);
            worker.off("error", fail);
            resolve(answer);
          };
          const fail = (error: unknown) => {
            this.#worker = undefined;
            void worker.terminate();
            settle({ failed: String(error), code: "" });
          };
          const timer = setTimeout(() => fail("it took too long"), GIVES_UP_MS);
          timer.unref();
          worker.once("message", settle);
          worker.once("error", fail);
          worker.postMessage(job);
        }),
    );
  }

  #getWorker(): Worker {
    if (this.#worker) return this.#worker;
    this.#worker = new Worker(this.#parts.workerFile);
    this.#worker.unref();
    return this.#worker;
  }
}
