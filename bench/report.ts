import { stepsOf } from "../core/rundown/steps.ts";
import type { LoggedEvent } from "../core/show/events.ts";
import { evolve } from "../core/show/evolve.ts";
import { openShow } from "../test-support/openShow.ts";
import { distributionOf, printRow, printValue } from "./distribution.ts";
import { few } from "./few.ts";

const EVENTS = few(20_000, 400);
const FOUR_HOURS_MS = 4 * 3_600_000;
const DESK = { kind: "desk", id: "desk-of-bench", name: "Balcony" } as const;

/** The report of four hours with 20 000 events: how long it takes, and how long anything else has to wait meanwhile. */
export async function benchReport(): Promise<void> {
  const show = await openShow(":memory:");
  const { host, rundown, reports, airLog } = show.services;
  const steps = rundown
    .ready()
    .filter(({ content }) => content.layerId !== "")
    .flatMap((cue) => stepsOf(cue.content).map(({ anchor }) => ({ cue, anchor })));
  let state = host.state;
  const beganMs = Math.round(host.state.seq + Date.now());
  for (let at = 0; at < EVENTS; at += 500) {
    const events: LoggedEvent[] = [];
    for (let i = at; i < at + 500; i++) {
      const { cue, anchor } = steps[i % steps.length] as (typeof steps)[number];
      const target = { cueId: cue.cueId, content: cue.hash, step: anchor };
      const atMs = beganMs + Math.round((i * FOUR_HOURS_MS) / EVENTS);
      const logged: LoggedEvent = {
        ...{ seq: state.seq + 1, atMs, actor: DESK, actId: `act-${i}` },
        event: {
          ...{ kind: "taken", takeId: `take-${i}`, target, cueIndex: cue.index, words: null, line: "moves" },
          ...{ layerId: cue.content.layerId, page: target, outputIds: null, how: "cut", startAtMs: atMs },
          ...{ endsAtMs: null, lastsMs: 0, effectMs: null },
        },
      };
      state = evolve(state, logged);
      events.push(logged);
    }
    await airLog.append(
      events,
      steps.map(({ cue }) => cue.hash),
      state,
    );
  }
  const waits: number[] = [];
  let lastMs = performance.now();
  const beat = setInterval(() => {
    waits.push(performance.now() - lastMs);
    lastMs = performance.now();
  }, 1);
  const began = performance.now();
  const report = await reports.read({ fromMs: 0, untilMs: beganMs + FOUR_HOURS_MS });
  const tookMs = performance.now() - began;
  waits.push(performance.now() - lastMs);
  printValue(`report of ${EVENTS} events: ${report.shown.length} lines`, "s", tookMs / 1_000, "");
  clearInterval(beat);
  printRow("… how long anything else waits meanwhile", "ms", distributionOf(waits), "50");
  await show.close();
}
