import { fork } from "node:child_process";
import { readFileSync } from "node:fs";
import { join } from "node:path";
import { Client, until } from "../../bench/client.ts";
import { RunningShow } from "../../e2e/support/runningShow.ts";
import type { Attack } from "./attack.ts";
import { Taker } from "./taker.ts";

const HOSTILE = 20;

/** What a take takes beside a desk and an output, alone and among twenty hostile connections. */
export interface MeasuredCrowd {
  /** How long takes took, ms, the shortest first. */
  readonly alone: readonly number[];
  readonly among: readonly number[];
  readonly memoryAloneMb: number;
  readonly memoryAmongMb: number;
  readonly broken: readonly string[];
}

export async function measureCrowd(takes: number): Promise<MeasuredCrowd> {
  const show = new RunningShow(true, { isQuiet: true });
  await show.start();
  const desk = await Taker.join(show);
  const link = show.outputLink(0).split("/").at(-1) as string;
  const output = new Client(show.base, link, "attack-output-1");
  await until(() => output.welcomes > 0);
  // The copy at the start is made meanwhile.
  await new Promise((resolve) => setTimeout(resolve, 3_000));
  await measure(desk, 30);
  const alone = await measure(desk, takes);
  const memoryAloneMb = memoryOf(show.processId);
  // In a process of their own: what they cost this one is not the server's.
  const hostile = fork(join(import.meta.dirname, "hostile.ts"), [show.base, link, String(HOSTILE)], {
    execArgv: ["--import", "tsx"],
  });
  await new Promise((resolve) => hostile.once("message", resolve));
  const among = await measure(desk, takes);
  const memoryAmongMb = memoryOf(show.processId);
  const broken: string[] = [];
  await untilOr(() => output.seq === desk.seq, 30_000);
  if (output.seq !== desk.seq) broken.push("the output is behind the desk");
  if (output.welcomes !== 1) broken.push(`the output was thrown out ${output.welcomes - 1} times`);
  // Somebody who comes now is let in all the same.
  const late = new Client(show.base, link, "attack-output-2");
  await untilOr(() => late.welcomes > 0, 30_000);
  if (late.welcomes === 0) broken.push("another output is not let in among them");
  hostile.kill("SIGKILL");
  if (!show.isRunning) broken.push("the server ended");
  if (memoryAmongMb - memoryAloneMb > 300)
    broken.push(`the memory grew by ${memoryAmongMb - memoryAloneMb} MB`);
  for (const client of [output, late]) client.end();
  desk.end();
  await show.stop();
  return { alone, among, memoryAloneMb, memoryAmongMb, broken };
}

/** Twenty hostile connections beside a real desk and output. */
export const crowd: Attack = {
  name: "hostile connections beside a desk and an output",
  run: async (isLong) => {
    const takes = isLong ? 400 : 150;
    const { alone, among, memoryAloneMb, memoryAmongMb, broken } = await measureCrowd(takes);
    const p50 = [at(alone, 0.5), at(among, 0.5)] as const;
    const p95 = [at(alone, 0.95), at(among, 0.95)] as const;
    return {
      tries: takes * 2,
      broken,
      figures: [
        `a take alone p50 ${p50[0].toFixed(1)} ms, p95 ${p95[0].toFixed(1)} ms; among ${HOSTILE} hostile p50 ${p50[1].toFixed(1)} ms, p95 ${p95[1].toFixed(1)} ms (× ${(p50[1] / p50[0]).toFixed(2)}, × ${(p95[1] / p95[0]).toFixed(2)})`,
        `memory ${memoryAloneMb} MB, among them ${memoryAmongMb} MB`,
      ],
    };
  },
};

async function untilOr(isSo: () => boolean, atMostMs: number): Promise<void> {
  const from = performance.now();
  await until(() => isSo() || performance.now() - from > atMostMs);
}

async function measure(desk: Taker, count: number): Promise<number[]> {
  const took: number[] = [];
  for (let i = 0; i < count; i++) {
    took.push(await desk.take());
    await new Promise((resolve) => setTimeout(resolve, Taker.pauseMs));
  }
  return took.sort((a, b) => a - b);
}

const at = (sorted: readonly number[], share: number): number =>
  sorted[Math.floor(sorted.length * share)] ?? Number.NaN;

const memoryOf = (processId: number): number =>
  Math.round(
    Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${processId}/status`, "utf8"))?.[1] ?? 0) / 1024,
  );
