import { randomBytes } from "node:crypto";
import type { Db } from "./database.ts";

export type Link =
  | { readonly kind: "desk"; readonly token: string }
  | { readonly kind: "output"; readonly token: string; readonly outputId: string }
  /** Sees everything and can do nothing. */
  | { readonly kind: "watch"; readonly token: string };

/** 192 bits: cannot be guessed. */
const newToken = () => randomBytes(24).toString("base64url");

/** Who may open what: one token for the desk, one for those who watch, one for each output. Each can be renewed. */
export class LinkStore {
  readonly #db: Db;
  readonly #showId: string;
  readonly #links = new Map<string, Link>();
  readonly #listeners = new Set<(token: string) => void>();

  constructor(db: Db, showId: string) {
    this.#db = db;
    this.#showId = showId;
  }

  async load(outputIds: readonly string[]): Promise<void> {
    const rows = await this.#db.selectFrom("link").selectAll().where("show_id", "=", this.#showId).execute();
    for (const { token, kind, output_id: outputId } of rows)
      this.#links.set(
        token,
        kind === "output"
          ? { kind, token, outputId: outputId ?? "" }
          : { kind: kind as "desk" | "watch", token },
      );
    for (const kind of ["desk", "watch"] as const)
      if (![...this.#links.values()].some((link) => link.kind === kind))
        await this.#add({ kind, token: newToken() });
    for (const outputId of outputIds) await this.ensure(outputId);
  }

  /** An output has a link from the moment it is made. */
  async ensure(outputId: string): Promise<void> {
    if (!this.#find(outputId)) await this.#add({ kind: "output", token: newToken(), outputId });
  }

  /** Told of a token that is not valid any more. */
  onRevoked(listener: (token: string) => void): void {
    this.#listeners.add(listener);
  }

  /** The old link opens nothing from now on. @param wanted an output's id, or "watch" */
  async renew(wanted: string): Promise<void> {
    const old =
      wanted === "watch"
        ? [...this.#links.values()].find(({ kind }) => kind === "watch")
        : this.#find(wanted);
    if (!old) return;
    await this.#add({ ...old, token: newToken() });
    await this.#drop(old.token);
  }

  async forget(outputId: string): Promise<void> {
    const old = this.#find(outputId);
    if (old) await this.#drop(old.token);
  }

  find(token: string): Link | undefined {
    return this.#links.get(token);
  }

  get deskToken(): string {
    return this.#get("desk");
  }

  get watchToken(): string {
    return this.#get("watch");
  }

  tokenOfOutput(outputId: string): string {
    const link = this.#find(outputId);
    if (!link) throw new Error(`No link leads to output "${outputId}"`);
    return link.token;
  }

  #find(outputId: string): Link | undefined {
    return [...this.#links.values()].find((link) => link.kind === "output" && link.outputId === outputId);
  }

  #get(kind: "desk" | "watch"): string {
    for (const link of this.#links.values()) if (link.kind === kind) return link.token;
    throw new Error(`The links were not loaded: there is no ${kind} link`);
  }

  async #add(link: Link): Promise<void> {
    await this.#db
      .insertInto("link")
      .values({
        token: link.token,
        show_id: this.#showId,
        kind: link.kind,
        output_id: link.kind === "output" ? link.outputId : null,
      })
      .execute();
    this.#links.set(link.token, link);
  }

  async #drop(token: string): Promise<void> {
    await this.#db.deleteFrom("link").where("token", "=", token).execute();
    this.#links.delete(token);
    for (const listener of this.#listeners) listener(token);
  }
}
