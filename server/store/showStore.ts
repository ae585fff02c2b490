import { sql } from "kysely";
import { z } from "zod";
import type { Wardrobe } from "../../core/rundown/compileContext.ts";
import type { HouseStyle } from "../../core/scene/houseStyle.ts";
import type { Template } from "../../core/scene/template.ts";
import { outputKind } from "../../core/stored/kinds/output.ts";
import { planKind } from "../../core/stored/kinds/plan.ts";
import { writeStored } from "../../core/stored/storedKind.ts";
import { type Layer, layerSchema, type ScreenPlan } from "../../core/venue/plan.ts";
import { HARBOUR_LAMP } from "../../designs/houseStyles.ts";
import type { NewShow } from "../../designs/seed.ts";
import { STARTER_LAYERS, STARTER_PLAN } from "../../designs/starter.ts";
import type { ContentStore } from "./contentStore.ts";
import type { Db } from "./database.ts";
import { EveningStore, insertEvening } from "./eveningStore.ts";
import { pinnedBy } from "./pinnedBy.ts";
import { SetAside } from "./setAside.ts";

/** A show with its screens and what they wear, as read at start. */
export interface Show {
  readonly id: string;
  readonly name: string;
  readonly place: string;
  readonly layers: readonly Layer[];
  readonly plan: ScreenPlan;
  readonly outfits: readonly { readonly id: string; readonly name: string; readonly linesPerSlide: number }[];
  readonly wardrobes: readonly Wardrobe[];
  readonly timeZone: string;
  /** The venue's licence number for this event; empty when not given. */
  readonly licence: string;
  readonly style: { readonly hash: string; readonly style: HouseStyle };
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
  for (const [rank, outfit] of show.outfits.entries()) {
    await db
      .insertInto("outfit")
      .values({
        id: outfit.id,
        show_id: show.id,
        rank,
        name: outfit.name,
        lines_per_slide: outfit.linesPerSlide,
        variants: JSON.stringify(outfit.variants ?? []),
      })
      .execute();
    for (const [at, template] of outfit.templates.entries())
      await db
        .insertInto("template")
        .values({
          show_id: show.id,
          outfit_id: outfit.id,
          field_set: template.fieldSet,
          rank: outfit.templates.slice(0, at).filter(({ fieldSet }) => fieldSet === template.fieldSet).length,
          content_hash: await contents.keep(template),
        })
        .execute();
  }
}

export async function findShowId(db: Db): Promise<string | undefined> {
  const row = await db.selectFrom("show").select("id").orderBy("created_at_ms", "desc").executeTakeFirst();
  return row?.id;
}

/** A style, layers or plan that cannot be read has the usual ones in its place; a template that cannot is offered no more. */
export async function loadShow(
  db: Db,
  contents: ContentStore,
  showId: string,
  setAside = new SetAside(),
): Promise<Show> {
  const row = await db.selectFrom("show").selectAll().where("id", "=", showId).executeTakeFirstOrThrow();
  const outfits = await db
    .selectFrom("outfit")
    .selectAll()
    .where("show_id", "=", showId)
    .orderBy("rank")
    .execute();
  const templates = await db
    .selectFrom("template")
    .selectAll()
    .where("show_id", "=", showId)
    .orderBy("rank")
    .orderBy("id")
    .execute();
  await contents.load([row.style_hash, ...templates.map(({ content_hash }) => content_hash)]);
  // What a template names itself is as much a part of it as its objects.
  for (const { content_hash } of templates) await contents.load(pinnedBy(contents.find(content_hash)));
  const named = contents.find(row.style_hash);
  const style = named?.kind === "style" ? named : HARBOUR_LAMP;
  const styleHash = style === named ? row.style_hash : await contents.keep(style);
  const wardrobes = outfits.map(({ id, lines_per_slide, variants }): Wardrobe => {
    const worn = new Map<string, { hash: string; template: Template }[]>();
    for (const { outfit_id, field_set, content_hash } of templates) {
      const template = contents.find(content_hash);
      if (outfit_id !== id || template?.kind !== "template") continue;
      worn.set(field_set, [...(worn.get(field_set) ?? []), { hash: content_hash, template }]);
    }
    return {
      outfitId: id,
      linesPerSlide: lines_per_slide,
      variants: setAside.readValue("outfit", id, z.array(z.string()), variants, []),
      templates: worn,
    };
  });
  return {
    id: row.id,
    name: row.name,
    place: row.place,
    layers: setAside.readValue("layers", row.id, z.array(layerSchema), row.layers, [...STARTER_LAYERS]),
    plan: setAside.read(planKind, row.id, row.plan) ?? STARTER_PLAN,
    timeZone: row.time_zone,
    licence: row.licence,
    outfits: outfits.map(({ id, name, lines_per_slide }) => ({ id, name, linesPerSlide: lines_per_slide })),
    wardrobes,
    style: { hash: styleHash, style },
  };
}

