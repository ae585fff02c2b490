import { mkdtempSync, readdirSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, expect, test } from "vitest";
import { Incoming } from "./incoming.ts";

let folder: string;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), "vesko-incoming-"));
});
afterAll(() => rmSync(folder, { recursive: true }));

async function* bytes(...parts: readonly (Buffer | Error)[]): AsyncGenerator<Buffer> {
  for (const part of parts) {
    if (part instanceof Error) throw part;
    yield part;
  }
}

test("a file is whole on the disk, with its hash, and what stood before it apart", async () => {
  const incoming = new Incoming(folder);
  const file = await incoming.receive(bytes(Buffer.from("head|bo"), Buffer.from("dy")), 5);
  expect(Buffer.from(file.head).toString()).toBe("head|");
  // printf body | sha256sum
  expect(file).toMatchObject({
    bytes: 4,
    hash: "230d8358dc8e8890b4c58deeb62912ee2f20357ae92a5cc861b98e68fe31acb5",
  });
  await incoming.discard(file);
  expect(readdirSync(folder)).toEqual([]);
});

test("of a file that breaks off nothing stays, however early it does", async () => {
  const incoming = new Incoming(folder);
  const off = new Error("broke off");
  for (const parts of [[off], [Buffer.alloc(70_000), off]])
    for (let i = 0; i < 1500; i++) await expect(incoming.receive(bytes(...parts))).rejects.toBe(off);
  // What was opened late would be there by the time another file is.
  await incoming.discard(await incoming.receive(bytes(Buffer.from("another"))));
  expect(readdirSync(folder)).toEqual([]);
});
