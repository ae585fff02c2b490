import { createServer } from "node:http";
import type { AddressInfo } from "node:net";
import { createCanvas } from "@napi-rs/canvas";
import { afterAll, beforeAll, expect, test } from "vitest";
import { PICKED_FEED_ID } from "../../core/comments/comment.ts";
import { feedDocSchema } from "../../core/feeds/feed.ts";
import { eventually } from "../../test-support/eventually.ts";
import { type OpenShow, openShow } from "../../test-support/openShow.ts";
import { CommentStore } from "../store/commentStore.ts";
import { CommentHost } from "./commentHost.ts";

const ONE = { id: "one", name: "Desk 1" };
const SOURCE = feedDocSchema.parse({
  ...{ name: "Wall of the quay", source: { kind: "upload", fileName: "" }, format: { kind: "csv" } },
});

const NO_PICTURES = { keep: async () => ({ problem: "No picture comes here." }) };

let show: OpenShow;
const host = () => show.services.comments;
const bring = (...lines: string[]) =>
  show.services.feeds.upload(
    "quay-wall",
    "wall.csv",
    new TextEncoder().encode(`who,said\n${lines.join("\n")}\n`),
  );
const find = (words: string) => {
  const found = host()
    .list()
    .find((comment) => comment.words.includes(words));
  if (!found) throw new Error(`nobody wrote “${words}”`);
  return found;
};
const picked = () =>
  show.services.feeds.findTable(PICKED_FEED_ID)?.table.rows.map(([, name, words]) => `${name}: ${words}`);
const arrived = (words: string) => eventually(() => find(words));

/** Somewhere on another server, where pictures of people are. */
let asked = 0;
const faces = createServer((request, response) => {
  asked++;
  if (request.url === "/face.png")
    response.writeHead(200, { "Content-Type": "image/png" }).end(createCanvas(8, 8).toBuffer("image/png"));
  else response.writeHead(404).end();
});
let at = "";

beforeAll(async () => {
  await new Promise<void>((resolve) => faces.listen(0, "127.0.0.1", resolve));
  const hostName = `127.0.0.1:${(faces.address() as AddressInfo).port}`;
  at = `http://${hostName}`;
  show = await openShow(":memory:", { feedHosts: [hostName] });
  await show.services.feeds.save("quay-wall", 0, SOURCE);
  expect(await bring("Ilse,what a night", "Odhran,see www.oars.example you barnacles")).toBeUndefined();
  await host().saveSettings({
    source: { feedId: "quay-wall", name: "who", words: "said", picture: "" },
    ...{ hiddenWords: ["barnacle*"], hidesLinks: true },
  });
});
afterAll(async () => {
  await show.close();
  faces.close();
});

test("what its source has is taken in once, and stays when it is gone there", async () => {
  const count = host().list().length;
  await bring("Ilse,what a night", "Brisa,the third from the left");
  await arrived("the third from the left");
  expect(host().list()).toHaveLength(count + 1);
  expect(find("you barnacles").name).toBe("Odhran");
});

test("nothing can come on a page that a person did not pick; what is struck out is not in it", async () => {
  expect(picked()).toEqual([]);
  expect(await host().pick(find("you barnacles").id, ONE)).toMatchObject({ kind: "done" });
  expect(picked()).toEqual(["Odhran: see … you …"]);
  expect(find("you barnacles")).toMatchObject({
    isPicked: true,
    // As it was written.
    words: "see www.oars.example you barnacles",
  });
  expect(await host().pick(find("you barnacles").id, ONE)).toMatchObject({ kind: "refused" });
  const [change] = await show.services.tables.changesOf(PICKED_FEED_ID, 1);
  expect(change).toMatchObject({ by: "Desk 1" });
  // Many more come: none of them is picked.
  await bring(...Array.from({ length: 50 }, (_, i) => `Crowd,word number ${i}`));
  await arrived("word number 49");
  expect(picked()).toHaveLength(1);
});

test("what is taken out can be picked again, under a number that none had before", async () => {
  const no = () => show.services.feeds.findTable(PICKED_FEED_ID)?.table.rows.at(-1)?.[0];
  await host().pick(find("what a night").id, ONE);
  const first = no();
  expect(await host().unpick(find("what a night").id, ONE)).toMatchObject({ kind: "done" });
  expect(find("what a night").isPicked).toBe(false);
  await host().pick(find("what a night").id, ONE);
  expect(Number(no())).toBeGreaterThan(Number(first));
});

test("who knows a version is told what is other since, picks made or undone elsewhere too", async () => {
  const { version } = host();
  expect(host().list(version)).toEqual([]);
  await host().set(find("what a night").id, { isMarked: true }, ONE);
  const rows = show.services.feeds.findTable(PICKED_FEED_ID)?.table.rows ?? [];
  const at = rows.findIndex(([, name]) => name === "Odhran");
  const was = [[...(rows[at] ?? [])]];
  await show.services.tables.edit(PICKED_FEED_ID, { kind: "removeRows", at, was }, ONE, "by-hand");
  expect(
    host()
      .list(version)
      .map(({ words, isMarked, isPicked }) => [words, isMarked, isPicked]),
  ).toEqual([
    ["what a night", true, true],
    ["see www.oars.example you barnacles", false, false],
  ]);
});

