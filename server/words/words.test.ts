import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { strToU8, zipSync } from "fflate";
import type { Kysely } from "kysely";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { songOf } from "../../core/words/songFields.ts";
import { HARBOUR_KIND } from "../../demo/songs.ts";
import { Incoming } from "../files/incoming.ts";
import { packSongs } from "../files/packSongs.ts";
import { readScriptureFile } from "../files/readScriptureFile.ts";
import { readSongFile } from "../files/readSongFile.ts";
import { FileProblem, type ParsedVerse } from "../files/scriptureFile.ts";
import { type Db, openDatabase } from "../store/database.ts";
import { up as emptyIndexes } from "../store/migrations/m0006_unspaced.ts";
import { ScriptureStore } from "../store/scriptureStore.ts";
import { SongStore } from "../store/songStore.ts";
import { findWords } from "./find.ts";
import { allSongs, bringSongsIn } from "./songFiles.ts";
import { TextImport } from "./textImport.ts";

const folder = mkdtempSync(join(tmpdir(), "vesko-words-"));
const incoming = new Incoming(join(folder, "incoming"));

async function readSongs(bytes: Uint8Array) {
  const { path } = await incoming.hold(bytes);
  const read = await readSongFile({ path, fileName: "songs.zip" });
  if ("problem" in read) throw new Error(read.problem);
  return read;
}
let db: Db;
let songs: SongStore;
let scriptures: ScriptureStore;

beforeAll(async () => {
  db = await openDatabase(":memory:");
  songs = new SongStore(db);
  await songs.load();
  scriptures = new ScriptureStore(db);
  await scriptures.load();
  for (const [code, name, language] of [
    ["web", "World English Bible", "en"],
    ["rv1909", "Reina-Valera 1909", "es"],
  ] as const) {
    const { verses } = readScriptureFile(readFileSync(`texts/scripture/${code}.osis.xml.gz`));
    await scriptures.add({ code, name, language, rights: "" }, [verses], undefined, verses.length);
  }
  await songs.addAll(
    [
      { id: "song-harbour", song: songOf("Harbour Kind", HARBOUR_KIND) },
      { id: "song-jose", song: songOf("Canción de José", "Estrofa 1\nNavegaré por el mar\nhasta mañana") },
      { id: "song-ja", song: songOf("夜の港", "小さな舟を出す\n窓に灯をともして待つ") },
      { id: "song-zh", song: songOf("夜里的灯", "请你点亮灯火\n灯在水上漂") },
      { id: "song-th", song: songOf("ท่าเรือ", "จุดดวงไฟไว้ริมน้ำ") },
      {
        id: "song-number",
        song: {
          ...songOf("Nine Bells", "Nine bells are ringing"),
          credits: { ...songOf("", "").credits, number: "40118" },
        },
      },
    ],
    "test-person",
    1,
  );
}, 120_000);
afterAll(async () => {
  await db.destroy();
  rmSync(folder, { recursive: true, force: true });
});

const titles = async (query: string) => (await songs.list(query, 10)).map(({ title }) => title);

describe("songs are found", () => {
  test.each([
    ["harbour", "Harbour Kind"],
    ["write it softly", "Harbour Kind"],
    ["hold the ones", "Harbour Kind"],
    ["merrow quay singers", "Harbour Kind"],
    ["40118", "Nine Bells"],
    ["cancion jose", "Canción de José"],
    ["NAVEGARÉ", "Canción de José"],
    ["harb", "Harbour Kind"],
    ["harbuor kind", "Harbour Kind"],
    ["navegare manana", "Canción de José"],
    // Scripts that put no space between words: any run of letters, from anywhere in a line.
    ["舟を出す", "夜の港"],
    ["灯をとも", "夜の港"],
    ["港", "夜の港"],
    ["点亮", "夜里的灯"],
    ["灯在水上", "夜里的灯"],
    ["ดวงไฟ", "ท่าเรือ"],
  ])("by %s", async (query, title) => expect((await titles(query))[0]).toBe(title));

  test("what is nowhere, and what would be a command of the index, finds nothing", async () => {
    for (const query of ["zebra quartz", '"', "NEAR(", "a AND OR NOT *", "title:x", "   ", "-"])
      expect(Array.isArray(await titles(query))).toBe(true);
    expect(await titles("zebra quartz")).toEqual([]);
  });
});

