import { keyMapSchema } from "../../core/keys/keyMap.ts";
import { USUAL_VENUE, type VenueSettings } from "../../core/show/venueSettings.ts";
import { nearestVenueLanguage } from "../../core/time/venueLanguage.ts";
import { setLimitsSchema } from "../../core/venue/checkLimits.ts";
import type { Db } from "./database.ts";
import { SetAside } from "./setAside.ts";

/** What a venue has set for all its desks: columns, with a copy in memory. */
export class VenueStore {
  readonly #db: Db;
  readonly #showId: string;
  #settings: VenueSettings = USUAL_VENUE;
  readonly #listeners = new Set<(settings: VenueSettings) => void>();

  readonly #setAside: SetAside;

  constructor(db: Db, showId: string, setAside = new SetAside()) {
    this.#db = db;
    this.#showId = showId;
    this.#setAside = setAside;
  }

  async load(): Promise<void> {
    const { keys, language, kept_days, kept_mb, check_limits } = await this.#db
      .selectFrom("show")
      .select(["keys", "language", "kept_days", "kept_mb", "check_limits"])
      .where("id", "=", this.#showId)
      .executeTakeFirstOrThrow();
    this.#settings = {
      keys: this.#setAside.readValue("keys", this.#showId, keyMapSchema, keys, USUAL_VENUE.keys),
      language: nearestVenueLanguage(language),
      kept: { days: kept_days, mb: kept_mb },
      limits: this.#setAside.readValue(
        "limits",
        this.#showId,
        setLimitsSchema,
        check_limits,
        USUAL_VENUE.limits,
      ),
    };
  }

  get settings(): VenueSettings {
    return this.#settings;
  }

  /** Only what is said changes: what another desk sets at the same moment stays. */
  async save(change: Partial<VenueSettings>): Promise<void> {
    const { keys, language, kept, limits } = change;
    if (!keys && !language && !kept && !limits) return;
    await this.#db
      .updateTable("show")
      .set({
        ...(keys && { keys: JSON.stringify(keys) }),
        ...(language && { language }),
        ...(kept && { kept_days: kept.days, kept_mb: kept.mb }),
        ...(limits && { check_limits: JSON.stringify(limits) }),
      })
      .where("id", "=", this.#showId)
      .execute();
    this.#settings = { ...this.#settings, ...change };
    for (const listener of this.#listeners) listener(this.#settings);
  }

  onChange(listener: (settings: VenueSettings) => void): void {
    this.#listeners.add(listener);
  }
}
