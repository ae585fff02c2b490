import { readFileSync } from "node:fs";
import type { IncomingMessage, RequestListener, ServerResponse } from "node:http";
import { join } from "node:path";
import { chosen } from "#language";
import { t } from "../../core/language/t.ts";
import { secondPath } from "../../core/second/secondView.ts";
import type { ReadPeer } from "../access/peer.ts";
import type { Follower } from "./follower.ts";

export interface FollowerPagesParts {
  readonly follower: Follower;
  readonly token: string;
  readonly leader: string;
  readonly readPeer: ReadPeer;
  /** Folder of this project. */
  readonly home: string;
  /** Somebody says that this machine leads. @returns why it cannot */
  readonly takeOver: () => Promise<string | undefined>;
}

const FILES: Readonly<Record<string, string>> = {
  "/plain.css": "text/css; charset=utf-8",
  "/second.css": "text/css; charset=utf-8",
  "/second.js": "text/javascript; charset=utf-8",
  "/favicon.svg": "image/svg+xml",
};

const POLICY =
  "default-src 'self'; style-src 'self'; script-src 'self'; object-src 'none'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'";

/**
 * What a machine that follows answers: its own page, with the one button, to whoever is at it or knows its link; to all else that it
 * comes in a moment, so that windows which were sent here look again by themselves.
 */
export function followerPages(parts: FollowerPagesParts): RequestListener {
  const { follower, token, leader, readPeer, home } = parts;
  const own = secondPath(token);
  return (request, response) => {
    const peer = readPeer(request);
    response.setHeader("X-Content-Type-Options", "nosniff");
    response.setHeader("Cache-Control", "no-store");
    response.setHeader("Referrer-Policy", "no-referrer");
    if (!peer.isKnownHost) return say(response, 421, t`This server is not called by that name.`);
    const { pathname } = new URL(request.url ?? "/", "http://here");
    if (pathname === "/second/leads") return json(response, 200, { leads: false, answer: "" });
    const type = FILES[pathname];
    if (type !== undefined) {
      response.writeHead(200, { "Content-Type": type });
      response.end(readFileSync(join(home, "public", pathname.slice(1))));
      return;
    }
    if (pathname === own || pathname === `${own}/state` || pathname === `${own}/take-over`) {
      const what = pathname.slice(own.length);
      if (what === "/state") return json(response, 200, { kind: "follows", leader, state: follower.state });
      if (what === "/take-over") return void takeOver(request, response, parts);
      response.setHeader("Content-Security-Policy", POLICY);
      response.writeHead(200, { "Content-Type": "text/html; charset=utf-8" });
      response.end(PAGE);
      return;
    }
    // At the machine itself nobody needs the link.
    if (pathname === "/" && peer.isHere) {
      response.writeHead(302, { Location: own });
      response.end();
      return;
    }
    response.setHeader("Refresh", "1");
    response.setHeader("Retry-After", "1");
    say(response, 503, t`This machine follows another one. This page comes as soon as it leads.`);
  };
}

async function takeOver(
  request: IncomingMessage,
  response: ServerResponse,
  parts: FollowerPagesParts,
): Promise<void> {
  // A page of another origin can neither send JSON here unseen nor know the address.
  if (request.method !== "POST" || request.headers["content-type"] !== "application/json")
    return json(response, 405, { problem: t`That is not done here.` });
  const problem = await parts.takeOver();
  if (problem === undefined) json(response, 200, {});
  else json(response, 409, { problem });
}

function json(response: ServerResponse, status: number, value: unknown): void {
  response.writeHead(status, { "Content-Type": "application/json; charset=utf-8" });
  response.end(JSON.stringify(value));
}

function say(response: ServerResponse, status: number, sentence: string): void {
  response.writeHead(status, { "Content-Type": "text/plain; charset=utf-8" });
  response.end(sentence);
}

const PAGE = `<!doctype html>
<html lang="${chosen().code}"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><link rel="icon" href="/favicon.svg"><link rel="stylesheet" href="/plain.css"><link rel="stylesheet" href="/second.css"><title>Second machine · Vesko</title></head>
<body><main>
<h1 id="head">Second machine</h1>
<p id="say" role="status">Looking…</p>
<p id="files"></p>
<button id="take" type="button" disabled>Hold to take over</button>
<p id="note"></p>
<p id="problem" role="alert"></p>
</main><script src="/second.js"></script></body></html>`;
