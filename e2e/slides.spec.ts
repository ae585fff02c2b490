import { writeFileSync } from "node:fs";
import type { Page } from "@playwright/test";
import { zipSync } from "fflate";
import { PNG } from "pngjs";
import { pixel, shoot } from "./support/pixels.ts";
import { RunningShow } from "./support/runningShow.ts";
import { expect, expectCues, openDesk, seqOf, settled, test } from "./support/show.ts";

test.use({ outputWindow: { width: 960, height: 540 } });

/** A PDF of empty pages, put together by hand: its table of what lies where is wrong, as in files that were mended by others. */
function plainPdf(pages: number, more = ""): string {
  const kids = Array.from({ length: pages }, (_, index) => `${index + 3} 0 R`);
  const page = (id: string) =>
    `${id.replace("R", "obj")}<</Type/Page/Parent 2 0 R/MediaBox[0 0 160 90]>>endobj`;
  return [
    "%PDF-1.4",
    "1 0 obj<</Type/Catalog/Pages 2 0 R>>endobj",
    `2 0 obj<</Type/Pages/Kids[${kids.join(" ")}]/Count ${pages}>>endobj`,
    ...kids.map(page),
    `xref\n0 1\n0000000000 65535 f \ntrailer<</Size ${pages + 3}/Root 1 0 R${more}>>\nstartxref\n7\n%%EOF`,
  ].join("\n");
}
/** That the words of it are locked, by no password that anybody has. ISO 32000-1, 7.6.3.2: the standard security handler. */
const LOCK = `/ID[<00><00>]/Encrypt<</Filter/Standard/V 1/R 2/P -4/O<${"5a".repeat(32)}>/U<${"a5".repeat(32)}>>>`;

/** A talk as a browser prints it: three slides, each of one colour with its words. */
async function makePdf(
  page: Page,
  path: string,
  colours: readonly string[] = ["#c02020", "#20c020", "#2020c0"],
): Promise<string> {
  const slide = (color: string, words: string) =>
    `<section style="background:${color}"><p>${words}</p></section>`;
  await page.setContent(
    `<style>@page{size:1280px 720px;margin:0}html,body{margin:0}p{margin:0;padding:200px}
    section{box-sizing:border-box;width:1280px;height:720px;overflow:hidden;font:60px sans-serif}
    section+section{break-before:page}</style>${colours.map((colour, index) => slide(colour, ["Berths on the quay", "Buoys and bells", "Questions"][index] ?? "")).join("")}`,
  );
  await page.pdf({ path, preferCSSPageSize: true, printBackground: true });
  return path;
}

const bring = (page: Page, file: string) => page.getByLabel("Slides or a rundown").setInputFiles(file);

test("a speaker's PDF becomes cues: a picture of each page, its words found by Find, the whole screen filled", async ({
  page,
  show,
  openOutput,
}, info) => {
  const pdf = await makePdf(page, info.outputPath("Harbour talk.pdf"));
  await openDesk(page, show, "prepare");
  const wall = await openOutput(show, 0);
  await bring(page, pdf);
  await expect(page.getByText("3 cues are in the rundown")).toBeVisible();
  await expectCues(page, 45);

  const before = await seqOf(wall);
  await openDesk(page, show);
  await page.keyboard.press("f");
  await page.getByRole("combobox").fill("buoys bells");
  await expect(page.getByRole("option").first()).toContainText("Harbour talk 2");
  await page.keyboard.press("Control+Enter");
  await settled(wall, before + 1);
  // Of the second slide, to the edges of the screen; a picture that is taken as soon as it is here may come a moment later.
  await expect.poll(async () => pixel(await shoot(wall), 480, 400)).toEqual([0x20, 0xc0, 0x20, 255]);
  const shot = await shoot(wall);
  for (const [x, y] of [
    [8, 8],
    [950, 530],
    [480, 400],
  ] as const) {
    const at = (y * shot.width + x) * 4;
    expect([...shot.data.subarray(at, at + 3)], `${x},${y}`).toEqual([0x20, 0xc0, 0x20]);
  }

  await openDesk(page, show, "prepare");
  await page.keyboard.press("Control+z");
  await expectCues(page, 42);
});

