import type { LinkStore } from "../store/linkStore.ts";
import type { DeskSessions } from "./sessions.ts";

/** What a window on the live channel is, by the token it said. */
export type Entry =
  | { readonly kind: "desk"; readonly token: string; readonly sessionId: string | null }
  | { readonly kind: "output"; readonly token: string; readonly outputId: string }
  /** Sees everything and can do nothing. */
  | { readonly kind: "watch"; readonly token: string }
  /** A phone: it is told what it shows, and may press what its link says. */
  | { readonly kind: "remote"; readonly token: string; readonly id: string };

export function findEntry(token: string, links: LinkStore, sessions: DeskSessions): Entry | undefined {
  const link = links.find(token);
  switch (link?.kind) {
    case "output":
    case "watch":
      return link;
    case "remote":
      return { kind: "remote", token, id: link.id };
    case "desk":
    case "here":
      return { kind: "desk", token, sessionId: null };
    // These ask by requests of their own; what goes on is not for them.
    case "entry":
    case "hook":
    case "second":
      return undefined;
    case undefined: {
      const session = sessions.findByLiveToken(token);
      return session && { kind: "desk", token, sessionId: session.id };
    }
  }
}
