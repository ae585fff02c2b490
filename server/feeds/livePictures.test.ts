import { afterAll, beforeAll, expect, test } from "vitest";
import { type Binding, bindingSchema } from "../../core/feeds/binding.ts";
import { feedDocSchema } from "../../core/feeds/feed.ts";
import { pageCue } from "../../core/rundown/cueDoc.ts";
import { PAGE_ANCHOR } from "../../core/rundown/steps.ts";
import { pageTable } from "../../core/values/liveChain.ts";
import { DESK } from "../../test-support/contents.ts";
import { type OpenShow, openShow } from "../../test-support/openShow.ts";
import { plainPicture } from "../../test-support/plainPicture.ts";
import { usesHere } from "../host/mediaUses.ts";

let show: OpenShow;
let takes = 0;

const png = (color: string) => plainPicture(color, 16, 9);
const makeFeed = (id: string, format: object, fileName = `${id}.png`) =>
  show.services.feeds.save(
    id,
    0,
    feedDocSchema.parse({ name: id, format, source: { kind: "upload", fileName } }),
  );
async function addPage(cueId: string, picture: Binding): Promise<void> {
  const { rundown } = show.services;
  const doc = pageCue({ fieldSet: "picture", values: { picture: "", caption: "x" }, bindings: { picture } });
  await rundown.edit("p", { kind: "addCue", cueId, afterId: rundown.views().at(-1)?.cueId ?? null, doc }, 0);
}
const cell = (feedId: string, column: string) =>
  bindingSchema.parse({ kind: "cell", feedId, text: `{${column}}`, row: { by: "number", number: 1 } });
const contentOf = (cueId: string): string =>
  show.services.rundown.ready().find((cue) => cue.cueId === cueId)?.hash ?? "";
const take = async (cueId: string): Promise<void> => {
  const { host } = show.services;
  const target = { cueId, content: contentOf(cueId), step: PAGE_ANCHOR };
  const { sentence } = await host.submit(
    { kind: "take", id: `take-number-${++takes}`, target, how: "cut", builtOn: host.state.airRevision },
    DESK,
  );
  expect(sentence).toBeNull();
};
const pictureOn = (cueId: string) =>
  show.services.values.values.tables[pageTable({ cueId, content: contentOf(cueId) })]?.picture;
/** What is known of a thing of the library, and its file. */
const named = (name: string) => {
  const item = show.services.media.list().find(({ info }) => info.name === name);
  if (!item) throw new Error(`the library has no “${name}”`);
  return item;
};
const bringAnother = async (id: string, color: string) => {
  const file = await show.services.media.incoming.hold(png(color));
  return show.services.library.replace(
    { id, name: "brought.png", file, poster: new Uint8Array(), key: null },
    "desk",
  );
};

beforeAll(async () => {
  show = await openShow(":memory:");
});
afterAll(() => show.close());

test("a thing of the library that is changed or removed by a hand stays on air as it was; the next take has what is there then", async () => {
  const { feeds, media } = show.services;
  const file = await media.incoming.hold(png("#123456"));
  await media.add({ id: "by-a-hand", name: "By a hand", file, poster: new Uint8Array(), key: null }, 0);
  await makeFeed("who", { kind: "csv" });
  const bring = (number: number) =>
    feeds.upload("who", "who.csv", new TextEncoder().encode(`flag,number\nBy a hand,${number}\n`));
  expect(await bring(1)).toBeUndefined();
  await addPage("shown", cell("who", "flag"));
  await addPage("besides", cell("who", "flag"));
  const first = named("By a hand").hash;
  await take("shown");
  expect(pictureOn("shown")).toBe(first);

  await bringAnother("by-a-hand", "#654321");
  const second = named("By a hand").hash;
  expect(second).not.toBe(first);
  await bring(2);
  expect([pictureOn("shown"), pictureOn("besides")]).toEqual([first, second]);

  await media.remove("by-a-hand");
  await bring(3);
  // Beside the air its stand-in is shown, so that it is seen before it is taken.
  expect([pictureOn("shown"), pictureOn("besides")]).toEqual([first, "By a hand"]);

  const again = await media.incoming.hold(png("#654321"));
  await media.add(
    { id: "by-another", name: "By a hand", file: again, poster: new Uint8Array(), key: null },
    0,
  );
  expect(pictureOn("shown")).toBe(first);
  await take("besides");
  expect(pictureOn("besides")).toBe(second);
  await take("shown");
  expect(pictureOn("shown")).toBe(second);
});

test("a picture that is a feed is a thing of the library; pages follow it on air, but for those that are frozen", async () => {
  const { feeds, bindings } = show.services;
  await makeFeed("poster", { kind: "picture" });
  const bring = (bytes: Uint8Array) => feeds.upload("poster", "poster.png", bytes);
  expect(await bring(png("#aa0000"))).toBeUndefined();
  const first = named("poster.png");
  expect(first).toMatchObject({ folder: "From feeds", info: { type: "picture", widthPx: 16 } });
  await addPage("follows", cell("poster", "picture"));
  await addPage("frozen", cell("poster", "picture"));
  expect(pictureOn("follows")).toBe(first.hash);
  bindings.freeze("frozen", true, 1);
  await take("follows");
  expect(usesHere(show.services).get(first.id)).toEqual([
    { kind: "cue", cueId: "follows", title: "x" },
    { kind: "cue", cueId: "frozen", title: "x" },
    { kind: "feed", name: "poster" },
  ]);
  const before = feeds.find("poster")?.version ?? 0;
  expect(await bring(png("#00aa00"))).toBeUndefined();
  const second = named("poster.png");
  expect([second.id, second.hash === first.hash]).toEqual([first.id, false]);
  expect([pictureOn("follows"), pictureOn("frozen")]).toEqual([second.hash, first.hash]);
  // It changed, though it is called the same.
  expect(feeds.find("poster")?.version).toBeGreaterThan(before);

  const whole = png("#0000aa");
  for (const broken of [
    whole.subarray(0, whole.length - 5),
    new Uint8Array(),
    new TextEncoder().encode("a,b\n"),
  ])
    expect(await bring(broken)).toMatch(/^“poster”: [^.]*[.] Pages keep the last good values[.]$/);
  const svg = new TextEncoder().encode("<svg xmlns='http://www.w3.org/2000/svg' width='9' height='9'/>");
  expect(await bring(svg)).toBe(
    "“poster”: Pictures of the kind “svg” are not taken in. Pages keep the last good values.",
  );
  expect(pictureOn("follows")).toBe(second.hash);
  expect(await bring(whole)).toBeUndefined();
  expect(pictureOn("follows")).toBe(named("poster.png").hash);
  // Called otherwise in the library it is the same still.
  await show.services.library.describe(first.id, { name: "The poster", folder: "", tags: [] }, "desk");
  expect(feeds.findTable("poster")?.table.rows).toEqual([["The poster"]]);
  expect(pictureOn("follows")).toBe(named("The poster").hash);
});

test("what is called the same in the library already is not found in its place; what is no picture does not come in", async () => {
  const { feeds, media } = show.services;
  await makeFeed("second", { kind: "picture" }, "The poster");
  expect(await feeds.upload("second", "poster.png", png("#ffaa00"))).toBeUndefined();
  expect(feeds.findTable("second")?.table.rows).toEqual([["The poster (2)"]]);
  await makeFeed("no-picture", { kind: "picture" });
  const clip = media.readFile(named("Paper boat").info.file) ?? new Uint8Array();
  const count = media.list().length;
  expect(await feeds.upload("no-picture", "boat.webm", clip)).toMatch(/no picture/);
  expect(media.list()).toHaveLength(count);
});
