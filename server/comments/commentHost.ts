import { createHash } from "node:crypto";
import {
  type Comment,
  type CommentSettings,
  type CommentTold,
  commentSchema,
  LONGEST_AUTHOR,
  LONGEST_COMMENT,
  PICKED_COLUMNS,
  PICKED_DOC,
  PICKED_FEED_ID,
} from "../../core/comments/comment.ts";
import { strikeOut, withoutStruck } from "../../core/comments/strikeOut.ts";
import { tidyComment } from "../../core/comments/tidyComment.ts";
import type { TableEditOutcome } from "../../core/feeds/tableChange.ts";
import { t } from "../../core/language/t.ts";
import { readRows } from "../../core/rundown/bulkPages.ts";
import { askAddress, NO_MARKS } from "../feeds/askAddress.ts";
import type { BroughtPictures } from "../feeds/broughtPictures.ts";
import type { FeedHost } from "../feeds/feedHost.ts";
import type { Hand, VenueTables } from "../feeds/venueTables.ts";
import { log } from "../log/log.ts";
import { SerialQueue } from "../queue/serialQueue.ts";
import type { CommentStore, StoredComment } from "../store/commentStore.ts";
import type { MediaStore } from "../store/mediaStore.ts";

/** So many are kept; the oldest that nobody did anything with go first. */
const MOST_COMMENTS = 3_000;
/** So many at once come from one source. */
const MOST_AT_ONCE = 1_000;
/** What is picked waits no longer for a picture. */
const LONGEST_ANSWER_MS = 1_500;

export interface CommentHostParts {
  readonly store: CommentStore;
  readonly feeds: FeedHost;
  readonly tables: VenueTables;
  readonly pictures: Pick<BroughtPictures, "keep">;
  readonly media: Pick<MediaStore, "findPicture">;
  readonly now: () => number;
}

/**
 * What people wrote: gathered from a feed or pasted, never shown by itself. What a person picks goes into a table of the venue, and
 * pages take their rows from there alone.
 */
export class CommentHost {
  readonly #parts: CommentHostParts;
  readonly #queue = new SerialQueue();
  readonly #comments: Map<string, StoredComment>;
  #settings: CommentSettings;
  #version = 1;
  /** By comment: the version in which it became as it is. */
  readonly #changedIn = new Map<string, number>();
  #wasPicked: ReadonlySet<string>;

