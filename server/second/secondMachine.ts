import { randomUUID } from "node:crypto";
import { createReadStream } from "node:fs";
import { readdir, rm, stat } from "node:fs/promises";
import type { ServerResponse } from "node:http";
import { t } from "../../core/language/t.ts";
import type { Said, StreamPart } from "../../core/second/secondStream.ts";
import { writePart } from "../../core/second/secondStream.ts";
import type { SecondView, SecondWord } from "../../core/second/secondView.ts";
import { log } from "../log/log.ts";
import { DatabaseLog } from "./databaseLog.ts";

export interface SecondMachineParts {
  readonly databaseFile: string;
  readonly mediaFolder: string;
  readonly show: () => string;
  readonly program: string;
  /** Copies all pages of the database as they are at one moment into a file. */
  readonly copyPages: (to: string) => Promise<void>;
  /** Tells of every transaction when it is on the disk, before anybody is told of what was written. */
  readonly onWritten: (listener: () => void) => () => void;
  /** The address of a machine that followed once and says now that it leads this show. */
  readonly whoLeads: () => Promise<string | undefined>;
  /** Somebody had the second machine lead while this one could not be asked. */
  readonly onOtherLeads: (address: string) => void;
  readonly now: () => number;
  readonly beatEveryMs?: number;
}

const BEAT_EVERY_MS = 200;
/** A machine that reads no more than this long after it was written is let go: it comes again. */
const MOST_WAITING_BYTES = 256 * 1024 * 1024;
/** Not heard of for so many beats, it is lost. Beats, not a time: while this machine stands still it hears nobody. */
const LOST_AFTER_BEATS = 30;
const PIECE_BYTES = 1024 * 1024;
/** One that was there and is not is asked so often whether it leads. */
const ASK_EVERY_MS = 2_000;

interface Stream {
  readonly response: ServerResponse;
  readonly address: string;
  readonly token: string;
  readonly sinceMs: number;
  readonly databaseLog: DatabaseLog;
  /** The log waits until the pages are sent. */
  held: StreamPart[] | null;
}

/**
 * The first machine's side: sends one other machine all of the show, and from then on every transaction before any window hears of it.
 * So a first machine whose process dies has told nobody anything that the second does not know. It never waits for the second.
 */
export class SecondMachine {
  readonly #parts: SecondMachineParts;
  readonly #listeners = new Set<() => void>();
  readonly #news = new Set<(sentence: string) => void>();
  readonly #timer: ReturnType<typeof setInterval>;
  readonly #endListening: () => void;
  #stream: Stream | undefined;
  #view: SecondView = { kind: "none" };
  #askedAtMs = 0;
  #isAsking = false;
  #beatsUnheard = 0;

  constructor(parts: SecondMachineParts) {
    this.#parts = parts;
    this.#timer = setInterval(() => this.#beat(), parts.beatEveryMs ?? BEAT_EVERY_MS);
    this.#timer.unref();
    this.#endListening = parts.onWritten(() => this.#send());
  }

  get view(): SecondView {
    return this.#view;
  }

  /** Where windows find the show when this machine is gone; null: nowhere. */
  get address(): string | null {
    return this.#view.kind === "none" ? null : this.#view.address;
  }

  /** Told when it comes, is ready, is lost, or is at another address. */
  onChange(listener: () => void): void {
    this.#listeners.add(listener);
  }

  /** Told in a sentence for every desk. */
  onNews(listener: (sentence: string) => void): void {
    this.#news.add(listener);
  }

