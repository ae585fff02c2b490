import { existsSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { type CarriedShow, fileSchemaOf, filesOf } from "../../core/carry/carriedShow.ts";
import { PART_FILES, partPlace } from "../../core/carry/showFile.ts";
import { t } from "../../core/language/t.ts";
import type { PinnedDocument } from "../../core/rundown/pinnedDocument.ts";
import { checkFont } from "../files/checkFont.ts";
import { probeMedia } from "../files/probeMedia.ts";
import { probePicture } from "../files/probePicture.ts";
import { FileProblem } from "../files/scriptureFile.ts";
import { hashOf } from "../store/contentStore.ts";

/** Makes a show of the parts of a show file. @throws FileProblem when any of it cannot be read: nothing is taken from half a file */
export function readParts(parts: ReadonlyMap<string, string>): CarriedShow {
  const read = Object.fromEntries(
    PART_FILES.map((name) => {
      const text = parts.get(partPlace(name));
      if (text === undefined) throw new FileProblem(t`The show file has no “${partPlace(name)}”. ${NOTHING}`);
      let stored: unknown;
      try {
        stored = JSON.parse(text);
      } catch {
        throw new FileProblem(t`“${partPlace(name)}” in the show file is not JSON. ${NOTHING}`);
      }
      const parsed = fileSchemaOf(name).safeParse(stored);
      if (parsed.success) return [name, parsed.data];
      const [issue] = parsed.error.issues;
      throw new FileProblem(
        t`“${partPlace(name)}” in the show file cannot be read (${issue?.path.join(".")}: ${issue?.message}). ${NOTHING}`,
      );
    }),
  ) as unknown as CarriedShow;
  return pinnedAnew(read);
}

const NOTHING = t`Nothing was opened; save it again where it comes from, with the same version of Vesko.`;

/**
 * A show whose documents have the hashes that they have here. An older version may have called them otherwise; and a hash that
 * belongs to another document must never stand for this one.
 */
function pinnedAnew(show: CarriedShow): CarriedShow {
  let now = show;
  // Pictures first, then the templates that name them, whose own hashes change with that.
  for (let round = 0; round < 2; round++) {
    const other = now.documents.flatMap(({ id, doc }) => {
      const hash = hashOf(doc as PinnedDocument);
      return hash === id ? [] : [[id, hash] as const];
    });
    if (other.length === 0) return now;
    let text = JSON.stringify(now);
    for (const [was, is] of other) text = text.replaceAll(was, is);
    now = JSON.parse(text) as CarriedShow;
  }
  return now;
}

/**
 * Looks the files of a show through, as those are that are brought in one by one: what is served later is what it says that it is.
 * @param find where a file lies that is new here; undefined: it is here already
 * @throws FileProblem
 */
export async function checkFiles(
  show: CarriedShow,
  find: (sum: string) => string | undefined,
  onProgress: (share: number) => void,
): Promise<void> {
  const medias = show.documents.flatMap(({ doc }) => (doc.kind === "media" ? [doc] : []));
  for (const [index, { name, type, mime, file, poster }] of medias.entries()) {
    onProgress(index / medias.length);
    const path = find(file);
    if (path !== undefined) {
      const found = await probeMedia({ path, name, poster: new Uint8Array() });
      if ("problem" in found) throw new FileProblem(t`“${name}” in the show file: ${found.problem}`);
      if (found.type !== type || found.mime !== mime)
        throw new FileProblem(t`“${name}” in the show file is not what it says that it is. ${NOTHING}`);
    }
    const posterPath = poster === null ? undefined : find(poster);
    if (posterPath !== undefined && "problem" in (await probePicture(readFileSync(posterPath))))
      throw new FileProblem(t`The still of “${name}” in the show file is no picture. ${NOTHING}`);
  }
  for (const { name, file } of show.font) {
    const path = find(file);
    const checked = path === undefined ? undefined : await checkFont({ path, name });
    if (checked && "problem" in checked) throw new FileProblem(checked.problem);
  }
}

/** Files that a show needs and nobody has. */
export const missingFiles = (show: CarriedShow, folders: readonly string[]): string[] =>
  filesOf(show).filter((sum) => !folders.some((folder) => existsSync(join(folder, sum))));