  private constructor(
    parts: CommentHostParts,
    settings: CommentSettings,
    comments: readonly StoredComment[],
  ) {
    this.#parts = parts;
    this.#settings = settings;
    this.#comments = new Map(comments.map((comment) => [comment.id, comment]));
    this.#wasPicked = this.#picked();
    parts.feeds.onChange((id) => {
      if (id === PICKED_FEED_ID) this.#pickedChanged();
      if (id === this.#settings.source?.feedId) void this.gather();
    });
  }

  static async open(parts: CommentHostParts): Promise<CommentHost> {
    const host = new CommentHost(parts, await parts.store.settings(), await parts.store.list());
    await host.gather();
    return host;
  }

  get settings(): CommentSettings {
    return this.#settings;
  }

  /** Grows with every change of what is told. */
  get version(): number {
    return this.#version;
  }

  /** How many there are. */
  get count(): number {
    return this.#comments.size;
  }

  /** Those that are other than they were in a version, in the order in which they came; all of them since version 0. */
  list(since = 0): CommentTold[] {
    const picked = this.#picked();
    return [...this.#comments.values()]
      .filter(({ id }) => (this.#changedIn.get(id) ?? 1) > since)
      .map(({ id, atMs, doc }) => ({
        ...doc,
        ...{ id, atMs },
        isPicked: doc.pickedAs !== null && picked.has(doc.pickedAs),
      }));
  }

  async saveSettings(settings: CommentSettings): Promise<void> {
    await this.#parts.store.saveSettings(settings);
    this.#settings = settings;
    this.#version++;
    await this.gather();
  }

  /** Takes in what its source has and is not here yet. */
  gather(): Promise<void> {
    return this.#queue
      .run(async () => {
        const { source } = this.#settings;
        const feed = source && this.#parts.feeds.findTable(source.feedId);
        if (!source || !feed) return;
        const { table, doc } = feed;
        const at = (row: readonly string[], column: string) => row[table.columns.indexOf(column)] ?? "";
        const came = table.rows
          .slice(-MOST_AT_ONCE)
          .map((row) =>
            newComment(
              at(row, source.name),
              at(row, source.words),
              at(row, source.picture),
              at(row, doc.keyColumn),
            ),
          );
        await this.#add(came);
      })
      .catch((error) => log.error("Comments could not be taken in; those that are here stay", error));
  }

  /** Lines that were pasted: "Name: words", or cells. @returns how many were new */
  paste(text: string): Promise<number> {
    return this.#queue.run(() =>
      this.#add(
        readRows(text, ["name", "words"]).rows.map(([first = "", ...others]) =>
          others.length === 0 ? newComment("", first, "", "") : newComment(first, others.join(" "), "", ""),
        ),
      ),
    );
  }

  /** Puts a comment at the end of those that were picked, without what is struck out. */
  async pick(id: string, by: Hand): Promise<TableEditOutcome> {
    const picture = await this.#pictureOf(id);
    return this.#queue.run(async () => {
      const comment = this.#comments.get(id);
      if (!comment) return GONE;
      if (comment.doc.pickedAs !== null && this.#picked().has(comment.doc.pickedAs))
        return { kind: "refused", sentence: t`That comment is picked already.` };
      await this.#ensureTable();
      const no = String(Math.max(0, ...[...this.#numbers()].map(Number).filter(Number.isFinite)) + 1);
      // A name is written by a stranger too.
      const [name = "", words = ""] = [comment.doc.name, comment.doc.words].map((text) =>
        withoutStruck(strikeOut(text, this.#settings)),
      );
      const rows = [[no, name, words, picture]];
      const at = this.#parts.feeds.findWholeTable(PICKED_FEED_ID)?.table.rows.length ?? 0;
      const outcome = await this.#parts.tables.edit(
        PICKED_FEED_ID,
        { kind: "addRows", at, rows },
        by,
        `pick:${id}:${no}`,
      );
      if (outcome.kind === "done") await this.#change(comment, { pickedAs: no, isHeldBack: false });
      return outcome;
    });
  }

  /** As pages name the picture of who wrote; empty for none: one of the library, or one that is brought there from its address now. */
  async #pictureOf(id: string): Promise<string> {
    const { pictures, media, feeds } = this.#parts;
    const { picture, name } = this.#comments.get(id)?.doc ?? { picture: "", name: "" };
    if (!URL.canParse(picture)) return media.findPicture(picture)?.name ?? "";
    const asked = await askAddress(picture, feeds.allowedHosts, NO_MARKS, { longestMs: LONGEST_ANSWER_MS });
    if (!("bytes" in asked)) return "";
    const kept = await pictures.keep(
      `comment-${markOf(picture)}`,
      name || t`Picture of a comment`,
      asked.bytes,
    );
    return "name" in kept ? kept.name : "";
  }

  /** Takes a comment out of those that were picked. */
  unpick(id: string, by: Hand): Promise<TableEditOutcome> {
    return this.#queue.run(() => this.#unpick(id, by));
  }

  async #unpick(id: string, by: Hand): Promise<TableEditOutcome> {
    const no = this.#comments.get(id)?.doc.pickedAs;
    const rows = this.#parts.feeds.findWholeTable(PICKED_FEED_ID)?.table.rows ?? [];
    const at = rows.findIndex(([number]) => number === no);
    const row = rows[at];
    if (no === null || no === undefined || !row) return GONE;
    return this.#parts.tables.edit(
      PICKED_FEED_ID,
      { kind: "removeRows", at, was: [[...row]] },
      by,
      `unpick:${id}:${no}`,
    );
  }

  /** What is held back leaves those that were picked. @returns a sentence when it is not there any more */
  set(
    id: string,
    change: Partial<Pick<Comment, "isHeldBack" | "isMarked">>,
    by: Hand,
  ): Promise<string | undefined> {
    return this.#queue.run(async () => {
      const comment = this.#comments.get(id);
      if (!comment) return GONE.sentence;
      const { pickedAs } = comment.doc;
      if (change.isHeldBack && pickedAs !== null && this.#picked().has(pickedAs)) await this.#unpick(id, by);
      await this.#change(comment, change);
      return undefined;
    });
  }

  /** The numbers of those that are picked now. */
  #picked(): ReadonlySet<string> {
    const rows = this.#parts.feeds.findWholeTable(PICKED_FEED_ID)?.table.rows ?? [];
    return new Set(rows.map(([no = ""]) => no));
  }

