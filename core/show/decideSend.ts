import { sameAnchor } from "../rundown/anchor.ts";
import type { ReadyCue } from "../rundown/readyCue.ts";
import { stepAtOrBefore } from "../rundown/steps.ts";
import { textPlaceOf } from "../rundown/textPlace.ts";
import type { DecideContext, Decision } from "./decideContext.ts";
import type { AirEvent } from "./events.ts";
import { slotsOn } from "./layers.ts";
import { stepAt } from "./line.ts";
import { pageAt, type SlotPage } from "./slot.ts";
import type { ShowState } from "./state.ts";

/**
 * Puts the saved words of one cue on air, wherever it is, and nothing else.
 * @param asWorn the cue as it is now, in what the page on air wears; undefined while it cannot be taken
 */
export function decideSaved(
  state: ShowState,
  cueId: string,
  asWorn: (page: SlotPage) => ReadyCue | undefined,
  context: DecideContext,
): Decision {
  const cueFor = (page: SlotPage) => (page.cueId === cueId ? asWorn(page) : undefined);
  return { events: state.layers.flatMap(({ id }) => sendLayer(state, id, cueFor, context)) };
}

/** The pages of a layer whose cues were edited since, as they are now: at the same step, or at the one that holds it. */
export function sendLayer(
  state: ShowState,
  layerId: string,
  cueFor: (page: SlotPage) => ReadyCue | undefined,
  { startAtMs }: DecideContext,
): AirEvent[] {
  const pages: Record<string, SlotPage> = {};
  let sent: Extract<AirEvent, { kind: "sent" }>["place"] = null;
  for (const [outputId, slot] of slotsOn(state, layerId)) {
    const page = pageAt(slot, startAtMs);
    const cue = page && cueFor(page);
    if (!page || !cue || cue.hash === page.content || cue.content.layerId !== layerId) continue;
    const place = [state.line.at, ...state.line.asides].find((each) => each?.cueId === page.cueId);
    const isThere = place && sameAnchor(place.step, page.step);
    const step = isThere ? stepAt(cue.content, place) : stepAtOrBefore(cue.content, page.step);
    if (isThere) sent = { cueId: cue.cueId, step, words: textPlaceOf(cue.content, step) };
    pages[outputId ?? ""] = { cueId: page.cueId, content: cue.hash, step };
  }
  return Object.keys(pages).length === 0 ? [] : [{ kind: "sent", layerId, pages, place: sent, startAtMs }];
}
