import { randomBytes, scrypt, timingSafeEqual } from "node:crypto";
import type { Db } from "./database.ts";

/** Memory-hard: 32 MiB and about a tenth of a second for each try (N, r, p as RFC 7914 names them). */
const COST = { N: 32_768, r: 8, p: 1, maxmem: 64 * 1024 * 1024 } as const;
const KEY_BYTES = 32;

/** Derivations at once, and those that may wait: each needs its 32 MiB. */
const MOST_AT_ONCE = 2;
const MOST_WAITING = 30;

const derive = (passcode: string, salt: Buffer): Promise<Buffer> =>
  new Promise((resolve, reject) =>
    scrypt(passcode.normalize("NFKC"), salt, KEY_BYTES, COST, (error, key) =>
      error ? reject(error) : resolve(key),
    ),
  );

/** The venue's passcode for the desk from another machine, kept as a salted hash only. */
export class Passcode {
  readonly #db: Db;
  readonly #showId: string;
  #hash = "";
  #deriving = 0;
  readonly #waiting: (() => void)[] = [];

  constructor(db: Db, showId: string) {
    this.#db = db;
    this.#showId = showId;
  }

  async load(): Promise<void> {
    const row = await this.#db
      .selectFrom("show")
      .select("passcode_hash")
      .where("id", "=", this.#showId)
      .executeTakeFirst();
    this.#hash = row?.passcode_hash ?? "";
  }

  get isSet(): boolean {
    return this.#hash !== "";
  }

  /** @param passcode empty takes it away */
  async set(passcode: string): Promise<void> {
    const salt = randomBytes(16);
    const hash =
      passcode === ""
        ? ""
        : `${salt.toString("base64")}$${(await derive(passcode, salt)).toString("base64")}`;
    await this.#db.updateTable("show").set({ passcode_hash: hash }).where("id", "=", this.#showId).execute();
    // Only what is on the disk counts: another would be gone with the next start.
    this.#hash = hash;
  }

  /** "busy" when so many are asking at once that this one was not looked at. */
  async matches(passcode: string): Promise<boolean | "busy"> {
    const [salt, key] = this.#hash.split("$").map((part) => Buffer.from(part, "base64"));
    if (salt === undefined || key === undefined) return false;
    if (this.#waiting.length >= MOST_WAITING) return "busy";
    if (this.#deriving >= MOST_AT_ONCE) await new Promise<void>((resolve) => this.#waiting.push(resolve));
    this.#deriving++;
    try {
      return timingSafeEqual(await derive(passcode, salt), key);
    } finally {
      this.#deriving--;
      this.#waiting.shift()?.();
    }
  }
}
