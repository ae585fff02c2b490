import { chromium, type Page } from "@playwright/test";
import { RunningShow } from "../e2e/support/runningShow.ts";
import { BROWSER_ARGS } from "./browser.ts";
import { distributionOf, printRow } from "./distribution.ts";
import { few } from "./few.ts";

const OBJECTS = 100;
const OPENED = few(6, 1);
const MOVES = few(120, 6);
const NUDGES = few(20, 3);

/** A template of so many objects in rows, a third of them words. */
function largeTemplate(): string {
  const objects = Array.from({ length: OBJECTS }, (_, i) => {
    const box = { x: 60 + (i % 10) * 180, y: 60 + Math.floor(i / 10) * 98, width: 160, height: 80 };
    const id = `object ${i}`;
    return i % 3 === 0
      ? {
          kind: "text",
          id,
          box,
          words: i % 2 === 0 ? { kind: "field", field: "name" } : { kind: "fixed", text: `Words ${i}` },
          fill: { kind: "solid", color: { token: "words" } },
          minSizePx: 12,
          maxSizePx: 40,
        }
      : { kind: "rectangle", id, box, corners: 12, fill: { kind: "solid", color: { token: "panel" } } };
  });
  return JSON.stringify({
    kind: "template",
    format: 2,
    name: "A hundred",
    fieldSet: "name",
    canvas: { widthPx: 1920, heightPx: 1080 },
    objects,
  });
}

/** The room with a large template: until it is open, while an object is dragged, and until a proof follows. */
export async function benchRoom(): Promise<void> {
  const show = new RunningShow(true);
  await show.start();
  const executablePath = process.env.CHROMIUM_PATH ?? "/usr/bin/chromium";
  const browser = await chromium.launch({ executablePath, args: BROWSER_ARGS });
  const page = await (await browser.newContext({ viewport: { width: 1920, height: 1080 } })).newPage();
  // What the loader of this bench puts into functions is not known to the page.
  await page.addInitScript("globalThis.__name = (f) => f");
  await page.goto(`${show.base}/design`);
  await page.getByText("connected", { exact: true }).waitFor();
  await page.getByLabel("Import a file").setInputFiles({
    name: "large.json",
    mimeType: "application/json",
    buffer: Buffer.from(largeTemplate()),
  });
  const link = page.getByRole("link", { name: /^open ?: A hundred$/ });
  await link.waitFor();
  const address = await link.getAttribute("href");
  const opened: number[] = [];
  for (let i = 0; i < OPENED; i++) {
    await page.getByRole("link", { name: /^open ?: A hundred$/ }).waitFor();
    opened.push(await openedIn(page));
    if (i < OPENED - 1) await page.getByRole("link", { name: "Back to Design" }).click();
  }
  printRow(`room of ${OBJECTS} objects: press to picture`, "ms", distributionOf(opened), "1000");
  await page.goto(`${show.base}${address}`);
  await page.locator("[data-room] canvas").first().waitFor();
  const { frames, proofs } = await dragged(page);
  printRow("an object of them dragged: from frame to frame", "ms", distributionOf(frames), "16.7");
  printRow("a nudge: until the first proof has it", "ms", distributionOf(proofs), "100");
  await browser.close();
  await show.stop();
}

/** From the press of the link to the first painted plate on the canvas, ms. */
async function openedIn(page: Page): Promise<number> {
  const begun = await page.evaluate(() => {
    const link = [...document.querySelectorAll("a")].find(
      ({ textContent }) => textContent === "open: A hundred",
    );
    const at = performance.now();
    link?.click();
    return at;
  });
  await page.locator("[data-room] canvas").first().waitFor();
  return (await page.evaluate(() => performance.now())) - begun;
}

async function dragged(page: Page): Promise<{ readonly frames: number[]; readonly proofs: number[] }> {
  const object = page.locator('[data-object="object 44"]');
  await object.click();
  const box = await object.boundingBox();
  if (!box) throw new Error("object 44 is not on the canvas");
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.evaluate(() => {
    const times: number[] = [];
    Object.assign(window, { times });
    const note = (now: number) => {
      times.push(now);
      requestAnimationFrame(note);
    };
    requestAnimationFrame(note);
  });
  for (let i = 0; i < MOVES; i++) await page.mouse.move(x + Math.sin(i / 9) * 160, y + Math.cos(i / 7) * 90);
  const times = await page.evaluate(() => (window as unknown as { times: number[] }).times);
  await page.mouse.up();
  const frames = times.slice(1).map((at, i) => at - (times[i] as number));
  const proofs: number[] = [];
  for (let i = 0; i < NUDGES; i++)
    proofs.push(
      await page.evaluate(
        () =>
          new Promise<number>((resolve) => {
            const canvas = document.querySelector<HTMLCanvasElement>("section[aria-label=Proofs] canvas");
            if (!canvas) throw new Error("there are no proofs");
            const before = canvas.toDataURL();
            const begun = performance.now();
            const look = () =>
              canvas.toDataURL() === before
                ? requestAnimationFrame(look)
                : resolve(performance.now() - begun);
            requestAnimationFrame(look);
            document.body.dispatchEvent(
              new KeyboardEvent("keydown", {
                key: "ArrowRight",
                code: "ArrowRight",
                shiftKey: true,
                bubbles: true,
              }),
            );
          }),
      ),
    );
  return { frames, proofs };
}
