import { z } from "zod";
import { nameSchema } from "../../core/names/name.ts";
import {
  type Output,
  outputSchema,
  type ScreenPlan,
  screenPlanSchema,
  type Venue,
  venueSchema,
} from "../../core/screens/plan.ts";
import { log } from "../log.ts";
import type { Db } from "./database.ts";

export const MOST_OUTPUTS = 24;
export const MOST_PLANS = 24;

/** What can be done to screens and plans, besides switching. */
export const screensEditSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("saveOutput"), output: outputSchema }),
  z.strictObject({ kind: z.literal("removeOutput"), outputId: nameSchema(60) }),
  z.strictObject({ kind: z.literal("savePlan"), plan: screenPlanSchema }),
  z.strictObject({ kind: z.literal("removePlan"), planId: nameSchema(60) }),
  z.strictObject({ kind: z.literal("saveVenue"), venue: venueSchema }),
]);
export type ScreensEdit = z.infer<typeof screensEditSchema>;

/** The screens of a show and the plans for them: rows, with a copy in memory. */
export class ScreenStore {
  readonly #db: Db;
  readonly #showId: string;
  #outputs: readonly Output[] = [];
  #plans: readonly ScreenPlan[] = [];
  #venue: Venue | undefined;
  readonly #listeners = new Set<() => void>();

  constructor(db: Db, showId: string) {
    this.#db = db;
    this.#showId = showId;
  }

  async load(): Promise<void> {
    const outputs = await this.#db
      .selectFrom("output")
      .select("doc")
      .where("show_id", "=", this.#showId)
      .orderBy("rank")
      .execute();
    const plans = await this.#db
      .selectFrom("screen_plan")
      .select("doc")
      .where("show_id", "=", this.#showId)
      .orderBy("rank")
      .execute();
    const show = await this.#db
      .selectFrom("show")
      .select("venue")
      .where("id", "=", this.#showId)
      .executeTakeFirstOrThrow();
    this.#venue = venueSchema.parse(JSON.parse(show.venue));
    this.#outputs = outputs.flatMap(({ doc }) => readable(outputSchema, "screen", doc));
    this.#plans = plans.flatMap(({ doc }) => readable(screenPlanSchema, "plan", doc));
  }

  get outputs(): readonly Output[] {
    return this.#outputs;
  }

  get plans(): readonly ScreenPlan[] {
    return this.#plans;
  }

  get venue(): Venue {
    if (!this.#venue) throw new Error(`The screens of ${this.#showId} are not loaded yet`);
    return this.#venue;
  }

  onChange(listener: () => void): void {
    this.#listeners.add(listener);
  }

  /** @returns a sentence when it cannot be done */
  async edit(edit: ScreensEdit): Promise<string | undefined> {
    switch (edit.kind) {
      case "saveOutput": {
        const { output } = edit;
        const isNew = !this.#outputs.some(({ id }) => id === output.id);
        if (isNew && this.#outputs.length >= MOST_OUTPUTS)
          return `There are ${MOST_OUTPUTS} screens, which is the most. Nothing was added; take one away first.`;
        await this.#save("output", outputSchema.parse(output), this.#outputs);
        break;
      }
      case "removeOutput":
        await this.#db
          .deleteFrom("output")
          .where("show_id", "=", this.#showId)
          .where("id", "=", edit.outputId)
          .execute();
        break;
      case "savePlan": {
        const isNew = !this.#plans.some(({ id }) => id === edit.plan.id);
        if (isNew && this.#plans.length >= MOST_PLANS)
          return `There are ${MOST_PLANS} plans, which is the most. Nothing was added; take one away first.`;
        await this.#save("screen_plan", screenPlanSchema.parse(edit.plan), this.#plans);
        break;
      }
      case "saveVenue":
        await this.#db
          .updateTable("show")
          .set({ venue: JSON.stringify(edit.venue) })
          .where("id", "=", this.#showId)
          .execute();
        break;
      case "removePlan":
        if (this.#plans.length === 1)
          return "The last plan stays: the screens need one. Nothing was changed.";
        await this.#db
          .deleteFrom("screen_plan")
          .where("show_id", "=", this.#showId)
          .where("id", "=", edit.planId)
          .execute();
    }
    await this.load();
    for (const listener of this.#listeners) listener();
    return undefined;
  }

  async #save(
    table: "output" | "screen_plan",
    document: { readonly id: string },
    known: readonly { readonly id: string }[],
  ): Promise<void> {
    const at = known.findIndex(({ id }) => id === document.id);
    const doc = JSON.stringify(document);
    await this.#db
      .insertInto(table)
      .values({ id: document.id, show_id: this.#showId, rank: at < 0 ? known.length : at, doc })
      .onConflict((oc) => oc.columns(["show_id", "id"]).doUpdateSet({ doc }))
      .execute();
  }
}

/** A row that cannot be read is left out and stays as it is: it must not keep the show from opening. */
function readable<T>(schema: z.ZodType<T>, what: string, doc: string): T[] {
  const read = schema.safeParse(JSON.parse(doc));
  if (read.success) return [read.data];
  log.warn(
    `A ${what} cannot be read and is left out: ${read.error.issues[0]?.message} in ${doc.slice(0, 200)}`,
  );
  return [];
}
