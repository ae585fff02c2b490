import { mediaNamedBy } from "../scene/templateMedia.ts";
import type { CarriedShow } from "./carriedShow.ts";
import type { FindDocument } from "./part.ts";
import type { CarriedDesign } from "./parts/designs.ts";

type Needing = Pick<CarriedShow, "template" | "style" | "outfit" | "fieldSet" | "media" | "house">;

/** Hashes of the documents that things name, and of those that these name. */
export function documentsNeeded(show: Needing, find: FindDocument): readonly string[] {
  const hashes = new Set<string>();
  const add = (hash: string) => {
    if (hashes.has(hash)) return;
    hashes.add(hash);
    const document = find(hash);
    if (document?.kind === "template") for (const named of mediaNamedBy(document)) add(named);
  };
  for (const design of [...show.template, ...show.style, ...show.outfit, ...show.fieldSet])
    if (design.hash !== null) add(design.hash);
  for (const template of show.template) for (const hash of namedByDraft(template)) add(hash);
  for (const { hash } of show.media) add(hash);
  for (const { styleHash } of show.house) add(styleHash);
  return [...hashes];
}

/** A draft may be what its schema refuses: what it names is read as far as it can be. */
export function namedByDraft({ draft }: Pick<CarriedDesign, "draft">): readonly string[] {
  if (draft === null) return [];
  return [...JSON.stringify(draft).matchAll(/"kind":"media","hash":"([0-9a-f]{64})"/g)].map(
    ([, hash = ""]) => hash,
  );
}