test("pictures in a ZIP come in the order of their numbers; what is no talk is told, and nothing is added", async ({
  page,
  show,
}, info) => {
  await openDesk(page, show, "prepare");
  const picture = (grey: number) => {
    const png = new PNG({ width: 64, height: 36 });
    png.data.fill(grey);
    return new Uint8Array(PNG.sync.write(png));
  };
  const zip = info.outputPath("talk.zip");
  writeFileSync(
    zip,
    zipSync({
      "talk/10 end.png": picture(200),
      "talk/2 middle.png": picture(120),
      "talk/1 begin.png": picture(60),
      "talk/notes.txt": new TextEncoder().encode("no picture"),
    }),
  );
  await bring(page, zip);
  await expect(page.getByText("3 cues are in the rundown")).toBeVisible();
  await expect(page.locator("[data-cue]", { hasText: /begin|middle|end/ })).toHaveText([
    /1 begin/,
    /2 middle/,
    /10 end/,
  ]);

  for (const [name, bytes, says] of [
    ["broken.pdf", "%PDF-1.7 and no more", "is no PDF that can be read"],
    ["letter.docx", "hello", "was not taken for slides"],
    ["empty.zip", "PK", "cannot be unpacked"],
    ["locked.pdf", plainPdf(1, LOCK), "is locked with a password"],
  ] as const) {
    const file = info.outputPath(name);
    writeFileSync(file, bytes);
    await bring(page, file);
    await expect(page.getByText(says)).toBeVisible();
    await expectCues(page, 45);
  }
  const mended = info.outputPath("mended.pdf");
  writeFileSync(mended, plainPdf(2));
  await bring(page, mended);
  await expect(page.getByText("2 cues are in the rundown")).toBeVisible();
  await expectCues(page, 47);
});

// ECMA-376: a package with relationships; parts as PresentationML has them.
const RELS = "http://schemas.openxmlformats.org/officeDocument/2006/relationships";
const ns = `xmlns:p="http://schemas.openxmlformats.org/presentationml/2006/main" xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main" xmlns:r="${RELS}"`;
const shape = (kind: string, lines: readonly string[]) =>
  `<p:sp><p:nvSpPr><p:nvPr><p:ph type="${kind}"/></p:nvPr></p:nvSpPr><p:txBody>${lines
    .map(
      (line) => `<a:p><a:r><a:t>${line.slice(0, 3)}</a:t></a:r><a:r><a:t>${line.slice(3)}</a:t></a:r></a:p>`,
    )
    .join("")}</p:txBody></p:sp>`;
const relations = (list: readonly (readonly [id: string, kind: string, target: string])[]) =>
  `<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships">${list
    .map(([id, kind, target]) => `<Relationship Id="${id}" Type="${RELS}/${kind}" Target="${target}"/>`)
    .join("")}</Relationships>`;

const utf8 = (xml: string) => new TextEncoder().encode(xml);

/** A presentation of two slides, the second of which has a picture and notes; in its order they are the other way about. */
function makePresentation(path: string, mark = ""): string {
  const png = new PNG({ width: 32, height: 18 });
  png.data.fill(140);
  writeFileSync(
    path,
    zipSync({
      "ppt/presentation.xml": utf8(
        `<p:presentation ${ns}><p:sldIdLst><p:sldId id="256" r:id="rId2"/><p:sldId id="257" r:id="rId1"/></p:sldIdLst></p:presentation>`,
      ),
      "ppt/_rels/presentation.xml.rels": utf8(
        relations([
          ["rId1", "slide", "slides/slide1.xml"],
          ["rId2", "slide", "slides/slide2.xml"],
        ]),
      ),
      "ppt/slides/slide1.xml": utf8(
        `<p:sld ${ns}>${shape("title", ["Berths &amp; buoys"])}<p:pic><a:blip r:embed="rId1"/></p:pic></p:sld>`,
      ),
      "ppt/slides/_rels/slide1.xml.rels": utf8(
        relations([
          ["rId1", "image", "../media/image1.png"],
          ["rId2", "notesSlide", "../notesSlides/notesSlide1.xml"],
        ]),
      ),
      "ppt/notesSlides/notesSlide1.xml": utf8(
        `<p:notes ${ns}>${shape("body", ["Wait for the bell"])}</p:notes>`,
      ),
      "ppt/slides/slide2.xml": utf8(
        `<p:sld ${ns}>${shape("ctrTitle", ["Harbour plan"])}${shape("body", ["First the quay", "Then the slip"])}${shape("sldNum", ["7"])}</p:sld>`,
      ),
      "ppt/media/image1.png": new Uint8Array(PNG.sync.write(png)),
      "docProps/mark.txt": [utf8(mark), { level: 0 }],
      // A macro is never looked at.
      "ppt/vbaProject.bin": utf8("Sub AutoOpen()"),
    }),
  );
  return path;
}

