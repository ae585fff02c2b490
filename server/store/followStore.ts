import { followSettingsKind } from "../../core/stored/kinds/followSettings.ts";
import { sourceKind } from "../../core/stored/kinds/source.ts";
import { triggerKind } from "../../core/stored/kinds/trigger.ts";
import { type StoredKind, writeStored } from "../../core/stored/storedKind.ts";
import { type FollowSettings, USUAL_FOLLOW } from "../../core/triggers/followSettings.ts";
import type { Trigger } from "../../core/triggers/trigger.ts";
import type { Source } from "../../core/venue/source.ts";
import type { SourceView, TriggerView } from "../../core/wire/followView.ts";
import type { Db } from "./database.ts";
import { SetAside } from "./setAside.ts";

const KINDS = { source: sourceKind, trigger: triggerKind, settings: followSettingsKind } as const;
type KindName = keyof typeof KINDS;

/** The only document of settings. */
const OF_VENUE = "venue";

/** Sources, triggers and their settings as rows, with a copy in memory. */
export class FollowStore {
  readonly #db: Db;
  readonly #showId: string;
  readonly #setAside: SetAside;
  sources: readonly SourceView[] = [];
  triggers: readonly TriggerView[] = [];
  settings: FollowSettings = USUAL_FOLLOW;

  constructor(db: Db, showId: string, setAside = new SetAside()) {
    this.#db = db;
    this.#showId = showId;
    this.#setAside = setAside;
  }

  async load(): Promise<void> {
    const rows = await this.#db
      .selectFrom("follow")
      .select(["kind", "id", "revision", "doc"])
      .where("show_id", "=", this.#showId)
      .orderBy("place")
      .orderBy("id")
      .execute();
    const read = <T>(name: KindName, kind: StoredKind<T>) =>
      rows.flatMap(({ kind: of, id, revision, doc }) => {
        const found = of === name ? this.#setAside.read(kind, id, doc) : undefined;
        return found ? [{ ...found, revision }] : [];
      });
    this.sources = read("source", sourceKind);
    this.triggers = read("trigger", triggerKind);
    const [settings] = read("settings", followSettingsKind);
    if (settings) {
      const { revision: _, ...own } = settings;
      this.settings = own;
    }
  }

  async saveSource(source: Source, revision: number): Promise<void> {
    await this.#save("source", source.id, revision, source);
    this.sources = withRow(this.sources, { ...source, revision });
  }

  async saveTrigger(trigger: Trigger, revision: number): Promise<void> {
    await this.#save("trigger", trigger.id, revision, trigger);
    this.triggers = withRow(this.triggers, { ...trigger, revision });
  }

  async saveSettings(settings: FollowSettings): Promise<void> {
    await this.#save("settings", OF_VENUE, 1, settings);
    this.settings = settings;
  }

  async remove(kind: "source" | "trigger", id: string): Promise<void> {
    await this.#db
      .deleteFrom("follow")
      .where("show_id", "=", this.#showId)
      .where("kind", "=", kind)
      .where("id", "=", id)
      .execute();
    if (kind === "source") this.sources = this.sources.filter((each) => each.id !== id);
    else this.triggers = this.triggers.filter((each) => each.id !== id);
  }

  async #save<K extends KindName>(kind: K, id: string, revision: number, document: unknown): Promise<void> {
    const doc = writeStored(KINDS[kind] as StoredKind<unknown>, document);
    const rows = kind === "source" ? this.sources : this.triggers;
    const at = rows.findIndex((each) => each.id === id);
    const place = at < 0 ? rows.length : at;
    await this.#db
      .insertInto("follow")
      .values({ show_id: this.#showId, kind, id, place, revision, doc })
      .onConflict((oc) => oc.columns(["show_id", "kind", "id"]).doUpdateSet({ revision, doc }))
      .execute();
  }
}

/** The rows with one in its place, or after all others. */
const withRow = <T extends { readonly id: string }>(rows: readonly T[], row: T): readonly T[] =>
  rows.some(({ id }) => id === row.id)
    ? rows.map((each) => (each.id === row.id ? row : each))
    : [...rows, row];
