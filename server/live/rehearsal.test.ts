import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { findNext } from "../../core/show/next.ts";
import { pageAt } from "../../core/show/slot.ts";
import type { ShowState } from "../../core/show/state.ts";
import { type OpenShow, openShow, TestWindow } from "../../test-support/openShow.ts";

const folder = mkdtempSync(join(tmpdir(), "vesko-rehearsal-"));
const WAITS_MS = 300;
let show: OpenShow;

beforeAll(async () => {
  show = await openShow(join(folder, "show.db"), { rehearsalWaitsMs: WAITS_MS });
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

  test("ends when the last desk goes back to the air: the next one begins with the air again", async () => {
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
    for (const window of [first, beside]) {
      window.send({ kind: "channel", channel: "air" });
      await window.until("welcome", ({ channel }) => channel === "air");
      window.socket.close();
    }
    const later = await joined(links.deskToken);
    later.send({ kind: "channel", channel: "rehearsal" });
    const anew = await later.until("welcome", ({ channel }) => channel === "rehearsal");
    expect(anew.state.seq).toBe(host.state.seq);
    expect(Object.values(anew.state.slots).map((slot) => pageAt(slot, 0)?.cueId)).toEqual(
      Object.values(host.state.slots).map((slot) => pageAt(slot, 0)?.cueId),
    );
    later.socket.close();
  });

  test("waits for a desk that was lost, with what it shows, and then ends", async () => {
    const { links, host, live } = show.services;
    const wall = await joined(links.tokenOfOutput("wall"));
    const lost = await joined(links.deskToken);
    lost.send({ kind: "channel", channel: "rehearsal" });
    const welcome = await lost.until("welcome", ({ channel }) => channel === "rehearsal");
    lost.send({ kind: "rehearseOn", outputIds: ["wall"] });
    lost.send(takeFrom(welcome.state, "take-before-it-was-lost"));
    await lost.until("event");
    await wall.until("welcome", ({ channel }) => channel === "rehearsal");
    lost.socket.close();
    await lost.untilClosed();

    const back = await joined(links.deskToken);
    back.send({ kind: "channel", channel: "rehearsal" });
    const again = await back.until("welcome", ({ channel }) => channel === "rehearsal");
    expect(again.state.seq).toBe(host.state.seq + 1);
    expect(live.hosts()).toHaveLength(2);
    // Another evening is opened: the rehearsal's script begins anew as the air's does, what it shows stays.
    const evenings = await show.services.evenings.list();
    await show.services.editEvenings({
      kind: "create",
      fields: { name: "Next week", day: "", startsAt: "", endsAt: "" },
    });
    const fresh = (await show.services.evenings.list()).find(
      ({ id }) => !evenings.some((known) => known.id === id),
    );
    await show.services.editEvenings({ kind: "open", eveningId: fresh?.id ?? "" });
    expect(live.hosts().map(({ state }) => state.line.at)).toEqual([null, null]);
    expect(live.hosts()[1]?.state.slots).toEqual(again.state.slots);
    await show.services.editEvenings({ kind: "open", eveningId: evenings[0]?.id ?? "" });

    back.socket.close();
    await wall.until(
      "welcome",
      (message) => message.channel === "air" && message.serverAtMs > again.serverAtMs,
    );
    expect(live.hosts()).toHaveLength(1);
    wall.socket.close();
    await wall.untilClosed();
  });

  test("is shown on the outputs that are chosen, in place of the air, and has a log of its own", async () => {
    const { links, host, live } = show.services;
    const wall = await joined(links.tokenOfOutput("wall"));
    const began = await wall.until("welcome");
    const stream = await joined(links.tokenOfOutput("stream"));
    const desk = await joined(links.deskToken);
    desk.send({ kind: "channel", channel: "rehearsal" });
    const welcome = await desk.until("welcome", ({ channel }) => channel === "rehearsal");
    const airSeq = host.state.seq;
    desk.send({ kind: "rehearseOn", outputIds: ["wall", "no-such-screen"] });
    expect((await desk.until("desks", ({ rehearsedOn }) => rehearsedOn.length > 0)).rehearsedOn).toEqual([
      "wall",
    ]);
    await wall.until("welcome", ({ channel }) => channel === "rehearsal");
    const heardByStream = eventsOf(stream);
    desk.send(takeFrom(welcome.state, "take-shown-on-one"));
    const { logged: shown } = await wall.until("event", ({ logged: l }) => l.seq === airSeq + 1);
    expect(shown.event.kind).toBe("taken");
    expect(live.rehearsal.log.map(({ event }) => event.kind)).toEqual(["taken"]);
    // A window that is opened now shows the same; another output has heard nothing.
    const late = await joined(links.tokenOfOutput("wall"));
    expect((await late.until("welcome")).state.seq).toBe(airSeq + 1);
    expect(eventsOf(stream)).toBe(heardByStream);

    // The desk closes: everything is on the air again, and the log can still be read.
    desk.socket.close();
    const back = await wall.until("welcome", (message) => message.channel === "air" && message !== began);
    expect(back.state).toEqual(host.state);
    expect(wall.heard.filter(({ kind }) => kind === "welcome")).toHaveLength(3);
    expect(live.rehearsal.log).toHaveLength(1);
    expect(live.rehearsal.contents.size).toBe(1);
    for (const window of [wall, late, stream]) window.socket.close();
  });

  test("desks know of one another: their names, and what they let themselves do", async () => {
    const { links } = show.services;
    const one = await joined(links.deskToken);
    const other = await joined(links.deskToken);
    one.send({ kind: "desk", name: "Balcony", mode: "free" });
    other.send({ kind: "desk", name: "  ", mode: "watching" });
    const { desks } = await one.until("desks", ({ desks: all }) =>
      all.some(({ mode }) => mode === "watching"),
    );
    expect(desks.map(({ name, mode, channel }) => [name, mode, channel])).toEqual([
      ["Balcony", "free", "air"],
      ["Desk 2", "watching", "air"],
    ]);
    other.socket.close();
    await one.until("desks", ({ desks: all }) => all.length === 1 && all[0]?.name === "Balcony");
    one.socket.close();
  });

  test("an output may not rehearse", async () => {
    const output = await joined(show.services.links.tokenOfOutput("wall"));
    output.send({ kind: "channel", channel: "rehearsal" });
    await output.until("fault");
    output.socket.close();
  });
});
