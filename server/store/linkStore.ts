import { randomBytes } from "node:crypto";
import type { Db } from "./database.ts";

export type Link =
  | { readonly kind: "desk"; readonly token: string }
  | { readonly kind: "output"; readonly token: string; readonly outputId: string };

/** 192 bits: cannot be guessed. */
const newToken = () => randomBytes(24).toString("base64url");

/** Who may open what: one token for the desk, one for each output. */
export class LinkStore {
  readonly #links = new Map<string, Link>();

  async load(db: Db, showId: string, outputIds: readonly string[]): Promise<void> {
    const rows = await db.selectFrom("link").selectAll().where("show_id", "=", showId).execute();
    for (const row of rows)
      this.#links.set(
        row.token,
        row.output_id === null
          ? { kind: "desk", token: row.token }
          : { kind: "output", token: row.token, outputId: row.output_id },
      );
    const missing: Link[] = [];
    const links = [...this.#links.values()];
    if (!links.some(({ kind }) => kind === "desk")) missing.push({ kind: "desk", token: newToken() });
    for (const outputId of outputIds)
      if (!links.some((link) => link.kind === "output" && link.outputId === outputId))
        missing.push({ kind: "output", token: newToken(), outputId });
    for (const link of missing) {
      await db
        .insertInto("link")
        .values({
          token: link.token,
          show_id: showId,
          kind: link.kind,
          output_id: link.kind === "output" ? link.outputId : null,
        })
        .execute();
      this.#links.set(link.token, link);
    }
  }

  find(token: string): Link | undefined {
    return this.#links.get(token);
  }

  get deskToken(): string {
    for (const link of this.#links.values()) if (link.kind === "desk") return link.token;
    throw new Error("The links were not loaded: there is no desk link");
  }

  tokenOfOutput(outputId: string): string {
    for (const link of this.#links.values())
      if (link.kind === "output" && link.outputId === outputId) return link.token;
    throw new Error(`No link leads to output "${outputId}"`);
  }
}