  /** All that ever were given: none is given twice, so that a mark "shown" is never another's. */
  #numbers(): string[] {
    return [...this.#picked(), ...[...this.#comments.values()].flatMap(({ doc }) => doc.pickedAs ?? [])];
  }

  #pickedChanged(): void {
    const picked = this.#picked();
    this.#version++;
    for (const { id, doc } of this.#comments.values())
      if (doc.pickedAs !== null && picked.has(doc.pickedAs) !== this.#wasPicked.has(doc.pickedAs))
        this.#changedIn.set(id, this.#version);
    this.#wasPicked = picked;
  }

  async #ensureTable(): Promise<void> {
    const { feeds } = this.#parts;
    if (feeds.find(PICKED_FEED_ID)) return;
    await feeds.save(PICKED_FEED_ID, 0, PICKED_DOC, { columns: [...PICKED_COLUMNS], rows: [] });
  }

  async #change(comment: StoredComment, change: Partial<Comment>): Promise<void> {
    const changed = { ...comment, doc: { ...comment.doc, ...change } };
    await this.#parts.store.save(changed);
    this.#comments.set(comment.id, changed);
    this.#changedIn.set(comment.id, ++this.#version);
  }

  async #add(came: readonly (Omit<StoredComment, "atMs"> | undefined)[]): Promise<number> {
    const atMs = this.#parts.now();
    const fresh = new Map<string, StoredComment>();
    for (const each of came) if (each && !this.#comments.has(each.id)) fresh.set(each.id, { ...each, atMs });
    if (fresh.size === 0) return 0;
    const over = this.#comments.size + fresh.size - MOST_COMMENTS;
    const gone = [...this.#comments.values()]
      .filter(({ doc }) => !doc.isMarked && doc.pickedAs === null)
      .slice(0, Math.max(0, over))
      .map(({ id }) => id);
    await this.#parts.store.add([...fresh.values()], gone);
    this.#version++;
    for (const id of gone) {
      this.#comments.delete(id);
      this.#changedIn.delete(id);
    }
    for (const [id, comment] of fresh) {
      this.#comments.set(id, comment);
      this.#changedIn.set(id, this.#version);
    }
    return fresh.size;
  }
}

const GONE = {
  kind: "refused",
  sentence: t`That comment is not there any more. Nothing was changed.`,
} as const satisfies TableEditOutcome;

/** A comment that came; undefined where nobody wrote anything. @param key what its source calls it; empty: nothing */
function newComment(
  name: string,
  words: string,
  picture: string,
  key: string,
): Omit<StoredComment, "atMs"> | undefined {
  if (tidyComment(words, LONGEST_COMMENT) === "") return undefined;
  const doc = commentSchema.parse({
    name: tidyComment(name, LONGEST_AUTHOR),
    words: tidyComment(words, LONGEST_COMMENT),
    picture: picture.slice(0, 200),
  });
  const said = key === "" ? `${doc.name}\n${doc.words}` : `key\n${key}`;
  return { id: markOf(said), doc };
}

const markOf = (text: string): string => createHash("sha256").update(text).digest("hex").slice(0, 32);
