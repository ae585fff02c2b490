import { randomBytes, scrypt, timingSafeEqual } from "node:crypto";
import type { Db } from "./database.ts";

/** Memory-hard: 32 MiB and about a tenth of a second for each try (N, r, p as RFC 7914 names them). */
const COST = { N: 32_768, r: 8, p: 1, maxmem: 64 * 1024 * 1024 } as const;
const KEY_BYTES = 32;

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
    this.#hash =
      passcode === ""
        ? ""
        : `${salt.toString("base64")}$${(await derive(passcode, salt)).toString("base64")}`;
    await this.#db
      .updateTable("show")
      .set({ passcode_hash: this.#hash })
      .where("id", "=", this.#showId)
      .execute();
  }

  async matches(passcode: string): Promise<boolean> {
    const [salt, key] = this.#hash.split("$").map((part) => Buffer.from(part, "base64"));
    return salt !== undefined && key !== undefined && timingSafeEqual(await derive(passcode, salt), key);
  }
}
