import { readFileSync } from "node:fs";
import { type Zippable, zipSync } from "fflate";
import { type DesignPack, PACK_FILES } from "../../core/design/designPack.ts";

export interface DesignToPack {
  readonly kind: "template" | "style";
  /** JSON. */
  readonly document: string;
  readonly fields: string | null;
  readonly about: DesignPack;
  /** Place in the archive → where it lies on the server. */
  readonly files: ReadonlyMap<string, string>;
}

/** A template or house style with its files, as a ZIP. */
export async function packDesign({
  kind,
  document,
  fields,
  about,
  files,
}: DesignToPack): Promise<Uint8Array> {
  const packed: Zippable = {};
  const addText = (name: string, json: string) => {
    packed[name] = [new TextEncoder().encode(json), { level: 6 }];
  };
  addText(PACK_FILES[kind], document);
  addText(PACK_FILES.about, JSON.stringify(about, null, 1));
  if (fields !== null) addText(PACK_FILES.fields, fields);
  // Pictures, clips and fonts hardly get smaller.
  for (const [name, path] of files) packed[name] = [readFileSync(path), { level: 0 }];
  return zipSync(packed);
}
