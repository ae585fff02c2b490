import { z } from "zod";
import { type KeyMap, keyMapSchema } from "../../core/keys/keyMap.ts";
import type { Db } from "./database.ts";

export const eventSettingsSchema = z.strictObject({
  keys: keyMapSchema,
  /** HH:MM in the show's time zone; empty when not said. */
  startsAt: z.union([z.literal(""), z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/)]),
});
export type EventSettings = z.infer<typeof eventSettingsSchema>;

/** What a venue sets for its evening besides words and screens: a column each, with a copy in memory. */
export class EventSettingsStore {
  readonly #db: Db;
  readonly #showId: string;
  #settings: EventSettings = { keys: {}, startsAt: "" };

  constructor(db: Db, showId: string) {
    this.#db = db;
    this.#showId = showId;
  }

  async load(): Promise<void> {
    const { keys, starts_at } = await this.#db
      .selectFrom("show")
      .select(["keys", "starts_at"])
      .where("id", "=", this.#showId)
      .executeTakeFirstOrThrow();
    this.#settings = eventSettingsSchema.parse({ keys: JSON.parse(keys), startsAt: starts_at });
  }

  get settings(): EventSettings {
    return this.#settings;
  }

  async save(change: Partial<EventSettings>): Promise<void> {
    const settings: { keys: KeyMap; startsAt: string } = { ...this.#settings, ...change };
    await this.#db
      .updateTable("show")
      .set({ keys: JSON.stringify(settings.keys), starts_at: settings.startsAt })
      .where("id", "=", this.#showId)
      .execute();
    this.#settings = settings;
  }
}
