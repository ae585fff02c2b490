import { readFileSync } from "node:fs";
import { type DesignPack, designPackSchema, PACK_FILES } from "../../core/design/designPack.ts";
import { t } from "../../core/language/t.ts";
import { findTooLargeFile } from "../../core/scene/templateLimits.ts";
import { FileProblem } from "./scriptureFile.ts";
import { unzipFiles } from "./unzip.ts";

/** A template or house style from outside, as text, with the files that came with it. */
export interface DesignFile {
  /** JSON that nothing was looked at of yet. */
  readonly document: string;
  /** The fields that it is for, as JSON. */
  readonly fields: string | null;
  readonly about: DesignPack;
  /** By their place in the archive. */
  readonly files: ReadonlyMap<string, Uint8Array>;
}

const NOTHING = designPackSchema.parse({ format: 1 });
const decode = (bytes: Uint8Array) => new TextDecoder().decode(bytes);

/** Reads a template or house style: JSON alone, or packed with its pictures, clips and fonts. */
export async function readDesignFile({
  path,
}: {
  readonly path: string;
}): Promise<DesignFile | { readonly problem: string }> {
  const bytes = readFileSync(path);
  const isArchive = bytes.length > 4 && bytes.readUInt32BE(0) === 0x504b0304;
  if (!isArchive) {
    const tooLarge = findTooLargeFile(bytes.length);
    if (tooLarge) return { problem: tooLarge };
    return { document: decode(bytes), fields: null, about: NOTHING, files: new Map() };
  }
  try {
    return readPack(bytes);
  } catch (error) {
    if (error instanceof FileProblem) return { problem: error.message };
    throw error;
  }
}

function readPack(bytes: Uint8Array): DesignFile {
  const files = unzipFiles(bytes, () => true);
  const document = files.get(PACK_FILES.template) ?? files.get(PACK_FILES.style);
  if (!document)
    throw new FileProblem(
      t`The archive has no template.json and no style.json, so it is not one that this program packed. Nothing was brought in.`,
    );
  const tooLarge = findTooLargeFile(document.length);
  if (tooLarge) throw new FileProblem(tooLarge);
  const fields = files.get(PACK_FILES.fields);
  return {
    document: decode(document),
    fields: fields ? decode(fields) : null,
    about: readAbout(files.get(PACK_FILES.about)),
    files,
  };
}

function readAbout(bytes: Uint8Array | undefined): DesignPack {
  if (!bytes) return NOTHING;
  try {
    return designPackSchema.parse(JSON.parse(decode(bytes)));
  } catch {
    throw new FileProblem(
      t`The archive’s pack.json cannot be read, so what it holds is not known. Nothing was brought in; export it again.`,
    );
  }
}
