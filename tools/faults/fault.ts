import { setTimeout as wait } from "node:timers/promises";
import type { Evening } from "./evening.ts";

/** Something that goes wrong, and is well again when it was done. */
export interface Fault {
  readonly name: string;
  /** How often it is drawn, beside the others. */
  readonly weight: number;
  /**
   * Does it, and mends it.
   * @returns what did not hold meanwhile, in sentences
   */
  readonly happen: (evening: Evening) => Promise<readonly string[]>;
}

/** What a machine that is busy with other things needs to say something. */
const TOLD_WITHIN_MS = 15_000;

/** Waits until a desk was told something since the fault began. @returns that it was not, in a sentence */
export async function mustBeTold(evening: Evening, what: RegExp): Promise<readonly string[]> {
  const { sentences } = evening.desk("takes");
  const untilMs = performance.now() + TOLD_WITHIN_MS;
  while (!sentences.some((said) => what.test(said))) {
    if (performance.now() > untilMs)
      return [`the desk was not told; it heard: ${sentences.join(" | ").slice(0, 300)}`];
    await wait(20);
  }
  return [];
}

/** A number of ms between two, from the evening's seed. */
export const between = ({ random }: Evening, fromMs: number, toMs: number): number =>
  fromMs + random() * (toMs - fromMs);
