import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { findNext } from "../../core/rundown/next.ts";
import { pageAt } from "../../core/show/slot.ts";
import type { ShowState } from "../../core/show/state.ts";
import { type OpenShow, openShow, TestWindow } from "../test-support/openShow.ts";

const folder = mkdtempSync(join(tmpdir(), "vesko-rehearsal-"));
let show: OpenShow;

beforeAll(async () => {
  show = await openShow(join(folder, "show.db"));
});
afterAll(async () => {
  await show.close();
  rmSync(folder, { recursive: true });
});

async function joined(token: string): Promise<TestWindow> {
  const window = new TestWindow(show.port);
  await window.join(token);
  await window.until("welcome");
  return window;
}

const eventsOf = (window: TestWindow) => window.heard.filter(({ kind }) => kind === "event").length;
const logged = async () =>
  Number(
    (
      await show.db
        .selectFrom("air_event")
        .select(({ fn }) => fn.countAll().as("count"))
        .executeTakeFirstOrThrow()
    ).count,
  );

function takeFrom(state: ShowState, id: string) {
  const target = findNext(state, show.services.rundown.ready());
  if (!target) throw new Error("nothing is next");
  return {
    kind: "command",
    command: { kind: "take", id, target, how: "cut", builtOn: state.airRevision },
  } as const;
}

describe("rehearsal", () => {
  test("begins with the air, is heard by desks that rehearse, and by no output; nothing of it is written", async () => {
    const { links, host } = show.services;
    const air = await joined(links.deskToken);
    const output = await joined(links.tokenOfOutput("wall"));
    const desk = await joined(links.deskToken);
    const first = await desk.until("welcome");
    air.send(takeFrom(host.state, "take-on-the-air"));
    await output.until("event");
    const before = { seq: host.state.seq, written: await logged() };

    desk.send({ kind: "channel", channel: "rehearsal" });
    const welcome = await desk.until("welcome", ({ channel }) => channel === "rehearsal");
    expect(welcome.state.seq).toBe(before.seq);
    const heard = [eventsOf(air), eventsOf(output)];
    desk.send(takeFrom(welcome.state, "take-rehearsed"));
    const { logged: rehearsed } = await desk.until("event", ({ logged: l }) => l.seq === before.seq + 1);
    expect(rehearsed.event.kind).toBe("taken");
    expect((await desk.until("answer", ({ id }) => id === "take-rehearsed")).refused).toBeNull();
    expect([eventsOf(air), eventsOf(output)]).toEqual(heard);
    expect(host.state.seq).toBe(before.seq);
    expect(await logged()).toBe(before.written);

    // Back on the air, the desk has what is on air.
    desk.send({ kind: "channel", channel: "air" });
    const back = await desk.until("welcome", (message) => message.channel === "air" && message !== first);
    expect(back.state).toEqual(host.state);
    for (const window of [air, output, desk]) window.socket.close();
  });

  test("ends with the last desk that leaves it: the next one begins with the air again", async () => {
    const { links, host } = show.services;
    const first = await joined(links.deskToken);
    first.send({ kind: "channel", channel: "rehearsal" });
    const welcome = await first.until("welcome", ({ channel }) => channel === "rehearsal");
    first.send(takeFrom(welcome.state, "take-by-the-first"));
    await first.until("event");
    const beside = await joined(links.deskToken);
    beside.send({ kind: "channel", channel: "rehearsal" });
    const shared = await beside.until("welcome", ({ channel }) => channel === "rehearsal");
    expect(shared.state.seq).toBe(host.state.seq + 1);
    for (const window of [first, beside]) window.socket.close();
    await Promise.all([first.untilClosed(), beside.untilClosed()]);
    const later = await joined(links.deskToken);
    later.send({ kind: "channel", channel: "rehearsal" });
    const anew = await later.until("welcome", ({ channel }) => channel === "rehearsal");
    expect(anew.state.seq).toBe(host.state.seq);
    expect(Object.values(anew.state.slots).map((slot) => pageAt(slot, 0)?.cueId)).toEqual(
      Object.values(host.state.slots).map((slot) => pageAt(slot, 0)?.cueId),
    );
    later.socket.close();
  });

  test("an output may not rehearse", async () => {
    const output = await joined(show.services.links.tokenOfOutput("wall"));
    output.send({ kind: "channel", channel: "rehearsal" });
    await output.until("fault");
    output.socket.close();
  });
});
