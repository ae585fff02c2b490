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

/** What a desk must have been told by now since the fault began. @returns that it was not, in a sentence */
export function mustBeTold(evening: Evening, what: RegExp): readonly string[] {
  const { sentences } = evening.desk("takes");
  return sentences.some((said) => what.test(said))
    ? []
    : [`the desk was not told; it heard: ${sentences.join(" | ").slice(0, 300)}`];
}

/** A number of ms between two, from the evening's seed. */
export const between = ({ random }: Evening, fromMs: number, toMs: number): number =>
  fromMs + random() * (toMs - fromMs);
