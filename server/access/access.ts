import type { IncomingMessage } from "node:http";
import type { LinkStore } from "../store/linkStore.ts";
import { isOwnOrigin, type Peer, type ReadPeer } from "./peer.ts";
import type { Caller } from "./rights.ts";
import type { DeskSessions } from "./sessions.ts";

export const DESK_COOKIE = "vesko_desk";
/** Over TLS the name itself says that no other page may have set it. */
const SECURE_DESK_COOKIE = `__Host-${DESK_COOKIE}`;

/** Who asks, and what its pages say on the live channel. */
export interface Access {
  readonly peer: Peer;
  readonly isOwnOrigin: boolean;
  readonly caller: Caller;
}

export type ReadAccess = (request: IncomingMessage) => Access;

/** Finds out who asks, once for each request however often it is wanted. */
export function createAccessReader(readPeer: ReadPeer, sessions: DeskSessions): ReadAccess {
  const known = new WeakMap<IncomingMessage, Access>();
  return (request) => {
    const found = known.get(request);
    if (found) return found;
    const peer = readPeer(request);
    const access = {
      peer,
      isOwnOrigin: isOwnOrigin(request, peer),
      caller: findCaller(request, peer, sessions),
    };
    known.set(request, access);
    return access;
  };
}

function findCaller(request: IncomingMessage, peer: Peer, sessions: DeskSessions): Caller {
  if (!peer.isKnownHost) return { kind: "stranger" };
  if (peer.isHere) return { kind: "here" };
  const cookie = readCookie(request, cookieName(peer));
  const found = cookie === undefined ? undefined : sessions.findByCookie(cookie);
  if (!found) return { kind: "stranger" };
  return { kind: "session", sessionId: found.session.id, liveToken: found.liveToken };
}

/** What a desk page of this caller says on the live channel. */
export function liveTokenOf(caller: Caller, links: LinkStore): string {
  switch (caller.kind) {
    case "here":
      return links.hereToken;
    case "session":
      return caller.liveToken;
    case "stranger":
      throw new Error("A stranger was given the desk");
  }
}

export const cookieName = ({ isSecure }: Peer): string => (isSecure ? SECURE_DESK_COOKIE : DESK_COOKIE);

function readCookie(request: IncomingMessage, name: string): string | undefined {
  for (const part of (request.headers.cookie ?? "").split(";")) {
    const at = part.indexOf("=");
    if (at > 0 && part.slice(0, at).trim() === name) return part.slice(at + 1).trim();
  }
  return undefined;
}
