import { defineFinding } from "../finding.ts";

/** What cleaning did to a pasted text. */
export const cleaned = defineFinding<{
  readonly what: string;
  readonly count: number;
  readonly name: string;
}>("cleaned", "note", ({ count, name }) => `${count} ${name}`);
