import { createHash } from "node:crypto";
import { t } from "../../core/language/t.ts";
import type { PinnedDocument } from "../../core/rundown/pinnedDocument.ts";
import { PINNED_KINDS } from "../../core/stored/kinds.ts";
import { fromStored, type ReadStored, type StoredKind, writeStored } from "../../core/stored/storedKind.ts";
import type { Db } from "./database.ts";
import { SetAside } from "./setAside.ts";

/** SHA-256 of the document as JSON with its keys in order: the same content has the same name for good. */
export function hashOf(document: PinnedDocument): string {
  return createHash("sha256").update(canonicalJson(document)).digest("hex");
}

function canonicalJson(value: unknown): string {
  return JSON.stringify(value, (_key, inner) =>
    inner && typeof inner === "object" && !Array.isArray(inner)
      ? Object.fromEntries(Object.entries(inner).sort(([a], [b]) => (a < b ? -1 : 1)))
      : inner,
  );
}

const ANY_KIND = t`page, template, style or outfit`;

/** Documents asked for by one question to the database. */
const AT_ONCE = 200;

/** Documents stored under their hash: written once, never changed, kept in memory once read. */
export class ContentStore {
  readonly #db: Db;
  readonly #known = new Map<string, PinnedDocument>();
  /** Compiled but not on air: only what the air refers to needs to be on the disk. */
  readonly #stored = new Set<string>();
  /**
   * Hash that a document would get today → the one it has been stored under. A version that adds a property makes other
   * hashes; what is on air must not pass for edited because of that.
   */
  readonly #storedAs = new Map<string, string>();
  readonly #setAside: SetAside;
  readonly #watching = new Set<Set<string>>();

  constructor(db: Db, setAside = new SetAside()) {
    this.#db = db;
    this.#setAside = setAside;
  }

  /** Names a document and remembers it; `keep` writes it down. */
  name(document: PinnedDocument): string {
    return this.nameAs(hashOf(document), document);
  }

  /** Remembers a document by the name that it had: what it is called now, as from `name`. */
  nameAs(named: string, document: PinnedDocument): string {
    const hash = this.#storedAs.get(named) ?? named;
    if (!this.#known.has(hash)) this.#known.set(hash, document);
    return hash;
  }

  /** Forgets documents that were named, never kept, and are not wanted any more. */
  forget(hash: string): void {
    if (!this.#stored.has(hash)) this.#known.delete(hash);
  }

  find(hash: string): PinnedDocument | undefined {
    return this.#known.get(hash);
  }

  /** The rows still to be written for these hashes; insert them in the transaction that first refers to them. */
  unstored(hashes: Iterable<string>): { hash: string; doc: string; created_at_ms: number }[] {
    const rows = [];
    for (const hash of new Set(hashes)) {
      for (const seen of this.#watching) seen.add(hash);
      const document = this.#known.get(hash);
      if (document && !this.#stored.has(hash))
        rows.push({ hash, doc: writePinned(document), created_at_ms: Date.now() });
    }
    return rows;
  }

  markStored(hashes: Iterable<string>): void {
    for (const hash of hashes) this.#stored.add(hash);
  }

  async keep(document: PinnedDocument): Promise<string> {
    const hash = this.name(document);
    const rows = this.unstored([hash]);
    if (rows.length > 0)
      await this.#db
        .insertInto("content")
        .values(rows)
        .onConflict((oc) => oc.doNothing())
        .execute();
    this.markStored([hash]);
    return hash;
  }

  /** Stored documents, read for a moment: nothing of it stays in memory. */
  async read(hashes: Iterable<string>): Promise<Map<string, PinnedDocument>> {
    const found = new Map<string, PinnedDocument>();
    for (const hash of new Set(hashes)) {
      const known = this.#known.get(hash);
      if (known) {
        found.set(hash, known);
        continue;
      }
      const row = await this.#db
        .selectFrom("content")
        .select("doc")
        .where("hash", "=", hash)
        .executeTakeFirst();
      const document = row && this.#setAside.take(ANY_KIND, hash, row.doc, readPinned(row.doc));
      if (document) found.set(hash, document);
    }
    return found;
  }

  async storedBefore(atMs: number): Promise<string[]> {
    const rows = await this.#db
      .selectFrom("content")
      .select("hash")
      .where("created_at_ms", "<", Math.round(atMs))
      .execute();
    return rows.map(({ hash }) => hash);
  }

  /** Remembers from now on which hashes anything refers to anew. */
  watch(): { readonly referredTo: (hash: string) => boolean; readonly end: () => void } {
    const seen = new Set<string>();
    this.#watching.add(seen);
    return { referredTo: (hash) => seen.has(hash), end: () => this.#watching.delete(seen) };
  }

  /** Deletes stored documents but those that a row of the show names. In memory they stay. @returns how many went */
  async drop(hashes: readonly string[]): Promise<number> {
    let count = 0;
    for (const hash of hashes) {
      const { numDeletedRows } = await this.#db
        .deleteFrom("content")
        .where("hash", "=", hash)
        .where(({ not, exists, selectFrom }) =>
          not(exists(selectFrom("design_version").select("number").where("content_hash", "=", hash))),
        )
        .where(({ not, exists, selectFrom }) =>
          not(exists(selectFrom("media").select("id").where("content_hash", "=", hash))),
        )
        .where(({ not, exists, selectFrom }) =>
          not(exists(selectFrom("show").select("id").where("style_hash", "=", hash))),
        )
        .executeTakeFirst();
      if (numDeletedRows === 0n) continue;
      this.#stored.delete(hash);
      count++;
    }
    return count;
  }

  /** Brings stored documents into memory. One that is missing or cannot be read is set aside: nothing is drawn for it. */
  async load(hashes: Iterable<string>): Promise<void> {
    const wanted = [...new Set(hashes)].filter((hash) => !this.#stored.has(hash));
    const rows = new Map<string, { readonly doc: string }>();
    for (let at = 0; at < wanted.length; at += AT_ONCE) {
      const some = wanted.slice(at, at + AT_ONCE);
      const found = await this.#db.selectFrom("content").selectAll().where("hash", "in", some).execute();
      for (const row of found) rows.set(row.hash, row);
    }
    for (const hash of wanted) {
      const row = rows.get(hash);
      if (!row) {
        this.#setAside.leaveOut(ANY_KIND, hash, "", t`it is not in the file of the show`);
        continue;
      }
      this.#stored.add(hash);
      const document = this.#setAside.take(ANY_KIND, hash, row.doc, readPinned(row.doc));
      if (!document) continue;
      this.#known.set(hash, document);
      const named = hashOf(document);
      if (named !== hash) this.#storedAs.set(named, hash);
    }
  }
}

function kindOf(kind: string): StoredKind<PinnedDocument> | undefined {
  return Object.hasOwn(PINNED_KINDS, kind)
    ? (PINNED_KINDS[kind as PinnedDocument["kind"]] as unknown as StoredKind<PinnedDocument>)
    : undefined;
}

function writePinned(document: PinnedDocument): string {
  const kind = kindOf(document.kind);
  if (!kind) throw new Error(`A document of kind "${document.kind}" cannot be stored`);
  return writeStored(kind, document);
}

function readPinned(text: string): ReadStored<PinnedDocument> {
  let stored: unknown;
  try {
    stored = JSON.parse(text);
  } catch {
    return { problem: t`it is not whole` };
  }
  const said = typeof stored === "object" && stored && "kind" in stored ? String(stored.kind) : "";
  const kind = kindOf(said);
  return kind ? fromStored(kind, stored) : { problem: t`its kind, “${said}”, is not known to this version` };
}
