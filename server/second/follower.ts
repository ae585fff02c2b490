import { createHash } from "node:crypto";
import { createWriteStream, mkdirSync, rmSync } from "node:fs";
import { appendFile, open, rename, rm } from "node:fs/promises";
import { join } from "node:path";
import { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import { z } from "zod";
import { t } from "../../core/language/t.ts";
import { PartReader, type Said, type StreamPart } from "../../core/second/secondStream.ts";
import type { FollowerState } from "../../core/second/secondView.ts";
import { log } from "../log/log.ts";
import { LogCopy } from "./logCopy.ts";
import { piecesOf } from "./piecesOf.ts";
import { listFiles } from "./secondMachine.ts";

export interface FollowerParts {
  /** Of the first machine, with the secret in it. */
  readonly leader: URL;
  /** Where the show is kept here. */
  readonly file: string;
  readonly mediaFolder: string;
  readonly program: string;
  /** The show that all of is here since it ran before. */
  readonly had: string | undefined;
  /** All of the show is here. */
  readonly onCopied: (show: string) => void;
  /** By which windows reach this machine. */
  readonly self: { readonly port: number; readonly isSecure: boolean };
}

const COME_AGAIN_MS = 500;
/** Each time that it did not come as far as all of the show it waits twice as long, up to this: copying is work for the first machine. */
const COME_AGAIN_AT_MOST_MS = 16_000;
const WORD_EVERY_MS = 2_000;
/** Silent for so long, the first machine counts as gone. */
const SILENT_AFTER_MS = 1_500;
/** An orderly change-over is waited for this long; a machine that stands still is not waited for. */
const GIVES_OVER_WITHIN_MS = 8_000;
/** Beats by which its clock is told. */
const MOST_BEATS = 100;

const NOT_THERE = t`Nothing answers at its address.`;
const WHY_NOT: Readonly<Record<number, string>> = {
  404: t`It does not know this link, or not any more: take the link anew from its desk, Health.`,
  409: t`Another machine follows it already.`,
};
const OUT_OF_ORDER = t`It said things out of order.`;

/** The DOM's type of a stream is not Node's. */
type NodeStream = Parameters<typeof Readable.fromWeb>[0];

const filesSchema = z.array(
  z.strictObject({ file: z.string().regex(/^[0-9a-f]{64}$/), bytes: z.number().int().min(0) }),
);

type TakenOver = { readonly aheadMs: number } | { readonly problem: string };

/** A show that is being copied, beside the one with which this machine could lead meanwhile. */
interface Coming {
  readonly show: string;
  bytes: number;
  ofBytes: number;
}

/** The second machine's side: has the show as it is on the first one, to the last transaction, until somebody says that it leads. */
export class Follower {
  readonly #parts: FollowerParts;
  readonly #ending = new AbortController();
  readonly #pagesFile: string;
  readonly #wordTimer: ReturnType<typeof setInterval>;
  /** Of the show with which it could lead now. */
  #show: string | undefined;
  #coming: Coming | undefined;
  /** What comes goes into this. */
  #copy: LogCopy | undefined;
  #isConnected = false;
  #heardAtMs: number | undefined;
  #why = t`It has not been reached yet.`;
  /** How much its clock is ahead of ours, for the latest beats; the largest had the shortest way. */
  #aheadMs: number[] = [];
  #filesLeft = 0;
  /** How often all of the show came. */
  #copies = 0;
  #fetching: Promise<void> | undefined;
  #gaveOver: (() => void) | undefined;
  #taking: Promise<TakenOver> | undefined;
  #running: Promise<void>;

  constructor(parts: FollowerParts) {
    this.#parts = parts;
    this.#show = parts.had;
    this.#pagesFile = `${parts.file}.coming`;
    mkdirSync(parts.mediaFolder, { recursive: true, mode: 0o700 });
    this.#running = this.#run();
    this.#wordTimer = setInterval(() => void this.#sayWord(), WORD_EVERY_MS);
  }

  get state(): FollowerState {
    const heardMsAgo = this.#heardAtMs === undefined ? null : performance.now() - this.#heardAtMs;
    const filesLeft = this.#filesLeft;
    if (!this.#isConnected || heardMsAgo === null || heardMsAgo > SILENT_AFTER_MS)
      return { kind: "lost", show: this.#show ?? null, heardMsAgo, why: this.#why, filesLeft };
    if (this.#show === undefined)
      return { kind: "copying", bytes: this.#coming?.bytes ?? 0, ofBytes: this.#coming?.ofBytes ?? 0 };
    return { kind: "ready", show: this.#show, heardMsAgo, filesLeft };
  }

  /**
   * Ends following. The first machine is asked to give over, and what it still has is taken in; one that does not answer is not waited for.
   * @returns how much the first machine's clock is ahead of this one's, ms; a sentence when there is nothing to lead with
   */
  /** What the show is called that is here. */
  get show(): string {
    return this.#show ?? "";
  }

  async takeOver(): Promise<TakenOver> {
    // Pressed twice is pressed once.
    this.#taking ??= this.#takeOver();
    const taken = await this.#taking;
    if ("problem" in taken) this.#taking = undefined;
    return taken;
  }

  async #takeOver(): Promise<TakenOver> {
    if (this.#show === undefined)
      return {
        problem: t`This machine has nothing of the show yet, so it cannot lead. The first one goes on.`,
      };
    if (this.state.kind === "ready") {
      const refused = await this.#askForIt();
      if (refused !== undefined) return { problem: refused };
    }
    await this.close();
    return { aheadMs: this.#aheadMs.length === 0 ? 0 : Math.max(...this.#aheadMs) };
  }

  async close(): Promise<void> {
    clearInterval(this.#wordTimer);
    this.#ending.abort();
    await this.#running;
    await this.#fetching;
    if (this.#coming) this.#copy?.drop();
    rmSync(this.#pagesFile, { force: true });
  }

  /** @returns why the first machine will not; undefined when it has given over, or does not answer */
  async #askForIt(): Promise<string | undefined> {
    const gaveOver = new Promise<void>((done) => {
      this.#gaveOver = done;
    });
    const signal = AbortSignal.timeout(GIVES_OVER_WITHIN_MS);
    const tooLate = new Promise<void>((done) => signal.addEventListener("abort", () => done()));
    const answered = fetch(this.#at("give-over"), { method: "POST", signal }).then(
      async (response) =>
        response.ok
          ? void (await gaveOver)
          : t`The first machine answers, and does not give over (${response.status}). It goes on; try again.`,
      () => undefined,
    );
    return Promise.race([answered, tooLate.then(() => undefined)]);
  }

  #at(what: string, query: Readonly<Record<string, string>> = {}): URL {
    const url = new URL(`${this.#parts.leader.href.replace(/\/$/, "")}/${what}`);
    for (const [name, value] of Object.entries(query)) url.searchParams.set(name, value);
    return url;
  }

  /** Follows, and comes again whenever that ended. */
  async #run(): Promise<void> {
    let waitMs = COME_AGAIN_MS;
    while (!this.#ending.signal.aborted) {
      const before = this.#copies;
      try {
        this.#why =
          (await this.#followOnce()) ?? t`It ended the connection: it stopped, or its show was opened again.`;
      } catch (error) {
        if (!this.#ending.signal.aborted) this.#why = whyNot(error);
      }
      this.#isConnected = false;
      if (this.#coming) this.#copy?.drop();
      this.#coming = undefined;
      this.#copy = undefined;
      const isReached = this.#copies > before || this.#why === NOT_THERE;
      waitMs = isReached ? COME_AGAIN_MS : Math.min(waitMs * 2, COME_AGAIN_AT_MOST_MS);
      await pause(waitMs, this.#ending.signal);
    }
  }

  /** @returns why it ended, where that is known */
  async #followOnce(): Promise<string | undefined> {
    const { port, isSecure } = this.#parts.self;
    const answer = await piecesOf(
      this.#at("stream", { port: `${port}`, secure: isSecure ? "1" : "0" }),
      this.#ending.signal,
    );
    if ("status" in answer) return WHY_NOT[answer.status] ?? t`It answered ${answer.status}.`;
    const reader = new PartReader();
    for await (const piece of answer.pieces) {
      const parts = reader.read(piece);
      if (!parts) return t`What answers there is no first machine, or of another version.`;
      this.#heardAtMs = performance.now();
      this.#isConnected = true;
      for (const part of parts) {
        const problem = part.kind === "said" ? await this.#hear(part.said) : await this.#take(part);
        if (problem !== undefined) return problem;
      }
    }
    return undefined;
  }

  async #hear(said: Said): Promise<string | undefined> {
    switch (said.kind) {
      case "hello": {
        const { program } = this.#parts;
        if (said.program !== program)
          return t`It runs version ${said.program}, and this machine ${program}. Both need the same.`;
        this.#coming = { show: said.show, bytes: 0, ofBytes: 0 };
        return undefined;
      }
      case "pages":
        if (this.#coming) this.#coming.ofBytes = said.bytes;
        await rm(this.#pagesFile, { force: true });
        return undefined;
      case "pagesEnd": {
        if (!this.#coming) return OUT_OF_ORDER;
        await syncFile(this.#pagesFile);
        this.#copy = new LogCopy(this.#pagesFile);
        return undefined;
      }
      case "newLog":
        this.#copy?.beginLog();
        return undefined;
      case "caughtUp":
        if (!this.#copy || !this.#coming) return OUT_OF_ORDER;
        this.#copy.moveTo(this.#parts.file);
        this.#show = this.#coming.show;
        this.#coming = undefined;
        this.#copies++;
        this.#parts.onCopied(this.#show);
        log.info(`“${this.#show}” is here as well, up to what is written now`);
        void this.#sayWord();
        return undefined;
      case "beat":
        this.#aheadMs = [...this.#aheadMs.slice(1 - MOST_BEATS), said.atMs - Date.now()];
        return undefined;
      case "gaveOver":
        this.#gaveOver?.();
        return undefined;
    }
  }

  async #take(part: Extract<StreamPart, { bytes: unknown }>): Promise<string | undefined> {
    if (part.kind === "log") this.#copy?.append(part.bytes);
    else {
      if (!this.#coming) return OUT_OF_ORDER;
      this.#coming.bytes += part.bytes.length;
      await appendFile(this.#pagesFile, part.bytes, { mode: 0o600 });
    }
    return undefined;
  }

  /** Says how it does, hears which files there are, and fetches those that are missing. */
  async #sayWord(): Promise<void> {
    if (!this.#isConnected) return;
    try {
      const said = { isReady: `${this.#show !== undefined}`, filesLeft: `${this.#filesLeft}` };
      const response = await fetch(this.#at("files", said), { signal: this.#ending.signal });
      if (!response.ok) return;
      const wanted = filesSchema.parse(await response.json());
      const here = new Map(
        (await listFiles(this.#parts.mediaFolder)).map(({ file, bytes }) => [file, bytes]),
      );
      const missing = wanted.filter(({ file, bytes }) => here.get(file) !== bytes);
      this.#filesLeft = missing.length;
      if (missing.length > 0)
        this.#fetching ??= this.#fetchAll(missing.map(({ file }) => file)).finally(() => {
          this.#fetching = undefined;
        });
    } catch (error) {
      if (!this.#ending.signal.aborted) log.warn("The first machine’s files could not be looked at", error);
    }
  }

  async #fetchAll(files: readonly string[]): Promise<void> {
    for (const file of files) {
      if (this.#ending.signal.aborted) return;
      try {
        await this.#fetchFile(file);
        this.#filesLeft = Math.max(0, this.#filesLeft - 1);
      } catch (error) {
        if (!this.#ending.signal.aborted)
          log.warn(`A file of the show could not be fetched (${file})`, error);
      }
    }
    await this.#sayWord();
  }

  /** It has its name only when its bytes are those that its name says. */
  async #fetchFile(file: string): Promise<void> {
    const { leader, mediaFolder } = this.#parts;
    const part = join(mediaFolder, `${file}.part`);
    const response = await fetch(new URL(`/media/${file}`, leader), { signal: this.#ending.signal });
    if (!response.ok || !response.body) throw new Error(`it answered ${response.status}`);
    const hash = createHash("sha256");
    const body = Readable.fromWeb(response.body as NodeStream);
    body.on("data", (bytes: Buffer) => hash.update(bytes));
    await pipeline(body, createWriteStream(part, { mode: 0o600 }), { signal: this.#ending.signal });
    if (hash.digest("hex") !== file) {
      await rm(part, { force: true });
      throw new Error("its bytes are not those that its name says");
    }
    await rename(part, join(mediaFolder, file));
  }
}

async function syncFile(file: string): Promise<void> {
  const handle = await open(file, "r+");
  try {
    await handle.sync();
  } finally {
    await handle.close();
  }
}

const pause = (ms: number, signal: AbortSignal): Promise<void> =>
  new Promise((done) => {
    if (signal.aborted) return done();
    const timer = setTimeout(done, ms);
    signal.addEventListener("abort", () => {
      clearTimeout(timer);
      done();
    });
  });

function whyNot(error: unknown): string {
  const cause = error instanceof Error ? (error.cause as NodeJS.ErrnoException | undefined) : undefined;
  const code = cause?.code ?? (error as NodeJS.ErrnoException).code;
  return code === "ECONNREFUSED"
    ? NOT_THERE
    : t`It is not reached (${code ?? (error instanceof Error ? error.message : String(error))}).`;
}
