import { readFileSync } from "node:fs";
import { createCanvas } from "@napi-rs/canvas";
import { strToU8, zipSync } from "fflate";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { type Template, templateSchema } from "../../core/scene/template.ts";
import { mediaNamedBy } from "../../core/scene/templateMedia.ts";
import { type OpenShow, openShow } from "../../test-support/openShow.ts";
import { packDesign } from "../files/packDesign.ts";
import { docOf } from "../store/designStore.ts";
import { bringDesign } from "./bringDesign.ts";
import { designToPack } from "./exportDesign.ts";

const FONT = "node_modules/@expo-google-fonts/noto-sans-thai/700Bold/NotoSansThai_700Bold.ttf";
const ACTOR = "person-under-test";
const HOW = { actor: ACTOR, atMs: 1_000, isDraft: false };

let here: OpenShow;
let there: OpenShow;
beforeAll(async () => {
  [here, there] = await Promise.all([openShow(":memory:"), openShow(":memory:")]);
});
afterAll(() => Promise.all([here.close(), there.close()]));

const png = (color: string) => {
  const canvas = createCanvas(64, 36);
  const context = canvas.getContext("2d");
  context.fillStyle = color;
  context.fillRect(0, 0, 64, 36);
  return canvas.toBuffer("image/png");
};
const addPicture = async ({ services: { media } }: OpenShow, name: string, color: string) => {
  const file = await media.incoming.hold(png(color));
  const added = await media.add(
    { id: `${name}-${color}`, name, file, poster: new Uint8Array(), key: null },
    1,
  );
  if ("problem" in added) throw new Error(added.problem);
  return added.item.hash;
};
const bring = async (show: OpenShow, bytes: Uint8Array) => {
  const file = await show.services.media.incoming.hold(bytes);
  return bringDesign(show.services, { file, outfitId: "full", replaces: null, actor: ACTOR });
};
const exported = async (show: OpenShow, kind: "template" | "style", id: string) => {
  const wanted = designToPack(show.services, kind, id);
  if ("problem" in wanted) throw new Error(wanted.problem);
  return packDesign(wanted);
};
const named = (show: OpenShow, name: string): Template => {
  const design = show.services.designs.list("template").find(({ published }) => published?.doc.name === name);
  if (!design) throw new Error(`no template ${name}`);
  return docOf(design);
};
/** All that a refused file must leave as it is. */
const kept = ({ services: { designs, media, fonts } }: OpenShow) => ({
  designs: (["template", "fieldSet", "outfit", "style"] as const).map((kind) =>
    designs.list(kind).map(({ id, revision }) => [id, revision]),
  ),
  media: media.list().map(({ id }) => id),
  fonts: fonts.list().map(({ id }) => id),
});

