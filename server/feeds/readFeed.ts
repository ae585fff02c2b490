import { type Accepted, acceptTable, type TableShape } from "../../core/feeds/acceptTable.ts";
import { columnRuleSchema, type FeedDoc } from "../../core/feeds/feed.ts";
import { type FeedFault, wholeFault } from "../../core/feeds/feedFault.ts";
import type { GoodTable } from "../../core/feeds/goodTable.ts";
import type { Table } from "../../core/feeds/table.ts";
import { t } from "../../core/language/t.ts";
import { type Aside, AsideFailed } from "../aside/aside.ts";
import { log } from "../log/log.ts";
import type { BroughtPictures } from "./broughtPictures.ts";
import type { RunningFeed } from "./runningFeed.ts";

/** What the outcome of reading is held to: nothing where a person takes it as it is. */
export type HeldTo = "before" | "asItIs";

export type FeedRead =
  | (Exclude<Accepted, { readonly fault: FeedFault }> & {
      /** What it names is another now, though it is called the same. */
      readonly isOther: boolean;
    })
  | { readonly fault: FeedFault };

export interface ReadFeedParts {
  /** Reads tables beside the server's own thread. */
  readonly thread: Aside;
  /** Takes in what is no table but a picture. */
  readonly pictures: Pick<BroughtPictures, "keepOf" | "nameOf">;
}

/** Reads what has come for a feed. */
export async function readFeed(
  feed: Pick<RunningFeed, "id" | "doc" | "good" | "endsWithLine">,
  bytes: Uint8Array,
  heldTo: HeldTo,
  { thread, pictures }: ReadFeedParts,
): Promise<FeedRead> {
  const { doc, good } = feed;
  const { format } = doc;
  const isOfLines = format.kind === "csv" || format.kind === "text";
  if (heldTo === "before") {
    if (bytes.length === 0) return { fault: wholeFault("cutOff", t`it is an empty file.`) };
    if (isOfLines && feed.endsWithLine && bytes.at(-1) !== LINE_END)
      return { fault: wholeFault("cutOff", t`it breaks off in the middle of its last line.`) };
  }
  try {
    if (format.kind === "picture") return await readPicture(feed, bytes, pictures);
    const before = heldTo === "before" && good ? shapeOf(good) : null;
    const read = await thread.run("readTable", { bytes, settings: doc, before });
    return "fault" in read ? read : { ...read, isOther: false };
  } catch (error) {
    if (!(error instanceof AsideFailed)) log.error(`The feed “${doc.name}” could not be read`, error);
    const late = error instanceof AsideFailed && error.why === "late";
    return { fault: wholeFault("unreadable", late ? t`reading it takes too long.` : t`it cannot be read.`) };
  }
}

async function readPicture(
  { id, doc }: Pick<RunningFeed, "id" | "doc">,
  bytes: Uint8Array,
  pictures: ReadFeedParts["pictures"],
): Promise<FeedRead> {
  const brought = await pictures.keepOf(id, fileNameOf(doc), bytes);
  if ("problem" in brought) return { fault: wholeFault("unreadable", firstSentence(brought.problem)) };
  const read = acceptTable(null, pictureTable(brought.name), {
    ...{ rules: PICTURE_RULES, keyColumn: "", mostRows: 1 },
  });
  return "fault" in read ? read : { ...read, isOther: brought.isOther };
}

/** Without what was not added: nothing is added by a feed. */
const firstSentence = (text: string): string => /^.*?[.](?=\s|$)/.exec(text)?.[0] ?? text;

/** The table of a feed that is a picture. */
export const pictureTable = (name: string): Table => ({ columns: [PICTURE_COLUMN], rows: [[name]] });

/** What a picture is called when it comes into the library: as its file is. */
function fileNameOf({ name, source }: FeedDoc): string {
  switch (source.kind) {
    case "watched":
      return source.path.split("/").at(-1) ?? name;
    case "upload":
      return source.fileName || name;
    case "address":
    case "table":
    case "running":
      return name;
  }
}

const LINE_END = 0x0a;
const PICTURE_COLUMN = "picture";
const PICTURE_RULES = { [PICTURE_COLUMN]: columnRuleSchema.parse({ kind: "picture" }) };

const shapeOf = ({ table, kinds }: GoodTable): TableShape => ({
  columns: table.columns,
  kinds,
  rows: table.rows.length,
});
