import { mkdtempSync, rmSync } from "node:fs";
import { createServer } from "node:http";
import type { AddressInfo } from "node:net";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";
import { pathToFileURL } from "node:url";
import type { ServerBuild } from "react-router";
import { lanternEvening } from "../../demo/lanternEvening.ts";
import { createPeerReader } from "../../server/access/peer.ts";
import type { Right } from "../../server/access/rights.ts";
import { ShowClock } from "../../server/health/showClock.ts";
import { createHttpApp } from "../../server/http/httpApp.ts";
import { rightsOf } from "../../server/http/routeRights.ts";
import { openServices, type Services } from "../../server/services/services.ts";
import { closeShowFile, openShowFile } from "../../server/store/showFile.ts";
import { carryWithout } from "../../test-support/openShow.ts";
import { type Attack, someOf } from "./attack.ts";
import { type RawAnswer, request } from "./raw.ts";

interface Door {
  readonly path: string;
  readonly right: Right;
}

/** Who tries: headers that come with every request, and the token that is put where an address names one. */
interface Visitor {
  readonly name: string;
  readonly headers: Readonly<Record<string, string>>;
  readonly token: string;
  readonly opens: readonly Right[];
}

const NOBODY = "a".repeat(32);
const HOST = "127.0.0.2";

/** Ways to write an address that something in between, or we ourselves, could take for another. */
const spellings = (path: string): string[] => [
  path,
  `${path}/`,
  `/${path}`,
  `/.${path}`,
  `${path}.data`,
  `${path}?x=/out/`,
  `${path}%00`,
  `${path}#x`,
  path.toUpperCase(),
  ...[
    "/out/..",
    "/watch/..",
    "/enter/..",
    "/assets/..",
    "/out/x/../..",
    "/out/%2e%2e",
    "/out/%2E%2E",
    "/watch/.%2e",
    "/out/..;",
  ].map((before) => before + path),
  `/out/..%2f${path.slice(1)}`,
  `/out/..%5c${path.slice(1)}`,
  `/out\\..${path.replaceAll("/", "\\")}`,
  path.replaceAll("/", "\\"),
  `http://${HOST}${path}`,
  `http://localhost${path}`,
];

/** All doors, in all spellings, by every kind of link, from another machine. */
export const doors: Attack = {
  name: "every door, in every spelling, by every link",
  run: async (isLong) => {
    const folder = mkdtempSync(join(tmpdir(), "vesko-attack-"));
    const file = join(folder, "show.db");
    const home = resolve(import.meta.dirname, "../..");
    const clock = new ShowClock();
    const mediaFolder = `${file}.media`;
    const db = await openShowFile(file, {
      readSeed: async () => lanternEvening(),
      home,
      mediaFolder,
      now: clock.now,
    });
    const readPeer = createPeerReader(HOST);
    const carry = carryWithout(file, mediaFolder, home);
    const services = await openServices(db, { home, buildId: "attack", clock, mediaFolder, carry, readPeer });
    const build = (await import(pathToFileURL(join(home, "build/server/index.js")).href)) as ServerBuild;
    const app = createHttpApp(services, readPeer, async () => build, { folder: join(home, "build/client") });
    const server = createServer(app);
    await new Promise<void>((done) => server.listen(0, HOST, done));
    const base = new URL(`http://${HOST}:${(server.address() as AddressInfo).port}`);
    try {
      return await walk(base, services, doorsOf(build, app.locals.doors as Door[]), isLong);
    } finally {
      server.closeAllConnections();
      server.close();
      await services.close();
      clock.close();
      await closeShowFile(db);
      rmSync(folder, { recursive: true, force: true });
    }
  },
};

function doorsOf(build: ServerBuild, outside: readonly Door[]): Door[] {
  const rights = rightsOf(build);
  const pathOf = (id: string | undefined): string => {
    const route = id === undefined ? undefined : build.routes[id];
    return route ? `${pathOf(route.parentId)}${route.path ? `/${route.path}` : ""}` : "";
  };
  const pages = [...rights].map(([id, right]) => ({ path: pathOf(id) || "/", right }));
  return [...outside, ...pages];
}

