import { findStepIndex, stepsOf } from "../../core/rundown/steps.ts";
import type { AirEvent } from "../../core/show/events.ts";
import type { FollowSettings } from "../../core/triggers/followSettings.ts";
import { addressOfTake, messageOfTake, type TakeFacts } from "../../core/triggers/takeTold.ts";
import { isAllowed } from "../feeds/askAddress.ts";
import { log } from "../log/log.ts";
import type { Rundown } from "../rundown/rundown.ts";

export interface TellTakesParts {
  readonly settings: () => FollowSettings;
  readonly rundown: Pick<Rundown, "ready">;
  /** Hosts whose addresses may be called. */
  readonly hosts: readonly string[];
  readonly send: (address: string, args: readonly (string | number)[]) => void;
}

/** A call that takes longer is given up. */
const LONGEST_CALL_MS = 3_000;
/** Calls under way at once; one more is dropped. */
const MOST_CALLS = 8;

/** Tells other devices of every take and every out, by OSC and by HTTP, as the venue's templates have it. Nothing waits for it. */
export class TellTakes {
  readonly #parts: TellTakesParts;
  #calls = 0;

  constructor(parts: TellTakesParts) {
    this.#parts = parts;
  }

  hear(event: AirEvent): void {
    const { settings, send } = this.#parts;
    const { tellOsc, tellHttp } = settings();
    if (tellOsc === "" && tellHttp === "") return;
    for (const facts of this.#factsOf(event)) {
      const message = tellOsc === "" ? undefined : messageOfTake(tellOsc, facts);
      if (message) send(message.address, message.args);
      const url = tellHttp === "" ? undefined : addressOfTake(tellHttp, facts);
      if (url) void this.#call(url, facts);
    }
  }

  #factsOf(event: AirEvent): TakeFacts[] {
    if (event.kind === "cleared")
      return event.layerIds.map((layer) => ({
        ...{ what: "out", cue: "", number: "", title: "", step: "", words: "", layer },
      }));
    if (event.kind !== "taken" && event.kind !== "acted") return [];
    const { cueId, step } = event.target;
    const cue = this.#parts.rundown.ready().find((each) => each.cueId === cueId);
    const at = cue && stepsOf(cue.content)[findStepIndex(cue.content, step)];
    const words = at?.kind === "words" ? at : undefined;
    return [
      {
        what: "take",
        cue: cueId,
        number: String(event.cueIndex + 1),
        title: cue?.content.title ?? "",
        step: words?.label ?? "",
        words: words?.words ?? "",
        layer: event.kind === "taken" ? event.layerId : "",
      },
    ];
  }

  async #call(url: URL, facts: TakeFacts): Promise<void> {
    if (!isAllowed(url, this.#parts.hosts))
      return log.warn(`“${url.host}” was not called: it is not among --feed-host`);
    if (this.#calls >= MOST_CALLS)
      return log.warn(`“${url.host}” was not called: ${MOST_CALLS} calls wait already`);
    this.#calls++;
    try {
      const answer = await fetch(url, {
        method: "POST",
        headers: { "Content-Type": "application/json" },
        body: JSON.stringify(facts),
        redirect: "error",
        signal: AbortSignal.timeout(LONGEST_CALL_MS),
      });
      await answer.body?.cancel();
      if (!answer.ok) log.warn(`“${url.host}” answered ${answer.status} when it was told of a take`);
    } catch (error) {
      log.warn(`“${url.host}” could not be told of a take`, error);
    } finally {
      this.#calls--;
    }
  }
}
