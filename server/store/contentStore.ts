import { createHash } from "node:crypto";
import { z } from "zod";
import { pageContentSchema } from "../../core/rundown/content.ts";
import { houseStyleSchema } from "../../core/scene/houseStyle.ts";
import { mediaInfoSchema } from "../../core/scene/media.ts";
import { templateSchema } from "../../core/scene/template.ts";
import type { PinnedDocument } from "../../core/screens/dress.ts";
import type { Db } from "./database.ts";

export const pinnedDocumentSchema: z.ZodType<PinnedDocument> = z.discriminatedUnion("kind", [
  pageContentSchema,
  templateSchema,
  houseStyleSchema,
  mediaInfoSchema,
]);

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

/** Documents stored under their hash: written once, never changed, kept in memory once read. */
export class ContentStore {
  readonly #db: Db;
  readonly #known = new Map<string, PinnedDocument>();
  /** Compiled but not on air: only what the air refers to needs to be on the disk. */
  readonly #stored = new Set<string>();

  constructor(db: Db) {
    this.#db = db;
  }

  /** Names a document and remembers it; `keep` writes it down. */
  name(document: PinnedDocument): string {
    const hash = hashOf(document);
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
      const document = this.#known.get(hash);
      if (document && !this.#stored.has(hash))
        rows.push({ hash, doc: JSON.stringify(document), created_at_ms: Date.now() });
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

  /** Brings stored documents into memory. @throws when one of them is missing or does not parse */
  async load(hashes: Iterable<string>): Promise<void> {
    for (const hash of hashes) {
      if (this.#stored.has(hash)) continue;
      const row = await this.#db
        .selectFrom("content")
        .selectAll()
        .where("hash", "=", hash)
        .executeTakeFirst();
      if (!row) throw new Error(`Content ${hash} is referred to but not stored`);
      this.#known.set(hash, pinnedDocumentSchema.parse(JSON.parse(row.doc)));
      this.#stored.add(hash);
    }
  }
}
