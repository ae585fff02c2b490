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

/** Of those who are at one source and share a place, the one after the one that is on air; it leaves with the source as the first would. */
export function decideOtherAtSource(state: ShowState, takeId: string, context: DecideContext): Decision {
  const { cues, startAtMs } = context;
  if (state.recentTakeIds.includes(takeId)) return NOTHING;
  // The newest source is the one that is looked at.
  for (const sourceId of [...state.sources.program].reverse())
    for (const { cueId, doc, content } of cues) {
      if (doc.comesWith?.sourceId !== sourceId) continue;
      const all = sharesSource(cues, cueId);
      if (all.length < 2 || all[0]?.cueId !== cueId) continue;
      const on = [...pagesOn(state, content.layerId, startAtMs).values()].map((page) => page?.cueId);
      const at = all.findIndex((each) => on.includes(each.cueId));
      const other = all[(at + 1) % all.length];
      const [first] = other ? stepsOf(other.content) : [];
      if (!other || !first) continue;
      const target = { cueId: other.cueId, content: other.hash, step: first.anchor };
      const decision = decideTake(state, target, takeId, "usual", true, context);
      if ("refused" in decision) return decision;
      const put = { cueId: other.cueId, layerId: content.layerId };
      // The tie is the first one's: it says when whoever of them is there leaves.
      const tie = { triggerId: idOfTie(cueId), name: content.title, put, chain: [], startAtMs };
      const act = { kind: "take", cueId: other.cueId, how: "usual" } as const;
      return { events: [...decision.events, { kind: "triggered", why: "a key", act, ...tie }] };
    }
  return { refused: "nobodyElse" };
}
