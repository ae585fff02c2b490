import { t } from "../language/t.ts";
/** What is wrong with a feed, and where in it. */
export interface FeedFault {
  readonly code: FeedFaultCode;
  /** Row as a person counts them, from 1; null: it is about more than one. */
  readonly row: number | null;
  readonly column: string | null;
  readonly value: string | null;
  /** What is wrong, without the feed's name: "“Pier” has “ten” in row 3, where a number stood." */
  readonly says: string;
}

export type FeedFaultCode =
  | "gone"
  | "unreadable"
  | "cutOff"
  | "missingColumn"
  | "wrongKind"
  | "notAllowed"
  | "doubleKey"
  | "tooMany"
  | "empty";

const SHOWN = 40;

/** A value as a sentence shows it. */
export const quoted = (value: string): string =>
  `“${value.length > SHOWN ? `${value.slice(0, SHOWN)}…` : value}”`;

/** A fault that is about the whole of it. */
export const wholeFault = (code: FeedFaultCode, says: string): FeedFault => ({
  code,
  row: null,
  column: null,
  value: null,
  says,
});

/** The sentence that a desk is told. */
export const faultSentence = (feedName: string, { says }: FeedFault): string =>
  t`“${feedName}”: ${says} Pages keep the last good values.`;
