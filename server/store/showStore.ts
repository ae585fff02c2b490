import { z } from "zod";
import type { HouseStyle } from "../../core/scene/houseStyle.ts";
import { outputKind } from "../../core/stored/kinds/output.ts";
import { planKind } from "../../core/stored/kinds/plan.ts";
import { writeStored } from "../../core/stored/storedKind.ts";
import { type Layer, layerSchema, type ScreenPlan } from "../../core/venue/plan.ts";
import { HARBOUR_LAMP } from "../../designs/houseStyles.ts";
import type { NewShow } from "../../designs/seed.ts";
import { STARTER_LAYERS, STARTER_PLAN } from "../../designs/starterScreens.ts";
import type { ContentStore } from "./contentStore.ts";
import type { Db } from "./database.ts";
import { DesignStore } from "./designStore.ts";
import { EveningStore, insertEvening } from "./eveningStore.ts";
import { seedDesigns } from "./seedDesigns.ts";
import { SetAside } from "./setAside.ts";

export interface WornStyle {
  readonly id: string;
  readonly hash: string;
  readonly style: HouseStyle;
}

/** A show, as read at start. */
export interface Show {
  readonly id: string;
  readonly name: string;
  readonly place: string;
  readonly layers: readonly Layer[];
  readonly plan: ScreenPlan;
  readonly timeZone: string;
  /** The venue's licence number for this event; empty when not given. */
  readonly licence: string;
  /** The style that new takes wear, and which of the venue's it is. */
  readonly style: WornStyle;
}

export async function createShow(db: Db, contents: ContentStore, show: NewShow, atMs: number): Promise<void> {
  const styleHash = await contents.keep(show.style);
  await db
    .insertInto("show")
    .values({
      id: show.id,
      name: show.name,
      place: show.place,
      layers: JSON.stringify(show.layers),
      plan: writeStored(planKind, show.plan),
      style_hash: styleHash,
      time_zone: show.timeZone,
      licence: show.licence,
      created_at_ms: atMs,
    })
    .execute();
  const evening = { name: show.name, day: "", startsAt: show.startsAt, endsAt: "" };
  await new EveningStore(db, show.id).setOpen(await insertEvening(db, show.id, evening, [], atMs));
  for (const [rank, plan] of [show.plan, ...show.otherPlans].entries())
    await db
      .insertInto("screen_plan")
      .values({ id: plan.id, show_id: show.id, rank, doc: writeStored(planKind, plan) })
      .execute();
  for (const [rank, output] of show.outputs.entries())
    await db
      .insertInto("output")
      .values({ id: output.id, show_id: show.id, rank, doc: writeStored(outputKind, output) })
      .execute();
  const designs = new DesignStore(db, contents, show.id);
  await seedDesigns(designs, show.outfits, atMs);
  await db
    .updateTable("show")
    .set({ style_id: designs.list("style").find(({ published }) => published?.hash === styleHash)?.id ?? "" })
    .where("id", "=", show.id)
    .execute();
}

export async function findShowId(db: Db): Promise<string | undefined> {
  const row = await db.selectFrom("show").select("id").orderBy("created_at_ms", "desc").executeTakeFirst();
  return row?.id;
}

/** A style, layers or plan that cannot be read has the usual ones in its place. */
export async function loadShow(
  db: Db,
  contents: ContentStore,
  showId: string,
  setAside = new SetAside(),
): Promise<Show> {
  const row = await db.selectFrom("show").selectAll().where("id", "=", showId).executeTakeFirstOrThrow();
  await contents.load([row.style_hash]);
  const named = contents.find(row.style_hash);
  const style = named?.kind === "style" ? named : HARBOUR_LAMP;
  const styleHash = style === named ? row.style_hash : await contents.keep(style);
  return {
    id: row.id,
    name: row.name,
    place: row.place,
    layers: setAside.readValue("layers", row.id, z.array(layerSchema), row.layers, [...STARTER_LAYERS]),
    plan: setAside.read(planKind, row.id, row.plan) ?? STARTER_PLAN,
    timeZone: row.time_zone,
    licence: row.licence,
    style: { id: row.style_id, hash: styleHash, style },
  };
}

/** Another house style for the whole show. What is on air keeps the one it was taken with. */
export async function saveStyle(db: Db, showId: string, { id, hash }: WornStyle): Promise<void> {
  await db.updateTable("show").set({ style_id: id, style_hash: hash }).where("id", "=", showId).execute();
}

export async function savePlace(db: Db, showId: string, place: string): Promise<void> {
  await db.updateTable("show").set({ place }).where("id", "=", showId).execute();
}

export async function saveLicence(db: Db, showId: string, licence: string): Promise<void> {
  await db.updateTable("show").set({ licence }).where("id", "=", showId).execute();
}
