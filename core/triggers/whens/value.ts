import { z } from "zod";
import { numberColumn } from "../../feeds/columnKinds/number.ts";
import { parseNumber } from "../../figures/number.ts";
import { t } from "../../language/t.ts";
import { nameSchema } from "../../names/name.ts";
import type { WhenKind } from "./whenKind.ts";

const schema = z.strictObject({
  kind: z.literal("value"),
  feedId: nameSchema(60),
  /** The row by its name; empty: any. */
  row: z.string().max(120).default(""),
  column: z.string().min(1).max(80),
  does: z.enum(["changes", "rises", "falls"]).default("changes"),
  /** Rises to this or over it, or falls to this or under it. */
  limit: z.number().finite().default(0),
});
type When = z.infer<typeof schema>;

/** A number with what stands around it, read as columns of numbers are; undefined: it is none. */
const numberIn = (text: string | null): number | undefined =>
  text !== null && numberColumn.fits(text) ? parseNumber(text)?.value : undefined;

/** 1: it has come to the limit or beyond; -1: it has gone back from there; 0: neither. */
function crossed({ does, limit }: When, before: string | null, now: string | null): -1 | 0 | 1 {
  const [from, to] = [numberIn(before), numberIn(now)];
  // The first value that is known passes nothing: it may have stood there for an hour.
  if (from === undefined || to === undefined) return 0;
  const isBeyond = (value: number) => (does === "rises" ? value >= limit : value <= limit);
  if (isBeyond(from) === isBeyond(to)) return 0;
  return isBeyond(to) ? 1 : -1;
}

export const valueWhen: WhenKind<When> = {
  schema,
  name: t`a value of a feed changes or passes a limit`,
  sets: (when, happening) => {
    if (!isOf(when, happening)) return false;
    const { before, now } = happening;
    return when.does === "changes" ? before !== null && before !== now : crossed(when, before, now) === 1;
  },
  ends: (when, happening) =>
    isOf(when, happening) && when.does !== "changes" && crossed(when, happening.before, happening.now) === -1,
  endSays: ({ does }) => (does === "changes" ? null : t`it goes back`),
  says: ({ feedId, row, column, does, limit }, names) => {
    const cell = row === "" ? `“${column}”` : t`“${column}” of “${row}”`;
    const what =
      does === "changes" ? "changes" : does === "rises" ? t`comes up to ${limit}` : t`comes down to ${limit}`;
    return t`${cell} in “${names.feed(feedId)}” ${what}`;
  },
};

type Value = Extract<Parameters<WhenKind<When>["sets"]>[1], { kind: "value" }>;
const isOf = (when: When, happening: Parameters<WhenKind<When>["sets"]>[1]): happening is Value =>
  happening.kind === "value" &&
  happening.feedId === when.feedId &&
  happening.column === when.column &&
  (when.row === "" || happening.row === when.row);
