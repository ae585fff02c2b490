import { Zip, ZipPassThrough } from "fflate";
import { t } from "../../core/language/t.ts";
import { fetchStill, type StillForm } from "./fetchStill.ts";
import { type ProofPage, stillName } from "./proofPages.ts";

/** Asked for at once: the server paints one after the other. */
const AT_ONCE = 3;

/**
 * Pictures of pages in one archive, one after another.
 * @returns a sentence when the server does not give one
 */
export async function stillsAsZip(
  pages: readonly ProofPage[],
  form: StillForm,
  onDone: (count: number) => void,
  signal: AbortSignal,
): Promise<{ readonly zip: Blob } | { readonly problem: string } | "calledOff"> {
  const parts: BlobPart[] = [];
  const zip = new Zip((error, piece) => {
    if (!error) parts.push(piece as Uint8Array<ArrayBuffer>);
  });
  const names = new Set<string>();
  for (let from = 0; from < pages.length; from += AT_ONCE) {
    if (signal.aborted) return "calledOff";
    const some = pages.slice(from, from + AT_ONCE);
    const stills = await Promise.all(some.map((page) => fetchStill(page, form, signal)));
    for (const [index, still] of stills.entries()) {
      if (signal.aborted) return "calledOff";
      const page = some[index];
      if (!still || !page)
        return {
          problem: t`The picture of “${page?.title ?? ""}” could not be made, so no file was. The show goes on; try again.`,
        };
      // PNG hardly gets smaller.
      const entry = new ZipPassThrough(`${freeName(stillName(page), names)}.png`);
      zip.add(entry);
      entry.push(new Uint8Array(await still.arrayBuffer()), true);
    }
    onDone(Math.min(pages.length, from + AT_ONCE));
  }
  zip.end();
  return { zip: new Blob(parts, { type: "application/zip" }) };
}

function freeName(name: string, taken: Set<string>): string {
  let free = name;
  for (let n = 2; taken.has(free); n++) free = `${name} ${n}`;
  taken.add(free);
  return free;
}