test("a presentation gives its words, notes and pictures in the order of its slides, and says that its look stays behind", async ({
  page,
  show,
}, info) => {
  const file = makePresentation(info.outputPath("Harbour.pptm"));
  await openDesk(page, show, "prepare");
  await bring(page, file);
  await expect(page.getByText(/words and pictures of 2 slides.*save it as PDF/)).toBeVisible();
  await expectCues(page, 45);
  const titles = page.locator("[data-cue]", { hasText: /Harbour plan|Berths & buoys/ });
  await expect(titles.nth(0)).toContainText("Harbour plan");
  await expect(titles.nth(0)).toContainText("Then the slip");
  await expect(titles).toHaveCount(3);
  // What the speaker wrote beside it is found, as any note is.
  await page.keyboard.press("f");
  await page.getByRole("combobox").fill("wait for the bell");
  await expect(page.getByRole("option").first()).toContainText("Berths & buoys");
  await page.keyboard.press("Escape");

  const broken = info.outputPath("broken.pptx");
  writeFileSync(broken, zipSync({ "ppt/presentation.xml": utf8('<!DOCTYPE x [<!ENTITY a "b">]><x/>') }));
  await bring(page, broken);
  await expect(page.getByText("is no presentation that can be read")).toBeVisible();
  await expectCues(page, 45);
});

test("where a program is named that makes PDF of slides, they come as they were made, with their notes; one that fails, or macros, leave the words", async ({
  page,
}, info) => {
  const pdf = await makePdf(page, info.outputPath("made.pdf"), ["#20c020", "#2020c0"]);
  // It stands in for the program of a venue: it makes a PDF of what is called “good”.
  const program = info.outputPath("make.mjs");
  writeFileSync(
    program,
    `import { copyFileSync, readFileSync } from "node:fs";
const [file, folder] = process.argv.slice(2);
if (!file.endsWith(".pptx") || readFileSync(file).length === 0) throw new Error("no presentation");
if (readFileSync(file).includes("BROKEN")) { console.error("cannot read it"); process.exit(3); }
copyFileSync(${JSON.stringify(pdf)}, folder + "/slides.pdf");`,
  );
  const show = new RunningShow(true, {
    args: ["--slide-converter", `${process.execPath} "${program}" {in} {out}`],
  });
  await show.start();
  try {
    await openDesk(page, show, "prepare");
    await bring(page, makePresentation(info.outputPath("Quay.pptx")));
    await expect(page.getByText("2 cues are in the rundown")).toBeVisible();
    await expectCues(page, 44);
    await page.keyboard.press("f");
    await page.getByRole("combobox").fill("wait for the bell");
    await expect(page.getByRole("option").first()).toContainText("Quay 2");
    await page.keyboard.press("Escape");

    await bring(page, makePresentation(info.outputPath("Quay.pptm")));
    await expect(page.getByText(/It may have macros.*words and pictures of 2 slides/)).toBeVisible();
    await expectCues(page, 47);
    await bring(page, makePresentation(info.outputPath("Slip.pptx"), "BROKEN"));
    await expect(
      page.getByText(/made none \(cannot read it\).*words and pictures of 2 slides/),
    ).toBeVisible();
    await expectCues(page, 50);
  } finally {
    await show.stop();
  }
});