async function walk(base: URL, services: Services, all: readonly Door[], isLong: boolean) {
  const broken: string[] = [];
  let tries = 0;
  const visitors = await visitorsOf(services);
  // What may be seen by nobody who was not let in.
  const { links, screens } = services;
  const secrets = [
    links.deskToken,
    links.hereToken,
    links.watchToken,
    ...screens.outputs.map(({ id }) => links.tokenOfOutput(id)),
    "Ilse Tarrow",
  ];
  const before = stateOf(services);
  for (const visitor of visitors) {
    const jobs: (() => Promise<void>)[] = [];
    for (const { path, right } of all) {
      const isOpen = right === "anyone" || visitor.opens.includes(right);
      const filled = path.replace(":token", visitor.token).replace(/:\w+/g, "a".repeat(64));
      for (const target of isLong ? spellings(filled) : someOf(spellings(filled), 7))
        for (const method of isLong ? ["GET", "POST", "HEAD", "PUT"] : ["GET", "POST"]) {
          if (isOpen && target === filled) continue;
          jobs.push(async () => {
            tries++;
            const body =
              method === "POST" ? JSON.stringify({ kind: "renewDesk", passcode: "wrong-one" }) : "";
            const headers = {
              ...visitor.headers,
              Accept: "*/*",
              ...(body && { "Content-Type": "application/json" }),
            };
            // From many addresses of the loopback: one alone would soon be kept waiting.
            const from = `127.1.${(tries >> 8) & 255}.${tries & 255}`;
            const answer = await request(base, method, target, headers, body, from);
            const fault = faultOf(answer, method, secrets, visitor, isOpen);
            if (fault) broken.push(`${visitor.name}: ${method} ${target} ${fault}`);
          });
        }
    }
    await inTurns(jobs, 12);
  }
  if (stateOf(services) !== before) broken.push("something was changed by somebody who may not");
  return {
    tries,
    broken: broken.slice(0, 40),
    figures: [`${all.length} doors, ${visitors.length} kinds of visitor, ${tries} requests`],
  };
}

function faultOf(
  answer: RawAnswer,
  method: string,
  secrets: readonly string[],
  visitor: Visitor,
  isOpen: boolean,
): string | undefined {
  const shown = secrets.find((secret) => secret !== visitor.token && answer.body.includes(secret));
  // A desk sees the links of outputs; that is what it is for.
  if (shown !== undefined && !visitor.opens.includes("desk")) return `shows ${shown.slice(0, 6)}…`;
  const isPublic = /venue’s passcode|becomes a screen|"ok":true/.test(answer.body);
  if (
    !isOpen &&
    answer.body !== "" &&
    answer.status >= 200 &&
    answer.status < 300 &&
    !isPublic &&
    method !== "HEAD"
  )
    return `is answered with ${answer.status}`;
  if (answer.status >= 500) return `fails with ${answer.status}`;
  if (!isOpen && /"?deskToken/.test(answer.body) && !visitor.opens.includes("desk")) return "opens the desk";
  return undefined;
}

/** What strangers must not change: links, sessions, cues. */
const stateOf = ({ links, sessions, rundown, host, passcode }: Services): string =>
  JSON.stringify([
    links.deskToken,
    links.watchToken,
    sessions.list().length,
    rundown.revision,
    host.state.seq,
    passcode.isSet,
  ]);

async function visitorsOf({ sessions, links }: Services): Promise<Visitor[]> {
  const good = await sessions.begin("link", "10.0.0.1", "attack");
  const ended = await sessions.begin("link", "10.0.0.1", "attack");
  const [last] = sessions.list().filter(({ id }) => sessions.findByCookie(ended)?.session.id === id);
  await sessions.end(last?.id ?? "");
  const entry = await links.make("entry", "attack", {
    ...{
      name: "attack",
      feedId: "demo-lanterns",
      columns: ["lanterns"],
      rows: null,
      mayMove: true,
      untilMs: null,
    },
  });
  const phone = await links.make("remote", "attack", {
    ...{ name: "attack", can: "all", view: "both", isHeld: false, outputId: "", untilMs: null },
  });
  return [
    { name: "a stranger", headers: {}, token: NOBODY, opens: [] },
    {
      name: "a stranger who says he is handed on from this machine",
      headers: {
        "X-Forwarded-For": "127.0.0.1",
        "X-Forwarded-Host": "localhost",
        Forwarded: "for=127.0.0.1",
      },
      token: NOBODY,
      opens: [],
    },
    {
      name: "a stranger who calls it localhost",
      headers: { Host: "localhost" },
      token: NOBODY,
      opens: ["desk"],
    },
    { name: "an output's link", headers: {}, token: links.tokenOfOutput("wall"), opens: ["output", "link"] },
    { name: "a link to a table", headers: {}, token: entry, opens: ["entry"] },
    { name: "a phone's link", headers: {}, token: phone, opens: ["remote", "link"] },
    { name: "a second machine's link", headers: {}, token: links.secondToken, opens: ["second"] },
    { name: "the link of those who watch", headers: {}, token: links.watchToken, opens: ["watch", "link"] },
    {
      name: "a browser that was shown out",
      headers: { Cookie: `vesko_desk=${ended}` },
      token: NOBODY,
      opens: [],
    },
    {
      name: "an output's token as a cookie",
      headers: { Cookie: `vesko_desk=${links.tokenOfOutput("wall")}` },
      token: NOBODY,
      opens: [],
    },
    {
      name: "the desk link as a cookie",
      headers: { Cookie: `vesko_desk=${links.deskToken}` },
      token: NOBODY,
      opens: [],
    },
    {
      name: "a page of another origin in a browser that was let in",
      headers: { Cookie: `vesko_desk=${good}`, Origin: "http://elsewhere.example" },
      token: NOBODY,
      opens: ["desk"],
    },
  ];
}

export async function inTurns(jobs: readonly (() => Promise<void>)[], atOnce: number): Promise<void> {
  let at = 0;
  await Promise.all(
    Array.from({ length: atOnce }, async () => {
      for (let job = jobs[at++]; job; job = jobs[at++]) await job();
    }),
  );
}
