import { readFileSync } from "node:fs";
import { join } from "node:path";
import { acceptTable } from "../../core/feeds/acceptTable.ts";
import { t } from "../../core/language/t.ts";
import type { Seed } from "../../designs/seed.ts";
import { INLINE_ASIDE } from "../aside/aside.ts";
import { readClipDetails } from "../files/readClipDetails.ts";
import { readScriptureFile } from "../files/readScriptureFile.ts";
import { readTable } from "../files/tables/readTable.ts";
import { CommentStore } from "./commentStore.ts";
import { ContentStore } from "./contentStore.ts";
import { CueStore } from "./cueStore.ts";
import type { Db } from "./database.ts";
import { EveningStore } from "./eveningStore.ts";
import { FeedStore } from "./feedStore.ts";
import { FollowStore } from "./followStore.ts";
import { MediaStore } from "./mediaStore.ts";
import { firstRanks } from "./ranks.ts";
import { ScriptureStore } from "./scriptureStore.ts";
import { createShow } from "./showStore.ts";
import { SongStore } from "./songStore.ts";

const ACTOR = "seed-of-show";

/** Scripture that every installation has. */
export const SHIPPED_TEXTS = [
  { code: "web", name: t`World English Bible`, file: "web.osis.xml.gz" },
  { code: "rv1909", name: t`Reina-Valera 1909`, file: "rv1909.osis.xml.gz" },
];

/** Writes a new show with all it begins with. @param home folder of this project */
export async function makeShow(
  db: Db,
  seed: Seed,
  home: string,
  mediaFolder: string,
  atMs: number,
): Promise<void> {
  const contents = new ContentStore(db);
  await createShow(db, contents, seed.show, atMs);
  const media = new MediaStore(db, contents, seed.show.id, mediaFolder, INLINE_ASIDE);
  for (const { id, name, file, poster, key } of seed.media) {
    const added = await media.add(
      {
        id,
        name,
        file: await media.incoming.hold(readFileSync(join(home, file))),
        poster: poster === null ? new Uint8Array() : readFileSync(join(home, poster)),
        key,
      },
      atMs,
    );
    if ("problem" in added) throw new Error(`The demo's ${file} was not taken in: ${added.problem}`);
  }
  const songs = new SongStore(db);
  await songs.load();
  await songs.addAll(seed.songs, ACTOR, atMs);
  const evenings = new EveningStore(db, seed.show.id);
  await evenings.load();
  const cues = new CueStore(db, seed.show.id);
  await cues.open(evenings.open.id);
  const ranks = firstRanks(seed.cues.length);
  const rows = seed.cues.map((doc, index) => ({
    cueId: `cue-${String(index + 1).padStart(4, "0")}`,
    after: { rank: ranks[index] as string, doc },
  }));
  if (rows.length > 0) await cues.change(ACTOR, "Add", rows, atMs);
  const feeds = new FeedStore(db, seed.show.id);
  for (const { id, doc, rows } of seed.feeds) {
    const read =
      "table" in rows
        ? acceptTable(null, rows.table, doc)
        : await readTable({ bytes: readFileSync(join(home, rows.file)), settings: doc, before: null });
    if ("fault" in read) throw new Error(`The demo's “${doc.name}” was not read: ${read.fault.says}`);
    await feeds.save(id, 1, doc);
    await feeds.saveGood(id, { table: read.table, kinds: read.shape.kinds, atMs, endsWithLine: false });
  }
  const follow = new FollowStore(db, seed.show.id);
  for (const source of seed.sources) await follow.saveSource(source, 1);
  for (const trigger of seed.triggers) await follow.saveTrigger(trigger, 1);
  for (const mapping of seed.mappings) await follow.saveMapping(mapping, 1);
  for (const { clip, details } of seed.clips) {
    const read = readClipDetails({ bytes: readFileSync(join(home, details)) });
    if ("problem" in read) throw new Error(`The demo's ${details} was not read: ${read.problem}`);
    await follow.saveClip({ ...clip, elements: read.elements }, 1);
  }
  if (seed.comments) await new CommentStore(db, seed.show.id).saveSettings(seed.comments);
  await addShippedTexts(db, home);
}

/** The texts that ship, where they are not there yet. */
export async function addShippedTexts(db: Db, home: string): Promise<ScriptureStore> {
  const store = new ScriptureStore(db);
  await store.load();
  const have = new Set(store.list().map(({ code }) => code));
  for (const { code, name, file } of SHIPPED_TEXTS) {
    if (have.has(code)) continue;
    const { verses, language, rights } = readScriptureFile(readFileSync(join(home, "texts/scripture", file)));
    // Nothing else waits yet: all at once is quickest.
    await store.add({ code, name, language, rights }, [verses], undefined, verses.length);
  }
  return store;
}
