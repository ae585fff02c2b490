import { z } from "zod";
import type { PinnedDocument } from "../../rundown/pinnedDocument.ts";
import { PINNED_KINDS } from "../../stored/kinds.ts";
import type { StoredKind } from "../../stored/storedKind.ts";
import { storedDoc } from "../storedDoc.ts";

const kindOf = <K extends PinnedDocument["kind"]>(kind: K) =>
  storedDoc(PINNED_KINDS[kind] as unknown as StoredKind<PinnedDocument>);

/** What things name by hash: versions of what was designed, what is known of files. */
export const documentSchema = z.discriminatedUnion("kind", [
  z.strictObject({ id: hashSchema(), kind: z.literal("template"), doc: kindOf("template") }),
  z.strictObject({ id: hashSchema(), kind: z.literal("style"), doc: kindOf("style") }),
  z.strictObject({ id: hashSchema(), kind: z.literal("media"), doc: kindOf("media") }),
  z.strictObject({ id: hashSchema(), kind: z.literal("fieldSet"), doc: kindOf("fieldSet") }),
  z.strictObject({ id: hashSchema(), kind: z.literal("outfit"), doc: kindOf("outfit") }),
]);
export type CarriedDocument = z.infer<typeof documentSchema>;

function hashSchema() {
  return z.string().regex(/^[0-9a-f]{64}$/);
}
