import { createSocket } from "node:dgram";
import { chromium, type Page } from "@playwright/test";
import { writeUmd5 } from "../core/tally/umd5.ts";
import { RunningShow } from "../e2e/support/runningShow.ts";
import { deskToken } from "../test-support/deskPage.ts";
import { openShow } from "../test-support/openShow.ts";
import { BROWSER_ARGS } from "./browser.ts";
import { Client, until } from "./client.ts";
import { distributionOf, printRow, printValue } from "./distribution.ts";
import { few } from "./few.ts";
import { type Frames, watchFrames } from "./frames.ts";

const CUTS = few(120, 4);
const BETWEEN_MS = 400;
const LECTERN = 1;
const SINGERS = 2;
const SECONDS = few(20, 2);
const CAMERAS = ["lectern", "singers", "room", "quay"];

const tally = (program: number) =>
  writeUmd5(
    [1, 2, 3, 4].map((input) => ({ input, isOnProgram: input === program, isOnPreview: false, label: "" })),
  );

/** From a packet of the mixer to the first frame of the strap that it brings; and an output over four cameras that move. */
export async function benchCameras(): Promise<void> {
  const show = new RunningShow(true);
  await show.start();
  await show.stop();
  await withoutDelays(show);
  await show.start();
  const desk = new Client(show.base, await deskToken(show.base), "bench-cameras-desk");
  await until(() => desk.welcomes === 1);
  const executablePath = process.env.CHROMIUM_PATH ?? "/usr/bin/chromium";
  const browser = await chromium.launch({ executablePath, args: BROWSER_ARGS });
  const context = await browser.newContext({ viewport: { width: 1920, height: 1080 } });
  const stream = await context.newPage();
  await stream.goto(`${show.outputLink(1)}?over=picture`);
  await stream.waitForSelector("main[data-ready=yes]");
  await stream.waitForTimeout(3_000);
  printRow(
    "tally packet in → first frame of its strap",
    "ms",
    distributionOf(await cuts(show, desk, stream)),
    "",
  );
  const program = (sourceIds: readonly string[]) => {
    const id = `bench-program-${sourceIds.length}`;
    desk.say({ kind: "command", command: { kind: "setSources", id, bus: "program", sourceIds } });
    return until(() => desk.answers.has(id));
  };
  await program([]);
  await stream.waitForTimeout(2_000);
  const without = await watchFrames([stream], SECONDS);
  await program(["quay"]);
  await stream.waitForTimeout(2_000);
  const overOne = await watchFrames([stream], SECONDS);
  await program(CAMERAS);
  await stream.waitForTimeout(2_000);
  const over = await watchFrames([stream], SECONDS);
  print("over a picture that stands", without);
  print("over one camera that moves", overOne);
  print("over four cameras that move", over);
  desk.end();
  await browser.close();
  await show.stop();
}

function print(what: string, { intervals, missedPercent }: Frames): void {
  printRow(`titles on an output 1920×1080 ${what}: frame interval`, "ms", distributionOf(intervals), "16.7");
  printValue("… frames missed", "%", missedPercent, "under 1");
}

/** Cuts between two cameras, each with a strap of its own. @returns ms from each packet to the first frame, by the server's clock */
async function cuts(show: RunningShow, desk: Client, stream: Page): Promise<number[]> {
  const socket = createSocket("udp4");
  const send = (input: number) => socket.send(tally(input), show.devicePort("tally"), "127.0.0.1");
  send(LECTERN);
  await stream.waitForTimeout(1_000);
  await stream.evaluate("globalThis.__name = (f) => f");
  await stream.evaluate(() => {
    const main = document.querySelector("main") as HTMLElement;
    const seen: [number, number][] = [];
    Object.assign(window, { seen });
    new MutationObserver(() =>
      seen.push([Number(main.dataset.seq), Number(main.dataset.firstFrameMs)]),
    ).observe(main, {
      attributeFilter: ["data-first-frame-ms"],
    });
  });
  const took: number[] = [];
  for (let i = 0; i < CUTS; i++) {
    const before = desk.seq;
    const sentAtMs = Date.now();
    send(i % 2 === 0 ? SINGERS : LECTERN);
    // The buses, the take, and that it was a trigger's.
    await until(() => desk.seq >= before + 3);
    await stream.waitForTimeout(BETWEEN_MS);
    const seen = await stream.evaluate(() => (window as unknown as { seen: [number, number][] }).seen);
    const first = seen.find(([seq]) => seq >= before + 2);
    if (first) took.push(first[1] - sentAtMs);
  }
  socket.close();
  return took;
}

/** The demo's straps come at once, and stay as long as their camera. */
async function withoutDelays(show: RunningShow): Promise<void> {
  const { services, close } = await openShow(show.databaseFile);
  for (const { cueId, revision, doc } of services.rundown.views())
    if (doc.comesWith)
      await services.rundown.edit(
        "bench-person",
        {
          kind: "changeCue",
          cueId,
          baseRevision: revision,
          doc: { ...doc, comesWith: { ...doc.comesWith, delayMs: 0, stays: true } },
        },
        1,
      );
  await close();
}
