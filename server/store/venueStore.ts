import { keyMapSchema } from "../../core/keys/keyMap.ts";
import { USUAL_VENUE, type VenueSettings } from "../../core/show/venueSettings.ts";
import { nearestVenueLanguage } from "../../core/time/venueLanguage.ts";
import type { Db } from "./database.ts";

/** What a venue has set for all its desks: columns, with a copy in memory. */
export class VenueStore {
  readonly #db: Db;
  readonly #showId: string;
  #settings: VenueSettings = USUAL_VENUE;
  readonly #listeners = new Set<(settings: VenueSettings) => void>();

  constructor(db: Db, showId: string) {
    this.#db = db;
    this.#showId = showId;
  }

  async load(): Promise<void> {
    const { keys, language } = await this.#db
      .selectFrom("show")
      .select(["keys", "language"])
      .where("id", "=", this.#showId)
      .executeTakeFirstOrThrow();
    this.#settings = {
      keys: keyMapSchema.parse(JSON.parse(keys)),
      language: nearestVenueLanguage(language),
    };
  }

  get settings(): VenueSettings {
    return this.#settings;
  }

  async save(change: Partial<VenueSettings>): Promise<void> {
    const settings = { ...this.#settings, ...change };
    await this.#db
      .updateTable("show")
      .set({ keys: JSON.stringify(settings.keys), language: settings.language })
      .where("id", "=", this.#showId)
      .execute();
    this.#settings = settings;
    for (const listener of this.#listeners) listener(settings);
  }

  onChange(listener: (settings: VenueSettings) => void): void {
    this.#listeners.add(listener);
  }
}
