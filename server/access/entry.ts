import type { LinkStore } from "../store/linkStore.ts";
import type { DeskSessions } from "./sessions.ts";

/** What a window on the live channel is, by the token it said. */
export type Entry =
  | { readonly kind: "desk"; readonly token: string; readonly sessionId: string | null }
  | { readonly kind: "output"; readonly token: string; readonly outputId: string }
  /** Sees everything and can do nothing. */
  | { readonly kind: "watch"; readonly token: string };

export function findEntry(token: string, links: LinkStore, sessions: DeskSessions): Entry | undefined {
  const link = links.find(token);
  switch (link?.kind) {
    case "output":
    case "watch":
      return link;
    case "desk":
    case "here":
      return { kind: "desk", token, sessionId: null };
    // Asks by requests of its own; what goes on beside its table is not for it.
    case "entry":
      return undefined;
    case undefined: {
      const session = sessions.findByLiveToken(token);
      return session && { kind: "desk", token, sessionId: session.id };
    }
  }
}
