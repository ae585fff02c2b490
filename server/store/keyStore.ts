import { type KeyMap, keyMapSchema } from "../../core/keys/keyMap.ts";
import type { Db } from "./database.ts";

/** The venue's own keys: a column, with a copy in memory. */
export class KeyStore {
  readonly #db: Db;
  readonly #showId: string;
  #keys: KeyMap = {};
  readonly #listeners = new Set<(keys: KeyMap) => void>();

  constructor(db: Db, showId: string) {
    this.#db = db;
    this.#showId = showId;
  }

  async load(): Promise<void> {
    const { keys } = await this.#db
      .selectFrom("show")
      .select("keys")
      .where("id", "=", this.#showId)
      .executeTakeFirstOrThrow();
    this.#keys = keyMapSchema.parse(JSON.parse(keys));
  }

  get keys(): KeyMap {
    return this.#keys;
  }

  async save(keys: KeyMap): Promise<void> {
    await this.#db
      .updateTable("show")
      .set({ keys: JSON.stringify(keys) })
      .where("id", "=", this.#showId)
      .execute();
    this.#keys = keys;
    for (const listener of this.#listeners) listener(keys);
  }

  onChange(listener: (keys: KeyMap) => void): void {
    this.#listeners.add(listener);
  }
}
