import type { ReadyCue } from "../rundown/readyCue.ts";
import { stepsOf } from "../rundown/steps.ts";
import type { OnBuses } from "../venue/source.ts";
import { type DecideContext, type Decision, NOTHING } from "./decideContext.ts";
import { decideTake } from "./decideTake.ts";
import { pagesOn } from "./layers.ts";
import type { ShowState } from "./state.ts";
import { idOfTie, sharesSource } from "./tiedToSource.ts";

/** What a mixer, or a hand, says is on the buses. @param isQuiet nothing is to come of it */
export function decideSources(
  { sources }: ShowState,
  { program, preview }: OnBuses,
  isQuiet: boolean,
  startAtMs: number,
): Decision {
  const isSame = (a: readonly string[], b: readonly string[]) => a.join("\n") === b.join("\n");
  if (isSame(sources.program, program) && isSame(sources.preview, preview)) return NOTHING;
  return {
    events: [{ kind: "sourcesChanged", program: [...program], preview: [...preview], isQuiet, startAtMs }],
  };
}

/** The other one of those who are at a source on program and share a place, and the first of them, whose tie it is. */
export function otherAtSource(
  state: ShowState,
  cues: readonly ReadyCue[],
  atMs: number,
): { readonly first: ReadyCue; readonly other: ReadyCue } | undefined {
  // The newest source is the one that is looked at.
  for (const sourceId of [...state.sources.program].reverse())
    for (const cue of cues) {
      if (cue.doc.comesWith?.sourceId !== sourceId) continue;
      const all = sharesSource(cues, cue.cueId);
      const [first] = all;
      if (!first || all.length < 2 || first.cueId !== cue.cueId) continue;
      const on = [...pagesOn(state, cue.content.layerId, atMs).values()].map((page) => page?.cueId);
      const isOn = all.findIndex(({ cueId }) => on.includes(cueId));
      const last = state.triggers.put[idOfTie(first.cueId)]?.cueId;
      const at = isOn >= 0 ? isOn : all.findIndex(({ cueId }) => cueId === last);
      return { first, other: all[(at + 1) % all.length] as ReadyCue };
    }
  return undefined;
}

/** Brings the other one at a source, who leaves with the source as the first would. */
export function decideOtherAtSource(state: ShowState, takeId: string, context: DecideContext): Decision {
  const { cues, startAtMs } = context;
  if (state.recentTakeIds.includes(takeId)) return NOTHING;
  const found = otherAtSource(state, cues, startAtMs);
  const [step] = found ? stepsOf(found.other.content) : [];
  if (!found || !step) return { refused: "nobodyElse" };
  const { cueId, hash, content } = found.other;
  const decision = decideTake(
    state,
    { cueId, content: hash, step: step.anchor },
    takeId,
    "usual",
    true,
    context,
  );
  if ("refused" in decision) return decision;
  const act = { kind: "take", cueId, how: "usual" } as const;
  const put = { cueId, layerId: content.layerId };
  const tie = { triggerId: idOfTie(found.first.cueId), name: content.title, put, chain: [], startAtMs };
  return { events: [...decision.events, { kind: "triggered", why: "a key", act, ...tie }] };
}
