import { acceptTable } from "../../core/feeds/acceptTable.ts";
import { describeEdit } from "../../core/feeds/describeEdit.ts";
import { linkAfter } from "../../core/feeds/entryLink.ts";
import type { FeedDoc } from "../../core/feeds/feed.ts";
import type { GoodTable } from "../../core/feeds/goodTable.ts";
import type { TableChange, TableEditOutcome } from "../../core/feeds/tableChange.ts";
import { editTable, type TableEdit } from "../../core/feeds/tableEdit.ts";
import { t } from "../../core/language/t.ts";
import type { StoryLine } from "../../core/report/airStory.ts";
import type { FeedStore } from "../store/feedStore.ts";
import type { LinkStore } from "../store/linkStore.ts";
import type { EditedTable, FeedHost } from "./feedHost.ts";

const MOST_UNDONE = 50;

/** Whose hand it is. */
export interface Hand {
  /** Their own edits are theirs to undo. */
  readonly id: string;
  /** As the log calls them. */
  readonly name: string;
}

interface Undo {
  readonly by: string;
  readonly doc: FeedDoc;
  readonly good: GoodTable;
  readonly what: string;
}

export interface VenueTablesParts {
  readonly feeds: FeedHost;
  readonly store: FeedStore;
  /** Links of phones to tables. */
  readonly links: Pick<LinkStore, "made" | "change">;
  readonly now: () => number;
}

const GONE: TableEditOutcome = {
  kind: "refused",
  sentence: t`That table is not there any more. Nothing was changed.`,
};
const refused = (sentence: string): TableEditOutcome => ({ kind: "refused", sentence });

/** Tables that are edited here, by desks and by whoever has an entry link: each change is on the disk, with who did it. */
export class VenueTables {
  readonly #parts: VenueTablesParts;
  readonly #undo = new Map<string, readonly Undo[]>();

  constructor(parts: VenueTablesParts) {
    this.#parts = parts;
  }

  /** @param editId the doer's own: what is sent again because no answer came is done once */
  async edit(feedId: string, edit: TableEdit, by: Hand, editId: string): Promise<TableEditOutcome> {
    const outcome = await this.#parts.feeds.onTable(feedId, async (now): Promise<TableEditOutcome> => {
      if (await this.#parts.store.hasChange(editId)) return this.#done(feedId);
      const { doc, good } = now;
      const edited = editTable(good.table, edit, { keyColumn: doc.keyColumn, kinds: good.kinds });
      if ("problem" in edited) return refused(edited.problem);
      if ("clash" in edited) return { kind: "clash", sentence: edited.clash, now: edited.now };
      const after = docAfter(doc, edit);
      const accepted = acceptTable(null, edited.table, after);
      if ("fault" in accepted) return refused(t`${capitalised(accepted.fault.says)} Nothing was changed.`);
      const what = describeEdit(good.table, accepted.table, edit, after.keyColumn);
      const next = { ...good, table: accepted.table, kinds: accepted.shape.kinds };
      await this.#become(feedId, now, after, next, { id: editId, by: by.name, what });
      const undo = [...(this.#undo.get(feedId) ?? []), { by: by.id, doc, good, what }];
      this.#undo.set(feedId, undo.slice(-MOST_UNDONE));
      return this.#done(feedId);
    });
    return outcome ?? GONE;
  }

  /** Takes back the newest edit of a table, if it is of the same hand. */
  async undo(feedId: string, by: Hand, editId: string): Promise<TableEditOutcome> {
    const outcome = await this.#parts.feeds.onTable(feedId, async (now): Promise<TableEditOutcome> => {
      const known = this.#undo.get(feedId) ?? [];
      const last = known.at(-1);
      if (!last) return refused(t`There is nothing to undo in this table. It is as it was.`);
      if (last.by !== by.id)
        return refused(t`Somebody else changed this table since. It is as it was; change it by hand.`);
      const doc = { ...now.doc, ...pick(last.doc) };
      const accepted = acceptTable(null, last.good.table, doc);
      if ("fault" in accepted) return refused(t`${capitalised(accepted.fault.says)} Nothing was changed.`);
      await this.#become(feedId, now, doc, last.good, {
        id: editId,
        by: by.name,
        what: t`undone: ${last.what}`,
      });
      this.#undo.set(feedId, known.slice(0, -1));
      return this.#done(feedId);
    });
    return outcome ?? GONE;
  }

  /** What was done to a table, the newest first. */
  changesOf(feedId: string, most: number): Promise<TableChange[]> {
    return this.#parts.store.changesOf(feedId, most);
  }

  /** What was done to any of them, as lines of a log, in order. */
  async story(most: number): Promise<StoryLine[]> {
    const { store, feeds } = this.#parts;
    return (await store.latestChanges(most)).map(({ number, feedId, atMs, by, what }) => ({
      seq: number,
      atMs,
      who: { kind: "desk", id: by, name: by },
      what: feeds.find(feedId)?.doc.name ?? t`a table that was removed`,
      words: what,
    }));
  }

  #done(feedId: string): TableEditOutcome {
    return { kind: "done", version: this.#parts.feeds.find(feedId)?.version ?? 0 };
  }

  async #become(
    feedId: string,
    { revision, doc: before, good: was }: EditedTable,
    doc: FeedDoc,
    good: GoodTable,
    change: Omit<TableChange, "atMs">,
  ): Promise<void> {
    const atMs = this.#parts.now();
    const isOther = JSON.stringify(doc) !== JSON.stringify(before);
    const now = { revision: isOther ? revision + 1 : revision, doc, good: { ...good, atMs } };
    await this.#parts.store.saveTable(feedId, now, { ...change, atMs });
    this.#parts.feeds.tableIsNow(feedId, now);
    for (const link of this.#parts.links.made("entry")) {
      if (link.doc.feedId !== feedId) continue;
      const after = linkAfter(
        link.doc,
        { table: was.table, keyColumn: before.keyColumn },
        { table: good.table, keyColumn: doc.keyColumn },
      );
      if (after !== link.doc) await this.#parts.links.change("entry", link.id, after);
    }
  }
}

/** What an edit may change of what a table is. */
const pick = ({ rules, keyColumn, orderColumn }: FeedDoc) => ({ rules, keyColumn, orderColumn });

/** What names rows and what is allowed in columns goes with a column to another name, and away with it. */
function docAfter(doc: FeedDoc, edit: TableEdit): FeedDoc {
  if (edit.kind !== "renameColumn" && edit.kind !== "removeColumn") return doc;
  const from = edit.kind === "renameColumn" ? edit.from : edit.name;
  const to = edit.kind === "renameColumn" ? edit.to : "";
  const { [from]: rule, ...others } = doc.rules;
  const renamed = (column: string) => (column === from ? to : column);
  return {
    ...doc,
    keyColumn: renamed(doc.keyColumn),
    orderColumn: renamed(doc.orderColumn),
    rules: rule && to !== "" ? { ...others, [to]: rule } : others,
  };
}

const capitalised = (sentence: string): string => sentence.charAt(0).toUpperCase() + sentence.slice(1);
