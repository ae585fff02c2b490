import { createCanvas } from "@napi-rs/canvas";
import { PNG } from "pngjs";
import { EXHIBITS } from "../app/gallery/exhibits.ts";
import { composeSlot } from "../core/compose/compose.ts";
import { placementsAt } from "../core/compose/placements.ts";
import { layOut } from "../core/scene/layOut.ts";
import { FALLBACK_FONTS } from "../core/text/fontList.ts";
import { prepareText } from "../core/text/prepare.ts";
import { setLines } from "../core/text/setLines.ts";
import { wrapLines } from "../core/text/wrap.ts";
import { HARBOUR_LAMP } from "../designs/houseStyles.ts";
import * as band from "../designs/templates/band.ts";
import { paintPicture } from "../painters/paint.ts";
import { loadShaper } from "../server/fonts/shippedFonts.ts";
import { contextOf, serverPaintKit } from "../server/stills/serverCanvas.ts";
import { flat } from "../test-support/pages.ts";
import { LAYER_ROUNDING, largestDifference, shoot } from "./support/pixels.ts";
import { expect, goTo, openDesk, output, seqOf, settled, takeSteps, test } from "./support/show.ts";

const WORDS: Readonly<Record<string, { font: string; words: string }>> = {
  Latin: {
    font: "literata-500",
    words: "office affable lamp Tarrow AVATAR harbour naïve Ærø fjord window-sill 1909 flügel quay,",
  },
  Cyrillic: {
    font: "literata-500",
    words: "фонарь гавань лодка вода ветер сеть огонь причал море тихая ночь звезда",
  },
  Arabic: { font: "noto-arabic-500", words: "سلام مصباح ميناء قارب ماء ريح شبكة نار رصيف بحر ليلة نجمة" },
  Hebrew: { font: "noto-hebrew-500", words: "שלום מנורה נמל סירה מים רוח רשת אש רציף ים לילה כוכב" },
  Devanagari: {
    font: "noto-devanagari-500",
    words: "दीपक बंदरगाह नाव पानी हवा जाल अग्नि घाट समुद्र रात्रि तारा क्षितिज",
  },
};

test("widths of 250 strings in five scripts are Chromium's own, to half a pixel or 0.2 %", async ({
  page,
  show,
}) => {
  const shaper = await loadShaper();
  const cases = Object.entries(WORDS).flatMap(([script, { font, words }]) => {
    const list = words.split(" ");
    return Array.from({ length: 50 }, (_, i) => ({
      script,
      font,
      text: Array.from({ length: 1 + (i % 7) }, (_w, k) => list[(i * 5 + k * 3) % list.length]).join(" "),
      sizePx: [24, 40.25, 61.5, 96, 132.75][i % 5] as number,
    }));
  });
  await page.goto(`${show.base}/run`);
  const theirs = await page.evaluate(async (list) => {
    for (const font of new Set(list.map((c) => c.font))) {
      const face = new FontFace(font, `url(/fonts/${font})`);
      document.fonts.add(await face.load());
    }
    const context = document.createElement("canvas").getContext("2d");
    if (!context) throw new Error("no canvas");
    context.textRendering = "geometricPrecision";
    return list.map(({ font, text, sizePx }) => {
      context.font = `${sizePx}px "${font}"`;
      return context.measureText(text).width;
    });
  }, cases);
  expect(cases).toHaveLength(250);
  const wrong = cases.flatMap(({ script, font, text, sizePx }, i) => {
    const paragraphs = prepareText(text, [font], shaper);
    const [line] = setLines(paragraphs, wrapLines(paragraphs, Number.POSITIVE_INFINITY), sizePx, shaper);
    const ours = line?.widthPx ?? 0;
    const width = theirs[i] as number;
    return Math.abs(ours - width) <= Math.max(0.5, width * 0.002)
      ? []
      : [`${script} ${text} ${sizePx}: ${ours} / ${width}`];
  });
  expect(wrong).toEqual([]);
});

