import { randomBytes } from "node:crypto";
import type { EntryLink } from "../../core/feeds/entryLink.ts";
import type { RemoteLink } from "../../core/remote/remoteLink.ts";
import { entryLinkKind } from "../../core/stored/kinds/entryLink.ts";
import { remoteLinkKind } from "../../core/stored/kinds/remoteLink.ts";
import { type StoredKind, writeStored } from "../../core/stored/storedKind.ts";
import { hasEnded } from "../../core/time/linkEnd.ts";
import type { Db } from "./database.ts";
import { SetAside } from "./setAside.ts";

export type Link =
  | { readonly kind: "desk"; readonly token: string }
  /** What the desk's pages on this machine say: no address has it, so that another desk link leaves them open. */
  | { readonly kind: "here"; readonly token: string }
  | { readonly kind: "output"; readonly token: string; readonly outputId: string }
  /** Sees everything and can do nothing. */
  | { readonly kind: "watch"; readonly token: string }
  /** Sends messages, as by OSC, and sees nothing. */
  | { readonly kind: "hook"; readonly token: string }
  /** A second machine: it is given everything. */
  | { readonly kind: "second"; readonly token: string }
  | MadeLink<"entry">
  | MadeLink<"remote">;

/** Links of which there are as many as people make; what each opens, its document says. */
interface MadeDocs {
  /** Changes some cells of one table, and nothing else. */
  readonly entry: EntryLink;
  /** A phone in the hand. */
  readonly remote: RemoteLink;
}
type MadeKind = keyof MadeDocs;
export interface MadeLink<K extends MadeKind> {
  readonly kind: K;
  readonly token: string;
  readonly id: string;
  readonly doc: MadeDocs[K];
}
export type TableLink = MadeLink<"entry">;

const MADE = {
  entry: { table: "entry_link", stored: entryLinkKind },
  remote: { table: "remote_link", stored: remoteLinkKind },
} as const;
const storedOf = <K extends MadeKind>(kind: K) => MADE[kind].stored as unknown as StoredKind<MadeDocs[K]>;

const isMade = (link: Link): link is MadeLink<"entry"> | MadeLink<"remote"> => link.kind in MADE;

/** 192 bits: cannot be guessed. */
const newToken = () => randomBytes(24).toString("base64url");

const SINGLE = ["desk", "here", "watch", "hook", "second"] as const;
type Single = (typeof SINGLE)[number];

/** Who may open what: one token for the desk, one for those who watch, one for each output, each of which can be renewed; and those to tables. */
export class LinkStore {
  readonly #db: Db;
  readonly #showId: string;
  readonly #setAside: SetAside;
  readonly #links = new Map<string, Link>();
  readonly #listeners = new Set<(token: string) => void>();
  readonly #now: () => number;
  /** Links that have ended by themselves, and whoever came by them was told so. */
  readonly #ended = new Set<string>();

  constructor(db: Db, showId: string, now: () => number, setAside = new SetAside()) {
    this.#now = now;
    this.#db = db;
    this.#showId = showId;
    this.#setAside = setAside;
  }