  /**
   * A second machine has come, or has come again.
   * @param address by which windows reach it
   * @returns whether it is the one that may: there is one place
   */
  async follow(response: ServerResponse, address: string, token: string): Promise<boolean> {
    if (this.#stream && this.#stream.address !== address) return false;
    this.#end();
    const { databaseFile, now, show, program } = this.#parts;
    const stream: Stream = {
      ...{ response, address, token, sinceMs: now() },
      databaseLog: new DatabaseLog(databaseFile),
      held: [],
    };
    this.#stream = stream;
    response.on("close", () => this.#lost(stream));
    response.on("error", () => {});
    this.#say(stream, { kind: "hello", show: show(), program });
    // The log from its beginning, before the pages are copied: there is nothing between them.
    this.#send();
    const pages = `${databaseFile}.second-${randomUUID().slice(0, 8)}`;
    try {
      await this.#parts.copyPages(pages);
      await this.#sendPages(stream, pages);
    } catch (error) {
      log.warn("The second machine could not be given the show", error);
      response.destroy();
    } finally {
      await rm(pages, { force: true });
    }
    return true;
  }

  /** The second machine says how it does, and is told what files there are. */
  async hear(word: SecondWord): Promise<readonly { readonly file: string; readonly bytes: number }[]> {
    const stream = this.#stream;
    if (stream) {
      const { address, sinceMs } = stream;
      this.#beatsUnheard = 0;
      const before = this.#view;
      this.#view = { kind: "follows", address, sinceMs, heardAtMs: this.#parts.now(), word };
      const wasReady = before.kind === "follows" && isWhole(before.word);
      if (before.kind !== "follows" || before.address !== address) this.#tell();
      if (isWhole(word) && !wasReady)
        this.#tell(t`The second machine, at ${address}, has all of the show and is ready to take over.`);
    }
    return listFiles(this.#parts.mediaFolder);
  }

  /** Whether it could lead now, but for what is on its way. */
  get isReady(): boolean {
    return this.#stream?.held === null && this.#view.kind === "follows" && this.#view.word.isReady;
  }

  /**
   * Ends leading: what is written is with the second machine, and then it is told so.
   * @returns where the show goes on; undefined when there is no second machine that could
   */
  async giveOver(): Promise<string | undefined> {
    const stream = this.#stream;
    if (!stream || stream.held) return undefined;
    this.#send();
    this.#say(stream, { kind: "gaveOver" });
    this.#stream = undefined;
    stream.databaseLog.close();
    await new Promise<void>((done) => stream.response.end(done));
    return stream.address;
  }

  /** One that came by a link that opens nothing any more is let go. */
  closeUnless(token: string): void {
    if (this.#stream && this.#stream.token !== token) this.#stream.response.destroy();
  }

  close(): void {
    clearInterval(this.#timer);
    this.#endListening();
    this.#listeners.clear();
    this.#news.clear();
    this.#end();
  }

  async #sendPages(stream: Stream, file: string): Promise<void> {
    this.#say(stream, { kind: "pages", bytes: (await stat(file)).size });
    for await (const bytes of createReadStream(file, { highWaterMark: PIECE_BYTES })) {
      if (stream !== this.#stream) return;
      if (!this.#write(stream, { kind: "pages", bytes: bytes as Buffer })) await drained(stream.response);
    }
    if (stream !== this.#stream) return;
    this.#say(stream, { kind: "pagesEnd" });
    const held = stream.held ?? [];
    stream.held = null;
    for (const part of held) this.#write(stream, part);
    this.#send();
    this.#say(stream, { kind: "caughtUp" });
  }

  /** What was written since. */
  #send(): void {
    const stream = this.#stream;
    if (!stream) return;
    try {
      for (const news of stream.databaseLog.read()) {
        const parts: StreamPart[] =
          news.kind === "newLog" ? [{ kind: "said", said: { kind: "newLog" } }] : inPieces(news.bytes);
        for (const part of parts)
          if (stream.held) stream.held.push(part);
          else this.#write(stream, part);
      }
    } catch (error) {
      // The show goes on without it.
      log.warn("The second machine is not followed up any more", error);
      stream.response.destroy();
    }
  }

  #beat(): void {
    const stream = this.#stream;
    if (!stream) return void this.#askWhoLeads();
    if (stream.response.writableLength > MOST_WAITING_BYTES) {
      log.warn("The second machine reads too slowly and is let go; it comes again");
      stream.response.destroy();
      return;
    }
    this.#say(stream, { kind: "beat", atMs: this.#parts.now() });
    if (this.#view.kind === "follows" && ++this.#beatsUnheard > LOST_AFTER_BEATS) stream.response.destroy();
  }

  async #askWhoLeads(): Promise<void> {
    if (this.#isAsking || performance.now() - this.#askedAtMs < ASK_EVERY_MS) return;
    this.#isAsking = true;
    const address = await this.#parts.whoLeads();
    this.#isAsking = false;
    this.#askedAtMs = performance.now();
    if (address !== undefined && !this.#stream) this.#parts.onOtherLeads(address);
  }

  #lost(stream: Stream): void {
    if (stream !== this.#stream) return;
    this.#stream = undefined;
    stream.databaseLog.close();
    if (this.#view.kind !== "follows") return;
    this.#view = { kind: "lost", address: stream.address, sinceMs: this.#parts.now() };
    this.#tell(
      t`The second machine is not heard any more. The show goes on here as it was; see whether that machine runs.`,
    );
  }

  #end(): void {
    const stream = this.#stream;
    this.#stream = undefined;
    stream?.databaseLog.close();
    stream?.response.destroy();
  }

  #tell(sentence?: string): void {
    for (const listener of this.#listeners) listener();
    if (sentence !== undefined) for (const listener of this.#news) listener(sentence);
  }

  #say(stream: Stream, said: Said): void {
    this.#write(stream, { kind: "said", said });
  }

  #write(stream: Stream, part: StreamPart): boolean {
    const { response } = stream;
    if (response.destroyed) return true;
    const isTaken = response.write(writePart(part));
    // Node keeps what is written to an answer until the next turn, and windows are told before that.
    response.socket?.uncork();
    return isTaken;
  }
}

const isWhole = ({ isReady, filesLeft }: SecondWord): boolean => isReady && filesLeft === 0;

function inPieces(bytes: Uint8Array): StreamPart[] {
  const parts: StreamPart[] = [];
  for (let at = 0; at < bytes.length; at += PIECE_BYTES)
    parts.push({ kind: "log", bytes: bytes.subarray(at, at + PIECE_BYTES) });
  return parts;
}

const drained = (response: ServerResponse): Promise<void> =>
  new Promise((done) => {
    const go = () => {
      response.off("drain", go);
      response.off("close", go);
      done();
    };
    response.on("drain", go);
    response.on("close", go);
  });

/** Pictures, clips and fonts: files named by the hash of their bytes. */
export async function listFiles(
  folder: string,
): Promise<{ readonly file: string; readonly bytes: number }[]> {
  const names = (await readdir(folder)).filter((name) => /^[0-9a-f]{64}$/.test(name));
  return Promise.all(names.map(async (file) => ({ file, bytes: (await stat(`${folder}/${file}`)).size })));
}
