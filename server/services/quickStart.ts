import type { KeptContents } from "../rundown/keptContents.ts";
import type { Rundown } from "../rundown/rundown.ts";

/** So long nothing may have changed before what was made is kept. */
const CALM_MS = 20_000;

export interface QuickStartParts {
  readonly rundown: Rundown;
  readonly kept: KeptContents;
  /** Of everything that contents are made with, now. */
  readonly stamp: () => string;
  /** The cue where the show stands. */
  readonly fromId: string | null;
}

/**
 * Begins with the contents that were kept the last time, and keeps what there is now for the next.
 * @returns a function that keeps what changed lately, and ends it
 */
export function startQuickly({ rundown, kept, stamp, fromId }: QuickStartParts): () => Promise<void> {
  let timer: NodeJS.Timeout | undefined;
  let isKept = false;
  const keep = async () => {
    clearTimeout(timer);
    timer = undefined;
    const made = rundown.toKeep();
    if (made === undefined) wait();
    else if (!isKept) {
      isKept = true;
      await kept.write(stamp(), made);
    }
  };
  const wait = () => {
    clearTimeout(timer);
    timer = setTimeout(() => void keep(), CALM_MS).unref();
  };
  const had = kept.read(stamp());
  const hold = rundown.begin(had, fromId);
  isKept = hold === had.length && rundown.toKeep()?.length === hold;
  if (!isKept) wait();
  rundown.onChange(() => {
    isKept = false;
    wait();
  });
  return async () => {
    await keep();
    clearTimeout(timer);
  };
}
