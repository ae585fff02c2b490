import { idOf } from "../../core/show/actor.ts";
import type { ShowState } from "../../core/show/state.ts";
import type { Channel, ServerMessage } from "../../core/wire/wire.ts";
import { hasJustAsked } from "../api/deskHeaders.ts";

/**
 * Whether what a message brings is this very window's doing, so that it surprises nobody: its commands; another evening, other
 * screens or the rehearsal that it asked for; or what it did before it lost its connection.
 */
export function isOwnDoing(
  message: ServerMessage,
  { channel, state }: { readonly channel: Channel; readonly state: ShowState },
  { windowId, wantedChannel }: { readonly windowId: string; readonly wantedChannel: Channel },
): boolean {
  switch (message.kind) {
    case "welcome": {
      if (message.channel !== channel) return message.channel === wantedChannel;
      const known = new Set(state.acts.map(({ actId }) => actId));
      const missed = message.state.acts.filter(({ actId }) => !known.has(actId));
      return missed.length > 0 && missed.every(({ by }) => idOf(by) === windowId);
    }
    case "event": {
      const { actor, event } = message.logged;
      if (actor && idOf(actor) === windowId) return true;
      return ["begunAnew", "planSwitched"].includes(event.kind) && hasJustAsked();
    }
    case "setUp":
      return hasJustAsked();
    default:
      return false;
  }
}
