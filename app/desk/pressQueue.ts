import { t } from "../../core/language/t.ts";
import type { Command } from "../../core/show/commands.ts";
import type { Press } from "../../core/show/pressOfAction.ts";
import { newId } from "../api/newId.ts";

const ANSWER_MS = 2_000;
const GRACE_MS = 250;
/** Presses that may wait behind one on its way: a flurry must not play out long after. */
const MOST_WAITING = 4;

/** What a press is called, for saying which one was lost. */
const NAMES: Readonly<Record<Press["kind"], string>> = {
  arm: t`Arm`,
  disarm: t`Follow the script`,
  take: t`Take`,
  goOn: t`Go on from here`,
  out: t`Out`,
  clear: t`Clear`,
  clearEverything: t`Clear all`,
  undo: t`Undo`,
  send: t`Send`,
  shut: t`Black or stand-by`,
  stageNote: t`Note to the stage`,
  setLayer: t`Layer settings`,
  setStandBy: t`Stand-by picture`,
  beginAnew: t`Start over`,
  pauseCountdown: t`Countdown`,
  hold: t`Hold`,
  switchPlan: t`Screen plan`,
  test: t`Test picture`,
  setSources: t`Sources by hand`,
  stopTriggers: t`Stop triggers`,
  keepLayer: t`Hold a layer`,
  otherAtSource: t`The other one at the source`,
  clip: t`Clip`,
  pad: t`A key of the pad`,
};

export interface PressQueueParts {
  /** @returns false when there is no connection */
  readonly send: (command: Command) => boolean;
  readonly trouble: (sentence: string) => void;
  readonly onWaiting: (isWaiting: boolean) => void;
}

/** Presses go one at a time; each is worked out when its turn comes, against the air as it is then. */
export class PressQueue {
  readonly #parts: PressQueueParts;
  #pending: { readonly id: string; timer: ReturnType<typeof setTimeout> } | undefined;
  #presses: (() => Press | undefined)[] = [];

  constructor(parts: PressQueueParts) {
    this.#parts = parts;
  }

  push(work: () => Press | undefined): void {
    if (this.#presses.length >= MOST_WAITING) return;
    this.#presses.push(work);
    this.#sendNext();
  }

  /** @returns whether it answers the press on its way */
  hear(id: string, isRefused: boolean): boolean {
    if (this.#pending?.id !== id) return false;
    clearTimeout(this.#pending.timer);
    this.#pending = undefined;
    // What was pressed after a refusal was meant for another air.
    if (isRefused) this.#presses = [];
    this.#sendNext();
    return true;
  }

  drop(): void {
    if (this.#pending) clearTimeout(this.#pending.timer);
    this.#pending = undefined;
    this.#presses = [];
    this.#parts.onWaiting(false);
  }

  #sendNext(): void {
    while (!this.#pending) {
      const press = this.#presses.shift();
      if (!press) break;
      const worked = press();
      if (!worked) continue;
      const command = { ...worked, id: newId() } as Command;
      const name = NAMES[worked.kind];
      if (!this.#parts.send(command)) {
        this.drop();
        this.#parts.trouble(
          t`“${name}” was not sent: there is no connection to the server. The outputs keep their picture.`,
        );
        return;
      }
      const giveUp = () => {
        this.drop();
        this.#parts.trouble(
          t`The server has not answered “${name}” for two seconds. The outputs keep their picture; look before you press again.`,
        );
      };
      // A desk that was busy itself has the answer waiting behind this timer: it is heard first.
      const timer = setTimeout(() => {
        if (this.#pending?.id === command.id) this.#pending.timer = setTimeout(giveUp, GRACE_MS);
      }, ANSWER_MS);
      this.#pending = { id: command.id, timer };
    }
    this.#parts.onWaiting(this.#pending !== undefined);
  }
}
