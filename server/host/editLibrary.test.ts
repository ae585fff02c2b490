import { createCanvas, loadImage, Path2D as Path } from "@napi-rs/canvas";
import { afterAll, beforeAll, expect, test } from "vitest";
import { templateSchema } from "../../core/scene/template.ts";
import { mediaNamedBy } from "../../core/scene/templateMedia.ts";
import { MARKS } from "../../designs/marks/marks.ts";
import { type OpenShow, openShow } from "../../test-support/openShow.ts";
import { docOf } from "../store/designStore.ts";
import { usesHere, usesInOtherEvenings } from "./mediaUses.ts";

const ACTOR = "person-under-test";
let show: OpenShow;
beforeAll(async () => {
  show = await openShow(":memory:");
});
afterAll(() => show.close());

const png = (color: string) => {
  const canvas = createCanvas(40, 30);
  const context = canvas.getContext("2d");
  context.fillStyle = color;
  context.fillRect(0, 0, 40, 30);
  return canvas.toBuffer("image/png");
};
const brought = async (id: string, bytes: Uint8Array, name: string) => ({
  id,
  name,
  file: await show.services.media.incoming.hold(bytes),
  poster: new Uint8Array(),
  key: null,
});
const bedTemplate = (id: string, hash: string) =>
  templateSchema.parse({
    kind: "template",
    format: 2,
    id,
    name: id,
    fieldSet: "name",
    canvas: { widthPx: 1920, heightPx: 1080 },
    objects: [
      {
        kind: "picture",
        id: "bed",
        box: { x: 0, y: 0, width: 1920, height: 1080 },
        source: { kind: "media", hash },
      },
    ],
  });

test("a file that is replaced is in every page and template that named it; a draft stays a draft", async () => {
  const { media, library, designs } = show.services;
  const added = await media.add(await brought("bed", png("#c00000"), "bed.png"), 1);
  if ("problem" in added) throw new Error(added.problem);
  const how = { actor: ACTOR, atMs: 1_000 };
  const template = bedTemplate("in-use", added.item.hash);
  await designs.add({ kind: "template", id: "in-use" }, template, { ...how, isDraft: false });
  await designs.add(
    { kind: "template", id: "draft" },
    { ...template, id: "draft" },
    { ...how, isDraft: true },
  );
  const replaced = await library.replace(await brought("bed", png("#00c000"), "another name.png"), ACTOR);
  if ("problem" in replaced) throw new Error(replaced.problem);
  expect(replaced.item).toMatchObject({ id: "bed", info: { name: "bed.png" } });
  expect(replaced.item.hash).not.toBe(added.item.hash);
  const named = (id: string) => {
    const design = designs.find("template", id);
    if (!design) throw new Error(`no template ${id}`);
    const published = design.published && mediaNamedBy(design.published.doc);
    return { now: mediaNamedBy(docOf(design)), published, isDraft: design.draft !== null };
  };
  const { hash } = replaced.item;
  expect(named("in-use")).toEqual({ now: [hash], published: [hash], isDraft: false });
  expect(named("draft")).toEqual({ now: [hash], published: null, isDraft: true });
  // The one that was there can still be drawn: what is on air names it.
  expect(show.services.contents.find(added.item.hash)).toMatchObject({ kind: "media" });

  const wrong = await library.replace(await brought("bed", new TextEncoder().encode("no"), "no.png"), ACTOR);
  expect(wrong).toHaveProperty("problem");
  expect(media.find("bed")?.hash).toBe(hash);
  const gone = await library.replace(await brought("gone", png("#000000"), "x.png"), ACTOR);
  expect(gone).toEqual({ problem: expect.stringMatching(/not in the library any more/) });
});

