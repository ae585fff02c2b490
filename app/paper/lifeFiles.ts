import { Zip, ZipPassThrough } from "fflate";
import type { LifeFrame } from "../../core/compose/pageLife.ts";
import { t } from "../../core/language/t.ts";
import { fetchStill, type StillForm } from "./fetchStill.ts";
import type { ProofPage } from "./proofPages.ts";

export interface Life {
  readonly page: ProofPage;
  readonly frames: readonly LifeFrame[];
  readonly leavesAfterMs: number;
  readonly form: StillForm;
  /** Server time at which it comes, for what shows the time. */
  readonly cameAtMs: number;
}

export type MadeFile = { readonly file: Blob } | { readonly problem: string } | "calledOff";

/** Takes one picture after the other, in order. */
export interface FrameSink {
  readonly add: (still: Blob, number: number, isSame: boolean) => Promise<void>;
  readonly end: () => Promise<Blob>;
  /** What was made is of no use. */
  readonly drop: () => void;
}

/** Each frame as a PNG, numbered from 1, in one ZIP. */
export function pictureSequence(name: string): FrameSink {
  const parts: BlobPart[] = [];
  const zip = new Zip((error, piece) => {
    if (!error) parts.push(piece as Uint8Array<ArrayBuffer>);
  });
  return {
    add: async (still, number) => {
      // PNG hardly gets smaller.
      const entry = new ZipPassThrough(`${name}/${String(number).padStart(5, "0")}.png`);
      zip.add(entry);
      entry.push(new Uint8Array(await still.arrayBuffer()), true);
    },
    end: async () => {
      zip.end();
      return new Blob(parts, { type: "application/zip" });
    },
    drop: () => zip.terminate(),
  };
}

/** A page's whole life, frame by frame. What stands still is painted once. */
export async function saveLife(
  { page, frames, leavesAfterMs, form, cameAtMs }: Life,
  sink: FrameSink,
  onDone: (count: number) => void,
  signal: AbortSignal,
): Promise<MadeFile> {
  let still: Blob | undefined;
  for (const [index, { atMs, isSame }] of frames.entries()) {
    if (!isSame || !still) still = await fetchStill(page, form, signal, { atMs, leavesAfterMs, cameAtMs });
    if (signal.aborted || !still) {
      sink.drop();
      return signal.aborted
        ? "calledOff"
        : {
            problem: t`Frame ${index + 1} of “${page.title}” could not be painted, so no file was made. The show goes on; try again.`,
          };
    }
    try {
      await sink.add(still, index + 1, isSame);
    } catch (error) {
      sink.drop();
      return {
        problem: t`The file could not be made (${error instanceof Error ? error.message : String(error)}). Save the pictures of all frames instead.`,
      };
    }
    onDone(index + 1);
  }
  return { file: await sink.end() };
}
