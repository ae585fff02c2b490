import { renameSync, writeFileSync } from "node:fs";
import { mkdir } from "node:fs/promises";
import { join } from "node:path";
import { chromium } from "@playwright/test";
import { bindingSchema } from "../core/feeds/binding.ts";
import { feedDocSchema } from "../core/feeds/feed.ts";
import { pageCue } from "../core/rundown/cueDoc.ts";
import { lanternEvening } from "../demo/lanternEvening.ts";
import { fading } from "../designs/moves.ts";
import { box, onCanvas, solid, table } from "../designs/parts.ts";
import type { Seed } from "../designs/seed.ts";
import { RunningShow } from "../e2e/support/runningShow.ts";
import { deskToken } from "../test-support/deskPage.ts";
import { openShow } from "../test-support/openShow.ts";
import { mulberry } from "../test-support/random.ts";
import { BROWSER_ARGS } from "./browser.ts";
import { Client, until } from "./client.ts";
import { distributionOf, printRow, printValue } from "./distribution.ts";
import { few } from "./few.ts";
import { type Frames, watchFrames } from "./frames.ts";

const ROWS = 20;
const NUMBERS = Array.from({ length: 10 }, (_, i) => `c${i + 1}`);
const COLUMNS = ["name", ...NUMBERS];
const CHANGES_PER_S = 10;
const SECONDS = few(20, 2);
const OUTPUTS = few(5, 2);
const FEED_FILE = "cells.csv";
const CUE = "bench-cells";

/** A page of 200 cells on five outputs: their frames while all cells change ten times a second, beside the same page still. */
export async function benchLiveCells(): Promise<void> {
  const show = new RunningShow(true);
  const content = await fill(show);
  await show.start();
  const desk = new Client(show.base, await deskToken(show.base), "bench-cells-desk");
  await until(() => desk.welcomes === 1 && desk.next !== undefined);
  const target = { cueId: CUE, content, step: { occurrence: "page", unit: 0 } };
  desk.say({
    kind: "command",
    command: { kind: "take", id: "bench-cells-take", how: "cut", builtOn: desk.airRevision, target },
  });
  await until(() => desk.answers.has("bench-cells-take"));
  const executablePath = process.env.CHROMIUM_PATH ?? "/usr/bin/chromium";
  const browser = await chromium.launch({ executablePath, args: BROWSER_ARGS });
  const outputs = await Promise.all(
    Array.from({ length: OUTPUTS }, async (_, i) => {
      const context = await browser.newContext({ viewport: { width: 1920, height: 1080 } });
      const page = await context.newPage();
      await page.goto(show.outputLink(i % 2));
      await page.waitForSelector("main[data-ready=yes]");
      return page;
    }),
  );
  const [first] = outputs;
  if (!first) throw new Error("no output is open");
  await first.waitForTimeout(4_000);
  const still = await watchFrames(outputs, SECONDS);
  const from = performance.now();
  let saves = 0;
  const changing = setInterval(() => save(show, ++saves), 1_000 / CHANGES_PER_S);
  const moving = await watchFrames(outputs, SECONDS);
  clearInterval(changing);
  const savesPerS = saves / ((performance.now() - from) / 1_000);
  print("still", still);
  print(`all changed ${savesPerS.toFixed(1)} times a second`, moving);
  printValue(
    "ratio: frames that came, changing / still",
    "×",
    moving.intervals.length / still.intervals.length,
    "",
  );
  desk.end();
  await browser.close();
  await show.stop();
}

function print(what: string, { intervals, missedPercent }: Frames): void {
  const cells = ROWS * NUMBERS.length;
  printRow(
    `${cells} cells on ${OUTPUTS} outputs 1920×1080, ${what}: frame interval`,
    "ms",
    distributionOf(intervals),
    "16.7",
  );
  printValue(`… frames missed`, "%", missedPercent, "beside still");
}

/** The demo, whose tables show 20 rows of 11 columns at once. */
function seedWithCells(): Seed {
  const seed = lanternEvening();
  const cells = onCanvas(1920, 1080)("Cells", "standings", [
    table(
      "rows",
      "rows",
      box(60, 50, 1800, 980),
      COLUMNS.map((_, i) => (i === 0 ? [2, "start"] : [1, "end"])),
      { min: 18, max: 30 },
      { fill: solid("onPanel"), rowHeightPx: 44, rowGapPx: 5, motion: fading(300) },
    ),
  ]);
  const outfits = seed.show.outfits.map((outfit) => ({
    ...outfit,
    templates: outfit.templates.map((each) => (each.fieldSet === "standings" ? cells : each)),
  }));
  return { ...seed, show: { ...seed.show, outfits } };
}

/** @returns the content of the page */
async function fill(show: RunningShow): Promise<string> {
  const feedFolder = `${show.databaseFile}.feeds`;
  await mkdir(feedFolder, { recursive: true });
  save(show, 0);
  const { services, close } = await openShow(show.databaseFile, { feedFolder, seed: seedWithCells() });
  await services.feeds.save(
    "bench-cells",
    0,
    feedDocSchema.parse({
      ...{ name: "Cells", source: { kind: "watched", path: FEED_FILE }, format: { kind: "csv" } },
    }),
  );
  await until(() => services.feeds.findTable("bench-cells") !== undefined);
  const rows = bindingSchema.parse({ kind: "rows", feedId: "bench-cells", columns: COLUMNS, mostRows: ROWS });
  await services.rundown.edit(
    "bench-person",
    {
      kind: "addCue",
      cueId: CUE,
      afterId: services.rundown.views().at(-1)?.cueId ?? null,
      doc: pageCue({ fieldSet: "standings", values: { heading: "Cells", rows: "" }, bindings: { rows } }),
    },
    1,
  );
  const ready = services.rundown.ready().find(({ cueId }) => cueId === CUE);
  if (!ready) throw new Error("the page of the bench cannot be taken");
  await services.feeds.close();
  await close();
  return ready.hash;
}

/** Every cell is another one than in the save before. */
function save(show: RunningShow, turn: number): void {
  const random = mulberry(turn + 1);
  const path = join(`${show.databaseFile}.feeds`, FEED_FILE);
  const lines = Array.from({ length: ROWS }, (_, row) =>
    [`Street ${row + 1}`, ...NUMBERS.map(() => 100 + Math.floor(random() * 900))].join(),
  );
  writeFileSync(`${path}.part`, [COLUMNS.join(), ...lines, ""].join("\n"));
  renameSync(`${path}.part`, path);
}
