import { nextTimeOfDay } from "../figures/clockText.ts";
import type { ReadyCue } from "../rundown/readyCue.ts";
import type { TimerCommand } from "./commands.ts";
import type { ShowState } from "./state.ts";

/**
 * What the clock fires: follows and repeats that are due, and cues whose time of day has come.
 * @param sinceMs up to when times of day were looked through before
 */
export function timerCommands(
  { due, timeZone }: Pick<ShowState, "due" | "timeZone">,
  cues: readonly ReadyCue[],
  sinceMs: number,
  atMs: number,
): TimerCommand[] {
  // Times of day are whole seconds: the rundown is looked through once in each.
  const isNewSecond = Math.floor(atMs / 1_000) !== Math.floor(sinceMs / 1_000);
  const timed = (isNewSecond ? cues : []).flatMap(({ cueId, doc }) => {
    if (doc.start.kind !== "at") return [];
    const [hours = 0, minutes = 0, seconds = 0] = doc.start.time.split(":").map(Number);
    const at = nextTimeOfDay(sinceMs, { hours, minutes, seconds }, timeZone);
    return at <= atMs ? [{ kind: "timed", cueId, atMs: at } as const] : [];
  });
  return [
    ...due.flatMap((each) =>
      each.atMs <= atMs && each.kind !== "trigger" ? [{ kind: "due", due: each } as const] : [],
    ),
    ...timed,
  ];
}
