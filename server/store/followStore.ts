import type { Clip } from "../../core/clips/clip.ts";
import type { ClipMapping } from "../../core/clips/clipMapping.ts";
import { clipKind } from "../../core/stored/kinds/clip.ts";
import { clipMappingKind } from "../../core/stored/kinds/clipMapping.ts";
import { followSettingsKind } from "../../core/stored/kinds/followSettings.ts";
import { sourceKind } from "../../core/stored/kinds/source.ts";
import { triggerKind } from "../../core/stored/kinds/trigger.ts";
import { type StoredKind, writeStored } from "../../core/stored/storedKind.ts";
import { type FollowSettings, USUAL_FOLLOW } from "../../core/triggers/followSettings.ts";
import type { Trigger } from "../../core/triggers/trigger.ts";
import type { Source } from "../../core/venue/source.ts";
import type { ClipMappingView, SourceView, TriggerView } from "../../core/wire/followView.ts";
import type { Db } from "./database.ts";
import { SetAside } from "./setAside.ts";

const KINDS = {
  source: sourceKind,
  trigger: triggerKind,
  clip: clipKind,
  mapping: clipMappingKind,
  settings: followSettingsKind,
} as const;
type KindName = keyof typeof KINDS;
type RowKind = Exclude<KindName, "settings">;

export interface StoredClip extends Clip {
  readonly revision: number;
}

/** The only document of settings. */
const OF_VENUE = "venue";

/** Sources, triggers and their settings as rows, with a copy in memory. */
export class FollowStore {
  readonly #db: Db;
  readonly #showId: string;
  readonly #setAside: SetAside;
  sources: readonly SourceView[] = [];
  triggers: readonly TriggerView[] = [];
  clips: readonly StoredClip[] = [];
  mappings: readonly ClipMappingView[] = [];
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
    this.clips = read("clip", clipKind);
    this.mappings = read("mapping", clipMappingKind);
    const [settings] = read("settings", followSettingsKind);
    if (settings) {
      const { revision: _, ...own } = settings;
      this.settings = own;
    }
  }

  async saveSource(source: Source, revision: number): Promise<void> {
    await this.#save("source", source.id, placeOf(this.sources, source.id), revision, source);
    this.sources = withRow(this.sources, { ...source, revision });
  }

  async saveTrigger(trigger: Trigger, revision: number): Promise<void> {
    await this.#save("trigger", trigger.id, placeOf(this.triggers, trigger.id), revision, trigger);
    this.triggers = withRow(this.triggers, { ...trigger, revision });
  }

  async saveClip(clip: Clip, revision: number): Promise<void> {
    await this.#save("clip", clip.id, placeOf(this.clips, clip.id), revision, clip);
    this.clips = withRow(this.clips, { ...clip, revision });
  }

  async saveMapping(mapping: ClipMapping, revision: number): Promise<void> {
    await this.#save("mapping", mapping.id, placeOf(this.mappings, mapping.id), revision, mapping);
    this.mappings = withRow(this.mappings, { ...mapping, revision });
  }

  /** The clips in another order. @param ids every clip of the list, once */
  async orderClips(ids: readonly string[]): Promise<void> {
    await this.#db.transaction().execute(async (trx) => {
      for (const [place, id] of ids.entries())
        await trx
          .updateTable("follow")
          .set({ place })
          .where("show_id", "=", this.#showId)
          .where("kind", "=", "clip")
          .where("id", "=", id)
          .execute();
    });
    this.clips = ids.flatMap((id) => this.clips.find((clip) => clip.id === id) ?? []);
  }

  async saveSettings(settings: FollowSettings): Promise<void> {
    await this.#save("settings", OF_VENUE, 0, 1, settings);
    this.settings = settings;
  }

  async remove(kind: RowKind, id: string): Promise<void> {
    await this.#db
      .deleteFrom("follow")
      .where("show_id", "=", this.#showId)
      .where("kind", "=", kind)
      .where("id", "=", id)
      .execute();
    const without = <T extends { readonly id: string }>(rows: readonly T[]) =>
      rows.filter((row) => row.id !== id);
    switch (kind) {
      case "source":
        this.sources = without(this.sources);
        return;
      case "trigger":
        this.triggers = without(this.triggers);
        return;
      case "clip":
        this.clips = without(this.clips);
        return;
      case "mapping":
        this.mappings = without(this.mappings);
    }
  }

  async #save(kind: KindName, id: string, place: number, revision: number, document: unknown): Promise<void> {
    const doc = writeStored(KINDS[kind] as StoredKind<unknown>, document);
    await this.#db
      .insertInto("follow")
      .values({ show_id: this.#showId, kind, id, place, revision, doc })
      .onConflict((oc) => oc.columns(["show_id", "kind", "id"]).doUpdateSet({ revision, doc }))
      .execute();
  }
}

/** Where a row stands, or will stand when it is new. */
function placeOf(rows: readonly { readonly id: string }[], id: string): number {
  const at = rows.findIndex((each) => each.id === id);
  return at < 0 ? rows.length : at;
}

/** The rows with one in its place, or after all others. */
const withRow = <T extends { readonly id: string }>(rows: readonly T[], row: T): readonly T[] =>
  rows.some(({ id }) => id === row.id)
    ? rows.map((each) => (each.id === row.id ? row : each))
    : [...rows, row];
