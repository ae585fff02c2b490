import type { HouseStyle } from "../../core/scene/houseStyle.ts";
import type { ContentStore } from "./contentStore.ts";
import type { Db } from "./database.ts";
import { type Show, saveLicence, savePlace, saveStyle } from "./showStore.ts";

/** What is true of the whole house: its name, its licence number, the style that new takes wear. */
export class HouseStore {
  readonly #db: Db;
  readonly #contents: ContentStore;
  readonly #showId: string;
  #place: string;
  #licence: string;
  #style: Show["style"];

  constructor(db: Db, contents: ContentStore, { id, place, licence, style }: Show) {
    this.#db = db;
    this.#contents = contents;
    this.#showId = id;
    this.#place = place;
    this.#licence = licence;
    this.#style = style;
  }

  /** Name of the house. */
  get place(): string {
    return this.#place;
  }

  /** The venue's licence number for this event; empty when not given. */
  get licence(): string {
    return this.#licence;
  }

  /** The style new takes wear; the air keeps the one it has. */
  get style(): HouseStyle {
    return this.#style.style;
  }

  async setPlace(place: string): Promise<void> {
    await savePlace(this.#db, this.#showId, place);
    this.#place = place;
  }

  async setLicence(licence: string): Promise<void> {
    await saveLicence(this.#db, this.#showId, licence);
    this.#licence = licence;
  }

  /** @returns the style with the hash it is pinned under */
  async setStyle(style: HouseStyle): Promise<Show["style"]> {
    const hash = await saveStyle(this.#db, this.#contents, this.#showId, style);
    this.#style = { hash, style };
    return this.#style;
  }
}
