import { createHash, createHmac, randomBytes, randomUUID } from "node:crypto";
import Bowser from "bowser";
import type { Db } from "../store/database.ts";

/** A browser on another machine that was let in to the desk. */
export interface DeskSession {
  readonly id: string;
  readonly name: string;
  /** What it was let in by. */
  readonly way: "link" | "passcode";
  readonly address: string;
  readonly beganAtMs: number;
  readonly seenAtMs: number;
}

interface Known extends DeskSession {
  readonly cookieHash: string;
  readonly liveHash: string;
}

/** When a session was last seen is written down this often at most. */
const SEEN_EVERY_MS = 60_000;
/** A browser that was not here for so long is asked again. */
const LASTS_MS = 180 * 24 * 3_600_000;
const MOST_SESSIONS = 200;

const hash = (token: string): string => createHash("sha256").update(token).digest("base64url");
/** What its pages say on the live channel: it follows from the cookie, which pages cannot read, and does not give it away. */
const liveTokenOf = (cookie: string): string =>
  createHmac("sha256", cookie).update("live").digest().subarray(0, 24).toString("base64url");

/** The browsers that were let in, each with a cookie of its own of which only the hash is kept. Each can be ended by name. */
export class DeskSessions {
  readonly #db: Db;
  readonly #showId: string;
  readonly #now: () => number;
  readonly #known = new Map<string, Known>();
  readonly #listeners = new Set<(sessionId: string) => void>();

  constructor(db: Db, showId: string, now: () => number) {
    this.#db = db;
    this.#showId = showId;
    this.#now = now;
  }

  async load(): Promise<void> {
    const rows = await this.#db
      .selectFrom("desk_session")
      .selectAll()
      .where("show_id", "=", this.#showId)
      .orderBy("seen_at_ms")
      .execute();
    for (const row of rows)
      this.#known.set(row.id, {
        id: row.id,
        name: row.name,
        way: row.way,
        address: row.address,
        beganAtMs: row.began_at_ms,
        seenAtMs: row.seen_at_ms,
        cookieHash: row.cookie_hash,
        liveHash: row.live_hash,
      });
    for (const { id, seenAtMs } of [...this.#known.values()])
      if (this.#now() - seenAtMs > LASTS_MS) await this.end(id);
  }

  /** Told of a session that is over. */
  onEnded(listener: (sessionId: string) => void): void {
    this.#listeners.add(listener);
  }

  /** Those that last, the latest seen first. */
  list(): DeskSession[] {
    return [...this.#known.values()]
      .map(({ id, name, way, address, beganAtMs, seenAtMs }) => ({
        id,
        name,
        way,
        address,
        beganAtMs,
        seenAtMs,
      }))
      .sort((a, b) => b.seenAtMs - a.seenAtMs);
  }

  /** Lets a browser in. @returns the cookie it is to keep */
  async begin(way: DeskSession["way"], address: string, userAgent: string): Promise<string> {
    const cookie = randomBytes(24).toString("base64url");
    const atMs = Math.round(this.#now());
    const session: Known = {
      id: randomUUID(),
      name: nameOfBrowser(userAgent),
      way,
      address: address.slice(0, 60),
      beganAtMs: atMs,
      seenAtMs: atMs,
      cookieHash: hash(cookie),
      liveHash: hash(liveTokenOf(cookie)),
    };
    for (const { id } of this.list().slice(MOST_SESSIONS - 1)) await this.end(id);
    await this.#db
      .insertInto("desk_session")
      .values({
        id: session.id,
        show_id: this.#showId,
        cookie_hash: session.cookieHash,
        live_hash: session.liveHash,
        name: session.name,
        way,
        address: session.address,
        began_at_ms: atMs,
        seen_at_ms: atMs,
      })
      .execute();
    this.#known.set(session.id, session);
    return cookie;
  }

  /** The session of a cookie, and what its pages say on the live channel. */
  findByCookie(cookie: string): { readonly session: DeskSession; readonly liveToken: string } | undefined {
    const session = this.#find("cookieHash", hash(cookie));
    return session && { session, liveToken: liveTokenOf(cookie) };
  }

  findByLiveToken(token: string): DeskSession | undefined {
    return this.#find("liveHash", hash(token));
  }

  /** Notes that a session is used. */
  async seen(id: string, address: string): Promise<void> {
    const known = this.#known.get(id);
    const atMs = Math.round(this.#now());
    if (!known || atMs - known.seenAtMs < SEEN_EVERY_MS) return;
    this.#known.set(id, { ...known, address: address.slice(0, 60), seenAtMs: atMs });
    await this.#db
      .updateTable("desk_session")
      .set({ seen_at_ms: atMs, address: address.slice(0, 60) })
      .where("id", "=", id)
      .execute();
  }

  /** A session is called what its desk is called. */
  async rename(id: string, name: string): Promise<void> {
    const known = this.#known.get(id);
    if (!known || name === "" || known.name === name) return;
    this.#known.set(id, { ...known, name });
    await this.#db.updateTable("desk_session").set({ name }).where("id", "=", id).execute();
  }

  /** @returns whether there was such a session */
  async end(id: string): Promise<boolean> {
    const { numDeletedRows } = await this.#db
      .deleteFrom("desk_session")
      .where("show_id", "=", this.#showId)
      .where("id", "=", id)
      .executeTakeFirst();
    this.#known.delete(id);
    for (const listener of this.#listeners) listener(id);
    return numDeletedRows > 0n;
  }

  /** @param keptId the session of whoever asked for it: it goes on */
  async endAll(keptId: string | null, way?: DeskSession["way"]): Promise<void> {
    for (const session of this.list())
      if (session.id !== keptId && (way === undefined || session.way === way)) await this.end(session.id);
  }

  #find(by: "cookieHash" | "liveHash", wanted: string): Known | undefined {
    for (const session of this.#known.values()) if (session[by] === wanted) return session;
    return undefined;
  }
}

/** What a person calls a browser: "Firefox on Android". */
function nameOfBrowser(userAgent: string): string {
  if (userAgent === "") return "A program";
  const { browser, os } = Bowser.parse(userAgent.slice(0, 400));
  return [browser.name ?? "A browser", os.name].filter(Boolean).join(" on ").slice(0, 40);
}
