import { z } from "zod";
import { feedIdSchema } from "../../feeds/feed.ts";
import { t } from "../../language/t.ts";
import { feedKind } from "../../stored/kinds/feed.ts";
import { goodTableKind } from "../../stored/kinds/goodTable.ts";
import type { Part } from "../part.ts";
import { storedDoc } from "../storedDoc.ts";

const schema = z.strictObject({
  id: feedIdSchema,
  doc: storedDoc(feedKind),
  /** Its last good table. */
  good: storedDoc(goodTableKind).nullable(),
  /** SHA-256 of the file that was brought for it. */
  file: z
    .string()
    .regex(/^[0-9a-f]{64}$/)
    .nullable(),
});
export type CarriedFeed = z.infer<typeof schema>;

export const feedPart: Part<CarriedFeed> = {
  one: t`feed`,
  many: t`feeds`,
  schema,
  nameOf: ({ doc }) => doc.name,
  aboutOf: ({ good }) => {
    const rows = good?.table.rows.length ?? 0;
    return `${rows} ${rows === 1 ? t`row` : t`rows`}`;
  },
  essenceOf: (feed) => ({ doc: feed.doc, rows: ownRows(feed), file: feed.file }),
  differences: (here, there) => [
    ...(JSON.stringify(here.doc) !== JSON.stringify(there.doc) ? [t`other settings there`] : []),
    ...(JSON.stringify(ownRows(here)) !== JSON.stringify(ownRows(there)) ? [t`other rows there`] : []),
    ...(here.file !== there.file ? [t`another file there`] : []),
  ],
  another: (feed, { id }) => ({
    ...feed,
    id,
    doc: { ...feed.doc, name: t`${feed.doc.name.slice(0, 70)} (brought)` },
  }),
};

/** Rows that nothing but this feed has: those that are read again by themselves are other at every moment. */
const ownRows = ({ doc: { source }, good }: CarriedFeed) =>
  source.kind === "upload" || source.kind === "table" ? good?.table : undefined;
