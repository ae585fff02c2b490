import { t } from "../../core/language/t.ts";
import { actToUndo } from "../../core/show/acts.ts";
import { type Command, refusalSentence } from "../../core/show/commands.ts";
import { pagesOn } from "../../core/show/layers.ts";
import type { Target } from "../../core/show/line.ts";
import {
  hasJustChanged,
  type Meaning,
  meaningOfLayer,
  meaningOfOut,
  meaningOfTake,
  meaningOfUndo,
  outTarget,
  type Sight,
} from "../../core/show/meaning.ts";
import { lastTarget, neighbourCue } from "../../core/show/neighbourCue.ts";
import { findNeighbour } from "../../core/show/next.ts";
import type { Press } from "../../core/show/pressOfAction.ts";
import type { Channel } from "../../core/wire/wire.ts";
import type { DeskSnapshot } from "./deskSnapshot.ts";
import { PressQueue } from "./pressQueue.ts";

export interface AirCommandsParts {
  readonly windowId: string;
  readonly now: () => number;
  readonly snapshot: () => DeskSnapshot;
  /** What was seen lately. */
  readonly sights: () => readonly Sight[];
  /** Where this desk is, or is just going. */
  readonly wantedChannel: () => Channel;
  /** @returns false when there is no connection */
  readonly send: (command: Command) => boolean;
  readonly say: (tone: "trouble" | "word", sentence: string) => void;
  readonly onWaiting: (isWaiting: boolean) => void;
}

/** What a desk asks of the air, one press after another; each is worked out against the air as it is when its turn comes. */
export class AirCommands {
  readonly #parts: AirCommandsParts;
  readonly #presses: PressQueue;

  constructor(parts: AirCommandsParts) {
    this.#parts = parts;
    this.#presses = new PressQueue({
      send: parts.send,
      trouble: (sentence) => parts.say("trouble", sentence),
      onWaiting: parts.onWaiting,
    });
  }

  get #desk(): DeskSnapshot {
    return this.#parts.snapshot();
  }

  /** Takes a step of any cue, armed or not. */
  takeTarget(target: Target, how: "usual" | "cut" = "usual"): void {
    this.#press(() => ({ kind: "take", target, how, builtOn: this.#desk.state.airRevision }));
  }

  take(how: "usual" | "dissolve" | "cut"): void {
    if (this.#hasJustChanged(meaningOfTake, t`“Take” was not used: what comes next`)) return;
    this.#press(() => {
      const { next, state } = this.#desk;
      if (!next) {
        this.#parts.say("word", t`That was the last step of the rundown. Arm a step to go on.`);
        return undefined;
      }
      return { kind: "take", target: next, how, builtOn: state.airRevision };
    });
  }

  /** Takes off what “out” names: it says so beforehand, and takes nothing else off. */
  out(): void {
    if (this.#hasJustChanged(meaningOfOut, t`“Out” was not used: what it takes off`)) return;
    this.#press(() => {
      const target = outTarget(this.#desk.state, this.#parts.now());
      return target && { kind: "out", layerId: target.layerId, seen: target.cueId, how: "animated" };
    });
  }

  /** Takes a layer off, on all screens or on one that has a page of its own there. */
  /** Has the countdown of what is on a layer stand still, or go on. */
  pauseCountdown(layerId: string, isPaused: boolean): void {
    this.#press(() => ({ kind: "pauseCountdown", layerId, isPaused }));
  }

  layerOut(layerId: string, outputId: string | null = null): void {
    const name = this.#desk.state.layers.find(({ id }) => id === layerId)?.name ?? t`Layer`;
    if (this.#hasJustChanged(meaningOfLayer(layerId), t`“${name} out” was not used: what is there`)) return;
    this.#press(() => {
      const pages = pagesOn(this.#desk.state, layerId, this.#parts.now());
      const page = outputId === null ? [...pages.values()].find((each) => each) : pages.get(outputId);
      const outputIds = outputId === null ? null : [outputId];
      return { kind: "out", layerId, outputIds, seen: page?.cueId ?? null, how: "animated" };
    });
  }

  /** Puts back this desk's last act, or where it has none, the last of all. */
  undo(): void {
    if (this.#hasJustChanged(meaningOfUndo(this.#parts.windowId), t`“Undo” was not used: what it puts back`))
      return;
    this.#press(() => {
      const act = actToUndo(this.#desk.state.acts, this.#parts.windowId);
      if (!act) this.#parts.say("word", t`There is nothing left to undo. The air is as it was.`);
      return act && { kind: "undo", actId: act.actId };
    });
  }

  /** The script goes on from the newest aside that is on air, or from a chosen one. */
  goOn(cueId?: string): void {
    this.#press(() => {
      const { asides } = this.#desk.state.line;
      const chosen = cueId ?? asides.at(-1)?.cueId;
      if (chosen === undefined)
        this.#parts.say("word", t`Nothing came besides the line, so there is nothing else to go on from.`);
      return chosen === undefined ? undefined : { kind: "goOn", cueId: chosen };
    });
  }

  arm(target: Target): void {
    this.#press(() => ({ kind: "arm", target }));
  }

  /** Moves the arm by one step, or by one cue: a walk along the script, so that it goes on from there. */
  armNeighbour(by: 1 | -1, unit: "step" | "cue"): void {
    this.#press(() => {
      const { next, ready } = this.#desk;
      const from = next ?? lastTarget(ready);
      const target =
        from && (unit === "step" ? findNeighbour(from, by, ready) : neighbourCue(from, by, ready));
      return target && { kind: "arm", target, isJump: true };
    });
  }

  /** Arms the step before the line: once more from there. */
  armBefore(): void {
    this.#press(() => {
      const { state, ready } = this.#desk;
      const { at } = state.line;
      const cue = at && ready.find(({ cueId }) => cueId === at.cueId);
      const from = cue && { cueId: cue.cueId, content: cue.hash, step: at.step };
      const target = from && findNeighbour(from, -1, ready);
      return target ? { kind: "arm", target, isJump: true } : undefined;
    });
  }

  /** Tells when the meaning of a key has changed by itself a moment ago, so that the press was meant for something else. */
  #hasJustChanged(meaning: Meaning, what: string): boolean {
    if (!hasJustChanged(this.#parts.sights(), meaning, this.#parts.now())) return false;
    this.#parts.say(
      "word",
      t`${what} changed by itself a moment ago. The air is as it was; look, then press again.`,
    );
    return true;
  }

  /** Anything else that a desk may ask for. */
  press(press: Press): void {
    this.#press(() => press);
  }

  #press(work: () => Press | undefined): void {
    const { status, mode, channel } = this.#desk;
    const wantedChannel = this.#parts.wantedChannel();
    if (mode === "watching") {
      this.#parts.say("word", refusalSentence("onlyWatching"));
      return;
    }
    if (status.kind !== "open" && status.kind !== "silent") {
      this.#parts.say(
        "trouble",
        t`There is no connection to the server, so nothing was sent. The outputs keep their picture.`,
      );
      return;
    }
    if (wantedChannel !== channel) {
      const where = wantedChannel === "air" ? t`back to the air` : t`over to the rehearsal`;
      this.#parts.say(
        "word",
        t`This desk is just going ${where}, so nothing was sent. Look, then press again.`,
      );
      return;
    }
    this.#presses.push(work);
  }

  /** @returns whether it answers the press on its way */
  hearAnswer(id: string, isRefused: boolean): boolean {
    return this.#presses.hear(id, isRefused);
  }

  /** Forgets presses on their way: the connection is lost. */
  drop(): void {
    this.#presses.drop();
  }
}