test("the name of who wrote is no way round what is struck out; what is held back leaves those that were picked", async () => {
  await host().paste("Old barnacle of www.oars.example: good evening all");
  const { id } = find("good evening all");
  await host().pick(id, ONE);
  expect(picked()?.at(-1)).toBe("Old … of …: good evening all");
  await host().set(id, { isHeldBack: true }, ONE);
  expect(picked()?.join()).not.toContain("good evening all");
  expect(find("good evening all")).toMatchObject({ isHeldBack: true, isPicked: false });
});

test("what a stranger sends is made harmless for a page: one line, no signs that turn or bury the words beside it", async () => {
  const sent = "turn \u202Eme\u202C round\u0007 and\u200b z\u0301\u0302\u0303\u0304\u0305 dig";
  await bring(`Odd\u202E,"${sent}\ninto the next line"`);
  await arrived("into the next line");
  expect(find("into the next line")).toMatchObject({
    name: "Odd",
    words: "turn me round and\u200b z\u0301\u0302\u0303 dig into the next line",
  });
});

test("what is held back and marked stays so over a restart; a pasted list is taken in", async () => {
  await host().set(find("word number 7").id, { isHeldBack: true }, ONE);
  await host().set(find("word number 8").id, { isMarked: true }, ONE);
  expect(await host().paste("Noor: carry me home\nÅsa: the bells, the bells\n")).toBe(2);
  expect(await host().paste("Noor: carry me home")).toBe(0);
  expect(find("carry me home").name).toBe("Noor");
  const { feeds, tables, media, now } = show.services;
  const store = new CommentStore(show.db, show.services.show.id);
  const again = await CommentHost.open({ store, feeds, tables, media, pictures: NO_PICTURES, now });
  expect(again.list().map(({ words, isHeldBack, isMarked }) => [words, isHeldBack, isMarked])).toEqual(
    host()
      .list()
      .map(({ words, isHeldBack, isMarked }) => [words, isHeldBack, isMarked]),
  );
  expect(await host().set("nothing", { isMarked: true }, ONE)).toMatch(/not there any more/);
  expect(await host().pick("nothing", ONE)).toMatchObject({ sentence: expect.stringMatching(/not there/) });
});

test("what is picked has the picture that its source names: one of the library, one at an address that may be asked, or none", async () => {
  const doc = { ...SOURCE, name: "With pictures" };
  await show.services.feeds.save("faces", 0, doc);
  const rows = [
    ["Ilse", "a picture of the library", "Lamp badge"],
    ["Odd", "one that nobody has", "my dog.jpg"],
    ["Åsa", "one of a server", `${at}/face.png`],
    ["Noor", "one that the server lacks", `${at}/gone.png`],
    ["Brisa", "one of a server that is not asked", "http://192.0.2.7/face.png"],
  ];
  const csv = [["who", "said", "face"], ...rows].map((cells) => cells.join(",")).join("\n");
  await show.services.feeds.upload("faces", "faces.csv", new TextEncoder().encode(csv));
  const { feeds, media } = show.services;
  await host().saveSettings({
    source: { feedId: "faces", name: "who", words: "said", picture: "face" },
    ...{ hiddenWords: [], hidesLinks: true },
  });
  // Nobody is asked for anything before a person picks.
  expect(asked).toBe(0);
  const given: (string | undefined)[] = [];
  for (const [, said = ""] of rows) {
    const { id = "" } =
      host()
        .list()
        .find(({ words }) => words === said) ?? {};
    expect(await host().pick(id, ONE)).toMatchObject({ kind: "done" });
    given.push(feeds.findTable(PICKED_FEED_ID)?.table.rows.at(-1)?.[3]);
  }
  expect(given).toEqual(["Lamp badge", "", "Åsa", "", ""]);
  expect(media.findPicture("Åsa")).toMatchObject({ widthPx: 8 });
  expect(asked).toBe(2);
});

test("there is an end to how many are kept: those that somebody did something with stay", async () => {
  for (let batch = 0; batch < 4; batch++)
    await host().paste(
      Array.from({ length: 1_000 }, (_, i) => `Crowd ${batch}: pasted ${batch} ${i}`).join("\n"),
    );
  const all = host().list();
  expect(all).toHaveLength(3_000);
  expect(all.some(({ words }) => words === "what a night")).toBe(true);
  expect(all.some(({ words }) => words === "word number 8")).toBe(true);
  expect(all.some(({ words }) => words === "word number 9")).toBe(false);
});
