import { randomUUID } from "node:crypto";
import {
  AIR_ACTIONS,
  type AirAction,
  findAction,
  type KeyMap,
  layerOfAction,
} from "../../core/keys/keyMap.ts";
import type { Actor } from "../../core/show/actor.ts";
import type { MessageValue } from "../../core/triggers/happening.ts";
import type { ShowHost } from "../host/showHost.ts";
import { log } from "../log/log.ts";

const ACTOR: Actor = { kind: "remote", id: "messages", name: "a message" };
/** Guarded ones are held for so long, as keys are. */
const HOLD_MS = 500;
/** What is let go later than this was forgotten. */
const LONGEST_HOLD_MS = 5_000;

export interface RemoteParts {
  readonly host: Pick<ShowHost, "state" | "press">;
  readonly keys: () => KeyMap;
  readonly now: () => number;
}

/**
 * Messages that the venue has given to actions, as keys are: pressed with no value or one other than 0, let go with 0; between 0
 * and 1, as a fader sends on its way, is neither. Guarded ones act only when they are let go after they were held, so that one packet that goes astray clears nothing.
 */
export class Remote {
  readonly #parts: RemoteParts;
  readonly #pressedAtMs = new Map<string, number>();

  constructor(parts: RemoteParts) {
    this.#parts = parts;
  }

  hear(address: string, [value]: readonly MessageValue[]): void {
    const { keys, now } = this.#parts;
    const action = findAction(keys(), address);
    if (!action) return;
    if (typeof value === "number" && value > 0 && value < 1) return;
    const isDown = value === undefined || (value !== 0 && value !== false && value !== "0" && value !== null);
    if (!this.#isGuarded(action)) {
      if (isDown) this.#do(action);
      return;
    }
    const pressedAtMs = this.#pressedAtMs.get(address);
    if (isDown) {
      if (pressedAtMs === undefined || now() - pressedAtMs > LONGEST_HOLD_MS)
        this.#pressedAtMs.set(address, now());
      return;
    }
    this.#pressedAtMs.delete(address);
    const heldMs = pressedAtMs === undefined ? 0 : now() - pressedAtMs;
    if (heldMs >= HOLD_MS && heldMs <= LONGEST_HOLD_MS) this.#do(action);
  }

  #isGuarded(action: AirAction): boolean {
    const index = layerOfAction(action);
    return index === undefined
      ? AIR_ACTIONS[action].isGuarded
      : (this.#parts.host.state.layers[index]?.persistent ?? false);
  }

  #do(action: AirAction): void {
    this.#parts.host
      .press(action, randomUUID(), ACTOR)
      .catch((error) =>
        log.error(`A message for “${AIR_ACTIONS[action].name}” could not be followed`, error),
      );
  }
}
