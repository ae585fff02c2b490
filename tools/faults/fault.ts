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
  /** What a desk must have been told since it began; nothing where the window itself says it. */
  readonly told?: RegExp;
}

/** A number of ms between two, from the evening's seed. */
export const between = ({ random }: Evening, fromMs: number, toMs: number): number =>
  fromMs + random() * (toMs - fromMs);
