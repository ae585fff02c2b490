import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { pageCue } from "../../core/rundown/cueDoc.ts";
import { PAGE_ANCHOR } from "../../core/rundown/steps.ts";
import type { Command } from "../../core/show/commands.ts";
import { grantOfMode } from "../../core/show/deskMode.ts";
import { findNext } from "../../core/show/next.ts";
import { pageAt } from "../../core/show/slot.ts";
import { contentsOf } from "../../core/show/state.ts";
import { USUAL_VENUE } from "../../core/show/venueSettings.ts";
import type { ServerMessage } from "../../core/wire/wire.ts";
import { eventually } from "../../test-support/eventually.ts";
import { type OpenShow, openShow, TestWindow } from "../../test-support/openShow.ts";

const folder = mkdtempSync(join(tmpdir(), "vesko-live-"));
const file = join(folder, "show.db");
let show: OpenShow;

beforeAll(async () => {
  show = await openShow(file);
});
afterAll(async () => {
  await show.close();
  rmSync(folder, { recursive: true });
});

let count = 0;
function takeNext(): Extract<Command, { kind: "take" }> {
  const { host, rundown } = show.services;
  const target = findNext(host.state, rundown.ready());
  if (!target) throw new Error("nothing is next");
  return { kind: "take", id: `take-number-${++count}`, target, how: "cut", builtOn: host.state.airRevision };
}

async function joined(token = show.services.links.deskToken, windowId?: string): Promise<TestWindow> {
  const window = new TestWindow(show.port);
  await window.join(token, windowId);
  await window.until("welcome");
  return window;
}

