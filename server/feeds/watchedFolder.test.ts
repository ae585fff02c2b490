import { mkdirSync, mkdtempSync, rmSync, symlinkSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterEach, beforeEach, expect, test } from "vitest";
import { WatchedFolder } from "./watchedFolder.ts";

let outside: string;
let folder: string;
let watched: WatchedFolder;

beforeEach(() => {
  outside = mkdtempSync(join(tmpdir(), "vesko-feeds-"));
  folder = join(outside, "feeds");
  mkdirSync(folder);
  watched = new WatchedFolder(folder);
});
afterEach(async () => {
  await watched.close();
  rmSync(outside, { recursive: true });
});

const goneOf = async (path: string) => {
  const read = await watched.read(path);
  return "gone" in read ? read.gone : undefined;
};

test("gives files of the folder, and nothing outside of it, by whatever way", async () => {
  writeFileSync(join(folder, "lanterns.csv"), "a\n1\n");
  writeFileSync(join(outside, "secret.csv"), "a\n1\n");
  symlinkSync(join(outside, "secret.csv"), join(folder, "link.csv"));
  const read = await watched.read("lanterns.csv");
  expect("bytes" in read && new TextDecoder().decode(read.bytes)).toBe("a\n1\n");
  for (const path of ["../secret.csv", "link.csv", "lanterns.csv/../../secret.csv", "..", "/etc/passwd"])
    expect(await goneOf(path), path).toMatch(/not in the feed folder|is gone|cannot be read/);
  expect(await watched.list()).toEqual(["lanterns.csv"]);
});

test("a file that is gone, one replaced by a folder, one that is too large", async () => {
  mkdirSync(join(folder, "lanterns.csv"));
  writeFileSync(join(folder, "large.csv"), Buffer.alloc(21 * 1024 * 1024));
  expect(await goneOf("nowhere.csv")).toBe("the file “nowhere.csv” is gone.");
  expect(await goneOf("lanterns.csv")).toBe("“lanterns.csv” is no file any more.");
  expect(await goneOf("large.csv")).toBe("“large.csv” is larger than 20 MB.");
});

test("a file that is still being written is read once it stands still", async () => {
  const path = join(folder, "growing.csv");
  writeFileSync(path, "a\n");
  let written = 0;
  const writer = setInterval(() => {
    if (written++ < 12) writeFileSync(path, `${written}\n`, { flag: "a" });
    else clearInterval(writer);
  }, 10);
  const read = await watched.read("growing.csv");
  expect(written).toBeGreaterThan(12);
  expect("bytes" in read && new TextDecoder().decode(read.bytes)).toMatch(/^a\n1\n.*12\n$/s);
});
