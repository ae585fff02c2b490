import type { ClipPlay } from "../clips/clipPlay.ts";
import { t } from "../language/t.ts";
import type { PageContent } from "../rundown/content.ts";
import { findStepIndex, stepsOf } from "../rundown/steps.ts";
import type { Actor } from "../show/actor.ts";
import type { AirEvent, LoggedEvent } from "../show/events.ts";
import type { SlotPage } from "../show/slot.ts";
import type { WhyTriggerHeld } from "../show/triggersState.ts";
import type { Bus } from "../venue/source.ts";

/** One line of what was done, as people read it. */
export interface StoryLine {
  readonly seq: number;
  /** Server time, ms. */
  readonly atMs: number;
  readonly who: Actor | null;
  readonly what: string;
  /** What was brought, taken off or said; empty when that says nothing more. */
  readonly words: string;
}

export interface StoryNames {
  readonly findContent: (hash: string) => PageContent | undefined;
  readonly layerName: (id: string) => string;
  readonly outputName: (id: string) => string;
  readonly sourceName: (id: string) => string;
}

/** The log in words, in its order. What changed nothing that anybody could see is left out. */
export function tellStory(log: readonly LoggedEvent[], names: StoryNames): StoryLine[] {
  return log.flatMap(({ seq, atMs, actor, event }) => {
    const told = tell(event, names);
    return told ? [{ seq, atMs, who: actor, what: told[0], words: told[1] ?? "" }] : [];
  });
}

function tell(event: AirEvent, names: StoryNames): readonly [what: string, words?: string] | undefined {
  const layers = (ids: readonly string[]) => ids.map(names.layerName).join(", ");
  const outputs = (ids: readonly string[]) => ids.map(names.outputName).join(", ");
  switch (event.kind) {
    case "showOpened":
      return [t`Show opened`];
    case "taken":
      return [
        event.page === null
          ? t`Words off`
          : `Take${event.outputIds ? t`, only ${outputs(event.outputIds)}` : ""}${event.how === "cut" ? ", cut" : ""}`,
        wordsOf(event.target, names),
      ];
    case "acted":
      return ["Action", wordsOf(event.target, names)];
    case "sent":
      return [
        t`Edits sent`,
        [...new Set(Object.values(event.pages).map((page) => wordsOf(page, names)))].join(" · "),
      ];
    case "repeated":
      return [t`Came again`, wordsOf(event.page, names)];
    case "cleared":
      if (event.why === "out") return ["Out", layers(event.layerIds)];
      return [event.why === "clear" ? "Clear" : t`Clear all`, layers(event.layerIds)];
    case "planSwitched":
      return [t`Screen plan`, event.plan.name];
    case "shut":
      if (event.picture === null) return [t`Picture again`, outputs(event.outputIds)];
      return [event.picture === "black" ? "Black" : "Stand-by", outputs(event.outputIds)];
    case "countdownPaused":
      return [event.isPaused ? t`Countdown paused` : t`Countdown resumed`, layers([event.layerId])];
    case "tested":
      return [event.picture === null ? t`Test picture off` : t`Test picture`, outputs(event.outputIds)];
    case "screenChanged":
      return [
        event.before === null ? t`Screen made` : event.after === null ? t`Screen deleted` : t`Screen changed`,
        (event.after ?? event.before)?.name ?? "",
      ];
    case "undone":
      return ["Undone"];
    case "lineMoved":
      return [t`Goes on from`, wordsOf(event.target, names)];
    case "stageNoted":
      return event.page ? [t`Note to the stage`, wordsOf(event.page, names)] : [t`Note to the stage off`];
    case "layerSet":
      return [t`Layer set`, event.layer.name];
    case "begunAnew":
      return [t`Started over`];
    case "dueHeld":
      // What is done has a line of its own.
      if (event.why === "done") return undefined;
      return ["Held", `${event.due.kind === "trigger" ? `${event.due.name}: ` : ""}${WHY_HELD[event.why]}`];
    case "sourcesChanged": {
      const on = (bus: Bus) => event[bus].map(names.sourceName).join(" and ") || "nothing";
      return ["Mixer", t`program ${on("program")}, preview ${on("preview")}`];
    }
    case "clipSet":
      return [sayClip(event.play), event.play?.title ?? ""];
    case "triggered":
      return ["Trigger", t`${event.name}, because ${event.why}`];
    case "triggerHeld":
      return [t`Trigger held`, `${event.name}: ${WHY_TRIGGER_IS_HELD[event.why]}`];
    case "triggersSet":
      return [event.areStopped ? t`Triggers stopped` : t`Triggers let go`];
    case "layerKept":
      return [
        event.isHeld ? t`Layer held against triggers` : t`Layer free for triggers`,
        layers([event.layerId]),
      ];
    case "standBySet":
      return [t`Stand-by of the show set`];
    case "armed":
    case "disarmed":
    case "dueSet":
    case "triggerLeft":
      return undefined;
  }
}

function sayClip(play: ClipPlay | null): string {
  if (!play) return t`Clip stopped`;
  if (play.isOver) return t`Clip ended`;
  if (play.isPaused) return t`Clip paused`;
  return play.begunAtMs === play.atMs ? t`Clip begun` : t`Clip goes on`;
}

const WHY_HELD = {
  late: t`its time had passed`,
  gone: t`its cue could not come`,
  pressed: t`by hand`,
  over: t`what set it off was over`,
} as const;

/** Why a trigger did nothing, as a part of a sentence. */
export const WHY_TRIGGER_IS_HELD: Readonly<Record<WhyTriggerHeld, string>> = {
  layerHeld: t`its layer is held`,
  hand: t`a hand had been there`,
  tooMany: t`triggers had done too much in that second`,
  loop: t`it would have set itself off again`,
  gone: t`what it was to bring is not there`,
  late: t`its time had passed`,
};

/** Title and step: "Nine Bells · V1 · Nine bells and no wind". */
function wordsOf({ content, step }: Pick<SlotPage, "content" | "step">, names: StoryNames): string {
  const found = names.findContent(content);
  if (!found) return "";
  const at = stepsOf(found)[findStepIndex(found, step)];
  const words = at?.kind === "words" ? at.words.replace(/\s*\n\s*/g, " / ") : "";
  return [found.title, at?.kind === "words" ? at.label : "", words].filter((part) => part !== "").join(" · ");
}