/** Offers one more template for an outfit, last among those of its fields. */
export async function addTemplate(
  db: Db,
  contents: ContentStore,
  showId: string,
  outfitId: string,
  template: Template,
): Promise<void> {
  const hash = await contents.keep(template);
  const { rank } = await db
    .selectFrom("template")
    .select(({ fn }) => fn.max("rank").as("rank"))
    .where("show_id", "=", showId)
    .where("outfit_id", "=", outfitId)
    .where("field_set", "=", template.fieldSet)
    .executeTakeFirstOrThrow();
  await db
    .insertInto("template")
    .values({
      show_id: showId,
      outfit_id: outfitId,
      field_set: template.fieldSet,
      rank: rank === null ? 0 : Number(rank) + 1,
      content_hash: hash,
    })
    .execute();
}

/** Which template an outfit offers for a field set. */
interface Offered {
  readonly showId: string;
  readonly outfitId: string;
  readonly fieldSet: string;
  readonly hash: string;
}

const rowsOf = (db: Db, { showId, outfitId, fieldSet }: Omit<Offered, "hash">) =>
  db
    .selectFrom("template")
    .select(["id", "content_hash"])
    .where("show_id", "=", showId)
    .where("outfit_id", "=", outfitId)
    .where("field_set", "=", fieldSet)
    .orderBy("rank")
    .orderBy("id");

/** Ranks of the templates for one field set anew: the first is the one that the outfit wears. */
async function setOrder(db: Db, ids: readonly number[]): Promise<void> {
  if (ids.length === 0) return;
  await db.transaction().execute(async (trx) => {
    // No two may have the same rank, not even for a moment.
    await trx.updateTable("template").set({ rank: sql`-1 - rank` }).where("id", "in", ids).execute();
    for (const [rank, id] of ids.entries())
      await trx.updateTable("template").set({ rank }).where("id", "=", id).execute();
  });
}

/** The outfit wears this one from now on, and offers the others beside it. */
export async function wearTemplate(db: Db, offered: Offered): Promise<void> {
  const rows = await rowsOf(db, offered).execute();
  const [worn, others] = [
    rows.filter(({ content_hash }) => content_hash === offered.hash),
    rows.filter(({ content_hash }) => content_hash !== offered.hash),
  ];
  await setOrder(
    db,
    [...worn, ...others].map(({ id }) => Number(id)),
  );
}

/** Another template in the place of one that is offered. */
export async function replaceTemplate(
  db: Db,
  contents: ContentStore,
  offered: Offered,
  template: Template,
): Promise<void> {
  const hash = await contents.keep(template);
  await db
    .updateTable("template")
    .set({ content_hash: hash })
    .where("show_id", "=", offered.showId)
    .where("outfit_id", "=", offered.outfitId)
    .where("field_set", "=", offered.fieldSet)
    .where("content_hash", "=", offered.hash)
    .execute();
}

/** Offers a template no more. What is on air keeps it. */
export async function dropTemplate(db: Db, offered: Offered): Promise<void> {
  const rows = await rowsOf(db, offered).execute();
  const ids = rows.flatMap(({ id, content_hash }) => (content_hash === offered.hash ? [Number(id)] : []));
  if (ids.length > 0) await db.deleteFrom("template").where("id", "in", ids).execute();
  await setOrder(
    db,
    rows.map(({ id }) => Number(id)).filter((id) => !ids.includes(id)),
  );
}

/** Another house style for the whole show. What is on air keeps the one it was taken with. */
export async function saveStyle(
  db: Db,
  contents: ContentStore,
  showId: string,
  style: HouseStyle,
): Promise<string> {
  const hash = await contents.keep(style);
  await db.updateTable("show").set({ style_hash: hash }).where("id", "=", showId).execute();
  return hash;
}

export async function savePlace(db: Db, showId: string, place: string): Promise<void> {
  await db.updateTable("show").set({ place }).where("id", "=", showId).execute();
}

export async function saveLicence(db: Db, showId: string, licence: string): Promise<void> {
  await db.updateTable("show").set({ licence }).where("id", "=", showId).execute();
}
