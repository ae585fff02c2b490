import { unzipSync } from "fflate";
import { t } from "../../core/language/t.ts";
import { FileProblem } from "./scriptureFile.ts";

const MOST_FILES = 2_000;
const LARGEST_TOTAL_BYTES = 96 * 1024 * 1024;
/** What text can be pressed to; beyond it an archive is a bomb or a mistake. */
const LARGEST_RATIO = 120;

/**
 * The files of a ZIP that are wanted, by name. Sizes are looked at before anything is unpacked.
 * @throws FileProblem when it is no ZIP, or holds more than would be safe
 */
export function unzipFiles(bytes: Uint8Array, isWanted: (name: string) => boolean): Map<string, Uint8Array> {
  let total = 0;
  let count = 0;
  try {
    const files = unzipSync(bytes, {
      filter: ({ name, size, originalSize }) => {
        if (name.endsWith("/") || name.startsWith("__MACOSX") || !isWanted(name)) return false;
        count++;
        total += originalSize;
        if (
          count > MOST_FILES ||
          total > LARGEST_TOTAL_BYTES ||
          originalSize > Math.max(1, size) * LARGEST_RATIO
        )
          throw new FileProblem(
            t`The archive would unpack to ${count > MOST_FILES ? t`more than ${MOST_FILES} files` : t`more than is safe`}. Nothing was brought in; all that you have is as it was.`,
          );
        return true;
      },
    });
    return new Map(Object.entries(files));
  } catch (error) {
    if (error instanceof FileProblem) throw error;
    throw new FileProblem(
      t`The archive cannot be unpacked: it is not a whole ZIP file. Nothing was brought in; make it again.`,
    );
  }
}
