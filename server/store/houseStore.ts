import type { HouseStyle } from "../../core/scene/houseStyle.ts";
import type { Db } from "./database.ts";
import { type Show, saveLicence, savePlace, saveStyle, type WornStyle } from "./showStore.ts";

/** What is true of the whole house: its name, its licence number, the style that new takes wear. */
export class HouseStore {
  readonly #db: Db;
  readonly #showId: string;
  #place: string;
  #licence: string;
  #style: WornStyle;

  constructor(db: Db, { id, place, licence, style }: Show) {
    this.#db = db;
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

  /** Which of the venue's styles that is. */
  get styleId(): string {
    return this.#style.id;
  }

  /** And as which version. */
  get styleHash(): string {
    return this.#style.hash;
  }

  async setStyle(worn: WornStyle): Promise<void> {
    await saveStyle(this.#db, this.#showId, worn);
    this.#style = worn;
  }
}
