import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import wawoff2 from "wawoff2";
import type { ReadyCue } from "../../core/rundown/readyCue.ts";
import { eventually } from "../../test-support/eventually.ts";
import { type OpenShow, openShow } from "../../test-support/openShow.ts";
import { plainPicture } from "../../test-support/plainPicture.ts";

const folder = mkdtempSync(join(tmpdir(), "vesko-media-test-"));
const databaseFile = join(folder, "show.db");
let show: OpenShow;
beforeAll(async () => {
  show = await openShow(databaseFile);
});
afterAll(async () => {
  await show.close();
  rmSync(folder, { recursive: true });
});

const png = (color: string) => plainPicture(color, 30, 20);
const hold = (bytes: Uint8Array) => show.services.media.incoming.hold(bytes);
const add = async (id: string, bytes: Uint8Array, name = "a file.png") =>
  show.services.media.add({ id, name, file: await hold(bytes), poster: new Uint8Array(), key: null }, 1_000);
const cueOf = (title: string): ReadyCue => {
  const cue = show.services.rundown.ready().find(({ content }) => content.title === title);
  if (!cue) throw new Error(`no cue ${title}`);
  return cue;
};

describe("the library", () => {
  test("keeps a file under the hash of its bytes, and finds it again after a restart", async () => {
    const added = await add("media-one", png("#ff0000"));
    if ("problem" in added) throw new Error(added.problem);
    const { file } = added.item.info;
    expect(Buffer.compare(show.services.media.readFile(file) ?? new Uint8Array(), png("#ff0000"))).toBe(0);
    await show.close();
    show = await openShow(databaseFile);
    expect(show.services.media.find("media-one")).toEqual(added.item);
  });

  test("nothing but the hash of a file that is here leads to a file", () => {
    const { media } = show.services;
    for (const name of ["../show.db", "a".repeat(64), "", "..", `${"a".repeat(62)}/.`, "A".repeat(64)])
      expect(media.findFile(name)).toBeUndefined();
  });

  test("what is no picture or clip is refused, and nothing of it remains", async () => {
    const count = show.services.media.list().length;
    expect(await add("media-two", new TextEncoder().encode("hello"))).toHaveProperty("problem");
    expect(await add("media-two", new TextEncoder().encode("hello"), "clip.webm")).toEqual({
      problem: expect.stringMatching(/WebM or MP4/),
    });
    expect(show.services.media.list()).toHaveLength(count);
    expect(show.services.media.find("media-two")).toBeUndefined();
  });

  test("an item that is taken out is gone for cues, and stays for what is on air", async () => {
    const added = await add("media-gone", png("#0000ff"));
    if ("problem" in added) throw new Error(added.problem);
    expect(await show.services.media.remove("media-gone")).toBe(true);
    expect(await show.services.media.remove("media-gone")).toBe(false);
    expect(show.services.media.find("media-gone")).toBeUndefined();
    expect(show.services.contents.find(added.item.hash)).toBeDefined();
    expect(show.services.media.findFile(added.item.info.file)).toBeDefined();
  });

  test("a clip's key is pinned: a cue takes the new one, what was taken keeps the old", async () => {
    const before = cueOf("The boat school’s first boat");
    const [hash] = before.content.media;
    const item = await show.services.media.setKey(
      "demo-paper-boat",
      { color: "#0000ff", tolerance: 0.5, softness: 0.1, spill: 0 },
      2_000,
    );
    await eventually(() => expect(cueOf("The boat school’s first boat").hash).not.toBe(before.hash));
    const after = cueOf("The boat school’s first boat");
    expect(after.content.media).toEqual([item?.hash]);
    expect(show.services.contents.find(hash ?? "")).toMatchObject({
      kind: "media",
      key: { color: "#15aa45" },
    });
    expect(await show.services.media.setKey("no-such", null, 2_000)).toBeUndefined();
  });

  test("another house style dresses every cue, not the air, and stays over a restart", async () => {
    const before = cueOf("Lantern Evening");
    const { host } = show.services;
    await host.submit(
      {
        kind: "take",
        id: "take-for-style",
        how: "cut",
        builtOn: host.state.airRevision,
        target: { cueId: before.cueId, content: before.hash, step: { occurrence: "page", unit: 0 } },
      },
      { kind: "desk", id: "desk-under-test" },
    );
    const regatta = show.services.designs.find("style", "regatta")?.published;
    if (!regatta) throw new Error("there is no such style");
    await show.services.wearStyle({ id: "regatta", hash: regatta.hash, style: regatta.doc });
    await eventually(() => expect(cueOf("Lantern Evening").hash).not.toBe(before.hash));
    expect(host.state.slots.words?.at(-1)?.page?.content).toBe(before.hash);
    await show.close();
    show = await openShow(databaseFile);
    expect(show.services.house.style.name).toBe("Regatta");
    expect(show.services.host.state.slots.words?.at(-1)?.page?.content).toBe(before.hash);
  });

  test("a font can be added by file, is tried for letters that no other has, and a file that is none is refused", async () => {
    const bytes = new Uint8Array(
      readFileSync("node_modules/@expo-google-fonts/noto-sans-thai/700Bold/NotoSansThai_700Bold.ttf"),
    );
    expect(await show.services.addFont("font-one", "Thai bold.ttf", await hold(bytes))).toEqual({
      font: {
        id: "added-font-one",
        name: "Thai bold.ttf",
        file: expect.stringMatching(/^[0-9a-f]{64}$/),
        embedding: "installable",
      },
    });
    expect(
      await show.services.addFont(
        "font-two",
        "wrong.ttf",
        await hold(new TextEncoder().encode("no font at all")),
      ),
    ).toHaveProperty("problem");
    expect(show.services.fonts.list().map(({ id }) => id)).toEqual(["added-font-one"]);
    for (const [what, damage] of [
      ["cut off", (font: Uint8Array) => font.slice(0, font.length - 900)],
      ["changed", (font: Uint8Array) => font.map((byte, i) => (i === font.length >> 1 ? byte ^ 0xff : byte))],
      ["its list of tables", (font: Uint8Array) => font.slice(0, 40)],
    ] as const)
      expect(await show.services.addFont("font-bad", "Bad.ttf", await hold(damage(bytes)))).toEqual({
        problem: expect.stringMatching(new RegExp(`damaged font.*${what}.*Nothing was added`)),
      });
    // As it is pressed for the web it is the same font.
    const pressed = await wawoff2.compress(bytes);
    const web = await show.services.addFont("font-web", "Thai bold.woff2", await hold(pressed));
    expect(web).toHaveProperty("font.embedding", "installable");
    expect("font" in web && show.services.media.readFile(web.font.file)?.length).toBeGreaterThan(
      pressed.length,
    );
    expect(
      await show.services.addFont("font-cut", "Cut.woff2", await hold(pressed.slice(0, pressed.length / 2))),
    ).toEqual({ problem: expect.stringMatching(/damaged font.*Nothing was added/) });
    const bomb = Buffer.from(pressed);
    bomb.writeUInt32BE(0x7fffffff, 16);
    expect(await show.services.addFont("font-bomb", "Bomb.woff2", await hold(bomb))).toEqual({
      problem: expect.stringMatching(/larger than 48 MB/),
    });
    await show.services.removeFont("added-font-web");
    expect(await show.services.removeFont("added-font-one")).toBe(true);
    expect(show.services.fonts.list()).toEqual([]);
  });
});
