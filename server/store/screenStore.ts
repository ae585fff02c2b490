import { z } from "zod";
import { t } from "../../core/language/t.ts";
import { nameSchema } from "../../core/names/name.ts";
import { outputKind } from "../../core/stored/kinds/output.ts";
import { planKind } from "../../core/stored/kinds/plan.ts";
import { writeStored } from "../../core/stored/storedKind.ts";
import {
  type Output,
  outputSchema,
  type ScreenPlan,
  screenPlanSchema,
  type Venue,
  venueSchema,
} from "../../core/venue/plan.ts";
import type { Db } from "./database.ts";
import { SetAside } from "./setAside.ts";

export const MOST_OUTPUTS = 24;
export const MOST_PLANS = 24;
/** Of a show whose own cannot be read. */
const USUAL_ROOM: Venue = { widthM: 20, depthM: 14 };

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

  readonly #setAside: SetAside;

  constructor(db: Db, showId: string, setAside = new SetAside()) {
    this.#db = db;
    this.#showId = showId;
    this.#setAside = setAside;
  }

  async load(): Promise<void> {
    const outputs = await this.#db
      .selectFrom("output")
      .select(["id", "doc"])
      .where("show_id", "=", this.#showId)
      .orderBy("rank")
      .execute();
    const plans = await this.#db
      .selectFrom("screen_plan")
      .select(["id", "doc"])
      .where("show_id", "=", this.#showId)
      .orderBy("rank")
      .execute();
    const show = await this.#db
      .selectFrom("show")
      .select("venue")
      .where("id", "=", this.#showId)
      .executeTakeFirstOrThrow();
    this.#venue = this.#setAside.readValue("room", this.#showId, venueSchema, show.venue, USUAL_ROOM);
    this.#outputs = outputs.flatMap(({ id, doc }) => this.#setAside.read(outputKind, id, doc) ?? []);
    this.#plans = plans.flatMap(({ id, doc }) => this.#setAside.read(planKind, id, doc) ?? []);
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
          return t`There are ${MOST_OUTPUTS} screens, which is the most. Nothing was added; take one away first.`;
        await this.#save("output", output.id, writeStored(outputKind, output), this.#outputs);
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
          return t`There are ${MOST_PLANS} plans, which is the most. Nothing was added; take one away first.`;
        await this.#save("screen_plan", edit.plan.id, writeStored(planKind, edit.plan), this.#plans);
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
          return t`The last plan stays: the screens need one. Nothing was changed.`;
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
    id: string,
    doc: string,
    known: readonly { readonly id: string }[],
  ): Promise<void> {
    const at = known.findIndex((each) => each.id === id);
    await this.#db
      .insertInto(table)
      .values({ id, show_id: this.#showId, rank: at < 0 ? known.length : at, doc })
      .onConflict((oc) => oc.columns(["show_id", "id"]).doUpdateSet({ doc }))
      .execute();
  }
}
