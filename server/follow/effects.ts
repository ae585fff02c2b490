import { pickedFeeds } from "../../core/feeds/binding.ts";
import { nextRow, rowsInTurn } from "../../core/feeds/pickRows.ts";
import { withPick } from "../../core/rundown/cueDoc.ts";
import type { TriggerAct } from "../../core/triggers/acts.ts";
import type { FeedHost } from "../feeds/feedHost.ts";
import type { LiveBindings } from "../feeds/liveBindings.ts";
import { log } from "../log/log.ts";
import type { Rundown } from "../rundown/rundown.ts";

export interface EffectParts {
  readonly rundown: Rundown;
  readonly feeds: FeedHost;
  readonly bindings: LiveBindings;
  readonly send: (address: string, args: readonly (string | number)[]) => void;
  readonly now: () => number;
}

/** What a trigger does besides the air, once it is written down that it did. */
export async function performEffect(act: TriggerAct, actorId: string, parts: EffectParts): Promise<void> {
  switch (act.kind) {
    case "nextRow":
      return putNextRow(act.cueId, actorId, parts);
    case "message":
      return parts.send(act.address, act.args);
    case "take":
    case "arm":
    case "out":
    case "plan":
    case "countdown":
      return undefined;
  }
}

async function putNextRow(
  cueId: string,
  actorId: string,
  { rundown, feeds, bindings, now }: EffectParts,
): Promise<void> {
  const cue = rundown.views().find((view) => view.cueId === cueId);
  if (cue?.doc.kind !== "page") return;
  const [feedId] = pickedFeeds(cue.doc.bindings);
  const table = feedId === undefined ? undefined : feeds.findTable(feedId);
  if (feedId === undefined || !table) return;
  const rows = rowsInTurn(table, feeds.find(feedId)?.doc.orderColumn ?? "", bindings.used(feedId));
  const next = nextRow(rows, cue.doc.picks[feedId] ?? null, true);
  if (!next) return;
  const doc = withPick(cue.doc, feedId, next.key);
  const outcome = await rundown.edit(
    actorId,
    { kind: "changeCue", cueId, doc, baseRevision: cue.revision },
    Math.round(now()),
  );
  if (outcome.kind !== "saved") log.warn(`A trigger's next row was not saved: ${outcome.sentence}`);
}