  async load(outputIds: readonly string[]): Promise<void> {
    const rows = await this.#db.selectFrom("link").selectAll().where("show_id", "=", this.#showId).execute();
    for (const { token, kind, output_id: outputId } of rows)
      this.#links.set(
        token,
        kind === "output" ? { kind, token, outputId: outputId ?? "" } : { kind: kind as Single, token },
      );
    for (const kind of ["entry", "remote"] as const) await this.#loadMade(kind);
    for (const kind of SINGLE)
      if (![...this.#links.values()].some((link) => link.kind === kind))
        await this.#add({ kind, token: newToken() });
    for (const outputId of outputIds) await this.ensure(outputId);
  }

  async #loadMade<K extends MadeKind>(kind: K): Promise<void> {
    const rows = await this.#db
      .selectFrom(MADE[kind].table)
      .selectAll()
      .where("show_id", "=", this.#showId)
      .execute();
    for (const { token, id, doc: stored } of rows) {
      const doc = this.#setAside.read(storedOf(kind), id, stored);
      if (doc) this.#links.set(token, { kind, token, id, doc } as unknown as Link);
    }
  }

  /** An output has a link from the moment it is made. */
  async ensure(outputId: string): Promise<void> {
    if (!this.#find(outputId)) await this.#add({ kind: "output", token: newToken(), outputId });
  }

  /** Told of a token that is not valid any more. */
  onRevoked(listener: (token: string) => void): void {
    this.#listeners.add(listener);
  }

  /** The old link opens nothing from now on. @returns the new one; undefined when there is no such output */
  async renew(
    wanted: "desk" | "watch" | "hook" | "second" | { readonly outputId: string },
  ): Promise<string | undefined> {
    const old =
      typeof wanted === "string"
        ? [...this.#links.values()].find(({ kind }) => kind === wanted)
        : this.#find(wanted.outputId);
    if (!old || old.kind === "entry" || old.kind === "remote") return undefined;
    const token = newToken();
    await this.#add({ ...old, token });
    await this.#drop(old.token);
    return token;
  }

  /** A link that somebody makes. @returns its token */
  async make<K extends MadeKind>(kind: K, id: string, doc: MadeDocs[K]): Promise<string> {
    const token = newToken();
    await this.#db
      .insertInto(MADE[kind].table)
      .values({ token, show_id: this.#showId, id, doc: writeStored(storedOf(kind), doc) })
      .execute();
    this.#links.set(token, { kind, token, id, doc } as unknown as Link);
    return token;
  }

  /** The same link means something else from now on. */
  async change<K extends MadeKind>(kind: K, id: string, doc: MadeDocs[K]): Promise<void> {
    const link = this.findMade(kind, id);
    if (!link) return;
    await this.#db
      .updateTable(MADE[kind].table)
      .set({ doc: writeStored(storedOf(kind), doc) })
      .where("token", "=", link.token)
      .execute();
    this.#links.set(link.token, { ...link, doc } as unknown as Link);
  }

  /** It opens nothing from now on. */
  async end(kind: MadeKind, id: string): Promise<void> {
    const link = this.findMade(kind, id);
    if (!link) return;
    await this.#db.deleteFrom(MADE[kind].table).where("token", "=", link.token).execute();
    this.#isGone(link.token);
  }

  findMade<K extends MadeKind>(kind: K, id: string): MadeLink<K> | undefined {
    return this.made(kind).find((link) => link.id === id);
  }

  made<K extends MadeKind>(kind: K): MadeLink<K>[] {
    return [...this.#links.values()].flatMap((link) =>
      link.kind === kind ? [link as unknown as MadeLink<K>] : [],
    );
  }

  async forget(outputId: string): Promise<void> {
    const old = this.#find(outputId);
    if (old) await this.#drop(old.token);
  }

  /** What a token opens; one whose time is over opens nothing, until somebody gives it more. */
  find(token: string): Link | undefined {
    const link = this.#links.get(token);
    return link && isMade(link) && hasEnded(link.doc, this.#now()) ? undefined : link;
  }

  /** Lets go of whoever came by a link that has ended by itself since this was called last. */
  lookForEnded(): void {
    for (const link of this.#links.values()) {
      const isOver = isMade(link) && hasEnded(link.doc, this.#now());
      if (!isOver) this.#ended.delete(link.token);
      else if (!this.#ended.has(link.token)) {
        this.#ended.add(link.token);
        for (const listener of this.#listeners) listener(link.token);
      }
    }
  }

  get deskToken(): string {
    return this.#get("desk");
  }

  get hereToken(): string {
    return this.#get("here");
  }

  get watchToken(): string {
    return this.#get("watch");
  }

  get hookToken(): string {
    return this.#get("hook");
  }

  get secondToken(): string {
    return this.#get("second");
  }

  tokenOfOutput(outputId: string): string {
    const link = this.#find(outputId);
    if (!link) throw new Error(`No link leads to output "${outputId}"`);
    return link.token;
  }

  #find(outputId: string): Link | undefined {
    return [...this.#links.values()].find((link) => link.kind === "output" && link.outputId === outputId);
  }

  #get(kind: Single): string {
    for (const link of this.#links.values()) if (link.kind === kind) return link.token;
    throw new Error(`The links were not loaded: there is no ${kind} link`);
  }

  async #add(link: Exclude<Link, { kind: MadeKind }>): Promise<void> {
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
    this.#isGone(token);
  }

  #isGone(token: string): void {
    this.#links.delete(token);
    for (const listener of this.#listeners) listener(token);
  }
}
