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

  /** Only what is said changes: what another desk sets at the same moment stays. */
  async save(change: Partial<VenueSettings>): Promise<void> {
    const { keys, language } = change;
    if (!keys && !language) return;
    await this.#db
      .updateTable("show")
      .set({ ...(keys && { keys: JSON.stringify(keys) }), ...(language && { language }) })
      .where("id", "=", this.#showId)
      .execute();
    this.#settings = { ...this.#settings, ...change };
    for (const listener of this.#listeners) listener(this.#settings);
  }

  onChange(listener: (settings: VenueSettings) => void): void {
    this.#listeners.add(listener);
  }
}