test("the server's painter and the window's give the same plates", async ({ page, show, openOutput }) => {
  const shaper = await loadShaper();
  await openDesk(page, show);
  const stream = await openOutput(show, 1);
  /** Every plate on screen: piece id → picture. */
  const collect = async () => {
    const found = await stream.evaluate(() =>
      [...document.querySelectorAll<HTMLCanvasElement>("canvas[data-piece]")].map(
        (canvas) => [canvas.dataset.piece ?? "", canvas.toDataURL("image/png")] as const,
      ),
    );
    return found.map(
      ([piece, url]) => [piece, PNG.sync.read(Buffer.from(url.split(",")[1] ?? "", "base64"))] as const,
    );
  };
  // The strap leaves after eight seconds: it is collected as soon as it stands.
  await takeSteps(page, stream, 4);
  const plates = await collect();
  await takeSteps(page, stream, 1);
  plates.push(...(await collect()));
  const HD = { widthPx: 1920, heightPx: 1080 };
  const resources = { shaper, fallbackFonts: FALLBACK_FONTS };
  const pages = [
    layOut(band.name, { name: "Ilse Tarrow", role: "net mender" }, HARBOUR_LAMP, HD, resources),
    layOut(
      band.lyrics,
      { words: "The tide has gone to fetch the moon,\nthe slip is dark with rain;", credit: "" },
      HARBOUR_LAMP,
      HD,
      resources,
    ),
  ];
  const largest: Record<string, number> = {};
  for (const [slot, { parts }] of pages.entries()) {
    for (const { objectId, content } of parts) {
      if (content.kind !== "plate" && content.kind !== "shape")
        throw new Error(`${objectId} is a ${content.kind}`);
      const { picture } = content.plate;
      const { width, height } = picture.bounds;
      const canvas = createCanvas(width, height);
      const context = canvas.getContext("2d");
      paintPicture(contextOf(canvas), picture, 1, serverPaintKit(shaper));
      const ours = context.getImageData(0, 0, width, height).data;
      const layer = slot === 0 ? "titles" : "words";
      const plate = plates.findLast(
        ([piece]) => piece.startsWith(`${layer}@`) && piece.includes(`/${objectId}/`),
      );
      if (!plate) throw new Error(`no plate of ${layer}/${objectId} was on screen`);
      const [, theirs] = plate;
      expect([theirs.width, theirs.height]).toEqual([width, height]);
      let difference = 0;
      // As they are composed: a colour counts by its alpha.
      const composed = (data: ArrayLike<number>, i: number) =>
        i % 4 === 3
          ? (data[i] as number)
          : Math.round(((data[i] as number) * (data[i - (i % 4) + 3] as number)) / 255);
      for (let i = 0; i < ours.length; i++)
        difference = Math.max(difference, Math.abs(composed(ours, i) - composed(theirs.data, i)));
      largest[`${layer}/${objectId}`] = difference;
    }
  }
  // Reading pixels back rounds half-clear ones by up to 1; blurred shadows are allowed 1 more.
  for (const [part, difference] of Object.entries(largest))
    expect(difference, part).toBeLessThanOrEqual(/bar|panel/.test(part) ? 2 : 1);
  expect(Object.keys(largest)).toHaveLength(6);
});

