import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { gunzipSync } from "node:zlib";
import { readingCue } from "../core/rundown/cueDoc.ts";
import { NO_LINE } from "../core/show/line.ts";
import { findNext } from "../core/show/next.ts";
import { BOOKS } from "../core/words/reference/books.ts";
import { findWords } from "../server/words/find.ts";
import { openShow } from "../test-support/openShow.ts";
import { distributionOf, printRow, printValue } from "./distribution.ts";
import { few } from "./few.ts";
import { madeUpSongs } from "./madeUpSongs.ts";

const SONGS = few(10_000, 100);
/** Search, lookup and imports, with 10 000 songs and both texts in a database on the disk. */
export async function benchWords(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), "vesko-bench-"));
  const { services, close } = await openShow(join(folder, "show.db"));
  const { songs, scriptures, rundown, host } = services;
  const { random, songs: made } = madeUpSongs(SONGS, 4);
  const began = performance.now();
  await songs.addAll(made, "bench-person", 1);
  printValue(
    `${SONGS.toLocaleString("en")} songs added to the library`,
    "s",
    (performance.now() - began) / 1_000,
    "",
  );

  const lines = made.flatMap(({ song }) => song.text.split("\n").filter((l) => l.includes(" ")));
  const someWords = (from: readonly string[]) => {
    const words = (from[random(from.length)] ?? "").split(" ");
    const at = random(Math.max(1, words.length - 2));
    return words.slice(at, at + 1 + random(3)).join(" ");
  };
  const misspelt = (query: string) =>
    query.length > 5 ? query.slice(0, 2) + query[3] + query[2] + query.slice(4) : query;
  const time = async (count: number, work: (i: number) => Promise<unknown>) => {
    const samples: number[] = [];
    for (let i = 0; i < count + 20; i++) {
      const from = performance.now();
      await work(i);
      if (i >= 20) samples.push(performance.now() - from);
    }
    return distributionOf(samples);
  };
  printRow(
    "words found among 10 000 songs",
    "ms",
    await time(few(400, 8), () => songs.list(someWords(lines), 20)),
    "",
  );
  printRow("… misspelt", "ms", await time(few(200, 8), () => songs.list(misspelt(someWords(lines)), 20)), "");

  const verses = BOOKS.flatMap(({ code }) =>
    scriptures.verses("web", {
      from: { book: code, chapter: 1, verse: 1 },
      to: { book: code, chapter: 200, verse: 200 },
    }),
  ).map(({ text }) => text.replace(/[^\p{L} ]+/gu, " ").replace(/\s+/g, " "));
  printRow(
    `words found in ${verses.length.toLocaleString("en")} verses`,
    "ms",
    await time(few(600, 8), () => scriptures.search(someWords(verses), 8, "web")),
    "p95 under 20",
  );
  printRow(
    "… misspelt",
    "ms",
    await time(few(200, 8), () => scriptures.search(misspelt(someWords(verses)), 8, "web")),
    "p95 under 20",
  );
  printRow(
    "Find: songs, both texts and references together",
    "ms",
    await time(few(400, 8), () => findWords(someWords(random(2) ? verses : lines), songs, scriptures)),
    "first result under 50",
  );
  printRow(
    "reference typed → slides of every outfit",
    "ms",
    await time(few(200, 8), async () => {
      const book = BOOKS[random(BOOKS.length)]?.code ?? "Ps";
      const chapters = scriptures.counts("web")?.get(book) ?? [1];
      const chapter = 1 + random(chapters.length);
      const last = chapters[chapter - 1] ?? 1;
      const verse = 1 + random(last);
      rundown.tryOut(
        readingCue({ reference: `${book} ${chapter}:${verse}-${Math.min(last, verse + 8)}`, text: "web" }),
      );
    }),
    "under 30",
  );

  global.gc?.();
  printValue("heap of the server with all of it", "MiB", process.memoryUsage().heapUsed / 2 ** 20, "");
  printValue("resident memory of the server", "MiB", process.memoryUsage().rss / 2 ** 20, "");

  const file = gunzipSync(readFileSync("texts/scripture/web.osis.xml.gz"));
  const takes: number[] = [];
  const quiet: number[] = [];
  const take = async (into: number[], i: number) => {
    const cues = rundown.ready();
    const target = findNext(host.state, cues) ?? findNext({ arm: null, line: NO_LINE }, cues);
    if (!target) throw new Error("nothing to take");
    const from = performance.now();
    await new Promise((resolve) => setImmediate(resolve));
    await host.submit(
      {
        kind: "take",
        id: `bench-take-${into === takes ? "b" : "a"}-${i}`,
        target,
        how: "cut",
        builtOn: host.state.airRevision,
      },
      { kind: "desk", id: "bench-desk" },
    );
    into.push(performance.now() - from);
    await new Promise((resolve) => setTimeout(resolve, 15));
  };
  for (let i = 0; i < 200; i++) await take(quiet, i);
  printRow("a take in the server, nothing else going on", "ms", distributionOf(quiet), "p99 under 5");
  const importBegan = performance.now();
  let isDone = false;
  const work = services.textImport
    .bringIn({
      fileName: "text.xml",
      file: await services.media.incoming.hold(file),
      name: "Bench text",
      rights: "",
      language: "",
    })
    .then((sentence) => {
      isDone = true;
      return sentence;
    });
  for (let i = 0; !isDone; i++) await take(takes, i);
  await work;
  printValue(
    `an OSIS file of ${(file.length / 2 ** 20).toFixed(1)} MB brought in, takes going on`,
    "s",
    (performance.now() - importBegan) / 1_000,
    "under 10",
  );
  printRow("a take in the server meanwhile", "ms", distributionOf(takes), "p99 under 5");
  printValue("resident memory of the server after it", "MiB", process.memoryUsage().rss / 2 ** 20, "");
  await close();
  rmSync(folder, { recursive: true });
}
