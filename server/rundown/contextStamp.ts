import { createHash } from "node:crypto";
import type { CompileContext } from "../../core/rundown/compileContext.ts";
import type { MediaStore } from "../store/mediaStore.ts";
import type { ScriptureStore } from "../store/scriptureStore.ts";

/**
 * Everything that cues are compiled with besides their own words, as one short text: where it is the same, they come to the same.
 * @param media the library that pictures are named in
 */
export function contextStamp(
  context: Omit<CompileContext, "scripture">,
  media: MediaStore,
  scripture: ScriptureStore,
): string {
  const { fieldSets, wardrobes, plans, outputs, style, fallbackFonts, language, licence } = context;
  const facts = {
    ...{ plans, outputs, style, fallbackFonts, language, licence },
    fieldSets: [...fieldSets],
    wardrobes: wardrobes.map(({ templates, ...wardrobe }) => [
      wardrobe,
      [...templates].map(([fieldSet, offered]) => [fieldSet, offered.map(({ hash }) => hash)]),
    ]),
    media: media.list().map(({ id, hash, info }) => [id, hash, info.name]),
    texts: scripture.stamp,
  };
  return createHash("sha256").update(JSON.stringify(facts)).digest("base64url");
}