test("an index of a show from before, emptied by its migration, is filled anew at the start", async () => {
  const file = join(folder, "older.db");
  let older = await openDatabase(file);
  let library = new SongStore(older);
  await library.load();
  await library.addAll([{ id: "song-ja", song: songOf("夜の港", "小さな舟を出す") }], "test-person", 1);
  let texts = new ScriptureStore(older);
  await texts.load();
  const verses: ParsedVerse[] = [
    { book: "Ps", chapter: 23, verse: 1, words: "The lamp keeper walks" },
    { book: "Ps", chapter: 23, verse: 2, words: "beside still water" },
  ];
  await texts.add({ code: "own", name: "Own", language: "en", rights: "" }, [verses]);
  await emptyIndexes(older as unknown as Kysely<unknown>);
  await older.destroy();

  older = await openDatabase(file);
  library = new SongStore(older);
  await library.load();
  expect((await library.list("舟を出す", 5)).map(({ id }) => id)).toEqual(["song-ja"]);
  texts = new ScriptureStore(older);
  await texts.load();
  expect((await texts.search("still water", 5, "own")).map(({ verse }) => verse)).toEqual([2]);
  await older.destroy();
});

describe("songs are kept", () => {
  test("a save needs the revision it was built on; what it was can be gone back to; a song taken out can come back", async () => {
    await songs.addAll([{ id: "song-kept", song: songOf("Kept", "one lamp") }], "person-a", 1);
    const first = await songs.save("song-kept", songOf("Kept", "two lamps"), 1, "person-a", 2);
    expect(first).toEqual({ kind: "saved", revision: 2 });
    expect(await songs.save("song-kept", songOf("Kept", "three"), 1, "person-b", 3)).toMatchObject({
      kind: "conflict",
      current: { revision: 2 },
    });
    await songs.save("song-kept", songOf("Kept", "three lamps"), 2, "person-b", 3);
    expect((await songs.versions("song-kept")).map(({ song }) => song.text)).toEqual([
      "three lamps",
      "two lamps",
      "one lamp",
    ]);
    expect(await titles("three lamps")).toContain("Kept");
    expect(await titles("two lamps")).not.toContain("Kept");
    await songs.setDeleted("song-kept", 4);
    expect(await titles("three lamps")).toEqual([]);
    expect(await songs.find("song-kept")).toBeUndefined();
    expect(await songs.save("song-kept", songOf("Kept", "x"), 3, "person-a", 5)).toEqual({ kind: "gone" });
    await songs.setDeleted("song-kept", null);
    expect(await titles("three lamps")).toContain("Kept");
  });

  test("typing on is one version, another person's words are another", async () => {
    await songs.addAll([{ id: "song-typed", song: songOf("Typed", "a") }], "person-a", 0);
    for (const [i, text] of ["ab", "abc", "abcd"].entries())
      await songs.save("song-typed", songOf("Typed", text), i + 1, "person-a", 1_000 * i);
    await songs.save("song-typed", songOf("Typed", "b"), 4, "person-b", 9_000);
    expect((await songs.versions("song-typed")).map(({ song }) => song.text)).toEqual(["b", "abcd", "a"]);
  });
});