test("every object of the gallery is the same from the server's painter and the window's", async ({
  page,
  show,
}) => {
  const shaper = await loadShaper();
  await page.goto(`${show.base}/gallery`);
  // The window against a worker: the view says it itself.
  await expect(page.getByText(/largest difference 0 of 255/)).toBeVisible();
  // Painters agree at output size: every picture is shown at its own.
  await page.addStyleTag({
    content: "main > .grid { grid-template-columns: 190px repeat(4, 640px) !important }",
  });
  const atMs = 4_000;
  const largest: Record<string, { difference: number; share: number }> = {};
  for (const { name, template, values } of EXHIBITS) {
    const picture = page.getByRole("img", { name: `${name} at ${atMs} ms`, exact: true });
    const shown = await picture.evaluate((element) => ({
      widthPx: Math.round(element.getBoundingClientRect().width * devicePixelRatio),
      plates: [...element.querySelectorAll<HTMLCanvasElement>("canvas[data-piece]")].map(
        (canvas) => [canvas.dataset.piece ?? "", canvas.toDataURL("image/png")] as const,
      ),
    }));
    const output = template.canvas;
    expect(shown.widthPx).toBe(output.widthPx);
    const laidOut = layOut(template, values, HARBOUR_LAMP, output, {
      shaper,
      fallbackFonts: FALLBACK_FONTS,
      timeZone: "Europe/Lisbon",
    });
    const step = { cueId: "picture", content: "0".repeat(64), step: { occurrence: "page", unit: 0 } };
    const moment = {
      startAtMs: 0,
      sinceMs: 0,
      page: step,
      how: "animated" as const,
      endsAtMs: null,
      lastsMs: 10_000,
      effectMs: null,
    };
    const pieces = composeSlot([moment], "page0", () => ({ templateHash: "one", laidOut }));
    let difference = 0;
    let compared = 0;
    let samples = 0;
    let apart = 0;
    for (const placement of flat(placementsAt({ pieces }, atMs, output))) {
      if (placement.kind !== "plate" && placement.kind !== "drawn") continue;
      const { id } = placement;
      const picture = placement.kind === "plate" ? placement.plate.picture : placement.picture;
      const url = shown.plates.find(([piece]) => piece === id)?.[1];
      if (!url) throw new Error(`${name}: no plate ${id} in the window`);
      const theirs = PNG.sync.read(Buffer.from(url.split(",")[1] ?? "", "base64"));
      const canvas = createCanvas(theirs.width, theirs.height);
      paintPicture(contextOf(canvas), picture, 1, serverPaintKit(shaper));
      const ours = canvas.getContext("2d").getImageData(0, 0, theirs.width, theirs.height).data;
      for (let i = 0; i < ours.length; i += 4) {
        const [a, b] = [(ours[i + 3] as number) / 255, (theirs.data[i + 3] as number) / 255];
        for (let channel = 0; channel < 4; channel++) {
          const apartBy =
            channel === 3
              ? Math.abs(a - b) * 255
              : Math.abs((ours[i + channel] as number) * a - (theirs.data[i + channel] as number) * b);
          samples++;
          if (apartBy > 2.5) apart++;
          difference = Math.max(difference, apartBy);
        }
      }
      compared++;
    }
    expect([name, compared > 0 || name.startsWith("in a time window")]).toEqual([name, true]);
    largest[name] = {
      difference: Math.round(difference * 10) / 10,
      share: samples > 0 ? apart / samples : 0,
    };
  }
  // Equal to what reading half-clear pixels back takes (2.5), but for some edges that lie on their own shadow: two
  // builds of one rasteriser round them apart by up to 8, at fewer than one sample in two hundred.
  const wrong = Object.entries(largest).filter(
    ([, { difference, share }]) => difference > 8 || share > 0.005,
  );
  expect(wrong).toEqual([]);
  const rough = Object.entries(largest).filter(([, { difference }]) => difference > 2.5);
  expect(rough.length, JSON.stringify(rough)).toBeLessThanOrEqual(6);
});

test("words whose font comes late are the same laid out beside an open window and in one opened afterwards", async ({
  page,
  emptyShow,
  openOutput,
}) => {
  await openDesk(page, emptyShow, "prepare");
  const wall = await openOutput(emptyShow, 0);
  const fonts = new Set<string>();
  wall.on("request", (request) => fonts.add(new URL(request.url()).pathname));
  const box = page.getByRole("textbox", { name: /Add to the rundown/ });
  await box.fill("はなうみ かもめ, 灯台の守り");
  await box.press("Enter");
  await expect(page.locator("[data-cue]")).toHaveCount(1);
  await expect(output(wall)).toHaveAttribute("data-preloaded", /page/);
  expect([...fonts]).toContainEqual(expect.stringContaining("sawarabi-400"));
  await goTo(page, "Run");
  await takeSteps(page, wall, 1);
  await expect(page.locator("[data-mark=air]", { hasText: "はなうみ" })).toBeVisible();
  const seq = await seqOf(wall);
  const after = await openOutput(emptyShow, 0);
  await settled(after, seq);
  expect(largestDifference(await shoot(wall), await shoot(after))).toBeLessThanOrEqual(LAYER_ROUNDING);
});
