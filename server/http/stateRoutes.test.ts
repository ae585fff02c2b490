import { createServer } from "node:http";
import type { AddressInfo } from "node:net";
import express from "express";
import { afterEach, expect, test } from "vitest";
import type { PlainState } from "../../core/report/plainState.ts";
import { stepsOf } from "../../core/rundown/steps.ts";
import { openShow } from "../../test-support/openShow.ts";
import { createAccessReader } from "../access/access.ts";
import { createPeerReader } from "../access/peer.ts";
import { Doors } from "./doors.ts";
import { addStateRoutes } from "./stateRoutes.ts";

const opened: (() => unknown)[] = [];
afterEach(async () => {
  for (const close of opened.splice(0).reverse()) await close();
});

test("a program reads what is on air, follows it, and is let go with its link; no other link opens it", async () => {
  const show = await openShow(":memory:");
  opened.push(show.close);
  const { services } = show;
  const app = express();
  const doors = new Doors(
    app,
    services,
    createAccessReader(createPeerReader("127.0.0.1"), services.sessions),
  );
  addStateRoutes(doors, services);
  const server = createServer(app);
  await new Promise<void>((resolve) => server.listen(0, "127.0.0.1", resolve));
  opened.push(
    () => server.closeAllConnections(),
    () => server.close(),
  );
  const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const watch = services.links.watchToken;

  const first = (await (await fetch(`${base}/state/${watch}`)).json()) as PlainState;
  expect(first).toMatchObject({ version: 1, plan: { name: "Evening" }, next: { title: "Night harbour" } });
  expect(first.layers.every(({ page }) => page === null)).toBe(true);
  expect((await fetch(`${base}/state/${services.links.tokenOfOutput("wall")}`)).status).toBe(404);
  expect((await fetch(`${base}/state/nothing-of-the-kind`)).status).toBe(404);

  const stream = await fetch(`${base}/state/${watch}/events`);
  expect(stream.headers.get("content-type")).toBe("text/event-stream");
  let said = "";
  let isOver = false;
  void (async () => {
    const decoder = new TextDecoder();
    for await (const part of stream.body as unknown as AsyncIterable<Uint8Array>)
      said += decoder.decode(part);
    isOver = true;
  })();
  const [cue] = services.rundown.ready();
  const [step] = cue ? stepsOf(cue.content) : [];
  if (!cue || !step) throw new Error("The demo has no cue");
  const target = { cueId: cue.cueId, content: cue.hash, step: step.anchor };
  const { airRevision } = services.host.state;
  await services.host.submit(
    { kind: "take", id: "take-for-a-program", target, how: "cut", builtOn: airRevision },
    { kind: "desk", id: "desk-of-the-test" },
  );
  const last = () => JSON.parse(said.trim().split("data: ").at(-1) ?? "{}") as PlainState;
  await expect
    .poll(() => last().layers.find(({ id }) => id === "backdrop")?.page?.title)
    .toBe("Night harbour");
  await services.links.renew("watch");
  await expect.poll(() => isOver).toBe(true);
});
