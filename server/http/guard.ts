import { timingSafeEqual } from "node:crypto";
import type { IncomingMessage } from "node:http";
import type { NextFunction, Request, Response } from "express";

const LOOPBACK_HOSTS = new Set(["127.0.0.1", "localhost", "[::1]"]);
export const DESK_COOKIE = "vesko_desk";

function hostName(host: string | undefined): string {
  return (host ?? "").replace(/:\d+$/, "").toLowerCase();
}

/** Whether a request was made to this machine by name of the loopback, and from it. */
function isLocal(request: IncomingMessage): boolean {
  const address = request.socket.remoteAddress ?? "";
  const fromHere = address === "::1" || address.startsWith("127.") || address.startsWith("::ffff:127.");
  return fromHere && LOOPBACK_HOSTS.has(hostName(request.headers.host));
}

/**
 * Requests must name a host that this server was started for (a foreign name that was pointed here is refused), and
 * a live channel must be opened by a page of the same origin.
 */
export function createOriginCheck(boundHost: string): {
  isKnownHost: (request: IncomingMessage) => boolean;
  isOwnOrigin: (request: IncomingMessage) => boolean;
} {
  const isKnownHost = (request: IncomingMessage) => {
    const name = hostName(request.headers.host);
    // Bound to every address, the machine may be called by any numeric one.
    const anyAddress = boundHost === "0.0.0.0" || boundHost === "::";
    return (
      LOOPBACK_HOSTS.has(name) ||
      name === boundHost ||
      (anyAddress && /^(\d+\.\d+\.\d+\.\d+|\[[0-9a-f:]+\])$/.test(name))
    );
  };
  return {
    isKnownHost,
    isOwnOrigin: (request) => {
      const { origin, host } = request.headers;
      if (!isKnownHost(request) || !host) return false;
      return origin === undefined || origin === `http://${host}` || origin === `https://${host}`;
    },
  };
}

/** Desk pages are for this machine, or for a browser that came in through the desk's own link. */
export function createDeskGuard(deskToken: string) {
  return (request: Request, response: Response, next: NextFunction): void => {
    if (isLocal(request) || sameToken(readCookie(request, DESK_COOKIE), deskToken)) {
      next();
      return;
    }
    response
      .status(403)
      .type("text")
      .send(
        "The desk opens on the machine it runs on, or by the desk link printed there. Outputs have links of their own.",
      );
  };
}

export function sameToken(given: string | undefined, expected: string): boolean {
  if (given === undefined) return false;
  const a = Buffer.from(given);
  const b = Buffer.from(expected);
  return a.length === b.length && timingSafeEqual(a, b);
}

function readCookie(request: Request, name: string): string | undefined {
  for (const part of (request.headers.cookie ?? "").split(";")) {
    const [key, value] = part.trim().split("=");
    if (key === name) return value;
  }
  return undefined;
}
