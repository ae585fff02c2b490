import { unzip } from "fflate";
import { t } from "../../../core/language/t.ts";
import { isPicture, type NamedPicture } from "./slideFile.ts";

const MOST_PICTURES = 500;
const LARGEST_BYTES = 1024 * 1024 * 1024;

/** The pictures of an archive. Sizes are looked at before anything is unpacked. @returns a sentence where it cannot be read */
export async function readZip(file: File): Promise<readonly NamedPicture[] | { readonly problem: string }> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  let total = 0;
  let count = 0;
  const tooMuch = () => count > MOST_PICTURES || total > LARGEST_BYTES;
  const files = await new Promise<Record<string, Uint8Array> | undefined>((resolve) =>
    unzip(
      bytes,
      {
        filter: ({ name, originalSize }) => {
          if (name.startsWith("__MACOSX") || !isPicture(name)) return false;
          count++;
          total += originalSize;
          return !tooMuch();
        },
      },
      (error, unpacked) => resolve(error ? undefined : unpacked),
    ),
  );
  if (!files)
    return {
      problem: t`“${file.name}” cannot be unpacked: it is no ZIP archive, or not a whole one. Nothing was added; make it again.`,
    };
  if (tooMuch())
    return {
      problem: t`“${file.name}” has more than ${MOST_PICTURES} pictures, or unpacks to more than is safe. Nothing was added; bring it in parts.`,
    };
  return Object.entries(files).map(([name, data]) => ({
    name,
    picture: new Blob([data as Uint8Array<ArrayBuffer>]),
  }));
}
