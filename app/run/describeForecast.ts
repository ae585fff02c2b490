import { t } from "../../core/language/t.ts";
import { forecastTake } from "../../core/show/whatTake.ts";
import type { DeskSnapshot } from "../desk/deskSnapshot.ts";

/** What the take key would do, in a sentence: what comes and where, what goes, what follows by itself. */
export function describeForecast(
  desk: Pick<DeskSnapshot, "next" | "state" | "ready" | "plans" | "outputs" | "cues">,
  deskId: string,
  atMs: number,
): string {
  const { next, state, ready, plans, outputs, cues } = desk;
  if (!next) return t`Nothing is next: the script is through. Arm a step to go on.`;
  const forecast = forecastTake(state, next, ready, plans, deskId, atMs);
  if (!forecast) return "";
  const titleOf = (cueId: string) => {
    const cue = cues.find(({ view }) => view.cueId === cueId);
    return cue ? `“${cue.title}”` : t`a deleted cue`;
  };
  const where = (ids: readonly string[]) => {
    const seen = outputs.filter(({ id }) => ids.includes(id)).map(({ name }) => name);
    if (seen.length === 0) return t`no screen`;
    if (seen.length === outputs.length && seen.length > 2) return t`all ${seen.length} screens`;
    return seen.join(", ");
  };
  const parts: string[] = [];
  for (const { cueId, outputIds } of forecast.comes) parts.push(t`${titleOf(cueId)} to ${where(outputIds)}`);
  if (forecast.goes.length > 0) parts.push(t`${forecast.goes.map(titleOf).join(", ")} leaves`);
  if (forecast.plan) parts.push(t`plan ${forecast.plan.name}`);
  if (forecast.leavesAtZero) parts.push(t`leaves when its countdown is at zero`);
  else if (forecast.staysMs !== null) parts.push(t`stays ${forecast.staysMs / 1_000} s`);
  if (forecast.follows)
    parts.push(
      t`then ${titleOf(forecast.follows.cueId)} by itself after ${forecast.follows.afterMs / 1_000} s`,
    );
  if (forecast.isAside && state.line.at) parts.push(t`the line stays in ${titleOf(state.line.at.cueId)}`);
  return parts.length > 0 ? `${parts.join(" · ")}.` : t`It waits: nothing on screen changes.`;
}
