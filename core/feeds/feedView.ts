import { t } from "../language/t.ts";
import type { ColumnKindName } from "./columnKinds.ts";
import type { FeedDoc } from "./feed.ts";
import type { FeedFault } from "./feedFault.ts";

/** A feed as desks know it: all but its rows, of which only the first are told. */
export interface FeedView {
  readonly id: string;
  readonly revision: number;
  readonly doc: FeedDoc;
  readonly columns: readonly string[];
  readonly kinds: Readonly<Record<string, ColumnKindName>>;
  readonly rows: number;
  /** Grows with every good table, over restarts too; 0: there was none. */
  readonly version: number;
  /** Server times, ms; null: not yet. */
  readonly changedAtMs: number | null;
  readonly checkedAtMs: number | null;
  /** Between its last changes, on average, ms; null: it has not changed often enough to say. */
  readonly everyMs: number | null;
  readonly fault: (FeedFault & { readonly sinceMs: number }) | null;
  /** Nothing new has come for longer than it may take. */
  readonly isStale: boolean;
  /** Column → the longest of its values, cut where it is very long: what a page must have room for. */
  readonly longest: Readonly<Record<string, string>>;
}

/** What is wrong with it, in a few words; undefined while it is well. */
export function feedTrouble({ fault, isStale, version }: FeedView): string | undefined {
  if (fault) return version === 0 ? t`never read` : t`last good values`;
  return isStale ? "stale" : undefined;
}
