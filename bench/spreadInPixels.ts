import { type CDPSession, chromium, type Page } from "@playwright/test";
import { PNG } from "pngjs";
import { largestDifference } from "../e2e/support/pixels.ts";
import { RunningShow } from "../e2e/support/runningShow.ts";
import { deskToken } from "../test-support/deskPage.ts";
import { BROWSER_ARGS } from "./browser.ts";
import { Client, until } from "./client.ts";
import { distributionOf, printRow } from "./distribution.ts";
import { few } from "./few.ts";

const CUTS = few(60, 8);
const FIRST_CUTS = 5;
const BETWEEN_MS = 500;
/** Of 255: what a picture of another step differs by somewhere, and the same picture encoded again does not. */
const OTHER_PICTURE = 24;

interface Frame {
  /** Wall-clock time at which the browser handed the frame out, ms. */
  readonly atMs: number;
  readonly png: string;
}

/** Every composed frame of a page, small and without loss. */
async function record(page: Page): Promise<Frame[]> {
  const frames: Frame[] = [];
  const session: CDPSession = await page.context().newCDPSession(page);
  session.on("Page.screencastFrame", ({ data, metadata, sessionId }) => {
    frames.push({ atMs: (metadata.timestamp ?? Number.NaN) * 1_000, png: data });
    void session.send("Page.screencastFrameAck", { sessionId }).catch(() => undefined);
  });
  await session.send("Page.startScreencast", { format: "png", maxWidth: 640, maxHeight: 180 });
  return frames;
}

/** When each half of the recording first showed another picture after a time; nothing when one did not. */
function firstOthers(frames: readonly Frame[], atMs: number): number[] {
  const read = ({ png }: Frame) => PNG.sync.read(Buffer.from(png, "base64"));
  const before = frames.findLast((frame) => frame.atMs < atMs);
  if (!before) return [];
  const known = read(before);
  const after = frames.filter((frame) => frame.atMs >= atMs && frame.atMs < atMs + BETWEEN_MS);
  const pictures = after.map(read);
  const width = Math.floor(known.width / 2);
  return [0, width].flatMap((x) => {
    const area = { x, y: 0, width, height: known.height };
    const at = pictures.findIndex((picture) => largestDifference(known, picture, area) > OTHER_PICTURE);
    return at < 0 ? [] : [(after[at] as Frame).atMs];
  });
}

/**
 * The spread between two outputs as their pixels show it. Both stand in one page, in frames of different sites, which the browser
 * draws in a process each, as it does windows; the page is recorded, and of each cut the first frame counts in which either half
 * is another picture. The takes come from a desk without a window.
 */
export async function benchSpreadInPixels(): Promise<void> {
  const show = new RunningShow(true);
  await show.start();
  const executablePath = process.env.CHROMIUM_PATH ?? "/usr/bin/chromium";
  // The framed pages come by way of the test, and the browser would keep them from this machine's addresses.
  const args = [...BROWSER_ARGS, "--disable-features=LocalNetworkAccessChecks"];
  const browser = await chromium.launch({ executablePath, args });
  const page = await browser.newPage({ viewport: { width: 1920, height: 540 } });
  // Outputs refuse to be framed by others; here they are.
  await page.route("**/out/**", async (route) => {
    const response = await route.fetch();
    const { "content-security-policy": _, "x-frame-options": __, ...headers } = response.headers();
    await route.fulfill({ response, headers });
  });
  const links = [show.outputLink(0), show.outputLink(1).replace("127.0.0.1", "localhost")];
  await page.setContent(
    `<body style="margin:0;display:flex">${links.map((link) => `<iframe src="${link}" style="border:0;width:960px;height:540px"></iframe>`).join("")}</body>`,
  );
  for (const frame of page.frames().slice(1)) await frame.waitForSelector("main[data-ready=yes]");
  const frames = await record(page);
  const desk = new Client(show.base, await deskToken(show.base), "bench-spread-desk");
  await until(() => desk.welcomes === 1 && desk.next !== undefined);
  const cutAtMs: number[] = [];
  for (let i = 0; i < FIRST_CUTS + CUTS; i++) {
    const { seq } = desk;
    if (i >= FIRST_CUTS) cutAtMs.push(Date.now());
    desk.say({
      kind: "command",
      command: {
        kind: "take",
        id: `bench-spread-${i}`,
        how: "cut",
        target: desk.next,
        builtOn: desk.airRevision,
      },
    });
    await until(() => desk.seq > seq);
    await new Promise((resolve) => setTimeout(resolve, BETWEEN_MS));
  }
  desk.end();
  await browser.close();
  await show.stop();
  const cuts = cutAtMs.map((atMs) => ({ atMs, times: firstOthers(frames, atMs) }));
  printRow(
    "cut sent → the first frame that shows it, 2 recorded outputs",
    "ms",
    distributionOf(cuts.flatMap(({ atMs, times }) => times.map((time) => time - atMs))),
    "",
  );
  const shown = cuts.flatMap(({ times }) => (times.length === 2 ? [times] : []));
  printRow(
    "spread between 2 outputs on the same cut, from their pixels",
    "ms",
    distributionOf(shown.map((times) => Math.max(...times) - Math.min(...times))),
    "p95 under 16.7",
  );
}