describe("the live channel", () => {
  test("a take is told to desk and output, after it is on the disk, with the documents it needs", async () => {
    const desk = await joined();
    const output = await joined(show.services.links.tokenOfOutput("wall"));
    const command = takeNext();
    desk.send({ kind: "command", command });
    const { logged } = await output.until("event", ({ logged: l }) => l.event.kind === "taken");
    const rows = await show.db.selectFrom("air_event").select("seq").where("seq", "=", logged.seq).execute();
    expect(rows).toHaveLength(1);
    expect((await desk.until("answer", ({ id }) => id === command.id)).refused).toBeNull();
    const documents = output.heard.flatMap((m) => (m.kind === "documents" ? Object.keys(m.documents) : []));
    expect(documents).toContain(command.target.content);
    const stored = await show.db
      .selectFrom("content")
      .select("hash")
      .where("hash", "=", command.target.content)
      .execute();
    expect(stored).toHaveLength(1);
    desk.socket.close();
    output.socket.close();
  });

  test("two desks that press at the same moment: one take, and a sentence for the other", async () => {
    const one = await joined(undefined, "desk-number-one");
    const two = await joined(undefined, "desk-number-two");
    const before = show.services.host.state.airRevision;
    const first = takeNext();
    const second = takeNext();
    one.send({ kind: "command", command: first });
    two.send({ kind: "command", command: second });
    const answers = await Promise.all([
      one.until("answer", ({ id }) => id === first.id),
      two.until("answer", ({ id }) => id === second.id),
    ]);
    expect(answers.filter(({ refused }) => refused === null)).toHaveLength(1);
    const refused = answers.find((answer) => answer.refused !== null);
    expect(refused?.refused).toBe("airMoved");
    expect(refused?.sentence).toMatch(/Desk 1 changed the air/);
    expect(show.services.host.state.airRevision).toBe(before + 1);
    one.socket.close();
    two.socket.close();
  });

  test("a desk that only watches, or is locked, is held to it from its first word on", async () => {
    const desk = new TestWindow(show.port);
    await new Promise((resolve) => desk.socket.once("open", resolve));
    const token = show.services.links.deskToken;
    desk.send({ kind: "hello", token, windowId: "desk-that-looks", mode: "watching" });
    await desk.until("welcome");
    const seq = show.services.host.state.seq;
    const ask = async (command: Command) => {
      desk.send({ kind: "command", command });
      return (await desk.until("answer", ({ id }) => id === command.id)).refused;
    };
    expect(await ask(takeNext())).toBe("onlyWatching");
    desk.send({ kind: "desk", name: "", mode: "locked" });
    expect(await ask({ kind: "clearEverything", id: "clear-while-locked", how: "cut" })).toBe("locked");
    expect(show.services.host.state.seq).toBe(seq);
    expect(await ask(takeNext())).toBeNull();
    expect(show.services.live.grantOf("desk-that-looks")).toEqual(grantOfMode("locked"));
    desk.socket.close();
  });

  test.each([
    ["not JSON", "{nonsense"],
    ["an unknown kind", JSON.stringify({ kind: "explode" })],
    [
      "a command with too much in it",
      JSON.stringify({
        kind: "command",
        command: { kind: "clear", id: "clear-clear", how: "cut", extra: 1 },
      }),
    ],
    [
      "a bad target",
      JSON.stringify({
        kind: "command",
        command: { kind: "take", id: "take-take-1", target: "cue-1", how: "cut", builtOn: 0 },
      }),
    ],
  ])("%s is answered with a sentence and changes nothing", async (_, text) => {
    const desk = await joined();
    const before = show.services.host.state;
    desk.socket.send(text);
    const { sentence } = await desk.until("fault");
    expect(sentence).toMatch(/The air is as it was/);
    expect(show.services.host.state).toBe(before);
    desk.socket.close();
  });

  test("what the venue has set is told to every desk and multi-view, all of it however many set it at once, and to no output", async () => {
    const { venue, links } = show.services;
    const [one, other] = [await joined(), await joined()];
    const output = await joined(links.tokenOfOutput("wall"));
    expect((await one.until("venue")).settings).toEqual(USUAL_VENUE);
    const wall = await joined(links.watchToken);
    // Two desks at the same moment: neither loses what the other set.
    await Promise.all([
      venue.save({ keys: { take: ["Home", "PageDown"] } }),
      venue.save({ language: "fi-FI" }),
      venue.save({ kept: { days: 30, mb: 50 } }),
      venue.save({ limits: { mostAtOnce: 3 } }),
    ]);
    await venue.load();
    expect(venue.settings).toEqual({
      keys: { take: ["Home", "PageDown"] },
      language: "fi-FI",
      kept: { days: 30, mb: 50 },
      limits: { mostAtOnce: 3 },
    });
    for (const window of [one, other, wall])
      await window.until("venue", ({ settings }) => {
        return settings.language === "fi-FI" && settings.keys.take?.includes("Home") === true;
      });
    const late = await joined();
    expect((await late.until("venue")).settings).toEqual(venue.settings);
    output.send({ kind: "ping", sentAtMs: 1 });
    await output.until("pong");
    expect(output.heard.some(({ kind }) => kind === "venue")).toBe(false);
    await venue.save(USUAL_VENUE);
    for (const window of [one, other, wall, late, output]) window.socket.close();
  });

  test("a desk that came with the rundown is not sent it again; one that has another is", async () => {
    const { links, live, rundown } = show.services;
    // Cues that are compiled anew meanwhile change the stamp: then the desk had another rundown.
    const comeKnowing = async (): Promise<Extract<ServerMessage, { kind: "rundown" }>> => {
      const window = new TestWindow(show.port);
      const stamp = live.rundownStamp;
      await window.join(links.deskToken, "desk-that-knows", stamp);
      const told = await window.until("rundown");
      window.socket.close();
      return told.stamp === stamp ? told : comeKnowing();
    };
    const short = await comeKnowing();
    expect(short.changed).toEqual([]);
    expect(short.order).toEqual(rundown.views().map(({ cueId }) => cueId));
    const other = new TestWindow(show.port);
    await other.join(links.deskToken, "desk-of-another-run", live.rundownStamp.replace(/^[^/]+/, "before"));
    expect((await other.until("rundown")).changed).toHaveLength(short.order.length);
    other.socket.close();
  });

  test("an output that is open for long lets go of what was shown, and is sent it again when it comes back", async () => {
    const { links, host, rundown } = show.services;
    const docs = Array.from({ length: 240 }, (_, i) =>
      pageCue({ fieldSet: "name", values: { name: `Person ${i}`, role: "" } }),
    );
    const cues = docs.map((doc, i) => ({ cueId: `passing-cue-${i}`, doc }));
    await rundown.edit("person-under-test", { kind: "addCues", cues, afterId: null }, 1);
    await eventually(() =>
      expect(rundown.ready().some(({ cueId }) => cueId === "passing-cue-239")).toBe(true),
    );
    const output = new TestWindow(show.port);
    await output.join(links.tokenOfOutput("wall"));
    await output.until("welcome");
    const held = () => {
      const hashes = new Set<string>();
      for (const message of output.heard) {
        if (message.kind === "documents") for (const hash of Object.keys(message.documents)) hashes.add(hash);
        if (message.kind === "keep")
          for (const hash of hashes) if (!message.hashes.includes(hash)) hashes.delete(hash);
      }
      return hashes;
    };
    const takeCue = async (cueId: string, round: number) => {
      const cue = rundown.ready().find((each) => each.cueId === cueId);
      if (!cue) throw new Error(`${cueId} is not ready`);
      const target = { cueId, content: cue.hash, step: PAGE_ANCHOR };
      const id = `take-${cueId}-${round}`;
      await host.submit(
        { kind: "take", id, target, how: "cut", builtOn: host.state.airRevision },
        { kind: "timer" },
      );
      return cue.hash;
    };
    const first = await takeCue("passing-cue-0", 1);
    for (let i = 1; i < cues.length; i++) await takeCue(`passing-cue-${i}`, 1);
    await output.until("event", ({ logged }) => logged.seq === host.state.seq);
    expect(held()).not.toContain(first);
    expect(held().size).toBeLessThan(220);
    await takeCue("passing-cue-0", 2);
    await output.until("event", ({ logged }) => logged.seq === host.state.seq);
    expect([...contentsOf(host.state)].filter((hash) => !held().has(hash))).toEqual([]);
    await rundown.edit("person-under-test", { kind: "undo" }, 2);
    output.socket.close();
  });

  test("a message larger than any that is needed closes the window's channel, nothing more", async () => {
    const desk = await joined();
    desk.socket.send("x".repeat(100_000));
    expect(await desk.untilClosed()).toBe(1009);
  });

  test("an output's link cannot take, a wrong token gets nothing, a foreign page cannot connect", async () => {
    const before = show.services.host.state;
    const output = await joined(show.services.links.tokenOfOutput("stream"));
    output.send({ kind: "command", command: takeNext() });
    expect((await output.until("fault")).sentence).toMatch(/can only show/);
    const wrong = new TestWindow(show.port);
    await wrong.join("not-a-token-at-all");
    expect(await wrong.untilClosed()).toBe(4401);
    expect(wrong.heard.some(({ kind }) => kind === "welcome")).toBe(false);
    const foreign = new TestWindow(show.port, { Origin: "http://elsewhere.example" });
    await foreign.untilClosed();
    expect(foreign.heard).toEqual([]);
    const misnamed = new TestWindow(show.port, { Host: "rebound.example" });
    await misnamed.untilClosed();
    expect(misnamed.heard).toEqual([]);
    expect(show.services.host.state).toBe(before);
    output.socket.close();
  });

  test("a broken program that floods is dropped to a sentence, and the air keeps the last accepted", async () => {
    const desk = await joined();
    for (let i = 0; i < 200; i++)
      desk.send({ kind: "command", command: { kind: "disarm", id: `disarm-number-${i}` } });
    const { sentence } = await desk.until("answer", ({ refused }) => refused === "tooFast");
    expect(sentence).toMatch(/Too many/);
    desk.socket.close();
  });

  test("after a stop without warning the same air is there, and nothing acknowledged is lost", async () => {
    const copy = join(folder, "copy.db");
    const desk = await joined();
    desk.send({ kind: "command", command: takeNext() });
    const before = count;
    await desk.until("answer", ({ id }) => id === `take-number-${before}`);
    const { state } = show.services.host;
    // What another process would find on the disk at this very moment.
    const { copyFileSync, existsSync } = await import("node:fs");
    for (const suffix of ["", "-wal"])
      if (existsSync(file + suffix)) copyFileSync(file + suffix, copy + suffix);
    const again = await openShow(copy);
    expect(again.services.host.state).toEqual(state);
    expect(again.services.links.deskToken).toBe(show.services.links.deskToken);
    const page = Object.values(state.slots).map((slot) => pageAt(slot, Date.now()))[0];
    if (page) expect(again.services.contents.find(page.content)).toBeDefined();
    await again.close();
    desk.socket.close();
  });

  test("a stall of the server throws no window out: the silence was its own", async () => {
    const desk = await joined();
    const silent = new TestWindow(show.port);
    await new Promise((resolve) => silent.socket.once("open", resolve));
    const late = new TestWindow(show.port);
    await new Promise((resolve) => late.socket.once("open", resolve));
    late.send({
      kind: "hello",
      token: show.services.links.deskToken,
      windowId: "window-whose-hello-waits",
    });
    // All of this process stands still for longer than a window may be silent, with a hello on its way.
    Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 10_600);
    // Who never said hello is nobody all the same.
    expect(await silent.untilClosed()).toBeDefined();
    expect(desk.closedWith).toBeUndefined();
    desk.send({ kind: "ping", sentAtMs: 1 });
    await desk.until("pong");
    await Promise.race([late.until("welcome"), late.untilClosed()]);
    expect(late.closedWith).toBeUndefined();
    for (const { socket } of [desk, late]) socket.close();
  });

  test("hello twice, or a flood of whatever kind, ends the window; the air stays", async () => {
    const { state } = show.services.host;
    const twice = await joined();
    twice.send({ kind: "hello", token: show.services.links.deskToken, windowId: "window-once-more" });
    expect(await twice.untilClosed()).toBe(4400);
    const flood = await joined();
    for (let i = 0; i < 400; i++) flood.send({ kind: "ping", sentAtMs: i });
    expect(await flood.untilClosed()).toBe(4408);
    expect(show.services.host.state).toBe(state);
  });

  test("snapshots shorten the replay and give the same state", async () => {
    const { host } = show.services;
    for (let i = 0; i < 420; i++) {
      const target = takeNext().target;
      await host.submit(
        i % 2 === 0
          ? { kind: "arm", id: `arming-${i}-id`, target }
          : { kind: "disarm", id: `disarm-${i}-id` },
        { kind: "desk", id: "desk-that-arms" },
      );
    }
    const snapshots = await show.db.selectFrom("air_snapshot").select("seq").execute();
    expect(snapshots.length).toBeGreaterThanOrEqual(2);
    const copy = join(folder, "snapshots.db");
    const { copyFileSync, existsSync } = await import("node:fs");
    for (const suffix of ["", "-wal"])
      if (existsSync(file + suffix)) copyFileSync(file + suffix, copy + suffix);
    const again = await openShow(copy);
    expect(again.services.host.state).toEqual(host.state);
    await again.close();
  });
});