describe("templates and house styles as files", () => {
  test("a template comes to another show with its picture, its fields and the fonts it is set in", async () => {
    const { designs, addFont, media, house, wearStyle } = here.services;
    const hash = await addPicture(here, "bed.png", "#c04000");
    await addPicture(there, "bed.png", "#004080");
    const font = await addFont("thai-bold", "Thai bold.ttf", await media.incoming.hold(readFileSync(FONT)));
    if ("problem" in font) throw new Error(font.problem);
    const { style } = house;
    const words = { ...style.fonts.words, regular: [font.font.id], bold: [], italic: [], boldItalic: [] };
    const own = { ...style, name: "Own", fonts: { ...style.fonts, words } };
    await designs.add({ kind: "style", id: "own" }, own, HOW);
    await wearStyle({ id: "own", hash: designs.find("style", "own")?.published?.hash ?? "", style: own });
    const set = designs.find("fieldSet", "name")?.published?.doc;
    if (!set) throw new Error("no name strap");
    await designs.add({ kind: "fieldSet", id: "boat" }, { ...set, id: "boat", name: "Boat" }, HOW);
    const template = templateSchema.parse({
      kind: "template",
      format: 2,
      id: "boats",
      name: "Boats",
      fieldSet: "boat",
      canvas: { widthPx: 1920, heightPx: 1080 },
      objects: [
        {
          kind: "picture",
          id: "bed",
          box: { x: 0, y: 0, width: 1920, height: 1080 },
          source: { kind: "media", hash },
        },
        {
          kind: "text",
          id: "words",
          box: { x: 100, y: 800, width: 900, height: 100 },
          words: { kind: "field", field: "name" },
          fill: { kind: "solid", color: { token: "words" } },
          minSizePx: 20,
          maxSizePx: 60,
        },
      ],
    });
    await designs.add({ kind: "template", id: "boats" }, template, HOW);

    const packed = await exported(here, "template", "boats");
    expect(await bring(there, packed)).toEqual({ kind: "template", name: "Boats", problems: [] });
    const brought = named(there, "Boats");
    const [broughtHash = ""] = mediaNamedBy(brought);
    const info = there.services.contents.find(broughtHash);
    // The other show has a picture of that name already, which is another one: both are there.
    expect(info).toMatchObject({ kind: "media", name: "bed 2.png" });
    expect(
      info?.kind === "media" &&
        Buffer.compare(there.services.media.readFile(info.file) ?? png("#000000"), png("#c04000")),
    ).toBe(0);
    expect(there.services.designs.find("fieldSet", "boat")?.published?.doc.name).toBe("Boat");
    expect(there.services.fonts.list().map(({ name }) => name)).toEqual(["Thai bold.ttf"]);
    // The same file again adds no second picture and no second font.
    const before = kept(there);
    expect(await bring(there, packed)).toEqual({ problem: expect.stringMatching(/called “Boats” already/) });
    expect(kept(there)).toEqual(before);
  });

  test("a house style comes with its fonts, under a name of its own, and is worn by nobody", async () => {
    const packed = await exported(here, "style", "own");
    const worn = there.services.house.styleId;
    expect(await bring(there, packed)).toEqual({ kind: "style", name: "Own", problems: [] });
    expect(await bring(there, packed)).toEqual({ kind: "style", name: "Own 2", problems: [] });
    const { designs, fonts, house } = there.services;
    expect(house.styleId).toBe(worn);
    const style = designs.list("style").find(({ published }) => published?.doc.name === "Own");
    expect(style?.published?.doc.fonts.words?.regular).toEqual([fonts.list()[0]?.id]);
  });

  test("the house style of the guide can be read", async () => {
    const file = readFileSync("docs/formats/quay-at-dusk.style.json");
    expect(await bring(there, file)).toEqual({ kind: "style", name: "Quay at dusk", problems: [] });
  });

  test("a font that its maker forbids to carry stays behind, and its absence is told", async () => {
    const bytes = Buffer.from(readFileSync(FONT));
    const entry = bytes.indexOf("OS/2", 0, "latin1");
    const at = bytes.readUInt32BE(entry + 8) + 8;
    bytes.writeUInt16BE(2, at);
    // The sum of a table is of its 32-bit words; the field is the low half of one.
    bytes.writeUInt32BE((bytes.readUInt32BE(entry + 4) + 2 * (at % 4 === 2 ? 1 : 0x10000)) >>> 0, entry + 4);
    const { addFont, designs, media, house } = here.services;
    const font = await addFont("kept-back", "Kept.ttf", await media.incoming.hold(bytes));
    if ("problem" in font) throw new Error(font.problem);
    expect(font.font.embedding).toBe("restricted");
    const { fonts } = house.style;
    const typeface = { regular: [font.font.id], bold: [], italic: [], boldItalic: [] };
    const style = {
      ...house.style,
      name: "Kept back",
      fonts: { ...fonts, titles: typeface, words: typeface },
    };
    await designs.add({ kind: "style", id: "kept" }, style, HOW);
    expect(await bring(there, await exported(here, "style", "kept"))).toEqual({
      kind: "style",
      name: "Kept back",
      problems: [expect.stringMatching(/“added-kept-back” is not here.*another/)],
    });
  });

  test("what is broken, hostile or not meant for it is refused in a sentence, and nothing is changed", async () => {
    const before = kept(there);
    const template = JSON.stringify({ ...named(here, "Boats"), name: "Bad", fieldSet: "name" });
    const zip = (files: Record<string, Uint8Array>) => zipSync(files, { level: 6 });
    const bomb = zip({ "template.json": strToU8(template), "media/a.png": new Uint8Array(90 * 1024 * 1024) });
    const bad: readonly (readonly [Uint8Array, RegExp])[] = [
      [strToU8("no JSON"), /not JSON.*Nothing was changed/],
      [strToU8('{"kind":"style"}'), /house style cannot be read.*Nothing was changed/],
      [
        strToU8(JSON.stringify({ kind: "template", objects: [], pad: "x".repeat(1_100_000) })),
        /larger than 1 MB/,
      ],
      [zip({ "readme.txt": strToU8("hello") }), /no template\.json.*Nothing was brought in/],
      [zip({ "template.json": strToU8(template), "pack.json": strToU8("{") }), /pack\.json cannot be read/],
      [
        zip({
          "template.json": strToU8(template),
          "pack.json": strToU8(JSON.stringify({ format: 1, media: [{ name: "x", file: "../../show.db" }] })),
        }),
        /pack\.json cannot be read/,
      ],
      [bomb, /more than is safe/],
      [Buffer.concat([Buffer.from("PK\u0003\u0004"), Buffer.alloc(400, 7)]), /not a whole ZIP/],
      [strToU8(JSON.stringify({ ...JSON.parse(template), fieldSet: "gone" })), /which no page has/],
    ];
    for (const [bytes, sentence] of bad)
      expect(await bring(there, bytes)).toEqual({ problem: expect.stringMatching(sentence) });
    expect(kept(there)).toEqual(before);
  });

  test("a picture in a pack that is none is left out and named; the template comes", async () => {
    const template = { ...named(here, "Boats"), id: "half", name: "Half", fieldSet: "name" };
    const packed = zipSync({
      "template.json": strToU8(
        JSON.stringify({
          ...template,
          objects: [{ ...template.objects[0], source: { kind: "library", name: "no.png" } }],
        }),
      ),
      "pack.json": strToU8(JSON.stringify({ format: 1, media: [{ name: "no.png", file: "media/no.png" }] })),
      "media/no.png": strToU8("<svg onload=alert(1)>"),
    });
    expect(await bring(there, packed)).toEqual({
      kind: "template",
      name: "Half",
      problems: [
        expect.stringMatching(/Nothing was added/),
        expect.stringMatching(/nothing called “no\.png”/),
      ],
    });
  });
});