describe("songs as files", () => {
  test("text and ChordPro, alone and in a ZIP, come in once; what is no song is told", async () => {
    const zip = zipSync({
      "songs/Row.cho": strToU8("{title: Row for the Morning}\n{soc}\n[G]Row, then row\n{eoc}\n"),
      "songs/Plain tide.txt": strToU8("Verse 1\nthe tide goes out\n"),
      "songs/Empty.txt": strToU8("\n\n"),
      "songs/cover.png": new Uint8Array(10),
    });
    const result = await bringSongsIn(songs, await readSongs(zip), "test-person", 5);
    expect(result.added.map(({ title }) => title).sort()).toEqual(["Plain tide", "Row for the Morning"]);
    expect(result.left).toEqual(["Empty: it has no words"]);
    const again = await bringSongsIn(songs, await readSongs(zip), "test-person", 6);
    expect(again.added).toEqual([]);
    expect(again.left).toContain("Row for the Morning: it is in the library already");
  });

  test("several songs of one file, another encoding, and what a person should look at first", async () => {
    const zip = zipSync({
      "two.cho": strToU8("{title: First of two}\nla la\n{new_song}\n{title: Second of two}\nlo lo\n"),
      "Lämpchen.txt": new Uint8Array(
        [..."Strophe 1\nüber dem Wasser glühen\ndie Lämpchen für dich"].map((letter) => letter.charCodeAt(0)),
      ),
      "doubt.txt": strToU8(
        "1. When the lamps\nare low\n\nRefrain\nCarry it home\n\n2. When the nets\nare dry\n\n3. Hold the line",
      ),
    });
    const result = await bringSongsIn(songs, await readSongs(zip), "test-person", 8);
    expect(result.added.map(({ title }) => title).sort()).toEqual([
      "First of two",
      "Lämpchen",
      "Second of two",
    ]);
    expect(result.notes).toEqual([expect.stringMatching(/^Lämpchen was read as /)]);
    // It is not in the library before somebody has looked at it.
    expect(result.doubtful).toMatchObject([{ title: "doubt", text: expect.stringContaining("Refrain") }]);
    expect(await songs.list("hold the line", 5)).toEqual([]);
  });

  test("all songs go out, and what goes out comes in as it was", async () => {
    const other = new SongStore(await openDatabase(":memory:"));
    const zip = await packSongs(await allSongs(songs));
    const { added, left } = await bringSongsIn(other, await readSongs(zip), "test-person", 7);
    expect(left).toEqual([]);
    expect(added).toHaveLength(await songs.count());
    expect((await other.list("harbour kind", 5))[0]?.firstLine).toBe("Harbour kind, harbour wide,");
  });
});

describe("Find", () => {
  const find = (query: string) => findWords(query, songs, scriptures);

  test("a reference gives the passage from every text, the one whose language named the book first", async () => {
    expect((await find("ps 23")).passages.map(({ reference }) => reference)).toEqual([
      "Psalm 23:1–6",
      "Salmo 23:1–6",
    ]);
    expect((await find("salmo 23:1")).passages.map(({ reference }) => reference)[0]).toBe("Salmo 23:1");
  });

  test("words give the verse with what stands around it", async () => {
    const [verse] = (await find("still waters")).verses;
    expect(verse).toMatchObject({ reference: "Psalm 23:2", textName: "World English Bible" });
    expect(verse?.words).toContain("still waters");
    expect(verse?.before).toContain("shepherd");
    expect((await find("aguas de reposo")).verses[0]?.reference).toBe("Salmo 23:2");
    expect((await find("stil watters")).verses[0]?.reference).toBe("Psalm 23:2");
  });

  test("what is past the end of a chapter is told", async () => {
    expect((await find("ps 117:3")).problem).toBe("Psalm 117 has no verse 3; it has 2 verses.");
    expect((await find("nine bells")).problem).toBeNull();
  });
});

