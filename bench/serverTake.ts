import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { NO_LINE } from "../core/show/line.ts";
import { findNext } from "../core/show/next.ts";
import { openShow, TestWindow } from "../test-support/openShow.ts";
import { distributionOf, printRow } from "./distribution.ts";
import { few } from "./few.ts";

const TAKES = few(600, 20);

/** Decide, durable write (synchronous=FULL) and broadcast to four outputs and a desk, without the network back. */
export async function benchServerTake(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), "vesko-bench-"));
  const { services, port, close } = await openShow(join(folder, "show.db"));
  const windows = ["wall", "stream", "wall", "stream"].map(() => new TestWindow(port));
  for (const [i, window] of windows.entries())
    await window.join(services.links.tokenOfOutput(i % 2 === 0 ? "wall" : "stream"), `bench-window-${i}`);
  const desk = new TestWindow(port);
  await desk.join(services.links.deskToken, "bench-desk");
  const samples: number[] = [];
  for (let i = 0; i < TAKES; i++) {
    const { state } = services.host;
    const cues = services.rundown.ready();
    const target = findNext(state, cues) ?? findNext({ arm: null, line: NO_LINE }, cues);
    if (!target) throw new Error("nothing to take");
    const from = performance.now();
    await services.host.submit(
      { kind: "take", id: `bench-take-${i}`, target, how: "animated", builtOn: state.airRevision },
      { kind: "desk", id: "bench-desk" },
    );
    samples.push(performance.now() - from);
  }
  printRow("decide, durable write, broadcast to 5 windows", "ms", distributionOf(samples), "p99 under 5");
  for (const { socket } of [...windows, desk]) socket.terminate();
  await close();
  rmSync(folder, { recursive: true });
}
