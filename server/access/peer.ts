import type { IncomingMessage } from "node:http";
import { isIP } from "node:net";
import { TLSSocket } from "node:tls";

/** Who is at the other end of a connection, as far as this server can know it. */
export interface Peer {
  readonly address: string;
  /** The name and port by which the request called this server. */
  readonly host: string;
  readonly isSecure: boolean;
  /** On this very machine, and calling it by a name of the loopback. */
  readonly isHere: boolean;
  /** Whether the server was called by a name that is its own. */
  readonly isKnownHost: boolean;
}

const LOOPBACK_HOSTS: ReadonlySet<string> = new Set(["127.0.0.1", "localhost", "[::1]"]);
/** Headers by which something in between says that the request is somebody else's. */
const FORWARDED = [
  "forwarded",
  "x-forwarded-for",
  "x-forwarded-host",
  "x-forwarded-proto",
  "x-real-ip",
  "via",
];

export type ReadPeer = (request: IncomingMessage) => Peer;

/**
 * @param boundHost the address the server listens on
 * @param trustedProxies addresses whose word on whom they speak for is taken; anybody else's is not, and a request that
 *   was handed on by them is not of this machine
 */
export function createPeerReader(boundHost: string, trustedProxies: readonly string[] = []): ReadPeer {
  const trusted = new Set(trustedProxies.map(plainAddress));
  return (request) => {
    const from = plainAddress(request.socket.remoteAddress ?? "");
    const wasForwarded = FORWARDED.some((name) => request.headers[name] !== undefined);
    const host = request.headers.host ?? "";
    if (wasForwarded && trusted.has(from)) {
      const asked = lastOf(request.headers["x-forwarded-host"]) ?? host;
      return {
        address: firstStranger(request.headers["x-forwarded-for"], trusted) ?? from,
        host: asked,
        isSecure: lastOf(request.headers["x-forwarded-proto"]) === "https",
        isHere: false,
        // The proxy answers for the names it serves.
        isKnownHost: asked !== "" && URL.canParse(`http://${asked}`),
      };
    }
    return {
      address: from,
      host,
      isSecure: request.socket instanceof TLSSocket,
      isHere: !wasForwarded && isLoopback(from) && LOOPBACK_HOSTS.has(nameOf(host)),
      isKnownHost: URL.canParse(`http://${host}`) && isKnownName(nameOf(host), boundHost),
    };
  };
}

/** Whether a page of this very server asks: of the same name and port. Programs that are no browser name no origin. */
export function isOwnOrigin(request: IncomingMessage, peer: Peer): boolean {
  if (!peer.isKnownHost) return false;
  const { origin } = request.headers;
  return origin === undefined || origin === `http://${peer.host}` || origin === `https://${peer.host}`;
}

const nameOf = (host: string): string => host.replace(/:\d+$/, "").toLowerCase();

function isKnownName(name: string, boundHost: string): boolean {
  if (LOOPBACK_HOSTS.has(name) || name === boundHost.toLowerCase() || name === `[${boundHost}]`) return true;
  // Bound to every address, the machine may be called by any numeric one.
  const isAny = boundHost === "0.0.0.0" || boundHost === "::";
  return isAny && isIP(name.replace(/^\[(.*)\]$/, "$1")) !== 0;
}

const isLoopback = (address: string): boolean => address === "::1" || address.startsWith("127.");

/** An IPv4 address that came as IPv6 is the same one. */
const plainAddress = (address: string): string => address.replace(/^::ffff:(?=\d+\.)/i, "").toLowerCase();

const partsOf = (header: string | string[] | undefined): string[] =>
  (Array.isArray(header) ? header.join(",") : (header ?? ""))
    .split(",")
    .map((part) => part.trim())
    .filter((part) => part !== "");

const lastOf = (header: string | string[] | undefined): string | undefined => partsOf(header).at(-1);

/** The nearest address that no trusted proxy has: what lies before it, anybody may have written. */
function firstStranger(
  header: string | string[] | undefined,
  trusted: ReadonlySet<string>,
): string | undefined {
  return partsOf(header)
    .map(plainAddress)
    .filter((address) => isIP(address) !== 0)
    .findLast((address) => !trusted.has(address));
}