describe("texts are brought in", () => {
  const xml = (verses: number) =>
    strToU8(
      `<osis><osisText xml:lang="en"><header><work><title>Quay text</title><rights>Ours</rights></work></header>${Array.from({ length: verses }, (_, i) => `<verse osisID="Ps.1.${i + 1}">quayside words ${i}</verse>`).join("")}</osisText></osis>`,
    );
  const inProcess = async (path: string) => {
    const { verses, ...head } = readScriptureFile(readFileSync(path));
    return { head: { ...head, verseCount: verses.length }, batches: [verses] };
  };

  test("name, language and rights are the file's own, or as they were typed; its words are found", async () => {
    const texts = new TextImport(scriptures, incoming, inProcess);
    const about = { fileName: "quay.xml", name: "", rights: "", language: "" };
    expect(await texts.bringIn({ ...about, file: await incoming.hold(xml(3)) })).toBe("Quay text: 3 verses.");
    expect(scriptures.info("quay-text")).toEqual({
      code: "quay-text",
      name: "Quay text",
      language: "en",
      rights: "Ours",
    });
    const typed = { ...about, name: "Quay text", rights: "Typed", language: "es" };
    await texts.bringIn({ ...typed, file: await incoming.hold(xml(3)) });
    expect(scriptures.info("quay-text-2")).toMatchObject({ rights: "Typed", language: "es" });
    expect(await scriptures.search("quayside", 9)).toHaveLength(6);
    await scriptures.remove("quay-text");
    await scriptures.remove("quay-text-2");
    expect(await scriptures.search("quayside", 9)).toEqual([]);
  });

  test("a text that follows one that was deleted is not found by the other's words", async () => {
    const info = (code: string) => ({ code, name: code, language: "en", rights: "" });
    const verses = (words: string): ParsedVerse[] =>
      Array.from({ length: 1_200 }, (_, i) => ({
        book: i < 600 ? "GEN" : "EXO",
        chapter: 1,
        verse: (i % 600) + 1,
        words,
      }));
    await scriptures.add(info("first-text"), [verses("the zanderline sings")], undefined, 1_200);
    expect(await scriptures.search("zanderline", 2, "first-text")).toHaveLength(2);
    await scriptures.remove("first-text");
    await scriptures.add(info("next-text"), [verses("the lamps are lit")], undefined, 1_200);
    expect(await scriptures.search("zanderline", 2)).toEqual([]);
    await scriptures.remove("next-text");
  });

  test("called off, nothing of it remains, and the next can come", async () => {
    const slow = async (path: string) => {
      const { verses, ...head } = readScriptureFile(readFileSync(path));
      const batches = async function* () {
        yield verses.slice(0, 1);
        texts.callOff();
        yield verses.slice(1);
      };
      return { head: { ...head, verseCount: verses.length }, batches: batches() };
    };
    const texts = new TextImport(scriptures, incoming, slow);
    const about = { fileName: "quay.xml", name: "Called off", rights: "", language: "" };
    await expect(texts.bringIn({ ...about, file: await incoming.hold(xml(3)) })).rejects.toThrow(
      /called off.*as they were/,
    );
    expect(scriptures.info("called-off")).toBeUndefined();
    expect(await scriptures.search("quayside", 9)).toEqual([]);
  });

  test("of an import that breaks half-way nothing remains", async () => {
    const breaking = async function* (): AsyncGenerator<readonly ParsedVerse[]> {
      yield readScriptureFile(xml(100)).verses;
      throw new FileProblem("The file ends in the middle.");
    };
    const info = { code: "broken", name: "Broken", language: "en", rights: "" };
    await expect(scriptures.add(info, breaking())).rejects.toThrow("ends in the middle");
    expect(scriptures.info("broken")).toBeUndefined();
    expect(await scriptures.search("quayside", 9)).toEqual([]);
    const rows = await db
      .selectFrom("scripture_verse")
      .select("words")
      .where("text_code", "=", "broken")
      .execute();
    expect(rows).toEqual([]);
  });

  test("of one that a power cut ended, nothing remains at the next start", async () => {
    const file = join(folder, "cut.db");
    const first = await openDatabase(file);
    const store = new ScriptureStore(first);
    await store.load();
    const endless = async function* (): AsyncGenerator<readonly ParsedVerse[]> {
      yield readScriptureFile(xml(100)).verses;
      await first.destroy();
      yield readScriptureFile(xml(100)).verses;
    };
    await store.add({ code: "cut", name: "Cut", language: "en", rights: "" }, endless()).catch(() => {});
    const second = await openDatabase(file);
    expect(await second.selectFrom("scripture_text").select("state").execute()).toEqual([
      { state: "importing" },
    ]);
    const again = new ScriptureStore(second);
    await again.load();
    expect(again.list()).toEqual([]);
    expect(await again.search("quayside", 9)).toEqual([]);
    expect(await second.selectFrom("scripture_verse").selectAll().execute()).toEqual([]);
    await second.destroy();
  });
});
