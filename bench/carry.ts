import { createHash, randomBytes } from "node:crypto";
import { appendFileSync, mkdtempSync, renameSync, rmSync, statSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { runInThread } from "../server/carry/carryThread.ts";
import { emptyShow } from "../server/newShow.ts";
import { ContentStore } from "../server/store/contentStore.ts";
import { openDatabase } from "../server/store/database.ts";
import { makeShow } from "../server/store/makeShow.ts";
import { findShowId } from "../server/store/showStore.ts";
import { printValue } from "./distribution.ts";
import { few } from "./few.ts";

const FILES = few(5, 1);
const FILE_BYTES = few(100, 2) * 1024 * 1024;

const PIECE = randomBytes(1024 * 1024);

/** A sound of noise, 48 kHz, two channels, 16 bit, written in pieces. @returns the sum of its bytes. Source: RIFF WAVE, "fmt " and "data" */
function writeNoise(path: string, n: number): string {
  const head = Buffer.alloc(44);
  head.write("RIFF", 0);
  head.writeUInt32LE(36 + FILE_BYTES, 4);
  head.write("WAVEfmt ", 8);
  head.writeUInt32LE(16, 16);
  head.writeUInt16LE(1, 20);
  head.writeUInt16LE(2, 22);
  head.writeUInt32LE(48_000, 24);
  head.writeUInt32LE(192_000, 28);
  head.writeUInt16LE(4, 32);
  head.writeUInt16LE(16, 34);
  head.write("data", 36);
  head.writeUInt32LE(FILE_BYTES, 40);
  const sum = createHash("sha256").update(head);
  writeFileSync(path, head);
  for (let at = 0; at < FILE_BYTES; at += PIECE.length) {
    PIECE.writeUInt32LE(n * FILES + at, 0);
    sum.update(PIECE);
    appendFileSync(path, PIECE);
  }
  return sum.digest("hex");
}

async function largeShow(folder: string) {
  const databaseFile = join(folder, "large.vesko.db");
  const mediaFolder = `${databaseFile}.media`;
  const home = process.cwd();
  const db = await openDatabase(databaseFile);
  await makeShow(db, emptyShow(), home, mediaFolder, 1);
  const showId = (await findShowId(db)) ?? "";
  const contents = new ContentStore(db);
  for (let n = 0; n < FILES; n++) {
    const written = join(mediaFolder, `noise-${n}`);
    const file = writeNoise(written, n);
    renameSync(written, join(mediaFolder, file));
    const hash = await contents.keep({
      ...{ kind: "media", name: `Noise ${n}`, type: "sound", mime: "audio/wav", file, poster: null },
      ...{ widthPx: 0, heightPx: 0, hasAlpha: false, durationMs: 546_133, hasSound: true, key: null },
    });
    await db
      .insertInto("media")
      .values({
        id: `noise-${n}`,
        show_id: showId,
        content_hash: hash,
        added_at_ms: n,
        folder: "",
        tags: "[]",
      })
      .execute();
  }
  await db.destroy();
  return { databaseFile, mediaFolder, home };
}

/** Save and open of a show with 500 MB of files: how long, and how much memory it takes beside what the process had. */
export async function benchCarry(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), "vesko-bench-carry-"));
  try {
    const places = await largeShow(folder);
    const archive = join(folder, "large.zip");
    const signal = new AbortController().signal;
    const job = (name: string) => ({ ...places, folder: join(folder, name), atMs: Date.now() });
    await measured("save a show of 500 MB", () =>
      runInThread<"save">(
        { ...job("save"), kind: "save", holds: { kind: "all" }, program: "bench", target: archive },
        () => {},
        signal,
      ),
    );
    printValue("… its archive", "MiB", statSync(archive).size / 1024 / 1024, "");
    const hall = {
      ...places,
      databaseFile: places.databaseFile,
      mediaFolder: join(folder, "elsewhere.media"),
    };
    await measured("look at it on a machine that has none of it", () =>
      runInThread<"look">({ ...job("look"), ...hall, kind: "look", archive }, () => {}, signal),
    );
    await measured("make a show of it", () =>
      runInThread<"makeNew">(
        { ...job("look"), ...hall, kind: "makeNew", target: join(folder, "next.db"), actor: "bench" },
        () => {},
        signal,
      ),
    );
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

async function measured(what: string, work: () => Promise<unknown>): Promise<void> {
  globalThis.gc?.();
  const before = process.memoryUsage().rss;
  let most = before;
  const timer = setInterval(() => {
    most = Math.max(most, process.memoryUsage().rss);
  }, 20);
  const fromMs = performance.now();
  await work();
  const tookMs = performance.now() - fromMs;
  clearInterval(timer);
  printValue(what, "s", tookMs / 1_000, "");
  printValue("… memory beside what was there, at most", "MiB", (most - before) / 1024 / 1024, "flat");
}