test("name, folder and tags are kept over a restart, and where it is used is told", async () => {
  const { library, media } = show.services;
  const entry = { name: "Bed, new", folder: "Beds/Autumn", tags: ["red"] };
  expect(await library.describe("bed", entry, ACTOR)).toMatchObject({ folder: "Beds/Autumn", tags: ["red"] });
  expect(await library.describe("no-such", entry, ACTOR)).toBeUndefined();
  await media.load();
  expect(media.find("bed")).toMatchObject({
    info: { name: "Bed, new" },
    folder: "Beds/Autumn",
    tags: ["red"],
  });
  expect(usesHere(show.services).get("bed")).toEqual([
    { kind: "template", templateId: "in-use", name: "in-use" },
    { kind: "template", templateId: "draft", name: "in-use" },
  ]);
  expect(await usesInOtherEvenings(show.services, "bed")).toEqual([]);
});

test("a page of another evening that shows it is told, by the evening", async () => {
  const { editEvenings, evenings, rundown } = show.services;
  const page = rundown.views().find(({ doc }) => doc.kind === "page" && doc.fieldSet === "corner");
  if (page?.doc.kind !== "page") throw new Error("no corner page");
  const doc = { ...page.doc, values: { ...page.doc.values, picture: "bed" } };
  await rundown.edit(
    ACTOR,
    { kind: "changeCue", cueId: page.cueId, doc, baseRevision: page.revision },
    2_000,
  );
  const { name } = evenings.open;
  expect(usesHere(show.services).get("bed")).toContainEqual(
    expect.objectContaining({ kind: "cue", cueId: page.cueId }),
  );
  // A new evening is opened where nothing stands in its way.
  await editEvenings({ kind: "create", fields: { name: "Another", day: "", startsAt: "", endsAt: "" } });
  const other = (await evenings.list()).find((evening) => evening.name === "Another");
  if (other) await editEvenings({ kind: "open", eveningId: other.id });
  expect(await usesInOtherEvenings(show.services, "bed")).toEqual([{ kind: "evening", name, cues: 1 }]);
});

test("a mark becomes a picture of the library, once for each colour", async () => {
  const { library, media } = show.services;
  const first = await library.addMark("sun", "#f4bd68");
  if (!first || "problem" in first) throw new Error("no mark");
  expect(first.item).toMatchObject({
    info: { name: "Sun.png", type: "picture", widthPx: 1024, hasAlpha: true },
    folder: "Marks",
  });
  expect(await library.addMark("sun", "#F4BD68")).toEqual({ item: first.item });
  expect(await library.addMark("no-such", "#ffffff")).toBeUndefined();
  const image = await loadImage(Buffer.from(media.readFile(first.item.info.file) ?? []));
  const canvas = createCanvas(1024, 1024);
  const context = canvas.getContext("2d");
  context.drawImage(image, 0, 0);
  expect([...context.getImageData(512, 512, 1, 1).data]).toEqual([0xf4, 0xbd, 0x68, 255]);
  expect(context.getImageData(5, 5, 1, 1).data[3]).toBe(0);
});

test("every mark is drawn: none is empty, spills over its square, or is another once more", () => {
  expect(MARKS.length).toBeGreaterThanOrEqual(40);
  expect(new Set(MARKS.map(({ path }) => path)).size).toBe(MARKS.length);
  const canvas = createCanvas(120, 120);
  const context = canvas.getContext("2d");
  for (const { id, path } of MARKS) {
    context.clearRect(0, 0, 120, 120);
    context.setTransform(1, 0, 0, 1, 10, 10);
    context.fill(new Path(path));
    context.setTransform(1, 0, 0, 1, 0, 0);
    const { data } = context.getImageData(0, 0, 120, 120);
    let [inside, outside] = [0, 0];
    for (let i = 3; i < data.length; i += 4) {
      if ((data[i] ?? 0) < 128) continue;
      const [x, y] = [((i - 3) / 4) % 120, Math.floor((i - 3) / 4 / 120)];
      if (x < 10 || y < 10 || x >= 110 || y >= 110) outside++;
      else inside++;
    }
    expect([id, inside > 300, outside]).toEqual([id, true, 0]);
  }
});
